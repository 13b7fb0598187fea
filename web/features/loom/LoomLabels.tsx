'use client';

import { LevelMark } from '@/ui/LevelMark';
import type { Level } from '@echo-loom/core';
import styles from './loom.module.css';
import type { LoomNode, LoomStrand } from '@/layout/parts';
import { READING_WIDTH } from '@/layout/sizes';

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

/** The worst finding of each device and cable, at its corner; of a folded group, the worst inside. */
export const FindingMarks = ({
  nodes,
  strands,
  levelOfNode,
  levelOfStrand,
}: {
  readonly nodes: readonly LoomNode[];
  readonly strands: readonly LoomStrand[];
  readonly levelOfNode: (at: LoomNode) => Level | undefined;
  readonly levelOfStrand: (at: LoomStrand) => Level | undefined;
}) => {
  const spots = [
    ...nodes
      .filter(({ shape }) => shape !== 'return')
      .map((at) => ({
        key: at.key,
        level: levelOfNode(at),
        left: at.x + at.width - 9,
        top: at.y - 7,
      })),
    ...strands.map((at) => ({
      key: `of ${at.linkId}`,
      level: levelOfStrand(at),
      left: at.x1 + READING_WIDTH - 2,
      top: at.y1 - 17,
    })),
  ];
  return (
    <>
      {spots.map(
        ({ key, level, left, top }) =>
          level && (
            <span key={key} className={styles.mark} style={{ left, top }}>
              <LevelMark level={level} label="" size={15} />
            </span>
          ),
      )}
    </>
  );
};
