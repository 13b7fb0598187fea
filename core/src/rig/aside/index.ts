import { z } from 'zod';
import { collection } from '../collection';
import { idSchema } from '../ids';
import { orderSchema } from '../order';
import { refusals } from '../refusal';
import type { DraftRig, Gone, Problem } from '../slice';

/** Findings that somebody has looked at and put aside, each with a reason. */

export const asideSchema = z.strictObject({
  /** Of the finding, as `findingKey` gives it: its rule, and what it is about, parted by bars */
  key: z.string().min(1).max(600),
  /** What it said as a headline, for when it is found no more */
  title: z.string().trim().min(1).max(200),
  level: z.enum(['stop', 'warn', 'note']),
  /** The numbers of its sums as they were, to two digits; when they change, it is back */
  figures: z.array(z.number().min(-1e15).max(1e15)).max(400),
  /** Why it may stay as it is */
  reason: z.string().trim().min(1).max(300),
  order: orderSchema,
});
export type Aside = z.infer<typeof asideSchema>;

export const shape = { aside: z.record(idSchema, asideSchema) };
export const blank = () => ({ aside: {} });

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
