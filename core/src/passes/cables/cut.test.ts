import { RigDraft } from '../../catalogue/draft';
import { rectangle, type Rig } from '../../rig';
import { cableStock } from './buy';
import { cutEnds, cutList } from './cut';
import { cablePlans } from './plan';
import { measure } from '../measure';

const rigOf = (lengths: readonly number[]): Rig => {
  let draft = new RigDraft('Case').device('box', 'stage-box-16', { name: 'Stage box' });
  for (const [index, lengthM] of lengths.entries())
    draft = draft
      .device(`mic-${index}`, 'mic-dynamic-stage', { name: `Mic ${index}` })
      .link(`mic-${index}.out`, `box.mic-${index + 1}`, lengthM);
  return draft.build();
};

describe('what is to be cut', () => {
  it('fills drums with the longest cuts first, and says the fewest there can be', () => {
    const [balanced] = cutList(rigOf([60, 45, 40.02, 30, 20]), []);
    expect(balanced?.kind).toBe('balanced');
    expect(balanced?.drums.map((cuts) => cuts.map(({ lengthM }) => lengthM))).toEqual([
      [60, 30],
      [45, 40.1],
      [20],
    ]);
    // 60 + 45 + 40.1 + 30 + 20 is 195.1 m: two drums would hold it, if it were not cut.
    expect(balanced?.lengthM).toBeCloseTo(195.1, 9);
    expect(balanced?.atLeastDrums).toBe(2);
    expect(balanced?.plugs).toBe(10);
    expect(balanced?.price).toBeCloseTo(5 * 8 + 1.2 * 195.1, 9);
  });
  it('takes the box first, and leaves out what is not made by hand', () => {
    const rig = new RigDraft('Case')
      .device('splitter', 'splitter-hdmi-2', { name: 'Splitter' })
      .device('display', 'display-monitor', { name: 'Display' })
      .link('splitter.out-1', 'display.in', 5)
      .device('mic', 'mic-dynamic-stage', { name: 'Mic' })
      .device('interface', 'interface-2', { name: 'Interface' })
      .link('mic.out', 'interface.mic-1', 5)
      .do({
        type: 'addOwnCable',
        ownCableId: 'own',
        ownCable: { kind: 'balanced', lengthM: 5, count: 1 },
      })
      .build();
    expect(cutList(rig, [])).toEqual([]);
  });
  it('cuts what the plan asks, not what is sold: worked E is 7.2 m, and sold as 7.5', () => {
    const rig = new RigDraft('Worked E')
      .do({ type: 'drawRoom', room: { corners: rectangle(8, 5), heightM: 2.6 } })
      .support('desk', 'Desk, 1.4 m', [1, 0, 0], {
        figures: { topM: 0.75, lowestM: 0.75, highestM: 1.25 },
      })
      .device('mic', 'mic-dynamic-stage', { name: 'Mic' })
      .device('interface', 'interface-2', { name: 'Interface' })
      .stand('mic', 'desk')
      .support('bracket', 'Wall bracket', [5.2, 0, 0], { figures: { heightM: 1.1 } })
      .stand('interface', 'bracket')
      .link('mic.out', 'interface.mic-1', 7.5)
      .build();
    const [cut] = cutList(rig, cablePlans(measure(rig)))[0]?.drums[0] ?? [];
    expect(cut?.lengthM).toBeCloseTo(7.2, 9);
    expect(cut && cutEnds(rig, cut)).toBe('Mic – Interface');
  });
  it('says what is longer than a drum', () => {
    const [balanced] = cutList(rigOf([137.5, 10]), []);
    expect(balanced?.tooLong.map(({ lengthM }) => lengthM)).toEqual([137.5]);
    expect(balanced?.drums.map((cuts) => cuts.length)).toEqual([1]);
  });
});

describe('runs longer than any length that is sold', () => {
  it('are bought in whole lengths, with what joins them', () => {
    const { toBuy, joins } = cableStock(rigOf([137.5, 60]));
    expect(toBuy.map(({ lengthM, count }) => [lengthM, count])).toEqual([
      [10, 1],
      [50, 4],
    ]);
    expect(joins).toEqual([
      { kind: 'balanced', count: 3, linkIds: expect.any(Array) as string[], price: 18 },
    ]);
  });
});
