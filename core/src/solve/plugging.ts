import {
  circuitLoadings,
  circuitOf,
  type Drawn,
  drawers,
  type FeedLoading,
  feedLoadings,
} from '../passes/power';
import { isNeeded } from '../passes/power/needed';
import type { Measured } from '../passes/measured';
import type { SimpleCommand } from '../rig';

/** Which device is plugged in where: found by trying everything where that is little, else from good to better. */

export interface Plugging {
  /** What is plugged in anew; none where it is best as it is */
  readonly commands: readonly SimpleCommand[];
  /** Whether every way was tried, and none is better */
  readonly isExact: boolean;
  /** Strips, outlets and supplies that devices are plugged into, and so many at least have the sockets */
  readonly feeds: number;
  readonly atLeastFeeds: number;
  /** Why it is not quite right, where nothing is: sockets or amperes that are wanting */
  readonly lacks: readonly string[];
}

/** What is bad about a way of plugging, the worst first; a smaller number wins before all behind it. */
type Cost = readonly number[];

/** So many ways are tried, one by one. */
export const MOST_WAYS = 100_000;

const isLess = (one: Cost, other: Cost): boolean => {
  for (const [index, value] of one.entries()) {
    const against = other[index] ?? 0;
    if (Math.abs(value - against) > 1e-9) return value < against;
  }
  return false;
};

interface Sockets {
  readonly feed: FeedLoading;
  readonly free: number;
  readonly circuitId: string | null;
  /** Whether it is a strip in a strip */
  readonly isNested: boolean;
}

/** What is plugged in, and where it may be. */
interface Problem {
  readonly devices: readonly (Drawn & { readonly isNeeded: boolean })[];
  readonly feeds: readonly Sockets[];
  readonly volts: number;
  /** By circuit: what it may give, less what hangs on it and is no device. @unit A */
  readonly spareA: ReadonlyMap<string, number>;
  readonly humPairs: readonly (readonly [number, number])[];
  readonly hasUps: boolean;
}

const problemOf = (measured: Measured): Problem => {
  const { rig } = measured;
  const volts = rig.mains?.volts ?? 230;
  const devices = drawers(measured).map((one) => ({
    ...one,
    isNeeded: isNeeded(measured, one.id),
  }));
  const at = new Map(devices.map(({ id }, index) => [id, index]));
  const feeds = feedLoadings(measured).map((feed): Sockets => {
    const into = feed.feed.from?.by === 'feed' ? rig.feeds[feed.feed.from.feedId] : undefined;
    const others =
      feed.feedIds.length +
      Object.values(rig.loads).filter(
        ({ from, runs }) => runs && from?.by === 'feed' && from.feedId === feed.feedId,
      ).length;
    return {
      feed,
      free: feed.feed.figures.sockets - others,
      circuitId: circuitOf(rig, feed.feedId),
      isNested: feed.feed.figures.is === 'strip' && into?.figures.is === 'strip',
    };
  });
  return {
    devices,
    feeds,
    volts,
    spareA: new Map(
      circuitLoadings(measured).map(({ circuitId, allowedA, drawn }) => [
        circuitId,
        allowedA -
          drawn.filter(({ of }) => of === 'load').reduce((sum, { va }) => sum + va, 0) / volts,
      ]),
    ),
    humPairs: Object.values(rig.links).flatMap(({ from, to, cable }) => {
      const [a, b] = [at.get(from.deviceId), at.get(to.deviceId)];
      return cable.kind === 'unbalanced' && a !== undefined && b !== undefined
        ? [[a, b] as const]
        : [];
    }),
    hasUps: feeds.some(({ feed }) => feed.feed.figures.is === 'ups'),
  };
};

/** @param plugged the feed of each device, by their places in the lists */
const costOf = (problem: Problem, plugged: readonly number[]): Cost => {
  const { devices, feeds, volts, spareA, humPairs, hasUps } = problem;
  const taken = feeds.map(() => 0);
  const [va, w] = [feeds.map(() => 0), feeds.map(() => 0)];
  const onCircuit = new Map<string, number>();
  let [notLasting, nested, unfed] = [0, 0, 0];
  for (const [device, feed] of plugged.entries()) {
    const one = devices[device];
    const into = feeds[feed];
    if (!one || !into) continue;
    taken[feed] = (taken[feed] ?? 0) + one.covers;
    va[feed] = (va[feed] ?? 0) + one.va;
    w[feed] = (w[feed] ?? 0) + one.w;
    if (into.circuitId === null) unfed += 1;
    else onCircuit.set(into.circuitId, (onCircuit.get(into.circuitId) ?? 0) + one.va / volts);
    if (hasUps && one.isNeeded && into.feed.feed.figures.is !== 'ups') notLasting += 1;
    if (into.isNested) nested += 1;
  }
  let [socketsOver, over] = [0, 0];
  for (const [index, { feed, free }] of feeds.entries()) {
    const { figures } = feed.feed;
    socketsOver += Math.max(0, (taken[index] ?? 0) - Math.max(0, free));
    over +=
      figures.is === 'ups'
        ? Math.max(0, (va[index] ?? 0) - figures.mostVa, (w[index] ?? 0) - figures.mostW) / volts
        : Math.max(0, (va[index] ?? 0) / volts - (figures.mostA ?? Infinity));
  }
  for (const [circuitId, a] of onCircuit) over += Math.max(0, a - (spareA.get(circuitId) ?? 0));
  const apart = humPairs.filter(
    ([a, b]) => feeds[plugged[a] ?? -1]?.circuitId !== feeds[plugged[b] ?? -1]?.circuitId,
  ).length;
  const used = taken.filter((count) => count > 0).length;
  return [socketsOver, over, unfed, notLasting, apart, nested, used];
};

/** Every way, one by one. */
const byTryingAll = (problem: Problem): readonly number[] => {
  const { devices, feeds } = problem;
  const now = devices.map(() => 0);
  let best = [...now];
  let least = costOf(problem, now);
  for (;;) {
    let place = 0;
    while (place < now.length && now[place] === feeds.length - 1) {
      now[place] = 0;
      place += 1;
    }
    if (place >= now.length) return best;
    now[place] = (now[place] ?? 0) + 1;
    const cost = costOf(problem, now);
    if (isLess(cost, least)) [best, least] = [[...now], cost];
  }
};

/** From a first way to a better one, by a plug or two at a time, until no such step helps. */
const bySteps = (problem: Problem, from: readonly number[]): readonly number[] => {
  const { feeds } = problem;
  let now = [...from];
  let least = costOf(problem, now);
  const tryIt = (next: number[]): boolean => {
    const cost = costOf(problem, next);
    if (!isLess(cost, least)) return false;
    [now, least] = [next, cost];
    return true;
  };
  for (let isBetter = true; isBetter;) {
    isBetter = false;
    for (const device of now.keys()) {
      for (const feed of feeds.keys()) if (tryIt(now.with(device, feed))) isBetter = true;
      for (const other of now.keys()) {
        const [a, b] = [now[device] ?? 0, now[other] ?? 0];
        if (other > device && a !== b && tryIt(now.with(device, b).with(other, a))) isBetter = true;
      }
    }
    // A strip that could be done without: everything on it goes to another at once.
    for (const emptied of feeds.keys())
      for (const to of feeds.keys())
        if (emptied !== to && tryIt(now.map((feed) => (feed === emptied ? to : feed))))
          isBetter = true;
  }
  return now;
};

/** So many feeds at least have the sockets for everything. */
const leastFeeds = ({ devices, feeds }: Problem): number => {
  let wanted = devices.reduce((sum, { covers }) => sum + covers, 0);
  const free = feeds.map((one) => Math.max(0, one.free)).sort((a, b) => b - a);
  let count = 0;
  while (wanted > 0 && count < free.length) {
    wanted -= free[count] ?? 0;
    count += 1;
  }
  return count;
};

/**
 * Plugs every device in: within sockets, strips and circuits first; then what the show goes through on
 * the supply that lasts; then what an unbalanced cable joins on one circuit; then in no strip in a
 * strip; then in as few as do.
 * @returns null where nothing can be plugged in anywhere
 */
export const plugAll = (measured: Measured): Plugging | null => {
  const problem = problemOf(measured);
  const { devices, feeds } = problem;
  if (devices.length === 0 || feeds.length === 0) return null;
  const { plugs } = measured.rig;
  const isExact = feeds.length ** devices.length <= MOST_WAYS;
  const present = devices.map(({ id }) =>
    Math.max(
      0,
      feeds.findIndex(({ feed }) => feed.feedId === plugs[id]),
    ),
  );
  const isPlugged = devices.every(({ id }) => Object.hasOwn(plugs, id));
  const found = isExact
    ? byTryingAll(problem)
    : [present, ...feeds.map((_, feed) => devices.map(() => feed))]
        .map((from) => bySteps(problem, from))
        .reduce((best, next) =>
          isLess(costOf(problem, next), costOf(problem, best)) ? next : best,
        );
  // What is as good as anything else stays where it is.
  const best =
    isPlugged && !isLess(costOf(problem, found), costOf(problem, present)) ? present : found;
  const [socketsOver = 0, over = 0] = costOf(problem, best);
  return {
    commands: devices.flatMap(({ id }, index): SimpleCommand[] => {
      const feedId = feeds[best[index] ?? -1]?.feed.feedId;
      return feedId === undefined || plugs[id] === feedId
        ? []
        : [{ type: 'plugIn', deviceId: id, feedId }];
    }),
    isExact,
    feeds: new Set(best).size,
    atLeastFeeds: leastFeeds(problem),
    lacks: [
      ...(socketsOver > 0 ? [`${socketsOver} ${socketsOver === 1 ? 'socket' : 'sockets'}`] : []),
      ...(over > 1e-9 ? [`${over.toFixed(1)} A`] : []),
    ],
  };
};
