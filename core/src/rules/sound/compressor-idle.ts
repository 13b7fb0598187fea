import { steppedNear } from '../../edits/stepped';
import { type Compressor, processors } from '../../passes/processing';
import { figure } from '../../passes/sum';
import { atStage } from '../about';
import { eachSoundRule, setFix } from '../rule-of';
import { voiceName } from './gates';

export const compressorIdle = eachSoundRule<Compressor>(
  'sound.compressor-idle',
  {
    looksFor: 'A compressor that is switched in and whose threshold no peak of the voice reaches.',
    why: 'It only adds its noise, and whoever trusts it has no protection against a loud laugh.',
    remedy: 'Bring the threshold under the peaks, or switch it out.',
    source: 'handbook 2-sound, the chain: static curve',
  },
  {
    all: (measured) =>
      processors(measured).filter(
        (processor): processor is Compressor => processor.does === 'compress' && processor.isIn,
      ),
    about: ({ deviceId, voice }) => atStage(voice, { deviceId }),
    judge: (compressor, measured) => {
      const { voiceIn, curve, name } = compressor;
      const loudestPeak = voiceIn.loudestDb + (voiceIn.peakDb - voiceIn.averageDb);
      return loudestPeak > curve.thresholdDb
        ? null
        : {
            level: 'note',
            title: 'The compressor never acts',
            says:
              `${name} presses from ${figure(curve.thresholdDb)} ${voiceIn.unit} on; the loudest ` +
              `peaks of ${voiceName(measured, compressor)} come to ${figure(loudestPeak)}. Bring the ` +
              'threshold down, or switch it out.',
          };
    },
    sums: ({ voiceIn, curve }) => [
      {
        label: 'Loudest peaks over the threshold',
        formula: 'average + spread + (crest − 3.01) − threshold',
        inputs: [
          { name: 'average there', value: voiceIn.averageDb, unit: voiceIn.unit },
          { name: 'spread', value: voiceIn.loudestDb - voiceIn.averageDb, unit: 'dB' },
          { name: 'peaks over it', value: voiceIn.peakDb - voiceIn.averageDb, unit: 'dB' },
          { name: 'threshold', value: curve.thresholdDb, unit: voiceIn.unit },
        ],
        result: voiceIn.loudestDb + voiceIn.peakDb - voiceIn.averageDb - curve.thresholdDb,
        unit: 'dB',
        source: 'handbook 2-sound',
      },
    ],
    fixes: ({ voiceIn, deviceId, name, stage, thresholdControl, inSwitch }, measured) => {
      // From the average on, it presses what is louder than usual.
      const value = steppedNear(
        measured.device(stage.at.device),
        thresholdControl,
        voiceIn.averageDb,
      );
      return [
        ...(value === null
          ? []
          : [
              setFix(
                `Let ${name} press from ${figure(value)} ${voiceIn.unit}`,
                deviceId,
                thresholdControl,
                value,
              ),
            ]),
        setFix(`Switch the compressor of ${name} out`, deviceId, inSwitch, false),
      ];
    },
  },
);
