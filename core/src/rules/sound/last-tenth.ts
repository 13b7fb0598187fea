import type { Stage } from '../../graph';
import { sourceOf } from '../../graph';
import type { Measured } from '../../passes/measured';
import { type AdjustableGain, adjustableGains, steppedGain } from '../../passes/sound/gains';
import { voices } from '../../passes/sound/ladder';
import { figure } from '../../passes/sum';
import { atStage } from '../about';
import { batchFix, soundRule } from '../rule-of';

const TENTH = 0.1;
/** Where the last tenth of a range begins. @unit dB */
const topOf = ({ gain }: AdjustableGain): number => gain.maxDb - TENTH * (gain.maxDb - gain.minDb);
const overOf = (item: AdjustableGain): number => item.gain.gainDb - topOf(item);
const deviceOf = ({ stage }: AdjustableGain) => stage.at.device;
const nameOf = (measured: Measured, item: AdjustableGain): string =>
  `${measured.device(deviceOf(item)).name}, ${deviceOf(item).model.controls[item.control]?.label ?? item.control}`;

interface Strained {
  readonly stage: Stage;
  readonly knob: AdjustableGain;
  readonly other: AdjustableGain;
}

const keyOf = (item: AdjustableGain): string => `${deviceOf(item).id}.${item.control}`;

/**
 * Whether every voice that the one gain serves also passes the other: a gain that some converter
 * has alone must stay.
 */
const servesWith = (measured: Measured, knob: AdjustableGain, other: AdjustableGain): boolean =>
  voices(measured).every((stage) => {
    const keys = adjustableGains(measured, stage).map(keyOf);
    return !keys.includes(keyOf(knob)) || keys.includes(keyOf(other));
  });

/** Gains in the last tenth of their range beside one on the same way that could give what is asked of them. */
const strained = (measured: Measured): Strained[] => {
  const seen = new Set<string>();
  return voices(measured).flatMap((stage) => {
    const gains = adjustableGains(measured, stage);
    return gains.length < 2
      ? []
      : gains.flatMap((knob): Strained[] => {
          const key = keyOf(knob);
          const overDb = overOf(knob);
          if (overDb <= 1e-9 || seen.has(key)) return [];
          const other = gains.find(
            (candidate) =>
              candidate !== knob &&
              -overOf(candidate) >= overDb &&
              servesWith(measured, knob, candidate),
          );
          if (!other) return [];
          seen.add(key);
          return [{ stage, knob, other }];
        });
  });
};

export const lastTenth = soundRule(
  'sound.last-tenth',
  {
    looksFor:
      'A gain in the last tenth of its range where another stage of the same voice could give the rest.',
    why: 'Many preamps hiss or whistle at the very top, and nothing is left for a quiet guest.',
    remedy: 'Take it down and let the other stage give what is missing.',
    source: 'handbook 2-sound, setting the gains: house rule of the last 10 %',
  },
  (measured) =>
    strained(measured).map(({ stage, knob, other }) => ({
      level: 'note',
      about: atStage(stage, { deviceId: deviceOf(knob).id, portId: knob.stage.parent?.at.id }),
      title: `${nameOf(measured, knob)} is nearly fully up`,
      says:
        `${nameOf(measured, knob)} stands at ${figure(knob.gain.gainDb, 0)} of ` +
        `${figure(knob.gain.maxDb, 0)} dB for ${measured.device(sourceOf(stage).at.device).name}, and ` +
        `${nameOf(measured, other)} has gain to spare. Let that give the rest.`,
    })),
  {
    sums: (measured, { about }) =>
      strained(measured)
        .filter(({ knob }) => deviceOf(knob).id === about.deviceId)
        .map(({ knob }) => ({
          label: 'Over nine tenths',
          formula: 'gain − (most − 0.1 × range)',
          inputs: [
            { name: 'gain', value: knob.gain.gainDb, unit: 'dB' },
            { name: 'most', value: knob.gain.maxDb, unit: 'dB' },
          ],
          result: overOf(knob),
          unit: 'dB',
          source: 'house rule',
        })),
    fixes: (measured, { about }) =>
      strained(measured)
        .filter(
          ({ knob, stage }) => deviceOf(knob).id === about.deviceId && stage.index === about.stage,
        )
        .map(({ knob, other }) => {
          const value = steppedGain(Math.floor(topOf(knob)), knob.gain);
          const taken = knob.gain.gainDb - value;
          return batchFix(
            `Take ${figure(taken, 0)} dB from ${nameOf(measured, knob)} and give it to ${nameOf(measured, other)}`,
            [
              { type: 'setControl', deviceId: deviceOf(knob).id, control: knob.control, value },
              {
                type: 'setControl',
                deviceId: deviceOf(other).id,
                control: other.control,
                value: steppedGain(other.gain.gainDb + taken, other.gain),
              },
            ],
          );
        }),
  },
);
