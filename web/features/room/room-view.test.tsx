/** @jest-environment jsdom */
import {
  analyse,
  apply,
  blankRig,
  builtRoom,
  type BuiltRoom,
  type Rig,
  rigToJson,
  BEGINNINGS,
} from '@echo-loom/core';
import { act, screen, within } from '@testing-library/react';
import user from '@testing-library/user-event';
import { type ReactNode, useState } from 'react';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';
import { useRig } from '@/features/rig/RigProvider';
import { field } from '@/ui/in-browser-for-tests';
import { firstTrial, Helps, type Trial } from './Helps';
import { RoomView } from './RoomView';
import { Surfaces } from './Surfaces';
import { Walls } from './Walls';

/** jsdom paints nothing; the times stand in the table below the chart. */
jest.mock('react-chartjs-2', () => ({ Chart: () => null }));
/** Whether something lies over a field is not asked: nothing is laid out. */
const userEvent = user.setup({ pointerEventsCheck: 0 });

/** The box room of Night Tide, with nothing in it but its rug and its foam. */
const boxRoom = (): Rig => {
  const { shell, surfaces, room } = demo('night-tide');
  return { ...blankRig('Box room'), shell, surfaces, room };
};
const type = async (label: string, text: string) => {
  await userEvent.clear(field(label));
  await userEvent.type(field(label), `${text}{Enter}`);
};

/** A part of the view, with the room as it is at the moment. */
const Part = ({ of }: { readonly of: (built: BuiltRoom) => ReactNode }) => {
  const built = builtRoom(useRig((state) => state.analysis));
  return built ? of(built) : null;
};
const open = (of: (built: BuiltRoom) => ReactNode) => {
  const { session } = drawWithRig(boxRoom(), <Part of={of} />);
  return { session, rig: () => session.store.getState().rig };
};

describe('a room that nobody has drawn', () => {
  it.each(BEGINNINGS)('can begin as a $name, with nothing against it', ({ commands }) => {
    const rig = commands.reduce<Rig>((given, command) => apply(given, command), blankRig('New'));
    expect(analyse(rig).findings).toEqual([]);
    expect(builtRoom(analyse(rig))?.rt60S).toBeGreaterThan(0.2);
  });
  it('begins with one press, as one edit', async () => {
    const { session } = drawWithRig(blankRig('New'), <RoomView />);
    await userEvent.click(screen.getByRole('button', { name: /^Box room/ }));
    expect(screen.getByRole('heading', { name: /^Rings for/ })).toBeTruthy();
    const { rig, history } = session.store.getState();
    expect(rig.shell).not.toBeNull();
    expect(history.map(({ says }) => says)).toEqual(['Began with a room: Box room.']);
    act(() => session.undo());
    expect(rigToJson(session.store.getState().rig)).toBe(rigToJson(blankRig('New')));
  });
  it('says how long it rings, what is right, and that what was typed counts', () => {
    drawWithRig(boxRoom(), <RoomView />);
    expect(screen.getByRole('heading', { name: 'Rings for 0.51 s' })).toBeTruthy();
    expect(screen.getByText(/0\.40 s is right for speech in 35 m³/).textContent).toContain(
      'Typed under Sound: 0.50 s, which counts.',
    );
  });
});

describe('its walls', () => {
  const walls = () => open(({ shell }) => <Walls shell={shell} />);
  it('are made wider', async () => {
    const { rig } = walls();
    await type('Width', '5');
    expect(rig().shell?.corners.map(({ xM }) => xM)).toEqual([0, 5, 5, 0]);
  });
  it('get a corner more in the middle of one, and lose it again', async () => {
    const { rig } = walls();
    await userEvent.click(screen.getByRole('button', { name: 'Add a corner after 2' }));
    expect(rig().shell?.corners[2]).toEqual({ xM: 4, yM: 1.75 });
    expect(screen.queryByLabelText('Width')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Remove corner 3' }));
    expect(screen.getByLabelText('Width')).toBeTruthy();
  });
  it('are refused where they would cross, and stay as they were', async () => {
    const { session, rig } = walls();
    const before = JSON.stringify(rig().shell);
    await type('Across of corner 1', '9');
    expect(session.store.getState().refusal).toMatch(/^This is not the outline of a room/);
    expect(JSON.stringify(rig().shell)).toBe(before);
  });
});

describe('what it is made of and what was put in', () => {
  const surfaces = () => open((built) => <Surfaces built={built} />);
  it('is made of something else, and keeps the name when a figure is typed over', async () => {
    const { rig } = surfaces();
    await userEvent.selectOptions(field('Walls: made of'), 'Bare brick');
    await type('Absorption of Walls at 500 Hz', '0.2');
    expect(rig().shell?.walls).toMatchObject({ name: 'Bare brick' });
    expect(rig().shell?.walls.absorption[2]).toBe(0.2);
  });
  it('takes no share above 1', async () => {
    const { rig } = surfaces();
    const before = JSON.stringify(rig().shell);
    await type('Absorption of Walls at 500 Hz', '1.2');
    expect(screen.getByText(/^At most 1/)).toBeTruthy();
    expect(JSON.stringify(rig().shell)).toBe(before);
  });
  it('begins as a piece of what it covers, and can be taken out', async () => {
    const { rig } = surfaces();
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
  it('has an area and covers something', async () => {
    const { rig } = surfaces();
    await type('Area of Foam, 25 mm', '6');
    await userEvent.selectOptions(field('Foam, 25 mm covers'), 'ceiling');
    expect(rig().surfaces['foam']).toMatchObject({ areaM2: 6, covers: 'ceiling' });
  });
});

describe('what would help', () => {
  const Trying = ({ built }: { readonly built: BuiltRoom }) => {
    const [trial, setTrial] = useState<Trial | null>(firstTrial(0.4));
    return trial && <Helps built={built} trial={trial} onTrial={setTrial} />;
  };
  const helps = () => open((built) => <Trying built={built} />);
  it('is told in square metres, hung with one press, and lets the time be computed', async () => {
    const { session, rig } = helps();
    const status = within(screen.getByRole('status'));
    expect(
      status.getByText(/^3\.0 m² bring the room to 0\.39 s; 2\.\d\d m² would just do\.$/),
    ).toBeTruthy();
    await userEvent.click(status.getByRole('button', { name: 'Hang 3.0 m²' }));
    expect(session.store.getState().history).toHaveLength(1);
    expect(rig().room.rt60S).toBeNull();
    expect(Object.keys(rig().surfaces)).toHaveLength(3);
    expect(screen.getByText('Nothing is needed: the room rings no longer than that.')).toBeTruthy();
  });
  it('says so where a material cannot do it', async () => {
    helps();
    await userEvent.selectOptions(field('Put in'), 'Curtain, heavy, in folds');
    await userEvent.selectOptions(field('Where'), 'on the floor');
    await type('So that it rings for', '0.1');
    expect(screen.getByText(/^Even \d+\.\d m², all there is place for/)).toBeTruthy();
  });
});
