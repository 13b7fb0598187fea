import { z } from 'zod';
import { idSchema, nameSchema } from '../ids';
import { orderSchema } from '../order';

/** What was read off recordings of a voice and of the room, beside what was set while they were made. */

/** A recording of nothing at all is −200 dBFS. */
const decibels = z.number().min(-250).max(250);
const seconds = z.number().positive().max(30);
/** What a room of bare stone comes to on paper is far longer than any that is measured. */
const reckoned = z.number().positive().max(100_000);

/** The recording a figure was taken from; the recording itself is never kept. */
export const recordingSchema = z.strictObject({
  name: nameSchema,
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
});

const voiceSchema = z.strictObject({
  is: z.literal('voice'),
  /** The microphone, and the input its voice becomes digital at */
  soundId: idSchema,
  inputId: idSchema,
  portId: idSchema,
  /** A full sine is 0. @unit dBFS */
  levelDbfs: decibels,
  peakDbfs: decibels,
  /** In the pauses; null where there were none. @unit dBFS, A-weighted */
  noiseDbfsA: decibels.nullable(),
  /** What the rig made of it then; null where it could not tell. @unit dBFS */
  predictedDbfs: decibels.nullable(),
  /** What everything between mouth and input made of the talker’s level then: dBFS less dB SPL. @unit dB */
  wayDb: decibels.nullable(),
});

const roomSchema = z.strictObject({
  is: z.literal('room'),
  /** Mean of 500 Hz to 2 kHz */
  rt60S: seconds,
  spreadS: z.number().min(0).max(30),
  /** What the room was taken to ring then; null where nothing was known. @unit s */
  predictedS: reckoned.nullable(),
  /** What it came to by its surfaces then; null where it was not drawn. @unit s */
  builtS: reckoned.nullable(),
});

/** One recording of a voice, or one clap in the room. */
export const readingSchema = z.strictObject({
  of: z.discriminatedUnion('is', [voiceSchema, roomSchema]),
  on: z.iso.date().nullable(),
  file: recordingSchema.nullable(),
  order: orderSchema,
});
export type Reading = z.infer<typeof readingSchema>;
export type VoiceReading = z.infer<typeof voiceSchema>;
export type RoomReading = z.infer<typeof roomSchema>;
