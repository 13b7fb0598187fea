import { type Rig, rigToJson } from '@echo-loom/core';
import type { Page } from '@playwright/test';
import type { Application } from './application';

/** A blank rig of a name. @returns its id */
export const make = async (application: Application, name: string): Promise<string> => {
  const response = await fetch(`${application.url}/api/shelf`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ does: 'create', name }),
  });
  return ((await response.json()) as { id: string }).id;
};

/** Brings a rig in from a file, as a person does, and waits until it is open. */
export const openFile = async (page: Page, { url }: Application, rig: Rig): Promise<void> => {
  await page.goto(url);
  await page
    .getByLabel('Rig file')
    .first()
    .setInputFiles({
      name: 'rig.json',
      mimeType: 'application/json',
      buffer: Buffer.from(rigToJson(rig)),
    });
  await page.waitForURL(/\/rigs\//);
};
