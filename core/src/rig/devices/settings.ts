import { entry } from '../order';
import type { Control, ControlValue, Model } from './model';
import type { SetDevice } from './schema';
import { WatchedDevice } from './watched';

/** What a control stands at: the setting, or the control's initial value. */
export const settingOf = (device: SetDevice, controlId: string): ControlValue | undefined =>
  device instanceof WatchedDevice
    ? device.setting(controlId)
    : (entry(device.settings, controlId) ?? entry(device.model.controls, controlId)?.initial);

/** A gain or amount. @returns undefined where the model has no such control */
export const numberSetting = (device: SetDevice, controlId: string): number | undefined => {
  const value = settingOf(device, controlId);
  return typeof value === 'number' ? value : undefined;
};
export const switchSetting = (device: SetDevice, controlId: string): boolean =>
  settingOf(device, controlId) === true;
export const choiceSetting = (device: SetDevice, controlId: string): string | undefined => {
  const value = settingOf(device, controlId);
  return typeof value === 'string' ? value : undefined;
};

/** Why a control cannot take a value, in plain words; null when it can. */
export const settingProblem = (
  model: Model,
  controlId: string,
  value: ControlValue,
): string | null => {
  const control: Control | undefined = entry(model.controls, controlId);
  if (!control) return `${model.name} has no control "${controlId}"`;
  switch (control.type) {
    case 'switch':
      return typeof value === 'boolean' ? null : `${control.label} is on or off`;
    case 'choice':
      return control.options.some((option) => option.value === value)
        ? null
        : `${control.label} is one of ${control.options.map((option) => option.value).join(', ')}`;
    case 'gain':
      return typeof value === 'number' && value >= control.minDb && value <= control.maxDb
        ? null
        : `${control.label} goes from ${control.minDb} to ${control.maxDb} dB; ${value} is outside`;
    case 'amount':
      return typeof value === 'number' && value >= control.min && value <= control.max
        ? null
        : `${control.label} goes from ${control.min} to ${control.max} ${control.unit}; ${value} is outside`;
  }
};

/** A value as its control shows it: `54 dB`, `on`, or the name of a choice. */
/** Those settings that a model can take; the others it stands at its initial value of, or has no control for. */
export const settingsThatFit = (
  model: Model,
  settings: Readonly<Record<string, ControlValue>>,
): Record<string, ControlValue> =>
  Object.fromEntries(
    Object.entries(settings).filter(([key, value]) => settingProblem(model, key, value) === null),
  );

export const settingText = (
  { model }: Pick<SetDevice, 'model'>,
  controlId: string,
  value: ControlValue,
): string => {
  const control = entry(model.controls, controlId);
  if (typeof value === 'boolean') return value ? 'on' : 'off';
  if (control?.type === 'gain') return `${value} dB`;
  if (control?.type === 'amount') return `${value} ${control.unit}`.trim();
  if (control?.type !== 'choice') return String(value);
  return control.options.find((option) => option.value === value)?.label ?? String(value);
};
