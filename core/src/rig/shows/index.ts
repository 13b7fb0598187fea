import { collection } from '../collection';
import { refusals } from '../refusal';
import { showSchema } from './schema';

export { blank, shape } from './shape';

export const commands = collection({
  key: 'show',
  many: 'shows',
  fields: showSchema.omit({ order: true }),
  at: (rig) => rig.shows,
  read: (rig) => rig.shows,
  none: refusals.noShow,
  says: {
    add: ({ name, on }) => `Put ${name} on ${on}.`,
    change: (name, { on }) => (on === undefined ? `Changed ${name}.` : `Moved ${name} to ${on}.`),
    remove: (name) => `Took ${name} off the list of shows.`,
    name: ({ name }) => name,
  },
  arbitrary: (chance) => ({
    name: chance.oneOf(['Rehearsal', 'Show', 'Set-up']),
    on: chance.oneOf(['2026-12-03', '2026-12-10', '2027-01-07']),
  }),
});

export const problems = () => [];
export const forget = (): void => undefined;
export const limits = {};
