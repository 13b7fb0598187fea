import {
  loudnesses,
  type ProgrammeLoudness,
  TRUE_PEAK_DBTP,
} from '../../passes/processing/loudness';
import { figure } from '../../passes/sum';
import { at } from '../about';
import { eachSoundRule } from '../rule-of';

export const truePeak = eachSoundRule<ProgrammeLoudness>(
  'sound.true-peak',
  {
    looksFor:
      'A stream or programme file whose peaks would pass −1 dBTP once it is as loud as it must be delivered.',
    why: 'Coded sound overshoots between samples, and players clip it.',
    remedy:
      'Put a limiter at the end of the programme, or a gentle compressor on the voice with the highest peaks.',
    source: 'EBU R 128: −1 dBTP',
  },
  {
    all: loudnesses,
    about: ({ end }) => at({ deviceId: end.id }),
    judge: ({ end, voices, targetLufs, peakAfterDbtp }, measured) => {
      if (peakAfterDbtp <= TRUE_PEAK_DBTP) return null;
      const [loudest] = [...voices].sort((a, b) => b.peakDbfs - a.peakDbfs);
      return {
        level: 'note',
        title: `Peaks ${figure(peakAfterDbtp - TRUE_PEAK_DBTP)} dB too high at ${figure(targetLufs, 0)} LUFS`,
        says:
          `Brought to ${figure(targetLufs, 0)} LUFS, ${measured.device(end).name} peaks at about ` +
          `${figure(peakAfterDbtp)} ` +
          `dBTP${loudest ? `, most of all by ${measured.device(loudest.source.device).name}` : ''}; −1 is ` +
          'the limit. Put a limiter at the end, or compress that voice gently.',
      };
    },
    sums: ({ byDb, peakAfterDbtp, voices }) => [
      {
        label: 'Peaks at the target',
        formula: 'highest peak + what is added',
        inputs: [
          {
            name: 'highest peak',
            value: Math.max(...voices.map(({ peakDbfs }) => peakDbfs)),
            unit: 'dBFS',
          },
          { name: 'added', value: byDb, unit: 'dB' },
        ],
        result: peakAfterDbtp,
        unit: 'dBTP',
        source: 'EBU R 128',
      },
    ],
  },
);
