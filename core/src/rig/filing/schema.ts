import { z } from 'zod';
import { nameSchema } from '../ids';
import { orderSchema } from '../order';

/** How files are named, where their copies go, and how long they are kept. */

export const STORE_KINDS = [
  'hard disk',
  'solid state',
  'network',
  'tape',
  'elsewhere by line',
] as const;

/** Somewhere a copy is kept. */
export const storeSchema = z.strictObject({
  name: nameSchema,
  kind: z.enum(STORE_KINDS),
  /** In another building */
  isAway: z.boolean(),
  /** What it is written at, its link included. @unit MB/s */
  mbytesPerS: z.number().positive().max(100_000),
  /** @unit GB; null where nobody has said */
  capacityGb: z.number().positive().max(1e9).nullable(),
  order: orderSchema,
});
export type Store = z.infer<typeof storeSchema>;

export const MAX_TEMPLATE = 200;

export const fileRulesSchema = z.strictObject({
  /** Words and fields in braces: `{show}_{date}_{source}_T{take}` */
  template: z.string().min(1).max(MAX_TEMPLATE),
  /** How long files are kept; null for ever. @unit months */
  keepMonths: z.number().int().min(1).max(1200).nullable(),
  showsAYear: z.number().int().min(0).max(5000),
  /** What an edit adds, as a share of what was recorded */
  workingFactor: z.number().min(0).max(20),
  /** The master, as a share of what was recorded */
  masterFactor: z.number().min(0).max(20),
});
export type FileRules = z.infer<typeof fileRulesSchema>;

export const USUAL_FILE_RULES: FileRules = {
  template: '{show}_{date}_E{episode}_{source}_T{take}',
  keepMonths: null,
  showsAYear: 46,
  workingFactor: 0.25,
  masterFactor: 0.05,
};
