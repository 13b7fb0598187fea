import type { CableId } from './cables';

/** How thick a cable is, and how tightly it bends. */
export interface CableBody {
  readonly diameterMm: number;
  /** Least radius of a bend, in diameters */
  readonly bendTimes: number;
}

const body = (diameterMm: number, bendTimes = 5): CableBody => ({ diameterMm, bendTimes });

/** Typical of each class; the cable’s own data counts. @source handbook 5: fibre and coax bend at 10 diameters */
export const CABLE_BODIES: Readonly<Record<CableId, CableBody>> = {
  balanced: body(6.5),
  unbalanced: body(5),
  speaker: body(8),
  'optical-audio': body(4, 10),
  'digital-xlr': body(6.5),
  hdmi: body(7.5),
  'hdmi-optical': body(4.8, 10),
  'hdmi-fast': body(8.5),
  'hdmi-fast-optical': body(4.8, 10),
  'sdi-coax': body(6.1, 10),
  'usb-2': body(4.5),
  'usb-5g': body(5.5),
  'usb-10g': body(5.5),
  'usb-active': body(6.5),
  radio: body(0.1),
  ethernet: body(6),
  inside: body(0.1),
};

/** A mains lead of three wires of 1 mm². @unit mm */
export const MAINS_LEAD_MM = 7.2;
