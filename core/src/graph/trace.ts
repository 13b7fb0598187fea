import { isOpen, type Graph, type LinkEdge, type PortNode, type RouteOfModel } from './compile';

export type Signal = 'picture' | 'sound';

/**
 * A point a signal passes: it begins at a source, arrives over a link, or leaves by an inner route. Stages form a tree from each
 * source; the way from the root to a stage is the way the signal took.
 */
export interface Stage {
  /** Position in `Traced.stages`; a parent always stands before its children */
  readonly index: number;
  readonly signal: Signal;
  readonly at: PortNode;
  readonly parent: Stage | null;
  readonly via: { readonly by: 'source' } | { readonly by: 'link'; readonly link: LinkEdge } | { readonly by: 'route'; readonly route: RouteOfModel };
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

export interface Traced {
  readonly stages: readonly Stage[];
  readonly threads: readonly Thread[];
  /** Sources whose signal reaches no destination */
  readonly lost: readonly { readonly signal: Signal; readonly source: PortNode }[];
  /** Ports where a signal came together from more ways than are followed; never silent */
  readonly cut: ReadonlySet<PortNode>;
}

/** How many ways one source's signal is followed into the same port. More parallel ways than this are counted, not followed. */
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

const isOnPath = (stage: Stage | null, port: PortNode): boolean => {
  for (let at = stage; at; at = at.parent) if (at.at === port) return true;
  return false;
};

/** The stages of a thread from its source to a stage. */
export const stagesOf = (last: Stage): Stage[] => {
  const stages: Stage[] = [];
  for (let at: Stage | null = last; at; at = at.parent) stages.push(at);
  return stages.reverse();
};

export const endName = (node: PortNode): string => `${node.device.id}.${node.id}`;

/** Walks every signal from every source through links and open routes to where it ends. */
export const trace = (graph: Graph): Traced => {
  const stages: Stage[] = [];
  const threads: Thread[] = [];
  const lost: { signal: Signal; source: PortNode }[] = [];
  const cut = new Set<PortNode>();
  const visits = new Int32Array(graph.ports.length);
  const visitedBy = new Int32Array(graph.ports.length).fill(-1);

  const follow = (source: PortNode, signal: Signal, root: number): void => {
    const threadsBefore = threads.length;
    const waysTo = new Map<PortNode, number>();
    const step = (at: PortNode, parent: Stage | null, via: Stage['via']): void => {
      if (visitedBy[at.index] !== root) {
        visitedBy[at.index] = root;
        visits[at.index] = 0;
      }
      const visit = (visits[at.index] ?? 0) + 1;
      visits[at.index] = visit;
      if (visit > WAYS_PER_PORT) {
        cut.add(at);
        return;
      }
      const stage: Stage = { index: stages.length, signal, at, parent, via };
      stages.push(stage);
      if (at.port.ends?.[signal]) end(stage);
      if (via.by === 'link') arrive(stage);
      else leave(stage);
    };
    const end = (stage: Stage): void => {
      const way = (waysTo.get(stage.at) ?? 0) + 1;
      waysTo.set(stage.at, way);
      threads.push({ id: `${signal}:${endName(source)}>${endName(stage.at)}${way > 1 ? `#${way}` : ''}`, signal, source, end: stage.at, last: stage });
    };
    const arrive = (stage: Stage): void => {
      for (const candidate of stage.at.routes) {
        if (!candidate.route[signal] || !isOpen(stage.at.device.device, candidate.route)) continue;
        for (const to of candidate.route.to) {
          const out = stage.at.device.ports.get(to);
          if (out && !isOnPath(stage, out)) step(out, stage, { by: 'route', route: candidate });
        }
      }
    };
    const leave = (stage: Stage): void => {
      for (const link of stage.at.links) {
        const far = link.from === stage.at ? link.to : link.from;
        // Only USB and network sockets send both ways over one link.
        if (link.from !== stage.at && stage.at.port.direction !== 'both') continue;
        if (portCarries(stage.at, signal) && portCarries(far, signal) && !isOnPath(stage, far)) step(far, stage, { by: 'link', link });
      }
    };
    step(source, null, { by: 'source' });
    if (threads.length === threadsBefore) lost.push({ signal, source });
  };

  let root = 0;
  for (const node of graph.ports) {
    if (node.port.emits?.picture) follow(node, 'picture', root++);
    if (node.port.emits?.sound) follow(node, 'sound', root++);
  }
  return { stages, threads, lost, cut };
};
