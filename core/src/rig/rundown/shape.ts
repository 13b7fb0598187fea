import { z } from 'zod';
import { idSchema } from '../ids';
import { segmentSchema, timeOfDaySchema } from './schema';

/** Its fields of the document */
export const shape = {
  segments: z.record(idSchema, segmentSchema),
  /** When the show begins; null where nobody has said */
  beginsAt: timeOfDaySchema.nullable(),
};

/** What they hold in a rig that has just begun */
export const blank = () => ({ segments: {}, beginsAt: null });
