import type { Analysis } from '@echo-loom/core';
import { layOut } from './layout';

/** A small picture of a rig, its loom without words: paths, by what runs in them. */
export interface SmallPicture {
  readonly width: number;
  readonly height: number;
  readonly picture: string;
  readonly analogue: string;
  readonly data: string;
  readonly devices: string;
}

/** Most shapes drawn in a small picture. */
const SHOWN = 160;
const NOTHING_FOLDED: ReadonlySet<string> = new Set();

export const smallPicture = (analysis: Analysis): SmallPicture => {
  const { strands, nodes, width, height } = layOut(analysis, null, NOTHING_FOLDED);
  const paths = (is: (family: string) => boolean): string =>
    strands
      .slice(0, SHOWN)
      .filter(({ family }) => is(family))
      .map(({ x1, y1, bendX, x2, y2 }) => `M${x1} ${y1}H${bendX}L${x2} ${y2}`)
      .join('');
  return {
    width: Math.max(width, 500),
    height: Math.max(height - 20, 220),
    picture: paths((family) => family === 'picture'),
    analogue: paths((family) => family === 'analogue'),
    data: paths((family) => family !== 'picture' && family !== 'analogue'),
    devices: nodes
      .slice(0, SHOWN)
      .map(({ x, y, width: w, height: h }) => `M${x} ${y}h${w}v${h}h${-w}z`)
      .join(''),
  };
};
