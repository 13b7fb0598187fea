import { type CableWay, inOrder } from '../../rig';
import { CABLE_BODIES, MAINS_LEAD_MM } from '../../rig/links/cable-bodies';
import { pass } from '../pass';
import { plannedCables, type Planned } from './plan';
import { mainsRuns } from './mains-runs';
import type { Leg } from './route';
import { nearestShare, type Segment } from './ways';

/** What lies together in a way. */

interface Stretch {
  readonly first: number;
  readonly last: number;
}

/** The parts of ways that a route takes, as shares of each. */
const stretchesOf = (legs: readonly Leg[]): ReadonlyMap<Segment, readonly Stretch[]> => {
  const found = new Map<Segment, Stretch[]>();
  for (const { segment, from, to } of legs) {
    if (!segment) continue;
    const shares = [from, to].map((point) => nearestShare(point, segment.a, segment.b));
    const stretch = { first: Math.min(...shares), last: Math.max(...shares) };
    found.set(segment, [...(found.get(segment) ?? []), stretch]);
  }
  return found;
};

/** Length of what some stretches have in common with others, nothing counted twice. */
const commonShare = (own: readonly Stretch[], others: readonly Stretch[]): number => {
  const cuts = [...new Set([...own, ...others].flatMap(({ first, last }) => [first, last]))].sort(
    (a, b) => a - b,
  );
  const holds = (list: readonly Stretch[], share: number): boolean =>
    list.some(({ first, last }) => first < share && share < last);
  return cuts.slice(1).reduce((sum, cut, index) => {
    const before = cuts[index] ?? cut;
    const middle = (before + cut) / 2;
    return holds(own, middle) && holds(others, middle) ? sum + cut - before : sum;
  }, 0);
};

/** A signal cable that lies beside mains leads. */
export interface BesideMains {
  readonly plan: Planned;
  /** In one way with mains leads, nearer than the distance that is asked for. @unit m */
  readonly lengthM: number;
  readonly ways: readonly string[];
  /** Those of them that are drawn */
  readonly wayIds: readonly string[];
}

/** Every cable that shares a way with mains leads, whatever it carries. */
export const besideMains = pass('beside mains', (measured): readonly BesideMains[] => {
  const mains = new Map<Segment, Stretch[]>();
  for (const { route } of mainsRuns(measured))
    for (const [segment, stretches] of stretchesOf(route.legs))
      mains.set(segment, [...(mains.get(segment) ?? []), ...stretches]);
  return plannedCables(measured).flatMap((plan) => {
    const shared = [...stretchesOf(plan.route.legs)].flatMap(([segment, stretches]) => {
      const share = commonShare(stretches, mains.get(segment) ?? []);
      return share > 0 ? [{ segment, lengthM: share * segment.lengthM }] : [];
    });
    const lengthM = shared.reduce((sum, part) => sum + part.lengthM, 0);
    return lengthM > 0
      ? [
          {
            plan,
            lengthM,
            ways: [...new Set(shared.map(({ segment }) => segment.name))],
            wayIds: [...new Set(shared.flatMap(({ segment }) => segment.wayId ?? []))],
          },
        ]
      : [];
  });
});

/** How full a way is. Areas in mm². */
export interface WayFill {
  readonly wayId: string;
  readonly way: CableWay;
  readonly linkIds: readonly string[];
  readonly mainsLeads: number;
  readonly cablesMm2: number;
  /** Of what it holds inside; null where nobody has said */
  readonly share: number | null;
}

/** The area of a round cable. @unit mm² */
export const areaMm2 = (diameterMm: number): number => (Math.PI / 4) * diameterMm ** 2;

/** Every way that is drawn, with what lies in it. */
export const wayFills = pass('fill of ways', (measured): readonly WayFill[] => {
  const isIn = (legs: readonly Leg[], wayId: string): boolean =>
    legs.some(({ segment }) => segment?.wayId === wayId);
  return inOrder(measured.rig.cableWays).map(([wayId, way]) => {
    const cables = plannedCables(measured).filter(({ route }) => isIn(route.legs, wayId));
    const mainsLeads = mainsRuns(measured).filter(({ route }) => isIn(route.legs, wayId)).length;
    const cablesMm2 =
      cables.reduce((sum, { cable }) => sum + areaMm2(CABLE_BODIES[cable.kind].diameterMm), 0) +
      mainsLeads * areaMm2(MAINS_LEAD_MM);
    return {
      wayId,
      way,
      linkIds: cables.map(({ linkId }) => linkId),
      mainsLeads,
      cablesMm2,
      share: way.insideMm2 === null ? null : cablesMm2 / way.insideMm2,
    };
  });
});
