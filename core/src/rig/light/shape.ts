import { z } from 'zod';
import { idSchema } from '../ids';
import {
  backdropSchema,
  faceSchema,
  lampSchema,
  lightRulesSchema,
  lookSchema,
  skySchema,
  USUAL_LIGHT_RULES,
  windowLightSchema,
} from './schema';

/** Its fields of the document */
export const shape = {
  lightRules: lightRulesSchema,
  /** null = nobody has said where and when */
  sky: skySchema.nullable(),
  /** By device */
  lamps: z.record(idSchema, lampSchema),
  /** By opening */
  windows: z.record(idSchema, windowLightSchema),
  backdrops: z.record(idSchema, backdropSchema),
  /** By person */
  faces: z.record(idSchema, faceSchema),
  looks: z.record(idSchema, lookSchema),
  /** Which look a scene calls up, by scene */
  cues: z.record(idSchema, idSchema),
};

/** What they hold in a rig that has just begun */
export const blank = () => ({
  lightRules: USUAL_LIGHT_RULES,
  sky: null,
  lamps: {},
  windows: {},
  backdrops: {},
  faces: {},
  looks: {},
  cues: {},
});
