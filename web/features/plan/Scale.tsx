import type { Plane, Units } from './plane';

const STEPS = { m: [0.25, 0.5, 1, 2, 5, 10], ft: [1, 2, 5, 10, 20, 50] } as const;
const METRES = { m: 1, ft: 0.3048 } as const;

/** How long a metre is on the drawing. */
export const Scale = ({ plane, units }: { readonly plane: Plane; readonly units: Units }) => {
  const metre = METRES[units] * plane.pxPerM;
  const length = STEPS[units].find((step) => step * metre > 60) ?? 10;
  const right = plane.widthPx - 16;
  const bottom = plane.heightPx - 14;
  return (
    <g aria-hidden>
      <line className="scale" x1={right - length * metre} x2={right} y1={bottom} y2={bottom} />
      <text className="distance" x={right} y={bottom - 5} textAnchor="end">
        {length} {units}
      </text>
    </g>
  );
};
