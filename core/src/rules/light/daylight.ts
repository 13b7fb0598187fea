import { cureOf, setCamera } from '../../edits/exposure';
import { changeWindow } from '../../edits/light';
import { exposures } from '../../passes/exposure';
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
import type { Measured } from '../../passes/measure';
import { figure } from '../../passes/sum';
import { numberSetting } from '../../rig';
import { type About, THE_RIG } from '../about';
import { batchFix, eachLightRule, lightRule } from '../rule-of';
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
            title: `${window.source.name} lights ${face.name}`,
            says:
              `${lux(window.lux)} of the ${lux(face.lux)} on the face of ${face.name} come through ` +
              `${window.source.name}, and the house shuts daylight out. Draw its blind.`,
          };
    },
    sums: (face) => {
      const window = windowOn(face);
      return window ? [partSum(window)] : [];
    },
    fixes: (face, measured) => {
      const window = windowOn(face);
      return window
        ? [
            batchFix(`Shut the blind of ${window.source.name}`, [
              changeWindow(measured, window.source.id, { openShare: 0 }),
            ]),
          ]
        : [];
    },
  },
);

/** A change of light over a show that is seen when it is cut together. @unit stops */
const DRIFT_STOPS = 0.5;

const ofPlace = ({ of, id }: ThroughDay): About =>
  of === 'person' ? { kind: 'person', personId: id } : { ...THE_RIG, source: id };

const extremes = ({
  moments,
}: ThroughDay): { dark: Moment | undefined; bright: Moment | undefined } => ({
  dark: moments.reduce<Moment | undefined>((a, b) => (a && a.lux <= b.lux ? a : b), undefined),
  bright: moments.reduce<Moment | undefined>((a, b) => (a && a.lux >= b.lux ? a : b), undefined),
});

/** Blinds of every window that lights a place, drawn or hung with something thin. */
const blinds = (measured: Measured, thing: ThroughDay) => {
  const ids = [
    ...new Set(thing.moments.flatMap(({ sunThrough }) => (sunThrough ? [sunThrough.id] : []))),
  ];
  const windows =
    ids.length > 0
      ? ids
      : Object.entries(measured.rig.openings).flatMap(([id, { what }]) =>
          what === 'window' ? [id] : [],
        );
  const names = windows.map((id) => measured.rig.openings[id]?.name ?? id).join(' and ');
  return [
    batchFix(
      `Shut the blind of ${names}`,
      windows.map((id) => changeWindow(measured, id, { openShare: 0 })),
    ),
    batchFix(
      `Hang something thin before ${names}`,
      windows.map((id) => changeWindow(measured, id, { isSheer: true })),
    ),
  ];
};

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

/** The moment at which the sun lies strongest on a place. */
const sunMoment = ({ moments }: ThroughDay): Moment | undefined =>
  moments
    .filter(({ sunThrough }) => sunThrough !== null)
    .reduce<Moment | undefined>((a, b) => (a && a.lux >= b.lux ? a : b), undefined);

/** The shots that show a place, and how far each would be over at that moment. */
const shotsOver = (measured: Measured, { of, id }: ThroughDay, moment: Moment) =>
  exposures(measured).flatMap((exposed) => {
    const { shot, lightNeededLux, exposure } = exposed.framing;
    const shows =
      of === 'sight' ? shot.sightId === id : exposed.faces.some(({ personId }) => personId === id);
    return shows && lightNeededLux !== null && exposure === 'set'
      ? [{ exposed, over: Math.log2(moment.lux / lightNeededLux) }]
      : [];
  });

export const sunOn = eachLightRule<ThroughDay>(
  'light.sun-on',
  {
    looksFor: 'The sun itself, through a window, on a face or on what hands do.',
    why: 'Half of it burns out, half of it is black, and the edge walks across the table.',
    remedy:
      'Draw the blind, hang something thin before the window, or put a grey filter on the camera.',
    source: `${SOURCE}: windows through the day; sun by latitude and date`,
  },
  {
    all: throughDay,
    about: ofPlace,
    judge: (thing, measured) => {
      const moment = sunMoment(thing);
      if (!moment?.sunThrough) return null;
      const all = thing.moments.filter(({ sunThrough }) => sunThrough !== null);
      const [first, last] = [all[0]?.atMin ?? 0, all.at(-1)?.atMin ?? 0];
      const over = shotsOver(measured, thing, moment);
      return {
        level: 'warn',
        title: `Sun on ${thing.name} at ${clock(moment.atMin)}`,
        says:
          `The sun comes through ${moment.sunThrough.name} onto ${thing.name} ` +
          (first === last ? `at ${clock(first)}` : `from ${clock(first)} to ${clock(last)}`) +
          `: ${lux(moment.lux)} at ${clock(moment.atMin)}` +
          (over.length > 0
            ? `, ${over.map(({ exposed, over: by }) => `${stops(by)} ${by < 0 ? 'under' : 'over'} for ${exposed.framing.device.name}`).join(', ')}`
            : '') +
          '. Draw the blind, hang something thin before the window, or put a grey filter on the camera.',
      };
    },
    sums: (thing, measured) => {
      const moment = sunMoment(thing);
      if (!moment?.sunThrough?.beam) return [];
      return [
        sum(
          `At ${clock(moment.atMin)}`,
          'sun through the glass × cos(incidence) + sky + lamps',
          [
            input('sun behind the glass', moment.sunThrough.beam.lux, 'lux'),
            input('of that and the sky', moment.windowLux, 'lux'),
          ],
          moment.lux,
          'lux',
          'IES daylight availability: 127.5 klx × e^(−0.21 m)',
        ),
        ...shotsOver(measured, thing, moment).map(({ exposed, over }) =>
          sum(
            `${exposed.framing.device.name} over`,
            'log2(light ÷ light needed)',
            [
              input('light', moment.lux, 'lux'),
              input('needed', exposed.framing.lightNeededLux ?? 0, 'lux'),
            ],
            over,
            'stops',
          ),
        ),
      ];
    },
    fixes: (thing, measured) => blinds(measured, thing),
  },
);

export const sunTooBright = eachLightRule<{
  readonly thing: ThroughDay;
  readonly moment: Moment;
  readonly exposed: ReturnType<typeof exposures>[number];
  readonly over: number;
}>(
  'light.sun-over',
  {
    looksFor: 'A camera that the sun overpowers during the show.',
    why: 'It burns out at that moment, and nobody has a hand free.',
    remedy: 'Put a grey filter on it beforehand, or draw the blind.',
    source: 'ISO 2720, and the sun by latitude and date',
  },
  {
    all: (measured) =>
      throughDay(measured).flatMap((thing) => {
        const moment = sunMoment(thing);
        return moment
          ? shotsOver(measured, thing, moment)
              .filter(({ over }) => over > 1)
              .map((shot) => ({ thing, moment, ...shot }))
          : [];
      }),
    about: ({ exposed }) => ({
      kind: 'shot',
      shotId: exposed.shotId,
      deviceId: exposed.framing.shot.deviceId,
    }),
    judge: ({ thing, moment, exposed, over }) => ({
      level: 'warn',
      title: `${exposed.framing.device.name} is ${stops(over)} over at ${clock(moment.atMin)}`,
      says:
        `When the sun lies on ${thing.name} at ${clock(moment.atMin)}, ${exposed.framing.device.name} gets ` +
        `${stops(over)} more light than it needs. A grey filter of ${figure(Math.round(over), 0)} stops takes ` +
        'it, or the blind.',
    }),
    sums: ({ moment, exposed, over }) => [
      sum(
        'Over',
        'log2(light ÷ light needed)',
        [
          input('light', moment.lux, 'lux'),
          input('needed', exposed.framing.lightNeededLux ?? 0, 'lux'),
        ],
        over,
        'stops',
      ),
    ],
    fixes: ({ thing, exposed, over }, measured) => {
      const { device, camera } = exposed.framing;
      const shutter = camera ? numberSetting(device, camera.shutterControl) : undefined;
      const then =
        shutter === undefined
          ? null
          : cureOf({ ...exposed, stopsOver: over }, shutter, measured.rig.lightRules.cleanIso);
      const commands = then ? setCamera(measured, then) : [];
      return [
        ...blinds(measured, thing),
        ...(then && commands.length > 0
          ? [
              batchFix(
                `Set ${device.name} to f/${figure(then.fNumber)}, ISO ${figure(then.iso, 0)}, ` +
                  `${figure(then.greyStops, 0)} stops of grey filter`,
                commands,
              ),
            ]
          : []),
      ];
    },
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
