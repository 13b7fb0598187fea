import { anyId, anyOf } from '../chance';
import { collection } from '../collection';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { type DraftRig, type Gone, missing, type Problem } from '../slice';
import { HAND_KINDS, handSchema } from './schema';

export { blank, shape } from './shape';

export const commands = collection({
  key: 'hand',
  many: 'hands',
  fields: handSchema.omit({ order: true }),
  at: (rig) => rig.hands,
  read: (rig) => rig.hands,
  none: refusals.noHand,
  check: (rig, { personId }) => {
    if (personId) mustHave(entry(rig.people, personId), refusals.noPerson(personId));
  },
  leaving: (id, forget) => forget({ kind: 'hand', id }),
  says: {
    add: ({ name }) => `Added ${name} to what the show is switched with.`,
    change: (name) => `Changed ${name}.`,
    remove: (name) => `Took ${name} away; its buttons stay.`,
    name: ({ name }) => name,
  },
  arbitrary: (chance, rig) => ({
    name: chance.oneOf(['Pedal', 'Tablet']),
    is: anyOf(chance, HAND_KINDS) ?? 'panel',
    keys: chance.once(2) ? null : chance.integer(1, 12),
    personId: anyId(chance, rig.people),
  }),
});

export const problems = ({ hands, people }: Rig): Problem[] =>
  Object.entries(hands).flatMap(([id, { personId }]) =>
    missing(people, 'person', ['hands', id, 'personId'], personId),
  );

export const forget = ({ hands }: DraftRig, { kind, id }: Gone): void => {
  if (kind !== 'person') return;
  for (const hand of Object.values(hands)) if (hand.personId === id) hand.personId = null;
};

export const limits = {};
