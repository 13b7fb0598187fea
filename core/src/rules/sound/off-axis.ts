import { type MicrophoneInRoom, patternDb } from '../../passes/room';
import { figure } from '../../passes/sum';
import { STRAIGHT } from '../../rig';
import { microphoneRule } from '../rule-of';

/** A loss that is heard, and takes the brightness first. @unit dB */
const HEARD_DB = 3;

const lossDb = ({ pattern, offAxisDeg }: MicrophoneInRoom): number =>
  pattern ? -patternDb(pattern, offAxisDeg) : 0;

export const offAxis = microphoneRule(
  'sound.off-axis',
  {
    matters: ['voice over room', 'microphone in room'],
    looksFor: 'A microphone that points so far past its mouth that the voice loses 3 dB or more.',
    why: 'The voice gets quieter and duller while the room stays as it was.',
    remedy: 'Point it at the mouth.',
    source: 'handbook 2-sound, polar pattern',
  },
  {
    judge: (microphone, measured) => {
      const loss = lossDb(microphone);
      return loss < HEARD_DB
        ? null
        : {
            level: loss < 2 * HEARD_DB ? 'note' : 'warn',
            title: `Points ${figure(microphone.offAxisDeg, 0)}° past the mouth`,
            says:
              `${measured.device(microphone.node.device).name} points ${figure(microphone.offAxisDeg, 0)}° ` +
              `past its mouth and loses ${figure(loss)} dB of the voice, not of the room. Point it ` +
              'at the mouth.',
          };
    },
    sums: (microphone) => [
      {
        label: 'Lost by the pattern',
        formula: '20·log10|a + (1 − a)·cos θ|',
        inputs: [
          { name: 'θ', value: microphone.offAxisDeg, unit: '°' },
          { name: 'pattern', value: microphone.pattern ?? 'unknown', unit: '' },
        ],
        result: -lossDb(microphone),
        unit: 'dB',
        source: 'handbook 2-sound, polar pattern',
      },
    ],
    fixes: ({ node: { device: node } }, measured) => {
      const device = measured.device(node);
      return device.at
        ? []
        : [
            {
              label: `Point ${device.name} at the mouth`,
              command: {
                type: 'placeDevice',
                deviceId: node.id,
                at: null,
                aim: { ...(device.aim ?? STRAIGHT), offAxisDeg: 0 },
              },
            },
          ];
    },
  },
);
