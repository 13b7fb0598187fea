import { z } from 'zod';
import { someOf } from '../chance';
import { collection } from '../collection';
import { refusals } from '../refusal';
import { command } from '../slice';
import { fileRulesSchema, STORE_KINDS, storeSchema } from './schema';

export { blank, shape } from './shape';

/** The files a show leaves: what the house has decided of them. */

const stores = collection({
  key: 'store',
  many: 'places for copies',
  fields: storeSchema.omit({ order: true }),
  at: (rig) => rig.stores,
  read: (rig) => rig.stores,
  none: refusals.noStore,
  says: {
    add: ({ name }) => `Added ${name} to where copies are kept.`,
    change: (name) => `Changed ${name}.`,
    remove: (name) => `Took ${name} out of where copies are kept.`,
    name: ({ name }) => name,
  },
  arbitrary: (chance) => ({
    name: chance.oneOf(['Drive in the drawer', 'Drive at home', 'Line out']),
    kind: chance.oneOf(STORE_KINDS),
    isAway: chance.once(2),
    mbytesPerS: chance.integer(5, 400),
    capacityGb: chance.once(2) ? null : chance.integer(500, 20_000),
  }),
});

export const commands = {
  ...stores,
  setFileRules: command({
    schema: z.strictObject({ fileRules: fileRulesSchema.partial() }),
    apply: (rig, { fileRules }) => {
      Object.assign(rig.fileRules, fileRules);
    },
    says: (_rig, { fileRules: { template } }) =>
      template === undefined ? 'Changed how files are kept.' : `Named files ${template}.`,
    arbitrary: (chance) => ({
      fileRules: someOf(chance, {
        template: chance.oneOf(['{show}_{source}', '{date} {show} {source} {take}']),
        keepMonths: chance.oneOf([null, 12, 24]),
        showsAYear: chance.integer(0, 60),
        workingFactor: chance.integer(0, 8) / 4,
        masterFactor: chance.integer(0, 4) / 20,
      }),
    }),
  }),
};

export const problems = () => [];
export const forget = (): void => undefined;
export const limits = {};
