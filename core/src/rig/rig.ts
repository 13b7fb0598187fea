import { z } from 'zod';
import { SHAPE, blankParts } from './slices';

/** Version of the document this code writes. Older ones are brought up to it by `upgrade`. */
export const RIG_VERSION = 8;

/** The whole document: its version and every part. */
export const rigSchema = z.strictObject({ version: z.literal(RIG_VERSION), ...SHAPE });

/** The rig: one document, changed only by commands. */
export type Rig = z.infer<typeof rigSchema>;

/** A rig in which nothing is known but its name. */
export const blankRig = (name: string): Rig => ({
  version: RIG_VERSION,
  ...blankParts(),
  name,
});
