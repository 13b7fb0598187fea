/** A book parted into pages: every row on one page, in order, none lost. Heights in any one unit. */

/** A part of a chapter as it was measured. */
export interface MeasuredPart {
  readonly titleHeight: number;
  /** Of the line of headings, which is repeated on every page; 0 where there is none */
  readonly headHeight: number;
  readonly rowHeights: readonly number[];
}

/** Rows of a part that stand on one page. */
export interface Piece {
  readonly part: number;
  readonly from: number;
  /** The first that no longer does */
  readonly to: number;
  /** Whether the part begins here */
  readonly isFirst: boolean;
}

/**
 * Parts a chapter into pages. A title never stands at the foot of a page without a row; a row that is higher than
 * a page has one to itself.
 * @param room what a page holds
 * @returns at least one page
 */
export const paginate = (parts: readonly MeasuredPart[], room: number): Piece[][] => {
  const pages: Piece[][] = [[]];
  let left = room;
  const turn = () => {
    pages.push([]);
    left = room;
  };
  parts.forEach(({ titleHeight, headHeight, rowHeights }, part) => {
    let from = 0;
    do {
      const isFirst = from === 0;
      const before = headHeight + (isFirst ? titleHeight : 0);
      const next = rowHeights[from] ?? 0;
      const page = pages.at(-1) ?? [];
      if (before + next > left && page.length > 0) {
        turn();
        continue;
      }
      left -= before;
      let to = from;
      // One row always, then as many as fit.
      while (to < rowHeights.length && (to === from || (rowHeights[to] ?? 0) <= left)) {
        left -= rowHeights[to] ?? 0;
        to += 1;
      }
      page.push({ part, from, to, isFirst });
      from = to;
    } while (from < rowHeights.length);
  });
  return pages;
};
