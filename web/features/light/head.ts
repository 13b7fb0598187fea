import type { FaceLight, LightSource, OnFace } from '@echo-loom/core';
import { type Shares, shareOf } from './shares';
import { toneOf } from './tones';

/** A head as a camera sees it, shaded by the light that falls on it: arithmetic, not a picture. */

type Vector = readonly [number, number, number];

const RADIANS = Math.PI / 180;

/** The size of a head in points. */
export const HEAD_WIDTH = 48;
export const HEAD_HEIGHT = 60;

const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** A direction seen from the head: to the right of the picture, up, towards the camera. */
const seenBy = (asideDeg: number, aboveDeg: number): Vector => [
  // The camera looks back at the face: what stands to the wearer's right stands left in its picture.
  -Math.sin(asideDeg * RADIANS) * Math.cos(aboveDeg * RADIANS),
  Math.sin(aboveDeg * RADIANS),
  Math.cos(asideDeg * RADIANS) * Math.cos(aboveDeg * RADIANS),
];

/** A nose and brows, as the way the surface is tipped. @param turn where the face looks in the picture */
const tipped = (x: number, y: number, z: number, turn: number): Vector => {
  const across = x - 0.85 * Math.sin(turn);
  const onNose = Math.exp(-((across / 0.16) ** 2) - ((y + 0.02) / 0.3) ** 2);
  const onBrow = Math.exp(-((across / 0.55) ** 2) - ((y - 0.22) / 0.09) ** 2);
  const normal: Vector = [
    x + 1.1 * onNose * Math.sign(across) * Math.min(1, Math.abs(across) / 0.1),
    y - 0.9 * onBrow - 0.4 * onNose * (y < -0.1 ? 1 : 0),
    z,
  ];
  const length = Math.hypot(...normal);
  return [normal[0] / length, normal[1] / length, normal[2] / length];
};

interface Lit {
  readonly towards: Vector;
  /** On a plane that looks at it. @unit lux */
  readonly lux: number;
  /** A large source reaches round the corner */
  readonly wrap: number;
}

/** The source's light on a plane that looks at it, from what it gives on the plane of the face or of a cheek. */
const meetingLux = (part: OnFace, share: number): number => {
  const best = Math.max(part.full.lux, part.full.leftLux, part.full.rightLux, part.full.hairLux);
  if (best === 0) return 0;
  const facing = Math.cos(part.incidenceDeg * RADIANS);
  return facing > 0.3 ? (share * part.full.lux) / facing : share * best;
};

const lightsOf = (face: FaceLight, lensAsideDeg: number, shares: Shares): Lit[] =>
  face.parts.flatMap((part) => {
    const source: LightSource = part.source;
    const lux = meetingLux(part, shareOf(source, shares));
    return lux > 0
      ? [
          {
            towards: seenBy(part.asideDeg - lensAsideDeg, part.aboveDeg),
            lux,
            wrap: 0.6 * Math.sin(Math.min(60, part.seenDeg / 2) * RADIANS),
          },
        ]
      : [];
  });

/** What of the head shows at a point. */
const surfaceAt = (x: number, y: number): 'skin' | 'hair' | null => {
  const wide = 0.86;
  if ((x / wide) ** 2 + y ** 2 > 1) return null;
  return y > 0.52 - 0.25 * (x / wide) ** 2 || (Math.abs(x) > 0.74 * wide && y > -0.1)
    ? 'hair'
    : 'skin';
};

/** Skin that comes out as skin. */
const AS_SKIN = 0.35;

/** A point of the head that shows. */
interface Point {
  readonly at: number;
  readonly isSkin: boolean;
  readonly lux: number;
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

/** The light on each point of the head that the camera sees. */
const litPoints = (
  face: FaceLight,
  lensAsideDeg: number,
  roomLux: number,
  shares: Shares,
): Point[] => {
  const points: Point[] = [];
  const lights = lightsOf(face, lensAsideDeg, shares);
  const turn = lensAsideDeg * RADIANS;
  for (let row = 0; row < HEAD_HEIGHT; row++)
    for (let column = 0; column < HEAD_WIDTH; column++) {
      const x = (2 * (column + 0.5)) / HEAD_WIDTH - 1;
      const y = 1 - (2 * (row + 0.5)) / HEAD_HEIGHT;
      const what = surfaceAt(x, y);
      if (!what) continue;
      const z = Math.sqrt(Math.max(0, 1 - (x / 0.86) ** 2 - y ** 2));
      const normal = what === 'skin' ? tipped(x, y, z, turn) : ([x, y, z] as const);
      let lux = roomLux;
      for (const { towards, lux: given, wrap } of lights)
        lux += given * Math.max(0, (dot(normal, towards) + wrap) / (1 + wrap));
      points.push({ at: 4 * (row * HEAD_WIDTH + column), isSkin: what === 'skin', lux });
    }
  return points;
};

/**
 * The head as greys, row by row from above; 255 levels, and the share of it that shows.
 * @param neededLux what the camera needs; null where it sets itself, or nobody has set it: then the skin it
 * sees comes out as skin
 * @param lensAsideDeg where the lens stands, to the right of the face
 */
export const shadedHead = (
  face: FaceLight,
  lensAsideDeg: number,
  neededLux: number | null,
  roomLux: number,
  shares: Shares,
): Uint8ClampedArray => {
  const pixels = new Uint8ClampedArray(HEAD_WIDTH * HEAD_HEIGHT * 4);
  const { skinReflects, hairReflects } = face.face;
  const points = litPoints(face, lensAsideDeg, roomLux, shares);
  const onSkin = mean(points.filter(({ isSkin }) => isSkin).map(({ lux }) => lux));
  const needed = neededLux ?? (Math.max(1, onSkin) * skinReflects) / AS_SKIN;
  for (const { at, isSkin, lux } of points) {
    pixels.fill(255 * toneOf(lux * (isSkin ? skinReflects : hairReflects), needed), at, at + 3);
    pixels[at + 3] = 255;
  }
  return pixels;
};

/** Where the eyes are in the picture of a head, from its middle, in half its width and half its height. */
export const eyesAt = (
  lensAsideDeg: number,
): readonly { readonly x: number; readonly y: number; readonly turned: number }[] =>
  [-1, 1].flatMap((side) => {
    // An eye sits 24° beside the nose; round the corner it is not seen.
    const turned = lensAsideDeg + side * 24;
    return Math.abs(turned) > 80 ? [] : [{ x: 0.86 * Math.sin(turned * RADIANS), y: 0.1, turned }];
  });
