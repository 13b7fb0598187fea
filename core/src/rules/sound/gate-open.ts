import { figure } from '../../passes/sum';
import { eachSoundRule, setFix } from '../rule-of';
import { aboutGate, gates, voiceName } from './gates';

export const gateOpen = eachSoundRule(
  'sound.gate-open',
  {
    looksFor:
      'A gate that noise, the room or another voice holds open: its threshold lies under them.',
    why: 'It does nothing for which it was put in, and opens and closes on the neighbour’s words.',
    remedy:
      'Raise the threshold where quiet speech leaves room for it; else come closer, or leave the gate out.',
    source: 'handbook 2-sound, the chain: gate threshold against noise and bleed',
  },
  {
    all: gates,
    about: aboutGate,
    judge: (gate, measured) => {
      const { underneathDb, quietestDb, unit } = gate.voiceIn;
      if (underneathDb === null || gate.thresholdDb > underneathDb) return null;
      return {
        level: 'note',
        title: 'The gate never closes',
        says:
          `What lies under ${voiceName(measured, gate)} comes to the gate of ${gate.name} at ` +
          `${figure(underneathDb)} ${unit}, and it opens at ${figure(gate.thresholdDb)}. ` +
          (underneathDb < quietestDb
            ? 'Raise the threshold between the two.'
            : `Quiet speech comes at ${figure(quietestDb)}, so no threshold does: come closer, ` +
              'or leave the gate out.'),
      };
    },
    sums: ({ voiceIn, thresholdDb }) => [
      {
        label: 'Threshold over what lies underneath',
        formula: 'threshold − power sum of noise, room and the loudest other voice',
        inputs: [
          { name: 'threshold', value: thresholdDb, unit: voiceIn.unit },
          { name: 'underneath', value: voiceIn.underneathDb ?? 'unknown', unit: voiceIn.unit },
        ],
        result: voiceIn.underneathDb === null ? null : thresholdDb - voiceIn.underneathDb,
        unit: 'dB',
        source: 'handbook 2-sound',
      },
    ],
    fixes: (gate) => [
      setFix(`Leave the gate of ${gate.name} out`, gate.deviceId, gate.inSwitch, false),
    ],
  },
);
