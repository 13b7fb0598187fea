import { type Analysis, STEPS } from '@echo-loom/core';
import type { Draft, LoomColumn, LoomLayout, LoomNode, LoomStrand, PlacedDevice } from './parts';
import { STEP_SPAN } from './rank';
import { STEP_TITLES } from './step-titles';
import { BAR_WIDTH, GUTTER, LANE_GAP, MARGIN, PEG_WIDTH, READING_WIDTH } from './sizes';

const widthOf = (device: PlacedDevice): number => (device.shape === 'bar' ? BAR_WIDTH : PEG_WIDTH);

/** From the end of a bar to its first port. @unit px */
const ENTRY_MARGIN = 8;
/** Before a box, where a thread turns into its port. @unit px */
const BEND = 18;

/** Where a thread enters a box: at its own height on a bar that reaches there, else at the bar's nearest end. */
const entryOf = ({ shape, y, height }: LoomNode, threadY: number): number =>
  shape === 'bar'
    ? Math.min(Math.max(threadY, y + ENTRY_MARGIN), y + height - ENTRY_MARGIN)
    : y + height / 2;

/** The longest part of a bar between the bridges over it. */
const freePart = (bar: LoomNode, strands: readonly LoomStrand[]): { y: number; height: number } => {
  const cuts = strands
    .filter(
      (strand) =>
        strand.bridges.some(({ x }) => x === bar.x) &&
        strand.y1 > bar.y &&
        strand.y1 < bar.y + bar.height,
    )
    .map((strand) => strand.y1)
    .sort((a, b) => a - b);
  const edges = [bar.y, ...cuts, bar.y + bar.height];
  let best = { y: bar.y, height: 0 };
  edges.slice(1).forEach((end, index) => {
    const start = edges[index] ?? bar.y;
    const y = index === 0 ? start : start + 6;
    const height = end - y - (index === cuts.length ? 0 : 14);
    if (height > best.height) best = { y, height };
  });
  return best;
};

/** How far a source's row goes straight on: through pegs, up to a bar or a bend. @unit px */
const rowEnds = (
  nodes: readonly LoomNode[],
  strands: readonly LoomStrand[],
): ReadonlyMap<string, number> => {
  const leaving = new Map<string, LoomStrand[]>();
  for (const strand of strands)
    leaving.set(strand.fromKey, [...(leaving.get(strand.fromKey) ?? []), strand]);
  const byKey = new Map(nodes.map((node) => [node.key, node]));
  const endOf = (node: LoomNode): number =>
    (leaving.get(node.key) ?? []).reduce((end, strand) => {
      const isStraight = Math.abs(strand.y1 - strand.y2) < 0.5;
      if (!isStraight) return Math.max(end, strand.bendX);
      const to = byKey.get(strand.toKey);
      return Math.max(end, to?.shape === 'peg' ? endOf(to) : strand.x2);
    }, node.x + node.width);
  return new Map(
    nodes.filter(({ groupId }) => groupId !== undefined).map((node) => [node.key, endOf(node)]),
  );
};

/** Gives every column its width and turns rows and lanes into positions. */
export const measureUp = (
  analysis: Analysis,
  { grouping, groups, placed, strands, ranks, lastColumn, rowsEnd }: Draft,
): LoomLayout => {
  const laneWidths: number[][] = [];
  const leaves = new Set(strands.map(({ fromKey }) => fromKey));
  /** Lanes of each column out of which threads go: their readings want the room of a gutter */
  const spoken: Set<number>[] = [];
  for (const device of placed) {
    const widths = (laneWidths[device.column] ??= []);
    widths[device.lane] = Math.max(widths[device.lane] ?? 0, widthOf(device));
    if (device.shape === 'bar' && leaves.has(device.key))
      (spoken[device.column] ??= new Set()).add(device.lane);
  }
  const columns: LoomColumn[] = [];
  const laneX: number[][] = [];
  let x = MARGIN;
  for (let at = 0; at <= lastColumn; at++) {
    const widths = laneWidths[at] ?? [];
    const start = x;
    const starts: number[] = (laneX[at] = []);
    widths.forEach((width, lane) => {
      starts[lane] = x;
      const gap = spoken[at]?.has(lane) ? GUTTER : LANE_GAP;
      x += (width ?? 0) + (lane < widths.length - 1 ? gap : 0);
    });
    const rank = ranks[at];
    const step = rank === undefined ? 'deliver' : STEPS[Math.floor(rank / STEP_SPAN)];
    const isFirstOfStep =
      rank === undefined ||
      ranks[at - 1] === undefined ||
      Math.floor((ranks[at - 1] ?? 0) / STEP_SPAN) !== Math.floor(rank / STEP_SPAN);
    columns.push({
      title: isFirstOfStep && step ? STEP_TITLES[step] : '',
      x: start,
      width: Math.max(x - start, 1),
    });
    x += GUTTER;
  }
  const width = x - GUTTER + MARGIN;

  const nodes = placed.map((device): LoomNode => ({
    key: device.key,
    deviceId: device.node.id,
    name: analysis.device(device.node).name,
    shape: device.shape,
    column: device.column,
    x: laneX[device.column]?.[device.lane] ?? 0,
    y: device.top,
    width: widthOf(device),
    height: device.bottom - device.top,
    ...(device.folds === undefined ? {} : { folds: device.folds }),
    ...(device.members === undefined ? {} : { members: device.members }),
    ...(device.groupId === undefined ? {} : { groupId: device.groupId }),
  }));
  const byKey = new Map(nodes.map((node) => [node.key, node]));
  const byColumn = new Map<number, LoomNode[]>();
  for (const node of nodes) byColumn.set(node.column, [...(byColumn.get(node.column) ?? []), node]);

  const drawn = strands.flatMap((strand): LoomStrand[] => {
    const [edge] = strand.edges;
    const toKey = strand.toReturn ? `${edge.to.device.id}>${edge.id}` : edge.to.device.id;
    const from = byKey.get(strand.fromKey);
    const to = byKey.get(toKey);
    if (!from || !to) return [];
    const x1 = from.x + from.width;
    const x2 = to.x;
    const y2 = entryOf(to, strand.y);
    // It turns just before its own lane, and bridges what stands in the lanes before it.
    const bendX = Math.max(x1 + READING_WIDTH + 2, x2 - BEND);
    const bridges: { x: number; width: number }[] = [];
    for (let at = from.column; at <= strand.toColumn; at++)
      for (const node of byColumn.get(at) ?? [])
        if (
          node !== from &&
          node !== to &&
          node.x >= x1 &&
          node.x + node.width <= x2 &&
          strand.y > node.y &&
          strand.y < node.y + node.height
        )
          bridges.push({ x: node.x, width: node.width });
    return [
      {
        linkId: edge.id,
        linkIds: strand.edges.map(({ id }) => id),
        fromKey: from.key,
        toKey,
        family: edge.from.port.family,
        x1,
        y1: strand.y,
        x2,
        y2,
        bendX: Math.min(bendX, x2),
        bridges,
        fromPort: edge.from.port.name,
        toPort: edge.to.port.name,
      },
    ];
  });
  const ends = rowEnds(nodes, drawn);
  const named = nodes.map((node): LoomNode => {
    if (node.shape === 'bar') return { ...node, label: freePart(node, drawn) };
    const rowEnd = ends.get(node.key);
    return rowEnd === undefined ? node : { ...node, rowEnd };
  });
  const bottom = nodes.reduce((lowest, node) => Math.max(lowest, node.y + node.height), rowsEnd);
  const bridged = drawn.reduce((sum, strand) => sum + strand.bridges.length, 0);
  return {
    grouping,
    nodes: named,
    strands: drawn,
    groups,
    columns,
    width,
    height: bottom + MARGIN,
    bridged,
  };
};
