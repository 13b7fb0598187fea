import { inOrder, type Analysis, type DeviceNode } from '@echo-loom/core';

/** By whom or where a source belongs, or by what it sends. */
export type Grouping = 'owner' | 'family';

export interface SourceRow {
  readonly node: DeviceNode;
}
export interface RowGroup {
  readonly id: string;
  readonly name: string;
  readonly sources: readonly SourceRow[];
}

const emitsPicture = (node: DeviceNode): boolean =>
  [...node.ports.values()].some(({ port }) => port.emits?.picture !== undefined);

/** What stands in the chain: lamps carry no signal, and have a view of their own. */
export const chainDevices = (analysis: Analysis): DeviceNode[] =>
  [...analysis.graph.devices.values()].filter(
    (node) => analysis.device(node).model.light === undefined,
  );

/**
 * The rows of the loom: every device that begins a thread, and every device nothing leads to, in groups.
 * @param back links that lead back to a source and so do not count as leading to it
 */
export const rowsOf = (
  analysis: Analysis,
  grouping: Grouping,
  back: ReadonlySet<string>,
): readonly RowGroup[] => {
  const fed = new Set<string>();
  const wired = new Set<string>();
  for (const edge of analysis.graph.links.values()) {
    wired.add(edge.from.device.id);
    wired.add(edge.to.device.id);
    if (!back.has(edge.id)) fed.add(edge.to.device.id);
  }
  const sources = chainDevices(analysis).filter(
    (node) => !fed.has(node.id) && (wired.has(node.id) || node.model.step === 'source'),
  );
  const loose = chainDevices(analysis).filter(
    (node) => !wired.has(node.id) && node.model.step !== 'source',
  );
  const { people, places } = analysis.rig;
  const groups: { id: string; name: string; holds: (node: DeviceNode) => boolean }[] =
    grouping === 'family'
      ? [
          { id: 'picture', name: 'Pictures', holds: emitsPicture },
          { id: 'sound', name: 'Sound', holds: (node) => !emitsPicture(node) },
        ]
      : [
          ...inOrder(people).map(([id, person]) => ({
            id: `person:${id}`,
            name: person.name,
            holds: (node: DeviceNode) => analysis.device(node).personId === id,
          })),
          ...inOrder(places).map(([id, place]) => ({
            id: `place:${id}`,
            name: place.name,
            holds: (node: DeviceNode) =>
              analysis.device(node).personId === null && analysis.device(node).placeId === id,
          })),
          {
            id: 'shared',
            name: 'Shared',
            holds: (node: DeviceNode) =>
              analysis.device(node).personId === null && analysis.device(node).placeId === null,
          },
        ];
  const rows = groups
    .map(({ id, name, holds }) => ({
      id,
      name,
      sources: sources.filter(holds).map((node) => ({ node })),
    }))
    .filter((group) => group.sources.length > 0);
  return loose.length
    ? [...rows, { id: 'loose', name: 'Not connected', sources: loose.map((node) => ({ node })) }]
    : rows;
};
