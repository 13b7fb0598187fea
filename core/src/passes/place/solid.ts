import isDeepEqual from 'fast-deep-equal';
import { entry, inOrder, type Person, type Point, type Spot, type Support } from '../../rig';
import type { Measured } from '../measured';
import { pass } from '../pass';
import { ahead } from './geometry';
import { CHEST_M, crownAtM, SHOULDERS_M } from './people';
import { stood, type Stood } from './stood';
import { sizeOf } from './supports';

/** Everything on the plan as upright boxes: what pictures, ways and desks are judged by. */

/** An upright box that faces its way. @unit m */
export interface Solid {
  readonly of: 'person' | 'device' | 'support';
  readonly id: string;
  readonly spot: Spot;
  readonly widthM: number;
  readonly depthM: number;
  readonly fromM: number;
  readonly toM: number;
  /** Seen from above it is round: a stand, whose feet reach as far every way */
  readonly isRound: boolean;
}

/** Corners of its ground, in their order round it. */
export const groundOf = ({
  spot,
  widthM,
  depthM,
}: Pick<Solid, 'spot' | 'widthM' | 'depthM'>): Point[] =>
  [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([right = 0, forward = 0]) => ahead(spot, (right * widthM) / 2, (forward * depthM) / 2));

/** Sides of the many-sided box that stands for a round thing: it is nowhere more than 1 % too wide. */
const ROUND_SIDES = 24;

/** The ground of a solid as a polygon that holds all of it. */
export const outlineOf = (solid: Solid): Point[] => {
  if (!solid.isRound) return groundOf(solid);
  const outerM = solid.widthM / 2 / Math.cos(Math.PI / ROUND_SIDES);
  return Array.from({ length: ROUND_SIDES }, (_, side) => {
    const turn = (2 * Math.PI * side) / ROUND_SIDES;
    return {
      xM: solid.spot.xM + outerM * Math.sin(turn),
      yM: solid.spot.yM + outerM * Math.cos(turn),
    };
  });
};

/** What is seen of a person: their shoulders wide and up to the crown. */
export const personSolid = (id: string, person: Person): Solid | null =>
  person.at && person.where === 'on site'
    ? {
        of: 'person',
        id,
        spot: person.at,
        widthM: SHOULDERS_M,
        depthM: CHEST_M,
        fromM: 0,
        toM: crownAtM(person),
        isRound: false,
      }
    : null;

/** @returns null for what somebody wears: it is part of them */
export const deviceSolid = ({ id, body, spot, footM }: Stood): Solid | null =>
  body && footM !== null && body.mount !== 'worn'
    ? {
        of: 'device',
        id,
        spot,
        widthM: body.widthM,
        depthM: body.depthM,
        fromM: footM,
        toM: footM + body.heightM,
        isRound: false,
      }
    : null;

/** A thin thing that hangs or lies, as a grid does. @unit m */
const THICKNESS_M = 0.1;
/** The column of a stand, wide enough to be seen. @unit m */
const COLUMN_M = 0.05;

export const supportSolid = (id: string, { at, figures }: Support): Solid | null => {
  const size = sizeOf(figures);
  if (!at || !size) return null;
  return {
    of: 'support',
    id,
    spot: at,
    widthM: size.widthM,
    depthM: size.depthM,
    fromM: figures.is === 'overhead' ? size.topM : 0,
    toM: figures.is === 'overhead' ? size.topM + THICKNESS_M : size.topM,
    isRound: figures.is === 'stand',
  };
};

/** The arm that a stand reaches out with, and its column. */
export const reachingSolids = (id: string, { at, figures }: Support): Solid[] => {
  if (!at || figures.is !== 'stand') return [];
  const column: Solid = {
    of: 'support',
    id,
    spot: at,
    widthM: COLUMN_M,
    depthM: COLUMN_M,
    fromM: 0,
    toM: figures.heightM,
    isRound: false,
  };
  if (!figures.out) return [column];
  return [
    column,
    {
      ...column,
      spot: { ...ahead(at, 0, figures.out.reachM / 2), facingDeg: at.facingDeg },
      depthM: figures.out.reachM,
      fromM: figures.heightM - COLUMN_M / 2,
      toM: figures.heightM + COLUMN_M / 2,
    },
  ];
};

export interface Solids {
  readonly people: readonly Solid[];
  readonly devices: readonly Solid[];
  readonly supports: readonly Solid[];
}

/** Everything that stands somewhere and has a size. */
export const solids = pass(
  'solids',
  (measured): Solids => {
    const { people, supports } = measured.rig;
    return {
      people: inOrder(people).flatMap(([id, person]) =>
        person.is === 'person' ? (personSolid(id, person) ?? []) : [],
      ),
      devices: stood(measured).flatMap((device) => deviceSolid(device) ?? []),
      supports: inOrder(supports).flatMap(([id, support]) => supportSolid(id, support) ?? []),
    };
  },
  isDeepEqual,
);

/** A support by its id. */
export const supportOf = (measured: Measured, id: string): Support | undefined =>
  entry(measured.rig.supports, id);

interface Ground {
  readonly corners: readonly Point[];
}

const axesOf = ({ corners }: Ground): Point[] =>
  corners.map((corner, at) => {
    const next = corners[(at + 1) % corners.length] ?? corner;
    return { xM: next.yM - corner.yM, yM: corner.xM - next.xM };
  });

const spanOn = (axis: Point, { corners }: Ground): readonly [number, number] => {
  const along = corners.map((corner) => corner.xM * axis.xM + corner.yM * axis.yM);
  return [Math.min(...along), Math.max(...along)];
};

/** A touch is no overlap. @unit m */
const TOUCH_M = 0.001;

/**
 * How deep two grounds lie in one another: the least they must part by. Both must be convex.
 * @unit m; 0 where they are apart or only touch
 */
export const overlapM = (a: readonly Point[], b: readonly Point[]): number => {
  let least = Infinity;
  for (const axis of [...axesOf({ corners: a }), ...axesOf({ corners: b })]) {
    const length = Math.hypot(axis.xM, axis.yM);
    if (length === 0) continue;
    const [fromA, toA] = spanOn(axis, { corners: a });
    const [fromB, toB] = spanOn(axis, { corners: b });
    least = Math.min(least, (Math.min(toA, toB) - Math.max(fromA, fromB)) / length);
    if (least <= TOUCH_M) return 0;
  }
  return least;
};
