import type { Absorption, Surface } from '../../rig';
import { type BuiltRoom, rt60With } from './built';

/** Panels are hung in steps of this. @unit m² */
const STEP_M2 = 0.5;

/** The least is told to a hundredth; it is looked for more finely. @unit steps */
const LEAST_STEP = 1e-4;

/** Something that could be put into a room, of an area that is yet to be told. */
export interface Treatment {
  readonly absorption: Absorption;
  readonly covers: Surface['covers'];
}

/** How much of a treatment does. */
export interface TreatmentNeeded {
  /** In steps of half a square metre; as much as there is place for where that is not enough. @unit m² */
  readonly areaM2: number;
  /** Before it is rounded up to whole steps; null where it is none, or not enough. @unit m² */
  readonly leastM2: number | null;
  readonly isEnough: boolean;
  /** With it, and with what else was tried. @unit s */
  readonly rt60S: number;
}

/** As it would hang in the room. */
const asSurface = ({ absorption, covers }: Treatment, areaM2: number): Surface => ({
  name: 'Tried',
  absorption,
  covers,
  areaM2,
  order: 0,
});

/**
 * The least of a treatment that brings a room to a time.
 * @param besides what is hung with it @param targetS above 0, s
 * @param mostM2 of what stands free in the room and so has no place that ends
 */
export const treatmentNeeded = (
  built: BuiltRoom,
  treatment: Treatment,
  targetS: number,
  besides: readonly Surface[] = [],
  mostM2 = 4 * built.areasM2.floor,
): TreatmentNeeded => {
  const room =
    treatment.covers === 'nothing' ? mostM2 : Math.max(0, built.freeM2[treatment.covers]);
  const most = Math.floor(room / STEP_M2);
  const rings = (steps: number): number =>
    rt60With(built.shell, [
      ...built.surfaces,
      ...besides,
      ...(steps > 0 ? [asSurface(treatment, steps * STEP_M2)] : []),
    ]);
  const told = (steps: number, leastM2: number | null = null): TreatmentNeeded => {
    const rt60S = rings(steps);
    return { areaM2: steps * STEP_M2, leastM2, isEnough: rt60S <= targetS, rt60S };
  };
  if (rings(0) <= targetS || rings(most) > targetS) return told(rings(0) <= targetS ? 0 : most);
  // More of what absorbs better than what it covers never rings longer, so halves find the least.
  let [short, enough] = [0, most];
  while (enough - short > 1) {
    const half = (short + enough) >> 1;
    if (rings(half) > targetS) short = half;
    else enough = half;
  }
  let [under, over] = [short, enough];
  while (over - under > LEAST_STEP) {
    const half = (under + over) / 2;
    if (rings(half) > targetS) under = half;
    else over = half;
  }
  return told(enough, over * STEP_M2);
};
