import { analyse } from '../../analyse';
import type { Rig } from '../../rig';
import { demoRig } from '../../rules/demo-for-cases';
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
  it('sound that the stream takes off the switcher too: one delay for both, and each would be better off alone', () => {
    // The computer’s own input is taken out, so the switcher’s delay serves recorder and stream.
    const rig = done(
      workedTimeDraft().do({ type: 'disconnect', linkId: 'interface-usb-to-computer' }).build(),
      known('sound', 'capture', 'sound', 90),
    );
    const found = places(rig);
    expect(found.map(({ placeId }) => placeId)).toEqual(['stream', 'recorder']);
    const [stream, recorder] = found;
    // The recorder wants 99.6 ms; the stream 59.6, since its sound takes 40 longer than its picture.
    expect(recorder?.aloneMs).toBeLessThanOrEqual(0.5);
    expect(stream?.aloneMs).toBeLessThanOrEqual(0.5);
    expect(recorder?.togetherMs).toBeCloseTo(20, 0);
    expect(stream?.togetherMs).toBeCloseTo(20, 0);
    expect(giveWay(found)).toHaveLength(2);
  });
  it('a place alone is never worse off than with the others, in all demos', () => {
    for (const name of ['night-tide', 'second-firing', 'harbour-hall'])
      for (const { aloneMs, togetherMs } of places(demoRig(name)))
        expect(aloneMs).toBeLessThanOrEqual(togetherMs + 0.51);
  });
});
