/** How a drawing is cut into sheets of paper that join. */

/** Papers lying down. @unit mm */
export const PAPERS = [
  { name: 'A4', widthMm: 297, heightMm: 210 },
  { name: 'A3', widthMm: 420, heightMm: 297 },
  { name: 'Letter', widthMm: 279.4, heightMm: 215.9 },
] as const;
export type Paper = (typeof PAPERS)[number];

/** How large it is drawn: as on the screen, smaller, or so that one sheet holds it. */
export const SIZES = ['full size', 'two thirds', 'one sheet'] as const;
export type SizeOnPaper = (typeof SIZES)[number];

export const MARGIN_MM = 10;
/** For the name, the number of the sheet and the legend. @unit mm */
export const HEAD_MM = 14;
/** What two neighbours both show, to be glued. @unit mm */
export const JOIN_MM = 8;
/** A pixel of the browser on paper. @unit mm */
const PX_MM = 25.4 / 96;

/** A sheet: which part of the drawing it shows, and its neighbours by number. */
export interface Sheet {
  /** From 1, along the rows */
  readonly number: number;
  /** Part of the drawing. @unit px of the drawing */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly right: number | null;
  readonly below: number | null;
}

export interface Sheets {
  readonly paper: Paper;
  /** Millimetres on paper for each pixel of the drawing */
  readonly mmPerPx: number;
  /** The part of a sheet that is drawn on. @unit mm */
  readonly widthMm: number;
  readonly heightMm: number;
  readonly columns: number;
  readonly rows: number;
  readonly sheets: readonly Sheet[];
}

const SCALES: Readonly<Record<Exclude<SizeOnPaper, 'one sheet'>, number>> = {
  'full size': 1,
  'two thirds': 2 / 3,
};

/** How many sheets in a row hold a length, each but the first beginning a join earlier. */
const count = (length: number, sheet: number, join: number): number =>
  length <= sheet ? 1 : 1 + Math.ceil((length - sheet) / (sheet - join));

/** A drawing on the parts of sheets that are drawn on, the same scale on all of them. */
interface Cutting {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly mmPerPx: number;
  readonly joinMm: number;
}

/**
 * Cuts a drawing into parts of sheets that overlap by the join.
 * @param width of the drawing, px @param height of the drawing, px
 */
export const cutInto = (
  width: number,
  height: number,
  { widthMm, heightMm, mmPerPx, joinMm }: Cutting,
): Pick<Sheets, 'columns' | 'rows' | 'sheets'> => {
  const [sheetWidth, sheetHeight] = [widthMm / mmPerPx, heightMm / mmPerPx];
  const join = joinMm / mmPerPx;
  const columns = count(width, sheetWidth, join);
  const rows = count(height, sheetHeight, join);
  const sheets = Array.from({ length: columns * rows }, (_, index): Sheet => {
    const [row, column] = [Math.floor(index / columns), index % columns];
    return {
      number: index + 1,
      x: column * (sheetWidth - join),
      y: row * (sheetHeight - join),
      width: sheetWidth,
      height: sheetHeight,
      right: column < columns - 1 ? index + 2 : null,
      below: row < rows - 1 ? index + 1 + columns : null,
    };
  });
  return { columns, rows, sheets };
};

/**
 * Cuts a drawing into sheets.
 * @param width of the drawing, px @param height of the drawing, px
 */
export const cutIntoSheets = (
  width: number,
  height: number,
  paper: Paper,
  size: SizeOnPaper,
): Sheets => {
  const widthMm = paper.widthMm - 2 * MARGIN_MM;
  const heightMm = paper.heightMm - 2 * MARGIN_MM - HEAD_MM;
  const mmPerPx =
    size === 'one sheet'
      ? Math.min(widthMm / width, heightMm / height, PX_MM)
      : PX_MM * SCALES[size];
  const cut = cutInto(width, height, { widthMm, heightMm, mmPerPx, joinMm: JOIN_MM });
  return { paper, mmPerPx, widthMm, heightMm, ...cut };
};
