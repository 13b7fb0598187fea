import { READING_WIDTH } from '@/layout/sizes';
import { cutInto, type Sheet } from '@/features/loom/paper/sheets';
import type { LoomLayout, LoomStrand } from '@/layout/parts';

/** The loom on pages of the book. */

/** A page of the book, lying down; what is printed stands within its margins. @unit mm */
export const PAGE = { widthMm: 297, heightMm: 210, marginMm: 12, headMm: 9, footMm: 7 } as const;
export const ROOM = {
  widthMm: PAGE.widthMm - 2 * PAGE.marginMm,
  heightMm: PAGE.heightMm - 2 * PAGE.marginMm - PAGE.headMm - PAGE.footMm,
} as const;

/** A pixel of the browser on paper. @unit mm */
export const PX_MM = 25.4 / 96;
/** Two thirds of its size on the screen: eight-point figures. */
const MM_PER_PX = (PX_MM * 2) / 3;
/** For the words that say which page goes on. @unit mm */
const WORDS_MM = 8;
/** Wider than a figure on a thread, so that each stands whole on one of the pages. */
const JOIN_MM = READING_WIDTH * MM_PER_PX + 4;

export interface Tile extends Sheet {
  /** Threads whose number is written on this page and on no other */
  readonly written: ReadonlySet<string>;
}

export interface Tiles {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly tiles: readonly Tile[];
}

const holds = ({ x, y, width, height }: Sheet, { x1, y1 }: LoomStrand): boolean =>
  x1 + 4 >= x && x1 + 4 + READING_WIDTH <= x + width && y1 - 9 >= y && y1 + 9 <= y + height;

/** The loom cut into pages; a page on which nothing stands is left out. */
export const tilesOf = (layout: LoomLayout): Tiles => {
  const [widthMm, heightMm] = [ROOM.widthMm, ROOM.heightMm - WORDS_MM];
  // Smaller where that saves a page, never larger.
  const whole = Math.min(widthMm / layout.width, heightMm / layout.height);
  const mmPerPx = whole > MM_PER_PX * 0.8 ? Math.min(whole, MM_PER_PX) : MM_PER_PX;
  const { sheets } = cutInto(layout.width, layout.height, {
    widthMm,
    heightMm,
    mmPerPx,
    joinMm: JOIN_MM,
  });
  const left = new Map(layout.strands.map((strand) => [strand.linkId, strand]));
  return {
    widthMm,
    heightMm,
    tiles: sheets.map((sheet) => {
      const written = [...left.values()].filter((strand) => holds(sheet, strand));
      for (const { linkId } of written) left.delete(linkId);
      return { ...sheet, written: new Set(written.map(({ linkId }) => linkId)) };
    }),
  };
};
