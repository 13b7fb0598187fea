import type { DeviceNode } from '@echo-loom/core';
import type { Bundle } from './parts';
import type { RowGroup } from './rows';

/** Which devices stand inside a folded group: its sources, and what only carries one of them onward. */
export const foldedDevices = (
  ordered: readonly DeviceNode[],
  rows: readonly RowGroup[],
  folded: ReadonlySet<string>,
  back: ReadonlySet<string>,
): ReadonlyMap<string, string> => {
  const inside = new Map<string, string>();
  for (const { id, sources } of rows)
    if (folded.has(id)) for (const { node } of sources) inside.set(node.id, id);

  for (const node of ordered) {
    if (inside.has(node.id)) continue;
    const edges = [...node.ports.values()].flatMap(({ links }) => links);
    const arriving = edges.filter(({ id, to }) => to.device === node && !back.has(id));
    const leaving = edges.filter(({ from }) => from.device === node);
    const [only] = arriving;
    const group = only && inside.get(only.from.device.id);
    if (arriving.length === 1 && leaving.length === 1 && group !== undefined)
      inside.set(node.id, group);
  }
  return inside;
};

/** The threads that leave a folded group, one for each device they lead to. */
export const bundles = (
  members: readonly DeviceNode[],
  inside: ReadonlyMap<string, string>,
  back: ReadonlySet<string>,
): Bundle[] => {
  const byEnd = new Map<string, Bundle>();
  for (const node of members)
    for (const port of node.ports.values())
      for (const edge of port.links) {
        if (edge.from !== port) continue;
        const end = edge.to.device.id;
        if (inside.get(end) === inside.get(node.id)) continue;
        const key = back.has(edge.id) ? `back to ${end}` : end;
        const known = byEnd.get(key);
        byEnd.set(key, known ? [...known, edge] : [edge]);
      }
  return [...byEnd.values()];
};
