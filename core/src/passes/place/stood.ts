import isDeepEqual from 'fast-deep-equal';
import { bodyOf } from '../../catalogue/bodies';
import {
  type Body,
  type Device,
  entry,
  inOrder,
  numberSetting,
  type Person,
  type Point,
  type Rig,
  type Spot,
  STRAIGHT,
} from '../../rig';
import type { Measured } from '../measured';
import { pass } from '../pass';
import { angleOff, clockwise, distanceBetween, type InRoom, rise, stepped } from './geometry';
import { mouthOf } from './people';
import { carriesAtM, deskOf, spotOn } from './supports';

/** Where devices stand: by themselves, on what carries them, or at the mouth they hear. */

/** A device that stands somewhere. */
export interface Stood {
  readonly id: string;
  readonly kind: Device['model']['kind'];
  readonly personId: string | null;
  /** What carries it; null where it stands by itself */
  readonly supportId: string | null;
  readonly body: Body | null;
  readonly spot: Spot;
  /** Its foot above the floor. @unit m; null where nobody has said how high it stands */
  readonly footM: number | null;
}

type Rigged = Pick<Rig, 'supports'>;

/** Where a device was put by hand: by itself or on something that stays where it is. An arm follows the mouth. */
export const placedSpot = (rig: Rigged, { at, on }: Device): Spot | null => {
  const support = on ? entry(rig.supports, on.supportId) : undefined;
  if (!on || !support) return at;
  return support.figures.is === 'arm' ? null : spotOn(support, on);
};

/**
 * Where a microphone stands and which way it looks: where it was put, or in front of its person's
 * mouth as its aim says.
 * @returns null where nothing says it
 */
export const microphoneSpot = (
  rig: Rigged,
  device: Device,
  person: Person | undefined,
  distanceM: number | undefined,
): Spot | null => {
  const placed = placedSpot(rig, device);
  if (placed) return placed;
  if (!person?.at || distanceM === undefined) return null;
  const { bearingDeg, offAxisDeg } = device.aim ?? STRAIGHT;
  const towards = person.at.facingDeg + bearingDeg;
  return { ...stepped(person.at, towards, distanceM), facingDeg: towards + 180 + offAxisDeg };
};

/**
 * How far a microphone goes along the plan to stand at another distance from its mouth, straight
 * nearer or farther. @param zM its height @param distanceM through the room
 * @returns null where no move along the floor brings it there
 */
export const moveToMouth = (
  mouth: InRoom,
  spot: Spot,
  zM: number | null,
  distanceM: number,
): Point | null => {
  const upM = rise(mouth, { zM });
  const flatM = distanceBetween(mouth, spot);
  if (Math.abs(upM) >= distanceM || flatM === 0) return null;
  const share = Math.sqrt(distanceM ** 2 - upM ** 2) / flatM - 1;
  return { xM: (spot.xM - mouth.xM) * share, yM: (spot.yM - mouth.yM) * share };
};

/** How far a microphone's own mouth is off its axis. @unit degrees; 0 where nothing says otherwise */
export const ownAngle = (rig: Rigged, device: Device, person: Person | undefined): number => {
  const placed = placedSpot(rig, device);
  if (placed) return person?.at ? Math.abs(angleOff(placed, person.at)) : 0;
  return Math.abs(clockwise(0, device.aim?.offAxisDeg ?? 0));
};

/** A device's foot above the floor, as it was put. @unit m; null where nobody has said */
const footOf = (rig: Rigged, device: Device, body: Body | null): number | null => {
  const { on, heightM } = device;
  const support = on ? entry(rig.supports, on.supportId) : undefined;
  if (on && support) {
    if (!support.at && support.figures.is !== 'arm') return null;
    const carriesM = carriesAtM(support.figures, deskOf(rig, support)?.figures);
    if (carriesM === null) return null;
    const footM = carriesM + on.upM;
    return support.figures.is === 'overhead' ? footM - (body?.heightM ?? 0) : footM;
  }
  if (heightM === null) return null;
  return Math.max(0, heightM - (body?.heightM ?? 0) / 2);
};

/** The distance at which a microphone is set up for its mouth. @unit m */
export const mouthDistanceM = (device: Device): number | undefined => {
  for (const { emits } of Object.values(device.model.ports))
    if (emits?.sound?.type === 'microphone')
      return numberSetting(device, emits.sound.distanceControl);
  return undefined;
};

const stoodOf = (rig: Rig, id: string, device: Device): Stood | null => {
  const { model, personId, on } = device;
  const body = bodyOf(model);
  const placed = placedSpot(rig, device);
  const person = personId === null ? undefined : entry(rig.people, personId);
  const isHearing = Object.values(model.ports).some(
    ({ emits }) => emits?.sound?.type === 'microphone',
  );
  const spot =
    placed ?? (isHearing ? microphoneSpot(rig, device, person, mouthDistanceM(device)) : null);
  if (!spot) return null;
  const mouth = placed || !person ? null : mouthOf(person);
  return {
    id,
    kind: model.kind,
    personId,
    supportId: on?.supportId ?? null,
    body,
    spot,
    footM: mouth ? mouth.zM - (body?.heightM ?? 0) / 2 : footOf(rig, device, body),
  };
};

/** Every device that stands somewhere, in the rig's order. */
export const stood = pass(
  'stood',
  (measured): readonly Stood[] =>
    inOrder(Object.fromEntries(measured.devices())).flatMap(
      ([id, device]) => stoodOf(measured.rig, id, device) ?? [],
    ),
  isDeepEqual,
);

/** One of them. @returns undefined where nobody has said where it is */
export const stoodAt = (measured: Measured, deviceId: string): Stood | undefined =>
  stoodById(measured).get(deviceId);

const stoodById = pass(
  'stood by id',
  (measured): ReadonlyMap<string, Stood> =>
    new Map(stood(measured).map((device) => [device.id, device])),
);

/** Its middle above the floor. @unit m; null where nobody has said how high it stands */
export const middleM = ({ footM, body }: Pick<Stood, 'footM' | 'body'>): number | null =>
  footM === null ? null : footM + (body?.heightM ?? 0) / 2;
