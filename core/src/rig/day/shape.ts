import { z } from 'zod';
import { idSchema } from '../ids';
import { houseLineSchema, MOST_TIMES, TAPES, taskIdSchema, taskMinutesSchema } from './schema';

/** Its fields of the document */
export const shape = {
  houseLines: z.record(idSchema, houseLineSchema),
  /** The latest times each task took, oldest first. @unit min */
  taskMinutes: z.record(taskIdSchema, z.array(taskMinutesSchema).min(1).max(MOST_TIMES)),
  /** The colour each set is marked in */
  tapes: z.record(idSchema, z.enum(TAPES)),
};

/** What they hold in a rig that has just begun */
export const blank = () => ({ houseLines: {}, taskMinutes: {}, tapes: {} });
