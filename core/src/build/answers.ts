import { z } from 'zod';
import {
  briefSchema,
  DELIVERABLE_KINDS,
  houseRulesSchema,
  nameSchema,
  personSchema,
  SIGHT_KINDS,
  USUAL_PERSON,
} from '../rig';
import { BEGINNINGS } from './rooms';

/** Where it stands to begin with: a usual room by its name, the one that fits the people, or none yet. */
export const ROOM_ANSWERS = ['to fit', ...BEGINNINGS.map(({ name }) => name), 'none yet'] as const;

/** What a producer says before there is a rig. */
export const answersSchema = z.strictObject({
  name: nameSchema,
  people: z
    .array(
      personSchema.pick({
        name: true,
        where: true,
        posture: true,
        shot: true,
        isHeard: true,
        dislikesHeadset: true,
        needsHandsFree: true,
      }),
    )
    .min(1)
    .max(12),
  sights: z.array(z.strictObject({ name: nameSchema, what: z.enum(SIGHT_KINDS) })).max(8),
  deliverables: z
    .array(z.enum(DELIVERABLE_KINDS))
    .min(1)
    .max(6)
    .refine((list) => new Set(list).size === list.length, 'expected each deliverable once'),
  brief: briefSchema.omit({ sights: true, deliverables: true }),
  usualRoom: z.enum(ROOM_ANSWERS),
  /** What stands behind whoever is seen; left out, what is there */
  background: z.enum(['as it is', 'green screen']).optional(),
  houseRules: houseRulesSchema.partial(),
});
export type Answers = z.infer<typeof answersSchema>;
export type AnsweredPerson = Answers['people'][number];

const ANSWERED_PERSON = {
  posture: USUAL_PERSON.posture,
  shot: USUAL_PERSON.shot,
  isHeard: true,
  dislikesHeadset: false,
  needsHandsFree: false,
} as const;
export const onSite = (name: string, more: Partial<AnsweredPerson> = {}): AnsweredPerson => ({
  name,
  where: 'on site',
  ...ANSWERED_PERSON,
  ...more,
});
export const remote = (name: string, more: Partial<AnsweredPerson> = {}): AnsweredPerson => ({
  name,
  where: 'remote',
  ...ANSWERED_PERSON,
  ...more,
});

const brief = (more: Partial<Answers['brief']> = {}): Answers['brief'] => ({
  form: 'both',
  cut: 'long form',
  lengthMin: 60,
  showsPerMonth: 4,
  switchedBy: 'host by panel',
  budget: null,
  setUpMin: 30,
  room: 'shared',
  uplinkMbps: null,
  ...more,
});

/** A kind of show to begin from, with an answer to every question. */
export interface StartingPoint {
  readonly id:
    'solo-desk' | 'two-voices' | 'round-table' | 'demonstrator' | 'hybrid' | 'green-screen';
  readonly name: string;
  readonly about: string;
  /** What the rig it builds holds and costs at typical prices, in the studio's currency; a test builds it */
  readonly brings: { readonly people: number; readonly cameras: number; readonly price: number };
  readonly answers: (name: string) => Answers;
}

const LIVE = ['stream', 'programme recording', 'voice tracks', 'backup'] as const;

export const STARTING_POINTS: readonly StartingPoint[] = [
  {
    id: 'solo-desk',
    name: 'Solo at a desk',
    brings: { people: 1, cameras: 1, price: 2046 },
    about: 'One voice, one camera, one computer: live and recorded.',
    answers: (name) => ({
      name,
      people: [onSite('Host')],
      sights: [],
      deliverables: [...LIVE],
      brief: brief({ switchedBy: 'nobody', setUpMin: 10, room: 'fixed' }),
      usualRoom: 'to fit',
      houseRules: {},
    }),
  },
  {
    id: 'two-voices',
    name: 'Two voices',
    brings: { people: 2, cameras: 2, price: 4973 },
    about: 'Two people talking, each with a camera, a microphone and headphones.',
    answers: (name) => ({
      name,
      people: [onSite('First voice'), onSite('Second voice')],
      sights: [],
      deliverables: [...LIVE],
      brief: brief(),
      usualRoom: 'to fit',
      houseRules: {},
    }),
  },
  {
    id: 'round-table',
    name: 'Round table of four',
    brings: { people: 4, cameras: 5, price: 9401 },
    about: 'Four people round a table, a camera each and one on all of them.',
    answers: (name) => ({
      name,
      people: ['Host', 'Guest one', 'Guest two', 'Guest three'].map((each) => onSite(each)),
      sights: [{ name: 'The table', what: 'people together' }],
      deliverables: [...LIVE],
      brief: brief({ switchedBy: 'operator', cut: 'long form and clips' }),
      usualRoom: 'to fit',
      houseRules: {},
    }),
  },
  {
    id: 'demonstrator',
    name: 'Demonstrator with an overhead',
    brings: { people: 1, cameras: 2, price: 5504 },
    about:
      'One person who shows something with both hands, from the front and from above, and a screen.',
    answers: (name) => ({
      name,
      people: [onSite('Demonstrator', { posture: 'moves', needsHandsFree: true })],
      sights: [
        { name: 'Hands from above', what: 'hands' },
        { name: 'Screen', what: 'screen' },
      ],
      deliverables: [...LIVE],
      brief: brief({ switchedBy: 'host by pedal' }),
      usualRoom: 'to fit',
      houseRules: {},
    }),
  },
  {
    id: 'hybrid',
    name: 'Hybrid with remote guests',
    brings: { people: 4, cameras: 2, price: 4973 },
    about: 'Two people in the room and two somewhere else, who hear everyone but themselves.',
    answers: (name) => ({
      name,
      people: [onSite('Host'), onSite('Co-host'), remote('First guest'), remote('Second guest')],
      sights: [],
      deliverables: [...LIVE],
      brief: brief(),
      usualRoom: 'to fit',
      houseRules: {},
    }),
  },
  {
    id: 'green-screen',
    name: 'Presenter before a green screen',
    brings: { people: 1, cameras: 1, price: 2526 },
    about: 'One person before a green screen, with its lamps, a key and a fill, all set.',
    answers: (name) => ({
      name,
      people: [onSite('Presenter', { posture: 'stands' })],
      sights: [],
      deliverables: [...LIVE],
      brief: brief({ switchedBy: 'nobody', setUpMin: 20, room: 'fixed' }),
      usualRoom: 'Shed',
      background: 'green screen',
      houseRules: {},
    }),
  },
];
