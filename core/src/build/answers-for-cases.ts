import { analyse, reanalyse } from '../analyse';
import { CATALOGUE } from '../catalogue';
import { moneyOf } from '../passes/money';
import {
  apply,
  type Brief,
  DELIVERABLE_KINDS,
  HOUSE_QUESTION_KEYS,
  HOUSE_QUESTIONS,
  type HouseRules,
  houseRulesSchema,
  inOrder,
  type Mains,
  Refusal,
  type Rig,
  seeded,
  SIGHT_KINDS,
  SWITCHED_BY,
  USUAL_MAINS,
} from '../rig';
import { anyOf } from '../rig/chance';
import { findingKey } from '../rules';
import { cheaperThan, isWorse, swapped } from './cheaper';
import { type Answers, onSite, remote } from './answers';

/** Answers at random over the whole range of every question: one to eight people on site, none to three elsewhere. */
export const anyAnswers = (seed: number): Answers => {
  const chance = seeded(seed, CATALOGUE);
  const here = chance.once(2) ? chance.integer(1, 4) : chance.integer(1, 9);
  const away = chance.once(2) ? 0 : chance.integer(0, 4);
  const rules: Record<string, unknown> = {};
  for (const key of HOUSE_QUESTION_KEYS)
    if (chance.once(3))
      rules[key] = anyOf(
        chance,
        HOUSE_QUESTIONS[key].schools.map(({ value }) => value),
      );
  if (chance.once(3))
    rules['chosenFormat'] = chance.oneOf([
      '1920x1080p25',
      '1920x1080p30',
      '1920x1080p50',
      '1920x1080p60',
    ]);
  if (chance.once(5)) rules['recordingsOfVoice'] = chance.integer(1, 4);
  const houseRules: Partial<HouseRules> = houseRulesSchema.partial().parse(rules);
  const deliverables = DELIVERABLE_KINDS.filter(() => chance.once(2));
  return {
    name: `Drawn ${seed}`,
    people: [
      ...Array.from({ length: here }, (_, n) =>
        onSite(`Person ${n + 1}`, {
          posture: chance.oneOf(['sits', 'sits', 'stands', 'moves'] as const),
          shot: chance.once(6)
            ? null
            : chance.oneOf(['head and shoulders', 'waist', 'full'] as const),
          isHeard: !chance.once(8),
          dislikesHeadset: chance.once(4),
          needsHandsFree: chance.once(5),
        }),
      ),
      ...Array.from({ length: away }, (_, n) =>
        remote(`Guest ${n + 1}`, chance.once(6) ? { shot: null } : {}),
      ),
    ],
    sights: Array.from({ length: chance.once(2) ? 0 : chance.integer(1, 4) }, (_, n) => ({
      name: `Sight ${n + 1}`,
      what: chance.oneOf(SIGHT_KINDS),
    })),
    deliverables: deliverables.length > 0 ? deliverables : ['stream'],
    ...(chance.once(8) ? { background: 'green screen' as const } : {}),
    brief: {
      form: chance.oneOf<Brief['form']>(['live', 'recorded', 'both']),
      cut: chance.oneOf<Brief['cut']>(['long form', 'clips', 'long form and clips']),
      lengthMin: chance.oneOf([20, 60, 60, 120, 240]),
      showsPerMonth: 4,
      switchedBy: chance.oneOf(SWITCHED_BY),
      budget: chance.oneOf([null, null, 1500, 5000, 15_000]),
      setUpMin: chance.oneOf([10, 30, 60]),
      room: chance.oneOf<Brief['room']>(['shared', 'fixed']),
      uplinkMbps: chance.oneOf([null, 5, 20, 50]),
    },
    usualRoom: 'to fit',
    houseRules,
  };
};

/** What such a rig stands on: the usual mains by turns, now and then not said. */
export const anyMains = (seed: number): Mains | null =>
  USUAL_MAINS[seed % (USUAL_MAINS.length + 1)] ?? null;

/** Devices of a rig that could be of a cheaper class of their kind, and nothing would press that does not. */
export const cheaperSwaps = (rig: Rig): string[] => {
  const analysis = analyse(rig);
  const before = new Set(analysis.findings.map(findingKey));
  return inOrder(rig.devices).flatMap(([id, { model }]) =>
    cheaperThan(model)
      .filter((cheaper) => {
        try {
          const commands = swapped(rig, id, cheaper);
          if (!commands) return false;
          const after = apply(rig, { type: 'batch', label: 'Swap', commands });
          return (
            moneyOf(after).toPay < moneyOf(rig).toPay &&
            !isWorse(before, reanalyse(analysis, after))
          );
        } catch (error) {
          if (error instanceof Refusal) return false;
          throw error;
        }
      })
      .map(({ classId }) => `${id}: ${classId ?? ''} instead of ${model.classId ?? ''}`),
  );
};

export { UNMETTABLE } from './unmet';
