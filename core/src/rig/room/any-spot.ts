import { type Chance, tenths } from '../chance';
import type { Spot } from './schema';

/** A place on the floor, for a test. */
export const anySpot = (chance: Chance): Spot => ({
  xM: tenths(chance, 0, 8),
  yM: tenths(chance, 0, 6),
  facingDeg: chance.integer(0, 359),
});
