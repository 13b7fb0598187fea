import type { DeviceNode, PortNode, Signal, Thread } from '../../graph';
import { entry, inOrder, type Kind, type Rig } from '../../rig';
import deepEqual from 'fast-deep-equal';
import type { Measured } from '../measured';
import { pass } from '../pass';
import { eachSound } from '../stages';

export const CAMERAS: ReadonlySet<Kind> = new Set(['camera', 'webcam', 'phone']);

/** Kinds that write a file; of wireless transmitters those that have a card. */
const RECORDS: ReadonlySet<Kind> = new Set(['recording', 'recorder', 'camera', 'wireless']);

/** Whether a file is made of what arrives at a port: on a card, a drive, by a program or a service. */
export const writesFile = ({ port, device }: PortNode): boolean =>
  port.records !== undefined || (port.ends !== undefined && RECORDS.has(device.model.kind));

/** Whether what arrives at a port reaches somebody: the audience, or a file. */
export const delivers = (end: PortNode): boolean =>
  end.device.model.kind === 'stream' || writesFile(end);

const SCREENS: ReadonlySet<Kind> = new Set(['display', 'prompter']);

/** Whether what arrives at a port is looked at on site. */
export const isScreen = ({ device }: PortNode): boolean => SCREENS.has(device.model.kind);

export const EARS: ReadonlySet<Kind> = new Set(['headphones']);

export const kindOf = (node: DeviceNode): Kind => node.model.kind;

/** What a device is called. */
export const nameIn = ({ measured }: Pick<Index, 'measured'>, node: DeviceNode): string =>
  measured.device(node).name;

export const names = (index: Pick<Index, 'measured'>, nodes: readonly DeviceNode[]): string =>
  [...new Set(nodes.map((node) => nameIn(index, node)))].join(', ');

/** Stages that are dead for want of phantom power, by their index. */
const deadStages = pass(
  'dead stages',
  (measured): readonly number[] => {
    const dead: number[] = [];
    eachSound(measured, ({ index }, { unknown }) => {
      if (unknown?.what === 'power') dead.push(index);
    });
    return dead;
  },
  deepEqual,
);

/** Threads by where they begin and end. */
interface Threads {
  readonly bySource: ReadonlyMap<DeviceNode, readonly Thread[]>;
  readonly byEnd: ReadonlyMap<DeviceNode, readonly Thread[]>;
}

export interface Index extends Threads {
  readonly measured: Measured;
}

/** Threads with something in them: a picture that has not been stopped, a sound whose level is not dead. */
const liveThreads = pass('live threads', (measured): Threads => {
  const bySource = new Map<DeviceNode, Thread[]>();
  const byEnd = new Map<DeviceNode, Thread[]>();
  const put = (map: Map<DeviceNode, Thread[]>, node: DeviceNode, thread: Thread): void => {
    const threads = map.get(node);
    if (threads) threads.push(thread);
    else map.set(node, [thread]);
  };
  const { picture } = measured;
  const dead = new Set(deadStages(measured));
  for (const thread of measured.traced.threads) {
    const { index } = thread.last;
    if (thread.signal === 'picture' ? picture[index]?.format === null : dead.has(index)) continue;
    put(bySource, thread.source.device, thread);
    put(byEnd, thread.end.device, thread);
  }
  return { bySource, byEnd };
});

export const indexed = (measured: Measured): Index => ({ measured, ...liveThreads(measured) });

export const from = (
  { bySource }: Index,
  nodes: readonly DeviceNode[],
  signal: Signal,
  isEnd: (end: PortNode) => boolean,
): Thread[] =>
  nodes.flatMap((node) =>
    (bySource.get(node) ?? []).filter((thread) => thread.signal === signal && isEnd(thread.end)),
  );

export const nodesWhere = (
  { measured }: Index,
  test: (node: DeviceNode) => boolean,
): DeviceNode[] => [...measured.graph.devices.values()].filter(test);

/** Devices by the person they are given to, in the order of the rig. */
const devicesOfPeople = pass(
  'devices of people',
  (measured): ReadonlyMap<string, readonly DeviceNode[]> => {
    const given = new Map<string, DeviceNode[]>();
    for (const node of measured.graph.devices.values()) {
      const { personId } = measured.device(node);
      if (personId === null) continue;
      const nodes = given.get(personId);
      if (nodes) nodes.push(node);
      else given.set(personId, [node]);
    }
    return given;
  },
);

const NONE: readonly DeviceNode[] = [];

/** What is given to a person, in the order of the rig. */
export const givenTo = (measured: Measured, personId: string): readonly DeviceNode[] =>
  devicesOfPeople(measured).get(personId) ?? NONE;

/** Where a person's voice begins: microphones given to them that emit sound, or their call. */
export const voiceSources = (measured: Measured, personId: string): DeviceNode[] =>
  givenTo(measured, personId).filter((node) =>
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
