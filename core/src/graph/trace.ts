import type { Device, Route } from '../rig';
import {
  type DeviceNode,
  type Graph,
  isIdle,
  isOpen,
  type LinkEdge,
  type PortNode,
  type RouteOfModel,
} from './compile';

export type Signal = 'picture' | 'sound';

/**
 * A point a signal passes: it begins at a source, arrives over a link, or leaves by an inner route.
 * Stages form a tree from each
 * source; the way from the root to a stage is the way the signal took.
 */
export interface Stage {
  /** Position in `Traced.stages`; a parent always stands before its children */
  readonly index: number;
  readonly signal: Signal;
  readonly at: PortNode;
  readonly parent: Stage | null;
  readonly via: { readonly by: 'source' } | LinkEdge['via'] | RouteOfModel['via'];
  /** How many ways this source's signal has reached this port, this one counted */
  readonly way: number;
}

/** One signal from its source to one destination. */
export interface Thread {
  readonly id: string;
  readonly signal: Signal;
  readonly source: PortNode;
  readonly end: PortNode;
  /** The last stage; `stagesOf` walks back from it */
  readonly last: Stage;
}

/** Every stage of one source's signal: they stand together, the source first. */
export interface Walk {
  /** Position in `Traced.walks` */
  readonly index: number;
  readonly signal: Signal;
  /** Position of its first stage in `Traced.stages` */
  readonly from: number;
  /** Position behind its last */
  readonly to: number;
}

export interface Traced {
  readonly stages: readonly Stage[];
  /** In the order of their sources; picture before sound where a port is both */
  readonly walks: readonly Walk[];
  readonly threads: readonly Thread[];
  /** Sources whose signal reaches no destination */
  readonly lost: readonly { readonly signal: Signal; readonly source: PortNode }[];
  /** Ports where a signal came together from more ways than are followed; never silent */
  readonly cut: ReadonlySet<PortNode>;
}

/**
 * How many ways one source's signal is followed into the same port. More parallel ways than this
 * are counted, not followed.
 */
const WAYS_PER_PORT = 4;

const portCarries = ({ port }: PortNode, signal: Signal): boolean => {
  switch (port.family) {
    case 'analogue':
    case 'digital sound':
      return signal === 'sound';
    case 'picture':
      return signal === 'picture' || port.carriesSound;
    case 'usb':
    case 'network':
    case 'software':
      return true;
  }
};

/** Whether a signal that comes in by a port ends there, or goes on inside its device. */
const takes = ({ port, routes }: PortNode, signal: Signal): boolean =>
  port.ends?.[signal] !== undefined || routes.some(({ route }) => route[signal] !== undefined);

/** The stages of a thread from its source to a stage. */
export const stagesOf = (last: Stage): Stage[] => {
  const stages: Stage[] = [];
  for (let at: Stage | null = last; at; at = at.parent) stages.push(at);
  return stages.reverse();
};

/** The first stage of the way to a stage: where its signal begins. */
export const sourceOf = (stage: Stage): Stage => {
  let at = stage;
  while (at.parent) at = at.parent;
  return at;
};

export const endName = (node: PortNode): string => `${node.device.id}.${node.id}`;

/** Its name is needed for one thread in a hundred, and made when it is asked for. */
class TracedThread implements Thread {
  constructor(
    readonly source: PortNode,
    readonly last: Stage,
  ) {}
  get signal(): Signal {
    return this.last.signal;
  }
  get end(): PortNode {
    return this.last.at;
  }
  get id(): string {
    return `${this.signal}:${endName(this.source)}>${endName(this.end)}${this.last.way > 1 ? `#${this.last.way}` : ''}`;
  }
}

/** Whether a signal has come through a bus that leaves its own source out. */
const passedMixMinus = (last: Stage): boolean => {
  for (let at: Stage | null = last; at; at = at.parent)
    if (at.via.by === 'route' && at.via.route.route.exceptSource) return true;
  return false;
};

/** Whether a signal ends at a port: a card that is not recording takes nothing. */
const endsAt = (
  { port, device }: PortNode,
  signal: Signal,
  deviceOf: (node: DeviceNode) => Device,
): boolean =>
  port.ends?.[signal] !== undefined && !(port.records && isIdle(deviceOf(device), port));

interface Exit {
  readonly out: PortNode;
  readonly via: RouteOfModel['via'];
}

/**
 * The outputs a signal leaves by that has arrived at an in-port. An output with nothing in it
 * counts only where the signal has no other way out,
 * and then one for each route: there a producer asks what it would carry.
 */
const exitsOf = (
  { routes, device }: PortNode,
  signal: Signal,
  deviceOf: (node: DeviceNode) => Device,
  opens: Opens,
): readonly Exit[] => {
  const wired: Exit[] = [];
  const unplugged: Exit[] = [];
  for (const { route, via } of routes) {
    if (!route[signal] || (route.when && !opens(deviceOf(device), route))) continue;
    for (const to of route.to) {
      const out = device.ports.get(to);
      if (!out) continue;
      if (out.links.length > 0 || endsAt(out, signal, deviceOf)) wired.push({ out, via });
      else if (wired.length === 0 && unplugged.at(-1)?.via !== via) unplugged.push({ out, via });
    }
  }
  return wired.length > 0 ? wired : unplugged;
};

/** How a way goes through a port. */
const CAME_IN = 1;
const WENT_OUT = 2;

const BY_SOURCE = { by: 'source' } as const;

/** Where signals begin in a device, in the order of their ids: a file may write its ports in any. */
const sourcesOf = ({ ports }: DeviceNode): readonly PortNode[] => {
  const sources = ports.values().filter(({ port }) => port.emits !== undefined);
  return sources.length < 2 ? sources : [...sources].sort((a, b) => (a.id < b.id ? -1 : 1));
};

/** Whether a route is open. */
type Opens = (device: Device, route: Route) => boolean;

/**
 * Walks every signal from every source through links and open routes to where it ends.
 * @param deviceOf the device of a node, for the settings that open and close its routes
 * @param opens whether a route is open; as it is set, unless something else is asked for
 */
export const trace = (
  graph: Graph,
  deviceOf: (node: DeviceNode) => Device,
  opens: Opens = isOpen,
): Traced => {
  const stages: Stage[] = [];
  const walks: Walk[] = [];
  const threads: Thread[] = [];
  const lost: { signal: Signal; source: PortNode }[] = [];
  const cut = new Set<PortNode>();
  /**
   * By port: visits of the present source, the source that made them, and whether the way walked
   * just now goes through it.
   */
  const visits = new Int32Array(graph.ports.length);
  const visitedBy = new Int32Array(graph.ports.length).fill(-1);
  const isOnWay = new Uint8Array(graph.ports.length);
  let root = 0;
  let signal: Signal = 'picture';
  let source: PortNode;

  const step = (at: PortNode, parent: Stage | null, via: Stage['via']): void => {
    const way = visitedBy[at.index] === root ? (visits[at.index] ?? 0) + 1 : 1;
    visitedBy[at.index] = root;
    visits[at.index] = way;
    if (way > WAYS_PER_PORT) {
      cut.add(at);
      return;
    }
    const stage: Stage = { index: stages.length, signal, at, parent, via, way };
    stages.push(stage);
    // A headset's own voice does not come to it without a way; a camera's picture is on its own card.
    if ((parent !== null || at.port.records) && endsAt(at, signal, deviceOf))
      threads.push(new TracedThread(source, stage));
    // A socket that sends both ways is come in by and gone out by once each.
    const marks = isOnWay[at.index] ?? 0;
    isOnWay[at.index] = marks | (via.by === 'link' ? CAME_IN : WENT_OUT);
    // What begins at a port may also go on inside its device: a USB microphone lets its talker hear themself.
    if (via.by !== 'route') arrive(stage);
    if (via.by !== 'link') leave(stage);
    isOnWay[at.index] = marks;
  };
  /** Ways out of each in-port, found once however many sources come by. */
  const exits: Record<Signal, (readonly Exit[] | undefined)[]> = {
    picture: new Array(graph.ports.length),
    sound: new Array(graph.ports.length),
  };
  const arrive = (stage: Stage): void => {
    const { index } = stage.at;
    for (const { out, via } of (exits[signal][index] ??= exitsOf(
      stage.at,
      signal,
      deviceOf,
      opens,
    )))
      if (((isOnWay[out.index] ?? 0) & WENT_OUT) === 0) step(out, stage, via);
  };
  const leave = (stage: Stage): void => {
    const { at } = stage;
    if (at.links.length === 0 || !portCarries(at, signal)) return;
    for (const link of at.links) {
      // Only USB and network sockets send both ways over one link.
      if (link.from !== at && at.port.direction !== 'both') continue;
      const far = link.from === at ? link.to : link.from;
      // What comes back over USB goes only to what can do something with it: a webcam has no ears.
      if (link.from !== at && !takes(far, signal)) continue;
      if (((isOnWay[far.index] ?? 0) & CAME_IN) !== 0 || !portCarries(far, signal)) continue;
      if (far.device === source.device && passedMixMinus(stage)) continue;
      step(far, stage, link.via);
    }
  };
  const follow = (from: PortNode, what: Signal): void => {
    source = from;
    signal = what;
    const before = threads.length;
    const first = stages.length;
    step(from, null, BY_SOURCE);
    walks.push({ index: root, signal, from: first, to: stages.length });
    if (threads.length === before) lost.push({ signal, source });
    root++;
  };

  for (const device of graph.devices.values())
    for (const node of sourcesOf(device)) {
      if (node.port.records && isIdle(deviceOf(device), node.port)) continue;
      if (node.port.emits?.picture) follow(node, 'picture');
      if (node.port.emits?.sound) follow(node, 'sound');
    }
  return { stages, walks, threads, lost, cut };
};
