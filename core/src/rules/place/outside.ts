import type { Measured } from '../../passes/measure';
import { inOrder, isInside, type Point } from '../../rig';
import type { About } from '../about';
import { placeRule } from '../rule-of';
import { inBuiltRoom } from './room';

interface Standing {
  readonly name: string;
  readonly about: About;
  readonly at: Point;
}

/** Everybody and everything that has a place on the plan. */
const standing = ({ rig: { people, noises, devices } }: Measured): Standing[] => [
  ...inOrder(people).flatMap(([personId, { name, at, where }]) =>
    at && where === 'on site' ? [{ name, at, about: { kind: 'person' as const, personId } }] : [],
  ),
  ...inOrder(noises).flatMap(([noiseId, { name, at }]) =>
    at ? [{ name, at, about: { kind: 'noise' as const, noiseId } }] : [],
  ),
  ...inOrder(devices).flatMap(([deviceId, { name, at }]) =>
    at ? [{ name, at, about: { kind: 'device' as const, deviceId } }] : [],
  ),
];

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
