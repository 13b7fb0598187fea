import type { Analysis } from '../analyse';
import { type Size, tooSmall } from '../passes/picture/size';
import { eachPicture } from '../passes/stages';
import { type Device, mate, type Port, type Rig } from '../rig';
import { cable, type CableId } from '../rig/links/cables';
import { formatName, parseFormat } from '../units';

/** A rig in which the narrow places are thought away, to see what stands behind them. It is never kept. */

const withPort = (device: Device, portId: string, port: Port): Device => ({
  ...device,
  model: { ...device.model, ports: { ...device.model.ports, [portId]: port } },
});

/** A picture socket that takes every format and every load. */
const wide = (port: Port): Port =>
  port.family === 'picture' ? { ...port, accepts: undefined, maxPayloadGbps: Infinity } : port;

/** Every inner way of a picture with a scaler. */
const withScalers = (device: Device): Device => ({
  ...device,
  model: {
    ...device.model,
    routes: Object.fromEntries(
      Object.entries(device.model.routes).map(([id, route]) => [
        id,
        route.picture?.does === 'house format'
          ? { ...route, picture: { ...route.picture, scaler: true } }
          : route,
      ]),
    ),
  },
});

/** A format that its control does not offer, chosen. */
const withFormat = (device: Device, control: string, value: string): Device => {
  const choice = device.model.controls[control];
  if (choice?.type !== 'choice') return device;
  const options = [...choice.options, { value, label: formatName(parseFormat(value)) }];
  return {
    ...device,
    settings: { ...device.settings, [control]: value },
    model: {
      ...device.model,
      controls: { ...device.model.controls, [control]: { ...choice, options } },
    },
  };
};

/** The class of cable that carries most between two sockets. */
const fastest = (from: Port, to: Port): CableId | undefined => {
  const mating = mate(wide(from), wide(to));
  return mating.can
    ? [...mating.cables].sort(
        (a, b) => (cable(b).maxGbps ?? Infinity) - (cable(a).maxGbps ?? Infinity),
      )[0]
    : undefined;
};

class Lifting {
  private readonly devices: Record<string, Device>;
  private readonly links: Record<string, Rig['links'][string]>;
  isChanged = false;

  constructor(private readonly rig: Rig) {
    this.devices = { ...rig.devices };
    this.links = { ...rig.links };
  }

  device(id: string, change: (device: Device) => Device): void {
    const device = this.devices[id];
    if (!device) return;
    this.devices[id] = change(device);
    this.isChanged = true;
  }

  widen(deviceId: string, portId: string): void {
    this.device(deviceId, (device) => {
      const port = device.model.ports[portId];
      return port ? withPort(device, portId, wide(port)) : device;
    });
  }

  faster(linkId: string, from: Port, to: Port): void {
    const link = this.links[linkId];
    const kind = fastest(from, to);
    if (!link || kind === undefined || kind === link.cable.kind) return;
    this.links[linkId] = { ...link, cable: { ...link.cable, kind } };
    this.isChanged = true;
  }

  result(): Rig {
    return { ...this.rig, devices: this.devices, links: this.links };
  }
}

/**
 * The rig with every place thought away that stops a picture or cannot be set to a size.
 * @returns null where there is none
 */
export const lifted = (analysis: Analysis, size: Size): Rig | null => {
  const lifting = new Lifting(analysis.rig);
  eachPicture(analysis, (stage, { stop }) => {
    const before = stage.parent ? analysis.picture[stage.parent.index] : undefined;
    if (!stop || before?.stop || stop.by === 'no supply') return;
    if (stage.via.by !== 'link') {
      lifting.device(stage.at.device.id, withScalers);
      return;
    }
    const { id, from, to } = stage.via.link;
    lifting.widen(from.device.id, from.id);
    lifting.widen(to.device.id, to.id);
    if (stop.by === 'cable') lifting.faster(id, from.port, to.port);
  });
  for (const { deviceId, control, wanted } of tooSmall(analysis.rig, size))
    lifting.device(deviceId, (device) => withFormat(device, control, wanted));
  return lifting.isChanged ? lifting.result() : null;
};
