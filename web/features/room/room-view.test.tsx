/** @jest-environment jsdom */
import { blankRig, rigToJson } from '@echo-loom/core';
import { act, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';
import { field } from '@/ui/in-browser-for-tests';
import { BEGINNINGS } from './beginnings';
import { RoomView } from './RoomView';

/** jsdom paints nothing; the times stand in the table below the chart. */
jest.mock('react-chartjs-2', () => ({ Chart: () => null }));

const tide = demo('night-tide');
const type = async (label: string, text: string) => {
  await userEvent.clear(field(label));
  await userEvent.type(field(label), `${text}{Enter}`);
};

describe('a room that nobody has drawn', () => {
  it.each(BEGINNINGS.map(({ name }) => name))('begins with a %s, as one edit', async (name) => {
    const { session } = drawWithRig(blankRig('New'), <RoomView />);
    await userEvent.click(screen.getByRole('button', { name: new RegExp(`^${name}`) }));
    const { rig, history } = session.store.getState();
    expect(rig.shell).not.toBeNull();
    expect(history.map(({ says }) => says)).toEqual([`Began with a room: ${name}.`]);
    act(() => session.undo());
    expect(rigToJson(session.store.getState().rig)).toBe(rigToJson(blankRig('New')));
  });
});

describe('a room', () => {
  const open = () => {
    const { session } = drawWithRig(tide, <RoomView />);
    return { session, shell: () => session.store.getState().rig.shell };
  };
  it('says how long it rings, what is right, and that what was typed counts', () => {
    open();
    expect(screen.getByRole('heading', { name: 'Rings for 0.51 s' })).toBeTruthy();
    expect(screen.getByText(/0\.40 s is right for speech in 35 m³/).textContent).toContain(
      'Typed under Sound: 0.50 s, which counts.',
    );
  });
  it('is made wider, and its figures follow', async () => {
    const { shell } = open();
    await type('Width', '5');
    expect(shell()?.corners.map(({ xM }) => xM)).toEqual([0, 5, 5, 0]);
    expect(screen.getByText(/17\.5 m² of floor/)).toBeTruthy();
  });
  it('gets a corner more in the middle of a wall, and loses it again', async () => {
    const { shell } = open();
    await userEvent.click(screen.getByRole('button', { name: 'Add a corner after 2' }));
    expect(shell()?.corners[2]).toEqual({ xM: 4, yM: 1.75 });
    expect(screen.queryByLabelText('Width')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Remove corner 3' }));
    expect(screen.getByLabelText('Width')).toBeTruthy();
  });
  it('is refused where its walls would cross, and stays as it was', async () => {
    const { session, shell } = open();
    const before = JSON.stringify(shell());
    await type('Across of corner 1', '9');
    expect(session.store.getState().refusal).toMatch(/^This is not the outline of a room/);
    expect(JSON.stringify(shell())).toBe(before);
  });
  it('is made of something else', async () => {
    const { shell } = open();
    await userEvent.selectOptions(field('Walls: made of'), 'Bare brick');
    expect(shell()?.walls.name).toBe('Bare brick');
  });
  it('keeps a material’s name when one of its figures is typed over', async () => {
    const { shell } = open();
    await type('Absorption of Walls at 500 Hz', '0.2');
    expect(shell()?.walls).toMatchObject({ name: 'Plaster on masonry' });
    expect(shell()?.walls.absorption[2]).toBe(0.2);
  });
  it('takes no share above 1', async () => {
    const { shell } = open();
    const before = JSON.stringify(shell());
    await type('Absorption of Walls at 500 Hz', '1.2');
    expect(screen.getByText(/^At most 1/)).toBeTruthy();
    expect(JSON.stringify(shell())).toBe(before);
  });
});

describe('what is put in', () => {
  const open = () => {
    const { session } = drawWithRig(tide, <RoomView />);
    return () => session.store.getState().rig;
  };
  it('begins as a piece of what it covers, and can be taken out', async () => {
    const rig = open();
    await userEvent.selectOptions(field('Put something in'), 'Curtain, heavy, in folds');
    expect(Object.values(rig().surfaces).at(-1)).toMatchObject({
      name: 'Curtain, heavy, in folds',
      covers: 'walls',
      areaM2: 4,
    });
    await userEvent.click(
      screen.getByRole('button', { name: 'Take Curtain, heavy, in folds out' }),
    );
    expect(Object.keys(rig().surfaces)).toHaveLength(2);
  });
  it('has an area, a name and what it covers', async () => {
    const rig = open();
    await type('Area of Foam, 25 mm', '6');
    await userEvent.selectOptions(field('Foam, 25 mm covers'), 'ceiling');
    expect(rig().surfaces['foam']).toMatchObject({ areaM2: 6, covers: 'ceiling' });
  });
});

describe('what would help', () => {
  it('is told in square metres, hung with one press, and lets the time be computed', async () => {
    const { session } = drawWithRig(tide, <RoomView />);
    const status = within(screen.getByRole('status'));
    expect(status.getByText(/m² bring the room to 0\.\d\d s/)).toBeTruthy();
    await userEvent.click(status.getByRole('button', { name: /^Hang/ }));
    const { rig, history } = session.store.getState();
    expect(history).toHaveLength(1);
    expect(rig.room.rt60S).toBeNull();
    expect(Object.keys(rig.surfaces)).toHaveLength(3);
    expect(screen.getByText('Nothing is needed: the room rings no longer than that.')).toBeTruthy();
  });
  it('says so where a material cannot do it', async () => {
    drawWithRig(tide, <RoomView />);
    await userEvent.selectOptions(field('Put in'), 'Curtain, heavy, in folds');
    await userEvent.selectOptions(field('Where'), 'on the floor');
    await type('So that it rings for', '0.1');
    expect(screen.getByText(/^Even \d+\.\d m², all there is place for/)).toBeTruthy();
  });
});
