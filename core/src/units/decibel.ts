/** Level relative to √0.6 V RMS. @unit dBu */
export type Dbu = number;
/** A ratio of levels. @unit dB */
export type Decibels = number;

/** 0 dBu in volts RMS. @source IEC 60027-3 */
export const ZERO_DBU_VOLTS = Math.sqrt(0.6);
/** 1 Pa RMS as a sound pressure level, rounded as the field rounds it. @unit dB SPL */
export const ONE_PASCAL_DB_SPL = 94;

/** @unit V RMS */
export const dbuToVolts = (dbu: Dbu): number => ZERO_DBU_VOLTS * 10 ** (dbu / 20);
/** @param volts RMS, above 0 */
export const voltsToDbu = (volts: number): Dbu => 20 * Math.log10(volts / ZERO_DBU_VOLTS);
/** 0 dBV = 1 V RMS = +2.218 dBu. @source IEC 60027-3 */
export const dbvToDbu = (levelDbv: number): Dbu => levelDbv + 20 * Math.log10(1 / ZERO_DBU_VOLTS);

/** Sum of uncorrelated signals given as levels; an empty list is silence (−∞). @unit as given */
export const powerSumDb = (...levelsDb: readonly number[]): number =>
  10 * Math.log10(levelsDb.reduce((sum, levelDb) => sum + 10 ** (levelDb / 10), 0));

/**
 * What is left of a power sum when one part is taken out: `total ⊖ part`.
 * @returns −∞ where the part is as large as the total or larger
 */
export const powerDifferenceDb = (totalDb: number, partDb: number): number => {
  const left = 10 ** (totalDb / 10) - 10 ** (partDb / 10);
  return left > 0 ? 10 * Math.log10(left) : -Infinity;
};

/**
 * Level lost because the next input draws current: `20·log10(Zin / (Zin + Zsource))`.
 * @param sourceOhms at or above 0 @param inputOhms above 0
 * @returns 0 or below, dB
 */
export const loadingDb = (sourceOhms: number, inputOhms: number): Decibels =>
  20 * Math.log10(inputOhms / (inputOhms + sourceOhms));
