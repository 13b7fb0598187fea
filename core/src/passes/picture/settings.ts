import {
  AS_RECEIVED,
  BEST_THAT_FITS,
  choiceSetting,
  type Coding,
  CODINGS,
  type Device,
  ENCODING_BITS_PER_PIXEL,
  FIRST_CONNECTED,
  switchSetting,
} from '../../rig';
import { type Format, parseFormat } from '../../units';

export const flag = (device: Device, value: boolean | string): boolean =>
  typeof value === 'string' ? switchSetting(device, value) : value;

/** @returns null where the control names no format of its own */
export const formatSetting = (device: Device, control: string): Format | null => {
  const value = choiceSetting(device, control);
  return value === undefined ||
    value === AS_RECEIVED ||
    value === BEST_THAT_FITS ||
    value === FIRST_CONNECTED
    ? null
    : parseFormat(value);
};

export const codingSetting = (device: Device, control: string | undefined): Coding | null =>
  control === undefined ? null : (CODINGS[choiceSetting(device, control) ?? ''] ?? null);

/** Bits per pixel of a device's encoding control. @returns null where the encoding is not one we know */
export const bitsPerPixel = (
  device: Device,
  control: string,
): { encoding: string; bits: number } | null => {
  const encoding = choiceSetting(device, control);
  const bits =
    encoding === undefined || !Object.hasOwn(ENCODING_BITS_PER_PIXEL, encoding)
      ? undefined
      : ENCODING_BITS_PER_PIXEL[encoding];
  return encoding === undefined || bits === undefined ? null : { encoding, bits };
};

/** What stands still without its own supply passes nothing on. */
export const unpowered = (device: Device): boolean =>
  device.model.supplyControl !== undefined && !switchSetting(device, device.model.supplyControl);
