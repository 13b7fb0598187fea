import type { Port } from '../devices/ports';
import { entry } from '../order';
import type { Rig } from '../rig';
import { cable, CABLE_IDS, type CableId } from './cables';
import type { CableRun, End } from './schema';

/** Either the way round two ports are joined and the cables that fit, or the reason they cannot be. */
export type Mating =
  | { readonly can: true; readonly flipped: boolean; readonly cables: readonly CableId[] }
  | { readonly can: false; readonly why: string };

const refuse = (why: string): Mating => ({ can: false, why });

/** Cable classes that have a plug for both ports. Two balanced ports take a balanced cable first. */
const cablesFor = (a: Port, b: Port): CableId[] =>
  CABLE_IDS.filter((id) => {
    const kind = cable(id);
    if (
      kind.family !== a.family ||
      !kind.connectors.includes(a.connector) ||
      !kind.connectors.includes(b.connector)
    )
      return false;
    if (id === 'balanced')
      return a.family === 'analogue' && b.family === 'analogue' && a.balanced && b.balanced;
    return true;
  });

const FAMILY_NAMES: Readonly<Record<Port['family'], string>> = {
  analogue: 'analogue sound',
  'digital sound': 'digital sound',
  picture: 'picture',
  usb: 'USB',
  network: 'network',
  software: 'software',
};

const mateOneWay = (from: Port, to: Port): Mating => {
  if (from.family === 'analogue' && to.family === 'analogue') {
    const ears = to.nominal === 'headphone' || to.nominal === 'loudspeaker';
    if (ears && (from.nominal === 'microphone' || from.nominal === 'instrument'))
      return refuse('a microphone cannot drive headphones or a loudspeaker');
    if (to.connector !== 'speaker' && from.nominal === 'loudspeaker')
      return refuse('a loudspeaker output would destroy this input');
  }
  if (from.family === 'picture' && to.family === 'picture' && from.standard !== to.standard)
    return refuse(
      `${from.standard.toUpperCase()} and ${to.standard.toUpperCase()} need a converter between them`,
    );
  const cables = cablesFor(from, to);
  return cables.length
    ? { can: true, flipped: false, cables }
    : refuse('no cable has plugs for both');
};

/**
 * Whether two ports can be joined, in either order.
 * @returns `flipped` when the second port is the sending one; a USB link always runs from device to host
 */
export const mate = (a: Port, b: Port): Mating => {
  if (a.family !== b.family)
    return refuse(`one is ${FAMILY_NAMES[a.family]}, the other ${FAMILY_NAMES[b.family]}`);
  if (a.family === 'usb' && b.family === 'usb') {
    if (a.role === b.role)
      return refuse(
        a.role === 'host'
          ? 'both are USB sockets of a host'
          : 'both want to be plugged into a host',
      );
    const cables = cablesFor(a, b);
    return cables.length
      ? { can: true, flipped: a.role === 'host', cables }
      : refuse('no cable has plugs for both');
  }
  if (a.direction === 'in' && b.direction === 'in') return refuse('both are inputs');
  if (a.direction === 'out' && b.direction === 'out') return refuse('both are outputs');
  const flipped = a.direction === 'in' || b.direction === 'out';
  const mating = flipped ? mateOneWay(b, a) : mateOneWay(a, b);
  return mating.can ? { ...mating, flipped } : mating;
};

export const portAt = (rig: Rig, end: End): Port | undefined => {
  const device = entry(rig.devices, end.deviceId);
  return device && entry(device.model.ports, end.portId);
};

/**
 * Whether a port takes more than one link. A socket holds one plug; a program's ports take any number,
 * and a transmitter is heard by every receiver on its frequency.
 */
export const takesMany = ({ family, connector, direction }: Port): boolean =>
  family === 'software' || (connector === 'radio' && direction === 'out');

/**
 * The ports that are one hole with a port: a combo socket is a microphone, a line and an instrument
 * input by turns. @returns ids, its own among them
 */
export const oneSocket = (
  ports: Readonly<Record<string, Port>>,
  portId: string,
): readonly string[] => {
  const socket = entry(ports, portId)?.socket;
  return socket === undefined
    ? [portId]
    : Object.keys(ports).filter((id) => ports[id]?.socket === socket);
};

export const sameEnd = (a: End, b: End): boolean =>
  a.deviceId === b.deviceId && a.portId === b.portId;

/** The link that holds a port, if any. @returns its id */
export const linkAt = (rig: Rig, end: End): string | undefined =>
  Object.keys(rig.links).find((id) => {
    const link = rig.links[id];
    return link !== undefined && (sameEnd(link.from, end) || sameEnd(link.to, end));
  });

/** Length of a new cable. @unit m */
const USUAL_LENGTH_M = 2;

/**
 * The cable a person would reach for: the first that fits, for USB the class of the slower side,
 * short enough to be safe.
 */
export const suggestedCable = (a: Port, b: Port): CableRun | null => {
  const mating = mate(a, b);
  const [first] = mating.can ? mating.cables : [];
  if (!first) return null;
  if (first === 'inside') return { kind: first, lengthM: 0 };
  if (a.family !== 'usb' || b.family !== 'usb') return { kind: first, lengthM: USUAL_LENGTH_M };
  const gbps = Math.min(a.gbps, b.gbps);
  return gbps >= 10
    ? { kind: 'usb-10g', lengthM: 0.5 }
    : { kind: gbps >= 5 ? 'usb-5g' : 'usb-2', lengthM: USUAL_LENGTH_M };
};
