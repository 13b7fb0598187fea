/** @jest-environment jsdom */
import { analyse, type Analysis, apply, blankRig, type Rig } from '@echo-loom/core';
import { screen } from '@testing-library/react';
import user from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';
import { useRig } from '@/features/rig/RigProvider';
import { field } from '@/ui/in-browser-for-tests';
import { Batteries, onBattery } from './Batteries';
import { Circuits } from './Circuits';
import { fedByOf, fedChoices, valueOf } from './fed';
import { Feeds } from './Feeds';
import { Asked } from './Asked';
import { Loads } from './Loads';
import { Plugs } from './Plugs';
import { linesOf, PowerTree } from './PowerTree';

/** Whether something lies over a field is not asked: nothing is laid out. */
const userEvent = user.setup({ pointerEventsCheck: 0 });

const Part = ({ of }: { readonly of: (analysis: Analysis) => ReactNode }) =>
  of(useRig((state) => state.analysis));
const opened = (rig: Rig, of: (analysis: Analysis) => ReactNode) => {
  const { session } = drawWithRig(rig, <Part of={of} />);
  return { rig: () => session.store.getState().rig };
};
const type = async (label: string, text: string) => {
  await userEvent.clear(field(label));
  await userEvent.type(field(label), `${text}{Enter}`);
};

describe('the circuit plan', () => {
  const lines = linesOf(analyse(demo('second-firing')));
  it('goes from the breaker to the plug, each below what feeds it', () => {
    const at = (name: string) => lines.find((line) => line.name === name);
    expect(at('Kiln circuit')).toMatchObject({ depth: 0, isOver: true });
    expect(at('Kiln circuit')?.a?.toFixed(2)).toBe('13.09');
    expect(at('Outlet by the kiln')?.depth).toBe(1);
    expect(at('Kiln')).toMatchObject({ depth: 2, w: 2850 });
    expect(at('Reel')?.depth).toBe(2);
    expect(at('Bench strip')).toMatchObject({ depth: 3, bears: '10 A, 5 of 8 sockets' });
    expect(at('Host camera')?.depth).toBe(4);
    expect(at('Supply that lasts')?.bears).toBe('540 W, 900 VA, 3 of 4 sockets, 544 min');
  });
  it('has everything once', () => {
    const keys = lines.map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
  });
  it('marks what is too much for who hears it too', () => {
    opened(demo('second-firing'), (analysis) => <PowerTree analysis={analysis} />);
    expect(screen.getAllByText(', too much')).toHaveLength(1);
  });
  it('has what hangs on a circuit itself below it, and feeds of nothing by themselves', () => {
    const hall = linesOf(analyse(demo('harbour-hall')));
    expect(hall.find(({ name }) => name === 'Lights of the hall')?.depth).toBe(1);
    const alone = apply(blankRig('Alone'), {
      type: 'addFeed',
      feedId: 'strip',
      feed: {
        name: 'Strip',
        figures: { is: 'strip', sockets: 3, mostA: 10 },
        from: null,
        at: null,
      },
    });
    expect(linesOf(analyse(alone))).toMatchObject([{ name: 'Strip', depth: 0, w: 0, a: null }]);
  });
});

describe('what feeds what', () => {
  it('is chosen from circuits and feeds, and never from itself', () => {
    const rig = demo('second-firing');
    const values = fedChoices(rig, true, 'reel').map(({ value }) => value);
    expect(values).toContain('circuit kiln');
    expect(values).toContain('feed bench-strip');
    expect(values).not.toContain('feed reel');
    for (const value of values) expect(valueOf(fedByOf(value))).toBe(value);
  });
  it('is typed: a circuit, an outlet on it, a strip in that', async () => {
    const { rig } = opened(blankRig('House'), (analysis) => (
      <>
        <Circuits analysis={analysis} />
        <Feeds analysis={analysis} />
      </>
    ));
    await userEvent.click(screen.getByRole('button', { name: 'Add a circuit' }));
    await type('Breaker of Circuit 1', '20');
    await userEvent.click(screen.getByRole('button', { name: 'Add it' }));
    await userEvent.selectOptions(field('What feeds Wall outlet'), 'Circuit 1');
    await userEvent.selectOptions(field('What is added'), 'Supply that lasts, 288 Wh');
    await userEvent.click(screen.getByRole('button', { name: 'Add it' }));
    await userEvent.selectOptions(field('What feeds Supply that lasts, 288 Wh'), 'Wall outlet');
    await type('Battery of Supply that lasts, 288 Wh', '500');
    await type('Price of Supply that lasts, 288 Wh', '150');
    await type('Sockets of Wall outlet', '4');
    await type('Wall outlet, across', '1.5');
    expect(rig().circuits['circuit']?.breakerA ?? rig().circuits['circuit-1']?.breakerA).toBe(20);
    expect(Object.values(rig().feeds)).toMatchObject([
      { figures: { is: 'outlet', sockets: 4 }, from: { by: 'circuit' }, at: { xM: 1.5, yM: 0 } },
      {
        figures: { is: 'ups', wh: 500 },
        from: { by: 'feed' },
        had: { ownership: 'to buy', price: 150 },
      },
    ]);
    await userEvent.click(screen.getByRole('button', { name: 'Remove Wall outlet' }));
    expect(Object.values(rig().feeds)).toMatchObject([{ from: null }]);
  });
});

describe('what hangs on it', () => {
  it('a device is plugged in and out again; what runs on its battery is not', async () => {
    const { rig } = opened(demo('second-firing'), (analysis) => <Plugs analysis={analysis} />);
    await userEvent.selectOptions(field('Where Multiview is plugged in'), 'Supply that lasts');
    expect(rig().plugs['multiview']).toBe('ups');
    await userEvent.selectOptions(field('Where Multiview is plugged in'), 'nowhere yet');
    expect(rig().plugs['multiview']).toBeUndefined();
    expect(screen.queryByLabelText('Where Kiln camera is plugged in')).toBeNull();
    expect(screen.getAllByText('its battery').length).toBeGreaterThanOrEqual(2);
  });
  it('something else is added, made weaker and switched off for the show', async () => {
    const { rig } = opened(demo('night-tide'), (analysis) => <Loads analysis={analysis} />);
    await userEvent.click(screen.getByRole('button', { name: 'Add something' }));
    await type('Power of Heater', '800');
    await userEvent.click(screen.getByRole('checkbox', { name: 'on' }));
    expect(Object.values(rig().loads)).toMatchObject([{ mostW: 800, runs: false, from: null }]);
    await userEvent.click(screen.getByRole('button', { name: 'Remove Heater' }));
    expect(rig().loads).toEqual({});
  });
  it('what is asked is typed, and may be left open', async () => {
    const { rig } = opened(demo('night-tide'), (analysis) => <Asked analysis={analysis} />);
    await type('Share of a breaker that may be used', '70');
    await type('A long day has', '10');
    await type('Changes of air an hour with the ventilation off', '0.5');
    expect(rig().powerRules).toEqual({
      breakerShare: 0.7,
      lastsMin: 10,
      dayH: 10,
      airChanges: 0.5,
    });
  });
});

describe('batteries', () => {
  it('are counted for a long day, those that last alike together', () => {
    const analysis = analyse(demo('second-firing'));
    expect(onBattery(analysis).flatMap(({ names }) => names)).toEqual(
      expect.arrayContaining(['Potter camera', 'Kiln camera']),
    );
    opened(demo('second-firing'), (now) => <Batteries analysis={now} />);
    expect(screen.getByRole('table', { name: 'Batteries for a long day' })).toBeTruthy();
    // 1.5 h each: six in eight hours without a charger, three with two slots, and the rig's has two.
    const cells = [
      ...(screen.getByRole('rowheader', { name: /Potter camera/ }).closest('tr')?.cells ?? []),
    ];
    expect(cells.slice(1).map(({ textContent }) => textContent)).toEqual([
      '90 min',
      '6',
      '3',
      '3',
      '3',
    ]);
  });
  it('last by their label, and one device takes that over', async () => {
    const { rig } = opened(demo('second-firing'), (now) => <Batteries analysis={now} />);
    await type('Battery holds', '32.8');
    await type('It feeds', '6.2');
    await userEvent.selectOptions(screen.getByLabelText('In'), 'Kiln camera');
    await userEvent.click(screen.getByRole('button', { name: 'Take 270 min for Kiln camera' }));
    const lasts = Object.values(rig().devices)
      .filter(({ name }) => name === 'Kiln camera')
      .map(({ model }) => model.camera?.battery?.lastsMin ?? model.battery?.lastsMin);
    expect(lasts).toEqual([270]);
  });
  it('are not spoken of where nothing runs on one', () => {
    opened(blankRig('None'), (analysis) => <Batteries analysis={analysis} />);
    expect(screen.queryByRole('table')).toBeNull();
  });
});
