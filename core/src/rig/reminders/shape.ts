import { z } from 'zod';
import { idSchema } from '../ids';
import { reminderSchema } from './schema';

/** Its fields of the document */
export const shape = { reminders: z.record(idSchema, reminderSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ reminders: {} });
