import type { DeviceNode, PortNode } from '../graph';
import { entry, type Rig } from '../rig';
import type { Measured } from './measured';

/** What a device is called in this rig. */
export const deviceName = (measured: Measured, node: DeviceNode): string =>
  measured.device(node).name;

/** A socket by its device: `Interface, Input 1`. */
export const nameOf = (measured: Measured, node: PortNode): string =>
  `${deviceName(measured, node.device)}, ${node.port.name}`;

/** Where the names of what results hold by id are kept. */
const NAMED = {
  device: 'devices',
  lamp: 'devices',
  screen: 'devices',
  person: 'people',
  support: 'supports',
  load: 'loads',
  feed: 'feeds',
  window: 'openings',
} as const satisfies Record<string, keyof Rig>;

/** A thing of the rig by its id: results hold these, never names, so that a name is an edit of what shows it alone. */
export interface Named {
  readonly of: keyof typeof NAMED;
  readonly id: string;
}

/** What a thing is called in the rig as it is; its id where it has left. */
export const nameOfThing = ({ rig }: { readonly rig: Rig }, { of, id }: Named): string =>
  entry<{ readonly name: string }>(rig[NAMED[of]], id)?.name ?? id;

/** What a device is called, by its id. */
export const deviceNameById = (measured: { readonly rig: Rig }, id: string): string =>
  nameOfThing(measured, { of: 'device', id });
