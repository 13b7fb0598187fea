import {
  type Analysis,
  type DeviceNode,
  type LinkEdge,
  stagesOf,
  type Thread,
} from '@echo-loom/core';
import type { Shown } from '@/layout/parts';
import { isFiltered, type LoomFilter } from '@/features/chosen/filter';
import { worstByItem } from './marks';

/** The devices and cables of a thread, from its source to its end. */
export const itemsOf = (thread: Thread): { devices: DeviceNode[]; links: LinkEdge[] } => {
  const devices: DeviceNode[] = [];
  const links: LinkEdge[] = [];
  for (const { at, via } of stagesOf(thread.last)) {
    if (devices.at(-1) !== at.device) devices.push(at.device);
    if (via.by === 'link') links.push(via.link);
  }
  return { devices, links };
};

/** The threads a filter leaves. */
export const threadsBy = (analysis: Analysis, filter: LoomFilter): readonly Thread[] => {
  if (!isFiltered(filter)) return analysis.traced.threads;
  const marked = filter.onlyFindings ? worstByItem(analysis) : null;
  const isMarked = (kind: 'device' | 'link', id: string) => marked?.has(`${kind}:${id}`) ?? true;
  return analysis.traced.threads.filter((thread) => {
    if (filter.signal !== null && thread.signal !== filter.signal) return false;
    const { devices, links } = itemsOf(thread);
    if (filter.deviceId !== null && !devices.some(({ id }) => id === filter.deviceId)) return false;
    const ends = [devices[0], devices.at(-1)];
    if (filter.personId !== null && !ends.some((node) => isOf(analysis, node, filter.personId)))
      return false;
    return (
      devices.some(({ id }) => isMarked('device', id)) ||
      links.some(({ id }) => isMarked('link', id))
    );
  });
};

const isOf = (analysis: Analysis, node: DeviceNode | undefined, personId: string | null): boolean =>
  node !== undefined && analysis.device(node).personId === personId;

/**
 * The part of a rig a filter leaves, with whole threads only, so that no line ends in the air.
 * @returns null where nothing is filtered
 */
export const shownBy = (
  analysis: Analysis,
  filter: LoomFilter,
): (Shown & { readonly threads: number }) | null => {
  if (!isFiltered(filter)) return null;
  const threads = threadsBy(analysis, filter);
  const devices = new Set<string>();
  const links = new Set<string>();
  for (const thread of threads) {
    const way = itemsOf(thread);
    for (const { id } of way.devices) devices.add(id);
    for (const { id } of way.links) links.add(id);
  }

  // What is on no thread, such as a microphone nobody has connected, answers for itself.
  const marked = filter.onlyFindings ? worstByItem(analysis) : null;
  const onThreads = new Set(
    analysis.traced.threads.flatMap((thread) => itemsOf(thread).devices.map(({ id }) => id)),
  );
  for (const node of analysis.graph.devices.values()) {
    if (onThreads.has(node.id) || filter.signal !== null) continue;
    if (filter.deviceId !== null && node.id !== filter.deviceId) continue;
    if (filter.personId !== null && !isOf(analysis, node, filter.personId)) continue;
    if (marked?.has(`device:${node.id}`) ?? true) devices.add(node.id);
  }
  return { devices, links, threads: threads.length };
};
