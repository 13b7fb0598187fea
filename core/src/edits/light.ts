import type { Measured } from '../passes/measured';
import { middleM, stoodAt, stepped } from '../passes/place';
import {
  type Device,
  entry,
  type Lamp,
  type Point,
  type SimpleCommand,
  type Spot,
  type Standing,
  type SupportOf,
  USUAL_WINDOW,
  type WindowLight,
} from '../rig';
import { moveDevice } from './move';

/** Turning lamps up and down, moving them and what lets light in, as edits. */

/** The amount nearest to a value that a control takes: within its ends, on its steps. */
export const onControl = (device: Device, controlId: string, value: number): number | null => {
  const control = entry(device.model.controls, controlId);
  if (control?.type !== 'amount') return null;
  const steps = Math.round((value - control.min) / control.step);
  const stepped = control.min + steps * control.step;
  return Number(Math.min(control.max, Math.max(control.min, stepped)).toFixed(6));
};

/** Sets a control as near to a value as it goes. @returns none where it has no such control, or stands there */
export const turnTo = (
  { rig }: Pick<Measured, 'rig'>,
  deviceId: string,
  controlId: string,
  value: number,
): SimpleCommand[] => {
  const device = entry(rig.devices, deviceId);
  const to = device ? onControl(device, controlId, value) : null;
  return device && to !== null && device.settings[controlId] !== to
    ? [{ type: 'setControl', deviceId, control: controlId, value: to }]
    : [];
};

/** Sets the dimmer of a lamp. @param percent 0 to 100 */
export const dimTo = (
  measured: Pick<Measured, 'rig'>,
  deviceId: string,
  percent: number,
): SimpleCommand[] => {
  const light = entry(measured.rig.devices, deviceId)?.model.light;
  return light ? turnTo(measured, deviceId, light.dimmerControl, percent) : [];
};

/** Sets the colour of a lamp. @param kelvin as near as it goes @returns none where its colour is fixed */
export const colourTo = (
  measured: Pick<Measured, 'rig'>,
  deviceId: string,
  kelvin: number,
): SimpleCommand[] => {
  const control = entry(measured.rig.devices, deviceId)?.model.light?.colourControl;
  return control === undefined ? [] : turnTo(measured, deviceId, control, kelvin);
};

export const hangLamp = (deviceId: string, lamp: Partial<Lamp>): SimpleCommand => ({
  type: 'hangLamp',
  deviceId,
  lamp,
});

const toCentimetre = (metres: number): number => Number(metres.toFixed(2));

/**
 * Raises or lowers a lamp where it stands: its stand is drawn out, or it by itself.
 * @param byM above 0 is up @returns none where nothing says how high it stands
 */
export const raiseLamp = (measured: Measured, deviceId: string, byM: number): SimpleCommand[] => {
  const device = entry(measured.rig.devices, deviceId);
  const standing = stoodAt(measured, deviceId);
  if (!device || !standing) return [];
  const { on } = device;
  const support = on ? entry(measured.rig.supports, on.supportId) : undefined;
  if (on && support) {
    const alone =
      Object.values(measured.rig.devices).filter((one) => one.on?.supportId === on.supportId)
        .length === 1;
    const { figures } = support;
    if (alone && figures.is === 'stand' && figures.heightM + byM > 0.3)
      return [
        {
          type: 'changeSupport',
          supportId: on.supportId,
          support: { figures: { ...figures, heightM: toCentimetre(figures.heightM + byM) } },
        },
      ];
    return [{ type: 'standDevice', deviceId, on: { ...on, upM: toCentimetre(on.upM + byM) } }];
  }
  const middle = middleM(standing);
  return middle !== null && middle + byM > 0
    ? [{ type: 'raiseDevice', deviceId, heightM: toCentimetre(middle + byM) }]
    : [];
};

/** A lamp shifted along the bar it hangs on. @returns none where the bar ends before */
const shiftedOn = (
  deviceId: string,
  on: Standing,
  { facingDeg }: Spot,
  { widthM, depthM }: SupportOf<'overhead'>,
  by: Point,
): SimpleCommand[] => {
  const turn = (facingDeg * Math.PI) / 180;
  const xM = on.xM + by.xM * Math.cos(turn) - by.yM * Math.sin(turn);
  const yM = on.yM + by.xM * Math.sin(turn) + by.yM * Math.cos(turn);
  return Math.abs(xM) <= widthM / 2 && Math.abs(yM) <= depthM / 2
    ? [
        {
          type: 'standDevice',
          deviceId,
          on: { ...on, xM: toCentimetre(xM), yM: toCentimetre(yM) },
        },
      ]
    : [];
};

/** Moves a lamp along the plan, with what carries it. @param directionDeg 0 up the plan, clockwise */
export const moveLamp = (
  { rig }: Pick<Measured, 'rig'>,
  deviceId: string,
  directionDeg: number,
  byM: number,
): SimpleCommand[] => {
  const device = entry(rig.devices, deviceId);
  if (!device) return [];
  const by = stepped({ xM: 0, yM: 0 }, directionDeg, byM);
  const support = device.on ? entry(rig.supports, device.on.supportId) : undefined;
  if (device.on && support?.at && support.figures.is === 'overhead')
    return shiftedOn(deviceId, device.on, support.at, support.figures, by);
  return moveDevice({ rig }, deviceId, device, by);
};

/** How a window lets light in, as it is. */
export const windowIn = ({ rig }: Pick<Measured, 'rig'>, openingId: string): WindowLight =>
  entry(rig.windows, openingId) ?? USUAL_WINDOW;

/** Changes what a window lets in. */
export const changeWindow = (
  measured: Pick<Measured, 'rig'>,
  openingId: string,
  change: Partial<WindowLight>,
): SimpleCommand => ({
  type: 'setWindow',
  openingId,
  window: { ...windowIn(measured, openingId), ...change },
});
