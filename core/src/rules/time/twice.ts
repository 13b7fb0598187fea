import { closeOneWay } from '../../edits/gates';
import { type Arriving, type Meeting, meetings, type DelayStep } from '../../passes/time';
import { at } from '../about';
import { eachTimeRule } from '../rule-of';
import { inMs, nameOf } from './words';

/** One voice that comes to a place by two ways. */

/** Up to so far apart two arrivals are one; then they colour, double, and echo. @source handbook 4-time-storage */
const ONE_MS = 0.1;
const COLOURS_MS = 15;
const DOUBLES_MS = 40;

interface Twice {
  readonly sourceId: string;
  readonly one: Arriving;
  readonly other: Arriving;
  /** null where a step is not known */
  readonly apartMs: number | null;
}

const totalMs = (steps: readonly DelayStep[]): number | null =>
  steps.some(({ ms }) => ms === null) ? null : steps.reduce((sum, { ms }) => sum + (ms ?? 0), 0);

/** The two ways of a voice that are farthest apart; those that nobody can reckon only where none can. */
const twiceAt = ({ sounds }: Meeting): Twice | null => {
  let found: Twice | null = null;
  for (const [index, one] of sounds.entries())
    for (const other of sounds.slice(index + 1)) {
      const sourceId = one.sourceIds.find((id) => other.sourceIds.includes(id));
      if (sourceId === undefined) continue;
      const [a, b] = [totalMs(one.steps), totalMs(other.steps)];
      const apartMs = a === null || b === null ? null : Math.abs(a - b);
      if (apartMs !== null && apartMs <= ONE_MS) continue;
      if (!found || (apartMs ?? -1) > (found.apartMs ?? -1))
        found = { sourceId, one, other, apartMs };
    }
  return found;
};

const whatText = (apartMs: number): string =>
  apartMs <= COLOURS_MS
    ? `it is coloured, the first dip at ${(500 / apartMs).toFixed(0)} Hz`
    : apartMs <= DOUBLES_MS
      ? 'it sounds doubled'
      : 'it echoes';

export const comesTwice = eachTimeRule<Meeting>(
  'time.comes-twice',
  {
    looksFor: 'A voice that comes to one place by two ways of different lengths.',
    why: 'Up to 15 ms apart it is coloured, up to 40 it sounds doubled, beyond it echoes.',
    remedy: 'Take one of the two ways out of the mix there.',
    source: 'handbook 4-time-storage: the same voice twice',
  },
  {
    all: meetings,
    about: ({ placeId }) => at({ deviceId: placeId }),
    judge: (meeting, measured) => {
      const twice = twiceAt(meeting);
      if (!twice) return null;
      const { sourceId, apartMs } = twice;
      const [name, place] = [nameOf(measured, sourceId), nameOf(measured, meeting.placeId)];
      return {
        level: apartMs === null ? 'note' : 'warn',
        title: `${name} comes to ${place} twice`,
        says:
          apartMs === null
            ? `${name} comes to ${place} by two ways, one of which takes nobody knows how long. ` +
              'Take one of them out there.'
            : `${name} comes to ${place} by two ways, ${inMs(apartMs)} apart: ${whatText(apartMs)}. Take one of ` +
              'them out there.',
      };
    },
    sums: (meeting, measured) => {
      const twice = twiceAt(meeting);
      return twice
        ? [twice.one, twice.other].map(({ steps }, index) => ({
            label: index === 0 ? 'One way' : 'The other way',
            formula: 'sum of the delays on the way',
            inputs: steps.map(({ deviceId, ms, by }) => ({
              name: `${nameOf(measured, deviceId)}, ${by}`,
              value: ms ?? 'not known',
              unit: 'ms',
            })),
            result: totalMs(steps),
            unit: 'ms',
            source: 'handbook 4-time-storage',
          }))
        : [];
    },
    fixes: (meeting, measured) => {
      const twice = twiceAt(meeting);
      return twice ? closeOneWay(measured, twice.sourceId, meeting.placeId) : [];
    },
  },
);
