import { chromium } from '@playwright/test';
import { mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { longRecording } from '../../core/src/signal/truth-for-cases';
import { writeWav } from './wav';

/**
 * Two recordings of two hours, measured in the browser of a running application: how long it takes, what is
 * found, and whether the page was ever held up. `npm run two-hours [hours] [address]`, with `bin/demo` running.
 */

const [hours = 2, address = 'http://127.0.0.1:4000'] = [
  Number(process.argv[2] ?? 2),
  process.argv[3],
];
const LATER_S = 2.5;
const PPM = 20;
const folder = path.resolve('.local/two-hours');
const RATE_HZ = 48_000;

const write = async (name: string, ppm: number, startS: number, seed: number): Promise<string> => {
  const atS = Array.from({ length: 60 * hours - 2 }, (_, index) => 40 + 60 * index + 0.37 * index);
  const recording = longRecording(seed, { lengthS: 3600 * hours, atS, ppm, startS });
  const file = path.join(folder, name);
  const pieces: Float32Array[] = [];
  for (let from = 0; from < recording.samples; from += RATE_HZ)
    pieces.push(await recording.read(from, Math.min(RATE_HZ, recording.samples - from)));
  writeWav(file, RATE_HZ, recording.samples, (from, count) => [
    (pieces[Math.floor(from / RATE_HZ)] ?? new Float32Array(count)).subarray(0, count),
  ]);
  return file;
};

mkdirSync(folder, { recursive: true });
const files = [await write('camera.wav', 0, 0, 1), await write('recorder.wav', PPM, LATER_S, 2)];
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox'],
});
const page = await browser.newPage();
await page.goto(`${address}/rigs/night-tide/measure`);
const region = (name: string) => page.getByRole('region', { name, exact: true });
await region('Clap').waitFor();
await page.evaluate(() => {
  const held: { readonly atMs: number; readonly ms: number }[] = [];
  Object.assign(window, { held });
  new PerformanceObserver((list) => {
    for (const { startTime, duration } of list.getEntries())
      held.push({ atMs: startTime, ms: duration });
  }).observe({ type: 'longtask', buffered: true });
});
/** How often and how long the page was held up, since a moment of its own clock. */
const heldSince = async (fromMs: number): Promise<string> => {
  const held = await page.evaluate(
    (from) =>
      (window as unknown as { held: { atMs: number; ms: number }[] }).held
        .filter(({ atMs }) => atMs >= from)
        .map(({ ms }) => ms),
    fromMs,
  );
  return `${held.length} times for more than 50 ms, at most ${Math.max(0, ...held).toFixed(0)} ms`;
};
const now = (): Promise<number> => page.evaluate(() => performance.now());
/** What loads is one thing and what measures another: they are told apart by a page that has come to rest. */
const REST_MS = 5000;
await page.waitForFunction(
  (restMs) => {
    const last = (window as unknown as { held: { atMs: number; ms: number }[] }).held.at(-1);
    return performance.now() - (last ? last.atMs + last.ms : 0) > restMs;
  },
  REST_MS,
  { polling: 500 },
);
console.log(`while it loaded, the page was held up ${await heldSince(0)}`);
const atRestMs = await now();
const timed = async (what: string, choose: () => Promise<void>, until: string): Promise<void> => {
  const began = performance.now();
  await choose();
  await page.getByText(until).first().waitFor({ timeout: 1_800_000 });
  console.log(`${what}: ${((performance.now() - began) / 1000).toFixed(0)} s`);
};
await timed(
  `clap, twice ${hours} h`,
  () => region('Clap').getByLabel('Choose recordings, files').setInputFiles(files),
  'recorder.wav hears the same',
);
console.log(await region('Clap').getByRole('table').innerText());
await timed(
  `levels, ${hours} h`,
  () => region('Levels').getByLabel('Choose a recording, files').setInputFiles(files.slice(0, 1)),
  'Loudness, gated',
);
console.log(`while it measured, the page was held up ${await heldSince(atRestMs)}`);
await browser.close();
rmSync(folder, { recursive: true });
