import type { Analysis } from '../../analyse';
import {
  gapM,
  groundOf,
  microphonesOn,
  type OnDesk,
  onDesks,
  type Solid,
  solids,
} from '../../passes/place';
import { entry, type Kind, type Point, type SimpleCommand, type Standing } from '../../rig';
import { axesOf, type OwnAxes } from './axes';
import { overlaps, pack, type Packed, type Place, type Taken } from './packing';

/**
 * "Arrange it for me": everything on a desk, so that hands reach, eyes read and microphones hear as
 * little of it as can be. @source handbook 5-plan, reach and desk
 */

/** Grid on which places are tried. @unit m */
const STEP_M = 0.05;
const MOST_TRIES = 400_000;

const TOUCHED: readonly Kind[] = [
  'switcher',
  'mixer',
  'interface',
  'headphone-amplifier',
  'channel-processor',
  'instrument',
];
const LOUD: readonly Kind[] = ['computer', 'loudspeaker'];

/** Comfortable reach, where a screen is read, and how near a noise may stand to a microphone. @unit m */
const REACH_M = 0.5;
const READ_M = 0.75;
const QUIET_M = 0.5;
/** Where nobody sits at the desk yet, somebody will: so far before its edge. @unit m */
const SEAT_M = 0.3;

export interface Arrangement {
  /** Edits; none where it stands as well as can be */
  readonly commands: readonly SimpleCommand[];
  /**
   * What reach, reading and noise cost now, in metres of reach; null where things stand in one
   * another or over the edge
   */
  readonly before: number | null;
  readonly after: number;
  /** Proven on a grid of 5 cm */
  readonly isBest: boolean;
  readonly says: string;
}

/** The ground of a thing along the desk's own axes. */
const boxOf = (axes: OwnAxes, solid: Solid): Taken => {
  const corners = groundOf(solid).map(axes.to);
  const [xs, ys] = [corners.map(({ xM }) => xM), corners.map(({ yM }) => yM)];
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [near, far] = [Math.min(...ys), Math.max(...ys)];
  return {
    xM: (left + right) / 2,
    yM: (near + far) / 2,
    widthM: right - left,
    depthM: far - near,
  };
};

const edgeM = (from: Point, { xM, yM, widthM, depthM }: Taken): number =>
  Math.hypot(
    Math.max(0, Math.abs(from.xM - xM) - widthM / 2),
    Math.max(0, Math.abs(from.yM - yM) - depthM / 2),
  );

/** What a place costs a thing, in metres of reach. */
const costOf = (
  kind: Kind | undefined,
  box: Taken,
  seat: Point,
  microphones: readonly Point[],
): number => {
  const far = edgeM(seat, box);
  if (kind !== undefined && TOUCHED.includes(kind))
    return 0.2 * far + 4 * Math.max(0, far - REACH_M);
  const loud =
    kind !== undefined && LOUD.includes(kind)
      ? microphones.reduce((sum, at) => sum + 3 * Math.max(0, QUIET_M - edgeM(at, box)), 0)
      : 0;
  if (kind === 'display') {
    const [dx, dy] = [box.xM - seat.xM, box.yM - seat.yM];
    const asideDeg = (Math.abs(Math.atan2(dx, dy)) * 180) / Math.PI;
    return 2 * Math.abs(Math.hypot(dx, dy) - READ_M) + asideDeg / 60;
  }
  // What is neither touched nor read leaves the front to what is.
  return loud + 0.3 * Math.max(0, 1 - far);
};

const seatsAt = (analysis: Analysis, desk: OnDesk, axes: OwnAxes): Map<string | null, Point> => {
  const { at } = desk.support;
  const seats = new Map<string | null, Point>();
  if (!at) return seats;
  const ground = groundOf({ spot: at, widthM: desk.desk.widthM, depthM: desk.desk.depthM });
  for (const person of solids(analysis).people)
    if (gapM([person.spot], ground) <= 1) seats.set(person.id, axes.to(person.spot));
  const [first] = seats.values();
  seats.set(null, first ?? { xM: 0, yM: -axes.halfM.yM - SEAT_M });
  return seats;
};

const placesFor = (
  axes: OwnAxes,
  box: Taken,
  cost: (box: Taken) => number,
): { places: Place[]; now: Place | null } => {
  const [freeX, freeY] = [axes.halfM.xM - box.widthM / 2, axes.halfM.yM - box.depthM / 2];
  const at = (xM: number, yM: number): Place => ({ xM, yM, cost: cost({ ...box, xM, yM }) });
  const places: Place[] = [];
  const steps = (freeM: number): number[] =>
    freeM < 0
      ? []
      : Array.from(
          { length: Math.floor((2 * freeM) / STEP_M + 1e-9) + 1 },
          (_, step) => -freeM + step * STEP_M,
        );
  for (const xM of steps(freeX)) for (const yM of steps(freeY)) places.push(at(xM, yM));
  const isOn = Math.abs(box.xM) <= freeX + 1e-6 && Math.abs(box.yM) <= freeY + 1e-6;
  const now = isOn ? at(box.xM, box.yM) : null;
  if (now) places.push(now);
  places.sort((a, b) => a.cost - b.cost || a.xM - b.xM || a.yM - b.yM);
  return { places, now };
};

/** What is told of an arrangement. */
const inWords = (
  bound: number | null,
  before: number | null,
  after: number,
  moved: number,
): string => {
  const proof =
    bound === null
      ? 'There is no better one on a grid of 5 cm'
      : `Not every way could be tried; none can cost less than ${bound.toFixed(2)} m`;
  if (moved === 0) return `${proof}: it stays as it is.`;
  return before === null
    ? `Nothing stands in anything else or over the edge any more. ${proof}.`
    : `Reach, reading and noise cost ${after.toFixed(2)} m instead of ${before.toFixed(2)} m. ${proof}.`;
};

/** What stands where it does for what it hears or sees. */
const STAYING: ReadonlySet<string> = new Set(['microphone', 'camera', 'webcam', 'phone']);

/**
 * Arranges a desk: no overlap, nothing over the edge, what is touched within reach, screens where
 * they are read, noise away from microphones. Microphones and cameras stay where they are: what they
 * hear and see was set up there. Never worse than what it started from.
 * @returns null where there is no such desk on the plan, nothing to arrange, or no room for all of it
 */
export const arrangeDesk = (
  analysis: Analysis,
  deskId: string,
  onProgress?: (tried: number, of: number) => void,
  mostTries = MOST_TRIES,
): Arrangement | null => {
  const desk = onDesks(analysis).find(({ id }) => id === deskId);
  if (!desk) return null;
  const axes = axesOf(desk);
  const seats = seatsAt(analysis, desk, axes);
  const microphones = microphonesOn(analysis, desk).map(axes.to);
  const deviceOf = (id: string) => entry(analysis.rig.devices, id);
  const isFixed = ({ id }: Solid): boolean => STAYING.has(deviceOf(id)?.model.kind ?? 'other');
  const things = desk.things.filter((thing) => !isFixed(thing));
  if (things.length === 0) return null;
  const taken = desk.things.filter(isFixed).map((thing) => boxOf(axes, thing));
  const items = things.map((thing) => {
    const device = deviceOf(thing.id);
    const seat = seats.get(device?.personId ?? null) ?? seats.get(null) ?? { xM: 0, yM: 0 };
    const box = boxOf(axes, thing);
    return {
      thing,
      box,
      ...placesFor(axes, box, (at) => costOf(device?.model.kind, at, seat, microphones)),
    };
  });
  // The largest first: what is hardest to place cuts most off.
  items.sort((a, b) => b.box.widthM * b.box.depthM - a.box.widthM * a.box.depthM);
  const boxes = [...taken, ...items.map(({ box }) => box)];
  const isClear = boxes.every((a, at) => boxes.slice(at + 1).every((b) => !overlaps(a, b)));
  const before =
    isClear && items.every(({ now }) => now !== null)
      ? items.reduce((sum, { now }) => sum + (now?.cost ?? 0), 0)
      : null;
  const packed = pack(
    items.map(({ thing, box, places }): Packed => ({
      id: thing.id,
      widthM: box.widthM,
      depthM: box.depthM,
      places,
    })),
    taken,
    before ?? Infinity,
    mostTries,
    (tried) => onProgress?.(tried, mostTries),
  );
  if (!packed)
    return before === null
      ? null
      : {
          commands: [],
          before,
          after: before,
          isBest: true,
          says: inWords(null, before, before, 0),
        };
  const commands = items.flatMap(({ thing, box }, index): SimpleCommand[] => {
    const place = packed.places[index];
    const on = deviceOf(thing.id)?.on;
    if (!place || !on || (place.xM === box.xM && place.yM === box.yM)) return [];
    return [{ type: 'standDevice', deviceId: thing.id, on: movedTo(on, box, place) }];
  });
  return {
    commands,
    before,
    after: packed.cost,
    isBest: packed.isBest,
    says: inWords(packed.isBest ? null : packed.atLeast, before, packed.cost, commands.length),
  };
};

/** A thing's foot need not lie in the middle of its ground: it moves as far as that does. */
const movedTo = (on: Standing, from: Taken, to: Place): Standing => ({
  ...on,
  xM: Number((on.xM + to.xM - from.xM).toFixed(4)),
  yM: Number((on.yM + to.yM - from.yM).toFixed(4)),
});
