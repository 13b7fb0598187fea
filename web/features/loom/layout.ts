import { STEPS, type Analysis, type DeviceNode, type LinkEdge } from '@echo-loom/core';
import { Lane, nearestFree } from './lane';
import type { LoomGroup, LoomLayout, OpenStrand, PlacedDevice } from './parts';
import { measureUp } from './positions';
import { rankDevices, STEP_SPAN } from './rank';
import { rowsOf, type Grouping, type SourceRow } from './rows';
import { GROUP_HEIGHT, HEADER, PEG_HEIGHT, ROW_HEIGHT } from './sizes';

/**
 * Where everything on the loom stands. Positions are computed, never stored: rows from the sources,
 * columns from the steps of the chain, pegs where
 * one thread passes, bars where several do. Pure; all lengths in px.
 */

const build = (analysis: Analysis, grouping: Grouping, folded: ReadonlySet<string>): LoomLayout => {
  const { rank, back } = rankDevices(analysis);
  const rows = rowsOf(analysis, grouping, back);

  const groups: LoomGroup[] = [];
  const placed = new Map<string, PlacedDevice>();
  const strands: OpenStrand[] = [];
  let y = HEADER;
  const rowY = new Map<string, number>();
  const foldKey = new Map<string, string>();
  for (const group of rows) {
    const isFolded = folded.has(group.id);
    groups.push({
      id: group.id,
      name: group.name,
      y,
      folded: isFolded,
      size: group.sources.length,
    });
    y += GROUP_HEIGHT;
    group.sources.forEach((source: SourceRow, index) => {
      rowY.set(source.node.id, y + ROW_HEIGHT / 2);
      if (isFolded) foldKey.set(source.node.id, `group:${group.id}`);
      if (!isFolded || index === group.sources.length - 1) y += ROW_HEIGHT;
    });
  }
  const rowsEnd = y;

  const ranks = [...new Set(rank.values())].sort((a, b) => a - b);
  const columnOf = new Map(ranks.map((value, index) => [value, index]));
  const column = (id: string): number => columnOf.get(rank.get(id) ?? 0) ?? 0;
  const deliver = ranks.findIndex((value) => value >= STEPS.indexOf('deliver') * STEP_SPAN);
  const returnColumn = deliver >= 0 ? deliver : ranks.length;
  const lanes: Lane[][] = [];
  const passing: Lane[] = [];
  const laneAt = (at: number, lane: number): Lane => ((lanes[at] ??= [])[lane] ??= new Lane());
  const passingAt = (at: number): Lane => (passing[at] ??= new Lane());

  const keyOf = (id: string): string => foldKey.get(id) ?? id;
  const outgoing = (node: DeviceNode): LinkEdge[] =>
    [...node.ports.values()]
      .flatMap((port) => port.links.filter((edge) => edge.from === port))
      .sort(
        (a, b) =>
          Number(back.has(a.id)) - Number(back.has(b.id)) ||
          column(a.to.device.id) - column(b.to.device.id),
      );

  const openStrands = (
    device: PlacedDevice,
    edges: readonly LinkEdge[],
    ys: readonly number[],
  ): void => {
    edges.forEach((edge, index) => {
      const toReturn = back.has(edge.id);
      const toColumn = toReturn
        ? Math.max(returnColumn, device.column + 1)
        : column(edge.to.device.id);
      const strandY = ys[index] ?? device.top;
      strands.push({
        edge,
        fromKey: device.key,
        fromColumn: device.column,
        toColumn,
        y: strandY,
        toReturn,
      });
      for (let at = device.column + 1; at < toColumn; at++)
        passingAt(at).take(strandY - 8, strandY + 8);
    });
  };

  /** Leaves a bar at rows no passing thread uses, kept together round its middle. */
  const exits = (device: PlacedDevice, count: number): number[] => {
    const middle = (device.top + device.bottom) / 2;
    const start = middle - ((count - 1) * ROW_HEIGHT) / 2;
    const used = new Lane();
    return Array.from({ length: count }, (_, index) => {
      const wanted = Math.max(HEADER + ROW_HEIGHT, start + index * ROW_HEIGHT);
      const at = nearestFree(
        wanted,
        (candidate) =>
          used.isFree(candidate - 12, candidate + 12) &&
          passingAt(device.column).isFree(candidate - 8, candidate + 8),
        HEADER + ROW_HEIGHT / 2,
      );
      used.take(at - 12, at + 12);
      return at;
    }).sort((a, b) => a - b);
  };

  const place = (device: PlacedDevice): void => {
    let lane = 0;
    while (!laneAt(device.column, lane).isFree(device.top - 4, device.bottom + 4)) lane++;
    laneAt(device.column, lane).take(device.top - 4, device.bottom + 4);
    device.lane = lane;
    placed.set(device.key, device);
  };

  const ordered = [...analysis.graph.devices.values()].sort(
    (a, b) => column(a.id) - column(b.id) || analysis.device(a).order - analysis.device(b).order,
  );
  for (const node of ordered.filter(({ id }) => rowY.has(id))) {
    const middle = rowY.get(node.id) ?? 0;
    const key = keyOf(node.id);
    const known = placed.get(key);
    const group = rows.find(({ sources }) => sources.some((source) => source.node === node));
    const device: PlacedDevice = known ?? {
      node,
      key,
      column: column(node.id),
      shape: 'peg',
      lane: 0,
      top: middle - PEG_HEIGHT / 2,
      bottom: middle + PEG_HEIGHT / 2,
      groupId: group?.id,
      ...(key === node.id ? {} : { folds: group?.sources.length ?? 1 }),
    };
    if (!known) place(device);
    const edges = outgoing(node);
    openStrands(
      { ...device, column: column(node.id) },
      edges,
      edges.map((_, index) => middle + (index - (edges.length - 1) / 2) * 22),
    );
  }

  const columnsOfDevices = new Map<number, DeviceNode[]>();
  for (const node of ordered)
    if (!rowY.has(node.id))
      columnsOfDevices.set(column(node.id), [
        ...(columnsOfDevices.get(column(node.id)) ?? []),
        node,
      ]);
  const lastColumn = Math.max(returnColumn, ranks.length - 1);
  for (let at = 0; at <= lastColumn; at++) {
    const arriving = (node: DeviceNode) =>
      strands
        .filter(({ edge, toReturn }) => !toReturn && edge.to.device === node)
        .map((strand) => strand.y)
        .sort((a, b) => a - b);
    const middleOf = (ys: readonly number[]) =>
      ys.length === 0 ? rowsEnd : ys.reduce((sum, value) => sum + value, 0) / ys.length;
    const nodes = (columnsOfDevices.get(at) ?? [])
      .map((node) => ({ node, ys: arriving(node) }))
      .sort((a, b) => middleOf(a.ys) - middleOf(b.ys));
    // Bars first: they stand where their threads are. Pegs then find room.
    for (const { node, ys } of nodes.filter(({ ys }) => ys.length > 1)) {
      const device: PlacedDevice = {
        node,
        key: node.id,
        column: at,
        shape: 'bar',
        lane: 0,
        top: (ys[0] ?? 0) - 18,
        bottom: (ys.at(-1) ?? 0) + 18,
      };
      const edges = outgoing(node);
      const leave = exits(device, edges.length);
      device.top = Math.min(device.top, (leave[0] ?? Infinity) - 18);
      device.bottom = Math.max(device.bottom, (leave.at(-1) ?? -Infinity) + 18);
      place(device);
      openStrands(device, edges, leave);
    }
    for (const { node, ys } of nodes.filter(({ ys }) => ys.length <= 1)) {
      const edges = outgoing(node);
      const half = edges.length > 1 ? 22 : PEG_HEIGHT / 2;
      const wanted = ys[0] ?? rowsEnd + ROW_HEIGHT / 2;
      const middle = nearestFree(
        wanted,
        (candidate) =>
          laneAt(at, 0).isFree(candidate - half - 3, candidate + half + 3) &&
          passingAt(at).isFree(candidate - half, candidate + half),
        HEADER + ROW_HEIGHT / 2,
      );
      const manyOut = edges.length > 2;
      const device: PlacedDevice = {
        node,
        key: node.id,
        column: at,
        shape: manyOut ? 'bar' : node.model.step === 'deliver' ? 'outlet' : 'peg',
        lane: 0,
        top: middle - half,
        bottom: middle + half,
      };
      const leave = manyOut
        ? exits(device, edges.length)
        : edges.map((_, index) => middle + (index - (edges.length - 1) / 2) * 22);
      device.top = Math.min(device.top, (leave[0] ?? Infinity) - 12);
      device.bottom = Math.max(device.bottom, (leave.at(-1) ?? -Infinity) + 12);
      place(device);
      openStrands(device, edges, leave);
    }
    for (const strand of strands.filter(({ toReturn, toColumn }) => toReturn && toColumn === at)) {
      const middle = nearestFree(
        strand.y,
        (candidate) => laneAt(at, 0).isFree(candidate - 19, candidate + 19),
        HEADER + ROW_HEIGHT / 2,
      );
      place({
        node: strand.edge.to.device,
        key: `${strand.edge.to.device.id}>${strand.edge.id}`,
        column: at,
        shape: 'return',
        lane: 0,
        top: middle - PEG_HEIGHT / 2,
        bottom: middle + PEG_HEIGHT / 2,
      });
    }
  }

  return measureUp(analysis, {
    grouping,
    groups,
    placed: [...placed.values()],
    strands,
    ranks,
    lastColumn,
    rowsEnd,
  });
};

/**
 * Lays a rig out. Without a wish for the grouping, both are tried and the one that crosses less is taken.
 * @param folded ids of groups drawn as one row
 */
export const layOut = (
  analysis: Analysis,
  wish: Grouping | null,
  folded: ReadonlySet<string>,
): LoomLayout => {
  if (wish) return build(analysis, wish, folded);
  const byOwner = build(analysis, 'owner', folded);
  const byFamily = build(analysis, 'family', folded);
  return byFamily.bridged < byOwner.bridged ? byFamily : byOwner;
};
