'use client';

import { Box } from '@chakra-ui/react';
import type { Analysis, DeviceNode } from '@echo-loom/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useRef, useState } from 'react';
import { ARROWS, isArrow, LEVEL_WORDS } from '@/features/loom/marks';
import type { Reading } from '@/features/chosen/readings';
import { LevelMark } from '@/ui/LevelMark';
import { arrivalText, type Matrix, speaking } from './matrix';
import styles from './matrix.module.css';

/** Sizes of the matrix. @unit px */
const ROW = 30;
const COLUMN = 114;
const NAMES = 168;
const HEAD = 68;

interface Props {
  readonly analysis: Analysis;
  readonly matrix: Matrix;
  readonly reading: Reading;
  readonly onPick: (source: DeviceNode, end: DeviceNode) => void;
}

const STEPS = { left: [0, -1], right: [0, 1], up: [-1, 0], down: [1, 0] } as const;

/** Sources down, destinations across; where one leads to the other stand the reading and the worst finding. */
export const PatchMatrix = ({ analysis, matrix, reading, onPick }: Props) => {
  const { sources, ends } = matrix;
  const scroll = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState<readonly [row: number, column: number]>([0, 0]);
  // The component is not memoized by the compiler, which the table needs no more than it does.
  // eslint-disable-next-line react-hooks/incompatible-library
  const rows = useVirtualizer({
    count: sources.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => ROW,
    overscan: 8,
  });
  const columns = useVirtualizer({
    horizontal: true,
    count: ends.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => COLUMN,
    overscan: 4,
  });
  const row = Math.min(at[0], sources.length - 1);
  const column = Math.min(at[1], ends.length - 1);

  const move = (event: KeyboardEvent) => {
    if (!isArrow(event.key) || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    const [down, right] = STEPS[ARROWS[event.key]];
    const next = [
      Math.min(Math.max(row + down, 0), sources.length - 1),
      Math.min(Math.max(column + right, 0), ends.length - 1),
    ] as const;
    setAt(next);
    rows.scrollToIndex(next[0]);
    columns.scrollToIndex(next[1]);
    requestAnimationFrame(() =>
      scroll.current?.querySelector<HTMLElement>(`[data-cell="${next.join(' ')}"]`)?.focus(),
    );
  };

  const nameOf = (node: DeviceNode) => analysis.device(node).name;
  const cell = (y: number, x: number) => {
    const [source, end] = [sources[y], ends[x]];
    if (!source || !end) return null;
    const crossing = matrix.at(source, end);
    const text = crossing ? arrivalText(analysis, speaking(crossing, reading), reading) : '';
    const many = crossing && crossing.threads.length > 1 ? `, ${crossing.threads.length} ways` : '';
    const level = crossing?.level ? `, ${LEVEL_WORDS[crossing.level]}` : '';
    return (
      <div
        key={x}
        role="gridcell"
        aria-colindex={x + 2}
        data-cell={`${y} ${x}`}
        tabIndex={y === row && x === column ? 0 : -1}
        className={crossing ? styles.cell : styles.empty}
        style={{ left: NAMES + x * COLUMN, width: COLUMN }}
        aria-label={`${nameOf(source)} to ${nameOf(end)}: ${crossing ? `${text}${many}${level}` : 'not connected'}`}
        onClick={() => {
          setAt([y, x]);
          if (crossing) onPick(source, end);
        }}
        onKeyDown={(event) => {
          if ((event.key !== 'Enter' && event.key !== ' ') || !crossing) return;
          event.preventDefault();
          onPick(source, end);
        }}
      >
        {crossing && (
          <>
            <span className={styles.text}>{text}</span>
            {crossing.threads.length > 1 && (
              <span className={styles.many}>×{crossing.threads.length}</span>
            )}
            {crossing.level && <LevelMark level={crossing.level} label="" size={11} />}
          </>
        )}
      </div>
    );
  };

  return (
    <Box
      ref={scroll}
      className={styles.scroll}
      role="grid"
      aria-label="Patch matrix: sources by destinations. Arrow keys walk, Enter shows the threads."
      aria-rowcount={sources.length + 1}
      aria-colcount={ends.length + 1}
      onKeyDown={move}
    >
      <div
        style={{
          width: NAMES + ends.length * COLUMN,
          height: HEAD + sources.length * ROW,
          position: 'relative',
        }}
      >
        <div role="row" aria-rowindex={1} className={styles.head} style={{ height: HEAD }}>
          <div role="columnheader" className={styles.corner} style={{ width: NAMES }}>
            From ↓ to →
          </div>
          {columns.getVirtualItems().map(({ index }) => {
            const end = ends[index];
            return (
              end && (
                <div
                  key={end.id}
                  role="columnheader"
                  aria-colindex={index + 2}
                  className={styles.end}
                  style={{ left: NAMES + index * COLUMN, width: COLUMN, height: HEAD }}
                >
                  <span>{nameOf(end)}</span>
                </div>
              )
            );
          })}
        </div>
        {rows.getVirtualItems().map(({ index }) => {
          const source = sources[index];
          return (
            source && (
              <div
                key={source.id}
                role="row"
                aria-rowindex={index + 2}
                className={styles.row}
                style={{ top: HEAD + index * ROW, height: ROW }}
              >
                <div role="rowheader" className={styles.source} style={{ width: NAMES }}>
                  {nameOf(source)}
                </div>
                {columns.getVirtualItems().map((item) => cell(index, item.index))}
              </div>
            )
          );
        })}
      </div>
    </Box>
  );
};
