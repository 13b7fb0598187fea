import { framedBy } from '../../passes/framing';
import { nameOfThing } from '../../passes/names';
import { dimTo, hangLamp, raiseLamp } from '../../edits/light';
import { type Exposed, exposures, type InPictureLamp } from '../../passes/exposure';
import {
  backdropsLit,
  faces,
  lampsNowhere,
  lampSources,
  type LightSource,
  seenFaces,
  sightsLit,
  topOfTilted,
} from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { groundOf, solids, type Solid, stoodAt } from '../../passes/place';
import { passesThrough } from '../../passes/view';
import { figure } from '../../passes/sum';
import { batchFix, eachLightRule } from '../rule-of';
import { burning, distanceTo, ofLamp } from './lit';
import { input, ofShot, SOURCE, sum } from './words';

export const lampNowhere = eachLightRule<string>(
  'light.lamp-nowhere',
  {
    looksFor: 'A lamp that stands nowhere.',
    why: 'It lights nobody as long as nobody says where it stands.',
    remedy: 'Put it on a stand, or on the plan.',
    source: `${SOURCE}: at a place`,
  },
  {
    all: lampsNowhere,
    about: (deviceId) => ({ kind: 'device', deviceId }),
    judge: (deviceId, measured) => ({
      level: 'note',
      title: 'Stands nowhere',
      says: `${measured.device({ id: deviceId }).name} is in the rig and stands nowhere: its light is not counted.`,
    }),
  },
);

interface Seen {
  readonly exposed: Exposed;
  readonly lamp: InPictureLamp;
}

/** How far a lamp must rise to leave a picture over its upper edge. @unit m */
const outOverM = ({ exposed: { view }, lamp }: Seen, source: LightSource): number | null => {
  if (!view) return null;
  const farM = Math.hypot(
    source.at.xM - view.camera.at.xM,
    source.at.yM - view.camera.at.yM,
    source.at.zM - view.camera.at.zM,
  );
  return (1 - lamp.y) * view.camera.halfHeight * farM + source.heightM / 2 + 0.05;
};

export const lampInFrame = eachLightRule<Seen>(
  'light.lamp-in-frame',
  {
    looksFor: 'A lamp, or what it wears, in the picture of a shot.',
    why: 'Once it is seen on air it is in every take, and the camera exposes for it.',
    remedy: 'Raise it, move it aside, or frame tighter.',
    source: `${SOURCE}: light in frame; the plan’s rules apply`,
  },
  {
    all: (measured) =>
      exposures(measured).flatMap((exposed) => exposed.lamps.map((lamp) => ({ exposed, lamp }))),
    about: ({ exposed, lamp }) => ({ ...ofShot(exposed), source: lamp.sourceId }),
    judge: ({ exposed, lamp }, measured) => ({
      level: 'warn',
      title: `${lamp.name} is in the picture of ${framedBy(measured, exposed.framing).name}`,
      says:
        `${lamp.name} shows in ${framedBy(measured, exposed.framing).name}, ` +
        `${figure(50 * Math.abs(lamp.x), 0)} % of the ` +
        `width ${lamp.x < 0 ? 'left' : 'right'} of the middle and ${figure(50 * Math.abs(lamp.y), 0)} % of the ` +
        `height ${lamp.y < 0 ? 'below' : 'above'} it. Raise it, move it aside, or frame tighter.`,
    }),
    sums: ({ lamp }) => [
      sum(
        'From the middle, of half the width',
        'projected by the lens',
        [],
        lamp.x,
        '',
        'the plan',
      ),
      sum('Of half the height', 'projected by the lens', [], lamp.y, '', 'the plan'),
    ],
    moves: true,
    fixes: (seen, measured) => {
      const source = lampSources(measured).find(({ id }) => id === seen.lamp.sourceId);
      const byM = source ? outOverM(seen, source) : null;
      const ceilingM = measured.rig.shell?.heightM ?? 3;
      if (!source || byM === null || source.at.zM + byM + source.heightM / 2 > ceilingM) return [];
      const commands = raiseLamp(measured, source.id, byM);
      return commands.length > 0
        ? [batchFix(`Raise ${nameOfThing(measured, source)} by ${figure(byM, 2)} m`, commands)]
        : [];
    },
  },
);

/** How far down a lamp looks. @unit degrees */
const tiltDeg = ({ axis }: LightSource): number =>
  (Math.atan2(-axis[2], Math.hypot(axis[0], axis[1])) * 180) / Math.PI;

/** The highest point of what gives light. @unit m */
export const topM = (source: LightSource): number =>
  topOfTilted(source.at.zM, source.heightM, tiltDeg(source));

export const lampCeiling = eachLightRule<LightSource>(
  'light.ceiling',
  {
    looksFor: 'A lamp or its modifier that reaches through the ceiling.',
    why: 'It does not fit, and a hot lamp at a ceiling is a fire.',
    remedy: 'Lower it, tilt it, or take something smaller.',
    source: `${SOURCE}: 0.9 m dome, centre at 1.9 m, tilted 45°, reaches 2.22 m`,
  },
  {
    all: lampSources,
    about: ofLamp,
    judge: (source, measured) => {
      const { shell } = measured.rig;
      const name = nameOfThing(measured, source);
      return !shell || topM(source) <= shell.heightM + 1e-9
        ? null
        : {
            level: 'stop',
            title: `${name} reaches ${figure(topM(source), 2)} m`,
            says:
              `The upper edge of ${name} is at ${figure(topM(source), 2)} m and the ceiling at ` +
              `${figure(shell.heightM, 2)} m. Lower it by ${figure(topM(source) - shell.heightM, 2)} m or ` +
              'take something smaller.',
          };
    },
    sums: (source) => [
      sum(
        'Upper edge',
        'middle + height ÷ 2 × cos(tilt)',
        [
          input('middle', source.at.zM, 'm'),
          input('height', source.heightM, 'm'),
          input('tilt', tiltDeg(source), '°'),
        ],
        topM(source),
        'm',
      ),
    ],
    moves: true,
    fixes: (source, measured) => {
      const { shell } = measured.rig;
      if (!shell) return [];
      const byM = topM(source) - shell.heightM + 0.05;
      const commands = raiseLamp(measured, source.id, -byM);
      return commands.length > 0
        ? [batchFix(`Lower ${nameOfThing(measured, source)} by ${figure(byM, 2)} m`, commands)]
        : [];
    },
  },
);

/** So little of a lamp anywhere that matters is nothing. @unit lux */
const NOTHING_LUX = 5;

const mostGiven = (measured: Measured, { id, share }: LightSource): number =>
  Math.max(
    0,
    ...faces(measured).flatMap(({ parts }) =>
      parts.flatMap((part) => (part.source.id === id ? [Math.max(part.lux, part.hairLux)] : [])),
    ),
    ...sightsLit(measured).flatMap(({ shares }) =>
      shares.flatMap(({ source, lux }) => (source.id === id ? [lux] : [])),
    ),
    ...backdropsLit(measured).flatMap(({ points }) =>
      points.map(({ full }) => share * (full.get(id) ?? 0)),
    ),
  );

export const aimedAtNobody = eachLightRule<LightSource>(
  'light.aimed-at-nobody',
  {
    looksFor: 'A lamp that lights nobody and nothing that is seen.',
    why: 'It takes power, makes heat and noise, and does nothing.',
    remedy: 'Point it at somebody, or turn it off.',
    source: `${SOURCE}: beam falloff`,
  },
  {
    all: burning,
    about: ofLamp,
    judge: (source, measured) =>
      source.figures?.is === 'practical' ||
      seenFaces(measured).length === 0 ||
      mostGiven(measured, source) >= NOTHING_LUX
        ? null
        : {
            level: 'note',
            title: `${nameOfThing(measured, source)} lights nobody`,
            says:
              `At most ${figure(mostGiven(measured, source), 0)} lux of ` +
              `${nameOfThing(measured, source)} fall on a face, hands or a ` +
              'background. Point it at somebody, or turn it off.',
          },
    sums: (source) => [
      sum('At 1 m on its axis', 'lux at 1 m × dimmer', [], source.share * source.luxAt1m, 'lux'),
    ],
    fixes: (source, measured) =>
      [...seenFaces(measured)]
        .sort((a, b) => distanceTo(a, source) - distanceTo(b, source))
        .slice(0, 1)
        .map((face) =>
          batchFix(`Point ${nameOfThing(measured, source)} at ${face.name}`, [
            hangLamp(source.id, { aim: { at: 'person', personId: face.personId } }),
          ]),
        )
        .concat([
          batchFix(`Turn ${nameOfThing(measured, source)} off`, dimTo(measured, source.id, 0)),
        ]),
  },
);

interface Blocked {
  readonly source: LightSource;
  readonly personId: string;
  readonly name: string;
  readonly by: Solid;
}

/** A lamp counts for a face from so much of its light on. */
const COUNTS_SHARE = 0.2;

const blockedWays = (measured: Measured): Blocked[] => {
  const { people, devices, supports } = solids(measured);
  const tall = supports.filter(({ isRound }) => !isRound);
  return seenFaces(measured).flatMap((face) =>
    face.parts.flatMap(({ source, lux }) => {
      if (source.of !== 'lamp' || lux < COUNTS_SHARE * face.lux) return [];
      const own = stoodAt(measured, source.id)?.supportId;
      const by = [...people, ...devices, ...tall].find(
        (solid) =>
          !(solid.of === 'person' && solid.id === face.personId) &&
          !(solid.of === 'device' && isSmall(measured, solid.id)) &&
          solid.id !== source.id &&
          solid.id !== own &&
          passesThrough(source.at, face.eyes, groundOf(solid), solid.fromM, solid.toM),
      );
      return by ? [{ source, personId: face.personId, name: face.name, by }] : [];
    }),
  );
};

/** Microphones and other lamps throw no shadow that matters. */
const isSmall = (measured: Measured, id: string): boolean => {
  const { kind } = measured.device({ id }).model;
  return kind === 'microphone' || kind === 'light' || kind === 'booster' || kind === 'wireless';
};

export const blocked = eachLightRule<Blocked>(
  'light.blocked',
  {
    looksFor: 'Something that stands between a lamp and the face it lights.',
    why: 'The face is in its shadow: the light that is reckoned with does not arrive.',
    remedy: 'Raise the lamp over it, or move one of them.',
    source: 'the plan: a straight line from the lamp to the eyes',
  },
  {
    all: blockedWays,
    about: ({ source, personId }) => ({ kind: 'person', personId, source: source.id }),
    judge: ({ source, name, by }, measured) => ({
      level: 'warn',
      title: `${nameOfThing(measured, by)} shades ${name} from ${nameOfThing(measured, source)}`,
      says:
        `${nameOfThing(measured, by)} stands between ${nameOfThing(measured, source)} and the eyes ` +
        `of ${name}: its light is reckoned with and ` +
        'does not arrive. Raise the lamp over it, or move one of them.',
    }),
    moves: true,
    fixes: ({ source }, measured) =>
      [0.3, 0.6].flatMap((byM) => {
        const commands = raiseLamp(measured, source.id, byM);
        return commands.length > 0
          ? [batchFix(`Raise ${nameOfThing(measured, source)} by ${figure(byM)} m`, commands)]
          : [];
      }),
  },
);
