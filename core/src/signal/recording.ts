/** A recording that is read a piece at a time, so that two hours of it need not be held. */
export interface Recording {
  /** @unit Hz */
  readonly rateHz: number;
  /** How many samples there are, of one channel */
  readonly samples: number;
  /**
   * A piece of it, as one channel, −1 to 1; what lies outside is silence.
   * @param from number of the first sample, may be negative
   */
  read(from: number, count: number): Promise<Float32Array>;
}

/** A recording that is held as it is. */
export const held = (signal: ArrayLike<number>, rateHz: number): Recording => ({
  rateHz,
  samples: signal.length,
  read: (from, count) => {
    const piece = new Float32Array(count);
    for (let at = Math.max(0, -from); at < count && from + at < signal.length; at++)
      piece[at] = signal[from + at] ?? 0;
    return Promise.resolve(piece);
  },
});

/** Said now and then while a long recording is gone through. @param share 0 to 1 @throws what ends it */
export type Progress = (share: number) => void;
