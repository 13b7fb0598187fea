import { type ShotOnPlan, shotsOnPlan } from '../../passes/place';
import { figure } from '../../passes/sum';
import type { ShotPlan } from '../../rig';
import { eachPlaceRule } from '../rule-of';

/** What the plan cannot compute with, because somebody has not said where something is. */

interface Blind {
  readonly shotId: string;
  readonly shot: ShotPlan;
  readonly onPlan: ShotOnPlan;
}

const allShots = (measured: Parameters<typeof shotsOnPlan>[0]): Blind[] =>
  shotsOnPlan(measured).map(([shotId, shot, onPlan]) => ({ shotId, shot, onPlan }));

export const subjectUnplaced = eachPlaceRule<Blind>(
  'place.subject-unplaced',
  {
    looksFor: 'A camera with a place on the plan whose subject has none.',
    why: 'Nothing of its picture can be told: nothing is guessed.',
    remedy: 'Say where the subject is.',
    source: 'the plan',
  },
  {
    all: allShots,
    about: ({ shotId, shot }) => ({ kind: 'shot', shotId, deviceId: shot.deviceId }),
    judge: ({ shot, onPlan }, measured) =>
      onPlan.subject
        ? null
        : {
            level: 'note',
            title: `Where ${onPlan.subjectName ?? 'its subject'} is has not been said`,
            says:
              `${measured.device({ id: shot.deviceId }).name} stands on the plan, ` +
              `${onPlan.subjectName ?? 'what it looks at'} does not: what is in its picture cannot be ` +
              'told. Say where that is.',
          },
  },
);

export const cameraHeight = eachPlaceRule<Blind>(
  'place.camera-height',
  {
    looksFor: 'A camera on the plan whose height nobody has said.',
    why: 'Its picture is told as if it stood level with what it looks at.',
    remedy: 'Say how high its lens is, or stand it on something.',
    source: 'the plan',
  },
  {
    all: allShots,
    about: ({ shotId, shot }) => ({ kind: 'shot', shotId, deviceId: shot.deviceId }),
    judge: ({ shot, onPlan: { lens, subject } }, measured) =>
      !subject || lens.zM !== null
        ? null
        : {
            level: 'note',
            title: `How high ${measured.device({ id: shot.deviceId }).name} is has not been said`,
            says:
              `How high ${measured.device({ id: shot.deviceId }).name} is has not been said: its ` +
              `picture is told as if it stood level with what it looks at, ${figure(subject.zM, 2)} m ` +
              'up. Say how high its lens is, or stand it on something.',
          },
    fixes: ({ shot, onPlan: { subject } }) =>
      subject
        ? [
            {
              label: `It is level with its subject: ${figure(subject.zM, 2)} m`,
              command: {
                type: 'raiseDevice',
                deviceId: shot.deviceId,
                heightM: Number(subject.zM.toFixed(2)),
              },
            },
          ]
        : [],
  },
);
