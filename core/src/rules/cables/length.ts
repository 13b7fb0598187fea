import { isTooShort, lengthened, soldM } from '../../edits/lengths';
import type { Planned } from '../../passes/cables';
import { batchFix, eachCableRule } from '../rule-of';
import { eachPlanned, metres, startText } from './planned';

const setFixOf = (plan: Planned) =>
  batchFix(`Make it ${soldM(plan)} m, as the plan asks`, lengthened(plan));

export const tooShort = eachCableRule<Planned>(
  'cables.too-short',
  {
    looksFor: 'A cable shorter than its way by the plan, with slack and the travel of a desk.',
    why: 'It does not reach, or hangs where somebody walks; it is found out while the room is full.',
    remedy: 'Use the next length that is sold, or move one of its ends.',
    source: 'handbook 5, Cables; worked E',
    together: (count) => `${count} cables are too short for their ways`,
  },
  {
    ...eachPlanned,
    judge: (plan, measured) =>
      isTooShort(plan)
        ? {
            // Straight through the room it might; that is how it comes to hang where people walk.
            level: plan.cable.lengthM < plan.straightM ? 'stop' : 'warn',
            title: `${plan.cable.lengthM} m does not reach: the way asks ${metres(plan.needM)}`,
            says:
              `${startText(measured, plan)} is ${plan.cable.lengthM} m. Its way is ` +
              `${metres(plan.route.lengthM)}; with ${metres(plan.slackM)} of slack` +
              `${plan.travelM > 0 ? ` and ${metres(plan.travelM)} that the desk travels` : ''} it asks ` +
              `${metres(plan.needM)}. ` +
              (plan.stockM.length > 1
                ? `No length that is sold does; ${plan.stockM.join(' + ')} m joined would.`
                : `The next length that is sold is ${soldM(plan)} m.`),
          }
        : null,
    fixes: (plan) => [setFixOf(plan)],
  },
);

/** Longer than this over what would do, and this many times as long, it lies in coils. */
const COIL = { overM: 5, times: 2 } as const;

export const tooLong = eachCableRule<Planned>(
  'cables.coiled',
  {
    looksFor: 'A cable at least twice as long as would do, and more than 5 m too long.',
    why: 'The rest lies in coils where somebody trips; picture and USB cables lose reach with every metre.',
    remedy: 'Use a shorter one, and keep this one for where it is needed.',
    source: 'handbook 5, Cables',
    together: (count) => `${count} cables lie in coils`,
  },
  {
    ...eachPlanned,
    judge: (plan, measured) => {
      const enoughM = soldM(plan);
      const { lengthM } = plan.cable;
      return lengthM > enoughM + COIL.overM && lengthM >= COIL.times * enoughM
        ? {
            level: 'note',
            title: `${lengthM} m where ${enoughM} m would do`,
            says:
              `${startText(measured, plan)} is ${lengthM} m; the way asks ${metres(plan.needM)}, so ` +
              `${enoughM} m would do. The rest lies in coils. Use a shorter one.`,
          }
        : null;
    },
    fixes: (plan) => [setFixOf(plan)],
  },
);

export const joined = eachCableRule<Planned>(
  'cables.joined',
  {
    looksFor: 'A way longer than the longest cable that is sold.',
    why: 'Every join on the way is two more plugs that come apart, and on digital lines it costs reach.',
    remedy:
      'Go by a converter to a line that goes farther, or bring the ends nearer to each other.',
    source: 'handbook 5, Cables',
  },
  {
    ...eachPlanned,
    judge: (plan, measured) =>
      plan.stockM.length > 1
        ? {
            level: 'warn',
            title: `${metres(plan.needM)}: ${plan.stockM.length - 1} × joined on the way`,
            says:
              `${startText(measured, plan)} needs ${metres(plan.needM)}; that is ${plan.stockM.join(' + ')} m ` +
              'joined. Every join is two more plugs that come apart: tape them, and write them on the plan.',
          }
        : null,
  },
);
