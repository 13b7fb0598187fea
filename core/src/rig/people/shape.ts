import { z } from 'zod';
import { idSchema } from '../ids';
import { personSchema } from './schema';

/** Its fields of the document */
export const shape = { people: z.record(idSchema, personSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ people: {} });
