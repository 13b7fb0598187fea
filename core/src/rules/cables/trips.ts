import { wayToBuy } from '../../catalogue/house-gear';
import { laid } from '../../edits/lay';
import { withLengths } from '../../edits/lengths';
import {
  type Leg,
  type MainsRun,
  mainsRuns,
  type Planned,
  plannedCables,
  type TripGround,
} from '../../passes/cables';
import { within } from '../../passes/cables/trips';
import { between } from '../../passes/cables/ways';
import type { Measured } from '../../passes/measured';
import type { InRoom } from '../../passes/place';
import { pass } from '../../passes/pass';
import { figure } from '../../passes/sum';
import { type CableWay, freeId, type SimpleCommand } from '../../rig';
import type { About } from '../about';
import type { Fix } from '../../edits/fix';
import { batchFix, eachCableRule } from '../rule-of';
import { metres } from './planned';

/** Cables on floor that people walk on, and the three cures: cover them, lead them over heads, lead them round. */

/** A place that is walked on, and every cable that lies bare across it. */
interface Crossing {
  readonly ground: TripGround;
  readonly plans: readonly Planned[];
  /** Mains leads that lie there too */
  readonly leads: readonly MainsRun[];
}

const crossings = pass('cables that are walked on', (measured): readonly Crossing[] => {
  const found = new Map<string, { ground: TripGround; plans: Planned[]; leads: MainsRun[] }>();
  const at = (ground: TripGround) => {
    const key = `${ground.of} ${ground.id}`;
    const known = found.get(key);
    if (known) return known;
    const made = { ground, plans: [], leads: [] };
    found.set(key, made);
    return made;
  };
  for (const plan of plannedCables(measured))
    for (const ground of plan.route.trips) at(ground).plans.push(plan);
  for (const lead of mainsRuns(measured))
    for (const ground of lead.route.trips) at(ground).leads.push(lead);
  return [...found.values()];
});

/** Where a leg lies on the floor of a crossing. @returns null where it does not */
const onGround = (leg: Leg, { ground }: TripGround): readonly [InRoom, InRoom] | null => {
  const shares = within(leg.from, leg.to, ground);
  if (!shares) return null;
  const onFloor = (point: InRoom): InRoom => ({ xM: point.xM, yM: point.yM, zM: 0 });
  const [first, last] = shares;
  // A cover begins where the cable comes on, and ends where it joins a way that is not walked on.
  return [
    leg.what === 'up from the way' ? leg.from : between(leg.from, leg.to, first),
    leg.what === 'down to the way' ? leg.to : between(leg.from, leg.to, last),
  ].map(onFloor) as unknown as readonly [InRoom, InRoom];
};

const rounded = ({ xM, yM, zM }: InRoom): InRoom => {
  const to = (value: number): number => Math.round(value * 1e4) / 1e4;
  return { xM: to(xM), yM: to(yM), zM: to(zM) };
};

/** The bare parts of a crossing, each once. */
const partsOf = ({ ground, plans, leads }: Crossing): readonly (readonly [InRoom, InRoom])[] => {
  const parts = new Map<string, readonly [InRoom, InRoom]>();
  for (const { route } of [...plans, ...leads])
    for (const leg of route.legs) {
      if (!leg.trips.includes(ground)) continue;
      const part = onGround(leg, ground);
      if (!part) continue;
      const ends = part.map(rounded);
      const key = ends
        .map(({ xM, yM }) => `${xM} ${yM}`)
        .sort()
        .join(' – ');
      const [a, b] = part;
      if (Math.hypot(b.xM - a.xM, b.yM - a.yM) > 0) parts.set(key, part);
    }
  return [...parts.values()];
};

const addWay = (
  { rig }: Measured,
  taken: Set<string>,
  cableWay: Omit<CableWay, 'order'>,
): SimpleCommand => {
  const known = { ...rig.cableWays, ...Object.fromEntries([...taken].map((id) => [id, cableWay])) };
  const cableWayId = freeId(cableWay.is === 'cover' ? 'cover' : 'over', known);
  taken.add(cableWayId);
  return { type: 'addCableWay', cableWayId, cableWay };
};

const count = (plans: readonly unknown[]): string =>
  plans.length === 1 ? 'one cable' : `${plans.length} cables`;

/** A cover on each bare part. */
const covered = (measured: Measured, crossing: Crossing): Fix[] => {
  const parts = partsOf(crossing);
  const taken = new Set<string>();
  const lengthM = parts.reduce((sum, [a, b]) => sum + Math.hypot(b.xM - a.xM, b.yM - a.yM), 0);
  const given = withLengths(
    measured,
    parts.map(([a, b]) => {
      const had = wayToBuy('cover', Math.hypot(b.xM - a.xM, b.yM - a.yM));
      return addWay(measured, taken, {
        name: `Cover, ${crossing.ground.name}`,
        is: 'cover',
        points: [a, b],
        insideMm2: null,
        bendMm: null,
        carries: 'both',
        ...(had ? { had } : {}),
      });
    }),
    crossing.plans.map(({ linkId }) => linkId),
  );
  return given && parts.length > 0
    ? [batchFix(`Lay ${metres(lengthM)} of cable cover there`, given.commands)]
    : [];
};

/** What a door needs over it. @unit m */
const OVER_DOOR_M = 0.1;
/** So high nobody walks into it. @unit m */
const OVER_HEADS_M = 2.2;

const kept = ({ rig }: Measured, plans: readonly Planned[]): SimpleCommand[] =>
  plans.map(({ linkId }) => laid(rig, linkId, { keepsOff: true }));

/** Up, across and down again, where the cable lies along a wall. */
const overhead = (measured: Measured, crossing: Crossing): Fix[] => {
  const { ground, plans } = crossing;
  const along = plans
    .flatMap(({ route }) => route.legs)
    .filter(({ segment, trips }) => segment?.is === 'floor edge' && trips.includes(ground));
  const [part] = partsOf({
    ground,
    plans: plans.filter(({ route }) => route.legs.some((leg) => along.includes(leg))),
    leads: [],
  });
  if (!part) return [];
  const door = ground.of === 'door' ? measured.rig.openings[ground.id] : undefined;
  const topM = Math.max(OVER_HEADS_M, door ? door.bottomM + door.heightM + OVER_DOOR_M : 0);
  const ceilingM = measured.rig.shell?.heightM ?? Infinity;
  if (topM > ceilingM) return [];
  const [a, b] = part;
  const given = withLengths(
    measured,
    [
      addWay(measured, new Set(), {
        name: `Over ${ground.name}`,
        is: 'overhead',
        points: [a, { ...a, zM: topM }, { ...b, zM: topM }, b],
        insideMm2: null,
        bendMm: null,
        carries: 'both',
      }),
      ...kept(measured, plans),
    ],
    plans.map(({ linkId }) => linkId),
  );
  return given && given.plans.every(({ route }) => !route.trips.includes(ground))
    ? [batchFix(`Lead ${count(plans)} over it, ${metres(topM)} up`, given.commands)]
    : [];
};

/** By other ways, however far. */
const round = (measured: Measured, { plans }: Crossing): Fix[] => {
  if (plans.length === 0) return [];
  const given = withLengths(
    measured,
    kept(measured, plans),
    plans.map(({ linkId }) => linkId),
  );
  if (!given) return [];
  const needM = (list: readonly Planned[]): number =>
    list.reduce((sum, plan) => sum + plan.needM, 0);
  return [
    batchFix(
      `Lead ${count(plans)} round it: ${figure(needM(plans), 1)} → ${figure(needM(given.plans), 1)} m`,
      given.commands,
    ),
  ];
};

/** `A cable lies`, `2 cables and a mains lead lie` */
const whatLies = ({ plans, leads }: Crossing): string => {
  const some = (list: readonly unknown[], one: string, many: string): string[] =>
    list.length === 0 ? [] : [list.length === 1 ? one : `${list.length} ${many}`];
  const text = [
    ...some(plans, 'a cable', 'cables'),
    ...some(leads, 'a mains lead', 'mains leads'),
  ].join(' and ');
  const verb = plans.length + leads.length === 1 ? 'lies' : 'lie';
  return `${text.charAt(0).toUpperCase()}${text.slice(1)} ${verb}`;
};

const TEXTS = {
  looksFor: 'A cable that lies bare on the floor before a door or on a way that stays free.',
  why: 'People walk there in the dark with their eyes on the show; they trip, and pull out what they trip over.',
  remedy: 'Cover it, lead it over heads, or lead it round. Local rules on ways out decide.',
  source: 'handbook 5, Cables: trips',
};

export const trip = eachCableRule<Crossing>('cables.trip', TEXTS, {
  all: crossings,
  about: ({ ground }): About =>
    ground.of === 'door'
      ? { kind: 'opening', openingId: ground.id }
      : { kind: 'walkway', walkwayId: ground.id },
  judge: (crossing) => ({
    level: 'warn',
    title: `${whatLies(crossing)} bare across ${crossing.ground.name}`,
    says:
      `${whatLies(crossing)} bare on the floor of ${crossing.ground.name}. People walk there in the ` +
      'dark, trip, and pull out what they trip over. Cover it, lead it over heads, or lead it round; ' +
      'local rules on ways out decide.',
  }),
  fixes: (crossing, measured) => [
    ...covered(measured, crossing),
    ...overhead(measured, crossing),
    ...round(measured, crossing),
  ],
});
