import { z } from 'zod';
import { idSchema, nameSchema } from '../ids';
import { orderSchema } from '../order';
import { spotSchema } from '../room/schema';

/**
 * What lamps wear and where they point, what windows let in, what light falls on, and the levels a set
 * is lit by. Lengths in metres, angles in degrees, light in lux.
 */

const metres = z.number().min(-1000).max(1000);
const sizeM = z.number().positive().max(50);
const share = z.number().min(0).max(1);
/** Colour of light. @unit K */
export const kelvin = z.number().min(1000).max(20_000);
const percent = z.number().min(0).max(100);

export const MODIFIER_KINDS = [
  'soft box',
  'dome',
  'lantern',
  'grid',
  'barn doors',
  'diffuser',
  'bounce',
] as const;

/** What is put before a lamp, or what it is pointed into. */
export const modifierSchema = z.strictObject({
  name: nameSchema,
  is: z.enum(MODIFIER_KINDS),
  /** Of the bare lamp's illuminance on its axis, what is left */
  transmission: z.number().positive().max(2),
  /** Half-power beam with it, degrees; null = as wide as the bare lamp's */
  beamDeg: z.number().min(2).max(180).nullable(),
  /** The face that gives light, with it; null = the lamp's own */
  widthM: sizeM.nullable(),
  heightM: sizeM.nullable(),
  massKg: z.number().min(0).max(200),
});
export type Modifier = z.infer<typeof modifierSchema>;

/** What a lamp is pointed at. */
export const lampAimSchema = z.discriminatedUnion('at', [
  /** The way it stands, so far down */
  z.strictObject({ at: z.literal('turned'), downDeg: z.number().min(-90).max(90) }),
  z.strictObject({ at: z.literal('person'), personId: idSchema }),
  z.strictObject({ at: z.literal('backdrop'), backdropId: idSchema }),
  z.strictObject({
    at: z.literal('point'),
    xM: metres,
    yM: metres,
    zM: z.number().min(0).max(100),
  }),
]);
export type LampAim = z.infer<typeof lampAimSchema>;

/** How a lamp is controlled. */
export const CONTROL_WAYS = ['knob', 'app', 'remote', 'address', 'voice'] as const;
export type ControlWay = (typeof CONTROL_WAYS)[number];

/** A lamp as it hangs in the room. */
export const lampSchema = z.strictObject({
  aim: lampAimSchema,
  modifier: modifierSchema.nullable(),
  /** What it answers to: which app, remote or address; null = nobody has said */
  answers: z.strictObject({ by: z.enum(CONTROL_WAYS), name: nameSchema }).nullable(),
});
export type Lamp = z.infer<typeof lampSchema>;

/** As a lamp hangs of which nothing is said: the way it stands, bare. */
export const BARE_LAMP: Lamp = { aim: { at: 'turned', downDeg: 0 }, modifier: null, answers: null };

/** How a window lets daylight in. */
export const windowLightSchema = z.strictObject({
  /** Of its glass */
  transmission: share,
  /** How much its blind leaves open: 1 all, 0 nothing */
  openShare: share,
  /** Whether something thin hangs before it that scatters the sun */
  isSheer: z.boolean(),
  /** Typed instead of reckoned: at 1 m straight before its middle; null = by sun and sky */
  luxAt1m: z.number().min(0).max(200_000).nullable(),
});
export type WindowLight = z.infer<typeof windowLightSchema>;

/** Clear double glass, nothing before it. Typical. */
export const USUAL_WINDOW: WindowLight = {
  transmission: 0.75,
  openShare: 1,
  isSheer: false,
  luxAt1m: null,
};

export const SKIES = ['clear', 'overcast'] as const;

/** Where and when the show is, as far as the sun goes. */
export const skySchema = z.strictObject({
  latitudeDeg: z.number().min(-90).max(90),
  longitudeDeg: z.number().min(-180).max(180),
  /** The compass bearing that lies up the plan */
  upThePlanDeg: z.number().min(-360).max(360),
  on: z.iso.date(),
  /** Begin of the show by the clock, minutes after midnight */
  atMin: z.number().int().min(0).max(1439),
  /** How far that clock is ahead of universal time, min */
  aheadMin: z.number().int().min(-720).max(840),
  is: z.enum(SKIES),
});
export type Sky = z.infer<typeof skySchema>;

/** An area lies level: benches, a floor. Everything else stands. */
export const BACKDROPS = ['wall', 'green screen', 'board', 'screen', 'area'] as const;
export const HUES = ['neutral', 'skin', 'red', 'yellow', 'green', 'blue'] as const;

/** Something that light falls on and cameras see: a wall, a green screen, a board, rows of benches. */
export const backdropSchema = z.strictObject({
  name: nameSchema,
  is: z.enum(BACKDROPS),
  /** Its middle on the plan, and which way its front looks */
  at: spotSchema,
  widthM: sizeM,
  /** Of an area, how deep it is */
  heightM: sizeM,
  /** Its lower edge; of an area, the level it lies at */
  bottomM: z.number().min(0).max(50),
  /** Share of the light it sends back */
  reflects: share,
  hue: z.enum(HUES),
  /** What must not be more on it: a board that shows, a screen that is looked at; null = as it comes */
  mostLux: z.number().min(0).max(200_000).nullable(),
  order: orderSchema,
});
export type Backdrop = z.infer<typeof backdropSchema>;

/** What a face does with light. */
export const faceSchema = z.strictObject({
  skinReflects: share,
  clothesReflect: share,
  hairReflects: share,
  /** How far the glasses lean forward at the top */
  glassesTiltDeg: z.number().min(-20).max(30),
});
export type Face = z.infer<typeof faceSchema>;

/** Typical: skin between 0.25 and 0.60, clothes of a middle tone, dark hair, glasses that lean 8 to 12° forward. */
export const USUAL_FACE: Face = {
  skinReflects: 0.35,
  clothesReflect: 0.2,
  hairReflects: 0.08,
  glassesTiltDeg: 10,
};

export const lightRulesSchema = z.strictObject({
  /** What cameras are balanced to */
  whiteK: kelvin,
  /** Mean reflectance of floor, walls and ceiling; null = 0.2, 0.5 and 0.7 by their areas, as is typical */
  reflects: z.number().min(0).max(0.95).nullable(),
  /** Brightest over darkest of a green screen, at most */
  evenness: z.number().min(1.02).max(4),
  /** Wanted on each face; null = what the cameras need */
  faceLux: z.number().positive().max(200_000).nullable(),
  /** Highest sensitivity at which every camera still is clean, ISO */
  cleanIso: z.number().min(50).max(409_600),
});
export type LightRules = z.infer<typeof lightRulesSchema>;

export const USUAL_LIGHT_RULES: LightRules = {
  whiteK: 5600,
  reflects: null,
  evenness: 1.3,
  faceLux: null,
  cleanIso: 3200,
};

/** What one lamp is set to. */
export const levelSchema = z.strictObject({ dimmer: percent, kelvin: kelvin.nullable() });
export type Level = z.infer<typeof levelSchema>;

/** A look of a set: what every lamp is set to. */
export const lookSchema = z.strictObject({
  name: nameSchema,
  /** The set it belongs to; null = any */
  setId: idSchema.nullable(),
  levels: z.record(idSchema, levelSchema),
  order: orderSchema,
});
export type Look = z.infer<typeof lookSchema>;
