import { builtSchema } from './schema';

/** Its fields of the document */
export const shape = { built: builtSchema };

/** What they hold in a rig that has just begun */
export const blank = () => ({ built: { settings: {}, cables: {}, places: {}, supports: {} } });
