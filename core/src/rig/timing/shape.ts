import { z } from 'zod';
import { idSchema } from '../ids';
import {
  knownDelaySchema,
  MOST_SET,
  offsetSchema,
  setDelaySchema,
  timeRulesSchema,
  USUAL_TIME_RULES,
} from './schema';

/** Its fields of the document */
export const shape = {
  timeRules: timeRulesSchema,
  /** Delays set at sockets, by device */
  delays: z.record(idSchema, z.array(setDelaySchema).min(1).max(MOST_SET)),
  knownDelays: z.record(idSchema, knownDelaySchema),
  offsets: z.record(idSchema, offsetSchema),
};

/** What they hold in a rig that has just begun */
export const blank = () => ({
  timeRules: USUAL_TIME_RULES,
  delays: {},
  knownDelays: {},
  offsets: {},
});
