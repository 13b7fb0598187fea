import {
  entry,
  inOrder,
  isInside,
  type Person,
  type Point,
  type Rig,
  type ShotPlan,
  wallsOf,
} from '../../rig';
import type { Measured } from '../measured';
import { passFor } from '../pass';
import { bearing, distanceBetween, distanceInRoom, type InRoom, type Somewhere } from './geometry';
import { eyesOf } from './people';
import { groundOf, solids } from './solid';
import { middleM, stoodAt } from './stood';

/** What the plan says of a shot: where the lens is, what it looks at, and how far that is. */

export interface ShotOnPlan {
  /** Where the lens is; its height null where nobody has said */
  readonly lens: Somewhere;
  /** The middle of what it looks at; null where nobody has said where that is */
  readonly subject: InRoom | null;
  readonly subjectName: string | null;
  /** Everybody who is meant to be in it */
  readonly peopleIds: readonly string[];
  /** Whether it shows their faces, and not their hands or a thing */
  readonly isOfPeople: boolean;
  /** Lens to subject. @unit m */
  readonly distanceM: number | null;
  /** From the subject on to the wall behind, straight on. @unit m; null without walls */
  readonly backgroundM: number | null;
  /** Between the two seats that lie farthest apart, for a shot of several. @unit m */
  readonly seatSpacingM: number | null;
}

const mean = (points: readonly InRoom[]): InRoom | null =>
  points.length === 0
    ? null
    : {
        xM: points.reduce((sum, { xM }) => sum + xM, 0) / points.length,
        yM: points.reduce((sum, { yM }) => sum + yM, 0) / points.length,
        zM: points.reduce((sum, { zM }) => sum + zM, 0) / points.length,
      };

/** The people a shot is of, and what it is called. */
const meantBy = (
  rig: Rig,
  { personId, sightId }: ShotPlan,
): {
  readonly ids: readonly string[];
  readonly name: string | null;
  readonly at: InRoom | null;
  /** Whether it is the people themselves that are looked at */
  readonly isOfPeople: boolean;
} => {
  const sight = sightId === null ? undefined : entry(rig.brief?.sights ?? {}, sightId);
  if (sight) {
    const isOfPeople = sight.what === 'people together';
    return { ids: sight.people, name: sight.name, at: sight.at, isOfPeople };
  }
  const person = personId === null ? undefined : entry(rig.people, personId);
  return {
    ids: person && personId !== null ? [personId] : [],
    name: person?.name ?? null,
    at: null,
    isOfPeople: true,
  };
};

/**
 * How far it is from a point in a direction to the first wall. @param towardsDeg 0 up the plan,
 * clockwise @unit m; null where there is no wall that way
 */
export const wallAheadM = (
  corners: readonly Point[],
  from: Point,
  towardsDeg: number,
): number | null => {
  const [dx, dy] = [Math.sin((towardsDeg * Math.PI) / 180), Math.cos((towardsDeg * Math.PI) / 180)];
  let nearest = Infinity;
  for (const [a, b] of wallsOf(corners)) {
    const [wx, wy] = [b.xM - a.xM, b.yM - a.yM];
    const cross = dx * wy - dy * wx;
    if (cross === 0) continue;
    const along = ((a.xM - from.xM) * wy - (a.yM - from.yM) * wx) / cross;
    const share = ((a.xM - from.xM) * dy - (a.yM - from.yM) * dx) / cross;
    if (along > 0 && share >= 0 && share <= 1) nearest = Math.min(nearest, along);
  }
  return Number.isFinite(nearest) ? nearest : null;
};

/** A thing this high, as a share of the subject's height, is a background. */
const BACKGROUND_SHARE = 0.5;

/** From a subject on to what stands behind it: a wall, or furniture that is high enough. */
const behindM = (measured: Measured, subject: InRoom, towardsDeg: number): number | null => {
  const walls = wallAheadM(measured.rig.shell?.corners ?? [], subject, towardsDeg);
  const furniture = solids(measured).supports.flatMap((solid) =>
    !solid.isRound &&
    solid.fromM === 0 &&
    solid.toM >= BACKGROUND_SHARE * subject.zM &&
    !isInside(groundOf(solid), subject)
      ? (wallAheadM(groundOf(solid), subject, towardsDeg) ?? [])
      : [],
  );
  const all = [...(walls === null ? [] : [walls]), ...furniture];
  return all.length === 0 ? null : Math.min(...all);
};

const widest = (points: readonly Point[]): number | null =>
  points.length < 2
    ? null
    : Math.max(...points.flatMap((a) => points.map((b) => distanceBetween(a, b))));

/** What the plan says of a shot. @returns null where nobody has said where its camera stands */
export const shotOnPlan = passFor('shot on plan', (measured, shotId: string): ShotOnPlan | null => {
  const shot = entry(measured.rig.shots, shotId);
  const camera = shot && stoodAt(measured, shot.deviceId);
  if (!shot || !camera) return null;
  const { ids, name, at, isOfPeople } = meantBy(measured.rig, shot);
  const placed = ids.flatMap((id) => {
    const person: Person | undefined = entry(measured.rig.people, id);
    return (person && eyesOf(person)) ?? [];
  });
  // Somebody missing from a shot of several leaves its middle open; hands are not where eyes are.
  const subject = at ?? (isOfPeople && placed.length === ids.length ? mean(placed) : null);
  const lens = { xM: camera.spot.xM, yM: camera.spot.yM, zM: middleM(camera) };
  return {
    lens,
    subject,
    subjectName: name,
    peopleIds: ids,
    isOfPeople,
    distanceM: subject && distanceInRoom(lens, subject),
    backgroundM: subject && behindM(measured, subject, bearing(lens, subject)),
    seatSpacingM: placed.length === ids.length ? widest(placed) : null,
  };
});

/** The shots that have a camera on the plan, in the rig's order. */
export const shotsOnPlan = (measured: Measured): (readonly [string, ShotPlan, ShotOnPlan])[] =>
  inOrder(measured.rig.shots).flatMap(([id, shot]) => {
    const onPlan = shotOnPlan(measured, id);
    return onPlan ? [[id, shot, onPlan] as const] : [];
  });

/**
 * A shot with what the plan says of it where nobody has typed it: what is typed stays, and counts.
 */
export const withPlan = (measured: Measured, shotId: string, shot: ShotPlan): ShotPlan => {
  if (shot.distanceM !== null && shot.backgroundM !== null && shot.seatSpacingM !== null)
    return shot;
  const onPlan = shotOnPlan(measured, shotId);
  return onPlan
    ? {
        ...shot,
        distanceM: shot.distanceM ?? onPlan.distanceM,
        backgroundM: shot.backgroundM ?? onPlan.backgroundM,
        seatSpacingM: shot.seatSpacingM ?? onPlan.seatSpacingM,
      }
    : shot;
};
