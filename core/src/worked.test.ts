import { analyse, type Analysis, fixesOf, sumsOf } from './analyse';
import { explain } from './explain';
import { type Stage, stagesOf } from './graph';
import { peakDb, snrAWeightedDb, snrDb, splAt } from './passes/sound';
import { compressedDb } from './passes/sound/dynamics';
import { isConversion } from './passes/sound/gains';
import { voiceFigures } from './passes/sound/voice-figures';
import { apply, type Rig } from './rig';
import { voice, voiceThrough } from './rules/rigs-for-cases';
import {
  dbvToDbu,
  formatName,
  linkPayloadGbps,
  loadingDb,
  parseFormat,
  preampOwnNoiseDbu,
  streamMBps,
  thermalNoiseDbu,
} from './units';

/** The handbook's worked figures, reached to ±0.05 dB. */
const near = (value: number | null | undefined, expected: number): void =>
  expect(Math.abs((value ?? NaN) - expected)).toBeLessThanOrEqual(0.05);

const conversion = (analysis: Analysis): Stage => {
  const stage = analysis.traced.stages.find(
    (candidate) => candidate.signal === 'sound' && isConversion(candidate),
  );
  if (!stage) throw new Error('nothing becomes digital in this rig');
  return stage;
};
const levels = (rig: Rig): (number | null | undefined)[] => {
  const analysis = analyse(rig);
  return stagesOf(conversion(analysis)).map((stage) => analysis.sound[stage.index]?.levelDb);
};
const figures = (rig: Rig) => {
  const analysis = analyse(rig);
  const read = voiceFigures(analysis, conversion(analysis));
  if (!read) throw new Error('no figures');
  return read;
};

const workedA = voice({
  microphone: 'mic-dynamic-quiet',
  interface: 'interface-2',
  settings: { 'gain-1': 54 },
}).build();
const withEin = (rig: Rig, dbu: number): Rig =>
  apply(rig, {
    type: 'setFigure',
    deviceId: 'interface',
    path: 'routes.mic-1.sound.ein.0.dbu',
    value: dbu,
  });
const withBooster = (rig: Rig): Rig => {
  const analysis = analyse(rig);
  const finding = analysis.findings.find(({ code }) => code === 'sound.gain-short');
  const fix =
    finding && fixesOf(analysis, finding).find(({ label }) => label.startsWith('Add a booster'));
  if (!fix) throw new Error('no booster was offered');
  return apply(rig, fix.command);
};

describe('worked A: a quiet dynamic into a modest interface', () => {
  it('computes every step from the mouth to the converter', () => {
    near(splAt(62, 0.08), 83.94);
    const [microphone, input, converted] = levels(workedA);
    near(microphone, -67.02);
    near(loadingDb(300, 3000), -0.83);
    near(input, -67.84);
    near(converted, -23.84);
  });
  it('needs 59.84 dB of gain and stands 58.14 dB over its noise', () => {
    near(figures(workedA).gainNeededDb, 59.84);
    near(figures(workedA).snrDb, 58.14);
  });
  it('says that a booster would hardly change the noise', () => {
    const analysis = analyse(workedA);
    const notes = explain(analysis, {
      figure: 'signal to noise',
      stage: conversion(analysis).index,
    })
      .map(({ note }) => note)
      .join(' ');
    expect(notes).toMatch(/A booster would bring gain but change the noise by only 0\.1 dB/);
  });
});

describe('worked B: the same with a 25 dB booster', () => {
  it('is what the offered fix makes of worked A', () => {
    const boosted = withBooster(workedA);
    const [, , boosterOut, preampIn] = levels(boosted);
    near(boosterOut, -42.84);
    near(preampIn, -43.27);
    near(figures(boosted).gainNeededDb, 35.27);
    near(figures(boosted).snrDb, 58.24);
    expect(analyse(boosted).findings.map(({ code }) => code)).not.toContain('sound.gain-short');
  });
  it('wins 8.1 dB against a preamp whose EIN is −118 dBu, and says so', () => {
    const noisy = withEin(workedA, -118);
    near(figures(noisy).snrDb, 50.01);
    near(figures(withBooster(noisy)).snrDb, 58.16);
    const analysis = analyse(noisy);
    const finding = analysis.findings.find(({ code }) => code === 'sound.gain-short');
    expect(
      finding &&
        sumsOf(analysis, finding)
          .map(({ note }) => note)
          .join(' '),
    ).toMatch(/lower the hiss by about 8 dB/);
  });
});

describe('worked C: a condenser at 20 cm', () => {
  const rig = voice({
    microphone: 'mic-condenser-large',
    interface: 'interface-2',
    distance: 0.2,
    settings: { 'gain-1': 42, 'phantom-1': true },
  }).build();
  it('computes level, gain and signal-to-noise ratio', () => {
    near(splAt(62, 0.2), 75.98);
    near(levels(rig)[0], -49.78);
    near(figures(rig).gainNeededDb, 41.93);
    near(figures(rig).snrDb, 61.9);
    const analysis = analyse(rig);
    const at = analysis.sound[conversion(analysis).index];
    near(at && snrAWeightedDb(at), 63.9);
  });
  it('starts from a self-noise of −113.76 dBu', () => {
    const analysis = analyse(rig);
    const [source] = stagesOf(conversion(analysis));
    near(source && analysis.sound[source.index]?.noise?.aWeightedDb, -113.76);
  });
  it('says that figures in dB(A) are brought to unweighted ones by the allowance', () => {
    const analysis = analyse(rig);
    const stage = conversion(analysis);
    expect(analysis.sound[stage.index]?.noise?.weighting).toBe('mixed');
    expect(explain(analysis, { figure: 'signal to noise', stage: stage.index })[0]?.note).toMatch(
      /2 dB higher here, the allowance for white noise/,
    );
  });
});

describe('references', () => {
  it.each([
    [150, -130.92],
    [200, -129.67],
    [300, -127.91],
  ])('%s Ω makes %s dBu of thermal noise', (ohms, dbu) => near(thermalNoiseDbu(ohms), dbu));
  it('a preamp of EIN −127 dBu makes −129.26 dBu itself', () =>
    near(preampOwnNoiseDbu(-127), -129.26));
  it('an EIN under the thermal limit leaves the preamp no noise', () =>
    expect(preampOwnNoiseDbu(-140)).toBe(-Infinity));
  it('0 dBV is +2.218 dBu', () => expect(dbvToDbu(0)).toBeCloseTo(2.218, 3));
  it('a compressor at −24, 3 : 1, +4 keeps −18 and takes −4 to −13.33', () => {
    const curve = { thresholdDb: -24, ratio: 3, makeUpDb: 4 };
    expect(compressedDb(-18, curve)).toBeCloseTo(-18, 9);
    expect(compressedDb(-4, curve)).toBeCloseTo(-13.333, 3);
    expect(compressedDb(-30, curve)).toBe(-26);
  });
  it('speech at −18 dBFS with a crest of 14 peaks at −7.01', () => {
    const speech = {
      unit: 'dBFS',
      levelDb: -18,
      crestDb: 14,
      pressedDb: 0,
      noise: null,
      ceilingDb: 0,
      unknown: null,
    } as const;
    expect(peakDb(speech)).toBeCloseTo(-7.01, 2);
    expect(snrDb(speech)).toBeNull();
  });
});

describe('picture figures', () => {
  it.each([
    ['1920x1080p60', 3.564],
    ['3840x2160p30', 7.128],
    ['3840x2160p60', 14.256],
  ])('%s loads HDMI with %s Gb/s', (format, gbps) =>
    expect(linkPayloadGbps(parseFormat(format), 'hdmi')).toBeCloseTo(gbps, 6),
  );
  it.each([
    ['1920x1080p30', 1.485],
    ['1920x1080p60', 2.97],
    ['3840x2160p30', 5.94],
    ['3840x2160p60', 11.88],
  ])('%s loads SDI with %s Gb/s', (format, gbps) =>
    expect(linkPayloadGbps(parseFormat(format), 'sdi')).toBeCloseTo(gbps, 6),
  );
  it.each([
    ['1920x1080p30', 16, 124.416],
    ['1920x1080p30', 12, 93.312],
    ['1920x1080p60', 16, 248.832],
    ['1920x1080p60', 12, 186.624],
    ['3840x2160p30', 16, 497.664],
    ['3840x2160p30', 12, 373.248],
  ])('%s at %s bits a pixel is %s MB/s', (format, bits, mBps) =>
    expect(streamMBps(parseFormat(format), bits)).toBeCloseTo(mBps, 9),
  );
  it('rates are exact: 60000/1001 is called 59.94 and is not 60', () => {
    expect(parseFormat('1920x1080p60000/1001').rate).toEqual({ num: 60000, den: 1001 });
    expect(formatName(parseFormat('1920x1080p60000/1001'))).toBe('1080p59.94');
    expect(formatName(parseFormat('1440x1080i50'))).toBe('1440×1080i50');
  });
  it('a size whose blanking is not standard has no known load', () =>
    expect(linkPayloadGbps(parseFormat('1600x900p60'), 'hdmi')).toBeNull());
});

describe('phantom', () => {
  it('a condenser behind a booster is cured by taking the booster out and switching phantom on', () => {
    const rig = voiceThrough(
      'mic-condenser-large',
      'booster-inline',
      { in: 'in', out: 'out' },
      { 'gain-1': 20, 'phantom-1': false },
      {},
      0.2,
    ).build();
    const analysis = analyse(rig);
    const finding = analysis.findings.find(
      ({ code }) => code === 'sound.phantom-blocked' || code === 'sound.phantom-missing',
    );
    const blocked = analysis.findings.find(({ code }) => code === 'sound.phantom-blocked');
    expect(finding?.level).toBe('stop');
    const [fix] = blocked ? fixesOf(analysis, blocked) : [];
    if (!fix) throw new Error('no fix was offered');
    const cured = apply(rig, fix.command);
    expect(Object.keys(cured.devices)).not.toContain('through');
    expect(cured.devices['interface']?.settings['phantom-1']).toBe(true);
    expect(analyse(cured).verdict.stops).toBe(0);
    expect(figures(cured).gainSetDb).toBe(48);
    near(figures(cured).levelDbfs, -17.92);
  });
});
