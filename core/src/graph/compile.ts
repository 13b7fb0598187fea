import type { Device, End, Link, Model, Port, Rig, Route } from '../rig';
import { entry, inOrder, settingOf } from '../rig';

/** A port of a device in the compiled rig. */
export interface PortNode {
  /** Position in `Graph.ports`, for arrays indexed by port */
  readonly index: number;
  readonly device: DeviceNode;
  readonly id: string;
  readonly port: Port;
  readonly links: LinkEdge[];
  /** Routes that begin at this port */
  readonly routes: readonly RouteOfModel[];
}

export interface DeviceNode {
  readonly id: string;
  readonly device: Device;
  readonly ports: ReadonlyMap<string, PortNode>;
}

export interface LinkEdge {
  readonly id: string;
  readonly link: Link;
  readonly from: PortNode;
  readonly to: PortNode;
}

export interface RouteOfModel {
  readonly id: string;
  readonly route: Route;
}

/** The rig with every reference resolved: ports, links and inner routes. */
export interface Graph {
  /** In the order they were added to the rig */
  readonly devices: ReadonlyMap<string, DeviceNode>;
  readonly ports: readonly PortNode[];
  readonly links: ReadonlyMap<string, LinkEdge>;
}

const NO_ROUTES: readonly RouteOfModel[] = [];

/** Routes by the port they begin at. Models are immutable and shared from edit to edit, so each is indexed once. */
const routeIndex = new WeakMap<Model, ReadonlyMap<string, readonly RouteOfModel[]>>();
const routesByPort = (model: Model): ReadonlyMap<string, readonly RouteOfModel[]> => {
  const known = routeIndex.get(model);
  if (known) return known;
  const index = new Map<string, RouteOfModel[]>();
  for (const id of Object.keys(model.routes).sort()) {
    const route = entry(model.routes, id);
    for (const from of route?.from ?? []) {
      const routes = index.get(from) ?? [];
      if (route) routes.push({ id, route });
      index.set(from, routes);
    }
  }
  routeIndex.set(model, index);
  return index;
};

/** Whether a route is open under the device's present settings. */
export const isOpen = (device: Device, route: Route): boolean =>
  route.when === undefined || settingOf(device, route.when.control) === route.when.is;

/** @param rig consistent: every link's ends exist */
export const compile = (rig: Rig): Graph => {
  const devices = new Map<string, DeviceNode>();
  const ports: PortNode[] = [];
  for (const [id, device] of inOrder(rig.devices)) {
    const own = new Map<string, PortNode>();
    const node: DeviceNode = { id, device, ports: own };
    const routes = routesByPort(device.model);
    for (const portId in device.model.ports) {
      const port = entry(device.model.ports, portId);
      if (!port) continue;
      const portNode: PortNode = { index: ports.length, device: node, id: portId, port, links: [], routes: routes.get(portId) ?? NO_ROUTES };
      own.set(portId, portNode);
      ports.push(portNode);
    }
    devices.set(id, node);
  }
  const at = (end: End) => devices.get(end.deviceId)?.ports.get(end.portId);
  const links = new Map<string, LinkEdge>();
  for (const id of Object.keys(rig.links).sort()) {
    const link = entry(rig.links, id);
    const from = link && at(link.from);
    const to = link && at(link.to);
    if (!from || !to) continue;
    const edge: LinkEdge = { id, link, from, to };
    links.set(id, edge);
    from.links.push(edge);
    to.links.push(edge);
  }
  return { devices, ports, links };
};
