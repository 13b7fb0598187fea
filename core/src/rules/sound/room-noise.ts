import type { MicrophoneInRoom } from '../../passes/room';
import { figure } from '../../passes/sum';
import { microphoneRule } from '../rule-of';
import { closerFix } from './in-room';

/**
 * The room itself, beside the noises that have a place. @returns dB by which the voice stands over
 * the room alone; null where either is not known
 */
const overRoomAlone = ({ ownSpl, roomSpl }: MicrophoneInRoom): number | null =>
  ownSpl === null || roomSpl === null ? null : ownSpl - roomSpl;

export const roomNoise = microphoneRule(
  'sound.room-noise',
  {
    matters: ['voice over room', 'microphone in room'],
    looksFor: 'A microphone whose voice stands too little above the noise of the room itself.',
    why:
      'No gain, booster or interface changes it: what the microphone hears is already ' +
      'mixed, and a compressor brings it up in every pause.',
    remedy: 'Come closer, use a pattern that hears less of the room, or quiet the room.',
    source: 'handbook 2-sound, room: room dB(A) + random-energy gain',
  },
  {
    houseRule: 'voiceOverRoomDb',
    judge: (microphone, measured) => {
      const { houseRules } = measured.rig;
      const over = overRoomAlone(microphone);
      if (over === null || over >= houseRules.voiceOverRoomDb) return null;
      return {
        level: 'warn',
        title: `Room ${figure(over)} dB under the voice`,
        says:
          `${measured.device(microphone.node.device).name} hears the room at ` +
          `${figure(microphone.roomSpl ?? 0)} dB(A) and its voice only ${figure(over)} dB ` +
          `louder; the house rule asks for ${figure(houseRules.voiceOverRoomDb, 0)} dB. Come ` +
          'closer, or quiet the room: no gain changes it.',
      };
    },
    sums: (microphone) => [
      {
        label: 'Voice over the room',
        formula: 'voice at the capsule − (room + random-energy gain)',
        inputs: [
          { name: 'voice at the capsule', value: microphone.ownSpl ?? 'unknown', unit: 'dB SPL' },
          {
            name: 'room as the pattern hears it',
            value: microphone.roomSpl ?? 'unknown',
            unit: 'dB(A)',
          },
        ],
        result: overRoomAlone(microphone),
        unit: 'dB',
        source: 'handbook 2-sound, room',
      },
    ],
    fixes: (microphone, measured) =>
      closerFix(
        measured,
        microphone,
        (there) => (overRoomAlone(there) ?? 0) >= measured.rig.houseRules.voiceOverRoomDb,
      ),
  },
);
