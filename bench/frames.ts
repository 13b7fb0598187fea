import type { Page } from '@playwright/test';
import type { Rig } from '@echo-loom/core';
import { withPage } from './browser';

/** Work of the main thread that a frame waits for, by the names of the browser's trace. */
const WORK = new Set([
  'EventDispatch',
  'FireAnimationFrame',
  'FunctionCall',
  'TimerFire',
  'RunMicrotasks',
  'UpdateLayoutTree',
  'Layout',
  'IntersectionObserverController::computeIntersections',
]);

interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly ts: number;
  readonly dur?: number;
  readonly tid: number;
}

interface Frames {
  /** Script, style and layout of each frame in which anything was done. @unit ms */
  readonly workMs: readonly number[];
  /** Tasks over 50 ms. @unit ms */
  readonly longMs: readonly number[];
}

/** Traces the main thread while something is done. */
const traced = async (page: Page, work: () => Promise<void>): Promise<TraceEvent[]> => {
  const browser = page.context().browser();
  if (!browser) throw new Error('there is no browser');
  await browser.startTracing(page, { categories: ['-*', 'devtools.timeline', 'toplevel'] });
  await work();
  const trace = JSON.parse((await browser.stopTracing()).toString('utf8')) as {
    traceEvents: TraceEvent[];
  };
  return trace.traceEvents;
};

const framesOf = (events: readonly TraceEvent[]): Frames => {
  const begins = events.filter(({ name, ph }) => name === 'AnimationFrame' && ph === 'b');
  const main = begins[0]?.tid;
  const ofMain = events.filter(({ tid, ph }) => tid === main && ph === 'X');
  const starts = begins.map(({ ts }) => ts).sort((a, b) => a - b);
  const workUs = new Map<number, number>();
  let end = -Infinity;
  for (const { ts, dur = 0 } of ofMain
    .filter(({ name }) => WORK.has(name))
    .sort((a, b) => a.ts - b.ts || (b.dur ?? 0) - (a.dur ?? 0))) {
    // What stands within another event is counted with it.
    if (ts < end) continue;
    end = ts + dur;
    const frame = starts.findLastIndex((start) => start <= ts);
    workUs.set(frame, (workUs.get(frame) ?? 0) + dur);
  }
  return {
    workMs: [...workUs.values()].map((us) => us / 1000),
    longMs: ofMain
      .filter(({ name, dur = 0 }) => name.endsWith('RunTask') && dur > 50_000)
      .map(({ dur = 0 }) => Math.round(dur / 1000)),
  };
};

const at = (values: readonly number[], share: number): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;
};

const STEPS = 120;
const SETTLE_MS = 3000;

const measure = async (
  page: Page,
  what: string,
  name: string,
  work: () => Promise<void>,
): Promise<void> => {
  const { workMs, longMs } = framesOf(await traced(page, work));
  const nodes = await page.evaluate(() => document.querySelectorAll('*').length);
  console.log(
    `${what}, ${name}: script, style and layout ${at(workMs, 0.5).toFixed(1)} ms a frame in the ` +
      `middle, ${at(workMs, 0.95).toFixed(1)} at 95 %, ${at(workMs, 1).toFixed(1)} at most, over ` +
      `${workMs.length} frames; tasks over 50 ms: ${longMs.length === 0 ? 'none' : longMs.join(', ')}; ` +
      `${nodes} nodes in the page`,
  );
};

/** The loom of a rig in the real browser: scrolled by the wheel, and a device dragged across it. */
export const framesOfLoom = (name: string, rig: Rig): Promise<void> =>
  withPage(rig, async (page, address) => {
    await page.goto(address);
    await page.locator('[data-item]').first().waitFor();
    await page.waitForTimeout(SETTLE_MS);
    const box = await page.getByRole('group', { name: /^Loom:/ }).boundingBox();
    if (!box) throw new Error('there is no loom');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    // Once there and back first, so that what is compiled is compiled.
    const scroll = async (steps: number) => {
      for (let step = 0; step < steps; step++) {
        await page.mouse.wheel(step % 4 === 3 ? 60 : 0, step < steps / 2 ? 90 : -90);
        await page.waitForTimeout(16);
      }
    };
    await scroll(STEPS / 2);
    await measure(page, 'scrolling the loom', name, () => scroll(STEPS));

    await page.evaluate(() => document.querySelector('[aria-label^="Loom:"]')?.scrollTo(0, 0));
    await page.locator('[data-item^="device:"]').first().waitFor();
    const first = await page.locator('[data-item^="device:"]').first().boundingBox();
    if (!first) throw new Error('there is no device');
    const drag = async (steps: number) => {
      await page.mouse.move(first.x + 20, first.y + 10);
      await page.mouse.down();
      for (let step = 0; step < steps; step++) {
        await page.mouse.move(
          first.x + 20 + ((x - first.x) * step) / steps,
          first.y + 10 + ((y - first.y) * step) / steps,
        );
        await page.waitForTimeout(16);
      }
      await page.keyboard.press('Escape');
      await page.mouse.up();
    };
    await drag(STEPS / 4);
    await measure(page, 'dragging on the loom', name, () => drag(STEPS));
  });
