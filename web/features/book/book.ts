import type { Chapter } from './parts';
import { type MeasuredPart, paginate, type Piece } from './paginate';
import type { Tile } from './tiles';

/** The pages of a book, numbered, and what its contents say. */

export type Page =
  | { readonly is: 'title' }
  | { readonly is: 'rows'; readonly chapter: Chapter; readonly pieces: readonly Piece[] }
  | { readonly is: 'loom'; readonly chapter: Chapter; readonly tile: Tile };

export interface Book {
  /** The first is page 1 */
  readonly pages: readonly Page[];
  readonly contents: readonly { readonly title: string; readonly page: number }[];
}

/**
 * Puts a book together: its title and contents first, each chapter on a page of its own.
 * @param measured each part's heights by chapter @param room what a page holds, as they are measured
 */
export const bookOf = (
  chapters: readonly Chapter[],
  measured: ReadonlyMap<string, readonly MeasuredPart[]>,
  tiles: readonly Tile[],
  room: number,
): Book => {
  const pages: Page[] = [{ is: 'title' }];
  const contents: { title: string; page: number }[] = [];
  for (const chapter of chapters) {
    contents.push({ title: chapter.title, page: pages.length + 1 });
    if (chapter.id === 'loom')
      pages.push(...tiles.map((tile) => ({ is: 'loom' as const, chapter, tile })));
    else
      for (const pieces of paginate(measured.get(chapter.id) ?? [], room))
        pages.push({ is: 'rows', chapter, pieces });
  }
  return { pages, contents };
};
