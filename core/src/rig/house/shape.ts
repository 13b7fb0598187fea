import { DEFAULT_HOUSE_RULES, houseRulesSchema } from './rules';

/** Its fields of the document */
export const shape = { houseRules: houseRulesSchema };

/** What they hold in a rig that has just begun */
export const blank = () => ({ houseRules: { ...DEFAULT_HOUSE_RULES } });
