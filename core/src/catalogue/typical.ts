import type { Body } from '../rig/devices/body';
import type { Supply } from '../rig/devices/supply';

/** What a device gives to others over the network. @unit W */
export interface OverNetwork {
  readonly portW: number;
  readonly budgetW: number;
}

/** What a device runs on, its heat being known. Typical, as the heat is; a data sheet counts more. */
export type RunsOn = (heatW: number) => Supply | null;

/** What a device class is besides what it does: every class says all of it. */
export interface Typical {
  /**
   * What one usually costs new, without tax, rounded as people remember prices, in the studio's own currency: no
   * exchange rates are known here, and the user types what was really paid over it. 0 for what costs nothing of itself
   */
  readonly price: number;
  /** Size, mass, heat and noise: a microphone with its mount, a camera with its lens. null for programs */
  readonly body: Body | null;
  readonly runsOn: RunsOn;
  readonly gives?: OverNetwork;
  /** Where sound can be held back that its kind does not say */
  readonly delays?: 'mixes out' | 'sound into picture' | 'sound in';
}

const MOUNT = {
  S: 'on a surface',
  R: 'in a rack',
  T: 'on a thread',
  W: 'worn',
  F: 'on the floor',
} as const satisfies Record<string, Body['mount']>;

/** @param noiseDba dB(A) at 1 m; null where it makes none */
export const body = (
  widthM: number,
  depthM: number,
  heightM: number,
  massKg: number,
  heatW: number,
  noiseDba: number | null,
  mount: keyof typeof MOUNT,
): Body => ({ widthM, depthM, heightM, massKg, heatW, noiseDba, mount: MOUNT[mount] });

/** Beyond this it draws much more in the moment it is switched on. @unit W */
const LARGE_W = 150;
const MEDIUM_W = 30;
/** At most so many times what it draws in use. */
const MOST_TIMES = 1.3;

const drawing =
  (is: Supply['is'], covers = 1, figures?: readonly [typicalW: number, mostW: number]): RunsOn =>
  (heatW) => {
    const [typicalW, mostW] = figures ?? [heatW, Math.round(10 * MOST_TIMES * heatW) / 10];
    const inrush = mostW >= LARGE_W ? 'large' : mostW >= MEDIUM_W ? 'medium' : 'small';
    return { is, typicalW, mostW, powerFactor: null, inrush, covers };
  };

export const ADAPTER = drawing('adapter');
/** Whose adapter covers the socket beside it too. */
export const WIDE_ADAPTER = drawing('adapter', 2);
/** A mains inlet of its own. */
export const INLET = drawing('inlet');
/** On its own battery alone. */
export const BATTERY = drawing('battery');
/** On phantom power, from the socket it is plugged into. */
export const PHANTOM: RunsOn = () => null;
/** Passive things and programs. One that is said to give off heat after all has an adapter. */
export const NOTHING: RunsOn = (heatW) => (heatW > 0 ? ADAPTER(heatW) : null);
/** A mains inlet, drawing more than the heat it gives off in use. @unit W */
export const inlet = (typicalW: number, mostW: number): RunsOn =>
  drawing('inlet', 1, [typicalW, mostW]);
/** From the computer or hub it is plugged into. @unit W */
export const usb = (typicalW: number, mostW: number): RunsOn =>
  drawing('usb', 1, [typicalW, mostW]);
/** Over the network from the switch. @unit W at the device */
export const network = (typicalW: number, mostW: number): RunsOn =>
  drawing('network', 1, [typicalW, mostW]);

/** @param price in the studio's currency */
export const typical = (
  price: number,
  of: Body | null,
  runsOn: RunsOn,
  more: Pick<Typical, 'gives' | 'delays'> = {},
): Typical => ({ price, body: of, runsOn, ...more });
