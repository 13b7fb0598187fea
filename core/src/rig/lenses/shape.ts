import { z } from 'zod';
import { idSchema } from '../ids';
import { lensSchema } from './schema';

/** Its fields of the document */
export const shape = { lenses: z.record(idSchema, lensSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ lenses: {} });
