import type { LinkEdge } from '../../graph';
import { cable } from '../../rig/links/cables';
import type { UsbControllerBranch, UsbLinkBranch, UsbStream, UsbTree } from '../figures/usb';
import type { Measured } from '../measured';

export type * from '../figures/usb';

/**
 * What a USB link of a signalling rate really carries. USB 2.0: one isochronous endpoint, 3 × 1024 B × 8000/s.
 * @param gbps 0.48, 5 or 10 @returns MB/s @source handbook 3-picture
 */
export const usableMBps = (gbps: number): number => (gbps >= 10 ? 1000 : gbps >= 5 ? 400 : 24.576);

/**
 * What everything at 480 Mb/s below one controller shares, also behind a faster hub: at most 80 % of each
 * microframe, about 40 MB/s in practice. @unit MB/s @source handbook 3-picture, USB 2.0
 */
export const SLOW_BUS_MBPS = 40;

/** Under this a link is a USB 2.0 one. @unit Gb/s */
const FAST_GBPS = 5;

/** What a link carries: one stream of pictures at 480 Mb/s has one endpoint, several share the bus. */
const limitOf = (gbps: number, streams: readonly UsbStream[]): number =>
  gbps >= FAST_GBPS || streams.filter(({ isPicture }) => isPicture).length < 2
    ? usableMBps(gbps)
    : SLOW_BUS_MBPS;
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
        stream: {
          from: at,
          label: `${measured.device(at.device).name}: picture`,
          isPicture: true,
          mBps,
        },
      };
    } else {
      const made = via.by === 'route' ? via.route.id : 'source';
      const channel = parent ? `${made}.${parent.at.id}` : made;
      streamAt[stage.index] = {
        key: `${at.index} ${channel}`,
        stream: {
          from: at,
          label: `${measured.device(at.device).name}: sound`,
          isPicture: false,
          mBps: SOUND_CHANNEL_MBPS,
        },
      };
    }
  }

  const slow = slowStreams(onLink);
  const links = new Map<string, UsbLinkBranch>();
  const atController = new Map<
    string,
    { deviceId: string; controller: string; gbps: number; streams: Map<string, UsbStream> }
  >();
  for (const [link, streamsByKey] of onLink) {
    const { from, to } = link;
    if (from.port.family !== 'usb' || to.port.family !== 'usb') continue;
    const gbps = gbpsOf(link);
    const cableGbps = cable(link.link.cable.kind).maxGbps ?? Infinity;
    const slowest = to.port.gbps === gbps ? 'socket' : cableGbps === gbps ? 'cable' : 'device';
    // On a fast link, what is slow behind a hub runs beside the rest and not with it.
    const streams = [...streamsByKey].flatMap(([key, stream]) =>
      gbps >= FAST_GBPS && slow.has(key) ? [] : [stream],
    );
    links.set(link.id, {
      link,
      streams,
      loadMBps: sum(streams),
      limitMBps: limitOf(gbps, streams),
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
  const controllers = [...atController.values()].flatMap(({ gbps, streams, ...which }) =>
    (['slow', 'fast'] as const).flatMap((side): UsbControllerBranch[] => {
      const own = [...streams].flatMap(([key, stream]) =>
        slow.has(key) === (side === 'slow') ? [stream] : [],
      );
      return own.length === 0
        ? []
        : [
            {
              ...which,
              side,
              gbps: side === 'slow' ? 0.48 : gbps,
              streams: own,
              loadMBps: sum(own),
              limitMBps: side === 'slow' ? SLOW_BUS_MBPS : usableMBps(gbps),
            },
          ];
    }),
  );
  return { links, controllers };
};

const gbpsOf = ({ from, to, link }: LinkEdge): number =>
  Math.min(
    from.port.family === 'usb' ? from.port.gbps : Infinity,
    to.port.family === 'usb' ? to.port.gbps : Infinity,
    cable(link.cable.kind).maxGbps ?? Infinity,
  );

/** Streams that pass a link at 480 Mb/s on their way: from there on they stay on the slow side. */
const slowStreams = (
  onLink: ReadonlyMap<LinkEdge, ReadonlyMap<string, UsbStream>>,
): ReadonlySet<string> => {
  const slow = new Set<string>();
  for (const [link, streams] of onLink)
    if (gbpsOf(link) < FAST_GBPS) for (const key of streams.keys()) slow.add(key);
  return slow;
};
