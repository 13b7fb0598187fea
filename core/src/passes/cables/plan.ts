import { type CableRun, entry, type Link, type Rig } from '../../rig';
import type { Dressing, Lay } from '../../rig/links/schema';
import { type CableId, stockFor } from '../../rig/links/cables';
import { bodyOf } from '../../catalogue/bodies';
import type { Measured } from '../measured';
import { pass, passFor } from '../pass';
import { type InRoom, stoodAt } from '../place';
import type { Sum } from '../sum';
import { ACROSS_MOST_M, LEG_MOST_M, type Route, routeBetween } from './route';
import { routeBy } from './route-by';
import { tripGrounds } from './trips';
import { distance, segments, waysGraph } from './ways';

/** How long each cable must be, from where its ends stand and the ways between. Lengths in metres. */

/** Slack of a run, and the least of it at each end. @source handbook 5, Cables */
export const SLACK = { share: 0.1, eachEndM: 0.3 } as const;

/** What a later change of a cable costs, by how it is held. @unit min, typical */
export const CHANGE_MIN: Readonly<Record<Dressing, number>> = {
  loose: 2,
  reopenable: 5,
  fixed: 20,
};

/** A cable whose way is known. */
export interface Planned {
  readonly is: 'planned';
  readonly linkId: string;
  readonly cable: CableRun;
  readonly route: Route;
  /** Socket to socket as the crow flies: shorter than this nothing reaches */
  readonly straightM: number;
  readonly slackM: number;
  /** How far its one end goes up and down with a desk */
  readonly travelM: number;
  readonly needM: number;
  /** Lengths that are sold and make it up; more than one are joined on the way */
  readonly stockM: readonly number[];
}

/** A cable whose way cannot be told, and why. */
export interface Unplanned {
  readonly is: 'nowhere' | 'no way';
  readonly linkId: string;
  readonly cable: CableRun;
  /** Devices that stand nowhere on the plan; both ends where no way leads there */
  readonly deviceIds: readonly string[];
}

export type CablePlan = Planned | Unplanned;

/** What is in a computer, and what is in the air, lies in no way. */
const NO_CABLE: ReadonlySet<CableId> = new Set(['inside', 'radio']);

/** One end of a cable. */
interface CableEnd {
  readonly at: InRoom;
  readonly supportId: string | null;
  /** Somebody wears it: its cable hangs in the air to whatever is near */
  readonly isWorn: boolean;
}

/** Where the cable of what somebody wears leaves them. @unit m */
const WORN_M = 1;

/**
 * Where a device has its sockets: at its foot, or with whoever wears it. A height that nobody has said
 * counts as the floor.
 */
const endOf = (measured: Measured, deviceId: string): CableEnd | null => {
  const device = entry(measured.rig.devices, deviceId);
  const isWorn =
    device !== undefined &&
    (device.model.kind === 'headphones' || bodyOf(device.model)?.mount === 'worn');
  const stands = stoodAt(measured, deviceId);
  if (stands) {
    const { spot, footM, supportId } = stands;
    return {
      at: { xM: spot.xM, yM: spot.yM, zM: Math.max(0, footM ?? 0) },
      supportId,
      isWorn,
    };
  }
  const person = device?.personId ? entry(measured.rig.people, device.personId) : undefined;
  return isWorn && person?.at
    ? { at: { xM: person.at.xM, yM: person.at.yM, zM: WORN_M }, supportId: null, isWorn }
    : null;
};

/** The desk that a device stands on, or that its arm is clamped to. */
const deskIdOf = ({ supports }: Pick<Rig, 'supports'>, { supportId }: CableEnd): string | null => {
  const support = supportId === null ? undefined : entry(supports, supportId);
  if (!support) return null;
  return support.figures.is === 'arm' ? support.onId : supportId;
};

/** How far a desk goes up or down from where it is. */
const travelOf = ({ supports }: Pick<Rig, 'supports'>, deskId: string | null): number => {
  const figures = deskId === null ? undefined : entry(supports, deskId)?.figures;
  return figures?.is === 'desk'
    ? Math.max(figures.highestM - figures.topM, figures.topM - figures.lowestM, 0)
    : 0;
};

export const slackOf = (routeM: number): number =>
  Math.max(SLACK.share * routeM, 2 * SLACK.eachEndM);

/** On one desk, in one rack: straight there. */
const onOneSupport = (from: InRoom, to: InRoom): Route => {
  const lengthM = Math.hypot(to.xM - from.xM, to.yM - from.yM) + Math.abs(to.zM - from.zM);
  return {
    legs: lengthM > 0 ? [{ what: 'across', segment: null, from, to, lengthM, trips: [] }] : [],
    lengthM,
    trips: [],
  };
};

const linkOf = ({ rig }: Measured, linkId: string): Link | undefined => entry(rig.links, linkId);

/** The way of a cable between two ends that are somewhere, and how far they travel. */
const wayBetween = (
  measured: Measured,
  from: CableEnd,
  to: CableEnd,
  lay: Lay | undefined,
): { readonly route: Route | null; readonly travelM: number } => {
  const { rig } = measured;
  const [a, b] = [from.at, to.at];
  const [fromDesk, toDesk] = [deskIdOf(rig, from), deskIdOf(rig, to)];
  const by = lay?.by ?? [];
  if (fromDesk !== null && fromDesk === toDesk && by.length === 0)
    return { route: onOneSupport(a, b), travelM: 0 };
  const options = {
    openFloor: rig.laying.openFloor,
    keepsOff: lay?.keepsOff ?? false,
    is: 'signal',
    acrossM: from.isWorn || to.isWorn ? LEG_MOST_M : ACROSS_MOST_M,
    grounds: tripGrounds(measured),
  } as const;
  return {
    route:
      by.length > 0
        ? routeBy(waysGraph(measured), a, b, options, by)
        : routeBetween(waysGraph(measured), a, b, options),
    travelM: travelOf(rig, fromDesk) + travelOf(rig, toDesk),
  };
};

/** Whether anything is known of where cables may lie: without a room, nothing is asked of them. */
export const hasWays = pass(
  'has ways for cables',
  (measured): boolean => segments(measured).length > 0 || measured.rig.laying.openFloor,
);

/** The plan of one cable. @returns null for what is no cable, and where the room has no ways at all */
export const planOf = passFor('plan of a cable', (measured, linkId: string): CablePlan | null => {
  const link = linkOf(measured, linkId);
  if (!link || NO_CABLE.has(link.cable.kind) || !hasWays(measured)) return null;
  const ends = [link.from.deviceId, link.to.deviceId];
  const [from, to] = ends.map((id) => endOf(measured, id));
  if (!from || !to)
    return {
      is: 'nowhere',
      linkId,
      cable: link.cable,
      deviceIds: ends.filter((id) => endOf(measured, id) === null),
    };
  const { route, travelM } = wayBetween(measured, from, to, link.lay);
  if (!route) return { is: 'no way', linkId, cable: link.cable, deviceIds: ends };
  const slackM = slackOf(route.lengthM);
  const needM = route.lengthM + slackM + travelM;
  return {
    is: 'planned',
    linkId,
    cable: link.cable,
    route,
    straightM: distance(from.at, to.at),
    slackM,
    travelM,
    needM,
    stockM: stockFor(needM),
  };
});

/** The plan of every cable, in the order of the links. */
export const cablePlans = pass('plans of cables', (measured): readonly CablePlan[] =>
  hasWays(measured)
    ? Object.keys(measured.rig.links).flatMap((id) => planOf(measured, id) ?? [])
    : [],
);

/** Those whose way is known. */
export const plannedCables = pass('planned cables', (measured): readonly Planned[] =>
  cablePlans(measured).filter((plan): plan is Planned => plan.is === 'planned'),
);

/** How the length of a cable comes about: worked E is 4.20 + 0.75 + 1.10, 0.605, 0.50 → 7.155 m. */
export const explainPlan = ({ route, slackM, travelM, needM, stockM }: Planned): Sum[] => [
  {
    label: 'Length by the plan',
    formula: 'way + slack + travel of the desk',
    inputs: [
      ...route.legs.map(({ what, segment, lengthM }) => ({
        name: segment ? `along ${segment.name}` : what,
        value: lengthM,
        unit: 'm',
      })),
      { name: 'slack, 10 % and 0.3 m at each end at least', value: slackM, unit: 'm' },
      ...(travelM > 0 ? [{ name: 'travel of the desk', value: travelM, unit: 'm' }] : []),
    ],
    result: needM,
    unit: 'm',
    source: 'handbook 5, Cables; worked E',
    note: `Sold as ${stockM.map((lengthM) => `${lengthM} m`).join(' + ')}.`,
  },
];
