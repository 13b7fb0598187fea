import { z } from 'zod';
import { idSchema } from '../ids';
import { shellSchema, surfaceSchema } from './schema';

/** Its fields of the document */
export const shape = {
  shell: shellSchema.nullable(),
  surfaces: z.record(idSchema, surfaceSchema),
};

/** What they hold in a rig that has just begun */
export const blank = () => ({ shell: null, surfaces: {} });
