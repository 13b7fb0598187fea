import { framedBy } from '../../passes/framing';
import { nameOfThing } from '../../passes/names';
import { cureOf, setCamera } from '../../edits/exposure';
import { type Exposed, exposures } from '../../passes/exposure';
import { clock, type Moment, throughDay, type ThroughDay } from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { numberSetting } from '../../rig';
import { batchFix, eachLightRule } from '../rule-of';
import { blinds, ofPlace } from './blinds';
import { input, lux, SOURCE, stops, sum } from './words';

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

const overText = (
  measured: Measured,
  { exposed, over }: { exposed: Exposed; over: number },
): string =>
  `${stops(over)} ${over < 0 ? 'under' : 'over'} for ${framedBy(measured, exposed.framing).name}`;

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
          `The sun comes through ${nameOfThing(measured, moment.sunThrough)} onto ${thing.name} ` +
          (first === last ? `at ${clock(first)}` : `from ${clock(first)} to ${clock(last)}`) +
          `: ${lux(moment.lux)} at ${clock(moment.atMin)}` +
          (over.length > 0 ? `, ${over.map((one) => overText(measured, one)).join(', ')}` : '') +
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
            `${framedBy(measured, exposed.framing).name} over`,
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

/** A shot that the sun overpowers at its strongest moment. */
interface Overpowered {
  readonly thing: ThroughDay;
  readonly moment: Moment;
  readonly exposed: Exposed;
  readonly over: number;
}

export const sunTooBright = eachLightRule<Overpowered>(
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
    judge: ({ thing, moment, exposed, over }, measured) => ({
      level: 'warn',
      title: `${framedBy(measured, exposed.framing).name} is ${stops(over)} over at ${clock(moment.atMin)}`,
      says:
        `When the sun lies on ${thing.name} at ${clock(moment.atMin)}, ` +
        `${framedBy(measured, exposed.framing).name} gets ` +
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
      const { camera } = exposed.framing;
      const device = framedBy(measured, exposed.framing);
      const shutter = camera ? numberSetting(device, camera.shutterControl) : undefined;
      const then =
        shutter === undefined
          ? null
          : cureOf(
              measured,
              { ...exposed, stopsOver: over },
              shutter,
              measured.rig.lightRules.cleanIso,
            );
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
