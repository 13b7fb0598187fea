import { nameOfThing } from '../../passes/names';
import type { Fix } from '../../edits/fix';
import {
  circuitLoadings,
  type Drawn,
  drawers,
  type FeedLoading,
  feedLoadings,
} from '../../passes/power';
import { isNeeded } from '../../passes/power/needed';
import type { Measured } from '../../passes/measured';
import { batchFix } from '../rule-of';

/** What can be taken off a strip, an outlet or a supply, and where it can go. */

/** Whether a feed, and the circuit behind it, has room for one thing more. */
const hasRoom = (measured: Measured, loading: FeedLoading, one: Drawn): boolean => {
  const volts = measured.rig.mains?.volts ?? null;
  const { figures } = loading.feed;
  if (loading.taken + one.covers > figures.sockets) return false;
  if (figures.is === 'ups')
    return loading.w + one.w <= figures.mostW && loading.va + one.va <= figures.mostVa;
  if (volts === null) return true;
  const circuit = circuitLoadings(measured).find(
    ({ circuitId }) => circuitId === loading.circuitId,
  );
  return (
    (loading.va + one.va) / volts <= (figures.mostA ?? Infinity) &&
    (!circuit ||
      (circuit.drawn.some(({ id }) => id === one.id) ? 0 : one.va / volts) + (circuit.a ?? 0) <=
        circuit.allowedA)
  );
};

/** Feeds that do not hang on one, directly or through another. */
const apartFrom = (measured: Measured, feedId: string): readonly FeedLoading[] => {
  const all = feedLoadings(measured);
  const isBehind = (one: FeedLoading, seen: ReadonlySet<string> = new Set()): boolean =>
    one.feedId === feedId ||
    one.feedIds.some((id) => {
      const next = all.find((other) => other.feedId === id);
      return next !== undefined && !seen.has(id) && isBehind(next, new Set([...seen, id]));
    });
  const under = (id: string): readonly string[] => {
    const own = all.find((one) => one.feedId === id);
    return own ? [id, ...own.feedIds.flatMap(under)] : [id];
  };
  const hangs = new Set(under(feedId));
  return all.filter((one) => !isBehind(one) && !hangs.has(one.feedId));
};

/**
 * Devices to take off a feed so that what is asked of it holds: what the show does not need first,
 * then the least that is enough alone, else the largest until it is enough.
 * @param isEnough whether it holds without those devices
 */
export const offFeed = (
  measured: Measured,
  loading: FeedLoading,
  isEnough: (gone: readonly Drawn[]) => boolean,
): Fix[] => {
  const devices = new Set(drawers(measured).map(({ id }) => id));
  const movable = loading.drawn
    .filter(({ of, id }) => of === 'device' && devices.has(id))
    .sort(
      (a, b) => Number(isNeeded(measured, a.id)) - Number(isNeeded(measured, b.id)) || a.va - b.va,
    );
  const alone = movable.find((one) => isEnough([one]));
  const gone: Drawn[] = [];
  if (alone) gone.push(alone);
  else
    for (const one of [...movable]
      .reverse()
      .sort((a, b) => Number(isNeeded(measured, a.id)) - Number(isNeeded(measured, b.id)))) {
      if (isEnough(gone)) break;
      gone.push(one);
    }
  if (gone.length === 0 || !isEnough(gone)) return [];
  const into = apartFrom(measured, loading.feedId);
  // One feed for all of them, so that nobody has to hunt for sockets.
  const to = into.find(
    (feed) =>
      gone.every((one) => hasRoom(measured, feed, one)) &&
      feed.taken + gone.reduce((sum, { covers }) => sum + covers, 0) <= feed.feed.figures.sockets,
  );
  const names =
    gone.length > 2
      ? `${gone.length} devices`
      : gone.map((one) => nameOfThing(measured, one)).join(' and ');
  return to
    ? [
        batchFix(
          `Plug ${names} into ${to.feed.name}`,
          gone.map(({ id }) => ({ type: 'plugIn', deviceId: id, feedId: to.feedId })),
        ),
      ]
    : [];
};

/** What hangs on a feed once some of it is gone. */
export const without = (
  { drawn }: FeedLoading,
  gone: readonly Drawn[],
): { readonly w: number; readonly va: number; readonly typicalW: number } => {
  const rest = drawn.filter((one) => !gone.includes(one));
  const sum = (of: (one: Drawn) => number): number =>
    rest.reduce((total, one) => total + of(one), 0);
  return { w: sum(({ w }) => w), va: sum(({ va }) => va), typicalW: sum((one) => one.typicalW) };
};
