import {
  type Analysis,
  type Cause,
  type Doing,
  doingOf,
  findingKey,
  Refusal,
} from '@echo-loom/core';
import { useContext, useEffect, useState } from 'react';
import type { Offer } from '@/workers/answers';
import { EngineContext } from '@/workers/useTask';

/** The best remedy of a cause, and what it asks for. */
export interface BestOffer {
  readonly offer: Offer;
  readonly doing: Doing;
}

interface Found {
  readonly analysis: Analysis;
  /** By the key of the first finding of each cause; null where nothing on offer helps */
  readonly byKey: ReadonlyMap<string, BestOffer | null>;
}

const bestOf = (analysis: Analysis, offers: readonly Offer[]): BestOffer | null => {
  const offer = offers.find(({ fix }) => !fix.isWorse);
  if (!offer) return null;
  try {
    return { offer, doing: doingOf(analysis.rig, offer.fix) };
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
};

const NOTHING: ReadonlyMap<string, BestOffer | null> = new Map();

/** The best remedy of every cause, one after the other as each has been tried. */
export const useBestOffers = (
  analysis: Analysis,
  causes: readonly Cause[],
): ReadonlyMap<string, BestOffer | null> => {
  const queue = useContext(EngineContext);
  const [found, setFound] = useState<Found | null>(null);
  useEffect(() => {
    if (!queue) return;
    const cancelling = new AbortController();
    for (const { finding } of causes) {
      const key = findingKey(finding);
      queue
        .run(
          {
            rig: analysis.rig,
            ask: (tasks) => tasks.offersOfCause(key),
            isSeen: () => true,
            isLong: false,
          },
          cancelling.signal,
        )
        .then(
          (offers) => {
            if (cancelling.signal.aborted) return;
            setFound((before) => ({
              analysis,
              byKey: new Map([
                ...(before?.analysis === analysis ? before.byKey : NOTHING),
                [key, bestOf(analysis, offers)],
              ]),
            }));
          },
          // Called off, or failed: it stays among what is still being tried.
          () => undefined,
        );
    }
    return () => cancelling.abort();
  }, [queue, analysis, causes]);
  return found?.analysis === analysis ? found.byKey : NOTHING;
};
