import { type Device, entry } from '../rig';

/** A control's value on its own steps, nearest to what is wanted. @returns null where that is outside its range */
export const steppedNear = (device: Device, controlId: string, wanted: number): number | null => {
  const control = entry(device.model.controls, controlId);
  if (
    control?.type !== 'amount' ||
    wanted < control.min - control.step / 2 ||
    wanted > control.max + control.step / 2
  )
    return null;
  return Number(
    Math.min(
      control.max,
      Math.max(
        control.min,
        control.min + Math.round((wanted - control.min) / control.step) * control.step,
      ),
    ).toFixed(4),
  );
};
