import type { Analysis, Joining, Level, Stage } from '@echo-loom/core';
import { memo } from 'react';
import { BarLabels, FindingMarks, RecordingMarks } from './LoomLabels';
import { worstOf } from './marks';
import { NodeBox } from './NodeBox';
import type { LoomNode, LoomStrand } from '@/layout/parts';
import type { Reading } from '@/features/chosen/readings';
import { ReadingTag } from './ReadingTag';
import type { Shown } from '@/layout/parts';
import { RowNames } from './StickyNames';
import type { Tile } from './tiles';
import { type Item, sameItem } from '@/features/chosen/view';

const NO_STAGES: readonly Stage[] = [];

interface Props {
  readonly tile: Tile;
  readonly analysis: Analysis;
  readonly reading: Reading;
  readonly stages: ReadonlyMap<string, readonly Stage[]>;
  readonly worst: ReadonlyMap<string, Level>;
  readonly recording: ReadonlySet<string>;
  /** What stands on the chosen thread; null where nothing is dimmed */
  readonly lit: Shown | null;
  readonly joinings: ReadonlyMap<string, Joining> | null;
  /** What is chosen, if it stands in this tile */
  readonly selected: Item | null;
  /** Where Tab comes to rest, if it stands in this tile */
  readonly stop: Item | null;
  readonly onOpen: (item: Item) => void;
  readonly onReach: (item: Item) => void;
  readonly onUnfold: (groupId: string) => void;
}

/** Whether a thread stands beside the chosen one. */
export const isStrandDim = (lit: Shown | null, { linkIds }: LoomStrand): boolean =>
  lit !== null && !linkIds.some((id) => lit.links.has(id));

/** Boxes, readings and marks of one part of the chart; drawn once while the chart is scrolled. */
export const ChartTile = memo(function ChartTile({
  tile,
  analysis,
  reading,
  stages,
  worst,
  recording,
  lit,
  joinings,
  selected,
  stop,
  onOpen,
  onReach,
  onUnfold,
}: Props) {
  const { nodes, strands } = tile;
  const levelOfNode = ({ deviceId, members }: LoomNode) =>
    worstOf((members ?? [deviceId]).map((id) => worst.get(`device:${id}`)));
  const levelOfStrand = ({ linkIds }: LoomStrand) =>
    worstOf(linkIds.map((id) => worst.get(`link:${id}`)));
  const isNodeDim = ({ deviceId, members }: LoomNode) =>
    lit !== null && !(members ?? [deviceId]).some((id) => lit.devices.has(id));
  return (
    <>
      {nodes.map((at) => {
        const item: Item = { kind: 'device', id: at.deviceId };
        return (
          <NodeBox
            key={at.key}
            at={at}
            level={levelOfNode(at)}
            isSelected={sameItem(item, selected)}
            isStop={sameItem(item, stop)}
            isDim={isNodeDim(at)}
            canJoin={at.folds ? undefined : joinings?.get(at.deviceId)?.can}
            onOpen={onOpen}
            onReach={onReach}
            onUnfold={onUnfold}
          />
        );
      })}
      <RowNames nodes={nodes} />
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
            isStop={sameItem(item, stop)}
            isDim={isStrandDim(lit, strand)}
            onOpen={onOpen}
            onReach={onReach}
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
    </>
  );
});
