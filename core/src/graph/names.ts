import type { PortNode } from './';

/** Questions rules ask of a measured rig, and edits that several fixes share. */

export const nameOf = (node: PortNode): string => `${node.device.device.name}, ${node.port.name}`;
