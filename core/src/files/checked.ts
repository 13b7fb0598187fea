import { z } from 'zod';
import { idSchema } from '../rig/ids';

/** Most files of one drive that a check keeps. */
export const MOST_CHECKED = 2000;

/** A file as it was found in a folder. */
const checkedFileSchema = z.strictObject({
  name: z.string().min(1).max(255),
  bytes: z.number().int().min(0),
  /** Of all of it, in hexadecimal */
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
});
export type CheckedFile = z.infer<typeof checkedFileSchema>;

/** What a folder holds of one drive or card. */
export const driveCheckSchema = z.strictObject({
  driveId: idSchema,
  /** Where the folder is: a place for copies; null for the drive or card itself */
  storeId: idSchema.nullable(),
  files: z.array(checkedFileSchema).min(1).max(MOST_CHECKED),
  /** Files of the plan, and pieces of them, that were not there */
  lacks: z.number().int().min(0),
});
export type DriveCheck = z.infer<typeof driveCheckSchema>;
