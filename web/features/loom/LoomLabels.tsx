'use client';

import { LevelMark } from '@/ui/LevelMark';
import type { Level } from '@echo-loom/core';
import styles from './loom.module.css';
import type { LoomLayout, LoomNode, LoomStrand } from './parts';
import { READING_WIDTH } from './sizes';

/** The line and the name over each group of sources, with the knob that folds it. */
export const GroupHeads = ({
  layout,
  toggleFold,
}: {
  readonly layout: LoomLayout;
  readonly toggleFold: (groupId: string) => void;
}) => (
  <>
    {layout.groups.map((group) => (
      <div key={group.id}>
        <div className={styles.groupRule} style={{ top: group.y + 26, width: layout.width - 28 }} />
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
  </>
);

/** Names along the bars, which have no room for them inside. */
export const BarLabels = ({ nodes }: { readonly nodes: readonly LoomNode[] }) => (
  <>
    {nodes
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
  </>
);

/** What makes a file by itself: a card, a drive, a service. */
export const RecordingMarks = ({
  nodes,
  recording,
}: {
  readonly nodes: readonly LoomNode[];
  readonly recording: ReadonlySet<string>;
}) => (
  <>
    {nodes
      .filter((at) => at.shape !== 'return' && recording.has(at.deviceId))
      .map((at) => (
        <span
          key={at.key}
          className={styles.records}
          style={{ left: at.x + at.width - 26, top: at.y + at.height - 3 }}
          title={`${at.name} makes a file itself`}
        >
          file
        </span>
      ))}
  </>
);

/** The worst finding of each device and cable, at its corner. */
export const FindingMarks = ({
  nodes,
  strands,
  worst,
}: {
  readonly nodes: readonly LoomNode[];
  readonly strands: readonly LoomStrand[];
  readonly worst: ReadonlyMap<string, Level>;
}) => (
  <>
    {nodes
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
    {strands
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
  </>
);
