import { entry } from '../../rig';
import type { Measured } from '../measured';

/** Kinds without which nothing goes out. */
const NEEDED: ReadonlySet<string> = new Set([
  'computer',
  'switcher',
  'encoder',
  'interface',
  'hub',
]);

/** Whether the show goes through a device: it belongs on the supply that lasts. */
export const isNeeded = ({ rig }: Measured, deviceId: string): boolean =>
  NEEDED.has(entry(rig.devices, deviceId)?.model.kind ?? '');
