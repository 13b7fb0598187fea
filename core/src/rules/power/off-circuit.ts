import { nameOfThing } from '../../passes/names';
import type { Fix } from '../../edits/fix';
import {
  type CircuitLoading,
  circuitLoadings,
  type FeedLoading,
  feedLoadings,
} from '../../passes/power';
import type { Measured } from '../../passes/measured';
import type { SimpleCommand } from '../../rig';
import { batchFix } from '../rule-of';

/** What can be plugged in on another circuit, and where. */

/** Feeds on other circuits that have a socket free, those with most to spare first. */
const elsewhere = (
  measured: Measured,
  circuitId: string,
): readonly { readonly feed: FeedLoading; readonly spareA: number }[] => {
  const spare = new Map(
    circuitLoadings(measured).map((one) => [one.circuitId, one.allowedA - (one.a ?? 0)]),
  );
  return feedLoadings(measured)
    .filter(
      ({ feed, taken, circuitId: other }) =>
        other !== null && other !== circuitId && taken < feed.figures.sockets,
    )
    .map((feed) => ({ feed, spareA: spare.get(feed.circuitId ?? '') ?? 0 }))
    .sort((a, b) => b.spareA - a.spareA);
};

interface Movable {
  readonly name: string;
  readonly a: number;
  readonly isStrip: boolean;
  readonly to: (feedId: string) => SimpleCommand;
}

/** What can be plugged in elsewhere: devices, and whole strips. What is no device of the rig stays as it is wired. */
const movables = (
  measured: Measured,
  { circuitId, drawn }: CircuitLoading,
  volts: number,
): Movable[] => [
  ...drawn
    .filter(({ of }) => of === 'device')
    .map(({ of, id, va }) => ({
      name: nameOfThing(measured, { of, id }),
      a: va / volts,
      isStrip: false,
      to: (feedId: string): SimpleCommand => ({ type: 'plugIn', deviceId: id, feedId }),
    })),
  ...feedLoadings(measured)
    .filter((one) => one.circuitId === circuitId && one.feed.figures.is !== 'outlet' && one.va > 0)
    .map(({ feedId, feed, va }) => ({
      name: feed.name,
      a: va / volts,
      isStrip: true,
      to: (into: string): SimpleCommand => ({
        type: 'changeFeed',
        feedId,
        feed: { from: { by: 'feed', feedId: into } },
      }),
    })),
];

/** The least device, and the least strip, whose going leaves a circuit within its share. */
export const offCircuit = (measured: Measured, loading: CircuitLoading): Fix[] => {
  const volts = measured.rig.mains?.volts ?? null;
  if (volts === null || loading.a === null) return [];
  const overA = loading.a - loading.allowedA;
  const into = elsewhere(measured, loading.circuitId);
  const enough = movables(measured, loading, volts)
    .filter(({ a }) => a >= overA)
    .sort((one, other) => one.a - other.a);
  return [enough.find(({ isStrip }) => isStrip), enough.find(({ isStrip }) => !isStrip)].flatMap(
    (one) => {
      // A strip goes into an outlet, so that it is in no other strip.
      const to =
        one &&
        into.find(
          ({ feed, spareA }) =>
            spareA >= one.a && (!one.isStrip || feed.feed.figures.is === 'outlet'),
        );
      return one && to
        ? [batchFix(`Plug ${one.name} into ${to.feed.feed.name}`, [one.to(to.feed.feedId)])]
        : [];
    },
  );
};
