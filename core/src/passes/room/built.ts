import {
  type Absorption,
  areaOf,
  BANDS_HZ,
  BOUNDARIES,
  type Boundary,
  inOrder,
  lengthOfWalls,
  type Room,
  type Shell,
  type Surface,
} from '../../rig';
import { pass } from '../pass';
import { airM2, type Relation, relationFor, reverberationS, speechTargetS } from './reverberation';

/** What a room rings by the surfaces it is built of and those that were put in. */

/** A room that stays alive may ring as long as this, however small it is. @unit s @source handbook 5 */
const ALIVE_S = 0.4;
/** Places of 500 Hz and 1 kHz in the bands: a room's time is told as their mean. */
const MIDDLE = [2, 3] as const;

/** What a band comes to. */
export interface BandOfRoom {
  readonly hz: number;
  /** Taken up by surfaces and what stands in the room. @unit m² */
  readonly absorptionM2: number;
  /** Taken up by the air. @unit m² */
  readonly airM2: number;
  readonly rt60S: number;
  readonly relation: Relation;
}

/** Something that takes up sound, and how much of it does. */
export interface SurfaceInRoom extends Surface {
  readonly id: string;
}

/** The room as it is drawn and furnished. */
export interface BuiltRoom {
  readonly shell: Shell;
  readonly volumeM3: number;
  /** Floor, ceiling and walls together. @unit m² */
  readonly surfaceM2: number;
  readonly areasM2: Readonly<Record<Boundary, number>>;
  /** What is left of each boundary with nothing before it; below 0 where more hangs there than there is. @unit m² */
  readonly freeM2: Readonly<Record<Boundary, number>>;
  readonly surfaces: readonly SurfaceInRoom[];
  readonly bands: readonly BandOfRoom[];
  /** Mean of 500 Hz and 1 kHz. @unit s */
  readonly rt60S: number;
  /** The same without anything that was put in. @unit s */
  readonly bareRt60S: number;
}

const boundariesOf = ({ corners, heightM }: Shell): Readonly<Record<Boundary, number>> => {
  const floor = areaOf(corners);
  return { floor, ceiling: floor, walls: lengthOfWalls(corners) * heightM };
};

const at = (absorption: Absorption, band: number): number => absorption[band] ?? 0;

const middle = (bands: readonly BandOfRoom[]): number =>
  MIDDLE.reduce((sum, band) => sum + (bands[band]?.rt60S ?? NaN), 0) / MIDDLE.length;

/** What a room absorbs in each band and how long it rings, with some surfaces in it. */
export const bandsOf = (shell: Shell, surfaces: readonly Surface[]): readonly BandOfRoom[] => {
  const areasM2 = boundariesOf(shell);
  const surfaceM2 = BOUNDARIES.reduce((sum, part) => sum + areasM2[part], 0);
  const volumeM3 = areasM2.floor * shell.heightM;
  const free = freeOf(areasM2, surfaces);
  return BANDS_HZ.map((hz, band) => {
    const bare = BOUNDARIES.reduce(
      (sum, part) => sum + Math.max(0, free[part]) * at(shell[part].absorption, band),
      0,
    );
    const absorptionM2 = surfaces.reduce(
      (sum, { areaM2, absorption }) => sum + areaM2 * at(absorption, band),
      bare,
    );
    const air = airM2(volumeM3, band);
    return {
      hz,
      absorptionM2,
      airM2: air,
      rt60S:
        absorptionM2 + air === 0
          ? Infinity
          : reverberationS(volumeM3, surfaceM2, absorptionM2, air),
      relation: relationFor(surfaceM2, absorptionM2),
    };
  });
};

/** The time of a room with some surfaces in it: mean of 500 Hz and 1 kHz. @unit s */
export const rt60With = (shell: Shell, surfaces: readonly Surface[]): number =>
  middle(bandsOf(shell, surfaces));

const freeOf = (
  areasM2: Readonly<Record<Boundary, number>>,
  surfaces: readonly Surface[],
): Record<Boundary, number> => {
  const free = { ...areasM2 };
  for (const { covers, areaM2 } of surfaces) if (covers !== 'nothing') free[covers] -= areaM2;
  return free;
};

/** The room by what it is built of; null where nobody has drawn it. */
export const builtRoom = pass('built room', ({ rig: { shell, surfaces } }): BuiltRoom | null => {
  if (!shell) return null;
  const list = inOrder(surfaces).map(([id, surface]) => ({ id, ...surface }));
  const areasM2 = boundariesOf(shell);
  const bands = bandsOf(shell, list);
  return {
    shell,
    volumeM3: areasM2.floor * shell.heightM,
    surfaceM2: areasM2.floor + areasM2.ceiling + areasM2.walls,
    areasM2,
    freeM2: freeOf(areasM2, list),
    surfaces: list,
    bands,
    rt60S: middle(bands),
    bareRt60S: rt60With(shell, []),
  };
});

/**
 * The room as everything else is judged by: what was typed or measured, and where nothing was, what
 * the drawn room comes to.
 */
export const roomSound = pass('room sound', (measured): Room => {
  const { room } = measured.rig;
  if (room.volumeM3 !== null && room.rt60S !== null) return room;
  const built = builtRoom(measured);
  if (!built) return room;
  return {
    ...room,
    volumeM3: room.volumeM3 ?? built.volumeM3,
    rt60S: room.rt60S ?? (Number.isFinite(built.rt60S) ? built.rt60S : null),
  };
});

/**
 * How long the room may ring for speech, by its size and by the house rule: a studio's time where it
 * is to be as dead as can be; a room that stays alive may ring 0.4 s, and a hall as long as a hall
 * for speech, `0.32·lg V − 0.17`.
 * @param volumeM3 m³ @unit s @source EBU Tech 3276; handbook 5; DIN 18041, group A3
 */
export const targetS = (school: 'alive' | 'dead', volumeM3: number): number =>
  school === 'dead'
    ? speechTargetS(volumeM3)
    : Math.max(ALIVE_S, 0.32 * Math.log10(volumeM3) - 0.17);
