import { entry, type Face, inOrder, type Person, USUAL_FACE } from '../../rig';
import type { Measured } from '../measured';
import { pass } from '../pass';
import {
  angleBetween,
  clockwise,
  bearing,
  eyesOf,
  fromTo,
  type InRoom,
  looking,
  type Vector,
} from '../place';
import { directLux, fromRoom, litRoom, roomLuxOf } from './at';
import { seenDeg, shadowEdgeM, stopsBetween } from './photometry';
import { type LightSource, lightSources } from './sources';

/** Light on the faces of whoever is in the room. */

/** What one source does on a face. Illuminances as it is set; @unit lux */
export interface OnFace {
  readonly source: LightSource;
  /** On the plane of the face, on either cheek, on hair from behind */
  readonly lux: number;
  readonly leftLux: number;
  readonly rightLux: number;
  readonly hairLux: number;
  /** What all four would be with its dimmer turned up, over what they are; 1 where it cannot be dimmed */
  readonly full: {
    readonly lux: number;
    readonly leftLux: number;
    readonly rightLux: number;
    readonly hairLux: number;
  };
  /** What comes back of it from the walls, turned up */
  readonly roomFull: number;
  readonly distanceM: number;
  /** Against the plane of the face. @unit degrees */
  readonly incidenceDeg: number;
  /** Off the axis of the lamp. @unit degrees */
  readonly offAxisDeg: number;
  /** To the right of where they look, −180 to 180; and above their eyes. @unit degrees */
  readonly asideDeg: number;
  readonly aboveDeg: number;
  /** How large it looks. @unit degrees */
  readonly seenDeg: number;
  /** Width of the edge of the nose's shadow on the cheek. @unit m */
  readonly shadowEdgeM: number;
}

/** A face with all its light. Illuminances in lux. */
export interface FaceLight {
  readonly personId: string;
  readonly name: string;
  readonly person: Person;
  readonly face: Face;
  readonly eyes: InRoom;
  /** Where it looks */
  readonly facing: Vector;
  readonly parts: readonly OnFace[];
  /** From the walls, everywhere alike */
  readonly roomLux: number;
  /** In the plane of the face, with what the walls send back */
  readonly lux: number;
  readonly leftLux: number;
  readonly rightLux: number;
  readonly hairLux: number;
  /** The source that gives most; null in the dark */
  readonly key: OnFace | null;
  /** What reaches the shaded side: other sources from over there, and the room */
  readonly fillLux: number;
  /** (key + fill) ÷ fill; null without any fill */
  readonly ratio: number | null;
  /** The same. @unit stops */
  readonly ratioStops: number | null;
  /** Hair against the key on the face. @unit stops; null where no source lights the hair */
  readonly hairStops: number | null;
}

/** Cheeks look so far aside of where the face looks. @unit degrees */
const CHEEK_DEG = 50;
/** Crown and back of the head look so far up. @unit degrees */
const HAIR_UP_DEG = 45;
/** A nose stands so far before the cheek. @unit m */
const NOSE_M = 0.025;
/** What shines from so far aside of straight ahead lights both sides alike. @unit degrees */
const FRONT_DEG = 15;

/** What a source does on a face. @param facingDeg where the face looks on the plan */
export const onFace = (
  source: LightSource,
  eyes: InRoom,
  facingDeg: number,
  room: ReturnType<typeof litRoom>,
): OnFace => {
  const full = {
    lux: directLux(source, eyes, looking(facingDeg)),
    leftLux: directLux(source, eyes, looking(facingDeg - CHEEK_DEG)),
    rightLux: directLux(source, eyes, looking(facingDeg + CHEEK_DEG)),
    hairLux: directLux(source, eyes, looking(facingDeg + 180, -HAIR_UP_DEG)),
  };
  const ray = fromTo(eyes, source.at);
  const distanceM = Math.hypot(...ray);
  const levelM = Math.hypot(ray[0], ray[1]);
  const sizeM = Math.max(source.widthM, source.heightM);
  return {
    source,
    lux: source.share * full.lux,
    leftLux: source.share * full.leftLux,
    rightLux: source.share * full.rightLux,
    hairLux: source.share * full.hairLux,
    full,
    roomFull: roomLuxOf(room, source),
    distanceM,
    incidenceDeg: angleBetween(ray, looking(facingDeg)),
    offAxisDeg: angleBetween(source.axis, [-ray[0], -ray[1], -ray[2]]),
    asideDeg: levelM === 0 ? 0 : clockwise(facingDeg, bearing(eyes, source.at)),
    aboveDeg: (Math.atan2(ray[2], levelM) * 180) / Math.PI,
    seenDeg: seenDeg(sizeM, Math.max(0.01, distanceM)),
    shadowEdgeM: shadowEdgeM(sizeM, Math.max(0.01, distanceM - NOSE_M), NOSE_M),
  };
};

/** Whether a source lights the side that the key leaves in shade, or both alike. */
export const isFill = (key: OnFace, other: OnFace): boolean =>
  Math.abs(other.asideDeg) <= FRONT_DEG ||
  Math.abs(key.asideDeg) <= FRONT_DEG ||
  Math.sign(other.asideDeg) !== Math.sign(key.asideDeg);

const sum = (parts: readonly OnFace[], of: (part: OnFace) => number): number =>
  parts.reduce((total, part) => total + of(part), 0);

/** What the light on a face comes to. @param parts of every source @param roomLux from the walls */
export const faceFigures = (
  parts: readonly OnFace[],
  roomLux: number,
): Pick<
  FaceLight,
  | 'roomLux'
  | 'lux'
  | 'leftLux'
  | 'rightLux'
  | 'hairLux'
  | 'key'
  | 'fillLux'
  | 'ratio'
  | 'ratioStops'
  | 'hairStops'
> => {
  const lit = parts.filter(({ lux }) => lux > 0);
  const key = lit.reduce<OnFace | null>(
    (most, part) => (most === null || part.lux > most.lux ? part : most),
    null,
  );
  const others = lit.filter((part) => part !== key);
  const fillLux =
    roomLux +
    (key
      ? sum(
          others.filter((part) => isFill(key, part)),
          ({ lux }) => lux,
        )
      : 0);
  const lux = roomLux + sum(lit, (part) => part.lux);
  const ratio = fillLux > 0 ? lux / fillLux : null;
  const hair = sum(parts, (part) => part.hairLux);
  return {
    roomLux,
    lux,
    leftLux: roomLux + sum(parts, ({ leftLux }) => leftLux),
    rightLux: roomLux + sum(parts, ({ rightLux }) => rightLux),
    hairLux: roomLux + hair,
    key,
    fillLux,
    ratio,
    ratioStops: ratio === null ? null : Math.log2(ratio),
    hairStops: key && hair > 0 ? stopsBetween(key.lux, hair) : null,
  };
};

const faceOf = (measured: Measured, personId: string, person: Person): FaceLight | null => {
  const eyes = eyesOf(person);
  if (!person.at || !eyes || person.where !== 'on site' || person.is !== 'person') return null;
  const { facingDeg } = person.at;
  const room = litRoom(measured);
  const parts = lightSources(measured).map((source) => onFace(source, eyes, facingDeg, room));
  return {
    personId,
    name: person.name,
    person,
    face: entry(measured.rig.faces, personId) ?? USUAL_FACE,
    eyes,
    facing: looking(facingDeg),
    parts,
    ...faceFigures(parts, fromRoom(measured)),
  };
};

/** Every face in the room, in the rig's order. */
export const faces = pass('faces', (measured): readonly FaceLight[] =>
  inOrder(measured.rig.people).flatMap(([id, person]) => faceOf(measured, id, person) ?? []),
);

/** The faces that somebody wants to see. */
export const seenFaces = pass('seen faces', (measured): readonly FaceLight[] =>
  faces(measured).filter(({ person }) => person.shot !== null),
);
