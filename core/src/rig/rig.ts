import { z } from 'zod';
import type { Mains } from './mains/schema';
import { SHAPE, blankParts } from './shapes';

/** Version of the document this code writes. Older ones are brought up to it by `upgrade`. */
export const RIG_VERSION = 19;

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

/** Lamps on 50 Hz do not flicker at 25 and 50 pictures a second, those on 60 Hz not at 30 and 60. */
export const usualFormatOn = (mains: Mains | null): string =>
  `1920x1080p${mains?.hz === 50 ? 50 : 60}`;

/** The same on the mains of its studio, which says at what rate pictures are wanted. */
export const blankRigOn = (name: string, mains: Mains | null): Rig => {
  const rig = blankRig(name);
  return {
    ...rig,
    mains,
    houseRules: { ...rig.houseRules, chosenFormat: usualFormatOn(mains) },
  };
};
