import fc from 'fast-check';
import {
  dbvToDbu,
  formatName,
  frameMs,
  framesPerSecond,
  isSameFormat,
  linkPayloadGbps,
  loadingDb,
  nearMissRate,
  slipS,
  parseFormat,
  pixelClockHz,
  pixelsPerSecond,
  powerDifferenceDb,
  powerSumDb,
  preampOwnNoiseDbu,
  rate,
  rateName,
  rateToHz,
  sameRate,
  streamMBps,
  thermalNoiseDbu,
  voltsToDbu,
} from './index';

const level = fc.double({ min: -150, max: 30, noNaN: true });

describe('decibels', () => {
  it('0 dBu is the square root of 0.6 V', () => {
    expect(voltsToDbu(Math.sqrt(0.6))).toBeCloseTo(0, 12);
    expect(voltsToDbu(0.7746)).toBeCloseTo(0, 3);
    expect(voltsToDbu(7.746)).toBeCloseTo(20, 3);
  });
  it('nominal +4 dBu and −10 dBV stand 11.78 dB apart', () =>
    expect(4 - dbvToDbu(-10)).toBeCloseTo(11.78, 2));
  it('two equal noises sum to 3.01 dB more, ten to 10 dB more', () => {
    expect(powerSumDb(-60, -60)).toBeCloseTo(-56.99, 2);
    expect(powerSumDb(...Array.from({ length: 10 }, () => -60))).toBeCloseTo(-50, 9);
  });
  it('nothing is silence', () => expect(powerSumDb()).toBe(-Infinity));
  it('a sum is never below its loudest part and never more than 3.02 dB above it for two', () => {
    fc.assert(
      fc.property(level, level, (a, b) => {
        const sum = powerSumDb(a, b);
        expect(sum).toBeGreaterThanOrEqual(Math.max(a, b) - 1e-9);
        expect(sum).toBeLessThanOrEqual(Math.max(a, b) + 3.02);
      }),
    );
  });
  it('taking a part out of a sum leaves the other', () => {
    fc.assert(
      fc.property(level, fc.double({ min: -20, max: 20, noNaN: true }), (a, apart) =>
        expect(powerDifferenceDb(powerSumDb(a, a + apart), a + apart)).toBeCloseTo(a, 6),
      ),
    );
  });
  it('taking out as much as there is leaves silence', () =>
    expect(powerDifferenceDb(-60, -60)).toBe(-Infinity));
});

describe('loading', () => {
  it.each([
    [300, 3000, -0.83],
    [150, 3000, -0.42],
    [200, 2000, -0.83],
    [0, 3000, 0],
    [600, 600, -6.02],
  ])('%s Ω into %s Ω costs %s dB', (source, input, db) =>
    expect(loadingDb(source, input)).toBeCloseTo(db, 2),
  );
  it('a higher input resistance never costs more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.integer({ min: 1, max: 100_000 }),
        fc.integer({ min: 0, max: 100_000 }),
        (source, input, more) =>
          expect(loadingDb(source, input + more)).toBeGreaterThanOrEqual(loadingDb(source, input)),
      ),
    );
  });
});

describe('noise', () => {
  it('four times the resistance makes 6.02 dB more thermal noise', () =>
    expect(thermalNoiseDbu(800) - thermalNoiseDbu(200)).toBeCloseTo(6.02, 2));
  it.each([
    [-127, -129.26],
    [-128.5, -132.2],
    [-118, -118.23],
  ])('EIN %s dBu leaves the preamp %s dBu of its own', (ein, own) =>
    expect(preampOwnNoiseDbu(ein)).toBeCloseTo(own, 1),
  );
});

describe('rates', () => {
  it('60000/1001 and 60/1 are not the same; 120/2 and 60/1 are', () => {
    expect(sameRate(rate(60000, 1001), rate(60, 1))).toBe(false);
    expect(sameRate(rate(120, 2), rate(60, 1))).toBe(true);
  });
  it.each([
    [24000, 1001, '23.98'],
    [25, 1, '25'],
    [30000, 1001, '29.97'],
    [60000, 1001, '59.94'],
  ])('%s/%s is called %s', (num, den, name) => expect(rateName(rate(num, den))).toBe(name));
  it('29.97 is 30 000 frames in 1001 seconds', () =>
    expect(rateToHz(rate(30000, 1001)) * 1001).toBeCloseTo(30000, 9));
});

describe('rates that are nearly the same', () => {
  it.each([
    ['29.97 in 60, as in 30 twice', rate(30000, 1001), rate(60)],
    ['59.94 in 30', rate(60000, 1001), rate(30)],
    ['59.94 and 60', rate(60000, 1001), rate(60)],
    ['29.97 and 30', rate(30000, 1001), rate(30)],
    ['23.98 and 24', rate(24000, 1001), rate(24)],
    ['119.88 and 120', rate(120000, 1001), rate(120)],
  ])('%s, whichever comes first', (_name, a, b) => {
    expect([nearMissRate(a, b), nearMissRate(b, a)]).toEqual([true, true]);
  });
  it.each([
    [rate(30000, 1001), rate(30), 33.37],
    [rate(60000, 1001), rate(60), 16.68],
    [rate(60000, 1001), rate(30), 16.68],
    [rate(30000, 1001), rate(60), 16.68],
    [rate(24000, 1001), rate(24), 41.71],
  ])('%j into %j slips every %s s', (a, b, everyS) => {
    expect(slipS(a, b)).toBeCloseTo(everyS, 2);
    expect(slipS(b, a)).toBeCloseTo(everyS, 2);
  });
  it.each([
    ['the same rate', rate(60), rate(60)],
    ['the same rate written otherwise', rate(120000, 2002), rate(60000, 1001)],
    ['half the rate', rate(30), rate(60)],
    ['24 and 25', rate(24), rate(25)],
    ['25 and 23.98', rate(25), rate(24000, 1001)],
    ['50 and 60', rate(50), rate(60)],
    ['two that differ by one part in 500', rate(500), rate(501)],
  ])('%s is no near miss', (_name, a, b) => {
    expect([nearMissRate(a, b), nearMissRate(b, a)]).toEqual([false, false]);
  });
  it.each([
    [rate(60), 16.667],
    [rate(50), 20],
    [rate(30000, 1001), 33.367],
    [rate(24000, 1001), 41.708],
  ])('a frame of %j takes %s ms', (value, ms) => expect(frameMs(value)).toBeCloseTo(ms, 3));
});

describe('formats', () => {
  it('reads size, scan and rate', () =>
    expect(parseFormat('1280x720p50')).toMatchObject({
      width: 1280,
      height: 720,
      scan: 'p',
      rate: { num: 50, den: 1 },
    }));
  it.each(['1920x1080', '1920×1080p60', '0x1080p60', '1920x1080p0', '1920x1080p60/0', ''])(
    'refuses %p',
    (text) => expect(() => parseFormat(text)).toThrow('is not a picture format'),
  );
  it('says 16:9 sizes by their height and others in full', () => {
    expect(formatName(parseFormat('3840x2160p30'))).toBe('2160p30');
    expect(formatName(parseFormat('720x576i50'))).toBe('720×576i50');
  });
  it('an interlaced format shows half as many frames as fields', () => {
    expect(framesPerSecond(parseFormat('1920x1080i60'))).toBe(30);
    expect(pixelsPerSecond(parseFormat('1920x1080i60'))).toBe(62_208_000);
  });
  it('the same format written twice is the same', () =>
    expect(isSameFormat(parseFormat('1920x1080p60'), parseFormat('1920x1080p120/2'))).toBe(true));
  it('interlaced and progressive are different formats', () =>
    expect(isSameFormat(parseFormat('1920x1080p60'), parseFormat('1920x1080i60'))).toBe(false));
});

describe('loads', () => {
  it.each([
    ['1280x720p60', 74.25],
    ['1920x1080p60', 148.5],
    ['1920x1080p50', 148.5],
    ['1920x1080p24', 74.25],
    ['3840x2160p60', 594],
  ])('%s has a pixel clock of %s MHz', (format, mhz) =>
    expect((pixelClockHz(parseFormat(format)) ?? NaN) / 1e6).toBeCloseTo(mhz, 9),
  );
  it('59.94 loads a link with a thousandth less than 60', () =>
    expect(
      (linkPayloadGbps(parseFormat('1920x1080p60000/1001'), 'hdmi') ?? NaN) * 1.001,
    ).toBeCloseTo(3.564, 9));
  it('interlaced 60 fields load a link like 30 frames', () =>
    expect(linkPayloadGbps(parseFormat('1920x1080i60'), 'sdi')).toBeCloseTo(1.485, 9));
  it('a stream grows with its bits per pixel', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 48, noNaN: true }), (bits) =>
        expect(streamMBps(parseFormat('1920x1080p30'), bits)).toBeCloseTo(
          (1920 * 1080 * 30 * bits) / 8e6,
          6,
        ),
      ),
    );
  });
});
