import { analyse, cableNumbers, inOrder, priceOf } from '@echo-loom/core';
import { layOut } from '@/layout/layout';
import { demo } from '@/features/rig/rig-for-tests';
import { bookOf } from './book';
import { chaptersOf, listsOf } from './chapters';
import type { BookTable } from './parts';
import { tilesOf } from './tiles';

const euros = (amount: number): string => `€${amount}`;

const tableOf = (chapters: ReturnType<typeof chaptersOf>, id: string): BookTable => {
  const part = chapters
    .find((chapter) => chapter.id === id)
    ?.parts.find(({ is }) => is === 'table');
  if (part?.is !== 'table') throw new Error(`${id} has no table`);
  return part;
};

describe.each(['harbour-hall', 'second-firing', 'night-tide'] as const)(
  'the book of %s',
  (name) => {
    const rig = demo(name);
    const analysis = analyse(rig);
    const chapters = chaptersOf(analysis, euros);
    const numbers = [...cableNumbers(rig).values()].map(String).sort();
    const columnOf = ({ columns, rows }: BookTable, heading: string): string[] => {
      const at = columns.findIndex((column) => column.heading === heading);
      return rows.map((row) => row[at] ?? '').sort();
    };

    it('has the number of every cable once in the patch sheet, once in the list, once on the loom', () => {
      expect(new Set(numbers).size).toBe(numbers.length);
      expect(columnOf(tableOf(chapters, 'patch'), 'No.')).toEqual(numbers);
      expect(columnOf(tableOf(chapters, 'cables'), 'No.')).toEqual(numbers);
      const { tiles } = tilesOf(layOut(analysis, null, new Set()));
      const onLoom = tiles
        .flatMap(({ written }) => [...written])
        .flatMap((linkId) => cableNumbers(rig).get(linkId) ?? [])
        .map(String)
        .sort();
      expect(onLoom).toEqual(numbers);
    });
    it('fills every row to its columns, and the shares to the width', () => {
      for (const { parts } of chapters)
        for (const part of parts) {
          if (part.is === 'words') continue;
          expect(part.columns.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(100, 6);
          for (const row of part.rows) expect(row).toHaveLength(part.columns.length);
        }
    });
    it('has every knob of every device once', () => {
      const controls = inOrder(rig.devices).flatMap(([, { model }]) => Object.keys(model.controls));
      expect(tableOf(chapters, 'knobs').rows).toHaveLength(controls.length);
    });
    it('names every finding that is left, and everything to be bought that costs', () => {
      const left = chapters.find(({ id }) => id === 'findings')?.parts[0];
      expect(left?.is === 'table' ? left.rows.length : 0).toBe(analysis.causes.length);
      const bought = inOrder(rig.devices).filter(
        ([, device]) =>
          (device.ownership === 'to buy' || device.ownership === 'second-hand') &&
          priceOf(device) !== 0,
      );
      const gear = tableOf(chapters, 'buy').rows.map(([what]) => what);
      for (const [, device] of bought) expect(gear).toContain(device.name);
    });
    it('gives each list a sheet of its own name', () => {
      const sheets = listsOf(chapters).map(({ sheet }) => sheet);
      expect(new Set(sheets).size).toBe(sheets.length);
      for (const sheet of sheets) expect(sheet.length).toBeLessThanOrEqual(31);
    });
    it('says in its contents where each chapter begins', () => {
      const measured = new Map(
        chapters.map(({ id, parts }) => [
          id,
          parts.map((part) => ({
            titleHeight: 20,
            headHeight: 20,
            rowHeights: (part.is === 'table' ? part.rows : part.lines).map(() => 20),
          })),
        ]),
      );
      const { tiles } = tilesOf(layOut(analysis, null, new Set()));
      const { pages, contents } = bookOf(chapters, measured, tiles, 600);
      expect(contents.map(({ title }) => title)).toEqual(chapters.map(({ title }) => title));
      for (const { title, page } of contents) {
        const at = pages[page - 1];
        const before = pages[page - 2];
        expect(at && at.is !== 'title' ? at.chapter.title : null).toBe(title);
        expect(before && before.is !== 'title' ? before.chapter.title : null).not.toBe(title);
      }
    });
  },
);
