import { z } from 'zod';
import { nameSchema } from '../ids';
import { command, type Problem } from '../slice';
import { tagsSchema, notesSchema } from './schema';

export { blank, shape } from './shape';

/** What the rig is called and what is written about it. */

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
