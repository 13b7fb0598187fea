import { bodyOf } from '../../catalogue/bodies';
import { type Device, entry, inOrder, type Support, type SupportOf } from '../../rig';
import type { Measured } from '../measured';
import { pass } from '../pass';
import { distanceInRoom, type Somewhere } from './geometry';
import { stood } from './stood';
import { carriesAtM, deskOf } from './supports';

/** What supports carry, and whether they stand. Masses in kg, lengths in m; moments in kg·m. */

/** What hangs of the cable of something on an arm: two metres of a usual one. @unit kg */
export const CABLE_KG = 0.1;
/** What a stand must stand with: the restoring moment over the overturning one. @source handbook 5 */
export const TIP_FACTOR = 1.5;

/** Masses of a stand itself. */
type OwnMass = 'its arm' | 'the stand' | 'the bag' | 'the counterweight';

/** A mass at a horizontal distance from the column, in the direction in which it would tip. */
export interface Pull {
  /** The device that it is of, or what of the stand itself */
  readonly of: { readonly deviceId: string } | OwnMass;
  readonly massKg: number;
  readonly atM: number;
}

export interface Tipping {
  /** From the column to the edge over which it would go */
  readonly edgeM: number;
  readonly overturning: number;
  readonly restoring: number;
  /** Infinity where nothing pulls beyond the edge */
  readonly factor: number;
  readonly pulls: readonly Pull[];
  /** The bag on the far edge that brings the factor to what is asked; 0 where it stands */
  readonly bagKg: number;
}

/**
 * The shortest distance from a column to a line that joins neighbouring feet.
 * @param feet 0 for a round plate @param legM from the column to a foot @unit m
 */
export const baseEdgeM = (feet: number, legM: number): number =>
  feet === 0 ? legM : feet < 3 ? 0 : legM * Math.cos(Math.PI / feet);

/** Whether something would go over an edge, and what would hold it. @source handbook 5, stands */
export const tippingOver = (edgeM: number, pulls: readonly Pull[]): Tipping => {
  let [overturning, restoring] = [0, 0];
  for (const { massKg, atM } of pulls) {
    const moment = massKg * (atM - edgeM);
    if (moment > 0) overturning += moment;
    else restoring -= moment;
  }
  const missing = TIP_FACTOR * overturning - restoring;
  return {
    edgeM,
    overturning,
    restoring,
    factor: overturning === 0 ? Infinity : restoring / overturning,
    pulls,
    bagKg: missing > 0 && edgeM > 0 ? missing / (2 * edgeM) : 0,
  };
};

/** The weight on the other end of an arm that takes all of the pull off the column. @unit kg */
export const counterweightKg = (pulls: readonly Pull[], atM: number): number =>
  Math.max(
    0,
    pulls.reduce((sum, pull) => sum + pull.massKg * pull.atM, 0),
  ) / atM;

const ownPull = (of: OwnMass, massKg: number, atM: number): Pull => ({ of, massKg, atM });

/** What hangs on an arm of a stand, and its own masses; the loads themselves first. */
export const pullsOf = (
  { feet, legM, massKg, out, ballastKg, counterKg, counterAtM }: SupportOf<'stand'>,
  loads: readonly Load[],
): Pull[] => [
  ...loads.map((load): Pull => ({
    of: { deviceId: load.deviceId },
    massKg: load.massKg,
    atM: (out?.reachM ?? 0) + load.forwardM,
  })),
  ...(out ? [ownPull('its arm', out.massKg, out.massAtM)] : []),
  ownPull('the stand', massKg, 0),
  ...(ballastKg > 0 ? [ownPull('the bag', ballastKg, -baseEdgeM(feet, legM))] : []),
  ...(counterKg > 0 ? [ownPull('the counterweight', counterKg, -counterAtM)] : []),
];

/** Something that a support carries. */
export interface Load {
  readonly deviceId: string;
  readonly massKg: number;
  /** Ahead of where the support carries. @unit m */
  readonly forwardM: number;
  /** Whether the cable that hangs of it counts */
  readonly isHung: boolean;
}

/** A support with what is on it. */
export interface Loaded {
  readonly id: string;
  readonly support: Support;
  readonly loads: readonly Load[];
  /** Devices on it of which nobody knows what they weigh */
  readonly unknown: readonly string[];
  /** Everything on it, arms that are clamped to it and their loads too */
  readonly loadKg: number;
  readonly heatW: number;
  /** How a stand stands; null for everything else */
  readonly tipping: Tipping | null;
  /** The same with its load taken off and the counterweight left: it goes over backwards */
  readonly tippingBack: Tipping | null;
  /** From an arm's clamp to what hangs on it. @unit m; null for everything else, and where it is not known */
  readonly armM: number | null;
}

const reversed = (pulls: readonly Pull[]): Pull[] =>
  pulls.map((pull) => ({ ...pull, atM: -pull.atM }));

const armLengthM = (measured: Measured, id: string, support: Support): number | null => {
  if (support.figures.is !== 'arm' || !support.at) return null;
  const clamp: Somewhere = {
    ...support.at,
    zM: carriesAtM(support.figures, deskOf(measured.rig, support)?.figures),
  };
  const ends = stood(measured).filter(({ supportId }) => supportId === id);
  const lengths = ends.map(({ spot, footM, body }) =>
    distanceInRoom(clamp, {
      ...spot,
      zM: footM === null ? null : footM + (body?.heightM ?? 0) / 2,
    }),
  );
  return lengths.length === 0 ? null : Math.max(...lengths);
};

/** In the typical mass of a camera there is a usual lens. @unit kg */
const USUAL_LENS_KG = 0.35;

/** What the lens of the rig that is on a camera weighs more than a usual one. @unit kg */
const lensExtraKg = ({ rig }: Pick<Measured, 'rig'>, { lensId }: Device): number => {
  const lens = lensId === null ? undefined : entry(rig.lenses, lensId);
  return lens ? lens.massKg - USUAL_LENS_KG : 0;
};

const ownLoads = (measured: Measured, id: string): { loads: Load[]; unknown: string[] } => {
  const loads: Load[] = [];
  const unknown: string[] = [];
  const figures = entry(measured.rig.supports, id)?.figures;
  for (const [deviceId, device] of measured.devices()) {
    const { on, model } = device;
    if (on?.supportId !== id) continue;
    const body = bodyOf(model);
    if (!body) unknown.push(deviceId);
    else
      loads.push({
        deviceId,
        massKg:
          body.massKg +
          lensExtraKg(measured, device) +
          (entry(measured.rig.lamps, deviceId)?.modifier?.massKg ?? 0),
        forwardM: on.yM,
        isHung: figures?.is === 'arm' && body.mount === 'on a thread',
      });
  }
  return { loads, unknown };
};

const massOf = (loads: readonly Load[]): number =>
  loads.reduce((sum, { massKg, isHung }) => sum + massKg + (isHung ? CABLE_KG : 0), 0);

/** An arm of the usual kind, without what it holds. @unit kg */
const ARM_KG = 2;

/** Every support with what it carries, in the rig's order. */
export const loaded = pass('loaded', (measured): readonly Loaded[] => {
  const all = inOrder(measured.rig.supports);
  return all.map(([id, support]) => {
    const { loads, unknown } = ownLoads(measured, id);
    const { figures } = support;
    const clamped = all.filter(([, { onId }]) => onId === id);
    const ofArms = clamped.reduce(
      (sum, [armId]) => sum + ARM_KG + massOf(ownLoads(measured, armId).loads),
      0,
    );
    const pulls = figures.is === 'stand' ? pullsOf(figures, loads) : [];
    const edgeM = figures.is === 'stand' ? baseEdgeM(figures.feet, figures.legM) : 0;
    const bare = figures.is === 'stand' ? reversed(pullsOf(figures, [])) : [];
    return {
      id,
      support,
      loads,
      unknown,
      loadKg: massOf(loads) + ofArms,
      heatW: loads.reduce((sum, { deviceId }) => sum + (heatOf(measured, deviceId) ?? 0), 0),
      tipping: figures.is === 'stand' ? tippingOver(edgeM, pulls) : null,
      tippingBack:
        figures.is === 'stand' && figures.counterKg > 0 ? tippingOver(edgeM, bare) : null,
      armM: armLengthM(measured, id, support),
    };
  });
});

const heatOf = (measured: Measured, deviceId: string): number | null =>
  bodyOf(measured.device({ id: deviceId }).model)?.heatW ?? null;
