import type { Level } from '@echo-loom/core';
import { memo } from 'react';
import styles from './loom.module.css';
import { keyOf, LEVEL_WORDS } from './marks';
import type { LoomNode } from '@/layout/parts';
import type { Item } from '@/features/chosen/view';

interface Props {
  readonly at: LoomNode;
  readonly level: Level | undefined;
  readonly isSelected: boolean;
  /** Whether Tab comes to rest here */
  readonly isStop: boolean;
  readonly isDim: boolean;
  /** Whether what somebody holds can be joined to it; undefined while nothing is held */
  readonly canJoin: boolean | undefined;
  readonly onOpen: (item: Item) => void;
  readonly onReach: (item: Item) => void;
  readonly onUnfold: (groupId: string) => void;
}

const labelOf = ({ folds, shape, name }: LoomNode): string =>
  folds
    ? `${folds} ${folds === 1 ? 'source' : 'sources'}`
    : shape === 'return'
      ? `To ${name}`
      : name;

/** A device on the chart: a peg, a bar, an outlet, the far end of a way back, or a folded group. */
export const NodeBox = memo(function NodeBox({
  at,
  level,
  isSelected,
  isStop,
  isDim,
  canJoin,
  onOpen,
  onReach,
  onUnfold,
}: Props) {
  const item: Item = { kind: 'device', id: at.deviceId };
  const label = labelOf(at);
  const classes = [
    styles.node,
    at.shape === 'bar' && styles.bar,
    at.shape === 'outlet' && styles.outlet,
    at.shape === 'return' && styles.return,
    at.folds && styles.folded,
    isDim && styles.dim,
    isSelected && styles.selected,
    canJoin === true && styles.canJoin,
    canJoin === false && styles.cannotJoin,
  ];
  const said = `${at.folds ? 'Unfold ' : ''}${label}${level ? `, ${LEVEL_WORDS[level]}` : ''}`;
  return (
    <button
      type="button"
      className={classes.filter(Boolean).join(' ')}
      style={{ left: at.x, top: at.y, width: at.width, height: at.height }}
      title={at.folds ? undefined : at.name}
      data-item={keyOf(item)}
      tabIndex={isStop ? 0 : -1}
      aria-label={said}
      aria-pressed={at.folds ? undefined : isSelected}
      aria-expanded={at.folds ? false : undefined}
      onClick={() => (at.folds ? onUnfold(at.groupId ?? '') : onOpen(item))}
      onFocus={() => onReach(item)}
    >
      {at.shape !== 'bar' && <span>{label}</span>}
    </button>
  );
});
