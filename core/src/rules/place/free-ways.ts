import { nameOfThing } from '../../passes/names';
import { moveSolid } from '../../edits/move';
import type { Measured } from '../../passes/measured';
import {
  groundOfDoor,
  groundOfWay,
  type Opened,
  openings,
  type Solid,
  standsOn,
  stepped,
} from '../../passes/place';
import { figure } from '../../passes/sum';
import { inOrder, type Point, type Walkway } from '../../rig';
import { batchFix, eachPlaceRule } from '../rule-of';
import type { About } from '../about';

interface Blocked {
  readonly solid: Solid;
  readonly byM: number;
  readonly ground: readonly Point[];
}

/** Moves are typed to the centimetre. @unit m */
const SPARE_M = 0.05;

const meanOf = (points: readonly Point[]): Point => ({
  xM: points.reduce((sum, { xM }) => sum + xM, 0) / points.length,
  yM: points.reduce((sum, { yM }) => sum + yM, 0) / points.length,
});

/** Moves off the ground, the shortest way of four. */
const moves = (measured: Measured, { solid, ground }: Blocked) => {
  const [a, b, c] = ground;
  if (!a || !b || !c) return [];
  const along = (Math.atan2(b.xM - a.xM, b.yM - a.yM) * 180) / Math.PI;
  const middle = meanOf(ground);
  const reach = (turn: number): number => {
    const direction = stepped({ xM: 0, yM: 0 }, along + turn, 1);
    const of = (point: Point): number => point.xM * direction.xM + point.yM * direction.yM;
    const edge = Math.max(...ground.map(of));
    const half = Math.hypot(solid.widthM, solid.depthM) / 2;
    return edge + half + SPARE_M - of(solid.spot);
  };
  return [0, 90, 180, 270]
    .map((turn) => ({ turn, byM: reach(turn) }))
    .filter(({ byM }) => byM > 0 && Number.isFinite(middle.xM))
    .sort((one, other) => one.byM - other.byM)
    .flatMap(({ turn, byM }) => {
      const commands = moveSolid(measured, solid, stepped({ xM: 0, yM: 0 }, along + turn, byM));
      return commands.length > 0
        ? [
            batchFix(
              `Move ${nameOfThing(measured, solid)} ${figure(byM, 2)} m out of the way`,
              commands,
            ),
          ]
        : [];
    });
};

interface DoorBlocked extends Blocked {
  readonly door: Opened;
}

export const doorBlocked = eachPlaceRule<DoorBlocked>(
  'place.door-blocked',
  {
    looksFor: 'Something in the swing of a door, or right before it.',
    why: 'It does not open when it must; the way out is also the way out in a fire.',
    remedy: 'Move it. Local rules on ways out decide.',
    source: 'handbook 5-plan; local fire rules',
  },
  {
    all: (measured) =>
      openings(measured).flatMap((door) => {
        const ground = groundOfDoor(door);
        return ground
          ? standsOn(measured, ground).map((found) => ({ ...found, ground, door }))
          : [];
      }),
    about: ({ door, solid }): About => ({
      kind: 'opening',
      openingId: door.id,
      source: `${solid.of} ${solid.id}`,
    }),
    judge: ({ door, solid, byM }, measured) => ({
      level: solid.of === 'person' ? 'note' : 'warn',
      title: `${nameOfThing(measured, solid)} stands in the way of ${door.opening.name}`,
      says:
        `${nameOfThing(measured, solid)} stands ${figure(100 * byM, 0)} cm into the floor that ` +
        `${door.opening.name} needs ` +
        `${door.opening.opens === 'in' ? 'to swing' : 'before it'}. Whoever must get out in a hurry falls ` +
        'over it. Move it; local rules on ways out decide.',
    }),
    moves: true,
    fixes: (blocked, measured) => moves(measured, blocked),
  },
);

interface WayBlocked extends Blocked {
  readonly id: string;
  readonly way: Walkway;
}

/** A touch of a foot. @unit m */
const NARROW_M = 0.02;

export const wayBlocked = eachPlaceRule<WayBlocked>(
  'place.way-blocked',
  {
    looksFor: 'Something on a way that is to stay free.',
    why: 'People walk there in the dark with their eyes on the show, and trip.',
    remedy: 'Move it, or lead the way elsewhere.',
    source: 'handbook 5-plan: trips',
  },
  {
    all: (measured) =>
      inOrder(measured.rig.walkways).flatMap(([id, way]) => {
        const ground = groundOfWay(way);
        return standsOn(measured, ground)
          .filter(({ solid, byM }) => solid.of !== 'person' && byM > NARROW_M)
          .map((found) => ({ ...found, ground, id, way }));
      }),
    about: ({ id, solid }): About => ({
      kind: 'walkway',
      walkwayId: id,
      source: `${solid.of} ${solid.id}`,
    }),
    judge: ({ way, solid, byM }, measured) => ({
      level: 'warn',
      title: `${nameOfThing(measured, solid)} stands on ${way.name}`,
      says:
        `${nameOfThing(measured, solid)} stands ${figure(100 * byM, 0)} cm into ${way.name}, which ` +
        `is to stay free. People ` +
        'walk there in the dark and trip. Move it.',
    }),
    moves: true,
    fixes: (blocked, measured) => moves(measured, blocked),
  },
);
