import { steppedNear } from '../../edits/stepped';
import { figure } from '../../passes/sum';
import { eachSoundRule, setFix } from '../rule-of';
import { aboutGate, gates, voiceName } from './gates';

export const gateCuts = eachSoundRule(
  'sound.gate-cuts',
  {
    looksFor:
      'A gate whose threshold stands over the quietest usual speech of the voice it serves.',
    why: 'Ends of words and quiet sentences are swallowed, and that cannot be put back.',
    remedy: 'Bring the threshold under the quietest speech, or leave the gate out.',
    source: 'handbook 2-sound, the chain: gate below its threshold',
  },
  {
    all: gates,
    about: aboutGate,
    judge: (gate, measured) =>
      gate.thresholdDb <= gate.voiceIn.quietestDb
        ? null
        : {
            level: 'warn',
            title: 'The gate cuts quiet words',
            says:
              `The gate of ${gate.name} opens at ${figure(gate.thresholdDb)} ${gate.voiceIn.unit}; ` +
              `quiet speech of ${voiceName(measured, gate)} comes at ${figure(gate.voiceIn.quietestDb)}. It ` +
              'swallows ends of words. Bring the threshold down.',
          },
    sums: ({ voiceIn, thresholdDb }) => [
      {
        label: 'Quiet speech over the threshold',
        formula: 'average − spread − threshold',
        inputs: [
          { name: 'average at the gate', value: voiceIn.averageDb, unit: voiceIn.unit },
          { name: 'spread', value: voiceIn.averageDb - voiceIn.quietestDb, unit: 'dB' },
          { name: 'threshold', value: thresholdDb, unit: voiceIn.unit },
        ],
        result: voiceIn.quietestDb - thresholdDb,
        unit: 'dB',
        source: 'handbook 2-sound',
      },
    ],
    fixes: (gate, measured) => {
      // Halfway between what lies underneath and quiet speech, or 3 dB under it where nothing is known.
      const { quietestDb, underneathDb } = gate.voiceIn;
      const wanted =
        underneathDb === null || underneathDb >= quietestDb
          ? quietestDb - 3
          : (quietestDb + underneathDb) / 2;
      const value = steppedNear(
        measured.device(gate.stage.at.device),
        gate.thresholdControl,
        wanted,
      );
      return value === null
        ? []
        : [
            setFix(
              `Open the gate of ${gate.name} at ${figure(value)} ${gate.voiceIn.unit}`,
              gate.deviceId,
              gate.thresholdControl,
              value,
            ),
          ];
    },
  },
);
