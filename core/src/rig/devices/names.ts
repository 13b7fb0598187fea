import { entry } from '../order';
import type { Rig } from '../rig';

/** A device as a sentence names it. */
export const deviceName = (rig: Rig, id: string): string =>
  entry(rig.devices, id)?.name ?? `“${id}”`;
