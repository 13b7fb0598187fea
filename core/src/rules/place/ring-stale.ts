import { countsInRoom, type KeptReading, readings } from '../../recorded/readings';
import type { Measured } from '../../passes/measured';
import { THE_RIG } from '../about';
import { eachPlaceRule } from '../rule-of';
import { computeTime, seconds } from './room';

/** A clap that was taken over and still counts, though the room is another since. */
export const staleRing = (measured: Measured): KeptReading | undefined =>
  readings(measured).find(
    ({ is, reading: { of } }) => is === 'stale' && of.is === 'room' && countsInRoom(measured, of),
  );

export const ringStale = eachPlaceRule<KeptReading>(
  'place.ring-stale',
  {
    matters: ['room'],
    looksFor: 'A room that was measured before something was put into it or taken out.',
    why: 'Everything the room does to a microphone is still judged by what was measured.',
    remedy: 'Clap again, or let it be computed from the surfaces.',
    source: 'handbook 4-time-storage: calibration records',
  },
  {
    all: (measured) => {
      const stale = staleRing(measured);
      return stale ? [stale] : [];
    },
    about: () => THE_RIG,
    judge: ({ measured: s, reading: { on }, since }) => ({
      level: 'note',
      title: `The room was measured as another: ${seconds(s)}`,
      says:
        `${seconds(s)} were measured${on === null ? '' : ` on ${on}`} and still count; ${since}. ` +
        'Clap again, or let it be computed.',
    }),
    sums: ({ reading: { of } }) =>
      of.is === 'room' && of.builtS !== null
        ? [
            {
              label: 'Measured over computed, when it was measured',
              formula: 'measured ÷ computed',
              inputs: [
                { name: 'measured', value: of.rt60S, unit: 's' },
                { name: 'computed then', value: of.builtS, unit: 's' },
              ],
              result: of.rt60S / of.builtS,
              unit: '',
              source: 'handbook 5, room sound',
            },
          ]
        : [],
    fixes: (_, measured) =>
      computeTime(measured).map((command) => ({
        label: 'Take the time that the surfaces tell',
        command,
      })),
  },
);
