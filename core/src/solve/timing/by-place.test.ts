import { analyse } from '../../analyse';
import type { Rig } from '../../rig';
import { demoRig } from '../../rules/demo-for-cases';
import { secondFiringWithConsole } from '../../rules/time/console-for-cases';
import { done, known, workedTime, workedTimeDraft } from '../../rules/time/time-for-cases';
import { solveTiming } from '.';
import { bestPlace, giveWay, timingByPlace } from './by-place';

const places = (rig: Rig) => {
  const analysis = analyse(rig);
  const solution = solveTiming(analysis);
  return solution ? timingByPlace(analysis, solution) : [];
};
const rounded = (rig: Rig) =>
  places(rig).map(({ placeId, nowMs, togetherMs, aloneMs }) => [
    placeId,
    ...[nowMs, togetherMs, aloneMs].map((ms) => ms.toFixed(2)),
  ]);

describe('one place after the other', () => {
  it('worked D: two settings serve two places, and neither gives way', () => {
    const found = places(workedTime());
    expect(rounded(workedTime())).toEqual([
      ['stream', '143.77', '0.03', '0.03'],
      ['recorder', '99.60', '0.40', '0.40'],
    ]);
    expect(giveWay(found)).toEqual([]);
    expect(bestPlace(found)).toBeNull();
  });
  it('a second switcher after the first: one delay serves both recorders, and each gives way', () => {
    const rig = done(
      workedTimeDraft()
        .do({ type: 'disconnect', linkId: 'switcher-programme-to-capture' })
        .device('second', 'switcher-8', { name: 'Second' })
        .device('late', 'recorder-picture', { name: 'Late recorder' })
        .link('switcher.programme', 'second.in-1')
        .link('second.aux-1', 'late.in')
        .build(),
      known('a', 'second', 'picture', 40),
      known('b', 'second', 'sound', 0),
    );
    const found = places(rig).filter(({ placeId }) => placeId !== 'stream');
    expect(found.map(({ placeId }) => placeId)).toEqual(['late', 'recorder']);
    for (const { aloneMs, togetherMs } of found) {
      expect(aloneMs).toBeLessThanOrEqual(0.5);
      // 40 ms between them, and whole milliseconds to set: half of it for each.
      expect(Math.abs(togetherMs - 20)).toBeLessThanOrEqual(0.6);
    }
    expect(giveWay(found)).toHaveLength(2);
  });
  it('Second Firing with a way through the switcher beside the computer’s: both are solved', () => {
    const rig = secondFiringWithConsole();
    const analysis = analyse(rig);
    const solution = solveTiming(analysis);
    expect(
      solution?.sets.flatMap(({ knob: { deviceId, portId, signal }, ms }) =>
        ms > 0 ? [[deviceId, portId, signal, ms]] : [],
      ),
    ).toEqual([
      ['switcher', 'sound-1', 'sound', 47],
      ['computer', 'usb-2', 'sound', 89.3],
      ['computer', 'usb-5', 'sound', 132.5],
    ]);
    expect(rounded(rig)).toEqual([
      ['recorder', '47.43', '0.43', '0.43'],
      ['historian-call', '136.77', '0.47', '0.47'],
      ['programme', '136.77', '0.47', '0.47'],
      ['stream', '136.77', '0.47', '0.47'],
    ]);
    // What cannot be: one voice by two ways into one mix.
    expect(
      analysis.findings.filter(({ code }) => code === 'time.comes-twice').map(({ says }) => says),
    ).toContainEqual(
      expect.stringMatching(
        /^Host mic comes to Live stream by two ways, 3\.8 ms apart: it is coloured/,
      ),
    );
  });
  it('a place alone is never worse off than with the others, in all demos', () => {
    for (const name of ['night-tide', 'second-firing', 'harbour-hall'])
      for (const { aloneMs, togetherMs } of places(demoRig(name)))
        expect(aloneMs).toBeLessThanOrEqual(togetherMs + 0.51);
  });
});
