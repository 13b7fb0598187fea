import { nameOfThing } from '../../passes/names';
import { dimTo, hangLamp, moveLamp } from '../../edits/light';
import { lensAsideDeg } from '../../passes/exposure';
import type { FaceLight } from '../../passes/light';
import { along, bearing, distanceBetween, looking } from '../../passes/place';
import { figure } from '../../passes/sum';
import { usualModifier } from '../../rig';
import { batchFix, eachLightRule } from '../rule-of';
import { litFaces, NO_SIDE_DEG, UNLIT_LUX } from './lit';
import { input, ofPerson, shotOfFace, SOURCE, sum } from './words';

/** From here on a lens sees a profile. @unit degrees */
const PROFILE_DEG = 60;

export const keySide = eachLightRule<FaceLight>(
  'light.key-side',
  {
    looksFor: 'A key on the other side of the face than the house wants it.',
    why: 'Lit on the side away from the lens a face has shape; lit on the lens side it is wide and open.',
    remedy: 'Move the key to the other side, or the lens.',
    source: `${SOURCE}: short or broad, computed from facing and lens`,
  },
  {
    all: litFaces,
    about: ofPerson,
    houseRule: 'keySide',
    judge: (face, measured) => {
      const wanted = measured.rig.houseRules.keySide;
      const shot = shotOfFace(measured, face);
      const lens = shot ? lensAsideDeg(shot, face) : null;
      // In a picture of several, and from the side, there is no lens side.
      if (shot?.faces.length !== 1 || Math.abs(lens ?? 0) > PROFILE_DEG) return null;
      if (wanted === 'either' || lens === null || !face.key || face.key.source.of !== 'lamp')
        return null;
      const { asideDeg } = face.key;
      if (Math.abs(lens) < NO_SIDE_DEG || Math.abs(asideDeg) < NO_SIDE_DEG) return null;
      const isBroad = Math.sign(lens) === Math.sign(asideDeg);
      if (isBroad === (wanted === 'broad')) return null;
      const side = (degrees: number) => (degrees < 0 ? 'left' : 'right');
      return {
        level: 'note',
        title: `${face.name} is lit ${isBroad ? 'on' : 'away from'} the lens side`,
        says:
          `The lens stands ${figure(Math.abs(lens), 0)}° to the ${side(lens)} of where ${face.name} looks, ` +
          `the key ${figure(Math.abs(asideDeg), 0)}° to the ${side(asideDeg)}: ` +
          `${isBroad ? 'broad' : 'short'}, and the house wants it ${wanted}. Move the key to the other side.`,
      };
    },
    sums: (face, measured) => {
      const shot = shotOfFace(measured, face);
      return [
        sum(
          'Lens aside',
          'bearing of the lens − facing',
          [],
          shot ? lensAsideDeg(shot, face) : null,
          '°',
          'the plan',
        ),
        sum(
          'Key aside',
          'bearing of the key − facing',
          [],
          face.key?.asideDeg ?? null,
          '°',
          'the plan',
        ),
      ];
    },
    moves: true,
    fixes: (face, measured) => {
      const { key } = face;
      const facing = face.person.at?.facingDeg;
      if (!key || facing === undefined) return [];
      // Key and fill change sides together.
      const commands = face.parts
        .filter(
          ({ source, lux, asideDeg }) =>
            source.of === 'lamp' && lux > 0.05 * face.lux && Math.abs(asideDeg) < 90,
        )
        .flatMap(({ source, asideDeg }) => {
          const to = along(
            face.eyes,
            looking(facing - asideDeg),
            distanceBetween(face.eyes, source.at),
          );
          const byM = distanceBetween(source.at, to);
          return [
            ...moveLamp(measured, source.id, bearing(source.at, to), byM),
            hangLamp(source.id, { aim: { at: 'person', personId: face.personId } }),
          ];
        });
      return [
        batchFix(
          `Move ${nameOfThing(measured, key.source)} to the other side of ${face.name}, and what fills with it`,
          commands,
        ),
      ];
    },
  },
);

/** A source this near to the eye line, and above it, is seen in the eye. @unit degrees @source handbook 6-light */
const CATCH_DEG = 35;

export const noCatch = eachLightRule<FaceLight>(
  'light.no-catch',
  {
    looksFor: 'Eyes in which no light is seen.',
    why: 'Eyes without a light in them look tired, or as if they were somebody else’s.',
    remedy: 'Bring a light within 35° of where they look, a little above the eyes.',
    source: `${SOURCE}: catch light within about 35° of the eye line and above it`,
  },
  {
    all: litFaces,
    about: ofPerson,
    judge: (face) => {
      if (face.lux < UNLIT_LUX || !face.key) return null;
      const hasOne = face.parts.some(
        ({ lux: given, incidenceDeg, aboveDeg }) =>
          given > 0 && incidenceDeg <= CATCH_DEG && aboveDeg > 0,
      );
      return hasOne
        ? null
        : {
            level: 'note',
            title: `No catch light for ${face.name}`,
            says:
              `The key stands ${figure(face.key.incidenceDeg, 0)}° off where ${face.name} looks, ` +
              `${figure(Math.abs(face.key.aboveDeg), 0)}° ${face.key.aboveDeg < 0 ? 'below' : 'above'} the ` +
              `eyes; a light shows in them within ${CATCH_DEG}° and above. Bring the key nearer to ` +
              'where they look.',
          };
    },
    sums: (face) => [
      sum(
        'Key off the eye line',
        'angle at the eyes',
        [],
        face.key?.incidenceDeg ?? null,
        '°',
        'the plan',
      ),
    ],
    moves: true,
    fixes: (face, measured) => {
      const facing = face.person.at?.facingDeg;
      if (!face.key || face.key.source.lamp === null || facing === undefined) return [];
      const { source, asideDeg } = face.key;
      const farM = distanceBetween(face.eyes, source.at);
      return [30, 25, 20].flatMap((asked) => {
        const to = along(face.eyes, looking(facing + Math.sign(asideDeg || 1) * asked), farM);
        const byM = distanceBetween(source.at, to);
        const commands = moveLamp(measured, source.id, bearing(source.at, to), byM);
        return commands.length > 0
          ? [
              batchFix(
                `Move ${nameOfThing(measured, source)} to ${asked}° beside where ${face.name} looks`,
                [
                  ...commands,
                  hangLamp(source.id, { aim: { at: 'person', personId: face.personId } }),
                ],
              ),
            ]
          : [];
      });
    },
  },
);

/** So far below the eyes a key lights a face the wrong way up. @unit degrees */
const BELOW_DEG = 5;

export const fromBelow = eachLightRule<FaceLight>(
  'light.from-below',
  {
    looksFor: 'A key that comes from below the eyes.',
    why: 'Shadows go up the face, as round a fire in a story for frightening people.',
    remedy: 'Raise the key above the eyes.',
    source: `${SOURCE}: the key stands above the eye line`,
  },
  {
    all: litFaces,
    about: ofPerson,
    judge: (face, measured) =>
      !face.key || face.lux < UNLIT_LUX || face.key.aboveDeg >= -BELOW_DEG
        ? null
        : {
            level: 'note',
            title: `The key of ${face.name} comes from below`,
            says:
              `${nameOfThing(measured, face.key.source)} stands ${figure(-face.key.aboveDeg, 0)}° below the eyes of ` +
              `${face.name} and gives most of the light. Raise it above the eyes.`,
          },
    sums: (face) => [
      sum(
        'Key above the eyes',
        'atan(height over the eyes ÷ distance)',
        [],
        face.key?.aboveDeg ?? null,
        '°',
        'the plan',
      ),
    ],
  },
);

/** A source that looks smaller than this is hard. @unit degrees */
const HARD_DEG = 8;
/** From farther away nothing that can be carried is soft. @unit m */
const FAR_M = 5;

export const hardKey = eachLightRule<FaceLight>(
  'light.hard-key',
  {
    looksFor: 'A key that looks small from the face.',
    why: 'Its shadows have edges, and every line of a face is one.',
    remedy: 'Put a dome or a soft box on it, or bring it nearer.',
    source: `${SOURCE}: source size and shadow edge`,
  },
  {
    all: litFaces,
    about: ofPerson,
    judge: (face, measured) =>
      !face.key ||
      face.key.source.of !== 'lamp' ||
      face.lux < UNLIT_LUX ||
      face.key.distanceM > FAR_M ||
      face.key.seenDeg >= HARD_DEG
        ? null
        : {
            level: 'note',
            title: `A hard key on ${face.name}`,
            says:
              `${nameOfThing(measured, face.key.source)} measures ${figure(face.key.seenDeg)}° as ` +
              `${face.name} sees it: the ` +
              `shadow of the nose has an edge of ${figure(1000 * face.key.shadowEdgeM)} mm. Put a dome or ` +
              'a soft box on it, or bring it nearer.',
          },
    sums: (face) => [
      sum(
        'How large it looks',
        '2 × atan(size ÷ 2 ÷ distance)',
        [input('distance', face.key?.distanceM ?? 0, 'm')],
        face.key?.seenDeg ?? null,
        '°',
      ),
      sum(
        'Edge of the shadow',
        'size × nose to cheek ÷ distance to the nose',
        [input('nose to cheek', 0.025, 'm')],
        face.key ? 1000 * face.key.shadowEdgeM : null,
        'mm',
      ),
    ],
    fixes: (face, measured) => {
      const { key } = face;
      if (!key?.source.figures?.takesModifiers || key.source.lamp?.modifier) return [];
      return ['Dome, 0.9 m', 'Dome, 0.6 m'].map((name) => {
        const modifier = usualModifier(name);
        return batchFix(
          `Put a ${modifier.is} of ${figure(modifier.widthM ?? 0)} m on ${nameOfThing(measured, key.source)}`,
          [
            hangLamp(key.source.id, { modifier }),
            ...dimTo(measured, key.source.id, (100 * key.source.share) / modifier.transmission),
          ],
        );
      });
    },
  },
);
