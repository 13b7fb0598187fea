import type { OnDesk } from '../../passes/place';
import type { Point } from '../../rig';

/** The desk's own axes: along it to the right, and away from who sits at it. */
export interface OwnAxes {
  readonly to: (point: Point) => Point;
  readonly halfM: { readonly xM: number; readonly yM: number };
}

export const axesOf = ({ support, desk }: OnDesk): OwnAxes => {
  const at = support.at ?? { xM: 0, yM: 0, facingDeg: 0 };
  const turn = (at.facingDeg * Math.PI) / 180;
  return {
    to: ({ xM, yM }) => {
      const [dx, dy] = [xM - at.xM, yM - at.yM];
      return {
        xM: dx * Math.cos(turn) - dy * Math.sin(turn),
        yM: dx * Math.sin(turn) + dy * Math.cos(turn),
      };
    },
    halfM: { xM: desk.widthM / 2, yM: desk.depthM / 2 },
  };
};
