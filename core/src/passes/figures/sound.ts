import { A_WEIGHTING_ALLOWANCE_DB, powerSumDb } from '../../units';

/**
 * A noise level kept twice, unweighted and A-weighted, so that the two are never mixed: a figure of the
 * one kind is brought to the other by the 2 dB allowance for white noise.
 */
export interface Noise {
  /** @unit as the signal's */
  readonly unweightedDb: number;
  /** @unit as the signal's, A-weighted */
  readonly aWeightedDb: number;
  /** Which kinds of figure were stated; where one is not `unweighted`, the allowance is in the sum and is said */
  readonly weighting: 'unweighted' | 'A' | 'mixed';
  /** A stage on the way adds noise of its own that nobody has stated: any ratio is "at best" */
  readonly isAtBest: boolean;
}

/** What a level needs and does not have. */
export interface Missing {
  readonly what: 'figure' | 'talker' | 'power';
  /** In words, to go after "needs": `the sensitivity of Host mic` */
  readonly says: string;
}

export const missingFigure = (says: string): Missing => ({ what: 'figure', says });

/** What a sound thread carries at a stage. Levels are RMS. */
export interface SoundFigures {
  readonly unit: 'dBu' | 'dBFS';
  /** null = cannot be told; `unknown` says which figure is missing */
  readonly levelDb: number | null;
  /** Peak over RMS. @unit dB */
  readonly crestDb: number;
  /** How far compressors on the way lower the voice's average, make-up apart. @unit dB, 0 or above */
  readonly pressedDb: number;
  readonly noise: Noise | null;
  /**
   * Highest sine this point passes without clipping. @unit as the level; null where nothing limits
   * here or it is not known
   */
  readonly ceilingDb: number | null;
  /** What is missing where the level cannot be told */
  readonly unknown: Missing | null;
}

/** Some figures, put in the place of others. */
export type Change = Partial<SoundFigures>;

/**
 * Figures after a change. They are always made with the same fields in the same order, so that
 * thousands of stages read alike.
 */
export const soundAfter = (before: SoundFigures, change: Change): SoundFigures => ({
  unit: change.unit ?? before.unit,
  levelDb: change.levelDb === undefined ? before.levelDb : change.levelDb,
  crestDb: change.crestDb ?? before.crestDb,
  pressedDb: change.pressedDb ?? before.pressedDb,
  noise: change.noise === undefined ? before.noise : change.noise,
  ceilingDb: change.ceilingDb === undefined ? before.ceilingDb : change.ceilingDb,
  unknown: change.unknown === undefined ? before.unknown : change.unknown,
});

/** How far the peak of a sine lies over its RMS. @unit dB */
export const SINE_CREST_DB = 10 * Math.log10(2);

/**
 * Level a peak meter shows: RMS plus crest, less the 3.01 dB by which a sine's own peak exceeds its
 * RMS, since ceilings and 0 dBFS are
 * stated for sines. Speech at −18 dBFS with a crest of 14 dB peaks at −7.0. @source AES17
 */
export const peakDb = (figures: SoundFigures): number | null =>
  figures.levelDb === null ? null : figures.levelDb + figures.crestDb - SINE_CREST_DB;

/** Distance from the peaks to the ceiling. @unit dB; below 0 it clips; null where either is unknown */
export const headroomDb = (figures: SoundFigures): number | null => {
  const peak = peakDb(figures);
  return peak === null || figures.ceilingDb === null ? null : figures.ceilingDb - peak;
};

/** Signal-to-noise ratio, unweighted. @unit dB */
export const snrDb = (figures: SoundFigures): number | null =>
  figures.levelDb === null || figures.noise === null
    ? null
    : figures.levelDb - figures.noise.unweightedDb;

/**
 * The same in the pauses: a compressor lowers the voice, not the hiss in the gaps. @unit dB @source
 * handbook 2-sound, pauses
 */
export const pauseSnrDb = (figures: SoundFigures): number | null => {
  const ratio = snrDb(figures);
  return ratio === null ? null : ratio - figures.pressedDb;
};

/** Signal-to-noise ratio with every noise figure brought to A-weighting. @unit dB(A) */
export const snrAWeightedDb = (figures: SoundFigures): number | null =>
  figures.levelDb === null || figures.noise === null
    ? null
    : figures.levelDb - figures.noise.aWeightedDb;

export const unweightedNoise = (db: number): Noise => ({
  unweightedDb: db,
  aWeightedDb: db - A_WEIGHTING_ALLOWANCE_DB,
  weighting: 'unweighted',
  isAtBest: false,
});
export const aWeightedNoise = (db: number): Noise => ({
  unweightedDb: db + A_WEIGHTING_ALLOWANCE_DB,
  aWeightedDb: db,
  weighting: 'A',
  isAtBest: false,
});

/** The same noise, with more of it that nobody has stated. */
export const atBest = (noise: Noise): Noise =>
  noise.isAtBest ? noise : { ...noise, isAtBest: true };

/**
 * A part this far under the rest changes the sum by less than 0.05 dB, and how it was weighted does
 * not matter. @unit dB
 */
const NEGLIGIBLE_DB = 20;

const jointWeighting = (a: Noise, b: Noise): Noise['weighting'] => {
  if (a.weighting === b.weighting || a.unweightedDb - b.unweightedDb > NEGLIGIBLE_DB)
    return a.weighting;
  return b.unweightedDb - a.unweightedDb > NEGLIGIBLE_DB ? b.weighting : 'mixed';
};

export const addNoise = (a: Noise, b: Noise | null): Noise =>
  b === null
    ? a
    : {
        unweightedDb: powerSumDb(a.unweightedDb, b.unweightedDb),
        aWeightedDb: powerSumDb(a.aWeightedDb, b.aWeightedDb),
        weighting: jointWeighting(a, b),
        isAtBest: a.isAtBest || b.isAtBest,
      };
export const shiftNoise = (noise: Noise, byDb: number): Noise => ({
  unweightedDb: noise.unweightedDb + byDb,
  aWeightedDb: noise.aWeightedDb + byDb,
  weighting: noise.weighting,
  isAtBest: noise.isAtBest,
});
