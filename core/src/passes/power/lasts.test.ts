import { batteryHours, upsMinutes } from './lasts';

describe('how long what holds its own power lasts', () => {
  it('is 77 min at 190 W of 288 Wh made into mains at 0.85', () => {
    expect(upsMinutes(288, 0.85, 190)).toBeCloseTo(77.305, 3);
    expect(upsMinutes(288, 0.85, 0)).toBe(Infinity);
  });
  it('is 2.25 h at 6.2 W of a battery of 16.4 Wh, of which 85 % are used', () =>
    expect(batteryHours(16.4, 6.2)).toBeCloseTo(2.2484, 4));
});
