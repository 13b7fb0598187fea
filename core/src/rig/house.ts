import { z } from 'zod';
import { FORMAT_PATTERN, formatName, parseFormat } from '../units';

/** One answer to a question on which good practitioners differ. */
export interface School<Value extends string = string> {
  readonly value: Value;
  readonly label: string;
  /** Why its followers hold it */
  readonly reason: string;
  /** What choosing it changes in the verdict */
  readonly changes: string;
}

export interface HouseQuestion {
  readonly question: string;
  /** The first is the default */
  readonly schools: readonly [School, ...School[]];
}

const school = <const Value extends string>(
  value: Value,
  label: string,
  reason: string,
  changes: string,
): School<Value> => ({ value, label, reason, changes });

/** The questions of the field on which schools differ, each with its schools. @source handbook 1-the-work */
export const HOUSE_QUESTIONS = {
  captureSize: {
    question: 'Capture size',
    schools: [
      school(
        '1080p everywhere',
        '1080p everywhere',
        'The audience gets 1080p; larger pictures only load every link on the way.',
        'A source that is carried larger than 1080p is noted.',
      ),
      school(
        '2160p to punch in',
        '2160p at the camera, 1080p delivered',
        'A second framing can be cut out of one camera without losing sharpness.',
        'A camera that gives less than 2160p is a warning.',
      ),
      school(
        '2160p throughout',
        '2160p throughout',
        'The programme itself is 2160p, for large screens and for later.',
        'A camera that gives less than 2160p is a warning.',
      ),
    ],
  },
  switching: {
    question: 'Where switching happens',
    schools: [
      school(
        'hardware switcher',
        'A hardware switcher',
        'It works when the computer does not, and a finger finds a button in the dark.',
        'Several cameras that reach the stream without a switcher are a warning.',
      ),
      school(
        'software',
        'In software on the computer',
        'No box to buy; scenes can be anything.',
        'A switcher is a note.',
      ),
      school(
        'none, cut later',
        'Not at all: record every camera, cut later',
        'Nobody can switch wrongly.',
        'A camera without a recording of its own is a warning.',
      ),
    ],
  },
  soundRecorded: {
    question: 'Where sound is recorded',
    schools: [
      school(
        'interface into the computer',
        'An interface or mixer into the computer',
        'A track for each voice, clean and with known gain.',
        'A voice that reaches the computer by another way is a warning.',
      ),
      school(
        'through the switcher',
        'Through the switcher, one cable',
        'Picture and sound arrive together and stay together.',
        'A voice that does not pass the switcher is a warning.',
      ),
      school(
        'into the camera',
        'Into the camera',
        'Nothing to line up afterwards.',
        'A voice that no camera records is a warning.',
      ),
      school(
        'stand-alone recorder',
        'A stand-alone recorder',
        'It records whatever else fails.',
        'A voice that no stand-alone recorder keeps is a warning.',
      ),
    ],
  },
  microphones: {
    question: 'Microphones',
    schools: [
      school(
        'xlr',
        'XLR and an interface',
        'Every voice can have the microphone it needs, and more can join.',
        'A USB microphone is a warning.',
      ),
      school(
        'usb',
        'USB direct, for one person',
        'One cable, nothing to set. Simplest for one.',
        'More than one voice on site is a warning; a USB microphone is not.',
      ),
    ],
  },
  quietDynamic: {
    question: 'Quiet dynamic microphone',
    schools: [
      school(
        'clean preamp',
        'A preamp with enough clean gain',
        'One stage less to set and to fail.',
        'Where gain is missing, another input is offered before a booster.',
      ),
      school(
        'booster',
        'An inline booster',
        'Any preamp will do after it.',
        'Where gain is missing, a booster is offered before another input.',
      ),
      school(
        'channel processor',
        'A channel processor with its own gain',
        'Gain and shape in one place.',
        'Where gain is missing, another input is offered before a booster.',
      ),
    ],
  },
  processing: {
    question: 'Processing',
    schools: [
      school(
        'clean',
        'Clean on the way in',
        'What is pressed on the way in cannot be taken out again.',
        'A compressor switched in before the recording is a note.',
      ),
      school(
        'on the way in',
        'Compressed, gated and de-essed on the way in',
        'It is ready when the show ends.',
        'Compressors on the way in are taken as meant.',
      ),
    ],
  },
  recordingLevel: {
    question: 'Recording level',
    schools: [
      school(
        'average -18',
        'Average −18 dBFS, peaks under −6',
        'Enough level, and room for a laugh.',
        'Gains are judged by −18 dBFS.',
      ),
      school(
        'average -20',
        'Average −20 dBFS, peaks under −10',
        'Cautious: for loud or unpractised talkers.',
        'Gains are judged by −20 dBFS.',
      ),
      school(
        'loudness-led',
        'Loudness-led: −16 LUFS programme',
        'The file is as loud as it will be published.',
        'Gains are judged by −16 dBFS: a voice in both channels of a stereo programme then ' +
          'measures about −16 LUFS.',
      ),
    ],
  },
  room: {
    question: 'Room',
    schools: [
      school(
        'alive',
        'Controlled but alive',
        'Voices sound like people in a place.',
        'A voice quieter than its own echo is a warning.',
      ),
      school(
        'dead',
        'As dead as can be',
        'Any room can be added later.',
        'A voice less than 6 dB over its echo is a note, under it a warning.',
      ),
    ],
  },
  monitoring: {
    question: 'Monitoring',
    schools: [
      school(
        'closed headphones',
        'Closed headphones for everyone',
        'Nothing leaks into a microphone, and everyone hears what the audience hears.',
        'Everyone on site needs headphones.',
      ),
      school(
        'in-ear',
        'In-ear',
        'The same, and it does not show.',
        'Everyone on site needs headphones or an ear feed.',
      ),
      school(
        'loudspeakers muted',
        'Loudspeakers, muted while microphones are open',
        'Nobody wears anything.',
        'Nobody needs headphones unless a remote guest speaks.',
      ),
    ],
  },
  computers: {
    question: 'Computers',
    schools: [
      school(
        'one',
        'One does everything',
        'One machine to buy, learn and start.',
        'More than one computer is a note.',
      ),
      school(
        'two',
        'One makes the content, one streams',
        'A crash of the one does not end the other.',
        'A stream from the computer that takes the sources in is a warning.',
      ),
      school(
        'hardware encoder',
        'A hardware encoder streams',
        'It does one thing and does it all day.',
        'A stream that comes from a computer is a warning.',
      ),
    ],
  },
  cut: {
    question: 'Live cut or edit',
    schools: [
      school(
        'live and separate',
        'Cut live, plus separate recordings',
        'A programme at once, and a way to mend it.',
        'A voice without a track of its own is a warning.',
      ),
      school(
        'one take',
        'One take, no edit',
        'It is done when it is done.',
        'Separate tracks are not asked for.',
      ),
      school(
        'edit everything',
        'Edit everything',
        'Nothing has to be right at once.',
        'A voice without a track of its own is a warning.',
      ),
    ],
  },
  power: {
    question: 'Power',
    schools: [
      school(
        'mains',
        'Mains for everything that can take it',
        'A battery is a clock that nobody watches.',
        'Nothing yet: power is judged in a later view.',
      ),
      school(
        'batteries for what moves',
        'Batteries for what moves',
        'No cable to trip over.',
        'Nothing yet: power is judged in a later view.',
      ),
    ],
  },
  cables: {
    question: 'Cables',
    schools: [
      school(
        'dressed',
        'Dressed in trays and wraps that reopen',
        'Tidy, and it can still change.',
        'Nothing yet: cables are judged in a later view.',
      ),
      school(
        'fixed',
        'Fixed for good',
        'What is never touched never fails.',
        'Nothing yet: cables are judged in a later view.',
      ),
      school(
        'loose',
        'Loose and re-routed each time',
        'The room belongs to others in between.',
        'Nothing yet: cables are judged in a later view.',
      ),
    ],
  },
  prompter: {
    question: 'Prompter',
    schools: [
      school(
        'none',
        'None, notes near the lens',
        'Eyes stay near the lens without a machine.',
        'No prompter is asked for.',
      ),
      school(
        'second display',
        'Prompter as a second display',
        'The remote guest looks out of the lens.',
        'Remote guests who are not on a prompter are a warning.',
      ),
      school(
        'scrolling',
        'Scrolling text',
        'Every word as written.',
        'A show without a prompter is a warning.',
      ),
    ],
  },
  spareInputs: {
    question: 'Spare inputs',
    schools: [
      school(
        'one in four',
        'One in four kept free',
        'One more person turns up within a year.',
        'A switcher or interface with fewer than one input in four free is a warning.',
      ),
      school(
        'exact',
        'Exactly enough',
        'What is not needed is not bought.',
        'Full inputs are not spoken of.',
      ),
    ],
  },
} as const satisfies Record<string, HouseQuestion>;

export type HouseQuestionKey = keyof typeof HOUSE_QUESTIONS;
export const HOUSE_QUESTION_KEYS = Object.keys(HOUSE_QUESTIONS) as HouseQuestionKey[];
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
