import { FLASH_EVERY_S } from './flash';
import { median } from './median';

/** From a computer out through its interface and back in: what was played against what came back. */

/** Beeps that are played. */
export const ROUND_TRIP_BEEPS = 8;
/** So many must come back, each this near to the others. */
const LEAST = 6;
const WITHIN_MS = 0.5;

export interface RoundTrip {
  readonly isSure: boolean;
  /** @unit ms; 0 where it is not sure */
  readonly ms: number;
  /** Half of the beeps lie within. @unit ms */
  readonly spreadMs: number;
  /** Beeps that came back */
  readonly beeps: number;
  /** Why not, where it is not sure */
  readonly why: string | null;
}

/**
 * How long sound takes out and back in. Beeps are played `FLASH_EVERY_S` apart; what takes longer than
 * that is not told from what is sooner.
 * @param beepsS when beeps came in @param firstS when the first went out, by the same clock
 */
export const roundTripOf = (beepsS: readonly number[], firstS: number): RoundTrip => {
  const beeps = beepsS.length;
  const none = (why: string): RoundTrip => ({ isSure: false, ms: 0, spreadMs: 0, beeps, why });
  if (beeps < LEAST)
    return none(
      `${beeps} of ${ROUND_TRIP_BEEPS} beeps came back; ${LEAST} at least are needed. Is the output ` +
        'led to the input, or the loudspeaker near the microphone?',
    );
  const [head = 0] = beepsS;
  // Against the first that came back, the shorter way around: a trip of nearly nothing may come out as 1.01 s.
  const besideMs = beepsS.map((atS) => {
    const since = atS - head;
    return 1000 * (since - Math.round(since / FLASH_EVERY_S) * FLASH_EVERY_S);
  });
  const middleMs = median(besideMs);
  const apart = besideMs.map((one) => Math.abs(one - middleMs));
  if (apart.filter((one) => one <= WITHIN_MS).length < LEAST)
    return none('What came back does not come at the interval it was played at.');
  const tripS = head - firstS + middleMs / 1000;
  const ms = 1000 * (tripS - Math.floor(tripS / FLASH_EVERY_S + 1e-9) * FLASH_EVERY_S);
  return { isSure: true, ms, spreadMs: median(apart), beeps, why: null };
};
