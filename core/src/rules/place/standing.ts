import { nameOfThing } from '../../passes/names';
import { moveSolid } from '../../edits/move';
import type { Measured } from '../../passes/measured';
import {
  bearing,
  outlineOf,
  overlapM,
  type Solid,
  solids,
  stepped,
  supportOf,
} from '../../passes/place';
import { figure } from '../../passes/sum';
import { batchFix, eachPlaceRule } from '../rule-of';
import type { About } from '../about';

/** Rules of what stands where it cannot. */

const aboutSolid = ({ of, id }: Solid): About => {
  switch (of) {
    case 'person':
      return { kind: 'person', personId: id };
    case 'device':
      return { kind: 'device', deviceId: id };
    case 'support':
      return { kind: 'support', supportId: id };
  }
};

interface Tall {
  readonly solid: Solid;
  readonly ceilingM: number;
}

/** What stands closer to a ceiling than this scrapes it. @unit m */
const UNDER_M = 0.02;

export const ceiling = eachPlaceRule<Tall>(
  'place.ceiling',
  {
    looksFor: 'Something taller than the room, or set higher than its ceiling.',
    why: 'It does not go in.',
    remedy: 'Lower it, or use a shorter one.',
    source: 'the plan',
  },
  {
    all: (measured) => {
      const { shell } = measured.rig;
      if (!shell) return [];
      const all = solids(measured);
      return [...all.people, ...all.devices, ...all.supports].map((solid) => ({
        solid,
        ceilingM: shell.heightM,
      }));
    },
    about: ({ solid }) => aboutSolid(solid),
    judge: ({ solid, ceilingM }, measured) =>
      solid.toM <= ceilingM - UNDER_M || (isHung(solid) && solid.fromM <= ceilingM)
        ? null
        : {
            level: 'warn',
            title:
              `${nameOfThing(measured, solid)} reaches ${figure(solid.toM, 2)} m under a ` +
              `ceiling of ${figure(ceilingM, 2)} m`,
            says:
              `The top of ${nameOfThing(measured, solid)} is at ${figure(solid.toM, 2)} m and the ceiling at ` +
              `${figure(ceilingM, 2)} m. It does not go in. Lower it, or use a shorter one.`,
          },
    moves: true,
    fixes: ({ solid, ceilingM }, measured) => {
      const support = solid.of === 'support' ? supportOf(measured, solid.id) : undefined;
      const heightM = Number((ceilingM - 0.1).toFixed(2));
      if (support?.figures.is !== 'stand' || heightM <= 0) return [];
      return [
        batchFix(`Lower ${nameOfThing(measured, solid)} to ${figure(heightM, 2)} m`, [
          {
            type: 'changeSupport',
            supportId: solid.id,
            support: { figures: { ...support.figures, heightM } },
          },
        ]),
      ];
    },
  },
);

/** A grid is fixed to the ceiling itself. */
const isHung = ({ of, toM, fromM }: Solid): boolean => of === 'support' && fromM > 0 && toM > fromM;

interface Under {
  readonly person: Solid;
  readonly beam: Solid;
}

/** Room over a head that nobody hits in passing. @unit m */
const OVER_HEAD_M = 0.1;

export const headLow = eachPlaceRule<Under>(
  'place.head-low',
  {
    looksFor: 'Somebody whose head meets a beam, a grid or what hangs from one.',
    why: 'They hit it when they stand up, on air or not.',
    remedy: 'Move the seat, pad and mark the beam, or hang it higher.',
    source: 'handbook 5-plan; usual caution',
  },
  {
    all: (measured) => {
      const all = solids(measured);
      const low = [...all.supports, ...all.devices].filter(({ fromM }) => fromM > 1);
      return all.people.flatMap((person) =>
        low
          .filter(
            (beam) =>
              !isOwn(measured, person, beam) &&
              beam.fromM < standingM(measured, person) + OVER_HEAD_M &&
              overlapM(outlineOf(beam), outlineOf(person)) > 0,
          )
          .map((beam) => ({ person, beam })),
      );
    },
    about: ({ person, beam }) => ({ ...aboutSolid(person), source: `${beam.of} ${beam.id}` }),
    judge: ({ person, beam }, measured) => ({
      level: beam.fromM < person.toM ? 'warn' : 'note',
      title: `${nameOfThing(measured, beam)} is at ${figure(beam.fromM, 2)} m over ${nameOfThing(measured, person)}`,
      says:
        `${nameOfThing(measured, beam)} begins ${figure(beam.fromM, 2)} m above the floor where ` +
        `${nameOfThing(measured, person)} is, whose ` +
        `head reaches ${figure(standingM(measured, person), 2)} m on their feet. They hit it when they get up. ` +
        'Move the seat, or pad and mark it.',
    }),
    moves: true,
    fixes: ({ person, beam }, measured) =>
      [0, 90, 180, 270].flatMap((turn) => {
        const away = Math.hypot(beam.widthM, beam.depthM) / 2 + person.widthM;
        const by = stepped({ xM: 0, yM: 0 }, bearing(beam.spot, person.spot) + turn, away);
        const commands = moveSolid(measured, person, by);
        return turn === 0 && commands.length > 0
          ? [
              batchFix(
                `Move ${nameOfThing(measured, person)} ${figure(away, 2)} m away from it`,
                commands,
              ),
            ]
          : [];
      }),
  },
);

/** Somebody's own microphone may hang before their face. */
const isOwn = (measured: Measured, person: Solid, { of, id }: Solid): boolean =>
  of === 'device' && measured.device({ id }).personId === person.id;

/** Crown above the floor when somebody who sits gets up. @unit m */
const STANDING_M = 1.75;
const standingM = ({ rig: { people } }: Measured, { id, toM }: Solid): number => {
  const person = people[id];
  return person?.posture === 'sits' ? (person.statureM ?? STANDING_M) : toM;
};

interface Crowded {
  readonly a: Solid;
  readonly b: Solid;
  readonly byM: number;
}

/** Feet of stands go under tables, and people sit at them: so much may overlap. @unit m */
const NESTS_M = 0.02;

export const crowded = eachPlaceRule<Crowded>(
  'place.crowded',
  {
    looksFor: 'Two desks, racks or stands that stand in one another.',
    why: 'There is no room for both; distances that were computed from them do not hold.',
    remedy: 'Move one of them.',
    source: 'the plan',
  },
  {
    all: (measured) => {
      const floor = solids(measured).supports.filter(({ fromM }) => fromM === 0);
      return floor.flatMap((a, at) =>
        floor.slice(at + 1).flatMap((b) => {
          // The feet of a stand go under a table, and into those of another.
          if (a.isRound || b.isRound) return [];
          const byM = overlapM(outlineOf(a), outlineOf(b));
          return byM > NESTS_M ? [{ a, b, byM }] : [];
        }),
      );
    },
    about: ({ a, b }) => ({ kind: 'support', supportId: a.id, source: b.id }),
    judge: ({ a, b, byM }, measured) => ({
      level: 'warn',
      title: `${nameOfThing(measured, a)} and ${nameOfThing(measured, b)} stand in one another`,
      says:
        `${nameOfThing(measured, a)} and ${nameOfThing(measured, b)} overlap by ` +
        `${figure(100 * byM, 0)} cm. There is no room for both. Move one.`,
    }),
    moves: true,
    fixes: ({ a, b, byM }, measured) =>
      [b, a].flatMap((solid) => {
        const other = solid === a ? b : a;
        const by = stepped(
          { xM: 0, yM: 0 },
          bearing(other.spot, solid.spot),
          (byM + 0.05) * Math.SQRT2,
        );
        return [
          batchFix(
            `Move ${nameOfThing(measured, solid)} ${figure((byM + 0.05) * Math.SQRT2, 2)} m away`,
            moveSolid(measured, solid, by),
          ),
        ];
      }),
  },
);
