import fc from 'fast-check';
import { snrDb } from '.';
import { analyse } from '../../analyse';
import { stagesOf } from '../../graph';
import { ZERO_DBU, chain, linear, longer, longerRig, longerVolts, rigOf } from './chains-for-cases';
import { isConversion } from './gains';
import { times } from '../../runs-for-cases';

describe('chains computed twice', () => {
  it('levels and ratios agree with volts and watts to 0.01 dB', () => {
    fc.assert(
      fc.property(chain, (drawn) => {
        const analysis = analyse(rigOf(drawn));
        const stage = analysis.traced.stages.find(
          (candidate) => candidate.signal === 'sound' && isConversion(candidate),
        );
        const figures = stage && analysis.sound[stage.index];
        const expected = linear(drawn);
        expect(Math.abs((figures?.levelDb ?? NaN) - 20 * Math.log10(expected.signal))).toBeLessThan(
          0.01,
        );
        expect(
          Math.abs(
            ((figures && snrDb(figures)) ?? NaN) -
              20 * Math.log10(expected.signal / expected.noise),
          ),
        ).toBeLessThan(0.01);
      }),
      { numRuns: times(200) },
    );
  });

  it('so do barrels, radio links and strips in a row, whatever is padded', () => {
    fc.assert(
      fc.property(longer, (drawn) => {
        const analysis = analyse(longerRig(drawn));
        const stage = analysis.traced.stages.find(
          ({ signal, at }) => signal === 'sound' && at.device.id === 'strip' && at.id === 'out',
        );
        const figures = stage && analysis.sound[stage.index];
        const expected = longerVolts(drawn);
        expect(
          Math.abs((figures?.levelDb ?? NaN) - 20 * Math.log10(expected.signal / ZERO_DBU)),
        ).toBeLessThan(0.01);
        expect(
          Math.abs(
            ((figures && snrDb(figures)) ?? NaN) -
              20 * Math.log10(expected.signal / expected.noise),
          ),
        ).toBeLessThan(0.01);
      }),
      { numRuns: times(120) },
    );
  });

  it('what is said to be dB(A) is never above what is said unweighted', () => {
    fc.assert(
      fc.property(chain, (drawn) => {
        for (const figures of analyse(rigOf(drawn)).sound)
          if (figures?.noise)
            expect(figures.noise.aWeightedDb).toBeLessThanOrEqual(
              figures.noise.unweightedDb + 1e-9,
            );
      }),
      { numRuns: times(40) },
    );
  });

  it('a louder voice raises every level by as much and no noise at all', () => {
    fc.assert(
      fc.property(chain, fc.integer({ min: 1, max: 20 }), (drawn, louder) => {
        const [quiet, loud] = [
          analyse(rigOf(drawn)),
          analyse(rigOf({ ...drawn, spl: drawn.spl + louder })),
        ];
        quiet.sound.forEach((figures, index) => {
          if (!figures || figures.levelDb === null) return;
          expect((loud.sound[index]?.levelDb ?? NaN) - figures.levelDb).toBeCloseTo(louder, 9);
          expect(loud.sound[index]?.noise?.unweightedDb).toBeCloseTo(
            figures.noise?.unweightedDb ?? NaN,
            9,
          );
        });
      }),
      { numRuns: times(40) },
    );
  });

  it('half the distance brings 6.02 dB, down to 3 cm and no farther', () => {
    const at = (distanceM: number) => {
      const analysis = analyse(
        rigOf({
          mvPerPa: 1.1,
          ohms: 300,
          spl: 62,
          distanceM,
          boosted: false,
          gainDb: 40,
          einDbu: -127,
        }),
      );
      return analysis.sound[0]?.levelDb ?? NaN;
    };
    expect(at(0.1) - at(0.2)).toBeCloseTo(6.02, 2);
    expect(at(0.03)).toBeCloseTo(at(0.02), 9);
  });

  it('a missing figure makes everything after it unknown and is named', () => {
    const rig = rigOf({
      mvPerPa: 1.1,
      ohms: 300,
      spl: 62,
      distanceM: 0.08,
      boosted: true,
      gainDb: 20,
      einDbu: -127,
    });
    const unknown = { ...rig, devices: { ...rig.devices } };
    const mic = unknown.devices['mic'];
    if (!mic) throw new Error('no mic');
    const analysis = analyse({
      ...unknown,
      devices: { ...unknown.devices, mic: { ...mic, personId: null } },
    });
    for (const stage of analysis.traced.stages.filter(({ signal }) => signal === 'sound'))
      expect([
        stage.at.id,
        analysis.sound[stage.index]?.levelDb,
        analysis.sound[stage.index]?.unknown,
      ]).toEqual([stage.at.id, null, { what: 'talker', says: `who speaks into ${mic.name}` }]);
  });

  it('lists a thread from the mouth to the file in order', () => {
    const analysis = analyse(
      rigOf({
        mvPerPa: 1.1,
        ohms: 300,
        spl: 62,
        distanceM: 0.08,
        boosted: true,
        gainDb: 20,
        einDbu: -127,
      }),
    );
    const thread = analysis.traced.threads.find(({ signal }) => signal === 'sound');
    expect(thread && stagesOf(thread.last).map(({ at }) => `${at.device.id}.${at.id}`)).toEqual([
      'mic.out',
      'booster.in',
      'booster.out',
      'interface.mic-1',
      'interface.usb',
      'computer.usb-3',
      'computer.tracks',
      'file.in',
    ]);
  });
});
