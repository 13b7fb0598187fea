import { nameOfThing } from '../../passes/names';
import { dimTo } from '../../edits/light';
import type { FaceLight, OnFace } from '../../passes/light';
import { batchFix, eachLightRule } from '../rule-of';
import { dimmedBy, litFaces, UNLIT_LUX } from './lit';
import { input, ofPerson, SOURCE, stops, sum } from './words';

/** Hair may be so much brighter than the face. @unit stops @source handbook 6-light: 0 to 1 stop over key */
const HAIR_MOST = 1;
/** Under this a light from behind does nothing to hair. @unit stops */
const HAIR_LEAST = -3;

const hairLamps = ({ parts }: FaceLight): OnFace[] =>
  parts.filter((part) => part.source.of === 'lamp' && part.hairLux > 0 && part.lux < part.hairLux);

const hairOver = (face: FaceLight): number | null => {
  const hair = hairLamps(face).reduce((total, { hairLux }) => total + hairLux, 0);
  return face.key && hair > 0 ? Math.log2(hair / face.key.lux) : null;
};

const hairSum = (face: FaceLight) => [
  sum(
    'Hair over key',
    'log2(light on the hair from behind ÷ key on the face)',
    [
      input(
        'on the hair',
        hairLamps(face).reduce((total, { hairLux }) => total + hairLux, 0),
        'lux',
      ),
      input('key', face.key?.lux ?? 0, 'lux'),
    ],
    hairOver(face),
    'stops',
  ),
];

export const hairStrong = eachLightRule<FaceLight>(
  'light.hair-strong',
  {
    looksFor: 'A light from behind that is much brighter than the key.',
    why: 'Hair burns out and shines through at the edges.',
    remedy: 'Turn it down to at most one stop over the key.',
    source: `${SOURCE}: 0 to 1 stop over key`,
  },
  {
    all: litFaces,
    about: ofPerson,
    judge: (face, measured) => {
      const over = hairOver(face);
      if (over === null || over <= HAIR_MOST || face.lux < UNLIT_LUX) return null;
      return {
        level: over > 2 ? 'warn' : 'note',
        title: `${stops(over)} over the key on the hair of ${face.name}`,
        says:
          `${hairLamps(face)
            .map(({ source }) => nameOfThing(measured, source))
            .join(' and ')} lights the hair of ${face.name} ` +
          `${stops(over)} brighter than the key lights the face; one is enough. Turn it down.`,
      };
    },
    sums: hairSum,
    fixes: (face, measured) => {
      const over = hairOver(face);
      const lamps = hairLamps(face);
      return over === null
        ? []
        : [
            batchFix(
              `Turn the light on the hair of ${face.name} down by ${stops(over - 0.5)}`,
              dimmedBy(measured, lamps, 2 ** (0.5 - over)),
            ),
          ];
    },
  },
);

export const hairMissing = eachLightRule<FaceLight>(
  'light.hair-missing',
  {
    looksFor: 'A face without a light from behind, where the house wants one on everybody.',
    why: 'Dark hair melts into a dark wall.',
    remedy: 'Point a lamp at the head from behind.',
    source: `${SOURCE}: hair light is a house rule`,
  },
  {
    all: litFaces,
    about: ofPerson,
    houseRule: 'hairLight',
    judge: (face, { rig }) => {
      const over = hairOver(face);
      if (rig.houseRules.hairLight !== 'always' || (over !== null && over >= HAIR_LEAST))
        return null;
      return {
        level: 'note',
        title: `No hair light on ${face.name}`,
        says:
          over === null
            ? `No lamp lights the hair of ${face.name} from behind, and the house wants one on everybody.`
            : `The light on the hair of ${face.name} lies ${stops(over)} under the key: nobody sees it.`,
      };
    },
    sums: hairSum,
  },
);

export const hairUnwanted = eachLightRule<FaceLight>(
  'light.hair-unwanted',
  {
    looksFor: 'A light from behind, where the house wants none.',
    why: 'It looks like a studio, and this is meant to look like a room.',
    remedy: 'Turn it off.',
    source: `${SOURCE}: hair light is a house rule`,
  },
  {
    all: litFaces,
    about: ofPerson,
    houseRule: 'hairLight',
    judge: (face, { rig }) => {
      const over = hairOver(face);
      return rig.houseRules.hairLight !== 'never' || over === null || over < HAIR_LEAST
        ? null
        : {
            level: 'note',
            title: `A hair light on ${face.name}`,
            says:
              `${hairLamps(face)
                .map(({ source }) => nameOfThing({ rig }, source))
                .join(' and ')} lights the hair of ` +
              `${face.name} from behind, and the house wants none.`,
          };
    },
    sums: hairSum,
    fixes: (face, measured) => [
      batchFix(
        `Turn the light on the hair of ${face.name} off`,
        hairLamps(face).flatMap(({ source }) => dimTo(measured, source.id, 0)),
      ),
    ],
  },
);
