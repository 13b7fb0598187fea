import { STEPS, type Analysis, type DeviceNode, type LinkEdge } from '@echo-loom/core';
import { bundles, foldedDevices } from './folding';
import { Ground, halfFor, spread } from './ground';
import type { Bundle, LoomGroup, LoomLayout, PlacedDevice, Shown } from './parts';
import { measureUp } from './positions';
import { rankDevices, STEP_SPAN } from './rank';
import { chainDevices, rowsOf, type Grouping, type RowGroup } from './rows';
import { GROUP_HEIGHT, HEADER, PEG_HEIGHT, ROW_HEIGHT } from './sizes';

/**
 * Where everything on the loom stands. Positions are computed, never stored: rows from the sources,
 * columns from the steps of the chain, pegs where
 * one thread passes, bars where several do. Pure; all lengths in px.
 */

/** Between a box with many outlets and the next row. @unit px */
const ROW_GAP = ROW_HEIGHT - PEG_HEIGHT;

/** What the layout knows of the rig before anything is placed. */
interface Plan {
  readonly analysis: Analysis;
  readonly rows: readonly RowGroup[];
  readonly folded: ReadonlySet<string>;
  readonly inside: ReadonlyMap<string, string>;
  readonly back: ReadonlySet<string>;
  readonly column: (deviceId: string) => number;
  readonly outgoing: (node: DeviceNode) => LinkEdge[];
}

const singly = (edges: readonly LinkEdge[]): Bundle[] => edges.map((edge) => [edge]);

/** Places the rows of sources, group by group. @returns the groups and where the last row ends */
const placeSources = (plan: Plan, ground: Ground): { groups: LoomGroup[]; rowsEnd: number } => {
  const { analysis, inside, column, outgoing } = plan;
  const groups: LoomGroup[] = [];
  let y = HEADER;

  for (const group of plan.rows) {
    const isFolded = plan.folded.has(group.id);
    groups.push({
      id: group.id,
      name: group.name,
      y,
      folded: isFolded,
      size: group.sources.length,
    });
    y += GROUP_HEIGHT;
    const [first] = group.sources;
    if (isFolded && first) {
      const members = chainDevices(analysis).filter(({ id }) => inside.get(id) === group.id);
      const leaving = bundles(members, inside, plan.back);
      const half = halfFor(leaving.length);
      const middle = y + ROW_GAP / 2 + half;
      const device: PlacedDevice = {
        node: first.node,
        key: `group:${group.id}`,
        column: column(first.node.id),
        shape: 'peg',
        lane: 0,
        top: middle - half,
        bottom: middle + half,
        groupId: group.id,
        folds: group.sources.length,
        members: members.map(({ id }) => id),
      };
      ground.place(device);
      ground.open(device, leaving, spread(middle, leaving.length));
      y = device.bottom + ROW_GAP / 2;
      continue;
    }
    for (const { node } of group.sources) {
      const edges = singly(outgoing(node));
      const half = halfFor(edges.length);
      const middle = y + ROW_GAP / 2 + half;
      const device: PlacedDevice = {
        node,
        key: node.id,
        column: column(node.id),
        shape: 'peg',
        lane: 0,
        top: middle - half,
        bottom: middle + half,
        groupId: group.id,
      };
      ground.place(device);
      ground.open(device, edges, spread(middle, edges.length));
      y = device.bottom + ROW_GAP / 2;
    }
  }
  return { groups, rowsEnd: y };
};

/** Places what threads lead to in one column: bars where their threads are, pegs where there is room. */
const placeColumn = (
  plan: Plan,
  ground: Ground,
  at: number,
  devices: readonly DeviceNode[],
  rowsEnd: number,
): void => {
  const middleOf = (ys: readonly number[]) =>
    ys.length === 0 ? rowsEnd : ys.reduce((sum, value) => sum + value, 0) / ys.length;
  const nodes = devices
    .map((node) => ({ node, ys: ground.arriving(node) }))
    .sort((a, b) => middleOf(a.ys) - middleOf(b.ys));

  for (const { node, ys } of nodes.filter(({ ys }) => ys.length > 1)) {
    const edges = plan.outgoing(node);
    const bar: PlacedDevice = {
      node,
      key: node.id,
      column: at,
      shape: 'bar',
      lane: 0,
      top: (ys[0] ?? 0) - 18,
      bottom: (ys.at(-1) ?? 0) + 18,
    };
    openBar(ground, bar, edges, 18);
  }

  for (const { node, ys } of nodes.filter(({ ys }) => ys.length <= 1)) {
    const edges = plan.outgoing(node);
    const half = halfFor(Math.min(edges.length, 2));
    const middle = ground.roomFor(at, ys[0] ?? rowsEnd + ROW_HEIGHT / 2, half);
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
    if (manyOut) openBar(ground, device, edges, 12);
    else {
      ground.place(device);
      ground.open(device, singly(edges), spread(middle, edges.length));
    }
  }
};

/** Makes a bar as high as what leaves it, places it and lets its threads go. */
const openBar = (
  ground: Ground,
  bar: PlacedDevice,
  edges: readonly LinkEdge[],
  marginPx: number,
): void => {
  const leave = ground.exits(bar, edges.length);
  bar.top = Math.min(bar.top, (leave[0] ?? Infinity) - marginPx);
  bar.bottom = Math.max(bar.bottom, (leave.at(-1) ?? -Infinity) + marginPx);
  ground.place(bar);
  ground.open(bar, singly(edges), leave);
};

/** Puts the far ends of ways back where they end, each by its own name. */
const placeReturns = (ground: Ground, at: number): void => {
  for (const strand of ground.strands.filter(
    ({ toReturn, toColumn }) => toReturn && toColumn === at,
  )) {
    const [edge] = strand.edges;
    const middle = ground.roomFor(at, strand.y, PEG_HEIGHT / 2, true);
    ground.place({
      node: edge.to.device,
      key: `${edge.to.device.id}>${edge.id}`,
      column: at,
      shape: 'return',
      lane: 0,
      top: middle - PEG_HEIGHT / 2,
      bottom: middle + PEG_HEIGHT / 2,
    });
  }
};

const build = (
  analysis: Analysis,
  grouping: Grouping,
  folded: ReadonlySet<string>,
  shown: Shown | null,
): LoomLayout => {
  const { rank, back } = rankDevices(analysis);
  const isShown = (node: DeviceNode) => shown === null || shown.devices.has(node.id);
  const isLinkShown = (edge: LinkEdge) => shown === null || shown.links.has(edge.id);

  const rows = rowsOf(analysis, grouping, back)
    .map((group) => ({ ...group, sources: group.sources.filter(({ node }) => isShown(node)) }))
    .filter(({ sources }) => sources.length > 0);
  const devices = chainDevices(analysis).filter(isShown);
  const ranks = [...new Set(devices.map(({ id }) => rank.get(id) ?? 0))].sort((a, b) => a - b);
  const columnOf = new Map(ranks.map((value, index) => [value, index]));
  const column = (id: string): number => columnOf.get(rank.get(id) ?? 0) ?? 0;
  const deliver = ranks.findIndex((value) => value >= STEPS.indexOf('deliver') * STEP_SPAN);
  const returns = deliver >= 0 ? deliver : ranks.length;

  const ordered = devices.sort(
    (a, b) => column(a.id) - column(b.id) || analysis.device(a).order - analysis.device(b).order,
  );
  const inside = foldedDevices(ordered, rows, folded, back);
  const outgoing = (node: DeviceNode): LinkEdge[] =>
    [...node.ports.values()]
      .flatMap((port) => port.links.filter((edge) => edge.from === port && isLinkShown(edge)))
      .sort(
        (a, b) =>
          Number(back.has(a.id)) - Number(back.has(b.id)) ||
          column(a.to.device.id) - column(b.to.device.id),
      );

  const plan: Plan = { analysis, rows, folded, inside, back, column, outgoing };
  const ground = new Ground({ of: column, returns, back });
  const { groups, rowsEnd } = placeSources(plan, ground);

  const sources = new Set(rows.flatMap((group) => group.sources.map(({ node }) => node.id)));
  const later = new Map<number, DeviceNode[]>();
  for (const node of ordered) {
    if (sources.has(node.id) || inside.has(node.id)) continue;
    const at = column(node.id);
    later.set(at, [...(later.get(at) ?? []), node]);
  }
  const goesBack = devices.some((node) => outgoing(node).some(({ id }) => back.has(id)));
  const lastColumn = goesBack ? Math.max(returns, ranks.length - 1) : ranks.length - 1;
  for (let at = 0; at <= lastColumn; at++) {
    placeColumn(plan, ground, at, later.get(at) ?? [], rowsEnd);
    placeReturns(ground, at);
  }

  return measureUp(analysis, {
    grouping,
    groups,
    placed: [...ground.placed.values()],
    strands: ground.strands,
    ranks,
    lastColumn,
    rowsEnd,
  });
};

/**
 * Lays a rig out. Without a wish for the grouping, both are tried and the one that crosses less is taken.
 * @param folded ids of groups drawn as one row
 * @param shown what of the rig is drawn; null draws all of it
 */
export const layOut = (
  analysis: Analysis,
  wish: Grouping | null,
  folded: ReadonlySet<string>,
  shown: Shown | null = null,
): LoomLayout => {
  if (wish) return build(analysis, wish, folded, shown);
  const byOwner = build(analysis, 'owner', folded, shown);
  const byFamily = build(analysis, 'family', folded, shown);
  return byFamily.bridged < byOwner.bridged ? byFamily : byOwner;
};
