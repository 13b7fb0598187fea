import { switchSetting } from '../rig';
import type { SetDevice } from '../rig/devices/schema';

/** Inputs of a device that phantom power is on at, by port. */
export const phantomPorts = (device: SetDevice): ReadonlySet<string> =>
  new Set(
    Object.entries(device.model.ports).flatMap(([portId, port]) => {
      const control = port.family === 'analogue' ? port.phantomSupply?.control : undefined;
      return control !== undefined && switchSetting(device, control) ? [portId] : [];
    }),
  );
