import { builtRoom } from '../../passes/room';
import { middleSums } from '../../passes/room/sums';
import { figure } from '../../passes/sum';
import { THE_RIG } from '../about';
import { placeRule } from '../rule-of';
import { staleRing } from './ring-stale';
import { inBuiltRoom, isFarFrom, seconds } from './room';

const NEAR_VOLUME = 0.1;

const share = (typed: number, drawn: number): number => typed / drawn - 1;

export const timeDiffers = placeRule(
  'place.time-differs',
  {
    matters: ['room'],
    looksFor: 'An echo time that was typed or measured and is far from what the surfaces tell.',
    why: 'One of the two is wrong, and everything the room does to a microphone is judged by the typed one.',
    remedy: 'Measure it again, correct the surfaces, or let it be computed.',
    source: 'handbook 5, room sound',
  },
  inBuiltRoom(({ rt60S }, measured) => {
    const { room } = measured.rig;
    // That the room is another than the one that was measured is said by itself.
    return room.rt60S === null || !isFarFrom(room.rt60S, rt60S) || staleRing(measured)
      ? []
      : [
          {
            level: 'note',
            about: THE_RIG,
            title: `Echo typed as ${seconds(room.rt60S)}, computed as ${seconds(rt60S)}`,
            says:
              `The echo was typed as ${seconds(room.rt60S)}, and the surfaces of the room come to ` +
              `${seconds(rt60S)}. The typed one counts. Measure it again, correct the surfaces, or ` +
              'let it be computed.',
          },
        ];
  }),
  {
    sums: (measured) => {
      const built = builtRoom(measured);
      return built ? middleSums(built) : [];
    },
    fixes: () => [
      {
        label: 'Take the time that the surfaces tell',
        command: { type: 'setRoom', room: { rt60S: null } },
      },
    ],
  },
);

export const volumeDiffers = placeRule(
  'place.volume-differs',
  {
    matters: ['room'],
    looksFor: 'A volume that was typed and is not that of the room as it is drawn.',
    why: 'Echo and critical distance are judged by the typed one.',
    remedy: 'Correct the walls or the height, or let the volume be computed.',
    source: 'handbook 5, plan: where plan and typed figure differ, say so',
  },
  inBuiltRoom(({ volumeM3 }, { rig: { room } }) =>
    room.volumeM3 === null || Math.abs(share(room.volumeM3, volumeM3)) <= NEAR_VOLUME
      ? []
      : [
          {
            level: 'note',
            about: THE_RIG,
            title: `Volume typed as ${figure(room.volumeM3, 0)} m³, drawn as ${figure(volumeM3, 0)} m³`,
            says:
              `The volume was typed as ${figure(room.volumeM3)} m³, and the room as it is drawn ` +
              `holds ${figure(volumeM3)} m³. The typed one counts. Correct the walls or the height, ` +
              'or let the volume be computed.',
          },
        ],
  ),
  {
    sums: (measured) => {
      const built = builtRoom(measured);
      return built
        ? [
            {
              label: 'Volume as drawn',
              formula: 'floor × height',
              inputs: [
                { name: 'floor', value: built.areasM2.floor, unit: 'm²' },
                { name: 'height', value: built.shell.heightM, unit: 'm' },
              ],
              result: built.volumeM3,
              unit: 'm³',
              source: 'the plan',
            },
          ]
        : [];
    },
    fixes: () => [
      {
        label: 'Take the volume of the drawn room',
        command: { type: 'setRoom', room: { volumeM3: null } },
      },
    ],
  },
);
