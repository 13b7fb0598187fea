'use client';

import type { Analysis } from '@echo-loom/core';
import { type KeyboardEvent, useEffect, useMemo, useRef } from 'react';
import styles from './loom.module.css';
import { BarLabels, FindingMarks, GroupHeads, RecordingMarks } from './LoomLabels';
import { ARROWS, isArrow, keyOf, LEVEL_WORDS, recordingDevices, worstByItem } from './marks';
import type { LoomLayout, LoomNode, LoomStrand } from './parts';
import { type Reading, readingText, stagesByLink } from './readings';
import { READING_WIDTH } from './sizes';
import { Strands } from './Strands';
import { type Item, sameItem, useLoomView } from './view';
import { DRAW_ALL, meets, useWindow } from './visible';
import { walk } from './walk';

/** Letters beyond which a reading is written smaller, so that it fits its place. */
const LONG_READING = 7;

interface Props {
  readonly analysis: Analysis;
  readonly layout: LoomLayout;
  readonly reading: Reading;
  readonly onOpen: (item: Item) => void;
}

/** The loom itself: pegs and bars in computed places, threads between them, a reading on each. */
export const LoomChart = ({ analysis, layout, reading, onOpen }: Props) => {
  const scroll = useRef<HTMLDivElement>(null);
  const selected = useLoomView((view) => view.selected);
  const select = useLoomView((view) => view.select);
  const toggleFold = useLoomView((view) => view.toggleFold);
  const seen = useWindow(scroll, layout.nodes.length + layout.strands.length > DRAW_ALL);
  const stages = useMemo(() => stagesByLink(analysis), [analysis]);
  const worst = useMemo(() => worstByItem(analysis), [analysis]);
  const recording = useMemo(() => recordingDevices(analysis), [analysis]);
  const [first] = layout.nodes;
  const focusable = selected ?? (first ? { kind: 'device' as const, id: first.deviceId } : null);

  useEffect(() => {
    if (!selected) return;
    const element = scroll.current?.querySelector<HTMLElement>(
      `[data-item="${CSS.escape(keyOf(selected))}"]`,
    );
    element?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [selected]);

  const move = (event: KeyboardEvent) => {
    if (!isArrow(event.key) || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    const next = focusable && walk(layout, focusable, ARROWS[event.key]);
    if (!next) return;
    select(next);
    requestAnimationFrame(() =>
      scroll.current
        ?.querySelector<HTMLElement>(`[data-item="${CSS.escape(keyOf(next))}"]`)
        ?.focus(),
    );
  };

  const itemProps = (item: Item, label: string) => {
    const level = worst.get(keyOf(item));
    return {
      'data-item': keyOf(item),
      tabIndex: sameItem(item, focusable) ? 0 : -1,
      'aria-label': `${label}${level ? `, ${LEVEL_WORDS[level]}` : ''}`,
      'aria-pressed': sameItem(item, selected),
      onClick: () => onOpen(item),
      onFocus: () => !sameItem(item, selected) && select(item),
    };
  };

  const node = (at: LoomNode) => {
    const item: Item = { kind: 'device', id: at.deviceId };
    const label = at.folds
      ? `${at.folds} sources`
      : at.shape === 'return'
        ? `To ${at.name}`
        : at.name;
    const classes = [
      styles.node,
      at.shape === 'bar' && styles.bar,
      at.shape === 'outlet' && styles.outlet,
      at.shape === 'return' && styles.return,
      at.folds && styles.folded,
      sameItem(item, selected) && styles.selected,
    ];
    const place = { left: at.x, top: at.y, width: at.width, height: at.height };
    if (at.folds)
      return (
        <button
          key={at.key}
          type="button"
          className={classes.filter(Boolean).join(' ')}
          style={place}
          onClick={() => toggleFold(at.groupId ?? '')}
          aria-label={`Unfold ${label}`}
          tabIndex={-1}
        >
          <span>{label}</span>
        </button>
      );
    return (
      <button
        key={at.key}
        type="button"
        className={classes.filter(Boolean).join(' ')}
        style={place}
        title={at.name}
        {...itemProps(item, label)}
      >
        {at.shape !== 'bar' && <span>{label}</span>}
      </button>
    );
  };

  const readingOn = (strand: LoomStrand) => {
    const item: Item = { kind: 'link', id: strand.linkId };
    const text = readingText(analysis, reading, strand.linkId, stages.get(strand.linkId) ?? []);
    const label = `${strand.fromPort} to ${strand.toPort}: ${reading.toLowerCase()} ${text ?? 'not known here'}`;
    return (
      <button
        key={strand.linkId}
        type="button"
        className={`${styles.reading} ${sameItem(item, selected) ? styles.selected : ''}`}
        style={{ left: strand.x1 + 4, top: strand.y1 - 12, width: READING_WIDTH }}
        title={`${strand.fromPort} → ${strand.toPort}`}
        {...itemProps(item, label)}
      >
        {text === null ? (
          <i />
        ) : (
          <span className={text.length > LONG_READING ? styles.long : undefined}>{text}</span>
        )}
      </button>
    );
  };

  const visibleNodes = layout.nodes.filter((at) =>
    meets(seen, at.x, at.y, at.x + at.width, at.y + at.height),
  );
  const visibleStrands = layout.strands.filter((at) =>
    meets(seen, at.x1, Math.min(at.y1, at.y2), at.x2, Math.max(at.y1, at.y2)),
  );
  const selectedLink = selected?.kind === 'link' ? selected.id : null;

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
        style={{ width: layout.width, height: layout.height, minWidth: '100%' }}
      >
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
        <Strands
          strands={visibleStrands}
          width={layout.width}
          height={layout.height}
          selectedLink={selectedLink}
          layer="behind"
        />
        <GroupHeads layout={layout} toggleFold={toggleFold} />
        {visibleNodes.map(node)}
        <Strands
          strands={visibleStrands}
          width={layout.width}
          height={layout.height}
          selectedLink={selectedLink}
          layer="bridges"
        />
        <BarLabels nodes={visibleNodes} />
        {visibleStrands.map(readingOn)}
        <RecordingMarks nodes={visibleNodes} recording={recording} />
        <FindingMarks nodes={visibleNodes} strands={visibleStrands} worst={worst} />
      </div>
    </div>
  );
};
