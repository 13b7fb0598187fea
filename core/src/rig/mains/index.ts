import { z } from 'zod';
import { command, type Problem } from '../slice';

/** What comes out of the wall where the rig stands. */

export const MAINS_HZ = [50, 60] as const;

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

/** null = nobody has said */
export const shape = { mains: mainsSchema.nullable() };
export const blank = () => ({ mains: null });

export const commands = {
  setMains: command({
    schema: z.strictObject({ mains: mainsSchema.nullable() }),
    apply: (rig, { mains }) => {
      rig.mains = mains;
    },
    says: (_rig, { mains }) =>
      mains === null ? 'Forgot what the mains is.' : `Set the mains to ${mainsName(mains)}.`,
    arbitrary: (chance) => ({ mains: chance.once(4) ? null : chance.oneOf(USUAL_MAINS) }),
  }),
};

export const problems = (): Problem[] => [];
export const forget = (): void => undefined;
export const limits = {};
