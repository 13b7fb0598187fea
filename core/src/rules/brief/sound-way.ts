import type { Thread } from '../../graph';
import { recordingMachine } from '../../passes/coverage/recordings';
import { inOrder, type Kind } from '../../rig';
import { houseRule, one, passes, voiceThreads } from './house-rule';

/** What takes a voice into a computer: by a cable of its own, or over the network. */
const TAKES_IN: readonly Kind[] = ['interface', 'mixer', 'stage-box'];

const WAYS = {
  'interface into the computer': 'by an interface or mixer into the computer',
  'stand-alone recorder': 'by a stand-alone recorder',
  'through the switcher': 'through the switcher',
  'into the camera': 'into the camera',
} as const;

export const soundSchool = houseRule(
  'soundRecorded',
  'brief.sound-way',
  {
    looksFor: 'A voice on site that is not recorded the way the school says.',
    why: 'Each way has its own delay and its own weak point; one show keeps to one.',
    remedy: 'Take the voice the way of the school, or choose the school the rig follows.',
  },
  (measured) => {
    const { soundRecorded } = measured.rig.houseRules;
    const follows = (thread: Thread): boolean => {
      switch (soundRecorded) {
        case 'interface into the computer':
          return (
            passes(thread, ({ model }) => model.kind === 'computer') &&
            (passes(thread, ({ model }) => TAKES_IN.includes(model.kind)) ||
              thread.source.port.family === 'usb')
          );
        case 'through the switcher':
          return passes(thread, ({ model }) => model.kind === 'switcher');
        case 'into the camera':
          return recordingMachine(thread).model.kind === 'camera';
        case 'stand-alone recorder':
          return recordingMachine(thread).model.kind === 'recorder';
      }
    };
    return inOrder(measured.rig.people)
      .filter(([, { where, isHeard }]) => where === 'on site' && isHeard)
      .flatMap(([id, person]) => {
        const threads = voiceThreads(measured, id);
        const [first] = threads;
        return !first || threads.some(follows)
          ? []
          : [
              one(
                'warn',
                first.source.device,
                `${person.name}’s sound goes another way`,
                `${person.name}’s voice is not recorded ` +
                  `${WAYS[soundRecorded]}, ` +
                  'as the house rule says.',
              ),
            ];
      });
  },
);
