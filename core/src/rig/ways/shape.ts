import { z } from 'zod';
import { idSchema } from '../ids';
import { openingSchema, walkwaySchema } from './schema';

/** Its fields of the document */
export const shape = {
  openings: z.record(idSchema, openingSchema),
  walkways: z.record(idSchema, walkwaySchema),
};

/** What they hold in a rig that has just begun */
export const blank = () => ({ openings: {}, walkways: {} });
