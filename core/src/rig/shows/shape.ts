import { z } from 'zod';
import { idSchema } from '../ids';
import { showSchema } from './schema';

/** Its fields of the document */
export const shape = { shows: z.record(idSchema, showSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ shows: {} });
