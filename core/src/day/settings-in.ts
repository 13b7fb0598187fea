import { type Device, entry, type Rig, type SetDevice, settingsThatFit } from '../rig';

/** How a device is set in a set, as far as it can be; where the set keeps nothing of it, as it is set now. */
export const settingsIn = (
  rig: Rig,
  setId: string,
  deviceId: string,
  device: Device,
): SetDevice => {
  const kept = entry(entry(rig.sets, setId)?.settings ?? {}, deviceId);
  if (!kept) return device;
  const { name, model } = device;
  return { name, model, settings: settingsThatFit(model, kept) };
};
