import { framedBy } from '../../passes/framing';
import { moveInto, placesAround } from '../../edits/place-lamp';
import { type Exposed, exposures } from '../../passes/exposure';
import { lampSources, subjectLux } from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { entry, numberSetting } from '../../rig';
import { THE_RIG } from '../about';
import { eachLightRule, lightRule } from '../rule-of';
import { forAllCameras } from './for-all';
import { input, lux, ofShot, SOURCE, stops, sum } from './words';

const known = (measured: Measured): Exposed[] =>
  exposures(measured).filter(
    ({ stopsOver, framing }) => stopsOver !== null && framing.exposure === 'set',
  );

/** Cameras of one set lie within so much. @unit stops */
const APART_STOPS = 1;

const spread = (all: readonly Exposed[]): { least: Exposed; most: Exposed; by: number } | null => {
  const sorted = [...all].sort((a, b) => (a.stopsOver ?? 0) - (b.stopsOver ?? 0));
  const [least, most] = [sorted[0], sorted.at(-1)];
  return least && most && sorted.length > 1
    ? { least, most, by: (most.stopsOver ?? 0) - (least.stopsOver ?? 0) }
    : null;
};

export const camerasApart = lightRule(
  'light.cameras-apart',
  {
    looksFor: 'Cameras of one set that are exposed differently.',
    why: 'Every cut is a step in brightness.',
    remedy: 'Set them together: one shutter, clean sensitivities, grey filters.',
    source: `${SOURCE}: one cure for all cameras of the set together`,
  },
  (measured) => {
    const apart = spread(known(measured));
    return apart && apart.by > APART_STOPS + 1e-9
      ? [
          {
            about: THE_RIG,
            level: 'warn',
            title: `Cameras ${stops(apart.by)} apart`,
            says:
              `${framedBy(measured, apart.most.framing).name} is ${stops(apart.most.stopsOver ?? 0)} ` +
              `${(apart.most.stopsOver ?? 0) < 0 ? 'under' : 'over'} and ` +
              `${framedBy(measured, apart.least.framing).name} ` +
              `${stops(apart.least.stopsOver ?? 0)} ${(apart.least.stopsOver ?? 0) < 0 ? 'under' : 'over'}: every ` +
              'cut is a step in brightness. Set them together.',
          },
        ]
      : [];
  },
  {
    sums: (measured) =>
      known(measured).map(({ framing, lux: given, stopsOver }) =>
        sum(
          framedBy(measured, framing).name,
          'log2(light ÷ light needed)',
          [input('light', given ?? 0, 'lux'), input('needed', framing.lightNeededLux ?? 0, 'lux')],
          stopsOver,
          'stops',
        ),
      ),
    fixes: forAllCameras,
  },
);

const shutters = (measured: Measured) =>
  known(measured).flatMap(({ framing }) => {
    const { camera } = framing;
    const device = framedBy(measured, framing);
    const shutter = camera ? numberSetting(device, camera.shutterControl) : undefined;
    return shutter === undefined ? [] : [{ name: device.name, shutter }];
  });

export const shuttersDiffer = lightRule(
  'light.shutters-differ',
  {
    looksFor: 'Cameras of one set with different shutters.',
    why: 'Hands blur on one and chop on the other, and lamps flicker on one alone.',
    remedy: 'One shutter for all.',
    source: `${SOURCE}: shutters alike`,
  },
  (measured) => {
    const all = shutters(measured);
    const times = [...new Set(all.map(({ shutter }) => shutter))];
    return times.length > 1
      ? [
          {
            about: THE_RIG,
            level: 'note',
            title: `Shutters of ${times.map((time) => `1/${figure(time, 0)}`).join(' and ')} s`,
            says:
              `${all.map(({ name, shutter }) => `${name} 1/${figure(shutter, 0)} s`).join(', ')}: movement looks ` +
              'different from cut to cut. Give them one shutter.',
          },
        ]
      : [];
  },
  {
    sums: (measured) =>
      shutters(measured).map(({ name, shutter }) =>
        sum(name, 'as it is set', [], shutter, '1/s', 'the rig'),
      ),
    fixes: forAllCameras,
  },
);

/** Typed and reckoned light may differ by so much. @unit stops */
const DIFFERS_STOPS = 1;

export const typedDiffers = eachLightRule<Exposed>(
  'light.typed-differs',
  {
    looksFor: 'A shot whose typed light is not what the lamps of the plan give.',
    why: 'Either the plan or the figure is old, and exposures hang on it.',
    remedy: 'Measure again, or let the plan say it.',
    source: `${SOURCE}: what is typed stays and is compared`,
  },
  {
    all: exposures,
    about: ofShot,
    judge: (exposed, measured) => {
      const typed = entry(measured.rig.shots, exposed.shotId)?.lightLux ?? null;
      const reckoned = subjectLux(measured, exposed.shotId);
      if (typed === null || reckoned === null || typed === 0 || reckoned === 0) return null;
      const apart = Math.log2(typed / reckoned);
      return Math.abs(apart) <= DIFFERS_STOPS
        ? null
        : {
            level: 'note',
            title: `${lux(typed)} typed, ${lux(reckoned)} by the plan`,
            says:
              `${lux(typed)} were typed for ${framedBy(measured, exposed.framing).name}, and lamps ` +
              `and windows of the plan ` +
              `give ${lux(reckoned)}: ${stops(apart)} apart. What is typed counts. Measure again, or let ` +
              'the plan say it.',
          };
    },
    sums: (exposed, measured) => {
      const typed = entry(measured.rig.shots, exposed.shotId)?.lightLux ?? 0;
      const reckoned = subjectLux(measured, exposed.shotId) ?? 0;
      return [
        sum(
          'Typed over reckoned',
          'log2(typed ÷ reckoned)',
          [input('typed', typed, 'lux'), input('reckoned', reckoned, 'lux')],
          typed > 0 && reckoned > 0 ? Math.log2(typed / reckoned) : null,
          'stops',
        ),
      ];
    },
    fixes: ({ shotId, framing }, measured) => [
      {
        label: `Let the plan say what falls on ${framedBy(measured, framing).name}’s shot`,
        command: { type: 'changeShot', shotId, shot: { lightLux: null } },
      },
    ],
  },
);

const facesApart = ({ faces }: Exposed): { bright: number; dark: number; by: number } | null => {
  const lit = faces.map((face) => face.lux).filter((one) => one > 0);
  if (lit.length < 2) return null;
  const [bright, dark] = [Math.max(...lit), Math.min(...lit)];
  return { bright, dark, by: Math.log2(bright / dark) };
};

export const facesDiffer = eachLightRule<Exposed>(
  'light.faces-differ',
  {
    looksFor: 'People in one picture, one of whom is lit much more than the other.',
    why: 'The camera can be right for one of them only.',
    remedy: 'Turn the lamp of the brighter one down, or move it between them.',
    source: `${SOURCE}: lux on each face`,
  },
  {
    all: exposures,
    about: ofShot,
    judge: (exposed, measured) => {
      const apart = facesApart(exposed);
      return !apart || apart.by <= DIFFERS_STOPS
        ? null
        : {
            level: 'warn',
            title: `Faces ${stops(apart.by)} apart in ${framedBy(measured, exposed.framing).name}`,
            says:
              `In ${framedBy(measured, exposed.framing).name} one face has ${lux(apart.bright)} and another ` +
              `${lux(apart.dark)}: the camera can be right for one of them only. Turn the lamp of the ` +
              'brighter one down, or move it between them.',
          };
    },
    sums: (exposed) => {
      const apart = facesApart(exposed);
      return [
        sum(
          'Apart',
          'log2(brightest face ÷ darkest)',
          exposed.faces.map(({ name, lux: given }) => input(name, given, 'lux')),
          apart?.by ?? null,
          'stops',
        ),
      ];
    },
    moves: true,
    fixes: ({ faces }, measured) => {
      const darkest = Math.min(...faces.map((face) => face.lux));
      const lamps = lampSources(measured).filter(({ id, share }) =>
        faces.some(({ parts, lux: all }) =>
          parts.some((part) => share > 0 && part.source.id === id && part.lux > 0.3 * all),
        ),
      );
      return lamps.flatMap((source) =>
        moveInto(measured, placesAround(measured, source, faces), (place) => {
          const lit = place.faces.map((face) => face.lux);
          const by = Math.log2(Math.max(...lit) / Math.min(...lit));
          return by <= DIFFERS_STOPS && Math.min(...lit) >= darkest ? Math.min(...lit) : null;
        }),
      );
    },
  },
);
