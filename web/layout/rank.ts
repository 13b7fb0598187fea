import { STEPS, type Analysis, type DeviceNode, type LinkEdge } from '@echo-loom/core';

/** Steps leave room for devices of the same step one after another. */
export const STEP_SPAN = 100;
const stepRank = (node: DeviceNode): number => STEPS.indexOf(node.model.step) * STEP_SPAN;

export interface Ranked {
  readonly rank: ReadonlyMap<string, number>;
  /** Links that run against the order: back to a source, or round a loop */
  readonly back: ReadonlySet<string>;
}

/** Puts every device after what feeds it, at its own step or later. Links back to a source are ways back. */
export const rankDevices = (analysis: Analysis): Ranked => {
  const rank = new Map<string, number>();
  const back = new Set<string>();
  const open = new Set<string>();
  const incoming = new Map<string, LinkEdge[]>();
  for (const edge of analysis.graph.links.values()) {
    if (edge.to.device.model.step === 'source') {
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
    const isFed = (incoming.get(node.id) ?? []).length > 0;
    const sends = node.ports.values().some((port) => port.links.some(({ from }) => from === port));
    // A pack that is only talked into begins a thread, though ears stand last.
    let own = node.model.step === 'hear and see' && !isFed && sends ? 0 : stepRank(node);
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
