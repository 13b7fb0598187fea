import { Box } from '@chakra-ui/react';
import { type Analysis, deskThings, type Loaded } from '@echo-loom/core';
import { useMemo } from 'react';
import { type NamePlace, placeNames } from '@/features/room/marks';

const WIDTH_PX = 560;
const MARGIN_PX = 40;

interface Props {
  readonly analysis: Analysis;
  readonly desk: Loaded;
}

/** Width of a letter of the drawing’s names. @unit px */
const LETTER_PX = 5.8;

interface Drawn {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** A name stands in what it names where that is wide enough, and else beside it. */
const namesOf = (things: readonly Drawn[], heightPx: number): readonly (NamePlace | null)[] => {
  const isWide = ({ name, widthPx }: Drawn): boolean => name.length * LETTER_PX < widthPx;
  const beside = placeNames(
    things.map((thing) => ({
      name: isWide(thing) ? null : thing.name,
      x: thing.x,
      y: thing.y,
      nose: null,
      radiusPx: thing.heightPx / 2,
    })),
    { left: 0, right: WIDTH_PX, top: 0, bottom: heightPx },
  );
  return things.map((thing, index) =>
    isWide(thing) ? { x: thing.x, y: thing.y + 4, textAnchor: 'middle' } : (beside[index] ?? null),
  );
};

const Name = ({ named, at }: { readonly named: string; readonly at: NamePlace | null }) =>
  at && <text {...at}>{named}</text>;

/** One desk from above, as who sits at it sees it: the front is below. */
export const DeskDrawing = ({ analysis, desk }: Props) => {
  const { figures } = desk.support;
  const of = useMemo(() => deskThings(analysis, desk.id), [analysis, desk.id]);
  if (figures.is !== 'desk') return null;
  const scale = (WIDTH_PX - 2 * MARGIN_PX) / Math.max(figures.widthM, figures.depthM * 1.8);
  const heightPx = figures.depthM * scale + 2 * MARGIN_PX + 24;
  const [middleX, middleY] = [WIDTH_PX / 2, MARGIN_PX + (figures.depthM * scale) / 2];
  const x = (xM: number): number => middleX + xM * scale;
  const y = (yM: number): number => middleY - yM * scale;
  const names = namesOf(
    of.things.map(({ name, corners, middle }) => {
      const [xs, ys] = [corners.map(({ xM }) => x(xM)), corners.map(({ yM }) => y(yM))];
      return {
        name,
        x: x(middle.xM),
        y: y(middle.yM),
        widthPx: Math.max(...xs) - Math.min(...xs),
        heightPx: Math.max(...ys) - Math.min(...ys),
      };
    }),
    heightPx,
  );
  return (
    <Box
      asChild
      width="100%"
      borderWidth="1px"
      borderColor="rule"
      bg="paper.card"
      css={{
        '& text': { fontSize: '11px', fill: 'var(--chakra-colors-ink)' },
        '& .top': {
          fill: 'var(--chakra-colors-paper-deep)',
          stroke: 'var(--chakra-colors-ink)',
          strokeWidth: 1.5,
        },
        '& .thing': { fill: 'var(--chakra-colors-paper-card)', stroke: 'var(--chakra-colors-ink)' },
        '& .seat': { fill: 'none', stroke: 'var(--chakra-colors-ink)', strokeWidth: 2 },
        '& .reach': {
          fill: 'none',
          stroke: 'var(--chakra-colors-ink-soft)',
          strokeDasharray: '3 4',
        },
        '& .hears': {
          fill: 'none',
          stroke: 'var(--chakra-colors-thread-analogue)',
          strokeWidth: 1.5,
        },
      }}
    >
      <svg
        viewBox={`0 0 ${WIDTH_PX} ${heightPx}`}
        role="img"
        aria-label={`${desk.support.name} from above: ${of.things.map(({ name }) => name).join(', ') || 'empty'}`}
      >
        <rect
          className="top"
          x={x(-figures.widthM / 2)}
          y={y(figures.depthM / 2)}
          width={figures.widthM * scale}
          height={figures.depthM * scale}
        />
        {of.seats.map(({ name, at }) => (
          <g key={name}>
            <circle className="reach" cx={x(at.xM)} cy={y(at.yM)} r={0.5 * scale} />
            <circle className="reach" cx={x(at.xM)} cy={y(at.yM)} r={0.7 * scale} />
            <circle className="seat" cx={x(at.xM)} cy={y(at.yM)} r="8" />
            <text x={x(at.xM) + 12} y={y(at.yM) + 4}>
              {name}
            </text>
          </g>
        ))}
        {of.things.map(({ id, corners }, index) => (
          <g key={id}>
            <polygon
              className="thing"
              points={corners.map(({ xM, yM }) => `${x(xM)},${y(yM)}`).join(' ')}
            />
            <Name named={of.things[index]?.name ?? ''} at={names[index] ?? null} />
          </g>
        ))}
        {of.microphones.map((at, index) => (
          <circle key={index} className="hears" cx={x(at.xM)} cy={y(at.yM)} r="4" />
        ))}
      </svg>
    </Box>
  );
};
