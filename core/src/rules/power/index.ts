import type { Rule } from '../rule';
import { circuitOver, feedOver, socketsShort, stripInStrip, unfed } from './loading';
import { hum, mainsUnknown, unplugged, warms } from './house';
import { inrush } from './inrush';
import { notOnUps, upsOver, upsShort } from './lasting';
import { poeOver, usbUnder } from './over-cables';

/** Rules of mains, batteries and what is fed over a cable, in the order in which they are told. */
export const POWER_RULES: readonly Rule[] = [
  circuitOver,
  feedOver,
  socketsShort,
  upsOver,
  usbUnder,
  poeOver,
  stripInStrip,
  upsShort,
  unfed,
  hum,
  warms,
  inrush,
  notOnUps,
  unplugged,
  mainsUnknown,
];
