/** A compressor's static curve. */
export interface StaticCurve {
  readonly thresholdDb: number;
  /** @min 1 */
  readonly ratio: number;
  readonly makeUpDb: number;
}

/** Output level of a compressor: `x + M` below the threshold, `T + (x − T)/R + M` above. @source handbook 2-sound */
export const compressedDb = (
  levelDb: number,
  { thresholdDb, ratio, makeUpDb }: StaticCurve,
): number =>
  (levelDb <= thresholdDb ? levelDb : thresholdDb + (levelDb - thresholdDb) / ratio) + makeUpDb;
