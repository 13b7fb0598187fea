import { type Stage, stagesOf } from '../../graph';
import type { Measured } from '../../passes/measured';
import { type Shaping, shapings } from '../../passes/processing';
import { headroomDb } from '../../passes/sound';
import { figure } from '../../passes/sum';
import { atStage } from '../about';
import { eachSoundRule, setFix } from '../rule-of';
import { voiceName } from './gates';

/** The tightest place from an equaliser on to the converter. @unit dB of headroom */
const tightest = (
  { sound }: Measured,
  { stage, voice }: Shaping,
): { readonly at: Stage; readonly db: number } | null => {
  const after = stagesOf(voice);
  return after.slice(after.indexOf(stage)).reduce<{ at: Stage; db: number } | null>((least, at) => {
    const figures = sound[at.index];
    const db = figures ? headroomDb(figures) : null;
    return db !== null && db < (least?.db ?? Infinity) ? { at, db } : least;
  }, null);
};

export const liftClips = eachSoundRule<Shaping>(
  'sound.lift-clips',
  {
    looksFor: 'An equaliser that lifts a band by more than the headroom behind it.',
    why: 'A voice that lives in that band peaks higher by as much, and clips where the meters before it showed room.',
    remedy: 'Lower the other bands instead, or take gain away before the equaliser.',
    source: 'handbook 2-sound, the chain: equaliser as a gain at its band',
  },
  {
    all: shapings,
    about: ({ deviceId, voice }) => atStage(voice, { deviceId }),
    judge: (shaping, measured) => {
      const least = shaping.liftDb > 0 ? tightest(measured, shaping) : null;
      if (!least || least.db < 0 || shaping.liftDb <= least.db) return null;
      return {
        level: 'note',
        title: `Lifts ${figure(shaping.liftDb)} dB into ${figure(least.db)} dB of headroom`,
        says:
          `${shaping.name} lifts a band of ${voiceName(measured, shaping)} by ${figure(shaping.liftDb)} ` +
          `dB, and ${measured.device(least.at.at.device).name} has ${figure(least.db)} dB left. Lower the ` +
          'other bands instead, or take gain away before it.',
      };
    },
    sums: (shaping, measured) => {
      const least = tightest(measured, shaping);
      return [
        {
          label: 'Headroom where the lifted band carries the peaks',
          formula: 'headroom − largest lift',
          inputs: [
            { name: 'headroom', value: least?.db ?? 'unknown', unit: 'dB' },
            { name: 'largest lift', value: shaping.liftDb, unit: 'dB' },
          ],
          result: least ? least.db - shaping.liftDb : null,
          unit: 'dB',
          source: 'handbook 2-sound',
        },
      ];
    },
    fixes: ({ deviceId, name, inSwitch }) => [
      setFix(`Switch the equaliser of ${name} out`, deviceId, inSwitch, false),
    ],
  },
);
