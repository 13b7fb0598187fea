import {
  type DelayStep,
  heldWhile,
  knownKey,
  type Meeting,
  meetings,
  type Pair,
} from '../../passes/time';
import { entry, inOrder, type KnownDelay, type TimeRules } from '../../rig';
import { at } from '../about';
import { eachTimeRule } from '../rule-of';
import { beyondMs, reckoned } from './delaying';
import { inMs, nameOf, offsetSums, sourcesText } from './words';

/** What is not known of time, what was measured, and what became of it. */

const about = ({ placeId }: Meeting) => at({ deviceId: placeId });

const unknownOf = ({ pairs }: Meeting): DelayStep[] => [
  ...new Map(pairs.flatMap(({ unknown }) => unknown).map((step) => [step.key, step])).values(),
];

export const unknownStep = eachTimeRule<Meeting>(
  'time.unknown',
  {
    looksFor: 'Places where sound or picture goes through a device whose delay nobody knows.',
    why: 'What is not known cannot be set right.',
    remedy: 'Look it up in the data sheet, or measure the place.',
    source: 'handbook 4-time-storage: unknown stays unknown and is named',
  },
  {
    all: meetings,
    about,
    judge: (meeting, measured) => {
      const names = [
        ...new Set(unknownOf(meeting).map(({ deviceId }) => nameOf(measured, deviceId))),
      ];
      return names.length > 0
        ? {
            level: 'note',
            title: `Sync at ${nameOf(measured, meeting.placeId)} cannot be told`,
            says:
              `Nobody knows how long ${names.join(', ')} take${names.length === 1 ? 's' : ''} for sound or picture ` +
              `on the way to ${nameOf(measured, meeting.placeId)}. Take it from the data sheet, or measure the place.`,
          }
        : null;
    },
    sums: (meeting, measured) => {
      const pair = meeting.pairs.find(({ unknown }) => unknown.length > 0);
      return pair ? offsetSums(measured, pair).slice(0, 2) : [];
    },
  },
);

const widest = (meeting: Meeting): Pair | undefined =>
  reckoned(meeting)
    .filter(({ measured }) => measured === null)
    .sort((a, b) => b.mostMs - b.leastMs - (a.mostMs - a.leastMs))[0];

export const spreadWide = eachTimeRule<Meeting>(
  'time.spread-wide',
  {
    looksFor: 'Places that are in sync by typical figures, which are too uncertain to say so.',
    why: 'Two devices of one class differ by frames.',
    remedy: 'Measure the place once: a clap in front of the camera will do.',
    source: 'handbook 4-time-storage: spreads add',
  },
  {
    all: meetings,
    about,
    judge: (meeting, measured) => {
      const { timeRules } = measured.rig;
      const pair = widest(meeting);
      if (!pair || pair.offsetMs === null) return null;
      // What is out already says so, and that it should be measured.
      if (reckoned(meeting).some(({ offsetMs }) => beyondMs(offsetMs, timeRules) > 0)) return null;
      return pair.leastMs < -timeRules.earlyMs || pair.mostMs > timeRules.lateMs
        ? {
            level: 'note',
            title: `Sync at ${nameOf(measured, meeting.placeId)} is a guess`,
            says:
              `By typical figures ${sourcesText(measured, pair.sound)} is ${inMs(pair.offsetMs)} from its picture; ` +
              `it may be anywhere from ${inMs(pair.leastMs)} to ${inMs(pair.mostMs)}. Measure it once.`,
          }
        : null;
    },
    sums: (meeting, measured) => {
      const pair = widest(meeting);
      return pair ? offsetSums(measured, pair) : [];
    },
  },
);

const staleIn = ({ pairs }: Meeting): Pair | undefined =>
  pairs.find(({ stale, measured }) => stale !== null && measured === null);

export const staleOffset = eachTimeRule<Meeting>(
  'time.stale',
  {
    looksFor: 'Measurements of sync that were taken while something on the way was set otherwise.',
    why: 'A format, a buffer or another device on the way changes the delay; the old figure is not used any more.',
    remedy: 'Measure again, or forget it.',
    source: 'handbook 4-time-storage: calibration records',
  },
  {
    all: meetings,
    about,
    judge: (meeting, measured) => {
      const pair = staleIn(meeting);
      return pair?.stale
        ? {
            level: 'warn',
            title: `What was measured at ${nameOf(measured, meeting.placeId)} no longer holds`,
            says:
              `${inMs(pair.stale.offsetMs)} were measured${pair.stale.on === null ? '' : ` on ${pair.stale.on}`} ` +
              `while the way was “${pair.stale.heldWhile}”; now it is “${heldWhile(measured, pair)}”. ` +
              'The typical figures are used. Measure again.',
          }
        : null;
    },
    sums: (meeting, measured) => {
      const pair = staleIn(meeting);
      return pair ? offsetSums(measured, pair) : [];
    },
    fixes: (meeting, { rig }) => {
      const stale = staleIn(meeting)?.stale;
      const [offsetId] = inOrder(rig.offsets).find(([, offset]) => offset === stale) ?? [];
      return offsetId === undefined
        ? []
        : [{ label: 'Forget that measurement', command: { type: 'removeOffset', offsetId } }];
    },
  },
);

/** By how much more than the spread a measurement is off what was reckoned. @unit ms */
const DISAGREES_MS = 20;

const disagreeing = (meeting: Meeting): Pair | undefined =>
  meeting.pairs.find(
    ({ measured, predictedMs, offsetMs }) =>
      measured !== null &&
      predictedMs !== null &&
      offsetMs !== null &&
      Math.abs(offsetMs - predictedMs) > DISAGREES_MS + measured.spreadMs,
  );

export const disagrees = eachTimeRule<Meeting>(
  'time.disagrees',
  {
    looksFor: 'Measured offsets that are far from what the figures of the devices come to.',
    why: 'Something on the way takes another time than its class: a setting, a buffer, or a wire elsewhere than drawn.',
    remedy:
      'Nothing need be done: the measurement is used. If it surprises, look at the devices in the sums.',
    source: 'handbook 4-time-storage: predictions and measurements side by side',
  },
  {
    all: meetings,
    about,
    judge: (meeting, measured) => {
      const pair = disagreeing(meeting);
      return pair && pair.offsetMs !== null && pair.predictedMs !== null
        ? {
            level: 'note',
            title: `${inMs(pair.offsetMs - pair.predictedMs)} off its figures at ${nameOf(measured, meeting.placeId)}`,
            says:
              `${sourcesText(measured, pair.sound)} was measured ${inMs(pair.offsetMs)} from ` +
              `${sourcesText(measured, pair.picture)}; the figures of the devices come to ${inMs(pair.predictedMs)}. ` +
              'The measurement is used.',
          }
        : null;
    },
    sums: (meeting, measured) => {
      const pair = disagreeing(meeting);
      return pair ? offsetSums(measured, pair) : [];
    },
  },
);

/** A figure of a device that nothing goes by. */
interface Idle {
  readonly knownDelayId: string;
  readonly known: KnownDelay;
}

export const knownIdle = eachTimeRule<Idle>(
  'time.known-idle',
  {
    looksFor:
      'Delays that are noted for a way through a device which its model does not have, or noted twice.',
    why: 'The figure is used nowhere, and whoever noted it believes that it is.',
    remedy: 'Note it for a way the device has, or forget it.',
    source: 'the rig itself',
  },
  {
    all: ({ rig }) => {
      const last = new Map(
        Object.entries(rig.knownDelays).map(([id, { deviceId, routeId }]) => [
          knownKey(deviceId, routeId),
          id,
        ]),
      );
      const idle = new Map<string, Idle>();
      for (const [knownDelayId, known] of inOrder(rig.knownDelays)) {
        const { deviceId, routeId } = known;
        const routes = entry(rig.devices, deviceId)?.model.routes ?? {};
        if (
          (routeId !== null && !Object.hasOwn(routes, routeId)) ||
          last.get(knownKey(deviceId, routeId)) !== knownDelayId
        )
          idle.set(deviceId, { knownDelayId, known });
      }
      return [...idle.values()];
    },
    about: ({ known }) => at({ deviceId: known.deviceId }),
    judge: ({ known }, measured) => ({
      level: 'note',
      title: `A delay of ${nameOf(measured, known.deviceId)} is used nowhere`,
      says:
        `${inMs(known.ms)} are noted for a way through ${nameOf(measured, known.deviceId)} that it does not have, or ` +
        'that has another figure. Note it for a way it has, or forget it.',
    }),
    fixes: ({ knownDelayId }) => [
      { label: 'Forget it', command: { type: 'removeKnownDelay', knownDelayId } },
    ],
  },
);

/** Limits beyond which people notice. @unit ms @source ITU-R BT.1359, sound early and late */
const NOTICED = { earlyMs: 45, lateMs: 125 } as const;

export const limitsWide = eachTimeRule<TimeRules>(
  'time.limits-wide',
  {
    looksFor: 'House limits of sync beyond what people notice.',
    why: 'What is let be is then seen by everybody.',
    remedy: 'Ask for 40 ms early and 60 ms late.',
    source: 'handbook 4-time-storage: people notice at 45 early / 125 late [ITU-R BT.1359]',
  },
  {
    all: ({ rig }) => [rig.timeRules],
    about: () => ({ kind: 'rig' }),
    judge: ({ earlyMs, lateMs }) =>
      earlyMs > NOTICED.earlyMs || lateMs > NOTICED.lateMs
        ? {
            level: 'note',
            title: 'Limits of sync are wider than people overlook',
            says:
              `${inMs(earlyMs)} early and ${inMs(lateMs)} late are let be; people notice from ` +
              `${NOTICED.earlyMs} early and ${NOTICED.lateMs} late.`,
          }
        : null,
    sums: ({ earlyMs, lateMs }) => [
      {
        label: 'Beyond what is overlooked',
        formula: 'max(early − 45, late − 125)',
        inputs: [
          { name: 'early', value: earlyMs, unit: 'ms' },
          { name: 'late', value: lateMs, unit: 'ms' },
        ],
        result: Math.max(earlyMs - NOTICED.earlyMs, lateMs - NOTICED.lateMs),
        unit: 'ms',
        source: 'ITU-R BT.1359',
      },
    ],
    fixes: () => [
      {
        label: 'Ask for 40 ms early and 60 ms late',
        command: { type: 'setTimeRules', timeRules: { earlyMs: 40, lateMs: 60 } },
      },
    ],
  },
);
