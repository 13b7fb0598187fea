import { framedBy } from '../../passes/framing';
import { nameOfThing } from '../../passes/names';
import { moveSolid } from '../../edits/move';
import type { Measured } from '../../passes/measured';
import { stepped } from '../../passes/place';
import { fieldDeg, type Shown, type View, views } from '../../passes/view';
import { figure } from '../../passes/sum';
import { entry, type Kind } from '../../rig';
import { batchFix, eachPlaceRule } from '../rule-of';
import type { About } from '../about';

/** What stands in a picture where nobody wants it, with the shot it is in. */
interface InShot {
  readonly view: View;
  readonly shown: Shown;
}

/** What viewers may see beside people: what they speak into, wear and look at. */
const MAY_SHOW: readonly Kind[] = ['microphone', 'wireless', 'headphones', 'instrument'];
/** What shows viewers its back, wherever it stands. */
const NEVER_SHOWS: readonly Kind[] = ['display', 'loudspeaker'];

const isGear = (measured: Measured, { solid: { of, id }, depthM }: Shown, atM: number): boolean => {
  const { devices, supports } = measured.rig;
  if (of === 'person') return false;
  if (of === 'device') {
    const device = entry(devices, id);
    const carrier = device?.on ? entry(supports, device.on.supportId)?.figures.is : undefined;
    // What stands on the table of the set belongs to the set.
    // Lamps have a rule of their own: what gives light is larger than the fixture.
    if (!device || device.model.light || MAY_SHOW.includes(device.model.kind)) return false;
    return carrier !== 'desk' || (NEVER_SHOWS.includes(device.model.kind) && depthM < atM);
  }
  const support = entry(supports, id);
  if (!support) return false;
  const carriesVoice = Object.values(devices).some(
    (device) => device.on?.supportId === id && MAY_SHOW.includes(device.model.kind),
  );
  return (support.figures.is === 'stand' || support.figures.is === 'rack') && !carriesVoice;
};

/** A stand and what it carries are one thing to move. */
const causeOf = (
  { rig: { devices, supports } }: Measured,
  { solid: { of, id } }: Shown,
): string => {
  const supportId = of === 'device' ? entry(devices, id)?.on?.supportId : undefined;
  const is = supportId === undefined ? undefined : entry(supports, supportId)?.figures.is;
  return is === 'stand' || is === 'rack' ? `support ${supportId ?? ''}` : `${of} ${id}`;
};

/** Each thing once a shot: of a stand the column or the arm, whichever must go farther. */
const inShots = (measured: Measured): InShot[] =>
  views(measured).flatMap((view) => {
    const worst = new Map<string, Shown>();
    for (const shown of view.shown) {
      if (shown.isSubject || !isGear(measured, shown, view.framing.shot.distanceM ?? 0)) continue;
      const key = causeOf(measured, shown);
      const known = worst.get(key);
      if (!known || shown.outByM > known.outByM) worst.set(key, shown);
    }
    return [...worst.values()].map((shown) => ({ view, shown }));
  });

/** Which way the picture's right side lies. @unit degrees on the plan */
const rightDeg = ({ camera: { right } }: View): number =>
  (Math.atan2(right[0], right[1]) * 180) / Math.PI;

/** Moves are typed to the centimetre; a little more keeps the edge of the picture clean. @unit m */
const SPARE_M = 0.03;

export const inFrame = eachPlaceRule<InShot>(
  'place.in-frame',
  {
    looksFor: 'A stand, a camera, a loudspeaker or a rack in the picture of a shot.',
    why: 'Once it is seen on air it is in every take, and moving it then moves the sound too.',
    remedy: 'Move it aside or behind the camera, or frame tighter.',
    source: 'handbook 5-plan: field from lens and active sensor',
  },
  {
    all: inShots,
    about: ({ view, shown: { solid } }): About => ({
      kind: 'shot',
      shotId: view.shotId,
      deviceId: view.framing.shot.deviceId,
      source: `${solid.of} ${solid.id}`,
    }),
    judge: ({ view, shown }, measured) => ({
      level: 'warn',
      title: `${nameOfThing(measured, shown.solid)} is in the picture of ${framedBy(measured, view.framing).name}`,
      says:
        `${nameOfThing(measured, shown.solid)} stands ${figure(shown.depthM, 2)} m ahead of ` +
        `${framedBy(measured, view.framing).name} ` +
        `and ${figure(Math.abs(shown.asideM), 2)} m to the ${shown.asideM < 0 ? 'left' : 'right'} of its ` +
        `middle, ${figure((Math.atan2(Math.abs(shown.asideM), shown.depthM) * 180) / Math.PI)}° of ` +
        `${figure(fieldDeg(view.camera.halfWidth) / 2)}°. Move it ${figure(shown.outByM, 2)} m to the ` +
        `${shown.outToRight ? 'right' : 'left'}, or frame tighter.`,
    }),
    sums: ({ view: { camera, framing }, shown }, measured) => [
      {
        label: 'Half of the field',
        formula: 'atan(active sensor ÷ (2 × focal length))',
        inputs: [
          { name: 'active sensor', value: framing.sensorWidthMm ?? 'unknown', unit: 'mm' },
          { name: 'focal length', value: framing.focalMm ?? 'unknown', unit: 'mm' },
        ],
        result: fieldDeg(camera.halfWidth) / 2,
        unit: '°',
        source: 'handbook 5-plan',
      },
      {
        label: `Where ${nameOfThing(measured, shown.solid)} is`,
        formula: 'atan(aside ÷ ahead)',
        inputs: [
          { name: 'aside', value: Math.abs(shown.asideM), unit: 'm' },
          { name: 'ahead', value: shown.depthM, unit: 'm' },
        ],
        result: (Math.atan2(Math.abs(shown.asideM), shown.depthM) * 180) / Math.PI,
        unit: '°',
        source: 'the plan',
      },
      {
        label: 'How far it must go',
        formula: 'ahead × tan(half the field) − aside, for the corner that leaves last',
        inputs: [
          { name: 'edge of the picture there', value: shown.depthM * camera.halfWidth, unit: 'm' },
        ],
        result: shown.outByM,
        unit: 'm',
        source: 'handbook 5-plan',
      },
    ],
    moves: true,
    fixes: ({ view, shown }, measured) =>
      (shown.outToRight ? [1, -1] : [-1, 1]).flatMap((side) => {
        const near = side > 0 === shown.outToRight;
        const farM = (near ? shown.outByM : shown.outFarM) + SPARE_M;
        const by = stepped({ xM: 0, yM: 0 }, rightDeg(view), side * farM);
        const commands = moveSolid(measured, shown.solid, by);
        return commands.length > 0
          ? [
              batchFix(
                `Move ${nameOfThing(measured, shown.solid)} ${figure(farM, 2)} m to the ` +
                  `${side > 0 ? 'right' : 'left'} of the picture`,
                commands,
              ),
            ]
          : [];
      }),
  },
);

/** Somebody who is to be seen, and what stands before them. */
interface Hidden {
  readonly view: View;
  readonly personId: string;
  readonly by: View['hidden'][number]['by'];
}

export const hides = eachPlaceRule<Hidden>(
  'place.hides',
  {
    looksFor: 'Something or somebody between a lens and the eyes it is to show.',
    why: 'The shot shows a back or a stand instead of a face.',
    remedy: 'Move what stands in between, or the camera.',
    source: 'the plan: a straight line from the lens to the eyes',
  },
  {
    all: (measured) =>
      views(measured).flatMap((view) => view.hidden.map((hidden) => ({ view, ...hidden }))),
    about: ({ view, personId }): About => ({
      kind: 'shot',
      shotId: view.shotId,
      deviceId: view.framing.shot.deviceId,
      personId,
    }),
    judge: ({ view, personId, by }, measured) => {
      const name = entry(measured.rig.people, personId)?.name ?? personId;
      return {
        level: 'warn',
        title: `${nameOfThing(measured, by)} hides ${name} from ${framedBy(measured, view.framing).name}`,
        says:
          `${nameOfThing(measured, by)} stands between ${framedBy(measured, view.framing).name} and ` +
          `the eyes of ${name}. ` +
          'Move it, or the camera.',
      };
    },
    moves: true,
    fixes: ({ view, by }, measured) =>
      [1, -1].flatMap((side) => {
        const by3M = Math.max(by.widthM, by.depthM) + SPARE_M;
        const commands =
          by.of === 'person'
            ? []
            : moveSolid(measured, by, stepped({ xM: 0, yM: 0 }, rightDeg(view), side * by3M));
        return commands.length > 0
          ? [
              batchFix(
                `Move ${nameOfThing(measured, by)} ${figure(by3M, 2)} m to the ` +
                  `${side > 0 ? 'right' : 'left'} of the picture`,
                commands,
              ),
            ]
          : [];
      }),
  },
);
