import { z } from 'zod';
import { FORMAT_PATTERN, formatName, parseFormat } from '../../units';
import type { HouseQuestionKey } from './questions';
import { HOUSE_QUESTION_KEYS, HOUSE_QUESTIONS } from './questions';

type SchoolOf<K extends HouseQuestionKey> = (typeof HOUSE_QUESTIONS)[K]['schools'][number]['value'];

const schoolsOf = (key: HouseQuestionKey) =>
  z.enum(HOUSE_QUESTIONS[key].schools.map(({ value }) => value));

const schoolSchemas = Object.fromEntries(
  HOUSE_QUESTION_KEYS.map((key) => [key, schoolsOf(key)]),
) as unknown as { [K in HouseQuestionKey]: z.ZodType<SchoolOf<K>, SchoolOf<K>> };

export const houseRulesSchema = z.strictObject({
  ...schoolSchemas,
  /** Least distance from a peak to the ceiling of any stage, dB */
  headroomDb: z.number().min(0).max(40),
  /** Least signal-to-noise ratio of a voice, dB */
  minimumSnrDb: z.number().min(0).max(120),
  /** Share of a cable's reach above which a run is a warning */
  reachWarnShare: z.number().min(0.1).max(1),
  /** How far a voice stands above the noise of the room at its own microphone, dB */
  voiceOverRoomDb: z.number().min(0).max(100),
  /** On how many independent recordings each voice should be */
  recordingsOfVoice: z.number().int().min(1).max(5),
  /** The format pictures are wanted in: what a source aims at that may choose */
  chosenFormat: z.string().regex(FORMAT_PATTERN, 'expected a picture format such as 1920x1080p60'),
  /** Share of the uplink that may be used */
  uplinkShare: z.number().min(0.1).max(1),
});

export type HouseRules = z.infer<typeof houseRulesSchema>;

const firstSchools = Object.fromEntries(
  HOUSE_QUESTION_KEYS.map((key) => [key, HOUSE_QUESTIONS[key].schools[0].value]),
) as { [K in HouseQuestionKey]: SchoolOf<K> };

export const DEFAULT_HOUSE_RULES: HouseRules = {
  ...firstSchools,
  headroomDb: 6,
  minimumSnrDb: 50,
  voiceOverRoomDb: 30,
  reachWarnShare: 0.8,
  recordingsOfVoice: 2,
  chosenFormat: '1920x1080p60',
  uplinkShare: 0.7,
};

/** Where the average and the peaks should stand at the converter. @unit dBFS */
export const levelTarget = (rules: HouseRules): { averageDbfs: number; peakDbfs: number } => {
  switch (rules.recordingLevel) {
    case 'average -18':
      return { averageDbfs: -18, peakDbfs: -6 };
    case 'average -20':
      return { averageDbfs: -20, peakDbfs: -10 };
    case 'loudness-led':
      return { averageDbfs: -16, peakDbfs: -3 };
  }
};

/** A house rule as it is read: "Recording level: average −18 dBFS, peaks under −6". */
export const houseRuleText = (rules: HouseRules, key: keyof HouseRules): string => {
  switch (key) {
    case 'headroomDb':
      return `Headroom: at least ${rules.headroomDb} dB`;
    case 'minimumSnrDb':
      return `Signal to noise: at least ${rules.minimumSnrDb} dB`;
    case 'voiceOverRoomDb':
      return `Voice over the noise of the room: at least ${rules.voiceOverRoomDb} dB`;
    case 'reachWarnShare':
      return `Cable reach: warn above ${Math.round(rules.reachWarnShare * 100)} %`;
    case 'recordingsOfVoice':
      return `Recordings of each voice: at least ${rules.recordingsOfVoice}`;
    case 'chosenFormat':
      return `Pictures are wanted at ${formatName(parseFormat(rules.chosenFormat))}`;
    case 'uplinkShare':
      return `Uplink: use at most ${Math.round(rules.uplinkShare * 100)} %`;
    default: {
      const { question, schools } = HOUSE_QUESTIONS[key];
      return `${question}: ${schools.find(({ value }) => value === rules[key])?.label ?? rules[key]}`;
    }
  }
};
