import fc from 'fast-check';
import { analyse, type Analysis } from '../../analyse';
import { faces } from '../../passes/light';
import { camera, doing, fill, key, lamp, lit, wall, AT_HOST } from '../../rules/light-for-cases';
import { missedNow, setLight } from './answer';
import { whatToBuy } from './buy';
import { curesOf } from './cures';
import { limitsOf, missedBy } from './limits';
import { bestLevels, keyChoices } from './programme';
import { after, WISH } from './light-for-cases';
import { type LightWish, taskOf } from './wish';
import { times } from '../../runs-for-cases';

describe('dimmers by a linear programme', () => {
  const analysis = analyse(lit(key, fill));
  it('meet what was asked for, once they are set and reckoned anew', () => {
    const answer = setLight(analysis, WISH);
    if (!answer) throw new Error('no answer');
    expect(answer.isMet).toBe(true);
    expect(missedNow(after(analysis, answer.commands), WISH)).toEqual([]);
    const [face] = faces(after(analysis, answer.commands));
    expect(face?.lux).toBeGreaterThan(300 * 2 ** -0.5);
    expect(face?.lux).toBeLessThan(300 * 2 ** 0.5);
    expect(face?.ratio).toBeGreaterThan(1.6);
    expect(face?.ratio).toBeLessThan(2.8);
  });
  it('is null where there is nobody, or no lamp', () => {
    expect(setLight(analyse(lit()), WISH)).toBeNull();
    expect(
      setLight(
        analyse(
          lit(key, doing({ type: 'changePerson', personId: 'host', person: { shot: null } })),
        ),
        WISH,
      ),
    ).toBeNull();
  });
  it('takes the fewest lamps where that is asked for', () => {
    const many = analyse(
      lit(
        key,
        fill,
        lamp('third', 'light-panel', 2, 30, 1.6, 40),
        lamp('fourth', 'light-panel', 2, -35, 1.6, 40),
      ),
    );
    const [power, lamps] = (['power', 'lamps'] as const).map((aim) =>
      setLight(many, { ...WISH, aim }),
    );
    if (!power || !lamps) throw new Error('no answer');
    expect(lamps.isMet && power.isMet).toBe(true);
    expect(lamps.on).toBeLessThanOrEqual(power.on);
    expect(lamps.on).toBe(2);
    expect(power.watts).toBeLessThanOrEqual(lamps.watts + 0.2);
  });
});

describe('against a search over a grid', () => {
  /** Every pair of dimmers in steps of 2 %, judged by the limits themselves. */
  const byGrid = (analysis: Analysis, wish: LightWish): number | null => {
    const task = taskOf(analysis, wish);
    let least: number | null = null;
    const ids = task.lamps.map(({ id }) => id);
    const choices = keyChoices(task.faces).map((keys) => limitsOf(task, keys));
    for (let a = 0; a <= 50; a++)
      for (let b = 0; b <= 50; b++) {
        const shares = { [ids[0] ?? '']: a / 50, [ids[1] ?? '']: b / 50 };
        if (!choices.some((limits) => limits.every((limit) => missedBy(limit, shares) < 1e-9)))
          continue;
        const watts = task.lamps.reduce(
          (sum, { id, watts: each }) => sum + each * (shares[id] ?? 0),
          0,
        );
        if (least === null || watts < least) least = watts;
      }
    return least;
  };
  interface Stands {
    readonly keyFar: number;
    readonly keyAside: number;
    readonly fillFar: number;
    readonly fillAside: number;
    readonly lux: number;
  }
  const neverWorse = ({ keyFar, keyAside, fillFar, fillAside, lux }: Stands): void => {
    const analysis = analyse(
      lit(
        lamp('key', 'light-cob-120', keyFar, keyAside, 1.7, 50, AT_HOST, 'Dome, 0.9 m'),
        lamp('fill', 'light-panel-large', fillFar, fillAside, 1.6, 50, AT_HOST, 'Diffuser'),
      ),
    );
    const wish: LightWish = { aim: 'power', faceLux: lux };
    const found = bestLevels(taskOf(analysis, wish));
    const grid = byGrid(analysis, wish);
    if (grid === null) return;
    expect(found).not.toBeNull();
    const watts = taskOf(analysis, wish).lamps.reduce(
      (sum, { id, watts: each }) => sum + each * (found?.levels.shares[id] ?? 0),
      0,
    );
    // It keeps half a percent in hand, and dimmers go in tenths.
    expect(watts).toBeLessThanOrEqual(grid * 1.012 + 0.3);
  };
  it('no grid finds less power, and none finds anything where the programme finds nothing', () =>
    fc.assert(
      fc.property(
        fc.record({
          keyFar: fc.double({ min: 1.2, max: 3, noNaN: true }),
          keyAside: fc.integer({ min: -70, max: -20 }),
          fillFar: fc.double({ min: 1.2, max: 3, noNaN: true }),
          fillAside: fc.integer({ min: 20, max: 70 }),
          lux: fc.integer({ min: 100, max: 900 }),
        }),
        neverWorse,
      ),
      { numRuns: times(40) },
    ));
  it('finds what meets its limits just, with nothing to spare', () =>
    neverWorse({
      keyFar: 2.748004967140711,
      keyAside: -59,
      fillFar: 2.220163767801806,
      fillAside: 22,
      lux: 566,
    }));
  it('whatever it answers, it meets every limit to 1 % once reckoned anew', () =>
    fc.assert(
      fc.property(
        fc.record({
          far: fc.double({ min: 1, max: 3.2, noNaN: true }),
          aside: fc.integer({ min: -60, max: 60 }),
          lux: fc.integer({ min: 60, max: 800 }),
          aim: fc.constantFrom('power', 'lamps', 'glare') as fc.Arbitrary<LightWish['aim']>,
        }),
        ({ far, aside, lux, aim }) => {
          const analysis = analyse(
            lit(
              doing({ type: 'setLightRules', lightRules: { reflects: 0.4 } }),
              key,
              fill,
              lamp('third', 'light-panel', far, aside, 1.7, 30),
              wall({ reflects: 0.3 }),
              camera(),
            ),
          );
          const wish: LightWish = { aim, faceLux: lux };
          const answer = setLight(analysis, wish);
          if (!answer?.isMet) return;
          expect(missedNow(after(analysis, answer.commands), wish)).toEqual([]);
        },
      ),
      { numRuns: times(40) },
    ));
});

describe('where it cannot be', () => {
  const weak = analyse(
    lit(
      lamp('key', 'light-panel-small', 2.4, -30, 1.7, 100),
      lamp('fill', 'light-panel-small', 2.4, 35, 1.6, 100),
      camera(200),
    ),
  );
  it('says which lamp would have to give how much, and comes as near as it can', () => {
    const answer = setLight(weak, { aim: 'power', faceLux: 600 });
    if (!answer) throw new Error('no answer');
    expect(answer.isMet).toBe(false);
    expect(answer.says).toMatch(
      /^Not everything can be met .* (key|fill) would have to give \d+ %/,
    );
    expect(answer.unmet.map(({ about: of }) => of)).toContain('exposure');
    expect(Math.min(...answer.over.map(({ percent }) => percent))).toBeGreaterThan(100);
    expect(Math.max(...answer.levels.map(({ to }) => to))).toBeGreaterThan(99);
  });
  it('offers what makes it possible: cameras opened first, then lamps carried, each reckoned anew', () => {
    const wish: LightWish = { aim: 'power' };
    const answer = setLight(weak, wish);
    expect(answer?.isMet).toBe(false);
    const cures = curesOf(weak, wish);
    expect(cures[0]?.label).toBe('Open every camera by 1 stop');
    expect(cures.some(({ label }) => /^Bring (key|fill) .* closer/.test(label))).toBe(true);
    for (const { label, commands } of cures)
      if (!label.startsWith('Let the ratio'))
        expect([label, missedNow(after(weak, commands), wish)]).toEqual([label, []]);
  });
  it('offers nothing where nothing stands in the way', () =>
    expect(curesOf(analyse(lit(key, fill)), WISH)).toEqual([]));
});

describe('what to buy', () => {
  it('is nothing where the lamps will do', () => {
    const advice = whatToBuy(analyse(lit(key, fill)), WISH);
    expect(advice?.says).toMatch(/^The lamps you have are enough/);
    expect(advice?.options[0]).toMatchObject({ is: 'set', price: 0, unmet: [] });
  });
  it('is a lamp on a stand of its own where there is none, and then everything is met', () => {
    const bare = analyse(lit(key));
    const advice = whatToBuy(bare, WISH);
    const bought = advice?.options.find(({ is }) => is === 'buy');
    if (!bought) throw new Error('nothing to buy');
    expect(bought.unmet).toEqual([]);
    expect(bought.price).toBeGreaterThan(0);
    expect(missedNow(after(bare, bought.commands), WISH)).toEqual([]);
    expect(advice?.says).toMatch(/A second lamp/);
  });
});
