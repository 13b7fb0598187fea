import { setUpWork } from '../../day/change-over';
import type { Work } from '../../day/change-task';
import type { Measured } from '../../passes/measured';
import { pass } from '../../passes/pass';
import { figure } from '../../passes/sum';
import { inOrder } from '../../rig';
import { THE_RIG } from '../about';
import { batchFix, eachDayRule } from '../rule-of';

/** Minutes that the house measured, and who is there to carry. */

const SOURCE = 'handbook 7: estimates come from what was measured';

/** So many times as long, or as short, is no matter of practice. */
const FAR_TIMES = 4;
const FAR_MIN = 2;
/** Measured so often, a spread says something. */
const OFTEN = 3;
const SPREAD_TIMES = 3;

/** What the sets take from everything put away; a task of several counts once, as the first has it. */
const setUpOnce = (measured: Measured): readonly Work[] => {
  const found = new Map<string, Work>();
  for (const [setId] of inOrder(measured.rig.sets))
    for (const work of setUpWork(measured, setId))
      if (!found.has(work.id)) found.set(work.id, work);
  return [...found.values()];
};

/** Every task of setting up that was measured. */
const measuredWork = pass('measured work', (measured): readonly Work[] =>
  Object.keys(measured.rig.taskMinutes).length === 0
    ? []
    : setUpOnce(measured).filter(({ spread }) => spread !== null),
);

const isFar = ({ minutes, estimatedMin }: Work): boolean =>
  Math.abs(minutes - estimatedMin) >= FAR_MIN &&
  (minutes > FAR_TIMES * estimatedMin || minutes * FAR_TIMES < estimatedMin);

const ifAny = <T>(all: readonly T[]): readonly (readonly T[])[] => (all.length > 0 ? [all] : []);

type Works = readonly Work[];

export const measuredFar = eachDayRule<Works>(
  'day.measured-far',
  {
    looksFor: 'A task whose measured minutes are far from what its way and weight say.',
    why: 'Seconds typed as minutes spoil every schedule; and if it is so, something is in the way.',
    remedy: 'Look at what was typed; forget it where it was a slip.',
    source: SOURCE,
  },
  {
    all: (measured) => ifAny(measuredWork(measured).filter(isFar)),
    about: () => THE_RIG,
    judge: (far, { rig }) => {
      const [first] = far;
      return first
        ? {
            level: 'note',
            title:
              `${first.tell(rig).what}: measured ${figure(first.minutes)} min, ` +
              `reckoned ${figure(first.estimatedMin)}`,
            says:
              far
                .map(
                  ({ tell, minutes, estimatedMin }) =>
                    `${tell(rig).what} was measured at ${figure(minutes)} min; way and weight ` +
                    `say ${figure(estimatedMin)}.`,
                )
                .join(' ') + ' Look at what was typed; forget it where it was a slip.',
          }
        : null;
    },
    sums: (far, { rig }) =>
      far.map(({ tell, minutes, estimatedMin }) => ({
        label: tell(rig).what,
        formula: 'measured ÷ reckoned',
        inputs: [
          { name: 'measured', value: minutes, unit: 'min' },
          { name: 'reckoned', value: estimatedMin, unit: 'min' },
        ],
        result: minutes / estimatedMin,
        unit: '',
        source: SOURCE,
      })),
    fixes: (far) => [
      batchFix(
        'Forget what was measured',
        far.map(({ id }) => ({ type: 'forgetTask', taskId: id })),
      ),
    ],
  },
);

export const measuredSpread = eachDayRule<Works>(
  'day.measured-spread',
  {
    looksFor: 'A task that took very different times whenever it was measured.',
    why: 'A schedule with its middle is missed every other time.',
    remedy:
      'Find out what makes it slow: a missing mark, a cable that is looked for, one pair of hands.',
    source: SOURCE,
  },
  {
    all: (measured) =>
      ifAny(
        measuredWork(measured).filter(
          ({ spread }) =>
            spread !== null &&
            spread.times >= OFTEN &&
            spread.mostMin > SPREAD_TIMES * spread.leastMin,
        ),
      ),
    about: () => THE_RIG,
    judge: (wide, { rig }) => {
      const texts = wide.map(
        ({ tell, spread }) =>
          `${tell(rig).what} took ${figure(spread?.leastMin ?? 0)} to ${figure(spread?.mostMin ?? 0)} min`,
      );
      return {
        level: 'note',
        title: texts[0] ?? '',
        says:
          `${texts.join('; ')}: a schedule with the middle is missed every other time. Find out what ` +
          'makes it slow: a missing mark, a cable that is looked for, one pair of hands.',
      };
    },
  },
);

export const oneForTwo = eachDayRule<Works>(
  'day.one-for-two',
  {
    looksFor: 'Things that two must carry, where one person comes into the room.',
    why: 'What is too heavy is carried alone, and a back or a foot pays for it.',
    remedy:
      'Ask somebody to come for setting up, or leave it standing; local rules on lifting may ask for more.',
    source: 'handbook 7: people needed; over 20 kg two carry',
  },
  {
    all: (measured) => {
      const { people, segments } = measured.rig;
      const here = Object.values(people).filter(
        ({ is, where }) => is === 'person' && where === 'on site',
      );
      return here.length === 1 && Object.keys(segments).length > 0
        ? ifAny(setUpOnce(measured).filter((work) => work.people > 1 && work.id !== 'check'))
        : [];
    },
    about: () => THE_RIG,
    judge: (heavy, { rig }) => ({
      level: 'warn',
      title: `One person is there, and ${heavy[0]?.tell(rig).what ?? ''} takes ${heavy[0]?.people ?? 2}`,
      says:
        `${heavy.map(({ tell, people }) => `${tell(rig).what}: ${people} people`).join('; ')}. One person comes into ` +
        'the room. Ask somebody to come for setting up, or leave it standing; local rules on lifting ' +
        'may ask for more.',
    }),
  },
);
