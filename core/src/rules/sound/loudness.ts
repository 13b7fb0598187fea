import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measured';
import {
  loudnesses,
  type ProgrammeLoudness,
  TRUE_PEAK_DBTP,
} from '../../passes/processing/loudness';
import { adjustableGains, steppedGain } from '../../passes/sound/gains';
import { figure } from '../../passes/sum';
import { at } from '../about';
import { eachSoundRule, setFix } from '../rule-of';

/** An estimate is no closer than this. @unit LU */
const TOLERANCE_LU = 3;

/** The last gain that every voice of a programme passes, set to bring it to its target. */
const trimTo = (measured: Measured, { voices, byDb }: ProgrammeLoudness): Fix[] => {
  const gains = voices.map(({ last }) => adjustableGains(measured, last));
  const [first = []] = gains;
  const common = first.find(({ stage, control }) =>
    gains.every((list) =>
      list.some((item) => item.stage.at.device === stage.at.device && item.control === control),
    ),
  );
  if (!common) return [];
  const value = steppedGain(common.gain.gainDb + byDb, common.gain);
  const { id } = common.stage.at.device;
  const device = measured.device(common.stage.at.device);
  return [
    setFix(
      `Set ${device.name}, ${device.model.controls[common.control]?.label ?? common.control} to ${figure(value)} dB`,
      id,
      common.control,
      value,
    ),
  ];
};

export const loudness = eachSoundRule<ProgrammeLoudness>(
  'sound.loudness',
  {
    looksFor:
      'A stream or programme file whose estimated loudness is 3 LU or more from the one the brief delivers.',
    why: 'The place it is played turns it down or leaves it quiet beside everything else.',
    remedy: 'Trim the programme to its target, and let a limiter hold the peaks.',
    source: 'ITU-R BS.1770, EBU R 128; handbook 2-sound, the chain: loudness target at the end',
  },
  {
    all: loudnesses,
    about: ({ end }) => at({ deviceId: end.id }),
    judge: ({ end, lufs, targetLufs, byDb, deliverable }, measured) =>
      Math.abs(byDb) < TOLERANCE_LU
        ? null
        : {
            level: 'note',
            title: `About ${figure(lufs)} LUFS`,
            says:
              `${measured.device(end).name} will measure about ${figure(lufs)} LUFS; ${deliverable.name} is ` +
              `to be ${figure(targetLufs, 0)}. ` +
              `${byDb > 0 ? `Bring it up by ${figure(byDb)} dB` : `Bring it down by ${figure(-byDb)} dB`}, ` +
              'and measure it: this is an estimate.',
          },
    sums: ({ voices, lufs, targetLufs, byDb }, measured) => [
      {
        label: 'Loudness, estimated',
        formula: 'mean of the voices’ powers, one voice in both channels',
        inputs: voices.map(({ source, levelDbfs }) => ({
          name: measured.device(source.device).name,
          value: levelDbfs,
          unit: 'dBFS',
        })),
        result: lufs,
        unit: 'LUFS',
        source: 'ITU-R BS.1770',
      },
      {
        label: 'To the target',
        formula: 'target − estimate',
        inputs: [
          { name: 'target', value: targetLufs, unit: 'LUFS' },
          { name: 'estimate', value: lufs, unit: 'LUFS' },
        ],
        result: byDb,
        unit: 'dB',
        source: 'the brief',
      },
    ],
    fixes: (programme, measured) =>
      programme.peakAfterDbtp > TRUE_PEAK_DBTP ? [] : trimTo(measured, programme),
  },
);
