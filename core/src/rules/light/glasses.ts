import { framedBy } from '../../passes/framing';
import { nameOfThing } from '../../passes/names';
import { hangLamp, moveLamp, raiseLamp } from '../../edits/light';
import { type Exposed, exposures } from '../../passes/exposure';
import {
  type FaceLight,
  type Glint,
  glintOf,
  GLINT_SEEN_STOPS,
  LENS_HALF_MM,
  LENS_RADIUS_MM,
  NOD_DEG,
  type OnFace,
  raiseToClearM,
} from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { stepped } from '../../passes/place';
import { figure, type Sum } from '../../passes/sum';
import type { About } from '../about';
import type { Fix } from '../../edits/fix';
import { batchFix, eachLightRule } from '../rule-of';
import { input, SOURCE, stops, sum } from './words';

/** A light in somebody's glasses, as a lens sees it. */
interface InGlasses {
  readonly exposed: Exposed;
  readonly face: FaceLight;
  readonly part: OnFace;
  readonly glint: Glint;
}

const about = ({ exposed, face, part }: InGlasses): About => ({
  kind: 'shot',
  shotId: exposed.shotId,
  deviceId: exposed.framing.shot.deviceId,
  personId: face.personId,
  source: part.source.id,
});

/** Where on the lens, in words. */
const placeOf = ({ rightMm, upMm }: Glint): string => {
  const [aside, above] = [Math.abs(rightMm), Math.abs(upMm)];
  const [halfWide, halfTall] = LENS_HALF_MM;
  if (aside > halfWide || above > halfTall)
    return `at the ${above > halfTall ? (upMm < 0 ? 'lower' : 'upper') : rightMm < 0 ? 'left' : 'right'} edge`;
  const side =
    aside < 3
      ? ''
      : ` and ${figure(Math.abs(rightMm), 0)} mm to their ${rightMm < 0 ? 'left' : 'right'}`;
  return `${figure(Math.abs(upMm), 0)} mm ${upMm < 0 ? 'below' : 'above'} the middle${side}`;
};

const glintSums = ({ face, glint }: InGlasses): Sum[] => [
  sum(
    'Where it sits on the lens',
    'radius × sin(angle between the lens’s axis and half way from camera to lamp), upwards',
    [
      input('radius of the lens', LENS_RADIUS_MM, 'mm'),
      input('half its height', LENS_HALF_MM[1], 'mm'),
      input('glasses lean', face.face.glassesTiltDeg, '°'),
    ],
    glint.upMm,
    'mm',
    `${SOURCE}: mirror the lens in the glasses`,
  ),
  sum(
    'And to the right',
    'the same, sideways',
    [input('half its width', LENS_HALF_MM[0], 'mm')],
    glint.rightMm,
    'mm',
  ),
  sum(
    'Against the skin beside it',
    'log2(0.04 × luminance of the lamp ÷ luminance of the skin)',
    [],
    glint.stops,
    'stops',
    'Fresnel: one uncoated surface sends back 4 %',
  ),
];

/** Lamps are not raised nearer to the ceiling than this. @unit m */
const UNDER_CEILING_M = 0.1;
/** Without a room, a stand is drawn out so far at most. @unit m */
const MOST_UP_M = 1.2;

/** How far a lamp can rise. @unit m */
const roomAbove = (measured: Measured, { source }: OnFace): number => {
  const ceiling = measured.rig.shell?.heightM;
  return ceiling === undefined
    ? MOST_UP_M
    : Math.min(
        MOST_UP_M,
        Math.max(0, ceiling - UNDER_CEILING_M - source.at.zM - source.heightM / 2),
      );
};

const aimed = (part: OnFace, face: FaceLight) =>
  part.source.lamp?.aim.at === 'turned'
    ? [hangLamp(part.source.id, { aim: { at: 'person', personId: face.personId } })]
    : [];

/** Raised, moved aside, or the glasses tilted, until it is out. */
const ways = ({ exposed, face, part }: InGlasses, measured: Measured, spareDeg: number): Fix[] => {
  const camera = exposed.view?.camera.at;
  const facing = face.person.at?.facingDeg;
  if (!camera || facing === undefined) return [];
  const upM = part.source.lamp
    ? raiseToClearM(face, part, camera, roomAbove(measured, part), spareDeg)
    : null;
  const up = upM === null ? [] : raiseLamp(measured, part.source.id, upM);
  const aside = [0.3, 0.6, 0.9].flatMap((byM) =>
    [1, -1].flatMap((side) => {
      const at = { ...stepped(part.source.at, facing + 90, side * byM), zM: part.source.at.zM };
      const glint = glintOf(face, part, camera, at);
      return (glint?.outDeg ?? 1) > spareDeg && part.source.lamp
        ? [{ byM, commands: moveLamp(measured, part.source.id, facing + 90, side * byM), side }]
        : [];
    }),
  );
  const [way] = aside.filter(({ commands }) => commands.length > 0);
  const tilt = [3, 6, 9].map((more) => face.face.glassesTiltDeg + more);
  const tilted = tilt.find((glassesTiltDeg) => {
    const glint = glintOf({ ...face, face: { ...face.face, glassesTiltDeg } }, part, camera);
    return (glint?.outDeg ?? 1) > spareDeg && glassesTiltDeg <= 15;
  });
  return [
    ...(upM !== null && up.length > 0
      ? [
          batchFix(`Raise ${nameOfThing(measured, part.source)} by ${figure(upM, 2)} m`, [
            ...up,
            ...aimed(part, face),
          ]),
        ]
      : []),
    ...(way
      ? [
          batchFix(
            `Move ${nameOfThing(measured, part.source)} ${figure(way.byM)} m to the ` +
              `${way.side > 0 ? 'right' : 'left'} ` +
              `of where ${face.name} looks`,
            way.commands,
          ),
        ]
      : []),
    ...(tilted === undefined
      ? []
      : [
          {
            label: `Tilt the glasses of ${face.name} to ${figure(tilted, 0)}°`,
            command: {
              type: 'setFace' as const,
              personId: face.personId,
              face: { ...face.face, glassesTiltDeg: tilted },
            },
          },
        ]),
  ];
};

export const glare = eachLightRule<InGlasses>(
  'light.glare',
  {
    looksFor: 'A light that a lens sees in somebody’s glasses.',
    why: 'Two white squares sit where the eyes should be, for the whole show.',
    remedy: 'Raise the light, move it aside, or tilt the glasses.',
    source: `${SOURCE}: mirror the lens in the plane of the glasses, which lean 8–12° forward`,
  },
  {
    all: (measured) =>
      exposures(measured).flatMap((exposed) =>
        exposed.glints.map((glint) => ({ exposed, ...glint })),
      ),
    about,
    judge: ({ exposed, face, part, glint }, measured) => ({
      level: 'warn',
      title: `${nameOfThing(measured, part.source)} shows in the glasses of ${face.name}`,
      says:
        `${framedBy(measured, exposed.framing).name} sees ${nameOfThing(measured, part.source)} in ` +
        `the glasses of ${face.name}, ` +
        `${placeOf(glint)} of the lens, ${stops(glint.stops)} ${glint.stops < 0 ? 'under' : 'over'} ` +
        'the skin beside it. Raise it, move it aside, or tilt the glasses.',
    }),
    sums: glintSums,
    moves: true,
    fixes: (thing, measured) => ways(thing, measured, 0),
  },
);

/** Lights that miss the lens by less than a nod. */
const nearly = (measured: Measured): InGlasses[] =>
  exposures(measured).flatMap((exposed) =>
    exposed.faces.flatMap((face) =>
      face.person.wearsGlasses && exposed.view
        ? face.parts.flatMap((part) => {
            const glint = exposed.view && glintOf(face, part, exposed.view.camera.at);
            return glint &&
              part.source.of === 'lamp' &&
              glint.outDeg > 0 &&
              glint.outDeg <= NOD_DEG &&
              glint.outDeg === glint.outUpDeg &&
              glint.upMm > 0 &&
              glint.stops >= GLINT_SEEN_STOPS
              ? [{ exposed, face, part, glint }]
              : [];
          })
        : [],
    ),
  );

export const glareNod = eachLightRule<InGlasses>(
  'light.glare-nod',
  {
    looksFor: 'A light that comes into somebody’s glasses when they look up a little.',
    why: 'It flashes in and out as they talk.',
    remedy: 'Raise the light a little more.',
    source: `${SOURCE}: people nod by some 5° while they talk, typical`,
  },
  {
    all: nearly,
    about,
    judge: ({ exposed, face, part, glint }, measured) => ({
      level: 'note',
      title: `${nameOfThing(measured, part.source)} is near the glasses of ${face.name}`,
      says:
        `When ${face.name} looks up by ${figure(glint.outDeg)}°, ${framedBy(measured, exposed.framing).name} sees ` +
        `${nameOfThing(measured, part.source)} in the glasses. Raise it a little more.`,
    }),
    sums: glintSums,
    moves: true,
    fixes: (thing, measured) => ways(thing, measured, NOD_DEG),
  },
);
