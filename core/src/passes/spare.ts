import { type DeviceNode, isSocketHeld, type PortNode } from '../graph';
import type { Measured } from './measured';
import { channelLoads } from './sound/channels';

/** What a device has left: sockets by what they are for, and channels of its cables. */

export interface Spare {
  readonly what: string;
  readonly all: number;
  readonly free: number;
}

const CARRIES_OF: Readonly<Record<string, string>> = {
  microphone: 'Microphone',
  instrument: 'Instrument',
  line: 'Line',
  'consumer line': 'Line',
  headphone: 'Headphone',
  loudspeaker: 'Loudspeaker',
};

/** What a socket is counted with; null for what is no socket. */
const groupOf = ({ port }: PortNode): string | null => {
  const way = port.direction === 'out' ? 'outputs' : 'inputs';
  switch (port.family) {
    case 'analogue':
      if (port.connector === 'radio' || port.connector === 'software') return null;
      return `${CARRIES_OF[port.nominal] ?? 'Sound'} ${way}`;
    case 'digital sound':
      return `Digital sound ${way}`;
    case 'picture':
      return `Picture ${way}`;
    case 'usb':
      return port.role === 'host' ? 'USB sockets' : null;
    case 'network':
      return 'Network sockets';
    case 'software':
      return null;
  }
};

/** Sockets of a device by what they are for, in the order of its model. A combo counts with each of its names. */
const spareSockets = (node: DeviceNode): readonly Spare[] => {
  const groups = new Map<string, { all: number; free: number }>();
  for (const port of node.ports.values()) {
    const what = groupOf(port);
    if (what === null) continue;
    const group = groups.get(what) ?? { all: 0, free: 0 };
    group.all++;
    if (!isSocketHeld(port)) group.free++;
    groups.set(what, group);
  }
  return [...groups].map(([what, { all, free }]) => ({ what, all, free }));
};

/** Channels of sound on the digital and network cables into a device, where something limits them. */
const spareChannels = (measured: Measured, node: DeviceNode): readonly Spare[] =>
  channelLoads(measured).flatMap(({ to, most, sources }) =>
    to.device === node && most !== null
      ? [
          {
            what: `Channels of ${to.port.name}`,
            all: most,
            free: Math.max(0, most - sources.length),
          },
        ]
      : [],
  );

/** Everything a device has left, in the order of its names: a file may write ports in any. */
export const spareOf = (measured: Measured, node: DeviceNode): readonly Spare[] => [
  ...[...spareSockets(node)].sort((a, b) => (a.what < b.what ? -1 : 1)),
  ...[...spareChannels(measured, node)].sort((a, b) => (a.what < b.what ? -1 : 1)),
];
