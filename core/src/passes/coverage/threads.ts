import type { DeviceNode, Signal, Thread } from '../../graph';
import { entry, inOrder, type Kind, type Rig } from '../../rig';
import type { Measured } from '../measure';

export const CAMERAS: ReadonlySet<Kind> = new Set(['camera', 'webcam', 'phone']);

/** Kinds that write a file; of wireless transmitters those that have a card. */
export const RECORDS: ReadonlySet<Kind> = new Set(['recording', 'recorder', 'camera', 'wireless']);

export const DELIVERS: ReadonlySet<Kind> = new Set(['stream', ...RECORDS]);

export const SCREENS: ReadonlySet<Kind> = new Set(['display', 'prompter']);

export const EARS: ReadonlySet<Kind> = new Set(['headphones']);

export const kindOf = (node: DeviceNode): Kind => node.model.kind;

/** What a device is called. */
export const nameIn = ({ measured }: Pick<Index, 'measured'>, node: DeviceNode): string =>
  measured.device(node).name;

export const names = (index: Pick<Index, 'measured'>, nodes: readonly DeviceNode[]): string =>
  [...new Set(nodes.map((node) => nameIn(index, node)))].join(', ');

/** Threads with something in them: a picture that has not been stopped, a sound whose level is not dead. */
const isAlive = (measured: Measured, thread: Thread): boolean =>
  thread.signal === 'picture'
    ? measured.picture[thread.last.index]?.format !== null
    : measured.sound[thread.last.index]?.unknown?.what !== 'phantom power';

export interface Index {
  readonly measured: Measured;
  readonly bySource: ReadonlyMap<DeviceNode, readonly Thread[]>;
  readonly byEnd: ReadonlyMap<DeviceNode, readonly Thread[]>;
}

export const indexed = (measured: Measured): Index => {
  const bySource = new Map<DeviceNode, Thread[]>();
  const byEnd = new Map<DeviceNode, Thread[]>();
  const put = (map: Map<DeviceNode, Thread[]>, node: DeviceNode, thread: Thread): void => {
    const threads = map.get(node);
    if (threads) threads.push(thread);
    else map.set(node, [thread]);
  };
  for (const thread of measured.traced.threads) {
    if (!isAlive(measured, thread)) continue;
    put(bySource, thread.source.device, thread);
    put(byEnd, thread.end.device, thread);
  }
  return { measured, bySource, byEnd };
};

export const from = (
  { bySource }: Index,
  nodes: readonly DeviceNode[],
  signal: Signal,
  ends: ReadonlySet<Kind>,
): Thread[] =>
  nodes.flatMap((node) =>
    (bySource.get(node) ?? []).filter(
      (thread) => thread.signal === signal && ends.has(kindOf(thread.end.device)),
    ),
  );

export const nodesWhere = (
  { measured }: Index,
  test: (node: DeviceNode) => boolean,
): DeviceNode[] => [...measured.graph.devices.values()].filter(test);

/** Where a person's voice begins: microphones given to them that emit sound, or their call. */
export const voiceSources = (measured: Measured, personId: string): DeviceNode[] =>
  [...measured.graph.devices.values()].filter(
    (node) =>
      measured.device(node).personId === personId &&
      node.ports.values().some(({ port }) => port.emits?.sound),
  );

export const remotes = (rig: Rig): string[] =>
  inOrder(rig.people)
    .filter(([, { where, isHeard }]) => where === 'remote' && isHeard)
    .map(([id]) => id);

/** People whose voice does not arrive at a device, by name. */
export const missingVoices = (
  index: Index,
  at: readonly DeviceNode[],
  people: readonly string[],
): string[] =>
  people
    .filter((id) => {
      const sources = new Set(voiceSources(index.measured, id));
      return !at.some((node) =>
        (index.byEnd.get(node) ?? []).some(
          (thread) => thread.signal === 'sound' && sources.has(thread.source.device),
        ),
      );
    })
    .map((id) => entry(index.measured.rig.people, id)?.name ?? id);
