import fc from 'fast-check';
import { analyse } from '../../analyse';
import { knobs, meetings, type Pair } from '../../passes/time';
import { apply, type Rig } from '../../rig';
import { demoRig } from '../../rules/demo-for-cases';
import { done, workedTime } from '../../rules/time/time-for-cases';
import { setsOf, solveTiming } from '.';
import { times } from '../../runs-for-cases';

const solved = (rig: Rig) => {
  const solution = solveTiming(analyse(rig));
  if (!solution) throw new Error('nothing meets');
  return solution;
};

const afterwards = (rig: Rig): Rig =>
  setsOf(solved(rig)).reduce<Rig>((now, command) => apply(now, command), rig);

const offsets = (rig: Rig): number[] =>
  meetings(analyse(rig)).flatMap(({ pairs }) => pairs.flatMap(({ offsetMs }) => offsetMs ?? []));

const worst = (rig: Rig): number => Math.max(...offsets(rig).map(Math.abs));

describe('worked D: one solution for both places', () => {
  const rig = workedTime();
  it('143.8 ms at the computer’s sound input and 100 at the switcher’s: two settings for two places', () => {
    const { sets, worstBeforeMs, worstMs, boundMs, unknown } = solved(rig);
    expect(
      sets.flatMap(({ knob: { deviceId, portId, signal }, ms }) =>
        ms > 0 ? [[deviceId, portId, signal, ms]] : [],
      ),
    ).toEqual([
      ['switcher', 'sound-1', 'sound', 100],
      ['computer', 'usb-2', 'sound', 143.8],
    ]);
    expect(worstBeforeMs).toBeCloseTo(143.77, 2);
    // The switcher is set in whole milliseconds: 0.40 are left there, 0.03 at the stream.
    expect(worstMs).toBeCloseTo(0.4, 2);
    expect(boundMs).toBeCloseTo(0, 6);
    // What goes through the capture device’s sound, nobody knows.
    expect(unknown).toBe(1);
  });
  it('put in, it gives the offsets it promised', () => {
    const { pairs, worstMs } = solved(rig);
    const now = afterwards(rig);
    expect(worst(now)).toBeCloseTo(worstMs, 6);
    expect(offsets(now).map((ms) => ms.toFixed(4))).toEqual(
      pairs.map(({ afterMs }) => afterMs.toFixed(4)),
    );
    expect(setsOf(solved(now))).toEqual([]);
  });
});

describe.each(['night-tide', 'second-firing', 'harbour-hall'])('%s', (name) => {
  it('put in, it gives the offsets it promised, and nothing is left to set', () => {
    const rig = demoRig(name);
    const { worstMs, boundMs } = solved(rig);
    const now = afterwards(rig);
    expect(worst(now)).toBeCloseTo(worstMs, 6);
    expect(worst(now)).toBeLessThanOrEqual(worst(rig));
    // Steps are of a millisecond at most, so half of one is lost at most.
    expect(worstMs - boundMs).toBeLessThanOrEqual(0.5 + 1e-6);
    expect(setsOf(solved(now))).toEqual([]);
  });
});

/** What every setting in steps of so many leaves at worst, tried one by one. */
const bestOfAll = (rig: Rig, stepMs: number): number => {
  const analysis = analyse(rig);
  const all = knobs(analysis);
  const pairs: Pair[] = meetings(analysis).flatMap((meeting) =>
    meeting.pairs.filter(({ offsetMs }) => offsetMs !== null),
  );
  let best = Infinity;
  const tryFrom = (index: number, set: readonly number[]): void => {
    if (index === all.length) {
      const off = pairs.map(({ offsetMs, sound, picture }) =>
        all.reduce((total, knob, at) => {
          const by = (set[at] ?? 0) - knob.ms;
          const passes = (list: readonly { deviceId: string; portId: string; signal: string }[]) =>
            list.some(
              (one) =>
                one.deviceId === knob.deviceId &&
                one.portId === knob.portId &&
                one.signal === knob.signal,
            );
          return total + (passes(sound.knobs) ? by : 0) - (passes(picture.knobs) ? by : 0);
        }, offsetMs ?? 0),
      );
      best = Math.min(best, Math.max(...off.map(Math.abs)));
      return;
    }
    const { mostMs = 0 } = all[index] ?? {};
    for (let ms = 0; ms <= Math.min(mostMs, 240); ms += stepMs) tryFrom(index + 1, [...set, ms]);
  };
  tryFrom(0, []);
  return best;
};

describe('against trying every setting', () => {
  it('on small rigs with delays of all kinds nothing on the grid is better', () => {
    fc.assert(
      fc.property(
        fc.tuple(
          fc.integer({ min: 0, max: 120 }),
          fc.integer({ min: 0, max: 120 }),
          fc.integer({ min: 0, max: 120 }),
          fc.integer({ min: 0, max: 120 }),
        ),
        ([capture, intoSwitcher, intoComputer, camera]) => {
          const known = (id: string, deviceId: string, routeId: string | null, ms: number) =>
            ({
              type: 'addKnownDelay',
              knownDelayId: id,
              knownDelay: {
                deviceId,
                routeId,
                ms,
                spreadMs: 0,
                by: 'measured',
                on: null,
                heldWhile: '',
              },
            }) as const;
          const rig = done(
            workedTime(),
            { type: 'changeKnownDelay', knownDelayId: 'known-2', knownDelay: { ms: capture } },
            { type: 'changeKnownDelay', knownDelayId: 'known-4', knownDelay: { ms: intoSwitcher } },
            { type: 'changeKnownDelay', knownDelayId: 'known-3', knownDelay: { ms: intoComputer } },
            known('camera', 'camera', null, camera),
            known('embedded', 'capture', 'sound', capture),
          );
          expect(solved(rig).worstMs).toBeLessThanOrEqual(bestOfAll(rig, 20) + 1e-6);
        },
      ),
      { numRuns: times(12) },
    );
  });
});
