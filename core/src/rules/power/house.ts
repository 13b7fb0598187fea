import { nameOfThing } from '../../passes/names';
import { areApart, drawers, type FeedLoading, feedLoadings, warmerK } from '../../passes/power';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { entry, inOrder, type Link } from '../../rig';
import { THE_RIG } from '../about';
import { batchFix, eachPowerRule, powerRule } from '../rule-of';
import { watts } from './watts';

/** What the mains of a house does to a rig: earths that differ, heat, and what nobody has said. */

export const unplugged = powerRule(
  'power.unplugged',
  {
    looksFor: 'Devices with a mains plug that are plugged in nowhere, where strips are planned.',
    why: 'They are missing from every sum, and somebody looks for a socket on the day.',
    remedy: 'Say where each is plugged in.',
    source: 'handbook 5, Power',
  },
  (measured) => {
    const { feeds, plugs } = measured.rig;
    if (Object.keys(feeds).length === 0) return [];
    const loose = drawers(measured).filter(({ id }) => !Object.hasOwn(plugs, id));
    if (loose.length === 0) return [];
    const names = loose.slice(0, 3).map((one) => nameOfThing(measured, one));
    const more = loose.length - names.length;
    return [
      {
        level: 'note',
        about: THE_RIG,
        title: `${loose.length} ${loose.length === 1 ? 'device' : 'devices'} without a socket`,
        says:
          `${names.join(', ')}${more > 0 ? ` and ${more} more` : ''} ${loose.length === 1 ? 'has' : 'have'} a mains ` +
          'plug and no socket in the plan. Say where each is plugged in.',
      },
    ];
  },
);

export const mainsUnknown = powerRule(
  'power.mains-unknown',
  {
    looksFor: 'Circuits in a rig that does not say what the mains is.',
    why: 'Without volts there are no amperes.',
    remedy: 'Say what comes out of the wall.',
    source: 'handbook 5, Power: A = W ÷ (V · power factor)',
  },
  ({ rig }) =>
    rig.mains === null && Object.keys(rig.circuits).length > 0
      ? [
          {
            level: 'note',
            about: THE_RIG,
            title: 'The mains is not known',
            says:
              'Circuits are planned, and nothing says how many volts come out of the wall. ' +
              'Say it in the house rules.',
          },
        ]
      : [],
  {
    fixes: () => [
      batchFix('It is 230 V, 50 Hz', [{ type: 'setMains', mains: { hz: 50, volts: 230 } }]),
      batchFix('It is 120 V, 60 Hz', [{ type: 'setMains', mains: { hz: 60, volts: 120 } }]),
    ],
  },
);

interface Loop {
  readonly linkId: string;
  readonly link: Link;
}

/** Links of sound whose screens join what hangs on two circuits. */
const loops = (measured: Measured): readonly Loop[] =>
  Object.keys(measured.rig.plugs).length === 0
    ? []
    : Object.entries(measured.rig.links).flatMap(([linkId, link]) =>
        link.cable.kind === 'unbalanced' && areApart(measured, link.from.deviceId, link.to.deviceId)
          ? [{ linkId, link }]
          : [],
      );

export const hum = eachPowerRule<Loop>(
  'power.hum',
  {
    looksFor: 'Devices on two circuits that are joined by an unbalanced cable.',
    why: 'The screen joins two earths that are not at one voltage, and the difference is heard as hum.',
    remedy:
      'Plug both into one circuit, or put an audio isolating transformer into the line. ' +
      'Never lift the protective earth.',
    source: 'handbook 5, Power: hum',
  },
  {
    all: loops,
    about: ({ linkId }) => ({ kind: 'link', linkId }),
    judge: ({ link }, { rig }) => {
      const name = (id: string): string => entry(rig.devices, id)?.name ?? id;
      return {
        level: 'warn',
        title: `${name(link.from.deviceId)} and ${name(link.to.deviceId)} may hum`,
        says:
          `${name(link.from.deviceId)} and ${name(link.to.deviceId)} hang on two circuits and are joined by an ` +
          'unbalanced cable. What their earths differ by is heard as hum. Plug both into one circuit, or put ' +
          'an audio isolating transformer into the line. Never lift the protective earth.',
      };
    },
    fixes: ({ link }, measured) => {
      const [a, b] = [link.from.deviceId, link.to.deviceId];
      const free = (id: string): FeedLoading | undefined => {
        const feedId = entry(measured.rig.plugs, id);
        const circuitId = feedLoadings(measured).find((one) => one.feedId === feedId)?.circuitId;
        return feedLoadings(measured).find(
          (one) => one.circuitId === circuitId && one.taken < one.feed.figures.sockets,
        );
      };
      return [
        [a, b],
        [b, a],
      ].flatMap(([move = a, stay = b]) => {
        const to = free(stay);
        const name = entry(measured.rig.devices, move)?.name ?? move;
        return to
          ? [
              batchFix(`Plug ${name} into ${to.feed.name}`, [
                { type: 'plugIn', deviceId: move, feedId: to.feedId },
              ]),
            ]
          : [];
      });
    },
  },
);

/** Warmer than this and fans start, and people get tired. @unit K */
const WARM_K = 5;

export const warms = powerRule(
  'power.warms',
  {
    looksFor: 'A room that gets more than 5 K warmer while its ventilation is off.',
    why: 'Fans start and are heard; people and cameras get too hot.',
    remedy: 'Air it between takes, or take heat out of the room.',
    source: 'handbook 5, Room sound: ΔT = W ÷ (0.33 · changes · V)',
  },
  (measured) => {
    const warm = warmthOf(measured);
    return warm && warm.byK > WARM_K
      ? [
          {
            level: 'warn',
            about: THE_RIG,
            title: `${figure(warm.byK, 0)} K warmer with the ventilation off`,
            says:
              `${watts(warm.w)} of heat in ${figure(warm.volumeM3, 0)} m³ with ${figure(warm.airChanges, 1)} ` +
              `changes of air an hour make the room ${figure(warm.byK, 0)} K warmer. Fans start, and are heard. ` +
              'Air it between takes, or put what heats outside.',
          },
        ]
      : [];
  },
  {
    sums: (measured) => {
      const warm = warmthOf(measured);
      return warm
        ? [
            {
              label: 'How much warmer the room gets',
              formula: 'W ÷ (0.33 · changes an hour · V)',
              inputs: [
                { name: 'heat of devices and people', value: warm.w, unit: 'W' },
                { name: 'changes an hour', value: warm.airChanges, unit: '' },
                { name: 'volume', value: warm.volumeM3, unit: 'm³' },
              ],
              result: warm.byK,
              unit: 'K',
              source: 'handbook 5, Room sound',
            },
          ]
        : [];
    },
  },
);

/** What a person who sits gives off. @unit W @source usual in ventilation */
const PERSON_W = 100;

const warmthOf = (measured: Measured) => {
  const { rig } = measured;
  const { airChanges } = rig.powerRules;
  const { volumeM3 } = rig.room;
  if (airChanges === null || volumeM3 === null) return null;
  const people = Object.values(rig.people).filter(({ at }) => at !== null).length;
  const w =
    drawers(measured).reduce((sum, { typicalW }) => sum + typicalW, 0) +
    inOrder(rig.loads).reduce((sum, [, { runs, mostW }]) => sum + (runs ? mostW : 0), 0) +
    people * PERSON_W;
  return { w, airChanges, volumeM3, byK: warmerK(w, airChanges, volumeM3) };
};
