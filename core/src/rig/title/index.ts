import { z } from 'zod';
import { nameSchema } from '../ids';
import { command, type Problem } from '../slice';

/** What the rig is called and what is written about it. */

const notesSchema = z.string().max(20_000);

export const shape = { name: nameSchema, notes: notesSchema };
export const blank = () => ({ name: '', notes: '' });

export const commands = {
  renameRig: command({
    schema: z.strictObject({ name: nameSchema }),
    apply: (rig, { name }) => {
      rig.name = name;
    },
    says: (_rig, { name }) => `Renamed the rig to ${name}.`,
    arbitrary: (chance) => ({ name: `Rig ${chance.integer(1, 9)}` }),
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
