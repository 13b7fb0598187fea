import {
  aimLossDb,
  curveOf,
  gainOf,
  headroomDb,
  inputCeilingDbu,
  jointLoadingDb,
  padOf,
  peakCeilingDbfs,
  peakDb,
  splAt,
  voiceOf,
  voiceTargetDbfs,
} from '.';
import type { Stage } from '../../graph';
import { stagesOf } from '../../graph';
import { levelTarget } from '../../rig';
import type { Measured } from '../measured';
import { nameOf } from '../names';
import type { Sum, SumInput } from '../sum';

const portName = (measured: Measured, stage: Stage): string => nameOf(measured, stage.at);

export const db = (name: string, value: number | null | undefined, unit: string): SumInput => ({
  name,
  value: value ?? 'unknown',
  unit,
});

export const figuresAt = (measured: Measured, stage: Stage | null) =>
  stage ? measured.sound[stage.index] : undefined;

/** Level of a microphone, from the voice to its output. */
const microphoneSums = (measured: Measured, stage: Stage): Sum[] => {
  const source = stage.at.port.emits?.sound;
  const figures = figuresAt(measured, stage);
  if (source?.type !== 'microphone') return [];
  const { person, distanceM } = voiceOf(measured, stage.at, source);
  const aimDb = aimLossDb(measured, stage.at, person);
  const spl =
    person && distanceM !== undefined ? splAt(person.speechDbSpl, distanceM) + aimDb : null;
  return [
    {
      label: `Voice at ${measured.device(stage.at.device).name}`,
      formula:
        aimDb === 0 ? 'L(1 m) − 20·log10(d)' : 'L(1 m) − 20·log10(d) + pattern at that angle',
      inputs: [
        db('L(1 m)', person?.speechDbSpl, 'dB SPL'),
        db('d', distanceM, 'm'),
        ...(aimDb === 0 ? [] : [db('pattern', aimDb, 'dB')]),
      ],
      result: spl,
      unit: 'dB SPL',
      source: 'ISO 9921; handbook 2-sound',
      ...(person ? {} : { note: 'Cannot tell: nobody has been named for this microphone.' }),
    },
    {
      label: `Output of ${measured.device(stage.at.device).name}`,
      formula: '20·log10(sens/1000 · 10^((L − 94)/20) / 0.7746)',
      inputs: [db('sens', source.sensitivityMvPerPa, 'mV/Pa'), db('L', spl, 'dB SPL')],
      result: figures?.levelDb ?? null,
      unit: 'dBu',
      source: 'IEC 60268-4',
      ...(figures?.unknown ? { note: `Cannot tell: needs ${figures.unknown.says}.` } : {}),
    },
  ];
};

const linkSum = (measured: Measured, stage: Stage): Sum[] => {
  if (stage.via.by !== 'link') return [];
  const { from, to } = stage.via.link;
  if (from.port.family !== 'analogue' || to.port.family !== 'analogue') return [];
  const before = figuresAt(measured, stage.parent);
  return [
    {
      label: `At ${portName(measured, stage)}`,
      formula: 'level + 20·log10(Zin / (Zin + Zsource))',
      inputs: [
        db('level', before?.levelDb, 'dBu'),
        db('Zin', to.port.inputOhms, 'Ω'),
        db('Zsource', from.port.sourceOhms, 'Ω'),
        db('loading', jointLoadingDb(from, to), 'dB'),
      ],
      result: figuresAt(measured, stage)?.levelDb ?? null,
      unit: 'dBu',
      source: 'IEC 60268-15',
    },
  ];
};

const routeSum = (measured: Measured, stage: Stage): Sum[] => {
  if (stage.via.by !== 'route' || !stage.via.route.route.sound || !stage.parent) return [];
  const { sound } = stage.via.route.route;
  const device = measured.device(stage.at.device);
  const before = figuresAt(measured, stage.parent);
  const after = figuresAt(measured, stage);
  const gain = gainOf(device, sound);
  const inputs: SumInput[] = [
    db('level', before?.levelDb, before?.unit ?? 'dBu'),
    db('gain', gain.gainDb, 'dB'),
  ];
  const pad = padOf(device, sound);
  if (pad) inputs.push(db('pad', pad, 'dB'));
  const converts = sound.toDigital && before?.unit === 'dBu';
  const maxIn =
    stage.parent.at.port.family === 'analogue' ? stage.parent.at.port.maxInDbu : undefined;
  if (converts) inputs.push(db('least gain', gain.minDb, 'dB'), db('maxIn', maxIn, 'dBu'));
  const curve = curveOf(device, sound);
  if (curve)
    inputs.push(
      db('threshold', curve.thresholdDb, before?.unit ?? 'dBu'),
      db('ratio', curve.ratio, ': 1'),
      db('make-up', curve.makeUpDb, 'dB'),
    );
  if (sound.toAnalogue) inputs.push(db('0 dBFS leaves as', sound.toAnalogue.fullScaleDbu, 'dBu'));
  return [
    {
      label: `Leaves ${portName(measured, stage)}`,
      formula: converts
        ? 'level + pad + (gain − least gain) − maxIn'
        : sound.toAnalogue
          ? 'level + gain + full scale'
          : curve
            ? 'x = level + pad + gain; x + make-up up to the threshold, threshold + (x − threshold) ÷ ratio + ' +
              'make-up over it'
            : 'level + pad + gain',
      inputs,
      result: after?.levelDb ?? null,
      unit: after?.unit ?? 'dBu',
      source: converts ? 'AES17; handbook 2-sound' : 'handbook 2-sound',
    },
  ];
};

/** The level at a stage, step by step from the source. */
export const explainLevel = (measured: Measured, stage: Stage): Sum[] =>
  stagesOf(stage).flatMap((at) =>
    at.via.by === 'source'
      ? microphoneSums(measured, at)
      : at.via.by === 'link'
        ? linkSum(measured, at)
        : routeSum(measured, at),
  );

/** The house level of a voice of this crest, and the gain its converter stage would need for it. */
export const explainGainNeeded = (measured: Measured, stage: Stage): Sum[] => {
  const figures = figuresAt(measured, stage);
  if (!figures || stage.via.by !== 'route' || !stage.via.route.route.sound) return [];
  const gain = gainOf(measured.device(stage.at.device), stage.via.route.route.sound);
  const { houseRules } = measured.rig;
  const target = voiceTargetDbfs(houseRules, figures);
  return [
    {
      label: 'House level of this voice',
      formula: 'min(average, peak ceiling − crest + 3.01)',
      inputs: [
        db('average', levelTarget(houseRules).averageDbfs, 'dBFS'),
        db('peak ceiling', peakCeilingDbfs(houseRules), 'dBFS'),
        db('crest', figures.crestDb, 'dB'),
      ],
      result: target,
      unit: 'dBFS',
      source: 'handbook 2-sound; house rules: recording level, headroom',
    },
    {
      label: 'Gain needed for the house level',
      formula: 'gain set + (target − level)',
      inputs: [
        db('gain set', gain.gainDb, 'dB'),
        db('target', target, 'dBFS'),
        db('level', figures.levelDb, figures.unit),
        db('most gain', gain.maxDb, 'dB'),
      ],
      result: figures.levelDb === null ? null : gain.gainDb + target - figures.levelDb,
      unit: 'dB',
      source: 'handbook 2-sound; house rule: recording level',
    },
  ];
};

/** Distance from peaks to the ceiling at a stage. */
export const explainHeadroom = (measured: Measured, stage: Stage): Sum[] => {
  const figures = figuresAt(measured, stage);
  if (!figures) return [];
  const ceiling = inputCeilingDbu(measured, stage.at);
  return [
    {
      label: 'Peaks',
      formula: 'level + crest − 3.01',
      inputs: [db('level', figures.levelDb, figures.unit), db('crest', figures.crestDb, 'dB')],
      result: peakDb(figures),
      unit: figures.unit,
      source: 'AES17: levels refer to a sine, whose own peak is 3.01 dB over its RMS',
    },
    {
      label: `Headroom at ${portName(measured, stage)}`,
      formula: 'ceiling − peaks',
      inputs: [
        db('ceiling', figures.ceilingDb, figures.unit),
        db('peaks', peakDb(figures), figures.unit),
      ],
      result: headroomDb(figures),
      unit: 'dB',
      source: 'handbook 2-sound; house rule: headroom',
      ...(ceiling !== null && stage.via.by === 'link'
        ? {
            note: 'The ceiling is the input’s maximum level, less the gain above its least and plus the pad.',
          }
        : {}),
    },
  ];
};
