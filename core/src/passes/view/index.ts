import { entry } from '../../rig';
import { type Framing, framingById, framings } from '../framing';
import type { Measured } from '../measured';
import { haveSameItems, pass, passFor } from '../pass';
import {
  groundOf,
  type InRoom,
  outlineOf,
  reachingSolids,
  type ShotOnPlan,
  shotOnPlan,
  type Solid,
  solids,
  stoodAt,
} from '../place';
import {
  type Camera,
  cameraAt,
  edgeAsideM,
  inPicture,
  type InPicture,
  passesThrough,
  seenFrom,
} from './camera';

export * from './camera';

/** What each camera sees of the plan. */

/** Something that shows in a picture. */
export interface Shown {
  readonly solid: Solid;
  readonly where: InPicture;
  /** The middle of it ahead of the lens, and to the right of the picture's middle. @unit m */
  readonly depthM: number;
  readonly asideM: number;
  /** How far it must go sideways, to the nearer side, to be wholly out. @unit m */
  readonly outByM: number;
  /** And to the other side. @unit m */
  readonly outFarM: number;
  /** Whether that is to the right of the picture */
  readonly outToRight: boolean;
  /** Whether it is meant to be in it */
  readonly isSubject: boolean;
}

/** A shot with what is in it. */
export interface View {
  readonly shotId: string;
  readonly framing: Framing;
  readonly onPlan: ShotOnPlan;
  readonly camera: Camera;
  /** From far to near, as it is painted */
  readonly shown: readonly Shown[];
  /** What stands between the lens and the eyes of somebody who is to be seen */
  readonly hidden: readonly { readonly personId: string; readonly by: Solid }[];
}

/** What belongs to the camera itself, or hangs on the same support. */
const isOwn = (deviceId: string, supportId: string | null, { of, id }: Solid): boolean =>
  (of === 'device' && id === deviceId) || (of === 'support' && id === supportId);

/** How far sideways a body must go until its last corner leaves the picture on that side. @unit m */
const outBy = (camera: Camera, corners: readonly InRoom[], side: 1 | -1): number =>
  Math.max(
    0,
    ...corners.map((corner) => {
      const [x, , z] = seenFrom(camera, corner);
      return z <= 0 ? 0 : edgeAsideM(camera, z) - side * x;
    }),
  );

const shownOf = (camera: Camera, solid: Solid, farM: number, isSubject: boolean): Shown | null => {
  const ground = outlineOf(solid);
  const where = inPicture(camera, ground, solid.fromM, solid.toM, farM);
  if (!where) return null;
  const corners = [solid.fromM, solid.toM].flatMap((zM) => ground.map((at) => ({ ...at, zM })));
  const [asideM, , depthM] = seenFrom(camera, {
    ...solid.spot,
    zM: (solid.fromM + solid.toM) / 2,
  });
  const [toRight, toLeft] = [outBy(camera, corners, 1), outBy(camera, corners, -1)];
  return {
    solid,
    where,
    depthM,
    asideM,
    outByM: Math.min(toRight, toLeft),
    outFarM: Math.max(toRight, toLeft),
    outToRight: toRight <= toLeft,
    isSubject,
  };
};

/** What can stand in a picture: a stand is its column and its arm, everything else its box. */
const visible = pass('visible', (measured): readonly Solid[] => {
  const all = solids(measured);
  return [
    ...all.people,
    ...all.devices,
    ...all.supports.flatMap((solid) => {
      const support = entry(measured.rig.supports, solid.id);
      return support?.figures.is === 'stand' ? reachingSolids(solid.id, support) : [solid];
    }),
  ];
});

const viewOf = (measured: Measured, framing: Framing): View | null => {
  const { shotId, shot, sensorWidthMm, sensorHeightMm, focalMm } = framing;
  const onPlan = shotOnPlan(measured, shotId);
  const own = stoodAt(measured, shot.deviceId);
  if (!onPlan?.subject || !own || sensorWidthMm === null || sensorHeightMm === null || !focalMm)
    return null;
  // A camera nobody has given a height to is taken to stand at the height of what it looks at.
  const lens = { ...onPlan.lens, zM: onPlan.lens.zM ?? onPlan.subject.zM };
  const camera = cameraAt(lens, onPlan.subject, sensorWidthMm, sensorHeightMm, focalMm);
  if (!camera) return null;
  const others = visible(measured).filter((solid) => !isOwn(shot.deviceId, own.supportId, solid));
  const isSubject = ({ of, id }: Solid): boolean =>
    of === 'person' && onPlan.peopleIds.includes(id);
  const farM =
    shot.distanceM !== null && shot.backgroundM !== null
      ? shot.distanceM + shot.backgroundM
      : Infinity;
  const shown = others.flatMap((solid) => shownOf(camera, solid, farM, isSubject(solid)) ?? []);
  const eyes = (onPlan.isOfPeople ? onPlan.peopleIds : []).flatMap((personId) => {
    const solid = others.find(({ of, id }) => of === 'person' && id === personId);
    return solid ? [{ personId, at: { ...solid.spot, zM: solid.toM - EYES_UNDER_M } }] : [];
  });
  return {
    shotId,
    framing,
    onPlan,
    camera,
    shown: [...shown].sort((a, b) => b.depthM - a.depthM),
    hidden: eyes.flatMap(({ personId, at }) => {
      const by = others.find(
        (solid) =>
          !(solid.of === 'person' && solid.id === personId) &&
          !isHeardBefore(measured, solid) &&
          passesThrough(lens, at, groundOf(solid), solid.fromM, solid.toM),
      );
      return by ? [{ personId, by }] : [];
    }),
  };
};

/** A microphone before a mouth hides nobody. */
const isHeardBefore = (measured: Measured, { of, id }: Solid): boolean => {
  const kind = of === 'device' ? measured.device({ id }).model.kind : null;
  return kind === 'microphone' || kind === 'wireless' || kind === 'booster';
};

/** Eyes under the crown, as the plan has them. @unit m */
const EYES_UNDER_M = 0.11;

/** Every shot whose camera and subject stand on the plan, in the rig's order. */
export const views = pass(
  'views',
  (measured): readonly View[] =>
    framings(measured).flatMap(({ shotId }) => viewById(measured, shotId) ?? []),
  haveSameItems,
);

/** One of them, by its shot. */
export const viewById = passFor('view', (measured, shotId: string): View | null => {
  const framing = framingById(measured, shotId);
  return framing && viewOf(measured, framing);
});
