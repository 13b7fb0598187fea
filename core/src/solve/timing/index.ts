import { solve } from 'yalps';
import type { Measured } from '../../passes/measured';
import { type DelayKnob, knobKey, type Pair, knobs, meetings } from '../../passes/time';
import type { SimpleCommand } from '../../rig';

/**
 * Which delay to set to what, for every place where sound and picture meet at once: one linear programme
 * that makes the largest offset as small as it can be, and sets no more than that needs. Its answer is
 * brought onto the steps of the devices; what is left is told beside the least that any setting leaves.
 * Milliseconds; sound late is positive.
 */

/** A delay as it should stand. */
export interface DelaySet {
  readonly knob: DelayKnob;
  readonly ms: number;
}

/** What is left at one pair of ways when all is set. */
export interface PairAfter {
  readonly pair: Pair;
  readonly beforeMs: number;
  readonly afterMs: number;
}

export interface TimingSolution {
  /** Every delay that could be set, those that stay at nothing too */
  readonly sets: readonly DelaySet[];
  readonly pairs: readonly PairAfter[];
  /** Largest offset before and after, either way */
  readonly worstBeforeMs: number;
  readonly worstMs: number;
  /** No setting whatever leaves less than this, in steps or not */
  readonly boundMs: number;
  /** Pairs of ways that nobody can reckon, since a step of theirs is not known */
  readonly unknown: number;
}

/** One equation: what a pair is off with nothing set, and what each delay does to it. */
interface Row {
  readonly baseMs: number;
  readonly by: readonly (readonly [knob: number, sign: 1 | -1])[];
}

/**
 * The largest offset comes first, then all of them together, then how much is set. What no delay reaches
 * keeps nothing else from being set.
 */
const WEIGHT = { worst: 1000, each: 1, set: 1e-3 } as const;

const rowOf = (pair: Pair, at: ReadonlyMap<string, number>, all: readonly DelayKnob[]): Row => {
  const signs = new Map<number, number>();
  for (const [list, sign] of [
    [pair.sound.knobs, 1],
    [pair.picture.knobs, -1],
  ] as const)
    for (const knob of list) {
      const index = at.get(knobKey(knob));
      if (index !== undefined) signs.set(index, (signs.get(index) ?? 0) + sign);
    }
  const by = [...signs].flatMap(([index, sign]) =>
    sign === 0 ? [] : [[index, sign > 0 ? 1 : -1] as const],
  );
  return {
    baseMs: by.reduce(
      (rest, [index, sign]) => rest - sign * (all[index]?.ms ?? 0),
      pair.offsetMs ?? 0,
    ),
    by,
  };
};

const offsetOf = ({ baseMs, by }: Row, ms: readonly number[]): number =>
  by.reduce((total, [index, sign]) => total + sign * (ms[index] ?? 0), baseMs);

const worstOf = (rows: readonly Row[], ms: readonly number[]): number =>
  rows.reduce((worst, row) => Math.max(worst, Math.abs(offsetOf(row, ms))), 0);

const costOf = (rows: readonly Row[], ms: readonly number[]): number =>
  rows.reduce(
    (cost, row) => cost + WEIGHT.each * Math.abs(offsetOf(row, ms)),
    WEIGHT.worst * worstOf(rows, ms) + WEIGHT.set * ms.reduce((total, one) => total + one, 0),
  );

/**
 * Of delays one after the other, which do the same to every pair, one is set: the finest, and of those the
 * one that reaches farthest.
 */
const oneOfEach = (rows: readonly Row[], all: readonly DelayKnob[]): ReadonlySet<number> => {
  const best = new Map<string, number>();
  for (const [index, knob] of all.entries()) {
    const does = rows.map(({ by }) => by.find(([other]) => other === index)?.[1] ?? 0).join(',');
    const known = all[best.get(does) ?? -1];
    if (
      !known ||
      knob.stepMs < known.stepMs ||
      (knob.stepMs === known.stepMs && knob.mostMs > known.mostMs)
    )
      best.set(does, index);
  }
  return new Set(best.values());
};

/** Rows that read the same count once. */
const distinct = (rows: readonly Row[]): Row[] => [
  ...new Map(
    rows.map((row) => [`${row.baseMs.toFixed(4)}|${row.by.flat().join(',')}`, row]),
  ).values(),
];

/** The best setting of all, between steps too. @returns ms by delay */
const programme = (rows: readonly Row[], all: readonly DelayKnob[]): number[] => {
  const used = oneOfEach(rows, all);
  const constraints = new Map<string, { max: number }>();
  const variables = new Map<string, Map<string, number>>([
    ['worst', new Map([['cost', WEIGHT.worst]])],
    ...all.map((_, index): [string, Map<string, number>] => [
      `knob ${index}`,
      new Map([
        ['cost', WEIGHT.set],
        [`most ${index}`, 1],
      ]),
    ]),
  ]);
  for (const [index, { mostMs }] of all.entries())
    constraints.set(`most ${index}`, {
      max: used.has(index) ? mostMs : 0,
    });
  for (const [row, { baseMs, by }] of rows.entries()) {
    const off = new Map([
      ['cost', WEIGHT.each],
      [`worst ${row}`, 1],
    ]);
    variables.set(`off ${row}`, off);
    constraints.set(`worst ${row}`, { max: 0 });
    variables.get('worst')?.set(`worst ${row}`, -1);
    for (const [name, sign] of [
      [`late ${row}`, 1],
      [`early ${row}`, -1],
    ] as const) {
      constraints.set(name, { max: -sign * baseMs });
      off.set(name, -1);
      for (const [index, effect] of by) variables.get(`knob ${index}`)?.set(name, sign * effect);
    }
  }
  const { variables: found } = solve({
    direction: 'minimize',
    objective: 'cost',
    constraints,
    variables,
  });
  const ms = new Map(found);
  return all.map((_, index) => ms.get(`knob ${index}`) ?? 0);
};

/** Steps of a tenth add up to what reads as a tenth. */
const onStep = (ms: number, stepMs: number): number =>
  Number((Math.round(ms / stepMs) * stepMs).toFixed(6));

/** A delay moved by so many of its steps. @returns null where it does not go so far */
const moved = (
  ms: readonly number[],
  all: readonly DelayKnob[],
  changes: readonly (readonly [index: number, steps: number])[],
): number[] | null => {
  const next = [...ms];
  for (const [index, steps] of changes) {
    const { stepMs = 0, mostMs = 0 } = all[index] ?? {};
    const to = onStep((next[index] ?? 0) + steps * stepMs, stepMs);
    if (to < 0 || to > mostMs + 1e-9) return null;
    next[index] = to;
  }
  return next;
};

/** On the nearest steps, then one or two delays at a time by a step, for as long as that helps. */
const inSteps = (
  rows: readonly Row[],
  all: readonly DelayKnob[],
  smooth: readonly number[],
): number[] => {
  const used = [...oneOfEach(rows, all)];
  const moves = used.flatMap((one) => [
    [[one, 1] as const],
    [[one, -1] as const],
    ...used
      .filter((other) => other > one)
      .flatMap((other) =>
        [1, -1].flatMap((by) => [1, -1].map((too) => [[one, by] as const, [other, too] as const])),
      ),
  ]);
  let best = smooth.map((ms, index) => {
    const { stepMs = 1, mostMs = 0 } = all[index] ?? {};
    const rounded = onStep(ms, stepMs);
    return rounded > mostMs ? onStep(rounded - stepMs, stepMs) : rounded;
  });
  for (let cost = costOf(rows, best); ;) {
    let better: number[] | null = null;
    for (const changes of moves) {
      const next = moved(best, all, changes);
      const then = next ? costOf(rows, next) : Infinity;
      if (then < cost - 1e-9) [better, cost] = [next, then];
    }
    if (!better) return best;
    best = better;
  }
};

/**
 * One solution for all places.
 * @param places only these; all where nothing is said
 * @returns null where nothing meets, or nothing of it can be reckoned
 */
export const solveTiming = (
  measured: Measured,
  places?: ReadonlySet<string>,
): TimingSolution | null => {
  const all = knobs(measured);
  const at = new Map(all.map((knob, index) => [knobKey(knob), index]));
  const pairs = meetings(measured)
    .filter(({ placeId }) => !places || places.has(placeId))
    .flatMap((meeting) => meeting.pairs);
  const reckoned = pairs.filter(({ offsetMs }) => offsetMs !== null);
  if (reckoned.length === 0) return null;
  const rows = reckoned.map((pair) => rowOf(pair, at, all));
  const unlike = distinct(rows);
  const now = all.map(({ ms }) => ms);
  const smooth = programme(unlike, all);
  const best = inSteps(unlike, all, smooth);
  return {
    sets: all.map((knob, index) => ({ knob, ms: best[index] ?? 0 })),
    pairs: reckoned.map((pair, index) => {
      const row = rows[index];
      return {
        pair,
        beforeMs: pair.offsetMs ?? 0,
        afterMs: row ? offsetOf(row, best) : (pair.offsetMs ?? 0),
      };
    }),
    worstBeforeMs: worstOf(unlike, now),
    worstMs: worstOf(unlike, best),
    boundMs: worstOf(unlike, smooth),
    unknown: pairs.length - reckoned.length,
  };
};

/** The edits that set all delays as they should stand; none where they do. */
export const setsOf = ({ sets }: TimingSolution): SimpleCommand[] =>
  sets.flatMap(({ knob, ms }): SimpleCommand[] =>
    Math.abs(ms - knob.ms) < 1e-9
      ? []
      : [
          {
            type: 'setDelay',
            deviceId: knob.deviceId,
            portId: knob.portId,
            signal: knob.signal,
            ms: ms > 0 ? ms : null,
          },
        ],
  );
