import { z } from 'zod';
import { idSchema } from '../ids';
import { supportSchema } from './schema';

/** Its fields of the document */
export const shape = { supports: z.record(idSchema, supportSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ supports: {} });
