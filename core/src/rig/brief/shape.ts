import { briefSchema } from './schema';

/** null until someone has said what the show needs: then nothing is judged by it */
export const shape = { brief: briefSchema.nullable() };

/** What they hold in a rig that has just begun */
export const blank = () => ({ brief: null });
