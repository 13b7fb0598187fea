import { analyse, fixesOf } from '../analyse';
import { predict } from '../predict/predict';
import { demoRig } from './demo-for-cases';
import { randomRig, rigsToBeginFrom } from '../random-for-cases';
import type { Rig } from '../rig';
import { type Finding, findingKey } from './rule';

const twice = (findings: readonly Finding[]): string[] => {
  const seen = new Set<string>();
  return findings.map(findingKey).filter((key) => {
    const isSecond = seen.has(key);
    seen.add(key);
    return isSecond;
  });
};
const named = (rigs: readonly Rig[]) => rigs.map((rig): [string, Rig] => [rig.name, rig]);
const starts = rigsToBeginFrom();

describe('findings can be told apart', () => {
  it.each(named(starts))('%s', (_name, rig) => expect(twice(analyse(rig).findings)).toEqual([]));
  it('after any edits: 100 rigs at random', () => {
    const clashes = Array.from({ length: 100 }, (_, seed) => randomRig(seed, starts)).flatMap(
      (rig) => twice(analyse(rig).findings),
    );
    expect([...new Set(clashes.map((key) => key.split('|')[0]))]).toEqual([]);
  });
  it('by themselves: the same rig read twice gives the same keys', () => {
    for (const rig of starts)
      expect(analyse(rig).findings.map(findingKey)).toEqual(
        analyse(structuredClone(rig)).findings.map(findingKey),
      );
  });
  it('from edit to edit: a screen for the guests brings no finding that was there before', () => {
    const before = analyse(demoRig('second-firing'));
    const finding = before.findings.find(({ code }) => code === 'brief.cannot-see');
    const [fix] = finding ? fixesOf(before, finding) : [];
    if (!finding || !fix) throw new Error('no fix');
    expect(predict(before, finding, fix).brings).toEqual([]);
  });
});
