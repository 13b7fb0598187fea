import {
  analyse,
  apply,
  meetings,
  plannedCables,
  type Rig,
  solids,
  solveTiming,
} from '@echo-loom/core';
import { harbourHall } from '../demo/harbour-hall';
import { secondFiring } from '../demo/second-firing';
import { editToReading, findingsInTime } from './browser';
import { framesOfLoom } from './frames';
import { benchRig, denseRig } from './rigs';
import { clock, median, ORDINARY_LOOP_MS, plainLoop } from './timing';

/**
 * Prints how fast the engine is, beside what this machine makes of a plain loop. `npm run bench`;
 * with TEST_DATABASE_URL also in the browser.
 */

/**
 * The rig after one more edit: what a person waits for is the analysis after an edit, never of the
 * very same rig again.
 */
const edited = (rig: Rig, n: number): Rig => {
  const deviceId =
    Object.keys(rig.devices).find((id) => rig.devices[id]?.model.controls['distance']) ?? '';
  return apply(rig, {
    type: 'setControl',
    deviceId,
    control: 'distance',
    value: n % 2 ? 0.1 : 0.12,
  });
};

/** A rig with every microphone a metre from its mouth: something is said of each of them. */
const atOneMetre = (rig: Rig): Rig =>
  Object.entries(rig.devices).reduce(
    (now, [deviceId, { model }]) =>
      model.controls['distance']
        ? apply(now, { type: 'setControl', deviceId, control: 'distance', value: 1 })
        : now,
    rig,
  );

/** Rounds before counting: until the functions are compiled. */
const WARM_UP = 100;

interface Timing {
  readonly ms: number;
  /**
   * The fastest tenth: a shared machine's memory is slowed by its neighbours for seconds at a time,
   * which a loop of sums does not show
   */
  readonly quietMs: number;
  readonly loopMs: number;
}

/** Analysis after an edit, each round beside the loop, so that what else the machine does falls on both. */
const timeAnalysis = (rig: Rig, rounds: number): Timing => {
  const works: number[] = [];
  const loops: number[] = [];
  for (let n = -WARM_UP; n < rounds; n++) {
    const next = edited(rig, n + WARM_UP);
    const loop = clock(() => void plainLoop());
    const work = clock(() => void analyse(next));
    if (n < 0) continue;
    works.push(work);
    loops.push(loop);
  }
  return {
    ms: median(works),
    quietMs: [...works].sort((a, b) => a - b)[Math.floor(works.length / 10)] ?? NaN,
    loopMs: median(loops),
  };
};

const line = (name: string, rig: Rig, targetMs: number | null, rounds: number): Timing => {
  const timing = timeAnalysis(rig, rounds);
  const { traced } = analyse(rig);
  const ordinaryMs = (timing.ms / timing.loopMs) * ORDINARY_LOOP_MS;
  const verdict =
    targetMs === null
      ? ''
      : `; target ${targetMs} ms on an ordinary machine: ${ordinaryMs.toFixed(1)} ms there by ` +
        `the yardstick, ${ordinaryMs <= targetMs ? 'met' : 'NOT MET'}; on this machine ` +
        `${timing.ms <= targetMs ? 'met' : timing.quietMs <= targetMs ? 'met only while it is quiet' : 'not met'}`;
  console.log(
    `${name}: ${Object.keys(rig.devices).length} devices, ` +
      `${Object.keys(rig.links).length} links, ${traced.threads.length} threads, ` +
      `${traced.stages.length} stages: ${timing.ms.toFixed(2)} ms median, ` +
      `${timing.quietMs.toFixed(2)} ms in the fastest tenth, ` +
      `${(timing.ms / timing.loopMs).toFixed(2)} yardsticks of ${timing.loopMs.toFixed(1)} ` +
      `ms${verdict}`,
  );
  return timing;
};

/** The hall with everything on the plan, so that every cable has a way. */
const placedHall = (): Rig => {
  const hall = harbourHall();
  const stands = new Set(solids(analyse(hall)).devices.map(({ id }) => id));
  return Object.keys(hall.devices)
    .filter((id) => !stands.has(id))
    .reduce((rig, deviceId, index) => {
      const at = { xM: 1 + ((index * 7) % 24), yM: 0.4, facingDeg: 0 };
      return apply(apply(rig, { type: 'standDevice', deviceId, on: null }), {
        type: 'placeDevice',
        deviceId,
        at,
        aim: null,
      });
    }, hall);
};

/** How long one solution for all places takes beside the analysis it rests on, in one run. */
const timeTiming = (name: string, rig: Rig): void => {
  const [solved, analysed]: [number[], number[]] = [[], []];
  let worstMs = 0;
  for (let n = -5; n < 25; n++) {
    const one = edited(rig, n + 20);
    let analysis = analyse(one);
    const analysisMs = clock(() => {
      analysis = analyse(edited(rig, n + 60));
      meetings(analysis);
    });
    const solveMs = clock(() => {
      worstMs = solveTiming(analysis)?.worstMs ?? NaN;
    });
    if (n < 0) continue;
    solved.push(solveMs);
    analysed.push(analysisMs);
  }
  console.log(
    `delays of ${name}: solved in ${(median(solved) / median(analysed)).toFixed(2)} of its analysis; ` +
      `${worstMs.toFixed(2)} ms are left`,
  );
};

/** What leading cables on their ways adds to an analysis, against the same rig without any way. */
const timeRoutes = (rig: Rig, targetMs: number): void => {
  const without = apply(
    { ...rig, cableWays: {} },
    { type: 'setLaying', laying: { alongWalls: false } },
  );
  const [led, bare, loops]: [number[], number[], number[]] = [[], [], []];
  for (let n = -20; n < 60; n++) {
    const loop = clock(() => void plainLoop());
    const [one, other] = [edited(rig, n + 20), edited(without, n + 20)];
    const withMs = clock(() => void analyse(one));
    const withoutMs = clock(() => void analyse(other));
    if (n < 0) continue;
    led.push(withMs);
    bare.push(withoutMs);
    loops.push(loop);
  }
  const addedMs = median(led) - median(bare);
  const ordinaryMs = (addedMs / median(loops)) * ORDINARY_LOOP_MS;
  const planned = plannedCables(analyse(rig)).length;
  console.log(
    `routes: ${planned} cables led and judged add ${addedMs.toFixed(1)} ms to an analysis; target ` +
      `${targetMs} ms on an ordinary machine: ${ordinaryMs.toFixed(1)} ms there by the yardstick, ` +
      (ordinaryMs <= targetMs ? 'met' : 'NOT MET'),
  );
};

line('small', benchRig(50), 2, 201);
line('dense', denseRig(), 16, 201);
line('24 microphones', harbourHall(), null, 101);
line('judged by a brief, as every finding of it is', secondFiring(), 2, 201);
timeRoutes(placedHall(), 100);
timeTiming('Second Firing', secondFiring());
timeTiming('Harbour Hall', harbourHall());
console.log('growth, against 100 devices, in yardsticks:');
const hundred = line('  100', benchRig(100), null, 81);
for (const devices of [200, 500, 1000, 2000]) {
  const timing = line(`  ${devices}`, benchRig(devices), null, 25);
  console.log(
    `    ${devices / 100} times the devices take ` +
      `${(timing.ms / timing.loopMs / (hundred.ms / hundred.loopMs)).toFixed(1)} times as ` +
      'long',
  );
}
if (process.env['TEST_DATABASE_URL']) {
  const { loopMs } = timeAnalysis(benchRig(50), 15);
  await editToReading(
    'loom',
    denseRig(),
    {
      path: '',
      open: '[data-item="device:mic-1-0"]',
      field: 'Distance from the mouth',
      reading: '[data-item="link:mic-1-0-out-to-desk-0"]',
    },
    loopMs,
  );
  await editToReading(
    'gain ladder of one of 24 microphones',
    harbourHall(),
    {
      path: '/gain',
      open: null,
      field: 'Stage box A, Gain 1',
      reading: '[data-rung="Stage box A, Network"]',
    },
    loopMs,
  );
  await editToReading(
    '24 microphones in their room',
    harbourHall(),
    { path: '/sound', open: null, field: 'From the mouth', reading: '[data-line="chair-mic"]' },
    loopMs,
  );
  await findingsInTime('every microphone of Harbour Hall at 1 m', atOneMetre(harbourHall()));
  await findingsInTime('500 devices, 1,500 links', denseRig());
  await framesOfLoom('500 devices, 1,500 links', denseRig());
} else
  console.log(
    'edit to reading in the browser: set TEST_DATABASE_URL (bin/private-postgres start test) and build first',
  );
