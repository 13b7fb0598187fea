import { type CablePlan, wayFills } from '../passes/cables';
import type { Measured } from '../passes/measured';
import { circuitLoadings, feedLoadings, upsMinutes } from '../passes/power';
import type { Report } from './form';

/** Cables and mains as plain JSON. */

export const cableReport = (plan: CablePlan): Report['cables'][number] => {
  const known = plan.is === 'planned' ? plan : null;
  return {
    linkId: plan.linkId,
    lengthM: plan.cable.lengthM,
    is: plan.is,
    wayM: known?.route.lengthM ?? null,
    slackM: known?.slackM ?? null,
    travelM: known?.travelM ?? null,
    needM: known?.needM ?? null,
    stockM: known?.stockM ?? null,
    crosses: known?.route.trips.map(({ name }) => name) ?? [],
  };
};

export const wayReport = (measured: Measured): Report['cableWays'] =>
  wayFills(measured).map(({ wayId, way, linkIds, mainsLeads, cablesMm2, share }) => ({
    id: wayId,
    name: way.name,
    cables: linkIds.length,
    mainsLeads,
    cablesMm2,
    share,
  }));

export const powerReport = (measured: Measured): Report['power'] => ({
  circuits: circuitLoadings(measured).map(({ circuitId, circuit, w, va, a, allowedA }) => ({
    id: circuitId,
    name: circuit.name,
    w,
    va,
    a,
    allowedA,
  })),
  feeds: feedLoadings(measured).map(({ feedId, feed, w, typicalW, va, a, taken }) => ({
    id: feedId,
    name: feed.name,
    w,
    va,
    a,
    sockets: feed.figures.sockets,
    taken,
    lastsMin:
      feed.figures.is === 'ups' && typicalW > 0
        ? upsMinutes(feed.figures.wh, feed.figures.efficiency, typicalW)
        : null,
  })),
});
