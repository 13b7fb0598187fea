import { SOUND_MPS, soundMps } from './sound';

describe('the speed of sound', () => {
  it.each([
    [0, 331.29],
    [20, 343.2],
    [35, 351.87],
  ])('at %d °C is %d m/s', (temperatureC, mps) =>
    expect(soundMps(temperatureC)).toBeCloseTo(mps, 1),
  );
  it('is that of 20 °C where nobody has said', () => expect(soundMps(null)).toBe(SOUND_MPS));
});
