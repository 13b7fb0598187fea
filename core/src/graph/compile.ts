import type { Device, End, Link, Model, Port, Rig, Route } from '../rig';
import { entry, inOrder, settingOf } from '../rig';

/** A port of a device in the compiled rig. */
export interface PortNode {
  /** Position in `Graph.ports`, for arrays indexed by port */
  readonly index: number;
  readonly device: DeviceNode;
  readonly id: string;
  readonly port: Port;
  readonly links: readonly LinkEdge[];
  /** Routes that begin at this port */
  readonly routes: readonly RouteOfModel[];
}

/**
 * A device as far as its model and its plugs go. What it is called, whose it is and how it is set
 * stands in the rig: an edit of those leaves the graph alone, and one graph serves many analyses.
 */
export interface DeviceNode {
  /** Position in the order of the rig's devices */
  readonly index: number;
  readonly id: string;
  readonly model: Model;
  readonly ports: DevicePorts;
}

/** The ports of a device, by id and in the order of its model. */
export interface DevicePorts<P extends PortNode = PortNode> {
  get(portId: string): P | undefined;
  values(): readonly P[];
}

export interface LinkEdge {
  readonly id: string;
  readonly link: Link;
  readonly from: PortNode;
  readonly to: PortNode;
  /** This link as a way a signal takes: one object for every stage that arrives by it */
  readonly via: { readonly by: 'link'; readonly link: LinkEdge };
}

export interface RouteOfModel {
  readonly id: string;
  readonly route: Route;
  /** Carries sound and does nothing to it: no gain, noise, conversion or limit */
  readonly isUnity: boolean;
  /** This route as a way a signal takes: one object for every stage that leaves by it */
  readonly via: { readonly by: 'route'; readonly route: RouteOfModel };
}

/** The rig with every reference resolved: ports, links and inner routes, apart from all settings. */
export interface Graph {
  /** In the order they were added to the rig */
  readonly devices: ReadonlyMap<string, DeviceNode>;
  readonly ports: readonly PortNode[];
  readonly links: ReadonlyMap<string, LinkEdge>;
}

const NO_ROUTES: readonly RouteOfModel[] = [];
const NO_LINKS: readonly LinkEdge[] = [];

const CHANGES_NOTHING = new Set(['passesPhantom', 'keepsApart']);

class CompiledRoute implements RouteOfModel {
  readonly via = { by: 'route', route: this } as const;
  readonly isUnity: boolean;
  constructor(
    readonly id: string,
    readonly route: Route,
  ) {
    this.isUnity =
      route.sound !== undefined &&
      Object.keys(route.sound).every((key) => CHANGES_NOTHING.has(key));
  }
}

class CompiledLink implements LinkEdge {
  readonly via = { by: 'link', link: this } as const;
  constructor(
    readonly id: string,
    readonly link: Link,
    readonly from: PortNode,
    readonly to: PortNode,
  ) {}
}

/** Most ports of a rig hold no plug, so a port gets a list of its own with its first link. */
class CompiledPort implements PortNode {
  private plugs: LinkEdge[] | null = null;
  constructor(
    readonly index: number,
    readonly device: DeviceNode,
    readonly id: string,
    readonly port: Port,
    readonly routes: readonly RouteOfModel[],
  ) {}
  get links(): readonly LinkEdge[] {
    return this.plugs ?? NO_LINKS;
  }
  plug(edge: LinkEdge): void {
    if (this.plugs) this.plugs.push(edge);
    else this.plugs = [edge];
  }
}

/** Routes by the port they begin at. Models are immutable and shared from edit to edit, so each is indexed once. */
const routeIndex = new WeakMap<Model, ReadonlyMap<string, readonly RouteOfModel[]>>();
const routesByPort = (model: Model): ReadonlyMap<string, readonly RouteOfModel[]> => {
  const known = routeIndex.get(model);
  if (known) return known;
  const index = new Map<string, RouteOfModel[]>();
  for (const id of Object.keys(model.routes).sort()) {
    const route = entry(model.routes, id);
    if (!route) continue;
    const compiled = new CompiledRoute(id, route);
    for (const from of route.from) {
      const routes = index.get(from);
      if (routes) routes.push(compiled);
      else index.set(from, [compiled]);
    }
  }
  routeIndex.set(model, index);
  return index;
};

interface PortIndex {
  readonly entries: readonly (readonly [string, Port])[];
  /** Position of a port in `entries`, by its id */
  readonly at: ReadonlyMap<string, number>;
}
const portIndexes = new WeakMap<Model, PortIndex>();
const portsOf = (model: Model): PortIndex => {
  const known = portIndexes.get(model);
  if (known) return known;
  const entries = Object.entries(model.ports);
  const index = { entries, at: new Map(entries.map(([id], position) => [id, position])) };
  portIndexes.set(model, index);
  return index;
};

/** Looks ports up by the index of their model, so that no device needs one of its own. */
class CompiledPorts implements DevicePorts<CompiledPort> {
  readonly list: CompiledPort[] = [];
  constructor(private readonly at: PortIndex['at']) {}
  get(portId: string): CompiledPort | undefined {
    const position = this.at.get(portId);
    return position === undefined ? undefined : this.list[position];
  }
  values(): readonly CompiledPort[] {
    return this.list;
  }
}

/** Whether a route is open under the device's present settings. */
export const isOpen = (device: Device, route: Route): boolean =>
  route.when === undefined || settingOf(device, route.when.control) === route.when.is;

/** Whether there is a plug in the hole a port is: a combo socket has several names. */
export const isSocketHeld = ({ port: { socket }, links, device }: PortNode): boolean =>
  links.length > 0 ||
  (socket !== undefined &&
    device.ports.values().some((other) => other.port.socket === socket && other.links.length > 0));

/** Whether a port would make a file of what ends there, and does not: then nothing begins or ends there. */
export const isIdle = (device: Device, { records }: Port): boolean =>
  records !== undefined && records.control !== null && settingOf(device, records.control) !== true;

/** Links in the order of their ids. The collection is immutable and most edits leave it alone, so it is sorted once. */
const sortedLinks = new WeakMap<Rig['links'], readonly (readonly [string, Link])[]>();
const linksInOrder = (links: Rig['links']): readonly (readonly [string, Link])[] => {
  const known = sortedLinks.get(links);
  if (known) return known;
  const sorted = Object.entries(links).sort(([a], [b]) => (a < b ? -1 : 1));
  sortedLinks.set(links, sorted);
  return sorted;
};

/**
 * Where the ends of every link stand, as positions in the lists of devices and of their models'
 * ports: four numbers a link.
 */
interface Places {
  readonly ids: readonly string[];
  readonly models: readonly Model[];
  readonly at: Int32Array;
}

/**
 * By the collection of links. Most edits change neither links nor models, and then nothing has to
 * be looked up by name again.
 */
const knownPlaces = new WeakMap<Rig['links'], Places>();
const isStill = (
  { ids, models }: Places,
  devices: readonly (readonly [string, Model])[],
): boolean =>
  ids.length === devices.length &&
  devices.every(([id, model], index) => ids[index] === id && models[index] === model);

const placesOf = (
  links: Rig['links'],
  devices: readonly (readonly [string, Model])[],
): Int32Array => {
  const known = knownPlaces.get(links);
  if (known && isStill(known, devices)) return known.at;
  const position = new Map(devices.map(([id], index) => [id, index]));
  const sorted = linksInOrder(links);
  const at = new Int32Array(sorted.length * 4);
  const put = (end: End, place: number): void => {
    const device = position.get(end.deviceId) ?? -1;
    const model = devices[device]?.[1];
    at[place] = device;
    at[place + 1] = model ? (portsOf(model).at.get(end.portId) ?? -1) : -1;
  };
  sorted.forEach(([, link], index) => {
    put(link.from, index * 4);
    put(link.to, index * 4 + 2);
  });
  knownPlaces.set(links, {
    ids: devices.map(([id]) => id),
    models: devices.map(([, model]) => model),
    at,
  });
  return at;
};

/**
 * Only models and links are read.
 * @param rig consistent: every link's ends exist @param inRig its devices, in their order
 */
export const compile = (
  rig: Pick<Rig, 'devices' | 'links'>,
  inRig: ReadonlyMap<string, Pick<Device, 'model'>> = new Map(inOrder(rig.devices)),
): Graph => {
  const devices = new Map<string, Omit<DeviceNode, 'ports'> & { readonly ports: CompiledPorts }>();
  const ports: PortNode[] = [];
  const ordered = [...inRig].map(([id, { model }]) => [id, model] as const);
  const portLists: CompiledPort[][] = [];
  for (const [id, model] of ordered) {
    const index = portsOf(model);
    const routes = routesByPort(model);
    const node = {
      index: devices.size,
      id,
      model,
      ports: new CompiledPorts(index.at),
    };
    for (const [portId, port] of index.entries) {
      const portNode = new CompiledPort(
        ports.length,
        node,
        portId,
        port,
        routes.get(portId) ?? NO_ROUTES,
      );
      node.ports.list.push(portNode);
      ports.push(portNode);
    }
    portLists.push(node.ports.list);
    devices.set(id, node);
  }
  const places = placesOf(rig.links, ordered);
  const portAt = (place: number): CompiledPort | undefined =>
    portLists[places[place] ?? -1]?.[places[place + 1] ?? -1];
  const links = new Map<string, LinkEdge>();
  linksInOrder(rig.links).forEach(([id, link], index) => {
    const from = portAt(index * 4);
    const to = portAt(index * 4 + 2);
    if (!from || !to) return;
    const edge = new CompiledLink(id, link, from, to);
    links.set(id, edge);
    from.plug(edge);
    to.plug(edge);
  });
  return { devices, ports, links };
};
