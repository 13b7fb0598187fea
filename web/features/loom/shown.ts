import {
  type Analysis,
  type DeviceNode,
  type LinkEdge,
  type Signal,
  stagesOf,
  type Thread,
} from '@echo-loom/core';
import { worstByItem } from './marks';

/** What of a rig is drawn: ids of devices and cables. */
export interface Shown {
  readonly devices: ReadonlySet<string>;
  readonly links: ReadonlySet<string>;
}

/** Which threads somebody wants to see; what is null asks for nothing. */
export interface LoomFilter {
  /** Whose voice or picture it is, or who hears or sees it */
  readonly personId: string | null;
  readonly signal: Signal | null;
  /** A device the thread passes */
  readonly deviceId: string | null;
  /** Only threads with a finding on their way */
  readonly onlyFindings: boolean;
}

export const NO_FILTER: LoomFilter = {
  personId: null,
  signal: null,
  deviceId: null,
  onlyFindings: false,
};

export const isFiltered = (filter: LoomFilter): boolean =>
  filter.personId !== null ||
  filter.signal !== null ||
  filter.deviceId !== null ||
  filter.onlyFindings;

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

/**
 * The part of a rig a filter leaves, with whole threads only, so that no line ends in the air.
 * @returns null where nothing is filtered
 */
export const shownBy = (
  analysis: Analysis,
  filter: LoomFilter,
): (Shown & { readonly threads: number }) | null => {
  if (!isFiltered(filter)) return null;
  const marked = filter.onlyFindings ? worstByItem(analysis) : null;
  const isMarked = (kind: 'device' | 'link', id: string) => marked?.has(`${kind}:${id}`) ?? true;
  const isOfPerson = (node: DeviceNode | undefined) =>
    node !== undefined && analysis.device(node).personId === filter.personId;

  const devices = new Set<string>();
  const links = new Set<string>();
  let threads = 0;
  for (const thread of analysis.traced.threads) {
    if (filter.signal !== null && thread.signal !== filter.signal) continue;
    const way = itemsOf(thread);
    const passes = way.devices.some(({ id }) => id === filter.deviceId);
    if (filter.deviceId !== null && !passes) continue;
    const belongs = isOfPerson(way.devices[0]) || isOfPerson(way.devices.at(-1));
    if (filter.personId !== null && !belongs) continue;
    const found =
      way.devices.some(({ id }) => isMarked('device', id)) ||
      way.links.some(({ id }) => isMarked('link', id));
    if (!found) continue;
    threads++;
    for (const { id } of way.devices) devices.add(id);
    for (const { id } of way.links) links.add(id);
  }

  // What is on no thread, such as a microphone nobody has connected, answers for itself.
  const onThreads = new Set(
    analysis.traced.threads.flatMap((thread) => itemsOf(thread).devices.map(({ id }) => id)),
  );
  for (const node of analysis.graph.devices.values()) {
    if (onThreads.has(node.id) || filter.signal !== null) continue;
    if (filter.deviceId !== null && node.id !== filter.deviceId) continue;
    if (filter.personId !== null && !isOfPerson(node)) continue;
    if (isMarked('device', node.id)) devices.add(node.id);
  }
  return { devices, links, threads };
};
