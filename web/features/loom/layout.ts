import { STEPS, type Analysis, type DeviceNode, type LinkEdge, type PortFamily, type Step } from '@echo-loom/core';
import { rowsOf, type Grouping, type SourceRow } from './rows';

/**
 * Where everything on the loom stands. Positions are computed, never stored: rows from the sources, columns from the steps of the chain, pegs where
 * one thread passes, bars where several do. Pure; all lengths in px.
 */

export const PEG_WIDTH = 92;
export const PEG_HEIGHT = 32;
export const BAR_WIDTH = 36;
export const ROW_HEIGHT = 42;
export const GROUP_HEIGHT = 30;
/** Between columns: room for a reading and a bend, so that readings never meet pegs */
export const GUTTER = 69;
export const READING_WIDTH = 56;
const LANE_GAP = 18;
const MARGIN = 12;
const HEADER = 30;

export interface LoomNode {
  /** The device, or `device>link` for the far end of a way back */
  readonly key: string;
  readonly deviceId: string;
  readonly name: string;
  readonly shape: 'peg' | 'bar' | 'outlet' | 'return';
  readonly column: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Part of a bar that no bridge crosses, for its name */
  readonly label?: { readonly y: number; readonly height: number };
  /** Sources a folded group stands for */
  readonly folds?: number;
  readonly groupId?: string;
}

export interface LoomStrand {
  readonly linkId: string;
  readonly fromKey: string;
  readonly toKey: string;
  readonly family: PortFamily;
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  /** Where the strand leaves the level of its source, just before its destination */
  readonly bendX: number;
  /** Bars and pegs it passes without serving: it must visibly bridge them */
  readonly bridges: readonly { readonly x: number; readonly width: number }[];
  readonly fromPort: string;
  readonly toPort: string;
}

export interface LoomGroup {
  readonly id: string;
  readonly name: string;
  readonly y: number;
  readonly folded: boolean;
  readonly size: number;
}

export interface LoomColumn {
  readonly title: string;
  readonly x: number;
  readonly width: number;
}

export interface LoomLayout {
  readonly grouping: Grouping;
  readonly nodes: readonly LoomNode[];
  readonly strands: readonly LoomStrand[];
  readonly groups: readonly LoomGroup[];
  readonly columns: readonly LoomColumn[];
  readonly width: number;
  readonly height: number;
  /** Devices bridged by threads they do not serve; the fewer the better */
  readonly bridged: number;
}

const STEP_TITLES: Readonly<Record<Step, string>> = {
  'source': 'Source', 'lift': 'Lift', 'shape': 'Shape', 'combine': 'Combine', 'take in': 'Take in', 'make': 'Make', 'deliver': 'Deliver', 'hear and see': 'Hear and see',
};

/** Steps leave room for devices of the same step one after another. */
const STEP_SPAN = 100;
const stepRank = (node: DeviceNode): number => STEPS.indexOf(node.device.model.step) * STEP_SPAN;

interface Ranked {
  readonly rank: ReadonlyMap<string, number>;
  /** Links that run against the order: back to a source, or round a loop */
  readonly back: ReadonlySet<string>;
}

/** Puts every device after what feeds it, at its own step or later. Links back to a source are ways back. */
const rankDevices = (analysis: Analysis): Ranked => {
  const rank = new Map<string, number>();
  const back = new Set<string>();
  const open = new Set<string>();
  const incoming = new Map<string, LinkEdge[]>();
  for (const edge of analysis.graph.links.values()) {
    if (edge.to.device.device.model.step === 'source') {
      back.add(edge.id);
      continue;
    }
    const edges = incoming.get(edge.to.device.id) ?? [];
    edges.push(edge);
    incoming.set(edge.to.device.id, edges);
  }
  const visit = (node: DeviceNode): number => {
    const known = rank.get(node.id);
    if (known !== undefined) return known;
    open.add(node.id);
    let own = stepRank(node);
    for (const edge of incoming.get(node.id) ?? []) {
      if (open.has(edge.from.device.id)) back.add(edge.id);
      else own = Math.max(own, visit(edge.from.device) + 1);
    }
    open.delete(node.id);
    rank.set(node.id, own);
    return own;
  };
  for (const node of analysis.graph.devices.values()) visit(node);
  return { rank, back };
};

/** Intervals taken in a column, so that nothing is drawn on top of anything. */
class Lane {
  private readonly taken: { from: number; to: number }[] = [];
  isFree(from: number, to: number): boolean {
    return this.taken.every((interval) => to <= interval.from || from >= interval.to);
  }
  take(from: number, to: number): void {
    this.taken.push({ from, to });
  }
}

/** The free place nearest to the one wanted, on the rows' own pitch. */
const nearestFree = (wanted: number, isFree: (y: number) => boolean, top: number): number => {
  if (isFree(wanted)) return wanted;
  for (let step = 1; step < 5000; step++) {
    const down = wanted + (step * ROW_HEIGHT) / 2;
    if (isFree(down)) return down;
    const up = wanted - (step * ROW_HEIGHT) / 2;
    if (up >= top && isFree(up)) return up;
  }
  return wanted;
};

interface PlacedDevice {
  readonly node: DeviceNode;
  readonly key: string;
  readonly column: number;
  readonly shape: LoomNode['shape'];
  lane: number;
  /** Middle for pegs, ends for bars */
  top: number;
  bottom: number;
  readonly folds?: number;
  readonly groupId?: string;
}

interface OpenStrand {
  readonly edge: LinkEdge;
  readonly fromKey: string;
  readonly fromColumn: number;
  readonly toColumn: number;
  readonly y: number;
  readonly toReturn: boolean;
}

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
    groups.push({ id: group.id, name: group.name, y, folded: isFolded, size: group.sources.length });
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
    [...node.ports.values()].flatMap((port) => port.links.filter((edge) => edge.from === port)).sort((a, b) => Number(back.has(a.id)) - Number(back.has(b.id)) || column(a.to.device.id) - column(b.to.device.id));

  const openStrands = (device: PlacedDevice, edges: readonly LinkEdge[], ys: readonly number[]): void => {
    edges.forEach((edge, index) => {
      const toReturn = back.has(edge.id);
      const toColumn = toReturn ? Math.max(returnColumn, device.column + 1) : column(edge.to.device.id);
      const strandY = ys[index] ?? device.top;
      strands.push({ edge, fromKey: device.key, fromColumn: device.column, toColumn, y: strandY, toReturn });
      for (let at = device.column + 1; at < toColumn; at++) passingAt(at).take(strandY - 8, strandY + 8);
    });
  };

  /** Leaves a bar at rows no passing thread uses, kept together round its middle. */
  const exits = (device: PlacedDevice, count: number): number[] => {
    const middle = (device.top + device.bottom) / 2;
    const start = middle - ((count - 1) * ROW_HEIGHT) / 2;
    const used = new Lane();
    return Array.from({ length: count }, (_, index) => {
      const wanted = Math.max(HEADER + ROW_HEIGHT, start + index * ROW_HEIGHT);
      const at = nearestFree(wanted, (candidate) => used.isFree(candidate - 12, candidate + 12) && passingAt(device.column).isFree(candidate - 8, candidate + 8), HEADER + ROW_HEIGHT / 2);
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

  const ordered = [...analysis.graph.devices.values()].sort((a, b) => column(a.id) - column(b.id) || a.device.order - b.device.order);
  for (const node of ordered.filter(({ id }) => rowY.has(id))) {
    const middle = rowY.get(node.id) ?? 0;
    const key = keyOf(node.id);
    const known = placed.get(key);
    const group = rows.find(({ sources }) => sources.some((source) => source.node === node));
    const device: PlacedDevice = known ?? {
      node, key, column: column(node.id), shape: 'peg', lane: 0, top: middle - PEG_HEIGHT / 2, bottom: middle + PEG_HEIGHT / 2, groupId: group?.id,
      ...(key === node.id ? {} : { folds: group?.sources.length ?? 1 }),
    };
    if (!known) place(device);
    const edges = outgoing(node);
    openStrands({ ...device, column: column(node.id) }, edges, edges.map((_, index) => middle + (index - (edges.length - 1) / 2) * 22));
  }

  const columnsOfDevices = new Map<number, DeviceNode[]>();
  for (const node of ordered) if (!rowY.has(node.id)) columnsOfDevices.set(column(node.id), [...(columnsOfDevices.get(column(node.id)) ?? []), node]);
  const lastColumn = Math.max(returnColumn, ranks.length - 1);
  for (let at = 0; at <= lastColumn; at++) {
    const arriving = (node: DeviceNode) => strands.filter(({ edge, toReturn }) => !toReturn && edge.to.device === node).map((strand) => strand.y).sort((a, b) => a - b);
    const middleOf = (ys: readonly number[]) => (ys.length === 0 ? rowsEnd : ys.reduce((sum, value) => sum + value, 0) / ys.length);
    const nodes = (columnsOfDevices.get(at) ?? []).map((node) => ({ node, ys: arriving(node) })).sort((a, b) => middleOf(a.ys) - middleOf(b.ys));
    // Bars first: they stand where their threads are. Pegs then find room.
    for (const { node, ys } of nodes.filter(({ ys }) => ys.length > 1)) {
      const device: PlacedDevice = { node, key: node.id, column: at, shape: 'bar', lane: 0, top: (ys[0] ?? 0) - 18, bottom: (ys.at(-1) ?? 0) + 18 };
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
      const middle = nearestFree(wanted, (candidate) => laneAt(at, 0).isFree(candidate - half - 3, candidate + half + 3) && passingAt(at).isFree(candidate - half, candidate + half), HEADER + ROW_HEIGHT / 2);
      const manyOut = edges.length > 2;
      const device: PlacedDevice = { node, key: node.id, column: at, shape: manyOut ? 'bar' : node.device.model.step === 'deliver' ? 'outlet' : 'peg', lane: 0, top: middle - half, bottom: middle + half };
      const leave = manyOut ? exits(device, edges.length) : edges.map((_, index) => middle + (index - (edges.length - 1) / 2) * 22);
      device.top = Math.min(device.top, (leave[0] ?? Infinity) - 12);
      device.bottom = Math.max(device.bottom, (leave.at(-1) ?? -Infinity) + 12);
      place(device);
      openStrands(device, edges, leave);
    }
    for (const strand of strands.filter(({ toReturn, toColumn }) => toReturn && toColumn === at)) {
      const middle = nearestFree(strand.y, (candidate) => laneAt(at, 0).isFree(candidate - 19, candidate + 19), HEADER + ROW_HEIGHT / 2);
      place({ node: strand.edge.to.device, key: `${strand.edge.to.device.id}>${strand.edge.id}`, column: at, shape: 'return', lane: 0, top: middle - PEG_HEIGHT / 2, bottom: middle + PEG_HEIGHT / 2 });
    }
  }

  return measureUp({ grouping, groups, placed: [...placed.values()], strands, ranks, lastColumn, rowsEnd });
};

interface Draft {
  readonly grouping: Grouping;
  readonly groups: readonly LoomGroup[];
  readonly placed: readonly PlacedDevice[];
  readonly strands: readonly OpenStrand[];
  readonly ranks: readonly number[];
  readonly lastColumn: number;
  readonly rowsEnd: number;
}

const widthOf = (device: PlacedDevice): number => (device.shape === 'bar' ? BAR_WIDTH : PEG_WIDTH);

/** The longest part of a bar between the bridges over it. */
const freePart = (bar: LoomNode, strands: readonly LoomStrand[]): { y: number; height: number } => {
  const cuts = strands.filter((strand) => strand.bridges.some(({ x }) => x === bar.x) && strand.y1 > bar.y && strand.y1 < bar.y + bar.height).map((strand) => strand.y1).sort((a, b) => a - b);
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

/** Gives every column its width and turns rows and lanes into positions. */
const measureUp = ({ grouping, groups, placed, strands, ranks, lastColumn, rowsEnd }: Draft): LoomLayout => {
  const laneWidths: number[][] = [];
  for (const device of placed) {
    const widths = (laneWidths[device.column] ??= []);
    widths[device.lane] = Math.max(widths[device.lane] ?? 0, widthOf(device));
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
      x += (width ?? 0) + (lane < widths.length - 1 ? LANE_GAP : 0);
    });
    const rank = ranks[at];
    const step = rank === undefined ? 'deliver' : STEPS[Math.floor(rank / STEP_SPAN)];
    const isFirstOfStep = rank === undefined || ranks[at - 1] === undefined || Math.floor((ranks[at - 1] ?? 0) / STEP_SPAN) !== Math.floor(rank / STEP_SPAN);
    columns.push({ title: isFirstOfStep && step ? STEP_TITLES[step] : '', x: start, width: Math.max(x - start, 1) });
    x += GUTTER;
  }
  const width = x - GUTTER + MARGIN;

  const nodes = placed.map((device): LoomNode => ({
    key: device.key, deviceId: device.node.id, name: device.node.device.name, shape: device.shape, column: device.column,
    x: laneX[device.column]?.[device.lane] ?? 0, y: device.top, width: widthOf(device), height: device.bottom - device.top,
    ...(device.folds === undefined ? {} : { folds: device.folds }), ...(device.groupId === undefined ? {} : { groupId: device.groupId }),
  }));
  const byKey = new Map(nodes.map((node) => [node.key, node]));
  const byColumn = new Map<number, LoomNode[]>();
  for (const node of nodes) byColumn.set(node.column, [...(byColumn.get(node.column) ?? []), node]);

  const drawn = strands.flatMap((strand): LoomStrand[] => {
    const { edge } = strand;
    const toKey = strand.toReturn ? `${edge.to.device.id}>${edge.id}` : edge.to.device.id;
    const from = byKey.get(strand.fromKey);
    const to = byKey.get(toKey);
    if (!from || !to) return [];
    const x1 = from.x + from.width;
    const x2 = to.x;
    const y2 = to.shape === 'bar' ? strand.y : to.y + to.height / 2;
    const bendX = Math.max(x1 + READING_WIDTH + 2, (columns[strand.toColumn]?.x ?? x2) - 18);
    const bridges: { x: number; width: number }[] = [];
    for (let at = from.column; at <= strand.toColumn; at++)
      for (const node of byColumn.get(at) ?? [])
        if (node !== from && node !== to && node.x >= x1 && node.x + node.width <= x2 && strand.y > node.y && strand.y < node.y + node.height) bridges.push({ x: node.x, width: node.width });
    return [{ linkId: edge.id, fromKey: from.key, toKey, family: edge.from.port.family, x1, y1: strand.y, x2, y2, bendX: Math.min(bendX, x2), bridges, fromPort: edge.from.port.name, toPort: edge.to.port.name }];
  });
  const named = nodes.map((node): LoomNode => (node.shape === 'bar' ? { ...node, label: freePart(node, drawn) } : node));
  const bottom = nodes.reduce((lowest, node) => Math.max(lowest, node.y + node.height), rowsEnd);
  const bridged = drawn.reduce((sum, strand) => sum + strand.bridges.length, 0);
  return { grouping, nodes: named, strands: drawn, groups, columns, width, height: bottom + MARGIN, bridged };
};

/**
 * Lays a rig out. Without a wish for the grouping, both are tried and the one that crosses less is taken.
 * @param folded ids of groups drawn as one row
 */
export const layOut = (analysis: Analysis, wish: Grouping | null, folded: ReadonlySet<string>): LoomLayout => {
  if (wish) return build(analysis, wish, folded);
  const byOwner = build(analysis, 'owner', folded);
  const byFamily = build(analysis, 'family', folded);
  return byFamily.bridged < byOwner.bridged ? byFamily : byOwner;
};
