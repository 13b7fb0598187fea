import { z } from 'zod';
import { nameSchema } from '../ids';
import { orderSchema } from '../order';

export const placeSchema = z.strictObject({ name: nameSchema, order: orderSchema });
export type Place = z.infer<typeof placeSchema>;
