import { entry, type Rig } from '../rig';

/** What a device is called now; its id where it has left the rig. */
export const deviceNamed = ({ devices }: Pick<Rig, 'devices'>, deviceId: string): string =>
  entry(devices, deviceId)?.name ?? deviceId;

/** What a support is called now; its id where it has left the rig. */
export const supportNamed = ({ supports }: Pick<Rig, 'supports'>, supportId: string): string =>
  entry(supports, supportId)?.name ?? supportId;
