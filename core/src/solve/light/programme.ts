import { type Constraint, solve } from 'yalps';
import type { OnFace } from '../../passes/light';
import { type Limit, type LimitOf, limitsOf, missedBy } from './limits';
import type { LightTask, WantedFace } from './wish';

/**
 * Dimmers as a linear programme: illuminance is linear in them, so what is wanted of faces, hair, walls
 * and screens is a set of inequalities. Which lamp is whose key is not linear; it is tried through.
 */

/** Dimmers that meet everything, or what stands against it. */
export interface Levels {
  /** By lamp, 0 to 1 */
  readonly shares: Readonly<Record<string, number>>;
  /** What the aim comes to: W, lamps, or lux in eyes */
  readonly cost: number;
}

/** Limits are kept with so much to spare, so that dimmers may be set in tenths of a percent; or, failing that, just. */
const SPARE = 0.004;
const NONE_TO_SPARE = 0;

/** Most combinations of keys that are tried; fewer where it is only asked what is missing. */
const MOST_KEYS = 64;
const FEW_KEYS = 16;

/** Sources that could be the key of a face: from the front, those that can give most first. */
const keysOf = ({ face }: WantedFace): OnFace[] =>
  face.parts
    .filter((part) => part.full.lux > 0 && part.source.of !== 'screen')
    .sort((a, b) => b.full.lux - a.full.lux)
    .slice(0, 3);

/** Every choice of a key for each face, likely ones first. */
export const keyChoices = (faces: readonly WantedFace[], most = MOST_KEYS): OnFace[][] => {
  const each = faces.map(keysOf);
  if (each.some((keys) => keys.length === 0)) return [];
  let choices: OnFace[][] = [[]];
  for (const keys of each)
    choices = choices.flatMap((choice) => keys.map((key) => [...choice, key]));
  const rank = (choice: readonly OnFace[]): number =>
    choice.reduce((sum, key, index) => sum + (each[index]?.indexOf(key) ?? 0), 0);
  return choices.sort((a, b) => rank(a) - rank(b)).slice(0, most);
};

/** What a limit is measured by, so that all are missed alike. */
const scaleOf = ({ over, min, max }: Limit): number =>
  Math.max(
    Math.abs(min ?? 0),
    Math.abs(max ?? 0),
    0.5 *
      Object.values(over.of).reduce((sum, value) => sum + Math.abs(value), Math.abs(over.fixed)),
    1,
  );

const bounds = ({ over, min, max }: Limit, scale: number, toSpare: number): Constraint => {
  const spare = toSpare * Math.max(Math.abs(min ?? 0), Math.abs(max ?? 0));
  return {
    ...(min === undefined ? {} : { min: (min - over.fixed + spare) / scale }),
    ...(max === undefined ? {} : { max: (max - over.fixed - spare) / scale }),
  };
};

/** A ratio is kept with a little to spare as well: its limits stand at nothing. */
const tightened = (limit: Limit, toSpare: number): Limit => {
  const { over, min, max } = limit;
  if (min !== 0 && max !== 0) return limit;
  const of = Object.fromEntries(
    Object.entries(over.of).map(([id, value]) => {
      const against = min === 0 ? value < 0 : value > 0;
      return [id, against ? value * (1 + 2 * toSpare) : value];
    }),
  );
  const against = min === 0 ? over.fixed < 0 : over.fixed > 0;
  return { ...limit, over: { of, fixed: against ? over.fixed * (1 + 2 * toSpare) : over.fixed } };
};

/** How far a dimmer goes, beyond 1 only to see what would be needed; and whether limits may be missed. */
interface Reach {
  readonly most: number;
  /** Comes as near as it can where not everything can be met */
  readonly isNear?: true;
  /** Looks at likely keys alone: for one of many tries */
  readonly isQuick?: true;
  /** How far within its limits an answer lies, as a share of them */
  readonly toSpare?: number;
}

/** A limit missed by all it stands at costs so much more than anything else. */
const MISS_COST = 1e3;
/** What is missed first where not everything can be met: taste before light. */
const WEIGHTS: Readonly<Record<LimitOf, number>> = {
  exposure: 20,
  board: 4,
  screen: 4,
  background: 2,
  ratio: 1,
  hair: 1,
};

/** The cheapest dimmers for chosen keys. @returns null where nothing meets every limit */
export const levelsFor = (
  task: LightTask,
  limits: readonly Limit[],
  { most, isNear, toSpare = SPARE }: Reach = { most: 1 },
): Levels | null => {
  const constraints = new Map<string, Constraint>();
  const variables = new Map<string, Map<string, number>>();
  const put = (id: string, constraint: string, value: number): void => {
    const at = variables.get(id) ?? new Map<string, number>();
    at.set(constraint, value);
    variables.set(id, at);
  };
  limits.forEach((asked, index) => {
    const limit = tightened(asked, toSpare);
    // Every row in shares of what it is measured by, so that none drowns another.
    const scale = scaleOf(limit);
    constraints.set(`${index}`, bounds(limit, scale, toSpare));
    for (const [id, value] of Object.entries(limit.over.of)) put(id, `${index}`, value / scale);
    if (!isNear) return;
    const cost = MISS_COST * WEIGHTS[limit.about];
    for (const [side, bound, sign] of [
      ['under', limit.min, 1],
      ['over', limit.max, -1],
    ] as const) {
      if (bound === undefined) continue;
      put(`${side} ${index}`, `${index}`, sign);
      put(`${side} ${index}`, 'cost', cost);
    }
  });
  const power = Math.max(1, ...task.lamps.map(({ watts }) => watts));
  const dazzle = Math.max(1, ...task.lamps.map(({ glare }) => glare));
  const binaries: string[] = [];
  for (const { id, watts, glare, least } of task.lamps) {
    constraints.set(`most ${id}`, { max: most });
    put(id, `most ${id}`, 1);
    const byPower = (watts + 1e-3) / power;
    put(id, 'cost', task.aim === 'glare' ? glare / dazzle + 0.01 * byPower : byPower);
    if (task.aim !== 'lamps') continue;
    const on = `on ${id}`;
    binaries.push(on);
    put(id, 'cost', 0.01 * byPower);
    put(on, 'cost', 1);
    constraints.set(`lit ${id}`, { max: 0 });
    put(id, `lit ${id}`, 1);
    put(on, `lit ${id}`, -most);
    constraints.set(`least ${id}`, { min: 0 });
    put(id, `least ${id}`, 1);
    put(on, `least ${id}`, -least);
  }
  const solution = solve(
    { direction: 'minimize', objective: 'cost', constraints, variables, binaries },
    { includeZeroVariables: true, maxIterations: 2000 },
  );
  if (solution.status !== 'optimal' && solution.status !== 'timedout') return null;
  if (!Number.isFinite(solution.result)) return null;
  const found = new Map(solution.variables);
  return {
    shares: Object.fromEntries(
      task.lamps.map(({ id }) => [id, Math.min(most, found.get(id) ?? 0)]),
    ),
    cost: solution.result,
  };
};

/** Dimmers, the key of each face, and the limits they were set by. */
export interface Chosen {
  readonly levels: Levels;
  readonly keys: readonly OnFace[];
  readonly limits: readonly Limit[];
}

/**
 * The cheapest over every choice of keys, with something to spare where that can be: what meets its limits just, and no
 * better, is still an answer.
 * @returns null where nothing meets every limit
 */
export const bestLevels = (task: LightTask, reach: Reach = { most: 1 }): Chosen | null =>
  cheapest(task, reach) ??
  (reach.isNear || reach.isQuick ? null : cheapest(task, { ...reach, toSpare: NONE_TO_SPARE }));

const cheapest = (task: LightTask, reach: Reach): Chosen | null => {
  let best: Chosen | null = null;
  const choices = keyChoices(task.faces, reach.isNear || reach.isQuick ? FEW_KEYS : MOST_KEYS);
  for (const keys of choices) {
    const limits = limitsOf(task, keys);
    const levels = levelsFor(task, limits, reach);
    if (levels && (best === null || levels.cost < best.levels.cost - 1e-9))
      best = { levels, keys, limits };
  }
  return best && { ...best, levels: { ...best.levels, shares: settable(best) } };
};

/** Dimmers are set in tenths of a percent. */
const STEPS = 1000;
/** A lamp that is hardly on, of which a tenth of a percent is much. */
const LOW_SHARE = 0.12;
/** So many of those are rounded both ways. */
const MOST_LOW = 8;

const worst = (limits: readonly Limit[], shares: Readonly<Record<string, number>>): number =>
  Math.max(0, ...limits.map((limit) => missedBy(limit, shares)));

/** The dimmers as they can be set: each rounded, and those that are hardly on whichever way misses least. */
const settable = ({ levels: { shares }, limits }: Chosen): Record<string, number> => {
  const near = Object.fromEntries(
    Object.entries(shares).map(([id, share]) => [id, Math.round(STEPS * share) / STEPS]),
  );
  const low = Object.entries(shares)
    .filter(([, share]) => share > 0 && share < LOW_SHARE)
    .slice(0, MOST_LOW);
  // What hangs on the darkest point of a screen is left to the programme.
  const plain = limits.filter(({ over }) =>
    Object.keys(over.of).every((id) => Object.hasOwn(shares, id)),
  );
  let best = near;
  let least = worst(plain, near);
  for (let bits = 0; bits < 2 ** low.length && least > 0; bits++) {
    const tried = { ...near };
    low.forEach(([id, share], index) => {
      const round = (bits >> index) % 2 === 0 ? Math.floor : Math.ceil;
      tried[id] = round(STEPS * share) / STEPS;
    });
    const missed = worst(plain, tried);
    if (missed < least - 1e-9) [best, least] = [tried, missed];
  }
  return best;
};
