/** @jest-environment jsdom */
import { analyse, type Rig } from '@echo-loom/core';
import fc from 'fast-check';
import { harbourHall } from '../../../../demo/harbour-hall';
import { nightTide } from '../../../../demo/night-tide';
import { secondFiring } from '../../../../demo/second-firing';
import { layOut } from '@/layout/layout';
import { LoomDrawing } from './LoomDrawing';
import { barNames, linesOf } from './names';
import { cutIntoSheets, HEAD_MM, JOIN_MM, MARGIN_MM, PAPERS, SIZES } from './sheets';
import { svgText } from './svgText';

const [A4] = PAPERS;

describe('sheets of paper', () => {
  it('one holds what fits: A4 lying down, 277 mm of 0.2646 mm each are 1,046 px', () => {
    expect(cutIntoSheets(1046, 600, A4, 'full size').sheets).toHaveLength(1);
    expect(cutIntoSheets(1048, 600, A4, 'full size').columns).toBe(2);
  });
  it('are numbered along the rows, and each knows what joins', () => {
    const { sheets, columns, rows } = cutIntoSheets(2000, 1300, A4, 'full size');
    expect([columns, rows]).toEqual([2, 2]);
    expect(sheets.map(({ number, right, below }) => [number, right, below])).toEqual([
      [1, 2, 3],
      [2, null, 4],
      [3, 4, null],
      [4, null, null],
    ]);
  });
  it.each(PAPERS)('$name: cover any drawing, overlap by the join, and none is empty', (paper) => {
    const px = fc.integer({ min: 50, max: 9000 });
    fc.assert(
      fc.property(px, px, fc.constantFrom(...SIZES), (width, height, size) => {
        const cut = cutIntoSheets(width, height, paper, size);
        const last = cut.sheets.at(-1);
        if (!last) throw new Error('no sheet');
        expect(last.x + last.width).toBeGreaterThanOrEqual(width - 0.01);
        expect(last.y + last.height).toBeGreaterThanOrEqual(height - 0.01);
        expect(last.x).toBeLessThan(width);
        expect(last.y).toBeLessThan(height);
        for (const sheet of cut.sheets) {
          const right = cut.sheets.find(({ number }) => number === sheet.right);
          if (right) {
            const overlapMm = (sheet.x + sheet.width - right.x) * cut.mmPerPx;
            expect(overlapMm).toBeCloseTo(JOIN_MM, 6);
            expect(right.y).toBe(sheet.y);
          }
          expect(sheet.width * cut.mmPerPx).toBeCloseTo(paper.widthMm - 2 * MARGIN_MM, 6);
          expect(sheet.height * cut.mmPerPx).toBeCloseTo(
            paper.heightMm - 2 * MARGIN_MM - HEAD_MM,
            6,
          );
        }
      }),
    );
  });
  it('at one sheet there is one, never larger than the screen', () => {
    const cut = cutIntoSheets(5000, 3000, A4, 'one sheet');
    expect(cut.sheets).toHaveLength(1);
    expect(cutIntoSheets(100, 100, A4, 'one sheet').mmPerPx).toBeCloseTo(25.4 / 96, 9);
  });
});

describe('a name in a box', () => {
  it.each([
    ['Host mic', ['Host mic']],
    ['Proposer personal mixer', ['Proposer', 'personal mixer']],
    ['Extraordinarilylongname', ['Extraordinaril…']],
    ['A very long name of a device indeed', ['A very long', 'name of a devi…']],
  ] as const)('%s', (name, lines) => expect(linesOf(name)).toEqual(lines));
});

describe('the name of a bar', () => {
  it('is said again along a long one', () =>
    expect(barNames({ y: 100, height: 960 }, 'Switcher').map(({ at }) => at)).toEqual([340, 820]));
  it('is cut where the bar is shorter', () =>
    expect(barNames({ y: 0, height: 80 }, 'Programme distributor')).toEqual([
      { at: 40, text: 'Programme…' },
    ]));
});

describe('the drawing as a file', () => {
  it.each<readonly [string, Rig]>([
    ['Night Tide', nightTide()],
    ['Second Firing', secondFiring()],
    ['Harbour Hall', harbourHall()],
  ])('%s: is XML, says every reading, and has a line for every cable', (_name, rig) => {
    const analysis = analyse(rig);
    const layout = layOut(analysis, null, new Set());
    const text = svgText(
      layout,
      <LoomDrawing analysis={analysis} layout={layout} reading="Cable" isBlack={false} />,
    );
    const svg = new DOMParser().parseFromString(text, 'image/svg+xml');
    expect(svg.querySelector('parsererror')).toBeNull();
    expect(svg.documentElement.getAttribute('viewBox')).toBe(
      `0 0 ${layout.width} ${layout.height}`,
    );
    expect(svg.querySelectorAll('g[fill="none"]')).toHaveLength(layout.strands.length);
    const words = [...svg.querySelectorAll('text')].map(({ textContent }) => textContent);
    expect(words.filter((word) => / m( |$)/.test(word))).toHaveLength(
      Object.values(rig.links).filter(({ cable }) => cable.kind !== 'inside').length,
    );
    expect(text).not.toContain('var(--');
  });
});
