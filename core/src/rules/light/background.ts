import { framedBy } from '../../passes/framing';
import { nameOfThing } from '../../passes/names';
import { changeWindow, dimTo } from '../../edits/light';
import { type Exposed, exposures, SENSOR_STOPS, type Tone } from '../../passes/exposure';
import { lightSources } from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { figure, type Sum } from '../../passes/sum';
import { batchFix, eachLightRule } from '../rule-of';
import { input, ofShot, SOURCE, stops, sum } from './words';

/** Under this a face and what is behind it melt together. @unit stops @source handbook 6-light */
const MELTS_STOPS = 0.5;
/** A background so much brighter than the face draws the eye. @unit stops */
const OVER_STOPS = -1;

const withBehind = (measured: Measured): Exposed[] =>
  exposures(measured).filter(
    ({ faces, behind, separationStops }) =>
      faces.length > 0 && behind !== null && separationStops !== null,
  );

const separation = ({ faces, behind, separationStops }: Exposed): Sum[] => {
  const [face] = faces;
  return face && behind
    ? [
        sum(
          'Face over background',
          'log2(light on the face × skin ÷ (light behind × wall))',
          [
            input('light on the face', face.lux, 'lux'),
            input('skin', face.face.skinReflects),
            input('light behind', behind.lux, 'lux'),
            input(behind.name, behind.reflects),
          ],
          separationStops,
          'stops',
        ),
      ]
    : [];
};

/** Lamps that are pointed at what is behind, turned down or up by a factor. */
const turnBehind = ({ behind }: Exposed, measured: Measured, factor: number, says: string) => {
  const id = behind?.backdrop?.id;
  const lamps = lightSources(measured).filter(
    ({ lamp }) => lamp?.aim.at === 'backdrop' && lamp.aim.backdropId === id,
  );
  const commands = lamps.flatMap((source) =>
    source.share * factor <= 1 ? dimTo(measured, source.id, 100 * source.share * factor) : [],
  );
  return commands.length > 0 ? [batchFix(says, commands)] : [];
};

export const melts = eachLightRule<Exposed>(
  'light.melts',
  {
    looksFor: 'A face and a background that are as bright as one another.',
    why: 'The head does not come off the wall.',
    remedy: 'Turn the light behind down, move the person forward, or light the hair.',
    source: `${SOURCE}: separation 1–2 stops is pleasant, under 0.5 melts together`,
  },
  {
    all: withBehind,
    about: ofShot,
    judge: ({ framing, faces, behind, separationStops }, measured) =>
      separationStops === null ||
      Math.abs(separationStops) >= MELTS_STOPS ||
      behind?.backdrop?.backdrop.is === 'green screen' ||
      // A light on the hair parts them as well.
      faces.every(({ hairStops }) => hairStops !== null && hairStops >= 0)
        ? null
        : {
            level: 'note',
            title: `Face and background ${stops(separationStops)} apart in ${framedBy(measured, framing).name}`,
            says:
              `The face in ${framedBy(measured, framing).name} lies ${stops(separationStops)} ` +
              `${separationStops < 0 ? 'under' : 'over'} ${behind?.name ?? 'what is behind'}: under ` +
              `${MELTS_STOPS} they melt together, 1 to 2 are pleasant. Turn the light behind down, move ` +
              'forward, or light the hair.',
          },
    sums: separation,
    fixes: (thing, measured) =>
      turnBehind(
        thing,
        measured,
        2 ** ((thing.separationStops ?? 0) - 1),
        'Turn the light behind down by a stop',
      ),
  },
);

export const backgroundBright = eachLightRule<Exposed>(
  'light.background-bright',
  {
    looksFor: 'A background that is much brighter than the face before it.',
    why: 'The eye goes to the wall, and the camera exposes for it.',
    remedy: 'Turn the light behind down, or the face up.',
    source: `${SOURCE}: separation from the background`,
  },
  {
    all: withBehind,
    about: ofShot,
    judge: ({ framing, behind, separationStops }, measured) =>
      separationStops === null ||
      separationStops > OVER_STOPS ||
      behind?.backdrop?.backdrop.is === 'green screen'
        ? null
        : {
            level: 'warn',
            title: `The background of ${framedBy(measured, framing).name} is ${stops(separationStops)} over the face`,
            says:
              `${behind?.name ?? 'What is behind'} sends back ${stops(separationStops)} more than the face ` +
              `in ${framedBy(measured, framing).name}. Turn the light behind down, or light the face.`,
          },
    sums: separation,
    fixes: (thing, measured) =>
      turnBehind(
        thing,
        measured,
        2 ** ((thing.separationStops ?? 0) - 1),
        'Turn the light behind down',
      ),
  },
);

export const skinWall = eachLightRule<Exposed>(
  'light.skin-wall',
  {
    looksFor: 'A wall the colour of skin behind a face that is as bright.',
    why: 'Not even colour parts the head from the wall.',
    remedy: 'Another wall, another distance, a colour on the wall, or a light on the hair.',
    source: `${SOURCE}: a wall the colour of skin: note`,
  },
  {
    all: withBehind,
    about: ofShot,
    judge: ({ framing, behind, separationStops }, measured) =>
      behind?.backdrop?.backdrop.hue !== 'skin' ||
      separationStops === null ||
      Math.abs(separationStops) >= 1
        ? null
        : {
            level: 'note',
            title: `${behind.name} is the colour of skin`,
            says:
              `${behind.name} in ${framedBy(measured, framing).name} is of the colour of skin and only ` +
              `${stops(separationStops)} from the face. A colour on it, a darker wall or a light on the ` +
              'hair parts them.',
          },
    sums: separation,
  },
);

const CLIPS = SENSOR_STOPS.over;

const toneSum = (tone: Tone | undefined): Sum[] =>
  tone
    ? [
        sum(
          `${tone.name} against middle grey`,
          'log2(light sent back ÷ (0.18 × light needed))',
          [input('the picture clips at', CLIPS, 'stops')],
          tone.stops,
          'stops',
          'typical of a picture of 8 bits',
        ),
      ]
    : [];

/** The brightest that would still clip once the shot itself is exposed rightly: too much light is told apart. */
const brightest = (
  { tones, stopsOver }: Exposed,
  ...what: readonly Tone['what'][]
): Tone | undefined =>
  tones.find(
    (tone) => what.includes(tone.what) && tone.stops - Math.max(0, stopsOver ?? 0) > CLIPS,
  );

export const clipped = eachLightRule<Exposed>(
  'light.clipped',
  {
    looksFor: 'A background, clothes or hair brighter than the picture can hold.',
    why: 'It is white, and nothing brings it back.',
    remedy: 'Less light on it, something darker, or a smaller exposure.',
    source: `${SOURCE}: brightest and darkest against the sensor’s usable range`,
  },
  {
    all: exposures,
    about: ofShot,
    judge: (thing, measured) => {
      const tone = brightest(thing, 'background', 'clothes', 'hair');
      return tone
        ? {
            level: 'warn',
            title: `${tone.name} clips in ${framedBy(measured, thing.framing).name}`,
            says:
              `${tone.name} lies ${stops(tone.stops)} over middle grey in ${framedBy(measured, thing.framing).name}; ` +
              `about ${CLIPS} are left before white. Take light off it, or expose less.`,
          }
        : null;
    },
    sums: (thing) => toneSum(brightest(thing, 'background', 'clothes', 'hair')),
  },
);

export const windowBehind = eachLightRule<Exposed>(
  'light.window-behind',
  {
    looksFor: 'A window in a picture that is brighter than the picture can hold.',
    why: 'It is a white hole, and what stands before it is dark against it.',
    remedy: 'Draw the blind, turn the shot away, or light the face against it.',
    source: `${SOURCE}: windows through the day`,
  },
  {
    all: exposures,
    about: ofShot,
    judge: (thing, measured) => {
      const tone = brightest(thing, 'window');
      return tone
        ? {
            level: 'warn',
            title: `${tone.name} is white in ${framedBy(measured, thing.framing).name}`,
            says:
              `${tone.name} shows in ${framedBy(measured, thing.framing).name} ${stops(tone.stops)} ` +
              `over middle grey; ` +
              `about ${CLIPS} are left before white. Draw its blind or turn the shot away.`,
          }
        : null;
    },
    sums: (thing) => toneSum(brightest(thing, 'window')),
    fixes: (thing, measured) => {
      const tone = brightest(thing, 'window');
      const source = lightSources(measured).find(
        ({ of, id }) => of === 'window' && id === tone?.id,
      );
      if (!tone || !source) return [];
      const openShare = Number((2 ** (CLIPS - 0.2 - tone.stops)).toFixed(2));
      return [openShare, 0].map((share) =>
        batchFix(
          share === 0
            ? `Shut the blind of ${nameOfThing(measured, source)}`
            : `Draw the blind of ${nameOfThing(measured, source)} to ${figure(100 * share, 0)} %`,
          [changeWindow(measured, source.id, { openShare: share })],
        ),
      );
    },
  },
);
