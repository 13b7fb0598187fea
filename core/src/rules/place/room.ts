import { type BuiltRoom, builtRoom, targetS } from '../../passes/room';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { freeId, type SimpleCommand } from '../../rig';
import type { Found } from '../rule-of';

/** Words and edits that the rules of the room share. */

/** What a rule finds in the room as it is drawn; nothing where nobody has drawn it. */
export const inBuiltRoom =
  (find: (built: BuiltRoom, measured: Measured) => readonly Found[]) =>
  (measured: Measured): Found[] => {
    const built = builtRoom(measured);
    return built ? [...find(built, measured)] : [];
  };

/** @param s seconds */
export const seconds = (s: number): string => `${figure(s, 2)} s`;

/** Typical absorption tells a time no nearer than this, as a share. */
const NEAR_TIME = 0.3;
/** A room may ring so much longer than is right before anybody hears it. */
export const NOTICED = 1.25;

/** Whether a typed time is far from what surfaces tell. */
export const isFarFrom = (typedS: number, builtS: number): boolean =>
  Math.abs(typedS / builtS - 1) > NEAR_TIME;

/** How long the room may ring for speech. @unit s */
export const rightS = ({ rig: { houseRules } }: Measured, { volumeM3 }: BuiltRoom): number =>
  targetS(houseRules.room, volumeM3);

/**
 * What becomes of a typed time when the room is treated and rings for another: it is let go of,
 * unless it was far off before, or the room then shows to be worse than it was thought to be.
 * @returns null where nothing does without a new complaint
 */
export const timeAfter = (
  measured: Measured,
  built: BuiltRoom,
  afterS: number,
): SimpleCommand[] | null => {
  const typed = measured.rig.room.rt60S;
  if (typed === null || isFarFrom(typed, built.rt60S)) return [];
  const most = rightS(measured, built) * NOTICED;
  if (afterS <= most || typed > most) return computeTime(measured);
  return isFarFrom(typed, afterS) ? null : [];
};

/** Leaves the room's time to be computed, where somebody has typed one. */
export const computeTime = ({ rig: { room } }: Measured): SimpleCommand[] =>
  room.rt60S === null ? [] : [{ type: 'setRoom', room: { rt60S: null } }];

/** A surface to be added, under an id that is free. */
export const addSurface = (
  { rig: { surfaces } }: Measured,
  surface: Extract<SimpleCommand, { type: 'addSurface' }>['surface'],
  taken: readonly string[] = [],
): Extract<SimpleCommand, { type: 'addSurface' }> => ({
  type: 'addSurface',
  surfaceId: freeId(surface.name, {
    ...surfaces,
    ...Object.fromEntries(taken.map((id) => [id, true])),
  }),
  surface,
});
