import { type BuiltRoom, builtRoom } from '../../passes/room';
import type { Measured } from '../../passes/measure';
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
