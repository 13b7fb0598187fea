import fc from 'fast-check';
import { RigDraft } from '../../catalogue/draft';
import { cablePrice, type Rig } from '../../rig';
import type { CableId } from '../../rig/links/cables';
import { cableStock } from './buy';
import { times } from '../../runs-for-cases';

interface Cut {
  readonly lengths: readonly number[];
  readonly box: readonly (readonly [lengthM: number, count: number])[];
}

/** Displays on a switcher of many outputs, each by a cable of a length. */
const rigOf = ({ lengths, box }: Cut, kind: CableId = 'hdmi'): Rig => {
  let draft = new RigDraft('Case').device('splitter', 'splitter-hdmi-8', { name: 'Splitter' });
  for (const [index, lengthM] of lengths.entries())
    draft = draft
      .device(`display-${index}`, 'display-monitor', { name: `Display ${index}` })
      .link(`splitter.out-${index + 1}`, `display-${index}.in`, lengthM, kind);
  for (const [index, [lengthM, count]] of box.entries())
    draft = draft.do({
      type: 'addOwnCable',
      ownCableId: `own-${index}`,
      ownCable: { kind, lengthM, count },
    });
  return draft.build();
};

const toPay = (rig: Rig): number =>
  cableStock(rig).toBuy.reduce((sum, { price }) => sum + price, 0);

/** The least that any way of giving out the box leaves to pay. */
const leastByTryingAll = ({ lengths, box }: Cut): number => {
  const priceOf = (lengthM: number) => {
    const sold = [0.5, 1, 2, 3, 5, 7.5, 10, 15].find((stock) => stock >= lengthM) ?? lengthM;
    return cablePrice({ kind: 'hdmi', lengthM: sold });
  };
  const from = (at: number, left: readonly number[]): number => {
    const lengthM = lengths[at];
    if (lengthM === undefined) return 0;
    const bought = priceOf(lengthM) + from(at + 1, left);
    return left.reduce(
      (least, count, index) =>
        count > 0 && (box[index]?.[0] ?? 0) >= lengthM
          ? Math.min(least, from(at + 1, left.with(index, count - 1)))
          : least,
      bought,
    );
  };
  return from(
    0,
    box.map(([, count]) => count),
  );
};

describe('what is to be bought', () => {
  it('takes the box first, the shortest that does', () => {
    const stock = cableStock(
      rigOf({
        lengths: [5, 2, 10],
        box: [
          [10, 1],
          [3, 1],
        ],
      }),
    );
    expect([...stock.own.values()].sort()).toEqual(['own-0', 'own-1']);
    expect(stock.toBuy.map(({ lengthM, count }) => [lengthM, count])).toEqual([[5, 1]]);
    expect([...stock.left]).toEqual([]);
  });
  it('buys in lengths that are sold, those alike together', () => {
    expect(
      cableStock(rigOf({ lengths: [4, 4.5, 6], box: [] })).toBuy.map(({ lengthM, count }) => [
        lengthM,
        count,
      ]),
    ).toEqual([
      [5, 2],
      [7.5, 1],
    ]);
  });
  it('never leaves more to pay than any other way of giving out the box, 100 times', () => {
    const lengthM = fc.constantFrom(0.5, 1, 2, 3, 5, 7.5, 10, 15);
    fc.assert(
      fc.property(
        fc.record({
          lengths: fc.array(lengthM, { minLength: 1, maxLength: 6 }),
          box: fc.array(fc.tuple(lengthM, fc.integer({ min: 1, max: 2 })), { maxLength: 3 }),
        }),
        (cut) => expect(toPay(rigOf(cut))).toBeCloseTo(leastByTryingAll(cut), 9),
      ),
      { numRuns: times(100) },
    );
  });
});
