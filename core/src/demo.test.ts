import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { analyse, fixesOf } from './analyse';
import { CATALOGUE, searchWords } from './catalogue';
import { predict } from './predict/predict';
import { cableStock } from './passes/cables';
import { inOrder, modelSchema, patchOrder, type Rig } from './rig';
import { soldPrice } from './rig/links/cables';
import { AREA_IDS, RULES } from './rules';
import { demoRig as demo } from './rules/demo-for-cases';

const DEMOS = ['night-tide', 'second-firing', 'harbour-hall'];

/**
 * A list made by hand: cable after cable in the order of the patch sheet, the first of the box that is
 * long enough, else the next length that is sold.
 */
const listByHand = (rig: Rig): number => {
  const box = inOrder(rig.ownCables).map(([, cable]) => ({ ...cable }));
  return patchOrder(rig).reduce((sum, [, { to, cable }]) => {
    if (rig.devices[to.deviceId]?.model.kind === 'headphones') return sum;
    const own = box.find(
      ({ kind, lengthM, count }) => kind === cable.kind && count > 0 && lengthM >= cable.lengthM,
    );
    if (!own) return sum + soldPrice(cable);
    own.count -= 1;
    return sum;
  }, 0);
};

describe('what is to be bought for the demo', () => {
  it.each([
    ['night-tide', 40.7, 3],
    ['second-firing', 241.2, 8],
    ['harbour-hall', 3408.4, 18],
  ])('%s: no more than a list made by hand', (name, pays, lines) => {
    const rig = demo(name);
    const { toBuy, joins } = cableStock(rig);
    const price = [...toBuy, ...joins].reduce((sum, line) => sum + line.price, 0);
    expect(price).toBeCloseTo(pays, 6);
    expect(toBuy).toHaveLength(lines);
    expect(price).toBeLessThanOrEqual(listByHand(rig) + 1e-9);
  });
});

describe('the demo, the starting points and the catalogue', () => {
  it('every fix offered anywhere in the demo applies', () => {
    for (const name of DEMOS) {
      const analysis = analyse(demo(name));
      for (const finding of analysis.findings)
        for (const fix of fixesOf(analysis, finding))
          expect(() => predict(analysis, finding, fix)).not.toThrow();
    }
  });
  it('Night Tide holds the mistakes it was given, and no stop but the long cable', () => {
    const { findings } = analyse(demo('night-tide'));
    expect(findings.map(({ code }) => code).sort()).toEqual([
      'brief.cannot-hear',
      'brief.recorded-once',
      'brief.recorded-once',
      'computer.reach',
      'light.face-unlit',
      'light.faces-differ',
      'light.no-catch',
      'light.ratio',
      'light.skin-wall',
      'picture.shot-missed',
      'picture.upright-enlarged',
      'place.background-differs',
      'place.boomy',
      'place.seats-differ',
      'sound.gain-short',
      'sound.gain-short',
      'sound.loudness',
      'sound.outputs-short',
      'stands.arm-weak',
      'stands.desk-height',
      'time.sound-early',
    ]);
    expect(findings.filter(({ level }) => level === 'stop').map(({ code }) => code)).toEqual([
      'computer.reach',
    ]);
    expect(findings.some(({ says }) => says.includes('Host mic stays 5.84 dB under'))).toBe(true);
  });
  it('Second Firing holds the mistakes it was given', () => {
    const codes = new Set(analyse(demo('second-firing')).findings.map(({ code }) => code));
    for (const code of [
      'sound.phantom-missing',
      'sound.mix-minus',
      'picture.overlays',
      'picture.rate-near-miss',
      'picture.reach',
      'computer.branch-full',
      'light.glare',
      'light.sun-on',
      'light.cameras-apart',
      'light.board-lit',
    ])
      expect(codes).toContain(code);
  });
  it('the catalogue holds at least 40 valid classes with ids of their own', () => {
    expect(CATALOGUE.length).toBeGreaterThanOrEqual(40);
    expect(new Set(CATALOGUE.map(({ classId }) => classId)).size).toBe(CATALOGUE.length);
    for (const item of CATALOGUE)
      expect([item.name, modelSchema.safeParse(item).error?.issues]).toEqual([
        item.name,
        undefined,
      ]);
  });
  it('a class is found by the words people use for its kind', () =>
    expect(
      CATALOGUE.filter((item) => searchWords(item).includes('mic')).length,
    ).toBeGreaterThanOrEqual(10));
  it('no rule file is forgotten, and every rule explains itself', () => {
    const codes = new Set(RULES.map(({ code }) => code));
    expect(codes.size).toBe(RULES.length);
    const files = AREA_IDS.flatMap((area) =>
      readdirSync(path.resolve('core/src/rules', area))
        .filter((file) => !file.includes('.test.'))
        .map((file) => path.resolve('core/src/rules', area, file)),
    );
    const declared = files
      .flatMap(
        (file) =>
          readFileSync(file, 'utf8').match(
            /^export const \w+(: Rule = | = \w*[rR]ule(For)?(<\w+>)?\()/gm,
          ) ?? [],
      )
      .filter((line) => !line.includes('const coverageRule') && !line.includes('Rule = ruleOf'));
    expect(declared).toHaveLength(RULES.length);
    for (const rule of RULES)
      for (const text of [rule.looksFor, rule.why, rule.remedy, rule.source])
        expect(text.length).toBeGreaterThan(5);
  });
});
