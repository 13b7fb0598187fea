import { z } from 'zod';
import { anyOf, someOf } from '../chance';
import { command, type Problem } from '../slice';
import { HOUSE_QUESTION_KEYS, HOUSE_QUESTIONS, type HouseQuestionKey } from './questions';
import { houseRulesSchema } from './rules';
import type { School } from './school';

export { blank, shape } from './shape';

/** By what the house judges. */

const NUMBER_RULE_NAMES: Readonly<Record<string, string>> = {
  headroomDb: 'headroom',
  minimumSnrDb: 'least signal-to-noise ratio',
  voiceOverRoomDb: 'voice over the noise of the room',
  reachWarnShare: 'cable reach warning',
  recordingsOfVoice: 'recordings of each voice',
  chosenFormat: 'the format pictures are wanted in',
  uplinkShare: 'share of the uplink used',
};
const isQuestion = (key: string): key is HouseQuestionKey => Object.hasOwn(HOUSE_QUESTIONS, key);

const ruleName = (key: string): string =>
  isQuestion(key) ? HOUSE_QUESTIONS[key].question.toLowerCase() : (NUMBER_RULE_NAMES[key] ?? key);

const schoolName = (key: string, value: unknown): string => {
  if (!isQuestion(key)) return String(value);
  const school = HOUSE_QUESTIONS[key].schools.find((each) => each.value === value);
  return school?.label ?? String(value);
};

export const commands = {
  setHouseRules: command({
    schema: z.strictObject({ rules: houseRulesSchema.partial() }),
    apply: (rig, { rules }) => {
      Object.assign(rig.houseRules, rules);
    },
    says: (_rig, { rules }) => {
      const set = Object.entries(rules).map(
        ([rule, value]) => `${ruleName(rule)} to ${schoolName(rule, value)}`,
      );
      return `Set the house rule${set.length === 1 ? '' : 's'} for ${set.join(' and ')}.`;
    },
    arbitrary: (chance) => {
      const key = anyOf(chance, HOUSE_QUESTION_KEYS) ?? 'power';
      const schools: readonly School[] = HOUSE_QUESTIONS[key].schools;
      const school = anyOf(chance, schools)?.value;
      const numbers = {
        headroomDb: chance.integer(0, 20),
        minimumSnrDb: chance.integer(20, 80),
        recordingsOfVoice: chance.integer(1, 3),
        chosenFormat: chance.oneOf(['1920x1080p60', '1920x1080p25', '3840x2160p30']),
      };
      return {
        rules: houseRulesSchema.partial().parse({ [key]: school, ...someOf(chance, numbers) }),
      };
    },
  }),
};

export const problems = (): Problem[] => [];
export const forget = (): void => undefined;
export const limits = {};
