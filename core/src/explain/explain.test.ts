import {
  analyse,
  type Analysis,
  explain,
  fixesOf,
  predict,
  type Sum,
  sumsOf,
  sumText,
  verdictText,
} from '../index';
import { headroomDb, snrDb } from '../passes/sound';
import { noiseShares } from '../passes/sound/noise-sums';
import { figure } from '../passes/sum';
import { camera, twoOnAHub, voice, voiceThrough } from '../rules/rigs-for-cases';

const rigs = {
  'a voice': voice().build(),
  'a voice through a strip': voiceThrough(
    'mic-dynamic-stage',
    'channel-processor',
    { in: 'in', out: 'out', into: 'line-1' },
    {},
    { compress: true, threshold: -20 },
  ).build(),
  'a condenser': voice({
    microphone: 'mic-condenser-large',
    distance: 0.2,
    settings: { 'gain-1': 45, 'phantom-1': true },
  }).build(),
  'a camera': camera().build(),
  'two on a hub': twoOnAHub().build(),
};
const last = (sums: readonly Sum[]): Sum | undefined => sums.at(-1);
const eachRig = Object.entries(rigs).map(([name, rig]) => [name, analyse(rig)] as const);

describe.each(eachRig)(
  'every figure of %s has a sum that ends in it',
  (_name, analysis: Analysis) => {
    it('levels', () => {
      for (const stage of analysis.traced.stages.filter(({ signal }) => signal === 'sound'))
        expect(last(explain(analysis, { figure: 'level', stage: stage.index }))?.result).toBe(
          analysis.sound[stage.index]?.levelDb,
        );
    });
    it('headroom and signal to noise', () => {
      analysis.sound.forEach((figures, stage) => {
        if (!figures) return;
        expect(last(explain(analysis, { figure: 'headroom', stage }))?.result).toBe(
          headroomDb(figures),
        );
        expect(last(explain(analysis, { figure: 'signal to noise', stage }))?.result).toBe(
          snrDb(figures),
        );
      });
    });
    it('delays', () => {
      analysis.delay.forEach((delay, stage) => {
        const [sum] = explain(analysis, { figure: 'delay', stage });
        expect(sum?.result).toBe(delay.knownMs);
        expect(
          sum?.inputs.reduce(
            (total, { value }) => total + (typeof value === 'number' ? value : 0),
            0,
          ),
        ).toBeCloseTo(delay.knownMs, 6);
      });
    });
    it('loads of links and streams', () => {
      analysis.picture.forEach((figures, stage) => {
        if (!figures) return;
        if (figures.payloadGbps !== null)
          expect(last(explain(analysis, { figure: 'link load', stage }))?.result).toBe(
            figures.payloadGbps,
          );
        if (figures.streamMBps !== null)
          expect(last(explain(analysis, { figure: 'stream', stage }))?.result).toBe(
            figures.streamMBps,
          );
      });
    });
    it('USB branches, part by part', () => {
      for (const [linkId, branch] of analysis.usb.links) {
        const [sum] = explain(analysis, { figure: 'usb load', linkId });
        expect(sum?.result).toBe(branch.loadMBps);
        expect(sum?.inputs.slice(0, -1).map(({ value }) => value)).toEqual(
          branch.streams.map(({ mBps }) => mBps),
        );
      }
    });
    it('every sum says its relation and where it comes from', () => {
      for (const stage of analysis.traced.stages)
        for (const wanted of [
          'level',
          'headroom',
          'signal to noise',
          'gain needed',
          'delay',
          'link load',
          'stream',
        ] as const)
          for (const sum of explain(analysis, { figure: wanted, stage: stage.index }))
            expect([sum.label, sum.formula, sum.source].map((text) => text.length > 2)).toEqual([
              true,
              true,
              true,
            ]);
    });
  },
);

describe('who makes the noise', () => {
  const analysis = analyse(
    voiceThrough(
      'mic-dynamic-quiet',
      'booster-inline',
      { in: 'in', out: 'out' },
      { 'gain-1': 41, 'phantom-1': true },
    ).build(),
  );
  const stage = analysis.traced.stages.findLast(({ signal }) => signal === 'sound');
  const shares = stage ? noiseShares(analysis, stage) : [];
  it('shares add up to the whole', () =>
    expect(shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 2));
  it('behind a booster the microphone’s own resistance makes most of it', () => {
    expect(shares[0]?.from).toBe('Mic, thermal noise of its resistance');
    expect(shares[0]?.share).toBeGreaterThan(0.5);
  });
  it('the largest comes first', () =>
    expect(shares.map(({ share }) => share)).toEqual(
      [...shares.map(({ share }) => share)].sort((a, b) => b - a),
    ));
});

describe('words for figures', () => {
  it.each([
    [-18, 1, '−18.0'],
    [0.04, 1, '0.0'],
    [-0.04, 1, '0.0'],
    [5.838, 2, '5.84'],
    [1200, 0, '1200'],
  ])('%s with %s digits reads %s', (value, digits, text) =>
    expect(figure(value, digits)).toBe(text),
  );
  it('a verdict is counted in words', () => {
    expect(verdictText({ stops: 1, warns: 2, notes: 0 })).toBe('1 stop, 2 warnings');
    expect(verdictText({ stops: 0, warns: 0, notes: 1 })).toBe('1 note');
    expect(verdictText({ stops: 0, warns: 0, notes: 0 })).toBe('Nothing found');
  });
  it('a sum is one line of arithmetic with its numbers', () =>
    expect(
      sumText({
        label: 'Peaks',
        formula: 'level + crest − 3.01',
        inputs: [
          { name: 'level', value: -18, unit: 'dBFS' },
          { name: 'crest', value: 14.5, unit: 'dB' },
        ],
        result: -6.51,
        unit: 'dBFS',
        source: 'AES17',
      }),
    ).toBe('Peaks: −6.51 dBFS = level + crest − 3.01  [level −18 dBFS, crest 14.50 dB]'));
  it('a figure that is missing is said to be', () =>
    expect(
      sumText({ label: 'Level', formula: 'x', inputs: [], result: null, unit: 'dB', source: 's' }),
    ).toBe('Level: cannot tell = x  []'));
});

describe('predictions', () => {
  it('tell exactly what applying the fix then gives', () => {
    const analysis = analyse(
      voice({
        microphone: 'mic-dynamic-quiet',
        interface: 'interface-2',
        settings: { 'gain-1': 54 },
      }).build(),
    );
    const finding = analysis.findings.find(({ code }) => code === 'sound.gain-short');
    if (!finding) throw new Error('nothing short');
    for (const fix of fixesOf(analysis, finding)) {
      const prediction = predict(analysis, finding, fix);
      const again = predict(analysis, finding, fix);
      expect(prediction.verdict).toEqual(again.verdict);
      expect(prediction.cures).toBe(true);
      expect(prediction.takes.map(({ code }) => code)).toContain('sound.gain-short');
      expect(prediction.effects.find(({ label }) => label === 'Gain needed')?.before).toBeCloseTo(
        59.84,
        1,
      );
    }
  });
  it('a finding about gain shows its sums', () => {
    const analysis = analyse(
      voice({
        microphone: 'mic-dynamic-quiet',
        interface: 'interface-2',
        settings: { 'gain-1': 54 },
      }).build(),
    );
    const finding = analysis.findings.find(({ code }) => code === 'sound.gain-short');
    expect(finding && sumsOf(analysis, finding).map(({ label }) => label)).toEqual(
      expect.arrayContaining([
        'Gain needed for the house level',
        'Signal-to-noise ratio, unweighted',
      ]),
    );
  });
});

describe('a figure that cannot be told', () => {
  it('says what it needs, by name', () => {
    const rig = voice().build();
    const mic = rig.devices['mic'];
    if (!mic) throw new Error('no mic');
    const analysis = analyse({
      ...rig,
      devices: { ...rig.devices, mic: { ...mic, personId: null } },
    });
    const notes = analysis.traced.stages
      .filter(({ signal }) => signal === 'sound')
      .flatMap(({ index }) => explain(analysis, { figure: 'level', stage: index }))
      .flatMap(({ note }) => note ?? []);
    expect(notes).toContain('Cannot tell: needs who speaks into Mic.');
  });
});
