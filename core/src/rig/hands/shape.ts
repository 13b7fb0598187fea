import { z } from 'zod';
import { idSchema } from '../ids';
import { handSchema } from './schema';

/** Its fields of the document */
export const shape = { hands: z.record(idSchema, handSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ hands: {} });
