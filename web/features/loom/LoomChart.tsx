'use client';

import type { Analysis, Stage } from '@echo-loom/core';
import { type KeyboardEvent, type RefObject, useCallback, useEffect, useMemo } from 'react';
import { usePointing } from '@/features/pointing/pointing';
import styles from './loom.module.css';
import { BarLabels, FindingMarks, RecordingMarks } from './LoomLabels';
import { ARROWS, isArrow, keyOf, recordingDevices, worstByItem, worstOf } from './marks';
import { NodeBox } from './NodeBox';
import type { LoomLayout, LoomNode, LoomStrand } from './parts';
import { type Reading, stagesByLink } from './readings';
import { ReadingTag } from './ReadingTag';
import type { Shown } from './shown';
import { StickyNames } from './StickyNames';
import { Strands } from './Strands';
import { type Item, sameItem, useLoomView } from './view';
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

const NO_STAGES: readonly Stage[] = [];

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

  const levelOfNode = ({ deviceId, members }: LoomNode) =>
    worstOf((members ?? [deviceId]).map((id) => worst.get(`device:${id}`)));
  const levelOfStrand = ({ linkIds }: LoomStrand) =>
    worstOf(linkIds.map((id) => worst.get(`link:${id}`)));
  const isNodeDim = ({ deviceId, members }: LoomNode) =>
    lit !== null && !(members ?? [deviceId]).some((id) => lit.devices.has(id));
  const isStrandDim = ({ linkIds }: LoomStrand) =>
    lit !== null && !linkIds.some((id) => lit.links.has(id));

  const nodes = layout.nodes.filter((at) =>
    meets(seen, at.x, at.y, at.x + at.width, at.y + at.height),
  );
  const strands = layout.strands.filter((at) =>
    meets(seen, at.x1, Math.min(at.y1, at.y2), at.x2, Math.max(at.y1, at.y2)),
  );
  const threads = (layer: 'behind' | 'bridges') => (
    <Strands
      strands={strands}
      width={layout.width}
      height={layout.height}
      selectedLink={selected?.kind === 'link' ? selected.id : null}
      isDim={isStrandDim}
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
        <StickyNames
          groups={layout.groups}
          nodes={nodes}
          width={layout.width}
          toggleFold={toggleFold}
        />
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
        {nodes.map((at) => {
          const item: Item = { kind: 'device', id: at.deviceId };
          return (
            <NodeBox
              key={at.key}
              at={at}
              level={levelOfNode(at)}
              isSelected={sameItem(item, selected)}
              isStop={sameItem(item, focusable)}
              isDim={isNodeDim(at)}
              canJoin={at.folds ? undefined : joinings?.get(at.deviceId)?.can}
              onOpen={onOpen}
              onReach={reach}
              onUnfold={toggleFold}
            />
          );
        })}
        {threads('bridges')}
        <BarLabels nodes={nodes} />
        {strands.map((strand) => {
          const item: Item = { kind: 'link', id: strand.linkId };
          return (
            <ReadingTag
              key={strand.linkId}
              strand={strand}
              reading={reading}
              analysis={analysis}
              stages={stages.get(strand.linkId) ?? NO_STAGES}
              level={levelOfStrand(strand)}
              isSelected={sameItem(item, selected)}
              isStop={sameItem(item, focusable)}
              isDim={isStrandDim(strand)}
              onOpen={onOpen}
              onReach={reach}
            />
          );
        })}
        <RecordingMarks nodes={nodes} recording={recording} />
        <FindingMarks
          nodes={nodes}
          strands={strands}
          levelOfNode={levelOfNode}
          levelOfStrand={levelOfStrand}
        />
      </div>
    </div>
  );
};
