import { nameOfThing } from '../../passes/names';
import { exposures } from '../../passes/exposure';
import {
  backdropsLit,
  type FaceLight,
  lampSources,
  type LightSource,
  POINTS_ACROSS,
  type LitBackdrop,
  litRoom,
  roomLuxOf,
  seenFaces,
} from '../../passes/light';
import type { Measured } from '../../passes/measured';
import type { HouseRules } from '../../rig';
import { ratioOf } from '../../rules/light/faces';

/** What light is wanted, and what lamps there are to give it, as numbers. */

export const LIGHT_AIMS = ['power', 'lamps', 'glare'] as const;
export type LightAim = (typeof LIGHT_AIMS)[number];

/** What somebody asks for; what is left out the house and the cameras say. */
export interface LightWish {
  readonly aim: LightAim;
  /** The faces that are meant; left out, everybody who is to be seen */
  readonly personIds?: readonly string[];
  /** On every face. @unit lux; left out, what their cameras need */
  readonly faceLux?: number;
  /** Least and most of (key + fill) ÷ fill; null where it does not matter */
  readonly ratio?: readonly [least: number, most: number] | null;
}

/** Without a camera that says otherwise. @unit lux */
export const USUAL_FACE_LUX = 400;
/** A face may be so far from what its camera needs. @unit stops */
export const WITHIN_STOPS = 0.5;
/** A background stays so much under the face. @unit stops */
export const UNDER_FACE_STOPS = 0.5;
/** Hair against the key, by the house. @unit stops */
const HAIR: Readonly<
  Record<HouseRules['hairLight'], readonly [least: number | null, most: number]>
> = {
  always: [-1, 1],
  'where there is one': [null, 1],
  never: [null, -3],
};
/** A green screen lies so near to the face. @unit stops */
export const SCREEN_STOPS = 1;

/** A lamp that can be turned. */
export interface Turned {
  readonly id: string;
  readonly name: string;
  readonly watts: number;
  /** Turned up to here now, 0 to 1 */
  readonly share: number;
  /** What it does to eyes in whose view it stands. @unit lux */
  readonly glare: number;
  /** What comes back of it from the walls. @unit lux */
  readonly room: number;
  /** Lowest it burns evenly at, 0 to 1 */
  readonly least: number;
}

/** A face with what it needs. */
export interface WantedFace {
  /** The person’s; of several sets together, with the set’s before it */
  readonly id: string;
  readonly face: FaceLight;
  /** @unit lux */
  readonly lux: number;
  readonly ratio: readonly [number, number] | null;
  readonly hair: readonly [number | null, number];
  /** What stands behind it, and how much of its light it may send back against the face's */
  readonly behind: { readonly lit: LitBackdrop; readonly reflects: number } | null;
}

/** All of it together. */
export interface LightTask {
  readonly aim: LightAim;
  readonly lamps: readonly Turned[];
  readonly faces: readonly WantedFace[];
  readonly screens: readonly LitBackdrop[];
  readonly boards: readonly LitBackdrop[];
  readonly evenness: number;
  /** What nobody turns gives everywhere, from the walls. @unit lux */
  readonly fixedRoom: number;
}

/** Light within this of where somebody looks is in their eyes. @unit degrees */
const IN_EYES_DEG = 40;

const turnedOf = (
  measured: Measured,
  source: LightSource,
  faces: readonly FaceLight[],
): Turned => ({
  id: source.id,
  name: nameOfThing(measured, source),
  watts: source.watts,
  share: source.share,
  glare: faces
    .flatMap(({ parts }) => parts)
    .filter((part) => part.source.id === source.id && part.incidenceDeg < IN_EYES_DEG)
    .reduce((sum, part) => sum + part.full.lux, 0),
  room: roomLuxOf(litRoom(measured), source),
  least: (source.figures?.leastPercent ?? 0) / 100,
});

/** Lamps that are left as they are: what burns in the picture anyway. */
const isTurned = ({ figures }: LightSource): boolean => figures?.is !== 'practical';

/** A camera that sets itself is clean from so many times the least it can do with. */
const CLEANER = 4;

const luxFor = (measured: Measured, face: FaceLight, wish: LightWish): number => {
  if (wish.faceLux !== undefined) return wish.faceLux;
  const all = exposures(measured).filter(
    ({ faces, framing }) =>
      framing.exposure !== 'unknown' &&
      framing.lightNeededLux !== null &&
      faces.some(({ personId }) => personId === face.personId),
  );
  const shot = all.find(({ faces }) => faces.length === 1) ?? all[0];
  const needed = shot?.framing.lightNeededLux ?? null;
  if (needed === null) return measured.rig.lightRules.faceLux ?? USUAL_FACE_LUX;
  return shot?.framing.exposure === 'automatic' ? CLEANER * needed : needed;
};

/** The band of ratios in which the house finds nothing to say. */
const bandOf = (rules: HouseRules): readonly [number, number] => {
  const { least, most } = ratioOf(rules);
  return [least, most];
};

const wantedFace = (measured: Measured, face: FaceLight, wish: LightWish): WantedFace => {
  const { houseRules } = measured.rig;
  const shot = exposures(measured).find(
    ({ faces, behind }) =>
      behind?.backdrop && faces.some(({ personId }) => personId === face.personId),
  );
  const lit = shot?.behind?.backdrop ?? null;
  return {
    id: face.personId,
    face,
    lux: luxFor(measured, face, wish),
    ratio: wish.ratio === undefined ? bandOf(houseRules) : wish.ratio,
    hair: HAIR[houseRules.hairLight],
    behind:
      lit && lit.backdrop.is !== 'green screen'
        ? { lit, reflects: lit.backdrop.reflects / face.face.skinReflects }
        : null,
  };
};

/** Of the points across a backdrop every so manieth is a limit: light changes little between two. */
const EVERY = 4;
/** And so much is kept in hand for what lies between them. */
const BETWEEN_POINTS = 0.98;

const thinned = (lit: LitBackdrop): LitBackdrop => ({
  ...lit,
  points: lit.points.filter((_, index) => (index % POINTS_ACROSS) % EVERY === 0),
});

/** The wish as numbers. @param extra lamps that are not in the rig, as they would shine on these faces */
export const taskOf = (measured: Measured, wish: LightWish): LightTask => {
  const faces = seenFaces(measured).filter(
    ({ personId }) => !wish.personIds || wish.personIds.includes(personId),
  );
  const lamps = lampSources(measured).filter(isTurned);
  const turned = new Set(lamps.map(({ id }) => id));
  const all = faces[0]?.parts ?? [];
  return {
    aim: wish.aim,
    lamps: lamps.map((source) => turnedOf(measured, source, faces)),
    faces: faces.map((face) => wantedFace(measured, face, wish)),
    screens: backdropsLit(measured)
      .filter(({ backdrop }) => backdrop.is === 'green screen')
      .map(thinned),
    boards: backdropsLit(measured)
      .filter(({ backdrop }) => backdrop.mostLux !== null)
      .map(thinned),
    evenness: measured.rig.lightRules.evenness * BETWEEN_POINTS,
    fixedRoom: all
      .filter(({ source }) => !turned.has(source.id))
      .reduce((sum, { source, roomFull }) => sum + source.share * roomFull, 0),
  };
};
