import { framedBy } from '../../passes/framing';
import { nameOfThing } from '../../passes/names';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { type Shown, type View, views } from '../../passes/view';
import type { Shot } from '../../rig';
import type { About } from '../about';
import { eachPlaceRule } from '../rule-of';

/** Somebody who shows in a shot of somebody else. */
interface Stray {
  readonly view: View;
  readonly shown: Shown;
  /** Share of the picture's width, 0–1 */
  readonly share: number;
}

/** Shots that are of one person alone; in a wider one the others belong there. */
const CLOSE: readonly Shot[] = ['face', 'head and shoulders', 'waist'];

/** An elbow at the edge is no fault; from here on viewers see a second person. */
const SEEN_SHARE = 0.06;

const strays = (measured: Measured): Stray[] =>
  views(measured).flatMap((view) => {
    const { shot } = view.framing;
    if (shot.personId === null || !CLOSE.includes(shot.wanted)) return [];
    return view.shown.flatMap((shown) => {
      const share = (shown.where.right - shown.where.left) / 2;
      return shown.solid.of === 'person' && !shown.isSubject && share >= SEEN_SHARE
        ? [{ view, shown, share }]
        : [];
    });
  });

export const personInFrame = eachPlaceRule<Stray>(
  'place.person-in-frame',
  {
    looksFor: 'Somebody in the close picture of somebody else.',
    why: 'A shoulder or half a face at the edge looks like a mistake, and tells who is not meant to be seen.',
    remedy: 'Frame tighter, seat them farther apart, or move the camera round.',
    source: 'handbook 5-plan: what is in frame that should not be',
  },
  {
    all: strays,
    about: ({ view, shown: { solid } }): About => ({
      kind: 'shot',
      shotId: view.shotId,
      deviceId: view.framing.shot.deviceId,
      personId: solid.id,
    }),
    judge: ({ view: { framing, onPlan }, shown, share }, measured) => ({
      level: 'note',
      title: `${nameOfThing(measured, shown.solid)} is in the picture of ${framedBy(measured, framing).name}`,
      says:
        `${framedBy(measured, framing).name} shows ${onPlan.subjectName ?? 'somebody'}, and ` +
        `${nameOfThing(measured, shown.solid)} takes ` +
        `up to ${figure(100 * share, 0)} % of the picture’s width, ${figure(shown.depthM, 2)} m ahead ` +
        'of the lens. Frame tighter, seat them farther apart, or move the camera round.',
    }),
    sums: ({ view: { camera }, shown, share }, measured) => [
      {
        label: `Width of ${nameOfThing(measured, shown.solid)} in the picture`,
        formula: '(right edge − left edge) ÷ width of the picture',
        inputs: [
          { name: 'left edge', value: 50 * (shown.where.left + 1), unit: '%' },
          { name: 'right edge', value: 50 * (shown.where.right + 1), unit: '%' },
          { name: 'picture there', value: 2 * shown.depthM * camera.halfWidth, unit: 'm' },
        ],
        result: 100 * share,
        unit: '%',
        source: 'the plan',
      },
    ],
  },
);
