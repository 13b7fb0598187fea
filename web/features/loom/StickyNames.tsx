import { memo } from 'react';
import styles from './loom.module.css';
import type { LoomGroup, LoomNode } from './parts';

interface Props {
  readonly groups: readonly LoomGroup[];
  readonly nodes: readonly LoomNode[];
  /** Of the chart. @unit px */
  readonly width: number;
  readonly toggleFold: (groupId: string) => void;
}

/**
 * What stays in sight at the left edge however far the chart is scrolled: the names of the groups
 * with the knob that folds them, and the name of each source while its own row goes on.
 */
export const StickyNames = memo(function StickyNames({ groups, nodes, width, toggleFold }: Props) {
  return (
    <>
      <div className={styles.stick}>
        {groups.map((group) => (
          <button
            key={group.id}
            type="button"
            className={styles.group}
            style={{ top: group.y + 2 }}
            aria-expanded={!group.folded}
            onClick={() => toggleFold(group.id)}
          >
            <span aria-hidden>{group.folded ? '▸' : '▾'}</span> {group.name}
            {group.folded ? ` (${group.size})` : ''}
          </button>
        ))}
      </div>
      {groups.map((group) => (
        <div
          key={group.id}
          className={styles.groupRule}
          style={{ top: group.y + 26, width: width - 28 }}
        />
      ))}
      {nodes.map(
        (at) =>
          at.rowEnd !== undefined && (
            <div
              key={at.key}
              className={styles.stuckRow}
              style={{ left: at.x, top: at.y + at.height / 2 - 11, width: at.rowEnd - at.x }}
              aria-hidden
            >
              <span>{at.folds ? `${at.folds} sources` : at.name}</span>
            </div>
          ),
      )}
    </>
  );
});
