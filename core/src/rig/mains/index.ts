import { z } from 'zod';
import { command, type Problem } from '../slice';
import { mainsSchema, USUAL_MAINS, mainsName } from './schema';

export { blank, shape } from './shape';

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
