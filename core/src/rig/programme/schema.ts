import { z } from 'zod';
import { shotSchema } from '../brief/schema';
import { idSchema, nameSchema } from '../ids';
import { orderSchema } from '../order';

/** How the pictures are meant: each camera's shot, the scenes made of them, and the buttons that call them up. */

const metres = z.number().positive().max(1000);

/** What the talker looks at instead of the lens. */
export const eyeLineSchema = z.strictObject({
  /** From the lens to what is looked at, m */
  offsetM: z.number().min(0).max(100),
  /** From the eyes to the lens, m */
  distanceM: metres,
  side: z.enum(['beside', 'below', 'above']),
});
export type EyeLine = z.infer<typeof eyeLineSchema>;

/** What one camera is to frame, and where it stands. Distances may be unknown. */
export const shotPlanSchema = z.strictObject({
  deviceId: idSchema,
  personId: idSchema.nullable(),
  sightId: idSchema.nullable(),
  wanted: shotSchema,
  /** Lens to subject, m */
  distanceM: metres.nullable(),
  /** How far back the camera can stand in this room, m */
  furthestM: metres.nullable(),
  /** Subject to what stands behind, m */
  backgroundM: metres.nullable(),
  /** Light falling on the subject, lux */
  lightLux: z.number().min(0).max(200_000).nullable(),
  eyeLine: eyeLineSchema.nullable(),
  /** How much tighter the shot is to be cut afterwards; 1 = not at all */
  punchIn: z.number().min(1).max(10),
  /** Between two seats, for a two-shot, m */
  seatSpacingM: metres.nullable(),
  /** How far the camera travels on a slider, m; null = it stands still */
  travelM: metres.nullable(),
  order: orderSchema,
});
export type ShotPlan = z.infer<typeof shotPlanSchema>;

/** Where a picture stands in a scene: filling it, small on top, one of two halves, or laid over as graphics. */
export const BOXES = ['full', 'inset', 'left half', 'right half', 'over'] as const;
export type Box = (typeof BOXES)[number];
export const layerSchema = z.strictObject({ deviceId: idSchema, box: z.enum(BOXES) });
export type Layer = z.infer<typeof layerSchema>;

/** What the programme shows and sounds like at one moment. */
export const sceneSchema = z.strictObject({
  name: nameSchema,
  /** From the back to the front */
  layers: z.array(layerSchema).max(9),
  /** Who is to be heard; null = everyone whose voice is heard in the show */
  heard: z.array(idSchema).max(50).nullable(),
  /** Which input selectors let through while it is shown; those not named stay as they are */
  selects: z
    .array(z.strictObject({ deviceId: idSchema, control: idSchema, value: z.string().max(60) }))
    .max(20),
  order: orderSchema,
});
export type Scene = z.infer<typeof sceneSchema>;

export const doesSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('scene'), sceneId: idSchema }),
  z.strictObject({ type: z.literal('stream'), turn: z.enum(['start', 'end']) }),
  z.strictObject({ type: z.literal('recording'), turn: z.enum(['start', 'end']) }),
  z.strictObject({ type: z.literal('mute'), personId: idSchema }),
  z.strictObject({ type: z.literal('black') }),
]);
export type Does = z.infer<typeof doesSchema>;

/** What keeps a stray finger from doing it. */
export const GUARDS = ['none', 'hold', 'press twice', 'under a cover'] as const;
export type Guard = (typeof GUARDS)[number];

export const buttonSchema = z.strictObject({
  label: nameSchema,
  does: doesSchema,
  guard: z.enum(GUARDS),
  /** What it is on; null = the panel of whoever switches */
  handId: idSchema.nullable(),
  order: orderSchema,
});
export type PanelButton = z.infer<typeof buttonSchema>;

/** The panel or pedal in front of whoever switches. */
export const panelSchema = z.strictObject({
  columns: z.number().int().min(1).max(12),
  buttons: z.record(idSchema, buttonSchema),
});
export type Panel = z.infer<typeof panelSchema>;

/** A shot of which only the camera is known. */
export const USUAL_SHOT = {
  personId: null,
  sightId: null,
  wanted: 'head and shoulders',
  distanceM: null,
  furthestM: null,
  backgroundM: null,
  lightLux: null,
  eyeLine: null,
  punchIn: 1,
  seatSpacingM: null,
  travelM: null,
} as const satisfies Omit<ShotPlan, 'deviceId' | 'order'>;
