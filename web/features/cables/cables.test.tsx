/** @jest-environment jsdom */
import { analyse, type Analysis, patchOrder, type PlaceInRoom, type Rig } from '@echo-loom/core';
import { screen, within } from '@testing-library/react';
import user from '@testing-library/user-event';
import fc from 'fast-check';
import type { ReactNode } from 'react';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';
import { useRig } from '@/features/rig/RigProvider';
import { field } from '@/ui/in-browser-for-tests';
import { CableTable } from './CableTable';
import { labelsOf, LABEL_SHEETS } from './Labels';
import { pointsText, readPoints } from './points';
import { cableRows } from './rows';
import { Stock } from './Stock';
import { ToCut } from './ToCut';
import { WaysTable } from './WaysTable';

/** Whether something lies over a field is not asked: nothing is laid out. */
const userEvent = user.setup({ pointerEventsCheck: 0 });

const Part = ({ of }: { readonly of: (analysis: Analysis) => ReactNode }) =>
  of(useRig((state) => state.analysis));
const opened = (rig: Rig, of: (analysis: Analysis) => ReactNode) => {
  const { session } = drawWithRig(rig, <Part of={of} />);
  return { rig: () => session.store.getState().rig };
};
const type = async (label: string | RegExp, text: string) => {
  const input = typeof label === 'string' ? field(label) : screen.getByLabelText(label);
  await userEvent.clear(input);
  await userEvent.type(input, `${text}{Enter}`);
};

describe('points that are typed', () => {
  it('are read as they are written, whatever they are', () => {
    const metres = fc.integer({ min: -99_999, max: 99_999 }).map((mm) => mm / 1000);
    const point = fc.record({
      xM: metres,
      yM: metres,
      zM: fc.integer({ min: 0, max: 9999 }).map((mm) => mm / 1000),
    });
    fc.assert(
      fc.property(fc.array(point, { minLength: 2, maxLength: 64 }), (points: PlaceInRoom[]) => {
        const read = readPoints(pointsText(points));
        expect('points' in read && pointsText(read.points)).toBe(pointsText(points));
      }),
    );
  });
  it('lie on the floor where no height is said', () =>
    expect(readPoints('0 1; −2, 3.5')).toEqual({
      points: [
        { xM: 0, yM: 1, zM: 0 },
        { xM: -2, yM: 3.5, zM: 0 },
      ],
    }));
  it.each([
    ['1, 2', /at least two points/],
    ['', /at least two points/],
    ['1, 2; 3', /Point 2, “3”, is not two or three numbers/],
    ['1, 2; 3, 4, 5, 6', /Point 2/],
    ['1, 2; x, 4', /Point 2, “x, 4”/],
    ['1, 2; 3, 4, −1', /Point 2 must be 0 to 100 m above the floor/],
    ['1, 2; 3000, 4', /Point 2 lies more than 1000 m away/],
    [Array.from({ length: 65 }, () => '1, 2').join(';'), /At most 64 points/],
  ])('are refused: %s', (text, says) => {
    const read = readPoints(text);
    expect('problem' in read && read.problem).toMatch(says);
  });
});

describe('the table of cables', () => {
  it('has every cable but those inside a computer, in the order of the patch sheet', () => {
    const rows = cableRows(analyse(demo('second-firing')));
    expect(rows.map(({ number }) => number)).toEqual(rows.map((_, index) => index + 1));
    expect(rows).toHaveLength(22);
    const kiln = rows.find(({ from }) => from.startsWith('Kiln camera'));
    expect([kiln?.asks, kiln?.soldM, kiln?.isShort]).toEqual(['11.01 m', 15, true]);
    expect(kiln?.way).toMatch(
      /10\.01 m of way, 1\.00 m of slack: .*Run to the kiln camera 3\.31 m/,
    );
    expect(rows.find(({ from }) => from.startsWith('Slides,'))?.asks).toBe('not on the plan');
  });
  it('sets a length and how a cable is held, and forgets what is as all are', async () => {
    const { rig } = opened(demo('second-firing'), (analysis) => (
      <CableTable analysis={analysis} rows={cableRows(analysis)} />
    ));
    await type(/^Length of cable 5, /, '20');
    const link = () => rig().links['kiln-camera-hdmi-to-switcher'];
    expect(link()?.cable).toEqual({ kind: 'hdmi', lengthM: 20 });
    await userEvent.selectOptions(field('How cable 5 is held'), 'fixed');
    expect(link()?.lay).toEqual({ dressing: 'fixed', keepsOff: false });
    expect(screen.getByText('20 min')).toBeTruthy();
    await userEvent.selectOptions(field('How cable 5 is held'), 'reopenable');
    expect(link()?.lay).toBeUndefined();
  });
  it('says what is too short to who hears it too', () => {
    opened(demo('second-firing'), (analysis) => (
      <CableTable analysis={analysis} rows={cableRows(analysis)} />
    ));
    expect(screen.getAllByText(', too short')).toHaveLength(3);
  });
});

describe('labels', () => {
  it('are two a cable, each with its own end first', () => {
    const rows = cableRows(analyse(demo('night-tide')));
    const labels = labelsOf(rows);
    expect(labels).toHaveLength(2 * rows.length);
    const [one, other] = labels;
    expect([one?.here, one?.there]).toEqual([other?.there, other?.here]);
    expect(one?.number).toBe(1);
  });
  it.each(LABEL_SHEETS)('of $name fit on A4', (sheet) => {
    expect(2 * sheet.sideMm + sheet.columns * sheet.widthMm).toBeLessThanOrEqual(210.1);
    expect(sheet.topMm + sheet.rows * sheet.heightMm).toBeLessThanOrEqual(297);
  });
});

describe('ways and the box', () => {
  it('a way is added, named, led elsewhere, kept from mains and removed', async () => {
    const { rig } = opened(demo('night-tide'), (analysis) => <WaysTable analysis={analysis} />);
    await userEvent.click(screen.getByRole('button', { name: 'Add a duct' }));
    await type('Name of the way New duct', 'Tray');
    await type('Points of Tray', '0, 1; 2, 1; 2, 1, 0.7');
    await type('Area inside Tray', '1200');
    await userEvent.selectOptions(field('What Tray is'), 'tray');
    await userEvent.selectOptions(field('What may lie in Tray'), 'signal only');
    expect(Object.values(rig().cableWays)).toMatchObject([
      {
        name: 'Tray',
        is: 'tray',
        carries: 'signal',
        insideMm2: 1200,
        had: { ownership: 'to buy', price: 12 },
        points: [
          { xM: 0, yM: 1, zM: 0 },
          { xM: 2, yM: 1, zM: 0 },
          { xM: 2, yM: 1, zM: 0.7 },
        ],
      },
    ]);
    await type('Price of Tray', '30');
    await userEvent.selectOptions(field('How Tray is had'), 'Owned');
    expect(Object.values(rig().cableWays)[0]?.had).toEqual({ ownership: 'owned', price: 30 });
    await userEvent.click(screen.getByRole('button', { name: 'Remove Tray' }));
    expect(rig().cableWays).toEqual({});
  });
  it('a cable is led by hand through one way and another, and finds its own again', async () => {
    const { rig } = opened(demo('second-firing'), (analysis) => (
      <CableTable analysis={analysis} rows={cableRows(analysis)} />
    ));
    const [led] = screen.getAllByLabelText(/^Where cable 1 is led/);
    if (!led) throw new Error('no choice');
    await userEvent.selectOptions(led, 'Tray on the low beam');
    await userEvent.selectOptions(
      field('Where cable 1 is led after that, 2'),
      'Run before the bench',
    );
    const [, link] = patchOrder(rig())[0] ?? [];
    expect(link?.lay).toEqual({ dressing: null, keepsOff: false, by: ['beam-run', 'bench-run'] });
    await userEvent.selectOptions(field('Where cable 1 is led'), 'its shortest way');
    await userEvent.selectOptions(field('Where cable 1 is led'), 'its shortest way');
    expect(patchOrder(rig())[0]?.[1].lay).toBeUndefined();
  });
  it('what is to be cut stands by drum, with the numbers of the cables', () => {
    opened(demo('harbour-hall'), (analysis) => <ToCut analysis={analysis} />);
    const table = screen.getByRole('table', { name: 'Cables to cut' });
    expect(within(table).getByText('Balanced audio cable')).toBeTruthy();
    expect(screen.getByText(/^Balanced audio cable: \d+ drums of 100 m/)).toBeTruthy();
  });
  it('cables of the box are taken first, and what is left is said', async () => {
    const { rig } = opened(demo('second-firing'), (analysis) => <Stock analysis={analysis} />);
    const toBuy = screen.getByRole('table', { name: 'Cables to buy' });
    expect(within(toBuy).getAllByRole('row').length).toBeGreaterThan(4);
    await userEvent.click(screen.getByRole('button', { name: 'Add a cable that is there' }));
    expect(Object.keys(rig().ownCables)).toHaveLength(3);
    await type('How many of 5 m of Balanced audio cable', '3');
    expect(rig().ownCables['cable']).toMatchObject({ kind: 'balanced', lengthM: 5, count: 3 });
    await userEvent.click(
      screen.getByRole('button', { name: 'Take out 5 m of Balanced audio cable' }),
    );
    expect(Object.keys(rig().ownCables)).toHaveLength(2);
  });
});
