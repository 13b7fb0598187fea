import { type BuiltRoom, builtRoom } from '../../passes/room';
import type { Measured } from '../../passes/measure';
import { figure } from '../../passes/sum';
import type { Sum } from '../../passes/sum';
import { BANDS_HZ, type SimpleCommand } from '../../rig';
import { freeId } from '../../rig';
import type { Found } from '../rule-of';

/** Words and sums that the rules of the room share. */

/** What a rule finds in the room as it is drawn; nothing where nobody has drawn it. */
export const inBuiltRoom =
  (find: (built: BuiltRoom, measured: Measured) => readonly Found[]) =>
  (measured: Measured): Found[] => {
    const built = builtRoom(measured);
    return built ? [...find(built, measured)] : [];
  };

/** How long a room rings in each band, part by part. */
export const bandSums = ({ bands, volumeM3, surfaceM2 }: BuiltRoom): Sum[] =>
  bands.map(({ hz, absorptionM2, rt60S, relation }) => ({
    label: `Rings at ${hz < 1000 ? hz : hz / 1000} ${hz < 1000 ? 'Hz' : 'kHz'}, by ${relation}`,
    formula: relation === 'Sabine' ? '0.161·V ÷ A' : '0.161·V ÷ (−S·ln(1 − A ÷ S))',
    inputs: [
      { name: 'V', value: volumeM3, unit: 'm³' },
      { name: 'A', value: absorptionM2, unit: 'm²' },
      ...(relation === 'Eyring' ? [{ name: 'S', value: surfaceM2, unit: 'm²' }] : []),
    ],
    result: rt60S,
    unit: 's',
    source: 'handbook 5-room-desk-power, room sound; absorption typical unless typed over',
  }));

/** The sums of the two bands a room's time is told by. */
export const middleSums = (built: BuiltRoom): Sum[] =>
  bandSums(built).filter((_, band) => BANDS_HZ[band] === 500 || BANDS_HZ[band] === 1000);

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
