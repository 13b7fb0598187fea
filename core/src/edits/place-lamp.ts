import { nameOfThing } from '../passes/names';
import { type FaceLight, type LightSource, movedTo, withSource } from '../passes/light';
import type { Measured } from '../passes/measured';
import { stepped } from '../passes/place';
import { figure } from '../passes/sum';
import { isInside } from '../rig';
import type { Fix } from './fix';
import { moveLamp } from './light';

/** Another place for a lamp, found by what it would do from there. */

/** How far lamps are carried, nearest first. @unit m */
const FAR_M = [0.3, 0.6, 0.9, 1.2] as const;
/** Directions that are tried. */
const WAYS = 16;

/** A place a lamp could stand at, and what the faces would be. */
export interface LampPlace {
  readonly source: LightSource;
  readonly directionDeg: number;
  readonly byM: number;
  readonly faces: readonly FaceLight[];
}

/** Every place around a lamp within the room, nearest first. */
export const placesAround = (
  measured: Measured,
  source: LightSource,
  faces: readonly FaceLight[],
): LampPlace[] => {
  const corners = measured.rig.shell?.corners;
  return FAR_M.flatMap((byM) =>
    Array.from({ length: WAYS }, (_, way) => (360 * way) / WAYS).flatMap((directionDeg) => {
      const to = stepped(source.at, directionDeg, byM);
      if (corners && !isInside(corners, to)) return [];
      const moved = movedTo(measured, source, { ...to, zM: source.at.zM });
      return [
        {
          source,
          directionDeg,
          byM,
          faces: faces.map((face) => withSource(measured, face, moved)),
        },
      ];
    }),
  );
};

/** The best few places that serve, nearest first; of those equally near the one that serves best. */
export const moveInto = (
  measured: Measured,
  places: readonly LampPlace[],
  serves: (place: LampPlace) => number | null,
): Fix[] => {
  const good = places.flatMap((place) => {
    const worth = serves(place);
    return worth === null ? [] : [{ place, worth }];
  });
  return FAR_M.flatMap((byM) => {
    const [best] = good
      .filter(({ place }) => place.byM === byM)
      .sort((a, b) => b.worth - a.worth || a.place.directionDeg - b.place.directionDeg);
    if (!best) return [];
    const { source, directionDeg } = best.place;
    const commands = moveLamp(measured, source.id, directionDeg, byM);
    const label = `Move ${nameOfThing(measured, source)} ${figure(byM)} m, to ${figure(directionDeg, 0)}° on the plan`;
    return commands.length > 0
      ? [{ label, command: { type: 'batch' as const, label, commands: [...commands] } }]
      : [];
  });
};
