'use client';

import type { Analysis } from '@echo-loom/core';
import { type RefObject, useEffect, useMemo, useState } from 'react';
import { layOut } from '@/layout/layout';
import type { LoomLayout } from '@/layout/parts';
import { useFontsReady } from '@/ui/useFontsReady';
import { type Book, bookOf } from './book';
import { chaptersOf } from './chapters';
import type { Chapter } from './parts';
import type { MeasuredPart } from './paginate';
import { PX_MM, ROOM, tilesOf, type Tiles } from './tiles';

interface Made {
  readonly chapters: readonly Chapter[];
  readonly layout: LoomLayout;
  readonly tiles: Tiles;
  /** null until it has been measured */
  readonly book: Book | null;
}

const NOTHING_FOLDED: ReadonlySet<string> = new Set();

const heightOf = (element: Element | null): number => element?.getBoundingClientRect().height ?? 0;

const measuredIn = (root: HTMLElement): Map<string, MeasuredPart[]> => {
  const all = new Map<string, MeasuredPart[]>();
  for (const chapter of root.querySelectorAll<HTMLElement>('[data-chapter]'))
    all.set(
      chapter.dataset['chapter'] ?? '',
      [...chapter.querySelectorAll('[data-part]')].map((part) => ({
        titleHeight: heightOf(part.querySelector('[data-title]')),
        headHeight: heightOf(part.querySelector('[data-head]')),
        rowHeights: [...part.querySelectorAll('[data-row]')].map(heightOf),
      })),
    );
  return all;
};

/** For lines between rows, which a measure of each row does not count. @unit px */
const SPARE_PX = 12;

/**
 * The book of a rig, put together from what its parts measure on the page.
 * @param bench where every part stands once, as wide as on paper
 */
export const useBook = (
  analysis: Analysis,
  money: (amount: number) => string,
  bench: RefObject<HTMLElement | null>,
): Made => {
  const isReady = useFontsReady();
  const chapters = useMemo(() => chaptersOf(analysis, money), [analysis, money]);
  const layout = useMemo(() => layOut(analysis, null, NOTHING_FOLDED), [analysis]);
  const tiles = useMemo(() => tilesOf(layout), [layout]);
  const [book, setBook] = useState<Book | null>(null);
  useEffect(() => {
    if (!isReady) return undefined;
    // Once what stands on the bench has been laid out.
    const frame = requestAnimationFrame(() => {
      if (!bench.current) return;
      const room = ROOM.heightMm / PX_MM - SPARE_PX;
      setBook(bookOf(chapters, measuredIn(bench.current), tiles.tiles, room));
    });
    return () => cancelAnimationFrame(frame);
  }, [bench, chapters, tiles, isReady]);
  return { chapters, layout, tiles, book };
};
