'use client';

import type { Analysis } from '@echo-loom/core';
import { type KeyboardEvent, type RefObject, useCallback, useEffect, useMemo } from 'react';
import { usePointing } from '@/features/pointing/pointing';
import styles from './loom.module.css';
import { ChartTile, isStrandDim } from './ChartTile';
import { ARROWS, isArrow, keyOf, recordingDevices, worstByItem } from './marks';
import type { LoomLayout } from '@/layout/parts';
import { type Reading, stagesByLink } from '@/features/chosen/readings';
import type { Shown } from '@/layout/parts';
import { GroupNames } from './StickyNames';
import { Strands } from './Strands';
import { type Tile, tilesOf } from './tiles';
import { type Item, sameItem, useLoomView } from '@/features/chosen/view';
import { DRAW_ALL, meets, useAside, useWindow } from './visible';
import { walk } from './walk';

interface Props {
  readonly analysis: Analysis;
  readonly layout: LoomLayout;
  readonly reading: Reading;
  /** What stands on the chosen thread; null where none is chosen and nothing is dimmed */
  readonly lit: Shown | null;
  readonly scroll: RefObject<HTMLDivElement | null>;
  readonly onOpen: (item: Item) => void;
}

const elementOf = (scroll: HTMLElement | null, item: Item): HTMLElement | null =>
  scroll?.querySelector<HTMLElement>(`[data-item="${CSS.escape(keyOf(item))}"]`) ?? null;

/** The loom itself: pegs and bars in computed places, threads between them, a reading on each. */
export const LoomChart = ({ analysis, layout, reading, lit, scroll, onOpen }: Props) => {
  const selected = useLoomView((view) => view.selected);
  const select = useLoomView((view) => view.select);
  const toggleFold = useLoomView((view) => view.toggleFold);
  const zoom = useLoomView((view) => view.zoom);
  const isLarge = layout.nodes.length + layout.strands.length > DRAW_ALL;
  const seen = useWindow(scroll, isLarge, zoom);
  useAside(scroll);
  const joinings = usePointing((pointing) => pointing.joinings);
  const stages = useMemo(() => stagesByLink(analysis), [analysis]);
  const worst = useMemo(() => worstByItem(analysis), [analysis]);
  const recording = useMemo(() => recordingDevices(analysis), [analysis]);
  const [first] = layout.nodes;
  const focusable = selected ?? (first ? { kind: 'device' as const, id: first.deviceId } : null);

  useEffect(() => {
    if (selected)
      elementOf(scroll.current, selected)?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [selected, scroll]);

  const reach = useCallback(
    (item: Item) => {
      if (!sameItem(item, useLoomView.getState().selected)) select(item);
    },
    [select],
  );

  const move = (event: KeyboardEvent) => {
    if (!isArrow(event.key) || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    const next = focusable && walk(layout, focusable, ARROWS[event.key]);
    if (!next) return;
    select(next);
    requestAnimationFrame(() => elementOf(scroll.current, next)?.focus());
  };

  const tiles = useMemo(() => tilesOf(layout), [layout]);
  const shown = tiles.filter(({ left, top, right, bottom }) =>
    meets(seen, left, top, right, bottom),
  );
  const strands = layout.strands.filter((at) =>
    meets(seen, at.x1, Math.min(at.y1, at.y2), at.x2, Math.max(at.y1, at.y2)),
  );
  const inTile = ({ items }: Tile, item: Item | null) =>
    item && items.has(keyOf(item)) ? item : null;
  const threads = (layer: 'behind' | 'bridges') => (
    <Strands
      strands={strands}
      width={layout.width}
      height={layout.height}
      selectedLink={selected?.kind === 'link' ? selected.id : null}
      isDim={(strand) => isStrandDim(lit, strand)}
      layer={layer}
    />
  );

  return (
    <div
      ref={scroll}
      className={styles.scroll}
      onKeyDown={move}
      role="group"
      aria-label="Loom: threads from source to destination. Arrow keys walk along them."
    >
      <div
        className={styles.chart}
        style={{ width: layout.width, height: layout.height, minWidth: '100%', zoom }}
      >
        <GroupNames groups={layout.groups} width={layout.width} toggleFold={toggleFold} />
        <div className={styles.titles} style={{ width: layout.width, minWidth: '100%' }}>
          {layout.columns.map(
            (column) =>
              column.title && (
                <span key={column.x} className={styles.columnTitle} style={{ left: column.x }}>
                  {column.title}
                </span>
              ),
          )}
        </div>
        {threads('behind')}
        {shown.map((tile) => (
          <ChartTile
            key={tile.key}
            tile={tile}
            analysis={analysis}
            reading={reading}
            stages={stages}
            worst={worst}
            recording={recording}
            lit={lit}
            joinings={joinings}
            selected={inTile(tile, selected)}
            stop={inTile(tile, focusable)}
            onOpen={onOpen}
            onReach={reach}
            onUnfold={toggleFold}
          />
        ))}
        {threads('bridges')}
      </div>
    </div>
  );
};
