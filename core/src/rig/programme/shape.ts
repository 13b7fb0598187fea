import { z } from 'zod';
import { idSchema } from '../ids';
import { panelSchema, sceneSchema, shotPlanSchema } from './schema';

/** Its fields of the document */
export const shape = {
  shots: z.record(idSchema, shotPlanSchema),
  scenes: z.record(idSchema, sceneSchema),
  panel: panelSchema,
};

/** What they hold in a rig that has just begun */
export const blank = () => ({ shots: {}, scenes: {}, panel: { columns: 4, buttons: {} } });
