import { z } from 'zod';
import { shotSchema } from '../brief/schema';
import { nameSchema } from '../ids';
import { orderSchema } from '../order';
import { spotSchema } from '../room/schema';

/** Who or what is heard in the room: an instrument has a level, a crest and a place as a voice has. */
export const PERSON_KINDS = ['person', 'instrument'] as const;

export const personSchema = z.strictObject({
  name: nameSchema,
  /** An instrument is asked for no headphones, no screen and no seat */
  is: z.enum(PERSON_KINDS),
  where: z.enum(['on site', 'remote']),
  posture: z.enum(['sits', 'stands', 'moves']),
  /** Shot of their face that is needed; null where they are not to be seen */
  shot: shotSchema.nullable(),
  /** Whether their voice is to be heard */
  isHeard: z.boolean(),
  /** Level at 1 m on axis, of speech or of the instrument as it is played, dB SPL */
  speechDbSpl: z.number().min(30).max(120),
  /** How far the voice strays to either side of that level, dB */
  spreadDb: z.number().min(0).max(30),
  /** Peak over RMS of this voice, dB */
  crestDb: z.number().min(0).max(40),
  wearsGlasses: z.boolean(),
  dislikesHeadset: z.boolean(),
  needsHandsFree: z.boolean(),
  /** Where their mouth is; null where nobody has said, and for remote guests */
  at: spotSchema.nullable(),
  /** Their eyes above the floor, m; null = as is typical of how they sit or stand */
  eyeM: z.number().positive().max(3).nullable(),
  /** How tall they are, m; null = not said */
  statureM: z.number().min(0.5).max(2.6).nullable(),
  order: orderSchema,
});
export type Person = z.infer<typeof personSchema>;

/** Normal speech of an unpractised talker, dB SPL at 1 m, and its crest. @source handbook 2-sound, after ISO 9921 */
export const DEFAULT_SPEECH = { speechDbSpl: 62, crestDb: 14 } as const;

/** Instruments as they are usually played in a room: level at 1 m, dB SPL, and crest, dB. Typical. */
export const USUAL_INSTRUMENTS: readonly {
  readonly name: string;
  readonly levelDbSpl: number;
  readonly crestDb: number;
}[] = [
  { name: 'Acoustic guitar', levelDbSpl: 70, crestDb: 16 },
  { name: 'Upright piano', levelDbSpl: 76, crestDb: 18 },
  { name: 'Grand piano', levelDbSpl: 80, crestDb: 18 },
  { name: 'Violin', levelDbSpl: 76, crestDb: 14 },
  { name: 'Cello', levelDbSpl: 76, crestDb: 14 },
  { name: 'Flute', levelDbSpl: 76, crestDb: 12 },
  { name: 'Saxophone', levelDbSpl: 88, crestDb: 14 },
  { name: 'Trumpet', levelDbSpl: 92, crestDb: 14 },
  { name: 'Drum kit', levelDbSpl: 98, crestDb: 20 },
  { name: 'Guitar amplifier cabinet', levelDbSpl: 94, crestDb: 12 },
  { name: 'Bass amplifier cabinet', levelDbSpl: 94, crestDb: 14 },
];

/** Someone on site who sits and talks, as long as nothing else is said. */
export const USUAL_PERSON = {
  is: 'person',
  where: 'on site',
  posture: 'sits',
  shot: 'head and shoulders',
  isHeard: true,
  ...DEFAULT_SPEECH,
  spreadDb: 6,
  wearsGlasses: false,
  dislikesHeadset: false,
  needsHandsFree: false,
  at: null,
  eyeM: null,
  statureM: null,
} as const satisfies Omit<Person, 'name' | 'order'>;
