import { collection } from '../collection';
import { refusals } from '../refusal';
import type { DraftRig, Gone, Problem } from '../slice';
import { asideSchema } from './schema';

export { blank, shape } from './shape';

export const commands = collection({
  key: 'aside',
  many: 'findings put aside',
  fields: asideSchema.omit({ order: true }),
  at: (rig) => rig.aside,
  read: (rig) => rig.aside,
  none: refusals.noAside,
  says: {
    add: ({ title, reason }) => `Put aside: ${title}. ${reason}`,
    change: (name) => `Changed why ${name} is put aside.`,
    remove: (name) => `Took up again: ${name}.`,
    name: ({ title }) => title,
  },
  arbitrary: (chance) => ({
    key: chance.oneOf(['sound.gain-short|rig', 'picture.reach|rig', 'room.alive|rig']),
    title: chance.oneOf(['5.84 dB short of gain', 'The cable is too long', 'The room rings']),
    level: chance.oneOf(['stop', 'warn', 'note']),
    figures: [chance.integer(-20, 20), chance.integer(0, 9)],
    reason: chance.oneOf(['Only for rehearsals.', 'We know, it is for one show.']),
  }),
});

export const problems = (): Problem[] => [];

/** What was put aside about something that leaves goes with it: behind the rule and the kind stand ids. */
export const forget = ({ aside }: DraftRig, { id }: Gone): void => {
  for (const [asideId, { key }] of Object.entries(aside))
    if (key.split('|').slice(2).includes(id)) delete aside[asideId];
};

export const limits = {};
