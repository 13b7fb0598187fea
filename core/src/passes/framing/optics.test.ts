import {
  backgroundBlurPercent,
  circleOfConfusionMm,
  croppedMm,
  depthOfField,
  distanceForM,
  eyeLineDeg,
  fieldM,
  focalForMm,
  fullFrameFocalMm,
  hyperfocalM,
  lightNeededLux,
  panRangeDeg,
  stopsOver,
  travelToLoseM,
} from './optics';

describe('framing, worked figures', () => {
  it.each<[string, number, number]>([
    ['full frame, 50 mm, head and shoulders', distanceForM(50, 0.65, 20.03), 1.62],
    ['reduced frame, 35 mm, head and shoulders', distanceForM(35, 0.65, 13.22), 1.72],
    ['the same with a further crop of 1.23', distanceForM(35, 0.65, croppedMm(13.22, 1.23)), 2.12],
    ['width at 1.62 m of full frame and 50 mm', fieldM(1.62, 35.6, 50), 1.15],
    [
      'focal length for 1 m of height from 2.3 m on a reduced frame',
      focalForMm(2.3, 1, 13.22),
      30.41,
    ],
    ['35 mm on 23.5 mm sees as 53.6 mm on 36', fullFrameFocalMm(35, 23.5), 53.62],
  ])('%s', (_what, value, expected) => expect(value).toBeCloseTo(expected, 2));
  it('blurs the background by 1.13 % of the frame: f 50, f/2, subject at 1.6 m, wall at 3.2 m', () =>
    expect(backgroundBlurPercent(50, 2, 1.6, 3.2, 35.6)).toBeCloseTo(1.13, 2));
  it('an eye line of 12 cm at 90 cm is 7.6°', () =>
    expect(eyeLineDeg(0.12, 0.9)).toBeCloseTo(7.6, 1));
  it('needs 122.5 lux at f/2.8, 1/50 s and ISO 800', () =>
    expect(lightNeededLux(2.8, 50, 800)).toBeCloseTo(122.5, 9));
  it('twice the light is one stop too much, half of it one too little', () =>
    expect([stopsOver(245, 122.5), stopsOver(61.25, 122.5)]).toEqual([1, -1]));
});

describe('depth of field', () => {
  // 35.6 mm ÷ 1200 = 0.0297 mm; 50² ÷ (2 × 0.0297) + 50 = 42 185 mm
  it('has its hyperfocal distance at 42.2 m for 50 mm and f/2 on full frame', () =>
    expect(hyperfocalM(50, 2, circleOfConfusionMm(35.6))).toBeCloseTo(42.185, 2));
  it('is 11.7 cm deep at 1.6 m', () => {
    const { nearM, farM } = depthOfField(50, 2, circleOfConfusionMm(35.6), 1.6);
    expect(nearM).toBeCloseTo(1.543, 3);
    expect(farM).toBeCloseTo(1.661, 3);
  });
  it('reaches to infinity from the hyperfocal distance on', () =>
    expect(depthOfField(10, 8, 0.01, 20).farM).toBe(Infinity));
  it('grows when the aperture closes and when the subject goes back', () => {
    const depth = (stop: number, m: number) =>
      depthOfField(35, stop, 0.02, m).farM - depthOfField(35, stop, 0.02, m).nearM;
    expect(depth(4, 1.5)).toBeGreaterThan(depth(2, 1.5));
    expect(depth(4, 2)).toBeGreaterThan(depth(4, 1.5));
  });
});

describe('a camera on a slider', () => {
  it('pans 28.1° over one metre of travel at two metres', () =>
    expect(panRangeDeg(1, 2)).toBeCloseTo(28.07, 2));
  it('loses its subject after half the width of the field without a pan', () =>
    expect(travelToLoseM(1.2)).toBe(0.6));
});
