import { bandsOf, type BuiltRoom } from '../../passes/room';
import type { Shell, Surface } from '../../rig';

/** How a room's low bands stand to its middle. */

/** So much longer in the low bands than in the middle, and a voice sounds as if in a box. */
const BOOMS = 1.7;
/** Larger rooms may ring longer below, and do. @unit m³ */
const SMALL_M3 = 300;

export interface Boom {
  /** Mean of 125 and 250 Hz. @unit s */
  readonly lowS: number;
  /** Mean of 500 Hz and 1 kHz. @unit s */
  readonly middleS: number;
  readonly ratio: number;
}

export const boomOf = (bands: BuiltRoom['bands']): Boom => {
  const s = (band: number): number => bands[band]?.rt60S ?? NaN;
  const [lowS, middleS] = [(s(0) + s(1)) / 2, (s(2) + s(3)) / 2];
  return { lowS, middleS, ratio: lowS / middleS };
};

/** Takes up the high bands and leaves the low ones. */
export const isThin = ({ absorption, covers }: Surface): boolean =>
  (covers === 'walls' || covers === 'ceiling') &&
  absorption[0] < 0.25 &&
  absorption[3] - absorption[0] > 0.4;

/** Whether thin treatment makes a small room boom. */
export const booms = (
  { volumeM3 }: Pick<BuiltRoom, 'volumeM3'>,
  bands: BuiltRoom['bands'],
  surfaces: readonly Surface[],
): boolean => volumeM3 <= SMALL_M3 && surfaces.some(isThin) && boomOf(bands).ratio > BOOMS;

/** The same of a room with other surfaces in it. */
export const wouldBoom = (
  built: Pick<BuiltRoom, 'volumeM3'> & { readonly shell: Shell },
  surfaces: readonly Surface[],
): boolean => booms(built, bandsOf(built.shell, surfaces), surfaces);
