import { z } from 'zod';
import { idSchema } from '../ids';
import {
  cableNumberSchema,
  cableWaySchema,
  layingSchema,
  ownCableSchema,
  USUAL_LAYING,
} from './schema';

/** Its fields of the document */
export const shape = {
  laying: layingSchema,
  cableWays: z.record(idSchema, cableWaySchema),
  ownCables: z.record(idSchema, ownCableSchema),
  /** The number on each cable, given once: it stays when the cable is taken out, and is given to no other */
  cableNumbers: z.record(idSchema, cableNumberSchema),
};

/** What they hold in a rig that has just begun */
export const blank = () => ({
  laying: USUAL_LAYING,
  cableWays: {},
  ownCables: {},
  cableNumbers: {},
});
