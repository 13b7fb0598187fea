import { figure } from '../../explain/sum';
import { knobsOf, voices, type Knob } from '../../gain/ladder';
import type { Measured } from '../../measure';
import type { Stage } from '../../graph';
import { sourceOf, steppedGain } from '../places';
import { batchFix, soundRule } from '../rule-of';

const TENTH = 0.1;
const topOf = ({ settingsDb }: Knob): number => (settingsDb.at(-1) ?? 0) - TENTH * ((settingsDb.at(-1) ?? 0) - (settingsDb[0] ?? 0));
const rangeOf = ({ settingsDb }: Knob) => ({ minDb: settingsDb[0] ?? 0, maxDb: settingsDb.at(-1) ?? 0, stepDb: (settingsDb[1] ?? 1) - (settingsDb[0] ?? 0) });

interface Strained {
  readonly stage: Stage;
  readonly knob: Knob;
  readonly overDb: number;
  readonly other: Knob;
}

/** Gains in the last tenth of their range beside one on the same way that could give what is asked of them. */
const strained = (measured: Measured): Strained[] => {
  const seen = new Set<string>();
  return voices(measured).flatMap((stage) => {
    const gains = knobsOf(stage).filter(({ kind }) => kind === 'gain');
    return gains.flatMap((knob): Strained[] => {
      const overDb = knob.valueDb - topOf(knob);
      const key = `${knob.deviceId}.${knob.control}`;
      if (overDb <= 1e-9 || seen.has(key)) return [];
      const other = gains.find((candidate) => candidate !== knob && topOf(candidate) - candidate.valueDb >= overDb);
      if (!other) return [];
      seen.add(key);
      return [{ stage, knob, overDb, other }];
    });
  });
};

export const lastTenth = soundRule('sound.last-tenth', {
  looksFor: 'A gain in the last tenth of its range where another stage of the same voice could give the rest.',
  why: 'Many preamps hiss or whistle at the very top, and nothing is left for a quiet guest.',
  remedy: 'Take it down and let the other stage give what is missing.',
  source: 'handbook 2-sound, setting the gains: house rule of the last 10 %',
}, (measured) => strained(measured).map(({ stage, knob, other }) => ({
  level: 'note', about: { deviceId: knob.deviceId, portId: knob.stage.parent?.at.id, stage: stage.index }, title: `${knob.label} is nearly fully up`,
  says: `${knob.label} stands at ${figure(knob.valueDb, 0)} of ${figure(knob.settingsDb.at(-1) ?? 0, 0)} dB for ${sourceOf(stage).at.device.device.name}, and ${other.label} has gain to spare. Let that give the rest.`,
})), {
  sums: (measured, { about }) => strained(measured).filter(({ knob }) => knob.deviceId === about.deviceId).map(({ knob, overDb }) => ({ label: 'Over nine tenths', formula: 'gain − (most − 0.1 × range)', inputs: [{ name: 'gain', value: knob.valueDb, unit: 'dB' }, { name: 'most', value: knob.settingsDb.at(-1) ?? 0, unit: 'dB' }], result: overDb, unit: 'dB', source: 'house rule' })),
  fixes: (measured, { about }) => strained(measured).filter(({ knob, stage }) => knob.deviceId === about.deviceId && stage.index === about.stage).map(({ knob, other }) => {
    const value = steppedGain(Math.floor(topOf(knob)), { ...rangeOf(knob), gainDb: knob.valueDb, control: knob.control });
    const raised = steppedGain(other.valueDb + knob.valueDb - value, { ...rangeOf(other), gainDb: other.valueDb, control: other.control });
    return batchFix(`Take ${figure(knob.valueDb - value, 0)} dB from ${knob.label} and give it to ${other.label}`, [{ type: 'setControl', deviceId: knob.deviceId, control: knob.control, value }, { type: 'setControl', deviceId: other.deviceId, control: other.control, value: raised }]);
  }),
});
