import { nameOfThing } from '../../passes/names';
import type { Measured } from '../../passes/measured';
import { inOrder, isInside, type Point, wallsOf } from '../../rig';
import type { About } from '../about';
import { distanceFromLine, groundOf, solids } from '../../passes/place';
import { placeRule } from '../rule-of';
import { inBuiltRoom } from './room';

interface Standing {
  readonly name: string;
  readonly about: About;
  readonly at: Point;
}

/** What stands flush with a wall, within the thickness of a line. @unit m */
const FLUSH_M = 0.02;
const isFar = (corners: readonly Point[], at: Point): boolean =>
  wallsOf(corners).every(([from, to]) => distanceFromLine(at, from, to) > FLUSH_M);

/** Everybody and everything that has a place on the plan. */
const standing = (measured: Measured): Standing[] => {
  const { people, noises, devices, shell } = measured.rig;
  return [
    ...inOrder(people).flatMap(([personId, { name, at, where }]) =>
      at && where === 'on site' ? [{ name, at, about: { kind: 'person' as const, personId } }] : [],
    ),
    ...inOrder(noises).flatMap(([noiseId, { name, at }]) =>
      at ? [{ name, at, about: { kind: 'noise' as const, noiseId } }] : [],
    ),
    ...solids(measured).supports.flatMap((solid) => {
      const corners = shell?.corners ?? [];
      // The feet of a round stand may be turned so that they stay inside.
      const outer = solid.isRound ? [] : groundOf(solid).filter((at) => !isInside(corners, at));
      const at = isInside(corners, solid.spot)
        ? outer.find((corner) => isFar(corners, corner))
        : solid.spot;
      const about = { kind: 'support' as const, supportId: solid.id };
      return at ? [{ name: nameOfThing(measured, solid), at, about }] : [];
    }),
    ...inOrder(devices).flatMap(([deviceId, { name, at }]) =>
      at ? [{ name, at, about: { kind: 'device' as const, deviceId } }] : [],
    ),
  ];
};

export const outside = placeRule(
  'place.outside',
  {
    looksFor: 'Somebody or something whose place on the plan is outside the room.',
    why: 'Distances are computed as if through the wall, and one of the two was measured wrongly.',
    remedy: 'Correct the place, or the walls.',
    source: 'the plan',
  },
  inBuiltRoom(({ shell }, measured) =>
    standing(measured)
      .filter(({ at }) => !isInside(shell.corners, at))
      .map(({ name, about }) => ({
        level: 'warn',
        about,
        title: `${name} is outside the room`,
        says:
          `${name} stands outside the walls as they are drawn. Distances to it cannot be right. ` +
          'Correct its place, or the walls.',
      })),
  ),
);
