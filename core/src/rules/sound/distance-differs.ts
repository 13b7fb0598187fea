import { steppedNear } from '../../edits/stepped';
import type { Measured } from '../../passes/measured';
import { distanceInRoom, mouthOf, placedSpot } from '../../passes/place';
import type { MicrophoneInRoom } from '../../passes/room';
import { figure } from '../../passes/sum';
import { entry } from '../../rig';
import { microphoneRule, setFix } from '../rule-of';

/** Farther apart than this, the two cannot both be right. */
const APART = 1.25;

const onPlan = (
  { node, personId, spot, heightM }: MicrophoneInRoom,
  measured: Measured,
): number | null => {
  const person = personId === null ? undefined : entry(measured.rig.people, personId);
  const mouth = person && mouthOf(person);
  return placedSpot(measured.rig, measured.device(node.device)) && spot && mouth
    ? distanceInRoom({ ...spot, zM: heightM }, mouth)
    : null;
};

export const distanceDiffers = microphoneRule(
  'sound.distance-differs',
  {
    matters: ['microphone in room'],
    looksFor:
      'A microphone placed on the plan at another distance from its person than the one its level is computed with.',
    why: 'The level counts by the distance that was typed, noise and bleed by the plan: one of them is wrong.',
    remedy: 'Take the distance of the plan, or place the microphone anew.',
    source: 'handbook 2-sound, room',
  },
  {
    judge: (microphone, measured) => {
      const [plan, typed] = [onPlan(microphone, measured), microphone.distanceM];
      if (plan === null || typed === null || Math.max(plan, typed) <= APART * Math.min(plan, typed))
        return null;
      return {
        level: 'note',
        title: `${figure(typed, 2)} m typed, ${figure(plan, 2)} m on the plan`,
        says:
          `The level of ${measured.device(microphone.node.device).name} is computed at ` +
          `${figure(typed, 2)} m from the mouth; on the plan it stands ${figure(plan, 2)} m ` +
          'away. Take one of them.',
      };
    },
    fixes: (microphone, measured) => {
      const [plan, source] = [onPlan(microphone, measured), microphone.node.port.emits?.sound];
      const { id } = microphone.node.device;
      const device = measured.device(microphone.node.device);
      const value =
        plan === null || source?.type !== 'microphone'
          ? null
          : steppedNear(device, source.distanceControl, plan);
      return value === null || source?.type !== 'microphone'
        ? []
        : [setFix(`Take ${figure(value, 2)} m, as on the plan`, id, source.distanceControl, value)];
    },
  },
);
