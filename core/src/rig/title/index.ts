import { z } from 'zod';
import { nameSchema } from '../ids';
import { command, type Problem } from '../slice';

/** What the rig is called and what is written about it. */

/** Words a shelf is sorted by: “live”, “on the road”. */
const tagsSchema = z
  .array(z.string().trim().min(1).max(30))
  .max(12)
  .refine((tags) => new Set(tags).size === tags.length, { message: 'expected each tag once' });

const notesSchema = z.string().max(20_000);

export const shape = { name: nameSchema, notes: notesSchema, tags: tagsSchema };
export const blank = () => ({ name: '', notes: '', tags: [] });

export const commands = {
  renameRig: command({
    schema: z.strictObject({ name: nameSchema }),
    apply: (rig, { name }) => {
      rig.name = name;
    },
    says: (_rig, { name }) => `Renamed the rig to ${name}.`,
    arbitrary: (chance) => ({ name: `Rig ${chance.integer(1, 9)}` }),
  }),
  tagRig: command({
    schema: z.strictObject({ tags: tagsSchema }),
    apply: (rig, { tags }) => {
      rig.tags = tags;
    },
    says: (_rig, { tags }) =>
      tags.length === 0 ? 'Took every tag off.' : `Tagged the rig: ${tags.join(', ')}.`,
    arbitrary: (chance) => ({ tags: chance.once(3) ? [] : ['live', 'weekly'] }),
  }),
  writeNotes: command({
    schema: z.strictObject({ notes: notesSchema }),
    apply: (rig, { notes }) => {
      rig.notes = notes;
    },
    says: () => 'Wrote the notes.',
    arbitrary: (chance) => ({ notes: 'Tape on the floor.\n'.repeat(chance.integer(0, 3)) }),
  }),
};

export const problems = (): Problem[] => [];
export const forget = (): void => undefined;
export const limits = {};
