import { Box } from '@chakra-ui/react';
import { type Analysis, type Point, wallsOf } from '@echo-loom/core';
import { type Mark, marksOf, placeNames } from './marks';
import { type Drawn, WallLength } from './WallLength';

const MARGIN = 34;

interface Props {
  readonly analysis: Analysis;
  readonly widthPx?: number;
  readonly heightPx?: number;
}

/**
 * The walls of the room, and where people, microphones, loudspeakers and noises stand, to scale,
 * seen from above. The tables beside it hold the same figures.
 */
export const RoomPlan = ({ analysis, widthPx = 460, heightPx = 230 }: Props) => {
  const marks = marksOf(analysis);
  const corners = analysis.rig.shell?.corners ?? [];
  const points = [...corners, ...marks.map(({ at }) => at)];
  if (points.length === 0) return null;
  const [xs, ys] = [points.map(({ xM }) => xM), points.map(({ yM }) => yM)];
  const [left, bottom] = [Math.min(...xs), Math.min(...ys)];
  const perMetre = Math.min(
    (widthPx - 2 * MARGIN - 60) / Math.max(1, Math.max(...xs) - left),
    (heightPx - 2 * MARGIN) / Math.max(1, Math.max(...ys) - bottom),
  );
  const x = (at: Point): number => MARGIN + (at.xM - left) * perMetre;
  const y = (at: Point): number => heightPx - MARGIN - (at.yM - bottom) * perMetre;
  const drawn = corners.map((corner) => ({ x: x(corner), y: y(corner) }));
  const mean = (key: keyof Drawn): number =>
    drawn.reduce((sum, corner) => sum + corner[key], 0) / Math.max(1, drawn.length);
  const inside = { x: mean('x'), y: mean('y') };
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
  /** Where the line ends that shows which way somebody looks, or something sounds. */
  const noseOf = ({ at, facingDeg, kind }: Mark): Drawn | null => {
    if (facingDeg === null || kind === 'microphone') return null;
    const turn = (facingDeg * Math.PI) / 180;
    const length = kind === 'person' ? 18 : 10;
    return { x: x(at) + length * Math.sin(turn), y: y(at) - length * Math.cos(turn) };
  };
  const all =
    drawn.length > 0
      ? drawn
      : [
          { x: 0, y: 0 },
          { x: widthPx, y: heightPx },
        ];
  const places = placeNames(
    marks.map((mark) => ({ name: nameOf(mark), x: x(mark.at), y: y(mark.at), nose: noseOf(mark) })),
    {
      left: Math.min(...all.map((corner) => corner.x)),
      right: Math.max(...all.map((corner) => corner.x)),
      top: 0,
      bottom: heightPx,
    },
  );
  return (
    <Box
      asChild
      width="100%"
      maxW={`${widthPx}px`}
      borderWidth="1px"
      borderColor="rule"
      bg="paper.card"
      css={{
        '& text': { fontSize: '12px', fill: 'var(--chakra-colors-ink)' },
        '& .walls': {
          fill: 'none',
          stroke: 'var(--chakra-colors-ink)',
          strokeWidth: 2.5,
          strokeLinejoin: 'miter',
        },
        '& .length': { fontSize: '11px', fill: 'var(--chakra-colors-ink-soft)' },
        '& .arrow': { stroke: 'var(--chakra-colors-ink)', strokeWidth: 1.5 },
      }}
    >
      <svg
        viewBox={`0 0 ${widthPx} ${heightPx}`}
        role="img"
        aria-label={`Seen from above: ${marks
          .filter(({ kind }) => kind !== 'microphone')
          .map(({ name, at }) => `${name} at ${at.xM} by ${at.yM} m`)
          .join(', ')}`}
      >
        {corners.length > 0 && (
          <polygon
            className="walls"
            points={drawn.map((corner) => `${corner.x},${corner.y}`).join(' ')}
          />
        )}
        {wallsOf(corners).map(([a, b], index) => (
          <WallLength
            key={index}
            from={{ x: x(a), y: y(a) }}
            to={{ x: x(b), y: y(b) }}
            inside={inside}
            m={Math.hypot(b.xM - a.xM, b.yM - a.yM)}
          />
        ))}
        {marks.map((mark, index) => {
          const [cx, cy] = [x(mark.at), y(mark.at)];
          const nose = noseOf(mark);
          const place = places[index];
          return (
            <g key={mark.key}>
              {nose && <line className="arrow" x1={cx} y1={cy} x2={nose.x} y2={nose.y} />}
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
              {place && <text {...place}>{mark.name}</text>}
            </g>
          );
        })}
        <line
          className="arrow"
          x1={widthPx - MARGIN - scaleM * perMetre}
          x2={widthPx - MARGIN}
          y1={heightPx - 12}
          y2={heightPx - 12}
        />
        <text x={widthPx - MARGIN} y={heightPx - 17} textAnchor="end">
          {scaleM} m
        </text>
      </svg>
    </Box>
  );
};
