import type { Fix } from '../../edits/fix';
import { sameWay } from '../../edits/same-way';
import type { Measured } from '../../passes/measured';
import { knobKey, type Meeting, meetings, type Pair } from '../../passes/time';
import { at } from '../about';
import { eachTimeRule } from '../rule-of';
import { beyondMs, delayFixes, reckoned } from './delaying';
import { inMs, nameOf, offsetSums, sourcesText } from './words';

/** Sound and picture too far apart where they meet. */

const SOURCE = 'handbook 4-time-storage: 40 ms early, 60 ms late at emission [EBU R 37]';

type Known = Pair & { readonly offsetMs: number };

const earliest = (meeting: Meeting): Known | undefined =>
  reckoned(meeting).sort((a, b) => a.offsetMs - b.offsetMs)[0];
const latest = (meeting: Meeting): Known | undefined =>
  reckoned(meeting).sort((a, b) => b.offsetMs - a.offsetMs)[0];

const about = ({ placeId }: Meeting) => at({ deviceId: placeId });

/** `between 44 and 273 ms early by what is typical` */
const spreadText = ({ measured, leastMs, mostMs }: Pair): string =>
  measured
    ? 'as measured'
    : `by typical figures, which may be anywhere from ${inMs(leastMs)} to ${inMs(mostMs)}`;

export const soundEarly = eachTimeRule<Meeting>(
  'time.sound-early',
  {
    looksFor:
      'Places where a voice arrives before the lips that speak it by more than the house lets be.',
    why: 'Nothing in nature is heard before it is seen; people notice it sooner than the other way round.',
    remedy: 'Delay the sound there, or take it in where the picture is already late.',
    source: SOURCE,
  },
  {
    all: meetings,
    about,
    judge: (meeting, measured) => {
      const pair = earliest(meeting);
      const { timeRules } = measured.rig;
      if (!pair || pair.offsetMs >= 0 || beyondMs(pair.offsetMs, timeRules) === 0) return null;
      const isSure = pair.mostMs < -timeRules.earlyMs;
      return {
        level: isSure ? 'warn' : 'note',
        title: `Sound is ${inMs(-pair.offsetMs)} early at ${nameOf(measured, meeting.placeId)}`,
        says:
          `${sourcesText(measured, pair.sound)} comes ${inMs(-pair.offsetMs)} before the picture of ` +
          `${sourcesText(measured, pair.picture)}, ${spreadText(pair)}; ` +
          `at most ${inMs(timeRules.earlyMs)} are let be. ` +
          (isSure ? 'Delay the sound there.' : 'Measure it, then delay the sound there.'),
      };
    },
    sums: (meeting, measured) => {
      const pair = earliest(meeting);
      return pair ? offsetSums(measured, pair) : [];
    },
    fixes: (meeting, measured) => delayFixes(measured, meeting),
  },
);

export const soundLate = eachTimeRule<Meeting>(
  'time.sound-late',
  {
    looksFor:
      'Places where a voice arrives after the lips that speak it by more than the house lets be.',
    why: 'Beyond 60 ms lips and words come apart; at 125 everybody notices.',
    remedy: 'Take off delays of sound, or delay the picture.',
    source: SOURCE,
  },
  {
    all: meetings,
    about,
    judge: (meeting, measured) => {
      const pair = latest(meeting);
      const { timeRules } = measured.rig;
      if (!pair || pair.offsetMs <= 0 || beyondMs(pair.offsetMs, timeRules) === 0) return null;
      return {
        level: pair.leastMs > timeRules.lateMs ? 'warn' : 'note',
        title: `Sound is ${inMs(pair.offsetMs)} late at ${nameOf(measured, meeting.placeId)}`,
        says:
          `${sourcesText(measured, pair.sound)} comes ${inMs(pair.offsetMs)} after the picture of ` +
          `${sourcesText(measured, pair.picture)}, ${spreadText(pair)}; ` +
          `at most ${inMs(timeRules.lateMs)} are let be. ` +
          'Take off delays of the sound, or delay the picture.',
      };
    },
    sums: (meeting, measured) => {
      const pair = latest(meeting);
      return pair ? offsetSums(measured, pair) : [];
    },
    fixes: (meeting, measured) => delayFixes(measured, meeting),
  },
);

/** Beyond half a frame at 25 a cut shows in the lips. @unit ms */
const CUT_MS = 20;

/** The fastest and the slowest picture beside one and the same sound, where they are farthest apart. */
const extremes = (meeting: Meeting): readonly [fast: Known, slow: Known] | null => {
  let widest: readonly [Known, Known] | null = null;
  const all = reckoned(meeting);
  for (const one of meeting.sounds) {
    const sorted = all.filter(({ sound }) => sound === one).sort((a, b) => b.offsetMs - a.offsetMs);
    const [fast, slow] = [sorted[0], sorted.at(-1)];
    if (!fast || !slow || fast === slow) continue;
    if (!widest || fast.offsetMs - slow.offsetMs > widest[0].offsetMs - widest[1].offsetMs)
      widest = [fast, slow];
  }
  return widest;
};

/** The faster picture held back where a socket on its way can, and the slower one does not pass. */
const slower = (measured: Measured, fast: Known, slow: Known): Fix[] => {
  const knob = fast.picture.knobs.findLast(
    (one) =>
      one.signal === 'picture' &&
      !slow.picture.knobs.some((other) => knobKey(other) === knobKey(one)),
  );
  if (!knob) return [];
  const steps = Math.round((knob.ms + fast.offsetMs - slow.offsetMs) / knob.stepMs);
  const ms = Number((steps * knob.stepMs).toFixed(6));
  const { deviceId, portId, signal } = knob;
  return ms > knob.mostMs
    ? []
    : [
        {
          label: `Delay ${sourcesText(measured, fast.picture)} by ${ms} ms at ${nameOf(measured, deviceId)}`,
          command: { type: 'setDelay', deviceId, portId, signal, ms },
        },
      ];
};

/** The one camera that comes by a way of its own, plugged in where the other one is. */
const together = (measured: Measured, ...both: readonly [Known, Known]): Fix[] =>
  both.flatMap((one, index) => {
    const [cameraId, more] = one.picture.sourceIds;
    const asCameraId = both[1 - index]?.picture.sourceIds[0];
    return cameraId === undefined || more !== undefined || asCameraId === undefined
      ? []
      : sameWay(measured, one.placeId, cameraId, asCameraId);
  });

export const camerasApart = eachTimeRule<Meeting>(
  'time.cameras-apart',
  {
    looksFor: 'Cameras that come to one place by ways of different lengths.',
    why: 'One delay of the sound cannot suit both: at every cut the lips jump.',
    remedy: 'Take all cameras the same way, or delay the faster ones.',
    source: 'handbook 4-time-storage: 116.7 and 150.1 ms are one frame apart',
  },
  {
    all: meetings,
    about,
    judge: (meeting, measured) => {
      const both = extremes(meeting);
      if (!both) return null;
      const [fast, slow] = both;
      const apart = fast.offsetMs - slow.offsetMs;
      return apart > CUT_MS
        ? {
            level: 'warn',
            title: `Cameras are ${inMs(apart)} apart at ${nameOf(measured, meeting.placeId)}`,
            says:
              `${sourcesText(measured, fast.picture)} arrives ${inMs(apart)} before ` +
              `${sourcesText(measured, slow.picture)}: at every cut between them the lips jump. ` +
              'Take all the same way, or delay the faster ones.',
          }
        : null;
    },
    sums: (meeting, measured) =>
      (extremes(meeting) ?? []).flatMap((pair) => offsetSums(measured, pair).slice(1, 2)),
    fixes: (meeting, measured) => {
      const both = extremes(meeting);
      if (!both) return [];
      const [fast, slow] = both;
      return [...slower(measured, fast, slow), ...together(measured, fast, slow)];
    },
  },
);

/** Sounds that one delay serves, or none, and are farther apart than the house lets be. */
const unserved = (meeting: Meeting, widthMs: number): readonly [Known, Known] | null => {
  for (const one of reckoned(meeting))
    for (const other of reckoned(meeting)) {
      const isSame = (['sound', 'picture'] as const).every(
        (side) =>
          one[side].knobs.length === other[side].knobs.length &&
          one[side].knobs.every((knob, index) => {
            const beside = other[side].knobs[index];
            return beside?.deviceId === knob.deviceId && beside.portId === knob.portId;
          }),
      );
      if (isSame && one.picture === other.picture && other.offsetMs - one.offsetMs > widthMs)
        return [one, other];
    }
  return null;
};

export const oneForTwo = eachTimeRule<Meeting>(
  'time.one-for-two',
  {
    looksFor:
      'Voices that come to a place by ways of different lengths through the same delay, or through none.',
    why: 'Whatever is set for the one is wrong for the other.',
    remedy: 'Bring one of them in by another input, or both the same way.',
    source: 'handbook 4-time-storage: one solution for all places',
  },
  {
    all: meetings,
    about,
    judge: (meeting, measured) => {
      const { earlyMs, lateMs } = measured.rig.timeRules;
      const both = unserved(meeting, earlyMs + lateMs);
      if (!both) return null;
      const [one, other] = both;
      return {
        level: 'warn',
        title: `One delay for two ways at ${nameOf(measured, meeting.placeId)}`,
        says:
          `${sourcesText(measured, one.sound)} and ${sourcesText(measured, other.sound)} arrive ` +
          `${inMs(other.offsetMs - one.offsetMs)} apart through the same sockets: no delay there serves both. ` +
          'Bring one in by another input.',
      };
    },
    sums: (meeting, measured) => {
      const { earlyMs, lateMs } = measured.rig.timeRules;
      return (unserved(meeting, earlyMs + lateMs) ?? []).flatMap((pair) =>
        offsetSums(measured, pair).slice(0, 1),
      );
    },
  },
);
