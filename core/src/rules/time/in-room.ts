import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measured';
import { figure, type Sum } from '../../passes/sum';
import {
  type Arrival,
  arrivals,
  type DelayKnob,
  knobKey,
  type OnScreen,
  onScreens,
} from '../../passes/time';
import { entry } from '../../rig';
import { at } from '../about';
import { eachTimeRule } from '../rule-of';
import { beyondMs } from './delaying';
import { inMs, nameOf } from './words';

/** What people in the room hear of loudspeakers, and see on screens. */

/** Beyond so much a voice from two loudspeakers sounds doubled. @unit ms @source handbook 4, the same voice twice */
const DOUBLES_MS = 15;
/** And only where the fainter is so near the louder. @unit dB */
const WITHIN_DB = 10;
/** So much later than the other it should come, so that the front is heard first. @unit ms @source handbook 4 */
const AFTER_MS = 10;

/** A loudspeaker that helps stands so much farther from who speaks. @unit m */
const HELPS_M = 5;

const personName = ({ rig }: Measured, id: string): string => entry(rig.people, id)?.name ?? id;

/** Two loudspeakers that one person hears one voice from: the one that comes first, and the one that comes late. */
interface TwoWays {
  readonly near: Arrival;
  readonly far: Arrival;
  readonly apartMs: number;
}

const totalMs = ({ wiredMs, airMs }: Arrival): number | null =>
  wiredMs === null ? null : wiredMs + airMs;

/** Every two arrivals of one voice at one person that are heard as two. */
const doubled = (measured: Measured): readonly TwoWays[] => {
  const together = new Map<string, Arrival[]>();
  for (const arrival of arrivals(measured)) {
    const key = `${arrival.personId} ${arrival.sourceId}`;
    const known = together.get(key);
    if (known) known.push(arrival);
    else together.set(key, [arrival]);
  }
  const found: TwoWays[] = [];
  for (const all of together.values())
    for (const near of all)
      for (const far of all) {
        const apartMs = (totalMs(far) ?? NaN) - (totalMs(near) ?? NaN);
        if (apartMs > DOUBLES_MS && Math.abs(near.spl - far.spl) <= WITHIN_DB)
          found.push({ near, far, apartMs });
      }
  return found;
};

/** Whether one stands so much farther from who speaks that it helps the other out. */
const isBehind = ({ near, far }: TwoWays): boolean =>
  near.fromTalkerM !== null &&
  far.fromTalkerM !== null &&
  near.fromTalkerM - far.fromTalkerM > HELPS_M;

const both = (first: Arrival, second: Arrival): string =>
  `${first.loudspeakerId} ${second.loudspeakerId}`;

/** For every loudspeaker that helps another, where it is earliest before it. No delay suits two at the front. */
const twoWays = (measured: Measured): readonly TwoWays[] => {
  const all = doubled(measured);
  const ahead = new Set(all.map(({ near, far }) => both(near, far)));
  const found = new Map<string, TwoWays>();
  for (const ways of all) {
    const { near, far, apartMs } = ways;
    if (
      apartMs > (found.get(near.loudspeakerId)?.apartMs ?? 0) &&
      isBehind(ways) &&
      !ahead.has(both(far, near))
    )
      found.set(near.loudspeakerId, ways);
  }
  return [...found.values()];
};

/** What a delay of this step should be for the nearer to come after the farther; null where it cannot. */
const waitMs = (
  { apartMs }: TwoWays,
  { ms, mostMs, stepMs }: Pick<DelayKnob, 'ms' | 'mostMs' | 'stepMs'>,
): number | null => {
  const wanted = Number((Math.round((ms + apartMs + AFTER_MS) / stepMs) * stepMs).toFixed(6));
  return wanted > mostMs ? null : wanted;
};

/** The last delay on its way that the farther one does not go through. */
const waits = (ways: TwoWays, measured: Measured): Fix[] => {
  const { near, far } = ways;
  const byControl = near.controls
    .filter(
      ({ deviceId, control }) =>
        !far.controls.some((other) => other.deviceId === deviceId && other.control === control),
    )
    .flatMap(({ deviceId, control, ...range }): Fix[] => {
      const value = waitMs(ways, range);
      const label = `Delay it by ${figure(value ?? 0)} ms at ${nameOf(measured, deviceId)}`;
      return value === null
        ? []
        : [{ label, command: { type: 'setControl', deviceId, control, value } }];
    });
  const bySocket = near.knobs
    .filter((knob) => !far.knobs.some((other) => knobKey(other) === knobKey(knob)))
    .flatMap((knob): Fix[] => {
      const { deviceId, portId, signal } = knob;
      const ms = waitMs(ways, knob);
      const label = `Delay it by ${figure(ms ?? 0)} ms at ${nameOf(measured, deviceId)}`;
      return ms === null
        ? []
        : [{ label, command: { type: 'setDelay', deviceId, portId, signal, ms } }];
    });
  return [...byControl, ...bySocket].slice(-1);
};

const airSum = (measured: Measured, { near, far, apartMs }: TwoWays): Sum => ({
  label: 'Apart at the listener',
  formula: '(far − near) ÷ c, and what the wires take',
  inputs: [
    { name: nameOf(measured, far.loudspeakerId), value: Number(far.airM.toFixed(2)), unit: 'm' },
    { name: nameOf(measured, near.loudspeakerId), value: Number(near.airM.toFixed(2)), unit: 'm' },
    { name: 'through the air', value: Number((far.airMs - near.airMs).toFixed(2)), unit: 'ms' },
    {
      name: 'through the wires',
      value: Number(((far.wiredMs ?? 0) - (near.wiredMs ?? 0)).toFixed(2)),
      unit: 'ms',
    },
  ],
  result: apartMs,
  unit: 'ms',
  source: 'handbook 4-time-storage: 3.1 m against 14.2 m are 32.3 ms',
});

export const loudspeakersApart = eachTimeRule<TwoWays>(
  'time.loudspeakers-apart',
  {
    looksFor:
      'People who hear one voice from two loudspeakers, more than 15 ms apart and nearly as loud.',
    why: 'It sounds doubled, then it echoes, and it comes from the wrong side.',
    remedy:
      'Delay the nearer loudspeaker by the difference and 5 to 15 ms, so that the front is heard first.',
    source: 'handbook 4-time-storage: sound in air',
  },
  {
    all: twoWays,
    about: ({ near }) => at({ deviceId: near.loudspeakerId }),
    judge: ({ near, far, apartMs }, measured) => ({
      level: 'warn',
      title: `${nameOf(measured, near.loudspeakerId)} is ${inMs(apartMs)} ahead`,
      says:
        `${personName(measured, near.personId)} hears ${nameOf(measured, near.sourceId)} from ` +
        `${nameOf(measured, near.loudspeakerId)}, ${figure(near.airM)} m away, ${inMs(apartMs)} before ` +
        `${nameOf(measured, far.loudspeakerId)}, ${figure(far.airM)} m away and ` +
        `${figure(Math.abs(near.spl - far.spl))} dB ${near.spl > far.spl ? 'fainter' : 'louder'}. ` +
        `Delay the nearer one by that and ${AFTER_MS} ms.`,
    }),
    sums: (ways, measured) => [airSum(measured, ways)],
    fixes: waits,
  },
);

const offsetMs = ({ heard, pictureMs }: OnScreen): number | null => {
  const sound = totalMs(heard);
  return sound === null || pictureMs === null ? null : sound - pictureMs;
};

/** Of every screen the person who is worst off. */
const worstOfScreens = (measured: Measured): readonly OnScreen[] => {
  const found = new Map<string, { seen: OnScreen; beyond: number }>();
  for (const seen of onScreens(measured)) {
    const offset = offsetMs(seen);
    const beyond = offset === null ? 0 : beyondMs(offset, measured.rig.timeRules);
    if (beyond > (found.get(seen.screenId)?.beyond ?? 0))
      found.set(seen.screenId, { seen, beyond });
  }
  return [...found.values()].map(({ seen }) => seen);
};

export const screenApart = eachTimeRule<OnScreen>(
  'time.screen-apart',
  {
    looksFor:
      'Screens in the room that show somebody, where the loudspeakers bring the voice earlier or later than ' +
      'the house lets be.',
    why: 'People in the room see lips on the screen that do not fit what they hear.',
    remedy:
      'Take the picture to the screen by a shorter way; sound is not held back in the room for it.',
    source: 'handbook 4-time-storage: each screen with people in front of loudspeakers',
  },
  {
    all: worstOfScreens,
    about: ({ screenId }) => at({ deviceId: screenId }),
    judge: (seen, measured) => {
      const offset = offsetMs(seen) ?? 0;
      const { heard, screenId, cameraId } = seen;
      return {
        level: 'note',
        title: `Lips are ${inMs(Math.abs(offset))} ${offset < 0 ? 'late' : 'early'} on ${nameOf(measured, screenId)}`,
        says:
          `${personName(measured, heard.personId)} hears ${nameOf(measured, heard.sourceId)} from ` +
          `${nameOf(measured, heard.loudspeakerId)} ${inMs(Math.abs(offset))} ${offset < 0 ? 'before' : 'after'} ` +
          `${nameOf(measured, cameraId)} shows it on ${nameOf(measured, screenId)}. Take the picture there by a ` +
          'shorter way.',
      };
    },
    sums: (seen, measured) => [
      {
        label: 'Offset at the screen',
        formula: 'sound through wires and air − picture',
        inputs: [
          {
            name: 'sound through wires',
            value: Number((seen.heard.wiredMs ?? 0).toFixed(2)),
            unit: 'ms',
          },
          { name: 'sound through air', value: Number(seen.heard.airMs.toFixed(2)), unit: 'ms' },
          {
            name: nameOf(measured, seen.cameraId),
            value: Number((seen.pictureMs ?? 0).toFixed(2)),
            unit: 'ms',
          },
        ],
        result: offsetMs(seen),
        unit: 'ms',
        source: 'handbook 4-time-storage',
      },
    ],
  },
);
