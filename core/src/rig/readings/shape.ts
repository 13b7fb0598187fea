import { z } from 'zod';
import { idSchema } from '../ids';
import { readingSchema } from './schema';

/** Its fields of the document */
export const shape = { readings: z.record(idSchema, readingSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ readings: {} });
