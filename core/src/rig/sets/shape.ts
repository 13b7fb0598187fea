import { z } from 'zod';
import { idSchema } from '../ids';
import { setSchema } from './schema';

/** Its fields of the document */
export const shape = { sets: z.record(idSchema, setSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ sets: {} });
