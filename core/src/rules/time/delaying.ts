import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measured';
import { type DelayKnob, knobKey, type Meeting, type Pair } from '../../passes/time';
import type { SimpleCommand, TimeRules } from '../../rig';
import { batchFix } from '../rule-of';

/** Offsets of a place, and what a delay there would do to them. Milliseconds; sound late is positive. */

/** Pairs of a place that can be reckoned. */
export const reckoned = ({ pairs }: Meeting): (Pair & { readonly offsetMs: number })[] =>
  pairs.flatMap((pair) => (pair.offsetMs === null ? [] : [{ ...pair, offsetMs: pair.offsetMs }]));

/** How far an offset is beyond what the house lets be; 0 within. */
export const beyondMs = (offsetMs: number, { earlyMs, lateMs }: TimeRules): number =>
  Math.max(0, -earlyMs - offsetMs, offsetMs - lateMs);

/** What a socket's delay should become so that what passes it lies evenly round nothing. */
const centred = (knob: DelayKnob, offsets: readonly number[]): number => {
  const middle = (Math.max(...offsets) + Math.min(...offsets)) / 2;
  const steps = Math.round((knob.ms - middle) / knob.stepMs);
  const ms = Math.min(Math.max(0, steps * knob.stepMs), knob.mostMs);
  return Number(ms.toFixed(6));
};

const passes = (knobs: readonly DelayKnob[], knob: DelayKnob): boolean =>
  knobs.some((other) => knobKey(other) === knobKey(knob));

/** A device's delays of sound set so that one place comes right; null where they cannot do that. */
const byDevice = (measured: Measured, meeting: Meeting, deviceId: string): Fix | null => {
  const pairs = reckoned(meeting);
  const own = new Map<string, DelayKnob>();
  for (const { sound } of pairs)
    // One after the other in a device would add up: the first of each way is enough.
    for (const knob of sound.knobs.filter((one) => one.deviceId === deviceId).slice(0, 1))
      own.set(knobKey(knob), knob);
  const changes = [...own.values()].map((knob) => {
    const through = pairs.filter(
      ({ sound, picture }) => passes(sound.knobs, knob) && !passes(picture.knobs, knob),
    );
    const ms =
      through.length === 0
        ? knob.ms
        : centred(
            knob,
            through.map(({ offsetMs }) => offsetMs),
          );
    return { knob, ms, byMs: ms - knob.ms };
  });
  const after = pairs.map(
    ({ offsetMs, sound, picture }) =>
      offsetMs +
      changes.reduce(
        (total, { knob, byMs }) =>
          total + (passes(sound.knobs, knob) && !passes(picture.knobs, knob) ? byMs : 0),
        0,
      ),
  );
  const { timeRules } = measured.rig;
  const moved = changes.filter(({ byMs }) => Math.abs(byMs) > 1e-9);
  if (moved.length === 0 || after.some((offsetMs) => beyondMs(offsetMs, timeRules) > 0))
    return null;
  const commands = moved.map(({ knob: { portId, signal }, ms }): SimpleCommand => ({
    type: 'setDelay',
    deviceId,
    portId,
    signal,
    ms: ms > 0 ? ms : null,
  }));
  const { name } = measured.device({ id: deviceId });
  const figures = [...new Set(moved.map(({ ms }) => Number(ms.toFixed(1))))];
  return batchFix(`Delay sound at ${name} by ${figures.join(' and ')} ms`, commands);
};

/** Every device on the way of sound to a place that can put it right alone, the nearest to the place first. */
export const delayFixes = (measured: Measured, meeting: Meeting): Fix[] => {
  const devices = new Set(
    meeting.sounds.flatMap(({ knobs }) => knobs.map(({ deviceId }) => deviceId)).reverse(),
  );
  return [...devices].flatMap((deviceId) => byDevice(measured, meeting, deviceId) ?? []);
};
