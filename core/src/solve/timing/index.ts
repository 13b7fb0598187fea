import { solve } from 'yalps';
import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measure';
import { type Knob, knobKey, type Pair, knobs, meetings } from '../../passes/time';
import type { SimpleCommand } from '../../rig';

/**
 * Which delay to set to what, for every place where sound and picture meet at once: one linear programme
 * in whole steps that makes the largest offset as small as it can be, and sets no more than that needs.
 * Milliseconds; sound late is positive.
 */

/** A delay as it should stand. */
export interface DelaySet {
  readonly knob: Knob;
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
const WEIGHT = { worst: 1, each: 1e-3, set: 1e-6 } as const;
/** A branch is not followed for ever; what it found until then is good, and its bound is said. */
const MOST_BRANCHES = 4096;

const rowOf = (pair: Pair, at: ReadonlyMap<string, number>, all: readonly Knob[]): Row => {
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
const oneOfEach = (rows: readonly Row[], all: readonly Knob[]): ReadonlySet<number> => {
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

/** @param inSteps whether every delay is a whole number of its steps */
const programme = (rows: readonly Row[], all: readonly Knob[], inSteps: boolean): number[] => {
  const used = oneOfEach(rows, all);
  const constraints = new Map<string, { max: number }>();
  const variables = new Map<string, Map<string, number>>([
    ['worst', new Map([['cost', WEIGHT.worst]])],
    ...all.map(({ stepMs }, index): [string, Map<string, number>] => [
      `knob ${index}`,
      new Map([
        ['cost', WEIGHT.set * stepMs],
        [`most ${index}`, 1],
      ]),
    ]),
  ]);
  for (const [index, { mostMs, stepMs }] of all.entries())
    constraints.set(`most ${index}`, {
      max: used.has(index) ? Math.floor(mostMs / stepMs + 1e-9) : 0,
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
      for (const [index, effect] of by)
        variables.get(`knob ${index}`)?.set(name, sign * effect * (all[index]?.stepMs ?? 0));
    }
  }
  const { variables: found } = solve(
    {
      direction: 'minimize',
      objective: 'cost',
      constraints,
      variables,
      integers: inSteps ? all.map((_, index) => `knob ${index}`) : [],
    },
    { maxIterations: MOST_BRANCHES, timeout: Infinity },
  );
  const steps = new Map(found);
  return all.map(({ stepMs }, index) => {
    const count = steps.get(`knob ${index}`) ?? 0;
    // Steps of a tenth add up to what reads as a tenth.
    return inSteps ? Number((Math.round(count) * stepMs).toFixed(6)) : count * stepMs;
  });
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
  const smooth = programme(unlike, all, false);
  const stepped = programme(unlike, all, true);
  // Where branching came to an end without a setting, what stands may be better than nothing at all.
  const best = [stepped, now].reduce((one, other) =>
    costOf(unlike, other) < costOf(unlike, one) - 1e-9 ? other : one,
  );
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

/** All delays as one edit. @returns null where nothing is to be set */
export const timingFix = (measured: Measured): Fix | null => {
  const solution = solveTiming(measured);
  const commands = solution ? setsOf(solution) : [];
  if (!solution || commands.length === 0) return null;
  const label = `Set ${commands.length === 1 ? 'one delay' : `${commands.length} delays`}: at most ${solution.worstMs.toFixed(1)} ms apart instead of ${solution.worstBeforeMs.toFixed(1)}`;
  return { label, command: { type: 'batch', label, commands } };
};
