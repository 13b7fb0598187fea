import { mainsSchema } from './schema';

/** null = nobody has said */
export const shape = { mains: mainsSchema.nullable() };

/** What they hold in a rig that has just begun */
export const blank = () => ({ mains: null });
