import { z } from 'zod';

/** What comes out of the wall where the rig stands. */

export const mainsSchema = z.strictObject({
  /** Lamps on it flicker at twice this */
  hz: z.union([z.literal(50), z.literal(60)]),
  /** @unit V, effective */
  volts: z.number().min(90).max(250),
});
export type Mains = z.infer<typeof mainsSchema>;

/** The usual ones. @source IEC 60038 */
export const USUAL_MAINS: readonly [Mains, ...Mains[]] = [
  { hz: 50, volts: 230 },
  { hz: 60, volts: 120 },
  { hz: 60, volts: 230 },
  { hz: 50, volts: 100 },
  { hz: 60, volts: 100 },
];

export const mainsName = ({ hz, volts }: Mains): string => `${volts} V, ${hz} Hz`;
