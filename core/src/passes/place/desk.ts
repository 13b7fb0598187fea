import { bodyOf } from '../../catalogue/bodies';
import { type Point, RACK_UNIT_M, type Support, type SupportOf } from '../../rig';
import type { Measured } from '../measured';
import { pass } from '../pass';
import { distanceFromLine } from './geometry';
import { type Loaded, loaded } from './loads';
import { deviceSolid, groundOf, outlineOf, overlapM, type Solid, solids } from './solid';
import { stood } from './stood';

/** What stands on desks and in racks, from above and in order. Lengths in metres. */

/** A desk with everything on it that has a size. */
export interface OnDesk {
  readonly id: string;
  readonly support: Support;
  readonly desk: SupportOf<'desk'>;
  readonly things: readonly Solid[];
}

export const onDesks = pass('on desks', (measured): readonly OnDesk[] =>
  loaded(measured).flatMap(({ id, support }) =>
    support.figures.is === 'desk' && support.at
      ? [
          {
            id,
            support,
            desk: support.figures,
            things: stood(measured).flatMap((device) =>
              device.supportId === id ? (deviceSolid(device) ?? []) : [],
            ),
          },
        ]
      : [],
  ),
);

/** How far apart two solids are, seen from above. @unit m; 0 where they overlap */
export const gapM = (a: readonly Point[], b: readonly Point[]): number => {
  if (overlapM(a, b) > 0) return 0;
  const between = (points: readonly Point[], sides: readonly Point[]): number =>
    Math.min(
      ...points.flatMap((point) =>
        sides.map((from, at) =>
          distanceFromLine(point, from, sides[(at + 1) % sides.length] ?? from),
        ),
      ),
    );
  return Math.min(between(a, b), between(b, a));
};

/** Two things that stand in one another, and how deep. */
export interface Clash {
  readonly desk: OnDesk;
  readonly a: Solid;
  readonly b: Solid;
  readonly byM: number;
}

const overlapInHeight = (a: Solid, b: Solid): boolean => a.fromM < b.toM && b.fromM < a.toM;

export const clashes = pass('clashes', (measured): readonly Clash[] =>
  onDesks(measured).flatMap((desk) =>
    desk.things.flatMap((a, at) =>
      desk.things.slice(at + 1).flatMap((b) => {
        const byM = overlapInHeight(a, b) ? overlapM(outlineOf(a), outlineOf(b)) : 0;
        return byM > 0 ? [{ desk, a, b, byM }] : [];
      }),
    ),
  ),
);

/** How far a thing hangs over the edge of its desk. @unit m; 0 where it stands on it */
export const overhangM = ({ support, desk }: OnDesk, thing: Solid): number => {
  const { at } = support;
  if (!at) return 0;
  const turn = (at.facingDeg * Math.PI) / 180;
  return Math.max(
    0,
    ...groundOf(thing).map(({ xM, yM }) => {
      const [dx, dy] = [xM - at.xM, yM - at.yM];
      const right = dx * Math.cos(turn) - dy * Math.sin(turn);
      const forward = dx * Math.sin(turn) + dy * Math.cos(turn);
      return Math.max(Math.abs(right) - desk.widthM / 2, Math.abs(forward) - desk.depthM / 2);
    }),
  );
};

/** Something in a rack, by its lowest unit from 1, and how many it takes. */
export interface InRack {
  readonly deviceId: string;
  readonly from: number;
  readonly units: number;
  readonly depthM: number;
  readonly widthM: number;
  readonly massKg: number;
  readonly heatW: number;
}

/** Inner width of a rack, between its rails. @unit m @source IEC 60297-3-100 */
export const RACK_WIDTH_M = 0.45;

/** What is in a rack, from below. */
export const inRack = (measured: Measured, { id, loads }: Loaded): readonly InRack[] =>
  loads
    .flatMap(({ deviceId }) => {
      const device = measured.device({ id: deviceId });
      const body = bodyOf(device.model);
      return body && device.on?.supportId === id
        ? [
            {
              deviceId,
              from: Math.round(device.on.upM / RACK_UNIT_M) + 1,
              // A panel is a little lower than its units.
              units: Math.max(1, Math.ceil(body.heightM / RACK_UNIT_M - 0.05)),
              depthM: body.depthM,
              widthM: body.widthM,
              massKg: body.massKg,
              heatW: body.heatW,
            },
          ]
        : [];
    })
    .sort((a, b) => a.from - b.from);

/** Where microphones hear that are on a desk, on an arm clamped to it, or at a mouth beside it. */
export const microphonesOn = (measured: Measured, { support, desk }: OnDesk): readonly Point[] => {
  const { at } = support;
  if (!at) return [];
  const ground = groundOf({ spot: at, widthM: desk.widthM, depthM: desk.depthM });
  return stood(measured)
    .filter(({ kind, spot }) => kind === 'microphone' && gapM([spot], ground) <= AT_DESK_M)
    .map(({ spot }) => spot);
};

/** How near somebody sits or stands to a desk to use it. @unit m */
const AT_DESK_M = 0.5;

/** Who uses a desk: everybody near its edge. */
export const peopleAt = (measured: Measured, { support, desk }: OnDesk): readonly string[] => {
  const { at } = support;
  if (!at) return [];
  const ground = groundOf({ spot: at, widthM: desk.widthM, depthM: desk.depthM });
  return solids(measured)
    .people.filter((person) => gapM([person.spot], ground) <= AT_DESK_M)
    .map(({ id }) => id);
};
