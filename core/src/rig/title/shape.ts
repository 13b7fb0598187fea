import { nameSchema } from '../ids';
import { tagsSchema, notesSchema } from './schema';

/** Its fields of the document */
export const shape = { name: nameSchema, notes: notesSchema, tags: tagsSchema };

/** What they hold in a rig that has just begun */
export const blank = () => ({ name: '', notes: '', tags: [] });
