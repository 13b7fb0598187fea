import type { Rig } from './rig';
import type { Problem } from './slice';
import { ALL_SLICES, LIMITS } from './slices';

export type { Problem } from './slice';

/** Most problems ever told of one document */
const MOST = 100;

const tooMany = (rig: Rig): Problem[] =>
  Object.entries(LIMITS).flatMap(([name, limit]) => {
    const count = Object.keys(rig[name as keyof Rig] ?? {}).length;
    return count > limit
      ? [{ path: [name], says: `expected at most ${limit} ${name}, found ${count}` }]
      : [];
  });

/**
 * Everything a schema cannot see: references that lead nowhere, settings out of range, sockets with two plugs.
 * @returns at most 100 problems, none for a consistent rig
 */
export const inconsistencies = (rig: Rig): Problem[] =>
  [...tooMany(rig), ...Object.values(ALL_SLICES).flatMap(({ problems }) => problems(rig))].slice(
    0,
    MOST,
  );
