import { z } from 'zod';
import { idSchema } from '../ids';
import { noiseSchema, roomSchema, UNKNOWN_ROOM } from './schema';

/** Its fields of the document */
export const shape = { room: roomSchema, noises: z.record(idSchema, noiseSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ room: { ...UNKNOWN_ROOM }, noises: {} });
