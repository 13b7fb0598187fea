import { Box } from '@chakra-ui/react';
import { inOrder, microphonesInRoom, type Analysis, type Point } from '@echo-loom/core';

/** Something on the plan. */
interface Mark {
  readonly key: string;
  readonly name: string;
  readonly at: Point;
  readonly facingDeg: number | null;
  readonly kind: 'person' | 'noise' | 'microphone' | 'loudspeaker';
}

const marksOf = (analysis: Analysis): Mark[] => {
  const { people, noises, devices } = analysis.rig;
  return [
    ...microphonesInRoom(analysis).flatMap(({ node, spot }): Mark[] =>
      spot
        ? [
            {
              key: `mic ${node.index}`,
              name: analysis.device(node.device).name,
              at: spot,
              facingDeg: spot.facingDeg,
              kind: 'microphone',
            },
          ]
        : [],
    ),
    ...inOrder(noises).flatMap(([id, { name, at, runs }]): Mark[] =>
      at && runs ? [{ key: `noise ${id}`, name, at, facingDeg: null, kind: 'noise' }] : [],
    ),
    ...Object.entries(devices).flatMap(([id, { name, at, model }]): Mark[] =>
      at && model.kind === 'loudspeaker'
        ? [{ key: `speaker ${id}`, name, at, facingDeg: at.facingDeg, kind: 'loudspeaker' }]
        : [],
    ),
    ...inOrder(people).flatMap(([id, { name, at }]): Mark[] =>
      at ? [{ key: `person ${id}`, name, at, facingDeg: at.facingDeg, kind: 'person' }] : [],
    ),
  ];
};

const WIDTH = 460;
const HEIGHT = 230;
const MARGIN = 34;

/**
 * Where people, microphones, loudspeakers and noises stand, to scale, seen from above. The tables
 * beside it hold the same figures.
 */
export const RoomPlan = ({ analysis }: { readonly analysis: Analysis }) => {
  const marks = marksOf(analysis);
  if (marks.length === 0) return null;
  const [xs, ys] = [marks.map(({ at }) => at.xM), marks.map(({ at }) => at.yM)];
  const [left, bottom] = [Math.min(...xs), Math.min(...ys)];
  const perMetre = Math.min(
    (WIDTH - 2 * MARGIN - 60) / Math.max(1, Math.max(...xs) - left),
    (HEIGHT - 2 * MARGIN) / Math.max(1, Math.max(...ys) - bottom),
  );
  const x = (at: Point): number => MARGIN + (at.xM - left) * perMetre;
  const y = (at: Point): number => HEIGHT - MARGIN - (at.yM - bottom) * perMetre;
  const scaleM = [0.5, 1, 2, 5, 10, 20].find((metres) => metres * perMetre > 50) ?? 50;
  const nameOf = ({ name, kind, at }: Mark): string | null =>
    kind === 'microphone' &&
    marks.some(
      (other) =>
        other.kind === 'person' &&
        Math.hypot(other.at.xM - at.xM, other.at.yM - at.yM) * perMetre < 40,
    )
      ? null
      : name;
  return (
    <Box
      asChild
      width="100%"
      maxW="460px"
      borderWidth="1px"
      borderColor="rule"
      bg="paper.card"
      css={{
        '& text': { fontSize: '12px', fill: 'var(--chakra-colors-ink)' },
        '& .arrow': { stroke: 'var(--chakra-colors-ink)', strokeWidth: 1.5 },
      }}
    >
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`Seen from above: ${marks
          .filter(({ kind }) => kind !== 'microphone')
          .map(({ name, at }) => `${name} at ${at.xM} by ${at.yM} m`)
          .join(', ')}`}
      >
        {marks.map((mark) => {
          const [cx, cy] = [x(mark.at), y(mark.at)];
          const turn = ((mark.facingDeg ?? 0) * Math.PI) / 180;
          const length = mark.kind === 'person' ? 18 : 10;
          const name = nameOf(mark);
          // A name goes to the left where something stands in its way to the right, and below where
          // there is no room either.
          const isCrossed =
            name !== null &&
            marks.some(
              (other) =>
                other.key !== mark.key &&
                other.kind !== 'microphone' &&
                Math.abs(y(other.at) - cy) < 13 &&
                x(other.at) > cx &&
                x(other.at) - cx < 12 + 7 * name.length,
            );
          const placed = !isCrossed
            ? ({ x: cx + 11, y: cy + 4 } as const)
            : cx > 7 * (name?.length ?? 0)
              ? ({ x: cx - 11, y: cy + 4, textAnchor: 'end' } as const)
              : ({ x: Math.max(4, cx - 30), y: cy + 21 } as const);
          return (
            <g key={mark.key}>
              {mark.facingDeg !== null && mark.kind !== 'microphone' && (
                <line
                  className="arrow"
                  x1={cx}
                  y1={cy}
                  x2={cx + length * Math.sin(turn)}
                  y2={cy - length * Math.cos(turn)}
                />
              )}
              {mark.kind === 'person' && (
                <circle cx={cx} cy={cy} r="7" fill="var(--chakra-colors-thread-analogue)" />
              )}
              {mark.kind === 'noise' && (
                <rect
                  x={cx - 6}
                  y={cy - 6}
                  width="12"
                  height="12"
                  fill="var(--chakra-colors-thread-picture)"
                />
              )}
              {mark.kind === 'loudspeaker' && (
                <path
                  d={`M${cx} ${cy - 8}L${cx + 8} ${cy + 6}L${cx - 8} ${cy + 6}Z`}
                  fill="var(--chakra-colors-level-stop)"
                />
              )}
              {mark.kind === 'microphone' && (
                <circle
                  cx={cx}
                  cy={cy}
                  r="3.5"
                  fill="none"
                  stroke="var(--chakra-colors-ink)"
                  strokeWidth="1.5"
                />
              )}
              {name !== null && <text {...placed}>{name}</text>}
            </g>
          );
        })}
        <line
          className="arrow"
          x1={WIDTH - MARGIN - scaleM * perMetre}
          x2={WIDTH - MARGIN}
          y1={HEIGHT - 12}
          y2={HEIGHT - 12}
        />
        <text x={WIDTH - MARGIN} y={HEIGHT - 17} textAnchor="end">
          {scaleM} m
        </text>
      </svg>
    </Box>
  );
};
