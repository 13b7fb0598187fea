import type { Page } from '@playwright/test';
import { copyFileSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect } from './application';

/** Folders of recordings, as they come from a card or lie on a copy of it. */

const ours = (name: string): string => path.join(import.meta.dirname, '../web/public/ours', name);

/** Pictures and sound that can be read, each other than the rest. @returns a folder, which the test removes */
export const folderOf = (files: readonly { name: string; isSound: boolean }[]): string => {
  const folder = mkdtempSync(path.join(tmpdir(), 'echo-loom-folder-'));
  files.forEach(({ name, isSound }, at) => {
    const file = path.join(folder, `${name}.${isSound ? 'wav' : 'webm'}`);
    copyFileSync(ours(isSound ? 'voice.wav' : 'flash-and-beep.webm'), file);
    // Behind its end there is room for anything: the same picture, and another checksum.
    writeFileSync(file, Buffer.concat([readFileSync(file), Buffer.from([0xec, 0x81, at + 1])]));
  });
  return folder;
};

/** Turns one bit of a file. @returns what it was */
export const damage = (file: string): Buffer => {
  const whole = readFileSync(file);
  const bytes = Buffer.from(whole);
  bytes[20_000] = (bytes[20_000] ?? 0) ^ 1;
  writeFileSync(file, bytes);
  return whole;
};

export const checkFolder = async (
  page: Page,
  folder: string,
  place: string,
  many: number,
): Promise<void> => {
  const part = page.getByRole('region', { name: 'Check a folder' });
  await part.getByLabel('The folder is on').selectOption({ label: place });
  await part.getByLabel('Choose a folder to check, files').setInputFiles(folder);
  await expect(part.getByText(`${many} files read.`)).toBeVisible();
};
export const keepCheck = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Keep in the logbook' }).click();
  await expect(page.getByText(/^Kept: /)).toBeVisible();
};
