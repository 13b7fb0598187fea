import { nameOfThing } from '../names';
import { type Framing, framingById, framings } from '../framing';
import {
  type FaceLight,
  faces,
  fromRoom,
  type Glint,
  glintOf,
  isGlare,
  isLit,
  type LitBackdrop,
  backdropsLit,
  lightSources,
  luxOf,
  type OnFace,
  sharesAt,
  litRoom,
} from '../light';
import type { Measured } from '../measured';
import { pass, passFor } from '../pass';
import { along, dot, fromTo, type InRoom, looking, unit, type Vector } from '../place';
import { pointInPicture, type View, viewById } from '../view';

/** What cameras make of the light: each shot's face, background, brightest and darkest. */

/** What is behind the subject of a shot, as the lens sees it. */
export interface Behind {
  readonly at: InRoom;
  /** The backdrop that is hit; null where it is the wall of the room or furniture */
  readonly backdrop: LitBackdrop | null;
  readonly name: string;
  readonly lux: number;
  readonly reflects: number;
}

/** Something in a picture, by how bright it is. */
export interface Tone {
  readonly what: 'face' | 'clothes' | 'hair' | 'background' | 'lamp' | 'window';
  /** Of the person, the backdrop or the window; null for a wall */
  readonly id: string | null;
  readonly name: string;
  /** Against a middle grey that is exposed rightly. @unit stops */
  readonly stops: number;
}

/** A lamp that shows in the picture. */
export interface InPictureLamp {
  readonly sourceId: string;
  readonly name: string;
  readonly x: number;
  readonly y: number;
}

/** A shot as it is exposed. */
export interface Exposed {
  readonly shotId: string;
  readonly framing: Framing;
  readonly view: View | null;
  /** Faces of those who are meant */
  readonly faces: readonly FaceLight[];
  readonly lux: number | null;
  /** @unit stops; null where the exposure is unknown, or the light */
  readonly stopsOver: number | null;
  readonly behind: Behind | null;
  /** The face over what is behind it, as they send light back. @unit stops */
  readonly separationStops: number | null;
  /** From bright to dark; empty where the exposure is unknown */
  readonly tones: readonly Tone[];
  readonly glints: readonly {
    readonly face: FaceLight;
    readonly part: OnFace;
    readonly glint: Glint;
  }[];
  readonly lamps: readonly InPictureLamp[];
}

/** Middle grey sends back so much. */
export const GREY = 0.18;
/**
 * Above middle grey a picture of 8 bits clips, and below it crawls; typical of cameras that hand on a
 * finished picture. @unit stops
 */
export const SENSOR_STOPS = { over: 3, under: 6 } as const;

/** Walls of rooms nobody has said more of. Typical. */
const WALL_REFLECTS = 0.5;

/** The backdrop that a ray meets first. @returns null where it meets none */
const meets = (
  backdrops: readonly LitBackdrop[],
  from: InRoom,
  towards: Vector,
): { readonly lit: LitBackdrop; readonly at: InRoom; readonly farM: number } | null => {
  const hits = backdrops.flatMap((lit) => {
    const { is, at, widthM, heightM, bottomM } = lit.backdrop;
    if (is === 'area') return [];
    const normal = looking(at.facingDeg);
    const middle: InRoom = { xM: at.xM, yM: at.yM, zM: bottomM + heightM / 2 };
    const pace = dot(towards, normal);
    if (pace >= 0) return [];
    const farM = dot(fromTo(from, middle), normal) / pace;
    if (farM <= 0) return [];
    const hit = along(from, towards, farM);
    const off = fromTo(middle, hit);
    const right = looking(at.facingDeg + 90);
    return Math.abs(dot(off, right)) <= widthM / 2 && Math.abs(off[2]) <= heightM / 2
      ? [{ lit, at: hit, farM }]
      : [];
  });
  return hits.sort((a, b) => a.farM - b.farM)[0] ?? null;
};

/** What is straight behind the subject of a view, a little beside the head. */
const behindOf = (measured: Measured, { camera, onPlan, framing }: View): Behind | null => {
  const { subject } = onPlan;
  if (!subject) return null;
  const ray = unit(fromTo(camera.at, subject));
  const hit = meets(backdropsLit(measured), subject, ray);
  const room = fromRoom(measured);
  if (hit) {
    const { backdrop } = hit.lit;
    const shares = sharesAt(lightSources(measured), hit.at, looking(backdrop.at.facingDeg));
    return {
      at: hit.at,
      backdrop: hit.lit,
      name: backdrop.name,
      lux: room + luxOf(shares),
      reflects: backdrop.reflects,
    };
  }
  const { backgroundM } = framing.shot;
  if (backgroundM === null) return null;
  const at = along(subject, ray, backgroundM);
  const normal = unit([-ray[0], -ray[1], 0]);
  return {
    at,
    backdrop: null,
    name: 'the wall behind',
    lux: room + luxOf(sharesAt(lightSources(measured), at, normal)),
    reflects: litRoom(measured) ? WALL_REFLECTS : GREY,
  };
};

const toneOf = (
  { what, id, name }: Pick<Tone, 'what' | 'id' | 'name'>,
  sentBack: number,
  neededLux: number,
): Tone[] =>
  sentBack > 0 ? [{ what, id, name, stops: Math.log2(sentBack / (GREY * neededLux)) }] : [];

/** Fixtures that are meant to be seen. */
const MEANT: ReadonlySet<string> = new Set(['practical', 'strip']);

const lampsIn = (measured: Measured, view: View): InPictureLamp[] =>
  lightSources(measured).flatMap((source) => {
    if (source.of !== 'lamp' || MEANT.has(source.figures?.is ?? '')) return [];
    const point = pointInPicture(view.camera, source.at);
    const halfAcross = source.widthM / 2 / view.camera.halfWidth;
    const halfUp = source.heightM / 2 / view.camera.halfHeight;
    const farM = dot(fromTo(view.camera.at, source.at), view.camera.forward);
    if (!point || farM <= 0) return [];
    return Math.abs(point.x) - halfAcross / farM < 1 && Math.abs(point.y) - halfUp / farM < 1
      ? [{ sourceId: source.id, name: nameOfThing(measured, source), x: point.x, y: point.y }]
      : [];
  });

const windowsIn = (measured: Measured, view: View, neededLux: number): Tone[] =>
  lightSources(measured).flatMap((source) => {
    if (source.of !== 'window') return [];
    const point = pointInPicture(view.camera, source.at);
    const shows = point && Math.abs(point.x) < 1 && Math.abs(point.y) < 1;
    const shine = (Math.PI * source.luxAt1m) / (source.widthM * source.heightM);
    return shows
      ? toneOf(
          { what: 'window', id: source.id, name: nameOfThing(measured, source) },
          shine,
          neededLux,
        )
      : [];
  });

const tonesOf = (
  measured: Measured,
  framing: Framing,
  view: View | null,
  shown: readonly FaceLight[],
  behind: Behind | null,
): Tone[] => {
  const needed = framing.lightNeededLux;
  if (needed === null || framing.exposure !== 'set') return [];
  return [
    ...shown.flatMap(({ personId: id, name, face, lux, hairLux }) => [
      ...toneOf({ what: 'face', id, name }, lux * face.skinReflects, needed),
      ...toneOf(
        { what: 'clothes', id, name: `${name}’s clothes` },
        lux * face.clothesReflect,
        needed,
      ),
      ...toneOf(
        { what: 'hair', id, name: `${name}’s hair` },
        Math.max(lux, hairLux) * face.hairReflects,
        needed,
      ),
    ]),
    ...(behind
      ? toneOf(
          { what: 'background', id: behind.backdrop?.id ?? null, name: behind.name },
          behind.lux * behind.reflects,
          needed,
        )
      : []),
    ...(view ? windowsIn(measured, view, needed) : []),
  ].sort((a, b) => b.stops - a.stops);
};

const glintsOf = (shown: readonly FaceLight[], view: View | null): Exposed['glints'] =>
  view === null
    ? []
    : shown.flatMap((face) =>
        face.person.wearsGlasses
          ? face.parts.flatMap((part) => {
              const glint = glintOf(face, part, view.camera.at);
              return isGlare(glint) ? [{ face, part, glint }] : [];
            })
          : [],
      );

const exposedOf = (measured: Measured, framing: Framing): Exposed => {
  const view = viewById(measured, framing.shotId);
  const ids = view?.onPlan.isOfPeople
    ? view.onPlan.peopleIds
    : framing.shot.personId !== null && framing.shot.sightId === null
      ? [framing.shot.personId]
      : [];
  const shown = faces(measured).filter(({ personId }) => ids.includes(personId));
  const behind = view?.onPlan.isOfPeople && isLit(measured) ? behindOf(measured, view) : null;
  const [first] = shown;
  const faceSends = shown.reduce((sum, { lux, face }) => sum + lux * face.skinReflects, 0);
  const separation =
    first && behind && behind.lux > 0 && behind.reflects > 0 && faceSends > 0
      ? Math.log2(faceSends / shown.length / (behind.lux * behind.reflects))
      : null;
  return {
    shotId: framing.shotId,
    framing,
    view,
    faces: shown,
    lux: framing.shot.lightLux,
    stopsOver: framing.stopsOver,
    behind,
    separationStops: separation,
    tones: tonesOf(measured, framing, view, shown, behind),
    glints: glintsOf(shown, view),
    lamps: view ? lampsIn(measured, view) : [],
  };
};

/** Every shot of the rig as it is exposed, in their order. */
export const exposures = pass('exposures', (measured): readonly Exposed[] =>
  framings(measured).flatMap(({ shotId }) => exposedById(measured, shotId) ?? []),
);

const exposedById = passFor('exposure', (measured, shotId: string): Exposed | null => {
  const framing = framingById(measured, shotId);
  return framing && exposedOf(measured, framing);
});

/** On which side of a face its lens stands. @returns degrees to the right of where they look; null unknown */
export const lensAsideDeg = (exposed: Exposed, face: FaceLight): number | null => {
  if (!exposed.view) return null;
  const towards = fromTo(face.eyes, exposed.view.camera.at);
  const facing = face.person.at?.facingDeg ?? 0;
  const right = looking(facing + 90);
  const ahead = looking(facing);
  return (Math.atan2(dot(towards, right), dot(towards, ahead)) * 180) / Math.PI;
};
