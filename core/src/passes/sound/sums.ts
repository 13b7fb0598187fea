import {
  gainOf,
  headroomDb,
  inputCeilingDbu,
  jointLoadingDb,
  ownNoise,
  padOf,
  peakDb,
  snrAWeightedDb,
  snrDb,
  splAt,
  voiceOf,
} from '.';
import type { Stage } from '../../graph';
import { stagesOf } from '../../graph';
import { levelTarget } from '../../rig';
import { loadingDb, powerSumDb } from '../../units';
import type { Measured } from '../measure';
import type { Sum, SumInput } from '../sum';

const portName = (stage: Stage): string => `${stage.at.device.device.name}, ${stage.at.port.name}`;
const db = (name: string, value: number | null | undefined, unit: string): SumInput => ({
  name,
  value: value ?? 'unknown',
  unit,
});

const figuresAt = (measured: Measured, stage: Stage | null) =>
  stage ? measured.sound[stage.index] : undefined;

/** Level of a microphone, from the voice to its output. */
const microphoneSums = (measured: Measured, stage: Stage): Sum[] => {
  const source = stage.at.port.emits?.sound;
  const figures = figuresAt(measured, stage);
  if (source?.type !== 'microphone') return [];
  const { person, distanceM } = voiceOf(measured.rig, stage.at, source);
  const spl = person && distanceM !== undefined ? splAt(person.speechDbSpl, distanceM) : null;
  return [
    {
      label: `Voice at ${stage.at.device.device.name}`,
      formula: 'L(1 m) − 20·log10(d)',
      inputs: [db('L(1 m)', person?.speechDbSpl, 'dB SPL'), db('d', distanceM, 'm')],
      result: spl,
      unit: 'dB SPL',
      source: 'ISO 9921; handbook 2-sound',
      ...(person ? {} : { note: 'Cannot tell: nobody has been named for this microphone.' }),
    },
    {
      label: `Output of ${stage.at.device.device.name}`,
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
      label: `At ${portName(stage)}`,
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
  const device = stage.at.device.device;
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
  if (sound.toAnalogue) inputs.push(db('0 dBFS leaves as', sound.toAnalogue.fullScaleDbu, 'dBu'));
  return [
    {
      label: `Leaves ${portName(stage)}`,
      formula: converts
        ? 'level + pad + (gain − least gain) − maxIn'
        : sound.toAnalogue
          ? 'level + gain + full scale'
          : sound.compressor
            ? 'static curve of (level + pad + gain)'
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

/** One thing that adds noise, as it arrives at the end of the thread. */
export interface NoiseShare {
  readonly from: string;
  /** @unit as the level at the stage */
  readonly atEndDb: number;
  /** Share of the whole noise power, 0…1 */
  readonly share: number;
}

/**
 * Who makes the noise at a stage. Each part is carried along with the level, so parts compare at
 * the end; largest first.
 */
export const noiseShares = (measured: Measured, stage: Stage): NoiseShare[] => {
  const total = figuresAt(measured, stage)?.noise;
  const levelAtEnd = figuresAt(measured, stage)?.levelDb;
  if (!total || levelAtEnd === null || levelAtEnd === undefined) return [];
  const shares: NoiseShare[] = [];
  const add = (from: string, noiseDb: number, levelThereDb: number | null | undefined) => {
    if (levelThereDb === null || levelThereDb === undefined) return;
    const atEndDb = noiseDb + (levelAtEnd - levelThereDb);
    shares.push({ from, atEndDb, share: 10 ** ((atEndDb - total.statedDb) / 10) });
  };
  for (const at of stagesOf(stage)) {
    const figures = figuresAt(measured, at);
    const { name } = at.at.device.device;
    if (at.via.by === 'source') {
      if (figures?.noise)
        add(
          figures.noise.weighting === 'A'
            ? `${name}, own noise`
            : `${name}, thermal noise of its resistance`,
          figures.noise.statedDb,
          figures.levelDb,
        );
      continue;
    }
    if (at.via.by !== 'route' || !at.via.route.route.sound || !at.parent) continue;
    const { sound } = at.via.route.route;
    const before = figuresAt(measured, at.parent);
    const own = ownNoise(at.at.device.device, sound);
    if (own && before?.levelDb !== null && before?.levelDb !== undefined)
      add(`${name}, input stage`, own.statedDb, before.levelDb + padOf(at.at.device.device, sound));
    if (
      sound.outputNoiseDbu !== undefined &&
      sound.outputNoiseDbu !== null &&
      figures?.unit === 'dBu'
    )
      add(`${name}, output stage`, sound.outputNoiseDbu, figures.levelDb);
    if (sound.toDigital && before?.unit === 'dBu' && sound.toDigital.dynamicRangeDba !== null)
      add(`${name}, converter`, -sound.toDigital.dynamicRangeDba, figures?.levelDb);
  }
  return shares.sort((a, b) => b.share - a.share);
};

/** Input resistance and own noise of the catalogue's inline booster. */
const BOOSTER = { inputOhms: 3000, ownNoiseDbu: -129.5 } as const;

/**
 * What a booster would do, or has done, for the noise of a thread: the plain answer when the money
 * would change nothing.
 * @returns null where it cannot be told, or where the microphone is not a passive one
 */
export const boosterVerdict = (measured: Measured, stage: Stage): string | null => {
  const stages = stagesOf(stage);
  const source = stages[0];
  const figures = figuresAt(measured, stage);
  const bare = figuresAt(measured, source ?? null);
  const snr = figures ? snrDb(figures) : null;
  if (
    !source ||
    snr === null ||
    !bare?.noise ||
    bare.levelDb === null ||
    bare.noise.weighting !== 'unweighted'
  )
    return null;
  if (
    source.at.port.family !== 'analogue' ||
    !source.at.port.sourceOhms ||
    source.at.port.emits?.sound?.type !== 'microphone'
  )
    return null;
  const loading = loadingDb(source.at.port.sourceOhms, BOOSTER.inputOhms);
  const boostedSnr =
    bare.levelDb + loading - powerSumDb(bare.noise.statedDb + loading, BOOSTER.ownNoiseDbu);
  const microphone = source.at.device.device.name;
  const limitDb = bare.levelDb - bare.noise.statedDb;
  const booster = stages.find((at) => at.at.device.device.model.kind === 'booster');
  const near =
    `within ${(limitDb - snr).toFixed(1)} dB of the ${limitDb.toFixed(1)} dB that ` +
    `${microphone}'s own resistance allows`;
  if (booster)
    return (
      `${booster.at.device.device.name} brings the gain. The ratio stands ${near}; no ` +
      'amplifier can pass that limit.'
    );
  const wins = boostedSnr - snr;
  return wins < 1
    ? `A booster would bring gain but change the noise by only ${wins.toFixed(1)} dB: this ` +
        `chain already stands ${near}.`
    : `A booster would lower the hiss by about ${wins.toFixed(0)} dB: the preamp, not the ` +
        `microphone, makes most of it. The ratio stands ${near}.`;
};

/** The signal-to-noise ratio at a stage, with who makes the noise. */
export const explainSnr = (measured: Measured, stage: Stage): Sum[] => {
  const figures = figuresAt(measured, stage);
  if (!figures) return [];
  const shares = noiseShares(measured, stage);
  const verdict = boosterVerdict(measured, stage);
  const mixed = figures.noise?.weighting === 'mixed';
  const aWeighted = snrAWeightedDb(figures);
  return [
    {
      label: 'Noise, all parts together',
      formula: '10·log10(Σ 10^(part/10))',
      inputs: shares.map((share) => ({
        name: `${share.from} (${(share.share * 100).toFixed(share.share < 0.1 ? 1 : 0)} %)`,
        value: share.atEndDb,
        unit: figures.unit,
      })),
      result: figures.noise?.statedDb ?? null,
      unit: figures.unit,
      source: 'handbook 2-sound',
      ...(mixed
        ? {
            note:
              'The parts are stated differently, some in dB(A), some unweighted, and are summed as ' +
              'stated. With a 2 dB allowance for white noise and everything in dB(A), the ratio is ' +
              `${aWeighted?.toFixed(2) ?? 'unknown'} dB.`,
          }
        : {}),
    },
    {
      label: 'Signal-to-noise ratio',
      formula: 'level − noise',
      inputs: [
        db('level', figures.levelDb, figures.unit),
        db('noise', figures.noise?.statedDb, figures.unit),
      ],
      result: snrDb(figures),
      unit: 'dB',
      source: 'handbook 2-sound',
      ...(verdict ? { note: verdict } : {}),
    },
  ];
};

/** The gain a thread's converter stage would need for the house level. */
export const explainGainNeeded = (measured: Measured, stage: Stage): Sum[] => {
  const figures = figuresAt(measured, stage);
  if (!figures || stage.via.by !== 'route' || !stage.via.route.route.sound) return [];
  const gain = gainOf(stage.at.device.device, stage.via.route.route.sound);
  const { averageDbfs } = levelTarget(measured.rig.houseRules);
  return [
    {
      label: 'Gain needed for the house level',
      formula: 'gain set + (target − level)',
      inputs: [
        db('gain set', gain.gainDb, 'dB'),
        db('target', averageDbfs, 'dBFS'),
        db('level', figures.levelDb, figures.unit),
        db('most gain', gain.maxDb, 'dB'),
      ],
      result: figures.levelDb === null ? null : gain.gainDb + averageDbfs - figures.levelDb,
      unit: 'dB',
      source: 'handbook 2-sound; house rule: recording level',
    },
  ];
};

/** Distance from peaks to the ceiling at a stage. */
export const explainHeadroom = (measured: Measured, stage: Stage): Sum[] => {
  const figures = figuresAt(measured, stage);
  if (!figures) return [];
  const ceiling = inputCeilingDbu(stage.at);
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
      label: `Headroom at ${portName(stage)}`,
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
