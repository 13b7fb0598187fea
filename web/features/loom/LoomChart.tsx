'use client';

import type { Analysis, Level } from '@echo-loom/core';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type RefObject } from 'react';
import { LevelMark } from '@/ui/LevelMark';
import type { LoomLayout, LoomNode, LoomStrand } from './parts';
import { READING_WIDTH } from './sizes';
import styles from './loom.module.css';
import { readingText, stagesByLink, type Reading } from './readings';
import { Strands } from './Strands';
import { itemOf, sameItem, useLoomView, type Item } from './view';
import { walk } from './walk';

/** Beyond the window, so that scrolling shows no gaps. @unit px */
const OVERSCAN = 400;

interface Window {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}
const EVERYTHING: Window = { left: -Infinity, top: -Infinity, right: Infinity, bottom: Infinity };
/** Below this many items everything is drawn: print and search in page find it all. */
const DRAW_ALL = 250;

/** The part of the chart that is on the screen. */
const useWindow = (ref: RefObject<HTMLElement | null>, isLarge: boolean): Window => {
  const [seen, setSeen] = useState<Window>(EVERYTHING);
  useEffect(() => {
    const element = ref.current;
    if (!element || !isLarge) return;
    const look = () =>
      setSeen((before) => {
        const { scrollLeft, scrollTop, clientWidth, clientHeight } = element;
        const next = {
          left: scrollLeft - OVERSCAN,
          top: scrollTop - OVERSCAN,
          right: scrollLeft + clientWidth + OVERSCAN,
          bottom: scrollTop + clientHeight + OVERSCAN,
        };
        const moved =
          Math.abs(next.left - before.left) > OVERSCAN / 2 ||
          Math.abs(next.top - before.top) > OVERSCAN / 2 ||
          next.right - before.right > OVERSCAN / 2 ||
          next.bottom - before.bottom > OVERSCAN / 2;
        return moved || before === EVERYTHING ? next : before;
      });
    look();
    element.addEventListener('scroll', look, { passive: true });
    const observer = new ResizeObserver(look);
    observer.observe(element);
    return () => {
      element.removeEventListener('scroll', look);
      observer.disconnect();
    };
  }, [ref, isLarge]);
  return isLarge ? seen : EVERYTHING;
};

const meets = (seen: Window, left: number, top: number, right: number, bottom: number): boolean =>
  right >= seen.left && left <= seen.right && bottom >= seen.top && top <= seen.bottom;

const ARROWS = {
  ArrowLeft: 'left',
  ArrowRight: 'right',
  ArrowUp: 'up',
  ArrowDown: 'down',
} as const;
const isArrow = (key: string): key is keyof typeof ARROWS => key in ARROWS;
const keyOf = (item: Item): string => `${item.kind}:${item.id}`;

/** The worst finding on each item. */
const worstByItem = (analysis: Analysis): ReadonlyMap<string, Level> => {
  const worst = new Map<string, Level>();
  for (const finding of analysis.findings) {
    const item = itemOf(analysis, finding);
    if (item && !worst.has(keyOf(item))) worst.set(keyOf(item), finding.level);
  }
  return worst;
};

/** Letters beyond which a reading is written smaller, so that it fits its place. */
const LONG_READING = 7;
const LEVEL_WORDS: Readonly<Record<Level, string>> = {
  stop: 'stop',
  warn: 'warning',
  note: 'note',
};

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
        {layout.groups.map((group) => (
          <div key={group.id}>
            <div
              className={styles.groupRule}
              style={{ top: group.y + 26, width: layout.width - 28 }}
            />
            <button
              type="button"
              className={styles.group}
              style={{ top: group.y + 2 }}
              aria-expanded={!group.folded}
              onClick={() => toggleFold(group.id)}
            >
              <span aria-hidden>{group.folded ? '▸' : '▾'}</span> {group.name}
              {group.folded ? ` (${group.size})` : ''}
            </button>
          </div>
        ))}
        {visibleNodes.map(node)}
        <Strands
          strands={visibleStrands}
          width={layout.width}
          height={layout.height}
          selectedLink={selectedLink}
          layer="bridges"
        />
        {visibleNodes
          .filter((at) => at.shape === 'bar')
          .map((at) => (
            <div
              key={at.key}
              className={styles.barLabel}
              style={{
                left: at.x + 2,
                top: at.label?.y ?? at.y,
                width: at.width - 4,
                height: at.label?.height ?? at.height,
              }}
              aria-hidden
            >
              <span>{at.name}</span>
            </div>
          ))}
        {visibleStrands.map(readingOn)}
        {visibleNodes
          .filter((at) => at.shape !== 'return' && worst.has(`device:${at.deviceId}`))
          .map((at) => (
            <span
              key={at.key}
              className={styles.mark}
              style={{ left: at.x + at.width - 9, top: at.y - 7 }}
            >
              <LevelMark level={worst.get(`device:${at.deviceId}`) ?? 'note'} label="" size={15} />
            </span>
          ))}
        {visibleStrands
          .filter((at) => worst.has(`link:${at.linkId}`))
          .map((at) => (
            <span
              key={at.linkId}
              className={styles.mark}
              style={{ left: at.x1 + READING_WIDTH - 2, top: at.y1 - 17 }}
            >
              <LevelMark level={worst.get(`link:${at.linkId}`) ?? 'note'} label="" size={15} />
            </span>
          ))}
      </div>
    </div>
  );
};
