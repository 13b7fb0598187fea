import { z } from 'zod';
import { idSchema } from '../ids';

/**
 * What a device model says of sound: what begins at a port, and what a route does to it. A figure
 * that is `null` is unknown and stays unknown.
 */

const positive = z.number().positive().max(1e9);
const decibels = z.number().min(-300).max(300);
/** Which control decides something, by its id in `controls`. */
const controlRef = idSchema;

/** From which sides a microphone hears. @source handbook 2-sound */
export const PATTERNS = [
  'omni',
  'cardioid',
  'supercardioid',
  'hypercardioid',
  'figure of eight',
  /** Lies on a surface and hears everything before it alike */
  'half space',
] as const;
/** Patterns of microphones that stand free: one of them could be another. */
export const FREE_PATTERNS: readonly Pattern[] = PATTERNS.filter(
  (pattern) => pattern !== 'half space',
);
export const patternSchema = z.enum(PATTERNS);
export type Pattern = z.infer<typeof patternSchema>;

const microphoneSourceSchema = z.strictObject({
  type: z.literal('microphone'),
  /** mV/Pa at 1 kHz */
  sensitivityMvPerPa: positive.nullable(),
  /**
   * Equivalent noise of an active capsule, dB(A) SPL; null for a passive one, whose noise is the
   * thermal noise of its source resistance.
   */
  selfNoiseDbaSpl: decibels.nullable(),
  /** Sound pressure at which the capsule distorts, dB SPL */
  maxSpl: decibels.nullable(),
  /** Control with the distance from mouth to capsule, m */
  distanceControl: controlRef,
  /** Fixed, or the control whose value is the pattern; left out = not known */
  pattern: z.union([patternSchema, z.strictObject({ control: controlRef })]).optional(),
});
const lineSourceSchema = z.strictObject({
  type: z.literal('line'),
  /** RMS level at the output, dBu */
  levelDbu: decibels.nullable(),
  crestDb: decibels,
  /** Noise at the output, dBu */
  noiseDbu: decibels.nullable(),
});
const digitalSourceSchema = z.strictObject({
  type: z.literal('digital'),
  levelDbfs: decibels.nullable(),
  crestDb: decibels,
  noiseDbfs: decibels.nullable(),
});
export const soundSourceSchema = z.discriminatedUnion('type', [
  microphoneSourceSchema,
  lineSourceSchema,
  digitalSourceSchema,
]);
export type SoundSource = z.infer<typeof soundSourceSchema>;

const fixedOrControl = z.union([
  z.strictObject({ db: decibels }),
  z.strictObject({ control: controlRef }),
]);

export const soundRouteSchema = z.strictObject({
  gain: fixedOrControl.optional(),
  /** Attenuator switched in before the gain */
  pad: z.strictObject({ control: controlRef, db: z.number().min(-60).max(0) }).optional(),
  /** Equivalent input noise with 150 Ω, by gain; one entry = at maximum gain only. dBu */
  ein: z
    .array(z.strictObject({ gainDb: decibels, dbu: decibels }))
    .max(16)
    .optional(),
  /** Own noise referred to the input, thermal noise of the source not contained, dBu */
  ownNoiseDbu: decibels.nullable().optional(),
  /** Noise added at the output whatever the gain, dBu */
  outputNoiseDbu: decibels.nullable().optional(),
  /** Analogue to digital: dynamic range, dB(A) below full scale */
  toDigital: z.strictObject({ dynamicRangeDba: positive.nullable() }).optional(),
  /** Digital to analogue: level of 0 dBFS at the output, dBu */
  toAnalogue: z
    .strictObject({ fullScaleDbu: decibels.nullable(), dynamicRangeDba: positive.nullable() })
    .optional(),
  /** Compressor by its static curve. Thresholds in dBu in an analogue path, dBFS in a digital one */
  compressor: z
    .strictObject({
      inSwitch: controlRef,
      thresholdControl: controlRef,
      ratioControl: controlRef,
      makeUpControl: controlRef,
    })
    .optional(),
  /**
   * Closes by its range while the level is under its threshold. Threshold in dBu in an analogue
   * path, dBFS in a digital one
   */
  gate: z
    .strictObject({ inSwitch: controlRef, thresholdControl: controlRef, rangeControl: controlRef })
    .optional(),
  /** Takes hiss off s sounds by so much at most; average and peaks of a voice stay as they are */
  deEsser: z.strictObject({ inSwitch: controlRef, rangeControl: controlRef }).optional(),
  /**
   * Lifts or lowers a band each, in dB; a voice's average counts as unchanged, the largest lift as
   * what its peaks may gain
   */
  equaliser: z
    .strictObject({
      inSwitch: controlRef,
      bands: z
        .array(z.strictObject({ hz: positive, control: controlRef }))
        .min(1)
        .max(16),
    })
    .optional(),
  /**
   * Keeps what enters by different ways apart, as a program does that writes a file for each;
   * otherwise they leave as one mix
   */
  keepsApart: z.literal(true).optional(),
  /** Lets phantom power from the far side through to the near side */
  passesPhantom: z.boolean().optional(),
});
export type SoundRoute = z.infer<typeof soundRouteSchema>;
