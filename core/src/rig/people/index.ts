import { anyOf, tenths } from '../chance';
import { collection } from '../collection';
import { refusals } from '../refusal';
import { anySpot } from '../room/any-spot';
import type { Problem } from '../slice';
import { personSchema, USUAL_PERSON } from './schema';

export { blank, shape } from './shape';

/** Who is in the show. */

export const commands = collection({
  key: 'person',
  many: 'people',
  fields: personSchema.omit({ order: true }),
  at: (rig) => rig.people,
  read: (rig) => rig.people,
  none: refusals.noPerson,
  leaving: (id, forget) => forget({ kind: 'person', id }),
  says: {
    add: ({ name }) => `Added ${name} to the people.`,
    change: (name) => `Changed what is known of ${name}.`,
    remove: (name) => `Removed ${name} from the people.`,
    name: ({ name }) => name,
  },
  arbitrary: (chance) => ({
    ...USUAL_PERSON,
    name: chance.oneOf(['Ada', 'Bo', 'Cem']),
    is: chance.oneOf(['person', 'person', 'person', 'instrument']),
    where: chance.oneOf(['on site', 'on site', 'remote']),
    posture: chance.oneOf(['sits', 'stands', 'moves']),
    shot: anyOf(chance, [null, 'face', 'two-shot'] as const),
    isHeard: !chance.once(4),
    speechDbSpl: tenths(chance, 45, 80),
    wearsGlasses: chance.once(2),
    at: chance.once(2) ? anySpot(chance) : null,
    eyeM: chance.once(3) ? tenths(chance, 1, 2) : null,
  }),
});

export const problems = (): Problem[] => [];
export const forget = (): void => undefined;
export const limits = {};
