import { nameOfThing } from '../../passes/names';
import { dimTo, hangLamp } from '../../edits/light';
import { moveInto, placesAround } from '../../edits/place-lamp';
import { type FaceLight, type OnFace, seenFaces } from '../../passes/light';
import { figure } from '../../passes/sum';
import type { HouseRules } from '../../rig';
import { batchFix, eachLightRule } from '../rule-of';
import { dimmedBy, litFaces, NO_SIDE_DEG, UNLIT_LUX } from './lit';
import { input, lux, ofPerson, partSums, SOURCE, stops, sum } from './words';

/** Lamps from farther away are not carried over for one face. @unit m */
const NEAR_M = 6;

export const faceUnlit = eachLightRule<FaceLight>(
  'light.face-unlit',
  {
    looksFor: 'Somebody who is to be seen and whom hardly any light reaches.',
    why: 'The camera lifts the picture until its noise crawls.',
    remedy: 'Point a lamp at them.',
    source: `${SOURCE}: lux on the plane of the face`,
  },
  {
    all: litFaces,
    about: ofPerson,
    judge: (face) =>
      face.lux >= UNLIT_LUX
        ? null
        : {
            level: 'warn',
            title: `${lux(face.lux)} on ${face.name}`,
            says:
              `Of everything that gives light, ${lux(face.lux)} fall on the face of ${face.name}; ` +
              `under ${UNLIT_LUX} no camera is clean. Point a lamp at them.`,
          },
    sums: (face, measured) => partSums(measured, face),
    fixes: (face, measured) => [
      ...face.parts
        .filter(({ source, distanceM }) => source.lamp !== null && distanceM < NEAR_M)
        .flatMap(({ source }) =>
          moveInto(measured, placesAround(measured, source, seenFaces(measured)), ({ faces }) =>
            faces.every(({ lux: now }) => now >= UNLIT_LUX)
              ? Math.min(...faces.map((one) => one.lux))
              : null,
          ),
        ),
      ...face.parts
        .filter(({ source, distanceM }) => source.lamp !== null && distanceM < NEAR_M)
        .sort((a, b) => a.distanceM - b.distanceM)
        .slice(0, 2)
        .map((part) =>
          batchFix(`Point ${nameOfThing(measured, part.source)} at ${face.name}`, [
            hangLamp(part.source.id, { aim: { at: 'person', personId: face.personId } }),
            ...dimTo(measured, part.source.id, 100),
          ]),
        ),
    ],
  },
);

/** Ratios that a house takes, and the one it aims at. @source handbook 6-light: flat 1.5, gentle 2, shaped 4 */
const RATIOS: Readonly<
  Record<
    HouseRules['lightRatio'],
    { readonly least: number; readonly most: number; readonly aim: number }
  >
> = {
  flat: { least: 1.1, most: 1.9, aim: 1.5 },
  gentle: { least: 1.6, most: 2.8, aim: 2 },
  shaped: { least: 2.8, most: 5.7, aim: 4 },
};
export const ratioOf = (rules: HouseRules) => RATIOS[rules.lightRatio];

/** Beyond this the shaded side of a face is gone. */
const GONE_RATIO = 8;

/** What of the fill lamps there are brings a face to a ratio: a factor on each. */
const fillFactor = (face: FaceLight, aim: number): { lamps: OnFace[]; factor: number } => {
  const lamps = face.parts.filter(
    (part) => part.source.lamp !== null && part !== face.key && part.lux > 0.02 * face.lux,
  );
  const fromLamps = lamps.reduce((total, part) => total + part.lux, 0);
  const wanted = (face.lux - face.fillLux) / (aim - 1);
  const others = face.fillLux - fromLamps;
  return { lamps, factor: fromLamps > 0 ? (wanted - others) / fromLamps : 0 };
};

export const ratio = eachLightRule<FaceLight>(
  'light.ratio',
  {
    looksFor: 'A face whose light and shade are not as the house wants them.',
    why: 'Too flat, and a face has no shape; too deep, and half of it is not there.',
    remedy: 'Turn the fill up or down, or bring a white board in.',
    source: `${SOURCE}: flat 1.5 : 1, gentle 2 : 1, shaped 4 : 1`,
  },
  {
    all: litFaces,
    about: ofPerson,
    houseRule: 'lightRatio',
    judge: (face, { rig }) => {
      const { least, most, aim } = ratioOf(rig.houseRules);
      if (!face.key || face.lux < UNLIT_LUX) return null;
      if (face.ratio !== null && face.ratio >= least && face.ratio <= most) return null;
      const isGone = face.ratio === null || face.ratio > GONE_RATIO;
      const now =
        face.ratio === null
          ? 'There is no fill at all'
          : `Key and fill stand to the fill as ${figure(face.ratio)} : 1`;
      return {
        level: isGone ? 'warn' : 'note',
        title:
          face.ratio === null
            ? `No fill on ${face.name}`
            : `${figure(face.ratio)} : 1 on ${face.name}`,
        says:
          `${now} on the face of ${face.name}: ${lux(face.lux)} against ${lux(face.fillLux)}. The house ` +
          `wants ${figure(aim)} : 1. ` +
          (face.ratio !== null && face.ratio < least
            ? 'Turn the fill down, or the key up.'
            : 'Turn the fill up, bring a white board in, or turn the key down.'),
      };
    },
    sums: (face, measured) => [
      ...partSums(measured, face),
      sum(
        'Key and fill to fill',
        '(key + fill) ÷ fill',
        [input('key and fill', face.lux, 'lux'), input('fill', face.fillLux, 'lux')],
        face.ratio,
        ': 1',
      ),
      sum(
        'The same in stops',
        'log2(ratio)',
        [input('ratio', face.ratio ?? 'none')],
        face.ratioStops,
        'stops',
      ),
    ],
    fixes: (face, measured) => {
      const { aim } = ratioOf(measured.rig.houseRules);
      const { lamps, factor } = fillFactor(face, aim);
      const most = Math.max(...lamps.map(({ source }) => source.share * factor));
      const key = face.key?.source.lamp ? face.key : null;
      const keyFactor = key
        ? ((aim - 1) * face.fillLux) / Math.max(1e-9, face.lux - face.fillLux)
        : 0;
      return [
        ...(lamps.length > 0 && factor >= 0 && most <= 1.005
          ? [
              batchFix(
                `Set the fill on ${face.name} to ${figure(100 * Math.min(1, most), 0)} %`,
                dimmedBy(measured, lamps, factor),
              ),
            ]
          : []),
        ...(key && keyFactor * key.source.share <= 1 && keyFactor * key.source.share > 0.02
          ? [
              batchFix(
                `Set ${nameOfThing(measured, key.source)} to ${figure(100 * keyFactor * key.source.share, 0)} %`,
                dimmedBy(measured, [key], keyFactor),
              ),
            ]
          : []),
      ].filter(({ command }) => command.type !== 'batch' || command.commands.length > 0);
    },
  },
);

/** A second lamp so near to the key makes a second shadow. @unit stops */
const SECOND_KEY_STOPS = 0.5;
/** What looks larger than this throws no shadow that is seen: it only fills. @unit degrees */
const SOFT_DEG = 12;
/** From the front, where noses throw shadows. @unit degrees */
const FRONT_DEG = 75;

const secondKey = (face: FaceLight): OnFace | undefined =>
  face.parts.find(
    (part) =>
      face.key !== null &&
      part !== face.key &&
      part.source.of === 'lamp' &&
      part.lux > 0 &&
      Math.abs(part.asideDeg) <= FRONT_DEG &&
      Math.abs(part.asideDeg - face.key.asideDeg) > 2 * NO_SIDE_DEG &&
      part.seenDeg < SOFT_DEG &&
      Math.log2(face.key.lux / part.lux) < SECOND_KEY_STOPS,
  );

export const twoKeys = eachLightRule<FaceLight>(
  'light.two-keys',
  {
    looksFor: 'A second, hard lamp from the front that is nearly as bright on a face as the key.',
    why: 'A nose throws two shadows, and neither side is the light one.',
    remedy: 'Turn one down until it only fills.',
    source: `${SOURCE}: one key or two is a house rule`,
  },
  {
    all: litFaces,
    about: ofPerson,
    houseRule: 'keyLights',
    judge: (face, { rig }) => {
      const second = secondKey(face);
      if (rig.houseRules.keyLights !== 'one key' || !face.key || !second) return null;
      return {
        level: 'note',
        title: `Two keys on ${face.name}`,
        says:
          `${nameOfThing({ rig }, face.key.source)} gives ${lux(face.key.lux)} and ` +
          `${nameOfThing({ rig }, second.source)} ` +
          `${lux(second.lux)} on the face of ${face.name}, ${stops(Math.log2(face.key.lux / second.lux))} ` +
          'apart: two shadows of one nose. Turn one of them down until it only fills.',
      };
    },
    sums: (face, measured) => {
      const second = secondKey(face);
      return [
        ...partSums(measured, face),
        sum(
          'Apart',
          'log2(key ÷ the other)',
          [input('key', face.key?.lux ?? 0, 'lux'), input('the other', second?.lux ?? 0, 'lux')],
          face.key && second ? Math.log2(face.key.lux / second.lux) : null,
          'stops',
        ),
      ];
    },
    fixes: (face, measured) => {
      const second = secondKey(face);
      return second
        ? [
            batchFix(
              `Turn ${nameOfThing(measured, second.source)} down to ${figure(50 * second.source.share, 0)} %`,
              dimmedBy(measured, [second], 0.5),
            ),
          ]
        : [];
    },
  },
);
