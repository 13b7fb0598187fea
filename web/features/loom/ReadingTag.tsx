import type { Analysis, Level, Stage } from '@echo-loom/core';
import { memo } from 'react';
import styles from './loom.module.css';
import { keyOf, LEVEL_WORDS } from './marks';
import type { LoomStrand } from '@/layout/parts';
import { type Reading, readingText } from '@/features/chosen/readings';
import { READING_WIDTH } from '@/layout/sizes';
import type { Item } from '@/features/chosen/view';

/** Letters beyond which a reading is written smaller, so that it fits its place. */
const LONG_READING = 7;

interface Props {
  readonly strand: LoomStrand;
  readonly reading: Reading;
  readonly analysis: Analysis;
  /** What arrives over the thread */
  readonly stages: readonly Stage[];
  readonly level: Level | undefined;
  readonly isSelected: boolean;
  readonly isStop: boolean;
  readonly isDim: boolean;
  readonly onOpen: (item: Item) => void;
  readonly onReach: (item: Item) => void;
}

/** The one figure on a thread; of a folded group, how many threads it stands for. */
export const ReadingTag = memo(function ReadingTag({
  strand,
  reading,
  analysis,
  stages,
  level,
  isSelected,
  isStop,
  isDim,
  onOpen,
  onReach,
}: Props) {
  const item: Item = { kind: 'link', id: strand.linkId };
  const text = readingText(analysis, reading, strand.linkId, stages);
  const many = strand.linkIds.length > 1 ? `${strand.linkIds.length} ×` : null;
  const written = many ?? text;
  const says = many
    ? `${strand.linkIds.length} cables`
    : `${strand.fromPort} to ${strand.toPort}: ${reading.toLowerCase()} ${text ?? 'not known here'}`;
  const classes = [styles.reading, isDim && styles.dim, isSelected && styles.selected];
  return (
    <button
      type="button"
      className={classes.filter(Boolean).join(' ')}
      style={{ left: strand.x1 + 4, top: strand.y1 - 12, width: READING_WIDTH }}
      title={`${strand.fromPort} → ${strand.toPort}`}
      data-item={keyOf(item)}
      tabIndex={isStop ? 0 : -1}
      aria-label={`${says}${level ? `, ${LEVEL_WORDS[level]}` : ''}`}
      aria-pressed={isSelected}
      onClick={() => onOpen(item)}
      onFocus={() => onReach(item)}
    >
      {written === null ? (
        <i />
      ) : (
        <span className={written.length > LONG_READING ? styles.long : undefined}>{written}</span>
      )}
    </button>
  );
});
