import { z } from 'zod';
import { anyOf, someOf, tenths } from '../chance';
import { collection } from '../collection';
import { refusals } from '../refusal';
import { command, type Problem } from '../slice';
import { noiseSchema, roomSchema } from './schema';

export { blank, shape } from './shape';

/** The room as sound meets it, and what makes noise in it. */

export const commands = {
  setRoom: command({
    schema: z.strictObject({ room: roomSchema.partial() }),
    apply: (rig, { room }) => {
      Object.assign(rig.room, room);
    },
    says: (_rig, { room }) =>
      room.name && Object.keys(room).length === 1
        ? `Named the room ${room.name}.`
        : 'Changed what is known of the room.',
    arbitrary: (chance) => ({
      room: someOf(chance, {
        volumeM3: anyOf(chance, [null, 35, 420]),
        rt60S: anyOf(chance, [null, 0.3, 0.9]),
        noiseDba: anyOf(chance, [null, 28, 45]),
        temperatureC: anyOf(chance, [null, 12, 31]),
        name: chance.oneOf(['Shed', 'Hall']),
      }),
    }),
  }),
  ...collection({
    key: 'noise',
    many: 'noises',
    fields: noiseSchema.omit({ order: true }),
    at: (rig) => rig.noises,
    read: (rig) => rig.noises,
    none: refusals.noNoise,
    leaving: (id, forget) => forget({ kind: 'noise', id }),
    says: {
      add: ({ name }) => `Added ${name} to what makes noise.`,
      change: (name, fields) =>
        fields.at !== undefined && Object.keys(fields).length === 1
          ? `Moved ${name}.`
          : `Changed ${name}.`,
      remove: (name) => `Removed ${name} from what makes noise.`,
      name: ({ name }) => name,
    },
    arbitrary: (chance) => ({
      name: chance.oneOf(['Fan', 'Fridge']),
      dbaAt1m: chance.integer(20, 70),
      reading: chance.oneOf(['free field', 'in the room']),
      at: chance.once(3) ? null : { xM: tenths(chance, 0, 8), yM: tenths(chance, 0, 6) },
      heightM: chance.once(2) ? null : tenths(chance, 0, 2),
      runs: chance.once(2),
    }),
  }),
};

export const problems = (): Problem[] => [];
export const forget = (): void => undefined;
export const limits = {};
