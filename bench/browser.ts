import { chromium } from '@playwright/test';
import { rigToJson, type Rig } from '@echo-loom/core';
import { Application } from '../e2e/application';

/** Edits that are thrown away while the browser compiles, and those that count. */
const WARM_UP = 8;
const EDITS = 100;

/** Where an edit is made and where its reading stands. */
export interface EditPlace {
  /** After the rig's address: `/gain` */
  readonly path: string;
  /** Opens what holds the field; null where it is open */
  readonly open: string | null;
  /** The number that the arrow keys step */
  readonly field: string;
  readonly reading: string;
}

/** From an edit in the real browser until its reading has been drawn, on one rig. Needs a build and a database. */
export const editToReading = async (
  name: string,
  rig: Rig,
  place: EditPlace,
  loopMs: number,
): Promise<void> => {
  const application = await Application.open(false);
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const answer = (await (
      await page.request.post(`${application.url}/api/rigs/import`, {
        data: Buffer.from(rigToJson(rig)),
        headers: { 'content-type': 'application/json' },
      })
    ).json()) as { id: string };
    await page.goto(`${application.url}/rigs/${answer.id}${place.path}`);
    if (place.open !== null) await page.locator(place.open).click();
    const field = page.getByLabel(place.field, { exact: true });
    const times: number[] = [];
    for (let n = 0; n < WARM_UP + EDITS; n++) {
      await field.focus();
      // The arrow key steps the number, and the reading must change.
      // Up and down by turns: far away one step would not change a reading any more.
      times.push(
        await page.evaluate(
          async ([key, at]) => {
            const reading = () => document.querySelector(at)?.textContent ?? '';
            const before = reading();
            const start = performance.now();
            document.activeElement?.dispatchEvent(
              new KeyboardEvent('keydown', { key, bubbles: true }),
            );
            while (reading() === before && performance.now() - start < 5000)
              await new Promise((done) => requestAnimationFrame(done));
            return performance.now() - start;
          },
          [n % 2 === 0 ? 'ArrowUp' : 'ArrowDown', place.reading] as const,
        ),
      );
    }
    const sorted = times.slice(WARM_UP).sort((a, b) => a - b);
    const at = (share: number) =>
      sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;
    console.log(
      `edit to reading in the browser, ${name}, ${Object.keys(rig.devices).length} devices: ` +
        `${at(0.5).toFixed(0)} ms median, ${at(0.95).toFixed(0)} ms at the 95th percentile, ` +
        `${(at(0.5) / loopMs).toFixed(2)} yardsticks`,
    );
  } finally {
    await browser.close();
    await application.kill();
  }
};
