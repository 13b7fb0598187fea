import { z } from 'zod';
import { idSchema } from '../ids';
import { asideSchema } from './schema';

/** Its fields of the document */
export const shape = { aside: z.record(idSchema, asideSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ aside: {} });
