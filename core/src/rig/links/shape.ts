import { z } from 'zod';
import { idSchema } from '../ids';
import { linkSchema } from './schema';

/** Its fields of the document */
export const shape = { links: z.record(idSchema, linkSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ links: {} });
