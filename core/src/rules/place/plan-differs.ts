import type { Fix } from '../../edits/fix';
import { moveDevice } from '../../edits/move';
import type { Measured } from '../../passes/measured';
import {
  bearing,
  distanceBetween,
  type ShotOnPlan,
  shotsOnPlan,
  stepped,
} from '../../passes/place';
import { figure } from '../../passes/sum';
import { type Device, entry, isInside, type ShotPlan } from '../../rig';
import { batchFix, eachPlaceRule } from '../rule-of';

/** Farther apart than this, what is typed and what is drawn cannot both be right. */
const APART_SHARE = 0.1;
const APART_M = 0.15;

interface Compared {
  readonly shotId: string;
  readonly shot: ShotPlan;
  readonly onPlan: ShotOnPlan;
}

const isFar = (typedM: number, planM: number): boolean =>
  Math.abs(typedM - planM) > Math.max(APART_M, APART_SHARE * planM);

const compared = (measured: Parameters<typeof shotsOnPlan>[0]): Compared[] =>
  shotsOnPlan(measured).map(([shotId, shot, onPlan]) => ({ shotId, shot, onPlan }));

/** Whether a camera stands on the floor, by itself or on a stand; on a desk it has an edge to fall off. */
const movesFreely = ({ rig }: Measured, { on, at }: Device): boolean =>
  on === null ? at !== null : entry(rig.supports, on.supportId)?.figures.is === 'stand';

/** Moves the camera along its line of sight until it stands as far off as was typed. */
const standAsTyped = ({ shot, onPlan }: Compared, measured: Measured): Fix[] => {
  const { lens, subject } = onPlan;
  const device = measured.device({ id: shot.deviceId });
  if (!subject || shot.distanceM === null || !movesFreely(measured, device)) return [];
  const upM = (lens.zM ?? subject.zM) - subject.zM;
  const alongM = Math.sqrt(shot.distanceM ** 2 - upM ** 2);
  // Nearer than it is high above or below its subject: no place on the floor is right.
  if (!(alongM > 0)) return [];
  const back = bearing(subject, lens);
  const target = stepped(subject, back, alongM);
  const corners = measured.rig.shell?.corners;
  if (corners && !isInside(corners, target)) return [];
  const by = stepped({ xM: 0, yM: 0 }, back, alongM - distanceBetween(lens, subject));
  const commands = moveDevice(measured, shot.deviceId, device, by);
  return commands.length > 0
    ? [batchFix(`Move the camera to ${figure(shot.distanceM, 2)} m from its subject`, commands)]
    : [];
};

/** Of what a shot can be typed and drawn alike. */
const ruleFor = (
  code: string,
  what: string,
  field: 'distanceM' | 'backgroundM' | 'seatSpacingM',
  why: string,
) =>
  eachPlaceRule<Compared>(
    code,
    {
      looksFor: `A shot whose ${what} was typed otherwise than the plan has it.`,
      why,
      remedy: 'Take the plan’s figure, or correct the plan.',
      source: 'the plan',
    },
    {
      all: compared,
      about: ({ shotId, shot }) => ({ kind: 'shot', shotId, deviceId: shot.deviceId }),
      judge: ({ shot, onPlan }, measured) => {
        const [typed, plan] = [shot[field], onPlan[field]];
        if (typed === null || plan === null || !isFar(typed, plan)) return null;
        const { name } = measured.device({ id: shot.deviceId });
        return {
          level: 'note',
          title: `${figure(typed, 2)} m typed, ${figure(plan, 2)} m on the plan`,
          says:
            `For ${name}, the ${what} was typed as ${figure(typed, 2)} m; on the plan it is ` +
            `${figure(plan, 2)} m. What is typed counts. Take the plan’s figure, or correct the plan.`,
        };
      },
      sums: ({ onPlan, shot }) => [
        {
          label: `The ${what} on the plan`,
          formula: field === 'distanceM' ? '√(along the plan² + up²)' : 'along the plan',
          inputs: [{ name: 'typed', value: shot[field] ?? 'nothing', unit: 'm' }],
          result: onPlan[field],
          unit: 'm',
          source: 'the plan',
        },
      ],
      fixes: (thing, measured) => [
        {
          label: `Let the plan say it: ${figure(thing.onPlan[field] ?? 0, 2)} m`,
          command: { type: 'changeShot', shotId: thing.shotId, shot: { [field]: null } },
        },
        ...(field === 'distanceM' ? standAsTyped(thing, measured) : []),
      ],
    },
  );

export const shotDiffers = ruleFor(
  'place.shot-differs',
  'distance to the subject',
  'distanceM',
  'Framing, depth of field and light are computed with it: one of the two was measured wrongly.',
);
export const backgroundDiffers = ruleFor(
  'place.background-differs',
  'distance from the subject to the wall behind',
  'backgroundM',
  'How soft the background is hangs on it.',
);
export const seatsDiffer = ruleFor(
  'place.seats-differ',
  'distance between the seats',
  'seatSpacingM',
  'How wide a shot of two must be hangs on it.',
);
