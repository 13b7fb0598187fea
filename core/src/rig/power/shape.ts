import { z } from 'zod';
import { idSchema } from '../ids';
import {
  circuitSchema,
  feedSchema,
  loadSchema,
  powerRulesSchema,
  USUAL_POWER_RULES,
} from './schema';

/** Its fields of the document */
export const shape = {
  powerRules: powerRulesSchema,
  circuits: z.record(idSchema, circuitSchema),
  feeds: z.record(idSchema, feedSchema),
  loads: z.record(idSchema, loadSchema),
  /** The feed each device is plugged into */
  plugs: z.record(idSchema, idSchema),
};

/** What they hold in a rig that has just begun */
export const blank = () => ({
  powerRules: USUAL_POWER_RULES,
  circuits: {},
  feeds: {},
  loads: {},
  plugs: {},
});
