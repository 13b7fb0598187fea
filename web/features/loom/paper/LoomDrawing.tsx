import type { Analysis, Level } from '@echo-loom/core';
import { worstByItem, worstOf } from '../marks';
import type { LoomLayout, LoomNode, LoomStrand } from '@/layout/parts';
import { type Reading, readingText, stagesByLink } from '@/features/chosen/readings';
import { READING_WIDTH } from '@/layout/sizes';
import { pathOf } from '../thread-path';
import { LEVEL_SHAPES } from '@/ui/LevelMark';
import { barNames, linesOf } from './names';
import { ThreadLine } from './ThreadLine';

/** The chart as one drawing that stands by itself: for paper, and as a file. */

const FACE = "'Source Sans 3 Variable', 'Source Sans 3', sans-serif";
const FIGURES = "'Spline Sans Mono Variable', 'Spline Sans Mono', monospace";

const Mark = ({
  x,
  y,
  level,
}: {
  readonly x: number;
  readonly y: number;
  readonly level: Level;
}) => (
  <path
    d={LEVEL_SHAPES[level].path}
    transform={`translate(${x} ${y}) scale(0.95)`}
    fill={level === 'note' ? '#fff' : '#000'}
    stroke="#000"
    strokeWidth={level === 'note' ? 2.4 : 1}
  />
);

const Box = ({ node }: { readonly node: LoomNode }) => {
  const { x, y, width, height, shape, name, folds } = node;
  const isRound = shape === 'outlet' || shape === 'return';
  const label = folds ? `${folds} sources` : shape === 'return' ? `To ${name}` : name;
  const [middleX, middleY] = [x + width / 2, y + height / 2];
  const lines = linesOf(label);
  return (
    <>
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        rx={isRound ? 16 : 3}
        fill={shape === 'bar' ? '#eee' : '#fff'}
        stroke="#000"
        strokeDasharray={shape === 'return' ? '4 3' : undefined}
      />
      {shape === 'bar'
        ? barNames(node, label).map(({ at, text }) => (
            <text
              key={at}
              transform={`translate(${middleX + 4} ${at}) rotate(-90)`}
              textAnchor="middle"
              style={{ fontSize: 12, fontWeight: 600 }}
            >
              {text}
            </text>
          ))
        : lines.map((line, index) => (
            <text
              key={index}
              x={middleX}
              y={middleY + 4 + (index - (lines.length - 1) / 2) * 13}
              textAnchor="middle"
              style={{ fontSize: 11.5 }}
            >
              {line}
            </text>
          ))}
    </>
  );
};

interface Props {
  readonly analysis: Analysis;
  readonly layout: LoomLayout;
  readonly reading: Reading;
  readonly isBlack: boolean;
  /** Threads whose figure is written on this sheet; left out: all of them */
  readonly written?: ReadonlySet<string>;
}

/** Everything that stands on the chart, as marks of an SVG drawing. */
export const LoomDrawing = ({ analysis, layout, reading, isBlack, written }: Props) => {
  const worst = worstByItem(analysis);
  const stages = stagesByLink(analysis);
  const textOf = ({ linkId, linkIds }: LoomStrand) =>
    linkIds.length > 1
      ? `${linkIds.length} ×`
      : readingText(analysis, reading, linkId, stages.get(linkId) ?? []);
  const straight = layout.strands.filter(({ bridges }) => bridges.length === 0);
  const bridging = layout.strands.filter(({ bridges }) => bridges.length > 0);
  const line = (strand: LoomStrand) => (
    <ThreadLine key={strand.linkId} d={pathOf(strand)} family={strand.family} isBlack={isBlack} />
  );
  return (
    <g style={{ fontFamily: FACE }} fill="#000">
      {layout.columns.map(
        ({ title, x }) =>
          title && (
            <text key={x} x={x} y={18} style={{ fontSize: 13 }}>
              {title}
            </text>
          ),
      )}
      {layout.groups.map(({ id, name, y, folded, size }) => (
        <g key={id}>
          <text x={14} y={y + 19} style={{ fontSize: 12, fontWeight: 600 }}>
            {name.toUpperCase()}
            {folded ? ` (${size})` : ''}
          </text>
          <line x1={14} x2={layout.width - 14} y1={y + 26} y2={y + 26} stroke="#999" />
        </g>
      ))}
      {straight.map(line)}
      {layout.nodes.map((node) => (
        <Box key={node.key} node={node} />
      ))}
      {bridging.map(line)}
      {layout.strands.map((strand) => {
        if (written && !written.has(strand.linkId)) return null;
        const text = textOf(strand);
        const [x, y] = [strand.x1 + 4 + READING_WIDTH / 2, strand.y1];
        return (
          text && (
            <g key={strand.linkId}>
              <rect
                x={x - READING_WIDTH / 2}
                y={y - 9}
                width={READING_WIDTH}
                height={18}
                rx={9}
                fill="#fff"
                stroke="#777"
              />
              <text
                data-reading={strand.linkId}
                x={x}
                y={y + 4}
                textAnchor="middle"
                style={{ fontSize: text.length > 7 ? 9 : 11, fontFamily: FIGURES }}
              >
                {text}
              </text>
            </g>
          )
        );
      })}
      {layout.nodes.map((node) => {
        const level = worstOf(
          (node.members ?? [node.deviceId]).map((id) => worst.get(`device:${id}`)),
        );
        return (
          level &&
          node.shape !== 'return' && (
            <Mark key={node.key} x={node.x + node.width - 9} y={node.y - 7} level={level} />
          )
        );
      })}
      {layout.strands.map((strand) => {
        const level = worstOf(strand.linkIds.map((id) => worst.get(`link:${id}`)));
        return (
          level && (
            <Mark
              key={strand.linkId}
              x={strand.x1 + READING_WIDTH - 2}
              y={strand.y1 - 17}
              level={level}
            />
          )
        );
      })}
    </g>
  );
};
