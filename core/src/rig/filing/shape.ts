import { z } from 'zod';
import { idSchema } from '../ids';
import { fileRulesSchema, storeSchema, USUAL_FILE_RULES } from './schema';

/** Its fields of the document */
export const shape = { fileRules: fileRulesSchema, stores: z.record(idSchema, storeSchema) };

/** What they hold in a rig that has just begun */
export const blank = () => ({ fileRules: { ...USUAL_FILE_RULES }, stores: {} });
