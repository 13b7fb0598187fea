import { entry, inOrder, type Point } from '../../rig';
import type { Measured } from '../measured';
import { pass } from '../pass';
import { type InRoom, stoodAt } from '../place';
import { ACROSS_MOST_M, type Route, routeBetween } from './route';
import { tripGrounds } from './trips';
import { waysGraph } from './ways';

/** Where mains leads lie: from each device to what it is plugged into, and from each strip to what feeds it. */

export interface MainsRun {
  readonly of: 'device' | 'feed';
  /** The device, the strip or the thing that is fed */
  readonly id: string;
  readonly feedId: string;
  readonly route: Route;
}

/** An outlet usually is 0.3 m above the floor, a strip lies on it. @unit m */
const OUTLET_M = 0.3;

const feedPlace = ({ rig }: Measured, feedId: string): InRoom | null => {
  const feed = entry(rig.feeds, feedId);
  const at: Point | null = feed?.at ?? null;
  return feed && at ? { ...at, zM: feed.figures.is === 'outlet' ? OUTLET_M : 0 } : null;
};

/** Every mains lead whose ends are known. */
export const mainsRuns = pass('mains runs', (measured): readonly MainsRun[] => {
  const { rig } = measured;
  const options = {
    openFloor: rig.laying.openFloor,
    keepsOff: false,
    is: 'mains',
    acrossM: ACROSS_MOST_M,
    grounds: tripGrounds(measured),
  } as const;
  const run = (of: MainsRun['of'], id: string, from: InRoom | null, feedId: string): MainsRun[] => {
    const to = feedPlace(measured, feedId);
    const route = from && to ? routeBetween(waysGraph(measured), from, to, options) : null;
    return route ? [{ of, id, feedId, route }] : [];
  };
  return [
    ...Object.entries(rig.plugs).flatMap(([deviceId, feedId]) => {
      const device = stoodAt(measured, deviceId);
      return device
        ? run('device', deviceId, { ...device.spot, zM: Math.max(0, device.footM ?? 0) }, feedId)
        : [];
    }),
    ...inOrder(rig.feeds).flatMap(([id, { from }]) =>
      from?.by === 'feed' ? run('feed', id, feedPlace(measured, id), from.feedId) : [],
    ),
  ];
});
