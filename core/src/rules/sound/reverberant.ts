import { patternDb, roomSound } from '../../passes/room';
import { figure } from '../../passes/sum';
import { entry } from '../../rig';
import { microphoneRule } from '../rule-of';
import { closerFix } from './in-room';

/** Under this a voice sounds far away whoever listens; a dead school asks for more. @unit dB */
const DISTANT_DB = 0;
const DRY_DB = 6;

export const reverberant = microphoneRule(
  'sound.reverberant',
  {
    matters: ['microphone in room'],
    looksFor:
      'A microphone as far from its mouth as the distance at which the room is as loud as the voice.',
    why: 'The voice sounds as if from the end of a corridor, and nothing afterwards brings it back.',
    remedy: 'Come closer, use a narrower pattern, or treat the room.',
    source: 'handbook 2-sound, room: critical distance 0.057·√(Q·V ÷ RT60)',
  },
  {
    houseRule: 'room',
    judge: ({ node, personId, distanceM, criticalDistanceM, directToReverberantDb }, measured) => {
      const { houseRules, people } = measured.rig;
      // What hears an audience is meant to hear the room.
      if (personId !== null && entry(people, personId)?.isHeard === false) return null;
      const least = houseRules.room === 'dead' ? DRY_DB : DISTANT_DB;
      if (
        directToReverberantDb === null ||
        criticalDistanceM === null ||
        distanceM === null ||
        directToReverberantDb >= least
      )
        return null;
      return {
        level: directToReverberantDb < DISTANT_DB ? 'warn' : 'note',
        title:
          directToReverberantDb < 0
            ? `Voice ${figure(-directToReverberantDb)} dB under its echo`
            : `Voice only ${figure(directToReverberantDb)} dB over its echo`,
        says:
          `${measured.device(node.device).name} is ${figure(distanceM, 2)} m from its mouth, and in this ` +
          `room the echo is as loud as the voice at ${figure(criticalDistanceM, 2)} m. Come ` +
          'closer, use a narrower pattern, or treat the room.',
      };
    },
    sums: (
      { distanceM, criticalDistanceM, directToReverberantDb, pattern, offAxisDeg },
      measured,
    ) => [
      {
        label: 'Critical distance',
        formula: '0.057·√(Q·V ÷ RT60)',
        inputs: [
          { name: 'V', value: roomSound(measured).volumeM3 ?? 'unknown', unit: 'm³' },
          { name: 'RT60', value: roomSound(measured).rt60S ?? 'unknown', unit: 's' },
        ],
        result: criticalDistanceM,
        unit: 'm',
        source: 'handbook 2-sound, room',
      },
      {
        label: 'Direct to reverberant',
        formula: '20·log10(Dc ÷ d) + pattern at the angle of the mouth',
        inputs: [
          { name: 'Dc', value: criticalDistanceM ?? 'unknown', unit: 'm' },
          { name: 'd', value: distanceM ?? 'unknown', unit: 'm' },
          {
            name: 'pattern',
            value: pattern ? patternDb(pattern, offAxisDeg) : 'unknown',
            unit: 'dB',
          },
        ],
        result: directToReverberantDb,
        unit: 'dB',
        source: 'handbook 2-sound, room',
      },
    ],
    fixes: (microphone, measured) =>
      closerFix(
        measured,
        microphone,
        (there) =>
          (there.directToReverberantDb ?? 0) >=
          (measured.rig.houseRules.room === 'dead' ? DRY_DB : DISTANT_DB),
      ),
  },
);
