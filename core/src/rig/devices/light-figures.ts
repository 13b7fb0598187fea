import { z } from 'zod';
import { idSchema } from '../ids';

/** What a fixture gives, how wide and in what colour, and by what it is controlled. */

export const FIXTURES = [
  'panel',
  'COB lamp',
  'lantern',
  'tube',
  'strip',
  'ring',
  'spot',
  'practical',
  'flood',
] as const;

const kelvin = z.number().min(1000).max(20_000);
const sizeM = z.number().positive().max(10);

export const lightFiguresSchema = z.strictObject({
  is: z.enum(FIXTURES),
  /** Bare, undimmed, on its axis, 1 m away. @unit lux */
  luxAt1m: z.number().min(0).max(1e7),
  /** Whole angle within which it gives at least half of that */
  beamDeg: z.number().min(2).max(360),
  /** The face that gives light */
  widthM: sizeM,
  heightM: sizeM,
  /** Coolest and warmest it can be; the same twice where it is fixed */
  leastK: kelvin,
  mostK: kelvin,
  /** Whether it can also be of any colour */
  isRgb: z.boolean(),
  /** How well colours show under it, CRI Ra; null = not known */
  cri: z.number().min(0).max(100).nullable(),
  /** Amount in %: how far it is turned up */
  dimmerControl: idSchema,
  /** Amount in K: what it is set to; left out where its colour is fixed */
  colourControl: idSchema.optional(),
  /** Lowest dimmer at which it still burns evenly. @unit % */
  leastPercent: z.number().min(0).max(100),
  flicker: z.union([
    z.enum(['none', 'mains', 'unknown']),
    /** Of its dimmer */
    z.strictObject({ pwmHz: z.number().positive().max(1e6) }),
  ]),
  control: z
    .array(z.enum(['knob', 'app', 'remote', 'address', 'voice']))
    .min(1)
    .max(5),
  /** Outside hot enough to burn a hand */
  isHot: z.boolean(),
  /** Whether modifiers can be put on it */
  takesModifiers: z.boolean(),
  /** A battery lasts so long, turned up full, unless the switch says that it is on a mains adapter */
  battery: z
    .strictObject({ lastsMin: z.number().positive().max(100_000), mainsControl: idSchema })
    .optional(),
});
export type LightFigures = z.infer<typeof lightFiguresSchema>;
