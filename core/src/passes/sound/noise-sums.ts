import type { Stage } from '../../graph';
import { stagesOf } from '../../graph';
import { loadingDb, powerSumDb } from '../../units';
import type { Measured } from '../measured';
import { figure as decibels, type Sum } from '../sum';
import { ownNoise, padOf, pauseSnrDb, snrAWeightedDb, snrDb, type SoundFigures } from './';
import { aWeightedNoise } from '../figures/sound';
import { adjustableGains } from './gains';
import { db, figuresAt } from './sums';

/** One thing that adds noise, as it arrives at the end of the thread. */
export interface NoiseShare {
  readonly at: Stage;
  readonly from: string;
  /** Whether it comes after the gain of its own stage, so that turning that up helps */
  readonly isAfterGain: boolean;
  /** @unit as the level at the stage */
  readonly atEndDb: number;
  /** Share of the whole noise power, 0…1 */
  readonly share: number;
}

/** Figures by stage: of a whole analysis, or of one source alone. */
type FiguresOf = (stage: Stage) => SoundFigures | undefined;

/**
 * Who makes the noise at a stage. Each part is carried along with the level, so parts compare at
 * the end; largest first.
 */
export const noiseShares = (
  measured: Measured,
  stage: Stage,
  figuresOf: FiguresOf = (at) => figuresAt(measured, at),
): NoiseShare[] => {
  const total = figuresOf(stage)?.noise;
  const levelAtEnd = figuresOf(stage)?.levelDb;
  if (!total || levelAtEnd === null || levelAtEnd === undefined) return [];
  const shares: NoiseShare[] = [];
  const add = (
    at: Stage,
    from: string,
    isAfterGain: boolean,
    noiseDb: number,
    levelThereDb: number | null | undefined,
  ) => {
    if (levelThereDb === null || levelThereDb === undefined) return;
    const atEndDb = noiseDb + (levelAtEnd - levelThereDb);
    shares.push({
      at,
      from,
      isAfterGain,
      atEndDb,
      share: 10 ** ((atEndDb - total.unweightedDb) / 10),
    });
  };
  for (const at of stagesOf(stage)) {
    const figures = figuresOf(at);
    const { name } = measured.device(at.at.device);
    if (at.via.by === 'source') {
      if (figures?.noise)
        add(
          at,
          figures.noise.weighting === 'A'
            ? `${name}, own noise`
            : `${name}, thermal noise of its resistance`,
          false,
          figures.noise.unweightedDb,
          figures.levelDb,
        );
      continue;
    }
    if (at.via.by !== 'route' || !at.via.route.route.sound || !at.parent) continue;
    const { sound } = at.via.route.route;
    const before = figuresOf(at.parent);
    const own = ownNoise(measured.device(at.at.device), sound);
    if (own && before?.levelDb !== null && before?.levelDb !== undefined)
      add(
        at,
        `${name}, input stage`,
        false,
        own.unweightedDb,
        before.levelDb + padOf(measured.device(at.at.device), sound),
      );
    if (
      sound.outputNoiseDbu !== undefined &&
      sound.outputNoiseDbu !== null &&
      figures?.unit === 'dBu'
    )
      add(at, `${name}, output stage`, true, sound.outputNoiseDbu, figures.levelDb);
    if (sound.toDigital && before?.unit === 'dBu' && sound.toDigital.dynamicRangeDba !== null)
      add(
        at,
        `${name}, converter`,
        true,
        aWeightedNoise(-sound.toDigital.dynamicRangeDba).unweightedDb,
        figures?.levelDb,
      );
  }
  return shares.sort((a, b) => b.share - a.share);
};

/** So much gain left before the noise is made is worth a turn. @unit dB */
const SPARE_BEFORE_DB = 3;

/** The gain that stands low before the stage where most of the noise is made: turning it up costs nothing. */
const gainBeforeNoise = (measured: Measured, stage: Stage, figuresOf: FiguresOf): string | null => {
  const [worst] = noiseShares(measured, stage, figuresOf);
  if (!worst || worst.share < 0.5) return null;
  const way = stagesOf(stage);
  const madeAt = way.indexOf(worst.at) + (worst.isAfterGain ? 1 : 0);
  const before = adjustableGains(measured, stage).find(
    ({ stage: at, gain }) =>
      way.indexOf(at) < madeAt && gain.maxDb - gain.gainDb >= SPARE_BEFORE_DB,
  );
  return before ? measured.device(before.stage.at.device).name : null;
};

const isMicrophoneIntoLine = ([source, input]: readonly Stage[]): boolean =>
  source?.at.port.family === 'analogue' &&
  source.at.port.nominal === 'microphone' &&
  input?.at.port.family === 'analogue' &&
  (input.at.port.nominal === 'line' || input.at.port.nominal === 'consumer line') &&
  input.at.device.model.kind !== 'booster';

/** Input resistance and own noise of the catalogue's inline booster. */
const BOOSTER = { inputOhms: 3000, ownNoiseDbu: -129.5 } as const;

/**
 * What a booster would do, or has done, for the noise of a thread: the plain answer when the money
 * would change nothing.
 * @returns null where it cannot be told, or where the microphone is not a passive one
 */
export const boosterVerdict = (
  measured: Measured,
  stage: Stage,
  figuresOf: FiguresOf,
): string | null => {
  const stages = stagesOf(stage);
  const source = stages[0];
  const figures = figuresOf(stage);
  const bare = source && figuresOf(source);
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
    bare.levelDb + loading - powerSumDb(bare.noise.unweightedDb + loading, BOOSTER.ownNoiseDbu);
  const microphone = measured.device(source.at.device).name;
  const limitDb = bare.levelDb - bare.noise.unweightedDb;
  const booster = stages.find((at) => at.at.device.model.kind === 'booster');
  const near =
    `within ${decibels(limitDb - snr)} dB of the ${decibels(limitDb)} dB that ` +
    `${microphone}'s own resistance allows`;
  if (booster)
    return (
      `${measured.device(booster.at.device).name} brings the gain. The ratio stands ${near}; no ` +
      'amplifier can pass that limit.'
    );
  const free = gainBeforeNoise(measured, stage, figuresOf);
  if (free !== null)
    return (
      `Most of the hiss is made after ${free}, which stands low: turn that up first and what follows ` +
      `down. The ratio stands ${near}.`
    );
  if (isMicrophoneIntoLine(stages))
    return `A line input has no gain for a microphone. Use a microphone input. The ratio stands ${near}.`;
  const wins = boostedSnr - snr;
  const change =
    wins < -0.05
      ? `make the noise ${decibels(-wins)} dB worse`
      : `change the noise by only ${decibels(Math.abs(wins))} dB`;
  return wins < 1
    ? `A booster would bring gain but ${change}: this chain already stands ${near}.`
    : `A booster would lower the hiss by about ${decibels(wins, 0)} dB: the preamp, not the ` +
        `microphone, makes most of it. The ratio stands ${near}.`;
};

/** The signal-to-noise ratio at a stage, with who makes the noise. */
export const explainSnr = (measured: Measured, stage: Stage): Sum[] => {
  const figures = figuresAt(measured, stage);
  if (!figures) return [];
  const shares = noiseShares(measured, stage);
  const verdict = boosterVerdict(measured, stage, (at) => figuresAt(measured, at));
  const isAllowedFor = figures.noise !== null && figures.noise.weighting !== 'unweighted';
  const aWeighted = snrAWeightedDb(figures);
  const pause = pauseSnrDb(figures);
  return [
    {
      label: 'Noise, all parts together',
      formula: '10·log10(Σ 10^(part/10))',
      inputs: shares.map((share) => ({
        name: `${share.from} (${(share.share * 100).toFixed(share.share < 0.1 ? 1 : 0)} %)`,
        value: share.atEndDb,
        unit: figures.unit,
      })),
      result: figures.noise?.unweightedDb ?? null,
      unit: figures.unit,
      source: 'handbook 2-sound',
      ...(isAllowedFor
        ? {
            note:
              'Figures stated in dB(A) are taken 2 dB higher here, the allowance for white noise. With ' +
              `everything in dB(A) the ratio is ${aWeighted?.toFixed(2) ?? 'unknown'} dB.`,
          }
        : {}),
    },
    {
      label: figures.noise?.isAtBest
        ? 'Signal-to-noise ratio, at best: not every stage’s own noise is known'
        : 'Signal-to-noise ratio, unweighted',
      formula: 'level − noise',
      inputs: [
        db('level', figures.levelDb, figures.unit),
        db('noise', figures.noise?.unweightedDb, figures.unit),
      ],
      result: snrDb(figures),
      unit: 'dB',
      source: 'handbook 2-sound',
      ...(verdict ? { note: verdict } : {}),
    },
    ...(figures.pressedDb > 0
      ? [
          {
            label: 'The same in pauses',
            formula: 'ratio − gain reduction at the voice’s average',
            inputs: [
              db('ratio', snrDb(figures), 'dB'),
              db('gain reduction', figures.pressedDb, 'dB'),
            ],
            result: pause,
            unit: 'dB',
            source: 'handbook 2-sound, pauses',
          },
        ]
      : []),
  ];
};
