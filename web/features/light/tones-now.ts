import {
  type Analysis,
  type Exposed,
  exposures,
  type LightSource,
  litRoom,
  roomLuxOf,
  type Tone,
  withShares,
} from '@echo-loom/core';
import type { Shares } from './shares';

/** What a camera makes of the light with dimmers as they are dragged. */

/** What lies behind, with dimmers as they are dragged. */
const behindStops = (
  analysis: Analysis,
  { behind, tones }: Exposed,
  shares: Shares,
): number | null => {
  const tone = tones.find(({ what }) => what === 'background');
  if (!behind || !tone) return null;
  const room = litRoom(analysis);
  const lit = behind.backdrop;
  if (!lit) return tone.stops;
  const now = lit.points.reduce((sum, point) => {
    let lux = point.lux;
    for (const [id, share] of Object.entries(shares)) {
      const source = lightOf(analysis, id);
      if (source && share !== undefined)
        lux += (share - source.share) * ((point.full.get(id) ?? 0) + roomLuxOf(room, source));
    }
    return sum + lux / lit.points.length;
  }, 0);
  return tone.stops + Math.log2(Math.max(1e-6, now) / Math.max(1e-6, lit.meanLux));
};

/** A source by its id, among those that light a face. */
export const lightOf = (analysis: Analysis, id: string): LightSource | undefined =>
  exposures(analysis)
    .flatMap(({ faces }) => faces)
    .flatMap(({ parts }) => parts)
    .find(({ source }) => source.id === id)?.source;

/** Tones of what somebody’s own light falls on. */
const ON_FACES: ReadonlySet<Tone['what']> = new Set(['face', 'clothes', 'hair']);

/** Tones with dimmers as they are dragged. */
export const tonesNow = (analysis: Analysis, exposed: Exposed, shares: Shares): Tone[] => {
  const behind = behindStops(analysis, exposed, shares);
  return exposed.tones.map((tone) => {
    if (tone.what === 'background') return { ...tone, stops: behind ?? tone.stops };
    const face = ON_FACES.has(tone.what)
      ? exposed.faces.find(({ personId }) => personId === tone.id)
      : undefined;
    if (!face) return tone;
    const now = withShares(face, shares);
    return {
      ...tone,
      stops: tone.stops + Math.log2(Math.max(1e-6, now.lux) / Math.max(1e-6, face.lux)),
    };
  });
};

/** Stops over with dimmers as they are dragged. */
export const faceOver = ({ faces, stopsOver, lux }: Exposed, shares: Shares): number => {
  if (faces.length === 0 || stopsOver === null || !lux) return stopsOver ?? 0;
  const now = faces.reduce((sum, face) => sum + withShares(face, shares).lux, 0) / faces.length;
  const before = faces.reduce((sum, face) => sum + face.lux, 0) / faces.length;
  return stopsOver + Math.log2(Math.max(1e-6, now) / Math.max(1e-6, before));
};
