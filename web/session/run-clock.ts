/** The server’s clock, as far as this browser knows it: its own steady one, and how far apart the two are. */

/** Samples that count: the best of the latest half minute. */
const KEPT = 30;

interface Sample {
  /** How long the answer took. @unit ms */
  readonly tripMs: number;
  /** Server less steady clock. @unit ms */
  readonly offsetMs: number;
}

export interface ServerClock {
  /** Tells what the server’s clock showed. @param sentMs @param heardMs by the steady clock */
  readonly learn: (serverMs: number, sentMs: number, heardMs: number) => void;
  /** What the server’s clock shows now, whole milliseconds; never less than it told before */
  readonly nowMs: () => number;
  /** Half of the shortest trip: it cannot be further off. @unit ms; null where the server was never heard */
  readonly withinMs: () => number | null;
}

/**
 * @param steadyMs a clock that is never set, such as `performance.now`
 * @param wallMs what counts until the server was heard
 * @param aheadMs how far the server’s clock was ahead of it when an earlier page heard it
 */
export const serverClock = (
  steadyMs: () => number,
  wallMs: () => number,
  aheadMs = 0,
): ServerClock => {
  let samples: Sample[] = [];
  let told = 0;
  const untilHeard = wallMs() + aheadMs - steadyMs();
  const best = (): Sample | undefined =>
    samples.reduce<Sample | undefined>(
      (least, one) => (least === undefined || one.tripMs < least.tripMs ? one : least),
      undefined,
    );
  return {
    learn: (serverMs, sentMs, heardMs) => {
      samples = [
        ...samples,
        { tripMs: heardMs - sentMs, offsetMs: serverMs - (sentMs + heardMs) / 2 },
      ].slice(-KEPT);
    },
    nowMs: () => {
      told = Math.max(told, Math.round(steadyMs() + (best()?.offsetMs ?? untilHeard)));
      return told;
    },
    withinMs: () => {
      const sample = best();
      return sample ? sample.tripMs / 2 : null;
    },
  };
};
