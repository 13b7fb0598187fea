import fc from 'fast-check';
import { type MeasuredPart, paginate, type Piece } from './paginate';

const part = (rows: readonly number[], titleHeight = 10, headHeight = 5): MeasuredPart => ({
  titleHeight,
  headHeight,
  rowHeights: rows,
});
const heightOf = (parts: readonly MeasuredPart[], page: readonly Piece[]): number =>
  page.reduce((sum, { part: at, from, to, isFirst }) => {
    const of = parts[at];
    if (!of) throw new Error('there is no such part');
    const rows = of.rowHeights.slice(from, to).reduce((all, row) => all + row, 0);
    return sum + rows + of.headHeight + (isFirst ? of.titleHeight : 0);
  }, 0);

describe('a chapter in pages', () => {
  it('fills a page and goes on with the headings again', () => {
    // 10 + 5 + 4 × 20 = 95 of 100; then 5 + 20.
    expect(paginate([part([20, 20, 20, 20, 20])], 100)).toEqual([
      [{ part: 0, from: 0, to: 4, isFirst: true }],
      [{ part: 0, from: 4, to: 5, isFirst: false }],
    ]);
  });
  it('takes a title that would stand alone to the next page', () =>
    expect(paginate([part([60]), part([30])], 100)).toEqual([
      [{ part: 0, from: 0, to: 1, isFirst: true }],
      [{ part: 1, from: 0, to: 1, isFirst: true }],
    ]));
  it('gives a row that is higher than a page a page', () =>
    expect(paginate([part([20, 300, 20])], 100)).toHaveLength(3));
  it('loses no row, repeats none, and overfills no page', () => {
    const rows = fc.array(fc.integer({ min: 1, max: 80 }), { minLength: 1, maxLength: 60 });
    fc.assert(
      fc.property(fc.array(rows, { minLength: 1, maxLength: 5 }), (all) => {
        const parts = all.map((heights) => part(heights));
        const pages = paginate(parts, 100);
        const seen = pages
          .flat()
          .flatMap(({ part: at, from, to }) =>
            Array.from({ length: to - from }, (_, index) => `${at}.${from + index}`),
          );
        expect(seen).toEqual(all.flatMap((heights, at) => heights.map((_, row) => `${at}.${row}`)));
        for (const page of pages) expect(heightOf(parts, page)).toBeLessThanOrEqual(100);
        for (const page of pages) expect(page.length).toBeGreaterThan(0);
      }),
    );
  });
});
