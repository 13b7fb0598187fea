import { LIGHT_QUESTIONS } from './questions-light';
import { SOUND_QUESTIONS } from './questions-sound';
import type { HouseQuestion } from './school';
import { school } from './school';

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
  ...SOUND_QUESTIONS,
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
  ...LIGHT_QUESTIONS,
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
