import type { Device } from '../devices/schema';
import { numberSetting } from '../devices/settings';
import type { Level } from './schema';

type Fixture = Pick<Device, 'name' | 'model' | 'settings'>;

/** What a lamp is set to. @returns null for what gives no light */
export const levelOf = (device: Fixture): Level | null => {
  const { light } = device.model;
  if (!light) return null;
  return {
    dimmer: Math.min(100, Math.max(0, numberSetting(device, light.dimmerControl) ?? 100)),
    kelvin:
      light.colourControl === undefined
        ? null
        : (numberSetting(device, light.colourControl) ?? null),
  };
};

/** The colour of a lamp as it is set: what its control says, or the colour it has. @unit K */
export const kelvinOf = (device: Fixture): number | null => {
  const { light } = device.model;
  if (!light) return null;
  return levelOf(device)?.kelvin ?? (light.leastK + light.mostK) / 2;
};
