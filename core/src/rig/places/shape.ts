import { z } from 'zod';
import { idSchema } from '../ids';
import { placeSchema } from './schema';

/** Its fields of the document */
export const shape = { places: z.record(idSchema, placeSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ places: {} });
