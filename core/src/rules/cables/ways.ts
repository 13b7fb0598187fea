import {
  type BesideMains,
  besideMains,
  LEG_MOST_M,
  mainsRuns,
  type Segment,
  segments,
  type TripGround,
  tripGrounds,
  type WayFill,
  wayFills,
} from '../../passes/cables';
import { within } from '../../passes/cables/trips';
import { JOIN_M, waysGraph } from '../../passes/cables/ways';
import { measure } from '../../passes/measure';
import type { Measured } from '../../passes/measured';
import type { Fix } from '../../edits/fix';
import { pass } from '../../passes/pass';
import { figure } from '../../passes/sum';
import { apply, type CableWay, entry, inOrder, isInside, lengthOfWalls } from '../../rig';
import type { About } from '../about';
import { batchFix, eachCableRule } from '../rule-of';
import { aboutPlan, metres, startText } from './planned';

const aboutWay = (cableWayId: string): About => ({ kind: 'cable way', cableWayId });

/** Of what a way holds. @source handbook 5, Cables */
const MOST_FILL = 0.5;

export const wayFull = eachCableRule<WayFill>(
  'cables.way-full',
  {
    looksFor: 'A tray, a duct or a cover that is filled by more than half.',
    why: 'Nothing can be pulled out of it or added, and what is in it gets warm.',
    remedy: 'Use a wider one, or lead some of them elsewhere.',
    source: 'handbook 5, Cables: sum of the areas at most 50 %',
  },
  {
    all: wayFills,
    about: ({ wayId }) => aboutWay(wayId),
    judge: ({ way, share, linkIds, mainsLeads }) =>
      share !== null && share > MOST_FILL
        ? {
            level: share > 1 ? 'stop' : 'warn',
            title: `${way.name} is ${figure(100 * share, 0)} % full`,
            says:
              `${linkIds.length + mainsLeads} cables fill ${figure(100 * share, 0)} % of ${way.name}; half is ` +
              `the most.${share > 1 ? ' They do not go in.' : ''} Use a wider one, or lead some elsewhere.`,
          }
        : null,
    sums: ({ way, share, cablesMm2, linkIds, mainsLeads }) => [
      {
        label: `Fill of ${way.name}`,
        formula: 'sum of π ÷ 4 × diameter² ÷ area inside',
        inputs: [
          { name: 'cables', value: linkIds.length, unit: '' },
          { name: 'mains leads', value: mainsLeads, unit: '' },
          { name: 'their areas', value: cablesMm2, unit: 'mm²' },
          { name: 'area inside', value: way.insideMm2 ?? 'unknown', unit: 'mm²' },
        ],
        result: share === null ? null : 100 * share,
        unit: '%',
        source: 'typical diameters of the classes',
      },
    ],
    fixes: ({ wayId, cablesMm2 }) => {
      const insideMm2 = Math.ceil(cablesMm2 / MOST_FILL / 100) * 100;
      return [
        batchFix(`Use one with ${figure(insideMm2, 0)} mm² inside`, [
          { type: 'changeCableWay', cableWayId: wayId, cableWay: { insideMm2 } },
        ]),
      ];
    },
  },
);

/** So little beside each other does nothing: they cross. @unit m */
const CROSS_M = 1;

const KINDS = { unbalanced: 'warn', balanced: 'note' } as const;
const isHeard = (kind: string): kind is keyof typeof KINDS => Object.hasOwn(KINDS, kind);

/** One of the ways for signals alone, where every mains lead still finds another. */
const partedFrom = ({ plan, wayIds }: BesideMains, measured: Measured): Fix[] =>
  wayIds.flatMap((cableWayId) => {
    const name = entry(measured.rig.cableWays, cableWayId)?.name ?? cableWayId;
    const only = {
      type: 'changeCableWay',
      cableWayId,
      cableWay: { carries: 'signal' },
    } as const;
    const after = measure(apply(measured.rig, only));
    const isParted = besideMains(after).every(
      (other) => other.plan.linkId !== plan.linkId || other.lengthM <= CROSS_M,
    );
    return isParted && mainsRuns(after).length === mainsRuns(measured).length
      ? [batchFix(`Let no mains leads lie in ${name}`, [only])]
      : [];
  });

export const beside = eachCableRule<BesideMains>(
  'cables.beside-mains',
  {
    looksFor: 'A microphone or unbalanced cable in one way with mains leads for more than a metre.',
    why: 'It picks up hum: an unbalanced one at once, a balanced one where its shield is bad.',
    remedy: 'Keep 0.3 m between them, and cross at right angles; or use a way for signals alone.',
    source: 'handbook 5, Cables: mains beside signal',
    together: (count) => `${count} sound cables lie beside mains leads`,
  },
  {
    all: besideMains,
    about: ({ plan }) => aboutPlan(plan),
    judge: ({ plan, lengthM, ways }, measured) =>
      isHeard(plan.cable.kind) && lengthM > CROSS_M
        ? {
            level: KINDS[plan.cable.kind],
            title: `${metres(lengthM)} beside mains leads`,
            says:
              `${startText(measured, plan)} lies ${metres(lengthM)} beside mains leads, in ${ways.join(', ')}. ` +
              'It picks up hum. Keep 0.3 m between them, cross at right angles, or lead one of them elsewhere.',
          }
        : null,
    sums: ({ lengthM }) => [
      {
        label: 'Nearer than 0.3 m to mains leads',
        formula: 'length of the ways they share',
        inputs: [{ name: 'shared', value: lengthM, unit: 'm' }],
        result: lengthM,
        unit: 'm',
        source: 'handbook 5, Cables',
      },
    ],
    fixes: (one, measured) => partedFrom(one, measured),
  },
);

interface Placed {
  readonly wayId: string;
  readonly way: CableWay;
}

const allWays = ({ rig }: Measured): readonly Placed[] =>
  inOrder(rig.cableWays).map(([wayId, way]) => ({ wayId, way }));

/** A way along a wall may lie a little in it. @unit m */
const IN_WALL_M = 0.3;

/** How far a point lies outside the walls. */
const isOutside = ({ rig }: Measured, { xM, yM }: { xM: number; yM: number }): boolean => {
  const corners = rig.shell?.corners;
  if (!corners || lengthOfWalls(corners) === 0) return false;
  return [
    [0, 0],
    [IN_WALL_M, 0],
    [-IN_WALL_M, 0],
    [0, IN_WALL_M],
    [0, -IN_WALL_M],
  ].every(([dx = 0, dy = 0]) => !isInside(corners, { xM: xM + dx, yM: yM + dy }));
};

export const wayOutside = eachCableRule<Placed>(
  'cables.way-outside',
  {
    looksFor: 'A way for cables that leaves the room, or goes through its ceiling.',
    why: 'The lengths are of a way that is not there.',
    remedy: 'Draw it within the walls, or draw the walls as they are.',
    source: 'handbook 5, Plan',
  },
  {
    all: allWays,
    about: ({ wayId }) => aboutWay(wayId),
    judge: ({ way }, measured) => {
      const ceilingM = measured.rig.shell?.heightM ?? Infinity;
      const over = way.points.some(({ zM }) => zM > ceilingM);
      return over || way.points.some((point) => isOutside(measured, point))
        ? {
            level: 'warn',
            title: `${way.name} leaves the room`,
            says:
              `${way.name} goes ${over ? `higher than the ceiling, ${metres(ceilingM)}` : 'through a wall'}. ` +
              'Its lengths are of a way that is not there; a hole through a wall that stops fire is for ' +
              'who may make it. Draw it within the walls, or draw the walls as they are.',
          }
        : null;
    },
  },
);

interface Low {
  readonly segment: Segment;
  readonly ground: TripGround;
  readonly lowestM: number;
}

/** Higher than a step, lower than heads. @unit m */
const LOW_M = { from: 0.1, to: 2.1 } as const;

const lows = pass('ways that are walked into', (measured): readonly Low[] =>
  segments(measured).flatMap((segment) => {
    const lowestM = Math.min(segment.a.zM, segment.b.zM);
    if (segment.wayId === null || lowestM < LOW_M.from || lowestM >= LOW_M.to) return [];
    const isLevel = Math.hypot(segment.b.xM - segment.a.xM, segment.b.yM - segment.a.yM) > 0;
    return isLevel
      ? tripGrounds(measured)
          .filter(({ ground }) => within(segment.a, segment.b, ground) !== null)
          .slice(0, 1)
          .map((ground) => ({ segment, ground, lowestM }))
      : [];
  }),
);

export const wayLow = eachCableRule<Low>(
  'cables.way-low',
  {
    looksFor: 'A way for cables between knee and head across a door or a way that stays free.',
    why: 'People walk into it, and tall ones with their heads.',
    remedy: 'Lead it higher than 2.1 m, or on the floor under a cover.',
    source: 'handbook 5, Cables: trips',
  },
  {
    all: lows,
    about: ({ segment, ground }) => ({
      ...aboutWay(segment.wayId ?? ''),
      source: `${ground.of} ${ground.id}`,
    }),
    judge: ({ segment, ground, lowestM }) => ({
      level: 'warn',
      title: `${segment.name} crosses ${ground.name} ${metres(lowestM)} up`,
      says:
        `${segment.name} crosses ${ground.name} ${metres(lowestM)} above the floor. People walk into it. ` +
        'Lead it higher than 2.1 m, or on the floor under a cover.',
    }),
  },
);

/** Ways that nothing joins, and in which nothing lies. */
const alone = pass('ways that lead nowhere', (measured): readonly WayFill[] => {
  const { pieces } = waysGraph(measured);
  const pointsOf = (isOwn: (wayId: string | null) => boolean): ReadonlySet<number> =>
    new Set(pieces.flatMap(({ segment, from, to }) => (isOwn(segment.wayId) ? [from, to] : [])));
  return wayFills(measured).filter(({ wayId, linkIds, mainsLeads }) => {
    if (linkIds.length + mainsLeads > 0) return false;
    const own = pointsOf((id) => id === wayId);
    const others = pointsOf((id) => id !== wayId);
    return [...own].every((point) => !others.has(point));
  });
});

export const wayAlone = eachCableRule<WayFill>(
  'cables.way-alone',
  {
    looksFor: 'A way for cables that joins no other, and in which nothing lies.',
    why: 'It ends short of what it should lead to; lengths are reckoned without it.',
    remedy: 'Draw it to within 0.1 m of the way it should join, or to within 1.5 m of the sockets.',
    source: 'handbook 5, Cables',
  },
  {
    all: alone,
    about: ({ wayId }) => aboutWay(wayId),
    judge: ({ way }) => ({
      level: 'note',
      title: `${way.name} leads nowhere`,
      says:
        `${way.name} joins no other way, and no cable lies in it. Ways are joined where they come ` +
        `within ${JOIN_M} m of each other, sockets within ${LEG_MOST_M} m.`,
    }),
  },
);
