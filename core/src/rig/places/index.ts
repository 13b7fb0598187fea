import { z } from 'zod';
import { anyId } from '../chance';
import { collection } from '../collection';
import { idSchema, nameSchema } from '../ids';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import { command, type Problem } from '../slice';
import { placeSchema } from './schema';

export { blank, shape } from './shape';

/** Where devices belong, by name: a table, a rack. */

const { addPlace, removePlace } = collection({
  key: 'place',
  many: 'places',
  fields: placeSchema.omit({ order: true }),
  at: (rig) => rig.places,
  read: (rig) => rig.places,
  none: refusals.noPlace,
  leaving: (id, forget) => forget({ kind: 'place', id }),
  says: {
    add: ({ name }) => `Added the place ${name}.`,
    change: (name) => `Changed the place ${name}.`,
    remove: (name) => `Removed the place ${name}.`,
    name: ({ name }) => name,
  },
  arbitrary: (chance) => ({ name: chance.oneOf(['Table', 'Rack', 'Wheel']) }),
});

export const commands = {
  addPlace,
  removePlace,
  /** All there is to change of a place */
  renamePlace: command({
    schema: z.strictObject({ placeId: idSchema, name: nameSchema }),
    apply: (rig, { placeId, name }) => {
      mustHave(entry(rig.places, placeId), refusals.noPlace(placeId)).name = name;
    },
    says: (rig, { placeId, name }) =>
      `Renamed the place ${entry(rig.places, placeId)?.name ?? `“${placeId}”`} to ${name}.`,
    arbitrary: (chance, rig) => {
      const placeId = anyId(chance, rig.places);
      return placeId === null ? null : { placeId, name: chance.oneOf(['Bench', 'Shelf']) };
    },
  }),
};

export const problems = (): Problem[] => [];
export const forget = (): void => undefined;
export const limits = {};
