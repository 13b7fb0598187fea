import { chromium, type Page } from '@playwright/test';
import { rigToJson, type Rig } from '@echo-loom/core';
import { Application } from '../e2e/application';

/** Edits that are thrown away while the browser compiles, and those that count. */
const WARM_UP = 8;
const EDITS = 100;
/** Until a page that was just opened has come to rest. */
const SETTLE_MS = 3000;

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

/** A rig open in the real browser. Needs a build and a database. */
export const withPage = async (
  rig: Rig,
  work: (page: Page, address: string) => Promise<void>,
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
    await work(page, `${application.url}/rigs/${answer.id}`);
  } finally {
    await browser.close();
    await application.kill();
  }
};

/** Tasks of the main thread over 50 ms since the page was last asked, as the browser counts them. @unit ms */
const watchLongTasks = async (page: Page): Promise<() => Promise<number[]>> => {
  await page.addInitScript(() => {
    const seen: number[] = [];
    Object.assign(window, { longTasksMs: seen });
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) seen.push(Math.round(duration));
    }).observe({ type: 'longtask', buffered: true });
  });
  return () =>
    page.evaluate(() => (window as unknown as { longTasksMs: number[] }).longTasksMs.splice(0));
};

const list = (ms: readonly number[]): string =>
  ms.length === 0 ? 'none' : ms.map((task) => `${task} ms`).join(', ');

/** From an edit in the real browser until its reading has been drawn, on one rig. */
export const editToReading = (
  name: string,
  rig: Rig,
  place: EditPlace,
  loopMs: number,
): Promise<void> =>
  withPage(rig, async (page, address) => {
    const longTasks = await watchLongTasks(page);
    await page.goto(`${address}${place.path}`);
    if (place.open !== null) await page.locator(place.open).click();
    const field = page.getByLabel(place.field, { exact: true });
    const times: number[] = [];
    for (let n = 0; n < WARM_UP + EDITS; n++) {
      if (n === WARM_UP) await longTasks();
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
        `${(at(0.5) / loopMs).toFixed(2)} yardsticks; tasks over 50 ms in ${EDITS} edits: ` +
        list(await longTasks()),
    );
  });

/** The page of findings, come to from the loom: until the first stand there, and until every fix is tried. */
export const findingsInTime = (name: string, rig: Rig): Promise<void> =>
  withPage(rig, async (page, address) => {
    const longTasks = await watchLongTasks(page);
    await page.goto(address);
    await page.locator('[data-item]').first().waitFor();
    // The page has come to rest before it is asked for more.
    await page.waitForTimeout(SETTLE_MS);
    await longTasks();
    const firstMs = await page.evaluate(async () => {
      const start = performance.now();
      document.querySelector<HTMLElement>('a[href$="/findings"]')?.click();
      while (!document.querySelector('article') && performance.now() - start < 10_000)
        await new Promise((done) => requestAnimationFrame(done));
      return performance.now() - start;
    });
    const whole = await page.evaluate(async () => {
      const start = performance.now();
      let drawn = -1;
      // All are there when none is being tried and no more come.
      for (;;) {
        const now = document.querySelectorAll('article').length;
        const busy = document.querySelectorAll('article[aria-busy="true"]').length;
        if ((busy === 0 && now === drawn) || performance.now() - start > 60_000) break;
        drawn = now;
        await new Promise((done) => setTimeout(done, 200));
      }
      return { cards: drawn, ms: performance.now() - start };
    });
    console.log(
      `findings in the browser, ${name}: the first after ${firstMs.toFixed(0)} ms, all ` +
        `${whole.cards} with their fixes tried after ${(whole.ms / 1000).toFixed(1)} s; tasks ` +
        `over 50 ms on the way: ${list(await longTasks())}`,
    );
  });
