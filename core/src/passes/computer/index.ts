import type { LinkEdge, PortNode } from '../../graph';
import { cable } from '../../rig/links/cables';
import type { Measured } from '../measure';

/** What one device puts on the USB, once, however many sources it carries. */
export interface UsbStream {
  readonly from: PortNode;
  readonly label: string;
  /** null where it cannot be told */
  readonly mBps: number | null;
}

/** A link, or a controller, and what runs through it. */
export interface UsbBranch {
  readonly streams: readonly UsbStream[];
  /** Sum of the known streams. @unit MB/s */
  readonly loadMBps: number;
  /** @unit MB/s */
  readonly limitMBps: number;
  /** @unit Gb/s */
  readonly gbps: number;
}
export interface UsbLinkBranch extends UsbBranch {
  readonly link: LinkEdge;
  /** What holds it to this speed */
  readonly slowest: 'socket' | 'cable' | 'device';
}
export interface UsbControllerBranch extends UsbBranch {
  readonly deviceId: string;
  readonly controller: string;
}
export interface UsbTree {
  readonly links: ReadonlyMap<string, UsbLinkBranch>;
  readonly controllers: readonly UsbControllerBranch[];
}

/**
 * What a USB link of a signalling rate really carries. USB 2.0: one isochronous endpoint, 3 × 1024 B × 8000/s.
 * @param gbps 0.48, 5 or 10 @returns MB/s @source handbook 3-picture
 */
export const usableMBps = (gbps: number): number => (gbps >= 10 ? 1000 : gbps >= 5 ? 400 : 24.576);

/** One channel of 24-bit sound at 48 kHz. @unit MB/s */
const SOUND_CHANNEL_MBPS = 0.144;

const sum = (streams: Iterable<UsbStream>): number => {
  let total = 0;
  for (const stream of streams) total += stream.mBps ?? 0;
  return total;
};

/**
 * The USB tree: every stream a device sends, on every link and controller it passes. A switcher's
 * six inputs reach the computer as the one
 * stream its USB output sends, so streams are counted where they are made, not by source.
 */
export const usbPass = (measured: Measured): UsbTree => {
  const { picture } = measured;
  const { stages } = measured.traced;
  const onLink = new Map<LinkEdge, Map<string, UsbStream>>();
  /** The stream a stage belongs to, by stage index. */
  const streamAt: ({ key: string; stream: UsbStream } | undefined)[] = new Array(stages.length);
  for (const stage of stages) {
    const { at, via, parent, signal } = stage;
    if (at.port.family !== 'usb') continue;
    const parentStream = parent ? streamAt[parent.index] : undefined;
    const relayed =
      via.by === 'route' && parent?.at.port.family === 'usb' && at.device.model.kind === 'hub';
    if (via.by === 'link') {
      streamAt[stage.index] = parentStream;
      if (!parentStream) continue;
      const streams = onLink.get(via.link) ?? new Map<string, UsbStream>();
      // Several sources may share one stream; a lost one among them must not hide its rate.
      if (
        (streams.get(parentStream.key)?.mBps ?? -1) <= (parentStream.stream.mBps ?? -1) ||
        !streams.has(parentStream.key)
      )
        streams.set(parentStream.key, parentStream.stream);
      onLink.set(via.link, streams);
    } else if (relayed) streamAt[stage.index] = parentStream;
    else if (signal === 'picture') {
      const mBps = picture[stage.index]?.streamMBps ?? null;
      streamAt[stage.index] = {
        key: `${at.index} picture`,
        stream: { from: at, label: `${measured.device(at.device).name}: picture`, mBps },
      };
    } else {
      const made = via.by === 'route' ? via.route.id : 'source';
      const channel = parent ? `${made}.${parent.at.id}` : made;
      streamAt[stage.index] = {
        key: `${at.index} ${channel}`,
        stream: {
          from: at,
          label: `${measured.device(at.device).name}: sound`,
          mBps: SOUND_CHANNEL_MBPS,
        },
      };
    }
  }

  const links = new Map<string, UsbLinkBranch>();
  const atController = new Map<
    string,
    { deviceId: string; controller: string; gbps: number; streams: Map<string, UsbStream> }
  >();
  for (const [link, streamsByKey] of onLink) {
    const { from, to } = link;
    if (from.port.family !== 'usb' || to.port.family !== 'usb') continue;
    const cableGbps = cable(link.link.cable.kind).maxGbps ?? Infinity;
    const gbps = Math.min(from.port.gbps, to.port.gbps, cableGbps);
    const slowest = to.port.gbps === gbps ? 'socket' : cableGbps === gbps ? 'cable' : 'device';
    const streams = [...streamsByKey.values()];
    links.set(link.id, {
      link,
      streams,
      loadMBps: sum(streams),
      limitMBps: usableMBps(gbps),
      gbps,
      slowest,
    });
    if (to.port.controller === undefined) continue;
    const key = `${to.device.id}.${to.port.controller}`;
    const branch = atController.get(key) ?? {
      deviceId: to.device.id,
      controller: to.port.controller,
      gbps: 0,
      streams: new Map<string, UsbStream>(),
    };
    for (const port of to.device.ports.values())
      if (port.port.family === 'usb' && port.port.controller === to.port.controller)
        branch.gbps = Math.max(branch.gbps, port.port.gbps);
    for (const [streamKey, stream] of streamsByKey) branch.streams.set(streamKey, stream);
    atController.set(key, branch);
  }
  const controllers = [...atController.values()].map(({ deviceId, controller, gbps, streams }) => ({
    deviceId,
    controller,
    gbps,
    streams: [...streams.values()],
    loadMBps: sum(streams.values()),
    limitMBps: usableMBps(gbps),
  }));
  return { links, controllers };
};
