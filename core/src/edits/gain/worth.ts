/** How good a set of settings is, the weightiest first; of two, the one with the first smaller figure is better. */
export interface Worth {
  /** Headroom missing at the tightest stage, or peaks over the school's at the converter. @unit dB */
  readonly shortDb: number;
  /** Distance from the house level beyond `CLOSE_DB`. @unit dB */
  readonly missDb: number;
  /** Gains in the last tenth of their range */
  readonly lastTenths: number;
  /** @unit dB */
  readonly snrDb: number;
  readonly touched: number;
  /** How far the knobs are turned in all. @unit dB */
  readonly turnedDb: number;
}

/** What several voices, or a voice and what they share, are worth together. */
export const addWorth = (a: Worth, b: Partial<Worth>): Worth => ({
  shortDb: a.shortDb + (b.shortDb ?? 0),
  missDb: a.missDb + (b.missDb ?? 0),
  lastTenths: a.lastTenths + (b.lastTenths ?? 0),
  snrDb: a.snrDb + (b.snrDb ?? 0),
  touched: a.touched + (b.touched ?? 0),
  turnedDb: a.turnedDb + (b.turnedDb ?? 0),
});

/** Signal-to-noise ratios nearer than this are the same. @unit dB */
const SAME_SNR_DB = 0.005;

/**
 * Order of settings: headroom, level, the last tenth, noise, and then as few knobs and turns as
 * possible. @returns below 0 where `a` is better
 */
export const compareWorth = (a: Worth, b: Worth): number =>
  a.shortDb - b.shortDb ||
  a.missDb - b.missDb ||
  a.lastTenths - b.lastTenths ||
  (Math.abs(a.snrDb - b.snrDb) > SAME_SNR_DB ? b.snrDb - a.snrDb : 0) ||
  a.touched - b.touched ||
  a.turnedDb - b.turnedDb;
