import { bodyOf } from '../catalogue/bodies';
import type { Device, Spot, Support } from '../rig';

/** What carrying, handling and plugging take, until it was measured. Minutes, metres, kilograms. */

/** How long things take to handle, apart from way and weight. Typical; what was measured counts for more. @unit min */
export const HANDLING_MIN = { desk: 1, rack: 1, stand: 0.6, arm: 0.6 } as const;
export const DEVICE_MIN = 0.4;
/** A camera is framed, a lamp is aimed. @unit min */
export const AIM_MIN = 0.5;
export const CABLE_MIN = 0.3;
export const CHECK_MIN = 2;
/** Carrying, among other people. @unit m/min */
const PACE = 40;
/** Heavier things are slower: so many kilograms cost a minute. */
const KG_PER_MIN = 25;
/** From where things are put away. @unit m */
export const STORE_M = 10;
/** Heavier than this two carry; local rules on lifting may ask for two sooner. @unit kg */
export const ONE_CARRIES_KG = 20;
/** A desk weighs about so much. @unit kg/m² */
const DESK_KG_PER_M2 = 18;
const ARM_KG = 3;
const RACK_KG = 20;
/** Finding a place by measuring from two walls, where no mark is on the floor. @unit min */
export const MEASURING_MIN = 0.75;
/** A lamp dimmed or turned anew, standing where it is. @unit min */
export const LAMP_MIN = 0.25;
/** One control turned to what is written. @unit min */
export const TURN_MIN = 0.25;
/** A device set as its sheet says, once it stands. @unit min */
export const SHEET_MIN = 0.5;
/** Less than this is no move. */
export const NEAR_M = 0.05;
const NEAR_DEG = 5;

export const apart = (a: Spot, b: Spot): number => Math.hypot(a.xM - b.xM, a.yM - b.yM);
const turned = (a: number, b: number): number => Math.abs(((((a - b) % 360) + 540) % 360) - 180);
export const isElsewhere = (a: Spot, b: Spot): boolean =>
  apart(a, b) >= NEAR_M || turned(a.facingDeg, b.facingDeg) >= NEAR_DEG;

export const massOf = (device: Device): number => bodyOf(device.model)?.massKg ?? 0;

/** A camera is framed anew where it was carried to, a lamp aimed. */
export const isAimed = ({ model }: Device): boolean =>
  model.kind === 'camera' || model.kind === 'light';

export const ownMass = ({ figures }: Support): number => {
  switch (figures.is) {
    case 'desk':
      return figures.widthM * figures.depthM * DESK_KG_PER_M2;
    case 'rack':
      return RACK_KG;
    case 'stand':
      return figures.massKg + figures.ballastKg + figures.counterKg + (figures.out?.massKg ?? 0);
    case 'arm':
      return ARM_KG;
    default:
      return 0;
  }
};

export const number = (value: number): string => String(Math.round(value * 100) / 100);
const quarter = (minutes: number): number => Math.ceil(minutes * 4 - 1e-9) / 4;

/** An estimate by handling, way and weight, up to the next quarter of a minute, and its arithmetic in words. */
export const estimate = (handlingMin: number, wayM: number, massKg: number) => {
  const exact = handlingMin + wayM / PACE + massKg / KG_PER_MIN;
  return {
    minutes: quarter(exact),
    sum: (): string =>
      `${number(handlingMin)} min + ${number(wayM)} m ÷ ${PACE} m/min + ${number(massKg)} kg ÷ ` +
      `${KG_PER_MIN} kg/min = ${number(exact)} min`,
  };
};
