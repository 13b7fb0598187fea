import { nameOfThing } from '../../passes/names';
import { changeWindow } from '../../edits/light';
import {
  clock,
  type FaceLight,
  hasUnknownWindow,
  lampSources,
  type Moment,
  type OnFace,
  seenFaces,
  throughDay,
  type ThroughDay,
} from '../../passes/light';
import { THE_RIG } from '../about';
import { batchFix, eachLightRule, lightRule } from '../rule-of';
import { blinds, ofPlace } from './blinds';
import { litFaces } from './lit';
import { input, lux, ofPerson, partSum, SOURCE, stops, sum } from './words';

/** Less than this of a window on a face nobody sees. */
const WINDOW_SHARE = 0.05;

const windowOn = (face: FaceLight): OnFace | undefined =>
  face.parts.find(
    ({ source, lux: given }) => source.of === 'window' && given > WINDOW_SHARE * face.lux,
  );

export const shutOut = eachLightRule<FaceLight>(
  'light.daylight-in',
  {
    looksFor: 'A window that lights a face, where the house shuts daylight out.',
    why: 'What was set at ten looks another way at eleven.',
    remedy: 'Draw the blind.',
    source: `${SOURCE}: windows through the day`,
  },
  {
    all: litFaces,
    about: ofPerson,
    houseRule: 'daylight',
    judge: (face, { rig }) => {
      const window = windowOn(face);
      return rig.houseRules.daylight !== 'shut out' || !window
        ? null
        : {
            level: 'warn',
            title: `${nameOfThing({ rig }, window.source)} lights ${face.name}`,
            says:
              `${lux(window.lux)} of the ${lux(face.lux)} on the face of ${face.name} come through ` +
              `${nameOfThing({ rig }, window.source)}, and the house shuts daylight out. Draw its blind.`,
          };
    },
    sums: (face, measured) => {
      const window = windowOn(face);
      return window ? [partSum(measured, window)] : [];
    },
    fixes: (face, measured) => {
      const window = windowOn(face);
      return window
        ? [
            batchFix(`Shut the blind of ${nameOfThing(measured, window.source)}`, [
              changeWindow(measured, window.source.id, { openShare: 0 }),
            ]),
          ]
        : [];
    },
  },
);

/** A change of light over a show that is seen when it is cut together. @unit stops */
const DRIFT_STOPS = 0.5;

const extremes = ({
  moments,
}: ThroughDay): { dark: Moment | undefined; bright: Moment | undefined } => ({
  dark: moments.reduce<Moment | undefined>((a, b) => (a && a.lux <= b.lux ? a : b), undefined),
  bright: moments.reduce<Moment | undefined>((a, b) => (a && a.lux >= b.lux ? a : b), undefined),
});

export const drift = eachLightRule<ThroughDay>(
  'light.daylight-drift',
  {
    looksFor: 'Daylight that changes on a face or a table during the show.',
    why: 'The beginning and the end do not look like one show, and every camera has to follow.',
    remedy:
      'Draw the blind, hang something thin before the window, or let lamps give more of the light.',
    source: `${SOURCE}: window light is a fixture that changes through the day`,
  },
  {
    all: throughDay,
    about: ofPlace,
    judge: (thing) => {
      const { dark, bright } = extremes(thing);
      // Where the sun itself comes in, that is told instead.
      if (thing.driftStops <= DRIFT_STOPS || !dark || !bright) return null;
      if (thing.moments.some(({ sunThrough }) => sunThrough !== null)) return null;
      return {
        level: 'warn',
        title: `Light on ${thing.name} changes by ${stops(thing.driftStops)}`,
        says:
          `Between ${lux(dark.lux)} at ${clock(dark.atMin)} and ${lux(bright.lux)} at ${clock(bright.atMin)} ` +
          `fall on ${thing.name}: ${stops(thing.driftStops)} within one show. Draw the blind, hang something ` +
          'thin before the window, or let lamps give more of the light.',
      };
    },
    sums: (thing) => {
      const { dark, bright } = extremes(thing);
      return [
        sum(
          'Change during the show',
          'log2(brightest ÷ darkest)',
          [input('brightest', bright?.lux ?? 0, 'lux'), input('darkest', dark?.lux ?? 0, 'lux')],
          thing.driftStops,
          'stops',
        ),
      ];
    },
    fixes: (thing, measured) => blinds(measured, thing),
  },
);

export const skyUnsaid = lightRule(
  'light.sky-unsaid',
  {
    looksFor: 'A window in a room that is lit, of which nobody has said what it lets in.',
    why: 'Daylight may be the brightest light in the room, and it is not counted.',
    remedy: 'Say where and when the show is, type what was measured, or draw the blind.',
    source: `${SOURCE}: typed, or by orientation and hour`,
  },
  (measured) =>
    lampSources(measured).length > 0 && hasUnknownWindow(measured) && seenFaces(measured).length > 0
      ? [
          {
            about: THE_RIG,
            level: 'note',
            title: 'Daylight is not known',
            says:
              'The room has a window, and nobody has said where and when the show is: its light is not ' +
              'counted. Say it, type what was measured, or draw the blind.',
          },
        ]
      : [],
  {
    fixes: (measured) => [
      batchFix(
        'Shut the blind of every window',
        Object.entries(measured.rig.openings).flatMap(([id, { what }]) =>
          what === 'window' ? [changeWindow(measured, id, { luxAt1m: 0, openShare: 0 })] : [],
        ),
      ),
    ],
  },
);
