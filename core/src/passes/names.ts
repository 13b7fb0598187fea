import type { DeviceNode, PortNode } from '../graph';
import type { Measured } from './measure';

/** What a device is called in this rig. */
export const deviceName = (measured: Measured, node: DeviceNode): string =>
  measured.device(node).name;

/** A socket by its device: `Interface, Input 1`. */
export const nameOf = (measured: Measured, node: PortNode): string =>
  `${deviceName(measured, node.device)}, ${node.port.name}`;
