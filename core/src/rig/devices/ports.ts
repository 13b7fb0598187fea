import { z } from 'zod';
import { FORMAT_PATTERN } from '../../units';
import { idSchema, nameSchema } from '../ids';
import { soundSourceSchema } from './sound-model';

/**
 * A device model is data: ports, inner routes from port to port, and the controls a person can
 * turn. A camera, a booster, a hub
 * and a computer differ only in what is written here. A figure that is `null` is unknown and stays unknown.
 */

export const positive = z.number().positive().max(1e9);

export const decibels = z.number().min(-300).max(300);

export const CONNECTORS = [
  'xlr',
  'jack',
  'combo',
  'mini-jack',
  'phono',
  'speaker',
  'hdmi',
  'mini-hdmi',
  'micro-hdmi',
  'bnc',
  'usb-a',
  'usb-b',
  'usb-c',
  'rj45',
  'optical',
  'radio',
  'software',
] as const;

export const connectorSchema = z.enum(CONNECTORS);

export type Connector = z.infer<typeof connectorSchema>;

/** Nominal level an analogue port is made for. Professional line is +4 dBu, consumer line −10 dBV. */
export const nominalSchema = z.enum([
  'microphone',
  'instrument',
  'line',
  'consumer line',
  'headphone',
  'loudspeaker',
]);

export type Nominal = z.infer<typeof nominalSchema>;

const formatText = z
  .string()
  .regex(FORMAT_PATTERN, 'expected a picture format such as 1920x1080p60 or 1920x1080p60000/1001');

/** Which control decides something, by its id in `controls`. */
export const controlRef = idSchema;

export const pictureSourceSchema = z.strictObject({
  /** Control whose value is the format sent */
  formatControl: controlRef,
  /** Switch that takes overlays off the output; true = always clean, false = never */
  clean: z.union([z.boolean(), controlRef]),
  /** Switch that turns copy protection on; true = always protected, false = never */
  copyProtected: z.union([z.boolean(), controlRef]),
  /** Bits per pixel when it leaves by USB, by the value of the encoding control; null where it does not leave by USB */
  encodingControl: controlRef.nullable(),
  /**
   * How the pixels are written: chroma, bits and range. Left out, HDMI sends 8-bit RGB and SDI
   * 10-bit 4:2:2, both in limited range
   */
  codingControl: controlRef.optional(),
});

export type PictureSource = z.infer<typeof pictureSourceSchema>;

const portBase = {
  name: nameSchema,
  direction: z.enum(['in', 'out', 'both']),
  connector: connectorSchema,
  /** Ports that are one hole with another name: only one of those that name the same may hold a plug */
  socket: idSchema.optional(),
  /** What begins here. */
  emits: z
    .strictObject({ picture: pictureSourceSchema.optional(), sound: soundSourceSchema.optional() })
    .optional(),
  /** What ends here, and whether a rig without it is useless. */
  ends: z
    .strictObject({
      picture: z.enum(['needed', 'welcome']).optional(),
      sound: z.enum(['needed', 'welcome']).optional(),
    })
    .optional(),
  /**
   * A file is made of what ends here, on the device's own medium: a card, a drive, a service. The
   * switch that starts it; null where it always records. While it does not, nothing begins or ends
   * here.
   */
  records: z.strictObject({ control: controlRef.nullable() }).optional(),
};

export const analoguePortSchema = z.strictObject({
  ...portBase,
  family: z.literal('analogue'),
  nominal: nominalSchema,
  balanced: z.boolean(),
  /** Output: source resistance, Ω */
  sourceOhms: z.number().min(0).max(1e9).nullable().optional(),
  /** Output: level at which it clips, dBu */
  maxOutDbu: decibels.nullable().optional(),
  /** Input: input resistance, Ω */
  inputOhms: positive.nullable().optional(),
  /** Input: highest level with gain at its minimum and the pad off, dBu; at a converter this reads 0 dBFS */
  maxInDbu: decibels.nullable().optional(),
  /** Output that needs phantom power: current drawn, mA */
  phantomNeedMa: z.number().min(0).max(14).optional(),
  /** Headphones: sound pressure at the ear for one milliwatt, dB SPL; null = not known */
  earDbPerMw: decibels.nullable().optional(),
  /** Headphones: the volume where they are plugged in, or on their cable */
  earVolumeControl: controlRef.optional(),
  /** Loudspeaker: sound pressure at 1 m for 0 dBu at its input and its volume at 0, dB SPL; null = not known */
  splAt0Dbu: decibels.nullable().optional(),
  /** Loudspeaker: its volume */
  speakerVolumeControl: controlRef.optional(),
  /** Loudspeaker: the switch that mutes it while microphones are open */
  speakerMuteControl: controlRef.optional(),
  /** Output that phantom power can damage */
  phantomHarms: z.boolean().optional(),
  /** Input that supplies phantom power: its switch, and the current it can give, mA */
  phantomSupply: z.strictObject({ control: controlRef, maxMa: positive }).optional(),
});

export const digitalPortSchema = z.strictObject({
  ...portBase,
  family: z.literal('digital sound'),
  channels: z.number().int().min(1).max(1024),
  rateHz: z.number().int().min(8000).max(768_000),
});

export const picturePortSchema = z.strictObject({
  ...portBase,
  family: z.literal('picture'),
  standard: z.enum(['hdmi', 'sdi']),
  /** Highest load the port carries, Gb/s */
  maxPayloadGbps: positive,
  /** Input: formats accepted; a port without a list takes whatever its payload carries */
  accepts: z.array(formatText).min(1).max(64).optional(),
  /** Input: the control that says which range it reads, `as signalled`, `full` or `limited` */
  rangeControl: controlRef.optional(),
  /** Whether sound travels with the picture */
  carriesSound: z.boolean(),
});

export const usbPortSchema = z.strictObject({
  ...portBase,
  family: z.literal('usb'),
  /** `host` is the side of the computer or of a hub's sockets, `device` the side of what is plugged in */
  role: z.enum(['host', 'device']),
  /** Signalling rate, Gb/s: 0.48, 5, 10 */
  gbps: z.union([z.literal(0.48), z.literal(5), z.literal(10)]),
  /** Host ports with the same controller share its bandwidth */
  controller: idSchema.optional(),
});

export const networkPortSchema = z.strictObject({
  ...portBase,
  family: z.literal('network'),
  gbps: positive,
  /** Channels of sound it sends or takes at most; left out = not limited here */
  soundChannels: z.number().int().min(1).max(4096).optional(),
});

/** A way in or out of a program on a computer: nothing to plug, nothing to measure. */
export const softwarePortSchema = z.strictObject({ ...portBase, family: z.literal('software') });

export const portSchema = z.discriminatedUnion('family', [
  analoguePortSchema,
  digitalPortSchema,
  picturePortSchema,
  usbPortSchema,
  networkPortSchema,
  softwarePortSchema,
]);

export type Port = z.infer<typeof portSchema>;

export type PortFamily = Port['family'];

export type AnaloguePort = z.infer<typeof analoguePortSchema>;

export type PicturePort = z.infer<typeof picturePortSchema>;

export type UsbPort = z.infer<typeof usbPortSchema>;
