import { z } from 'zod';
import { anyOf, someIds, someOf, tenths } from '../chance';
import { collection } from '../collection';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { command, type DraftRig, type Gone, missing, type Problem } from '../slice';
import {
  briefSchema,
  deliverableSchema,
  SHOTS,
  SIGHT_KINDS,
  sightSchema,
  SWITCHED_BY,
  USUAL_BRIEF,
  USUAL_DELIVERABLES,
} from './schema';

export { blank, shape } from './shape';

/** What the show needs. */

const briefIn = (rig: DraftRig) => mustHave(rig.brief ?? undefined, refusals.noBrief());

/** The answers themselves; sights and deliverables have commands of their own. */
const answers = briefSchema.omit({ sights: true, deliverables: true }).partial();

export const commands = {
  /** Begins a brief, or replaces its answers */
  writeBrief: command({
    schema: z.strictObject({ brief: answers }),
    apply: (rig, { brief }) => {
      if (rig.brief) Object.assign(rig.brief, brief);
      else rig.brief = { ...USUAL_BRIEF, sights: {}, deliverables: {}, ...brief };
    },
    says: (rig) => (rig.brief === null ? 'Began the brief.' : 'Changed the brief.'),
    arbitrary: (chance) => ({
      brief: someOf(chance, {
        form: chance.oneOf(['live', 'recorded', 'both']),
        lengthMin: chance.integer(1, 600),
        switchedBy: chance.oneOf(SWITCHED_BY),
        budget: anyOf(chance, [null, 500, 4000]),
        uplinkMbps: anyOf(chance, [null, 5, 50]),
      }),
    }),
  }),
  ...collection({
    key: 'sight',
    many: 'sights',
    fields: sightSchema.omit({ order: true }),
    at: (rig) => briefIn(rig).sights,
    read: (rig) => rig.brief?.sights ?? {},
    none: refusals.noSight,
    check: (rig, { people = [] }) => {
      for (const id of people) mustHave(entry(rig.people, id), refusals.noPerson(id));
    },
    leaving: (id, forget) => forget({ kind: 'sight', id }),
    says: {
      add: ({ name }) => `Added ${name} to what must be seen.`,
      change: (name) => `Changed how ${name} must be seen.`,
      remove: (name) => `Removed ${name} from what must be seen.`,
      name: ({ name }) => name,
    },
    arbitrary: (chance, rig) => ({
      name: chance.oneOf(['Hands', 'Slides']),
      what: chance.oneOf(SIGHT_KINDS),
      shot: chance.oneOf(SHOTS),
      people: someIds(chance, rig.people),
      at: chance.once(2) ? null : { xM: tenths(chance, 0, 8), yM: 1, zM: 0.8 },
    }),
  }),
  ...collection({
    key: 'deliverable',
    many: 'deliverables',
    fields: deliverableSchema.omit({ order: true }),
    at: (rig) => briefIn(rig).deliverables,
    read: (rig) => rig.brief?.deliverables ?? {},
    none: refusals.noDeliverable,
    says: {
      add: ({ name }) => `Added ${name} to what is delivered.`,
      change: (name) => `Changed ${name}.`,
      remove: (name) => `Removed ${name} from what is delivered.`,
      name: ({ name }) => name,
    },
    arbitrary: (chance) => anyOf(chance, Object.values(USUAL_DELIVERABLES)),
  }),
};

export const problems = ({ brief, people }: Rig): Problem[] =>
  Object.entries(brief?.sights ?? {}).flatMap(([id, sight]) =>
    sight.people.flatMap((personId) =>
      missing(people, 'person', ['brief', 'sights', id, 'people'], personId),
    ),
  );

export const forget = ({ brief }: DraftRig, { kind, id }: Gone): void => {
  if (kind !== 'person') return;
  for (const sight of Object.values(brief?.sights ?? {}))
    if (sight.people.includes(id)) sight.people = sight.people.filter((other) => other !== id);
};

export const limits = {};
