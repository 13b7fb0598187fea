import { z } from 'zod';
import { FORMAT_PATTERN } from '../../units';
import { idSchema, nameSchema } from '../ids';
import { orderSchema } from '../order';
import { placeInRoomSchema } from '../room/schema';

/** What the show needs: the part of a rig that is not boxes. @source handbook 1-the-work */

export const SHOTS = [
  'face',
  'head and shoulders',
  'waist',
  'knee',
  'full',
  'two-shot',
  'close',
  'whole',
] as const;
export const shotSchema = z.enum(SHOTS);
export type Shot = z.infer<typeof shotSchema>;

export const SIGHT_KINDS = [
  'hands',
  'table',
  'screen',
  'console',
  'instrument',
  'whiteboard',
  'people together',
] as const;
export const DELIVERABLE_KINDS = [
  'stream',
  'programme recording',
  'voice tracks',
  'camera recordings',
  'vertical clips',
  'backup',
] as const;
export const SWITCHED_BY = [
  'operator',
  'host by panel',
  'host by pedal',
  'automatic',
  'nobody',
] as const;

/** A thing to be seen besides each person's face. */
export const sightSchema = z.strictObject({
  name: nameSchema,
  what: z.enum(SIGHT_KINDS),
  shot: shotSchema,
  /** Who is in it */
  people: z.array(idSchema).max(50),
  /** Where its middle is in the room; null where nobody has said */
  at: placeInRoomSchema.nullable(),
  order: orderSchema,
});
export type Sight = z.infer<typeof sightSchema>;

export const deliverableSchema = z.strictObject({
  name: nameSchema,
  what: z.enum(DELIVERABLE_KINDS),
  /** Picture format delivered; null where there is no picture */
  format: z
    .string()
    .regex(FORMAT_PATTERN, 'expected a picture format such as 1920x1080p30')
    .nullable(),
  codec: z.enum(['AVC', 'HEVC', 'AV1', 'intra-frame', 'PCM']),
  bitrateMbps: z.number().positive().max(100_000).nullable(),
  /** Programme loudness aimed at, LUFS; null where none is */
  loudnessLufs: z.number().min(-40).max(0).nullable(),
  order: orderSchema,
});
export type Deliverable = z.infer<typeof deliverableSchema>;

export const briefSchema = z.strictObject({
  form: z.enum(['live', 'recorded', 'both']),
  cut: z.enum(['long form', 'clips', 'long form and clips']),
  lengthMin: z
    .number()
    .min(1)
    .max(24 * 60),
  showsPerMonth: z.number().min(0).max(200),
  switchedBy: z.enum(SWITCHED_BY),
  /** In the studio's currency; null = not said */
  budget: z.number().min(0).max(1e9).nullable(),
  /** Set-up time allowed, minutes */
  setUpMin: z
    .number()
    .min(0)
    .max(24 * 60),
  room: z.enum(['shared', 'fixed']),
  /** What the line out of the building carries upwards, Mb/s; null = not measured */
  uplinkMbps: z.number().positive().max(1e6).nullable(),
  sights: z.record(idSchema, sightSchema),
  deliverables: z.record(idSchema, deliverableSchema),
});
export type Brief = z.infer<typeof briefSchema>;

/** What each kind of deliverable usually is. */
export const USUAL_DELIVERABLES: Readonly<Record<Deliverable['what'], Omit<Deliverable, 'order'>>> =
  {
    stream: {
      name: 'Live stream',
      what: 'stream',
      format: '1920x1080p30',
      codec: 'AVC',
      bitrateMbps: 6,
      loudnessLufs: -16,
    },
    'programme recording': {
      name: 'Programme recording',
      what: 'programme recording',
      format: '1920x1080p30',
      codec: 'AVC',
      bitrateMbps: 25,
      loudnessLufs: -16,
    },
    'voice tracks': {
      name: 'A track per voice',
      what: 'voice tracks',
      format: null,
      codec: 'PCM',
      bitrateMbps: null,
      loudnessLufs: null,
    },
    'camera recordings': {
      name: 'A recording per camera',
      what: 'camera recordings',
      format: '1920x1080p30',
      codec: 'AVC',
      bitrateMbps: 50,
      loudnessLufs: null,
    },
    'vertical clips': {
      name: 'Vertical clips',
      what: 'vertical clips',
      format: '1080x1920p30',
      codec: 'AVC',
      bitrateMbps: 12,
      loudnessLufs: -16,
    },
    backup: {
      name: 'Backup of the sound',
      what: 'backup',
      format: null,
      codec: 'PCM',
      bitrateMbps: null,
      loudnessLufs: null,
    },
  };

export const USUAL_BRIEF: Brief = {
  form: 'both',
  cut: 'long form',
  lengthMin: 60,
  showsPerMonth: 4,
  switchedBy: 'host by panel',
  budget: null,
  setUpMin: 30,
  room: 'shared',
  uplinkMbps: null,
  sights: {},
  deliverables: {},
};
