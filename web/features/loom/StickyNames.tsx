import { memo } from 'react';
import styles from './loom.module.css';
import type { LoomGroup, LoomNode } from '@/layout/parts';

interface GroupProps {
  readonly groups: readonly LoomGroup[];
  /** Of the chart. @unit px */
  readonly width: number;
  readonly toggleFold: (groupId: string) => void;
}

/** The names of the groups with the knob that folds each; they stay at the left edge however far one scrolls. */
export const GroupNames = memo(function GroupNames({ groups, width, toggleFold }: GroupProps) {
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
    </>
  );
});

/** The name of each source at the left edge while its box is out of sight and its own row goes on. */
export const RowNames = ({ nodes }: { readonly nodes: readonly LoomNode[] }) => (
  <>
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
