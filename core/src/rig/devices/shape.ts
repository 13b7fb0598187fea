import { z } from 'zod';
import { idSchema } from '../ids';
import { deviceSchema } from './schema';

/** Its fields of the document */
export const shape = { devices: z.record(idSchema, deviceSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ devices: {} });
