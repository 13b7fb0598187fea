import type { Analysis } from '../analyse';
import type { Unmet } from './plan';
import { isPressing } from './settle';

/**
 * What may still press in a new rig, by the code of its rule, and why: answers that contradict each
 * other, or want what the catalogue does not have. Everything else is a fault of the builder.
 */
export const UNMETTABLE: Readonly<Record<string, string>> = {
  'brief.over-budget': 'What is in it is the cheapest that does what was answered.',
  'brief.sound-way': 'The other answers do not allow it.',
  'brief.microphones':
    'Microphones by USB were answered, and one of them is all that a computer takes.',
  'brief.recorded-once': 'A microphone by USB reaches one computer only.',
  'sound.battery':
    'By the house rule everyone is to listen in-ear, and a pack runs on its battery.',
  'signal.destination-empty': 'Nobody on site is to be heard, so a guest hears nothing.',
  'brief.prompter': 'No screen output of the computer is left for it.',
  'brief.partly-delivered':
    'The catalogue has nothing that makes 2160p all the way in this manner.',
  'computer.uplink':
    'The calls and the stream that were answered do not fit the line that was measured.',
  'computer.encodes':
    'Calls, stream and files that were answered are more than the graphics hardware of any computer makes.',
  'computer.work': 'No computer of the catalogue does more.',
};

/** What still presses is an answer that is not met, where nothing has been said of it yet. */
export const leftOver = ({ causes }: Analysis, said: readonly Unmet[]): Unmet[] =>
  causes
    .filter(isPressing)
    .filter(({ finding: { code } }) => said.every((one) => one.code !== code))
    .map(({ finding: { says, code } }) => ({
      says: [says, UNMETTABLE[code]].filter(Boolean).join(' '),
      code,
      costs: null,
    }));
