/** @jest-environment jsdom */
import { blankRig, type Rig } from '@echo-loom/core';
import { fireEvent, screen, within } from '@testing-library/react';
import user from '@testing-library/user-event';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';
import { field } from '@/ui/in-browser-for-tests';
import { done, inSync, workedTime } from '../../../core/src/rules/time/time-for-cases';
import { framesText, msText } from './offsets';
import { TimeView } from './TimeView';

/** Whether something lies over a field is not asked: nothing is laid out. */
const userEvent = user.setup({ pointerEventsCheck: 0 });

const opened = (rig: Rig) => {
  const { session } = drawWithRig(rig, <TimeView />);
  return () => session.store.getState().rig;
};
const type = async (label: string, text: string) => {
  await userEvent.clear(field(label));
  await userEvent.type(field(label), `${text}{Enter}`);
};
const table = (place: string) =>
  screen.getByRole('table', { name: `Sound and picture at ${place}` });
/** What a place says of a pair, row by row, without spaces that only part cells. */
const rows = (place: string) =>
  within(table(place))
    .getAllByRole('row')
    .slice(1)
    .map((row) => (row.textContent ?? '').replace(/\s+/g, ' '));

describe('figures of time', () => {
  it('have a proper minus, and no minus nothing', () =>
    expect([-143.7667, -0.001, 12].map(msText)).toEqual(['−143.77', '0.00', '12.00']));
  it('are told in frames, early or late; where they are nothing, neither', () => {
    expect(framesText(-143.77, 1001 / 30)).toBe('4.31 frames early');
    expect(framesText(40, 40)).toBe('1.00 frames late');
    expect(framesText(7, null)).toBe('late');
    expect(framesText(0, 40)).toBe('');
  });
});

describe('the view of time', () => {
  it('stands worked D where it meets, and names what is not known', () => {
    opened(workedTime());
    expect(rows('Stream').join('\n')).toContain('−143.77 ms 4.31 frames early');
    expect(rows('Stream').join('\n')).toContain('not known: Capture');
    expect(rows('Recorder').join('\n')).toContain('−99.60 ms 5.98 frames early');
    expect(
      screen.getByRole('img', { name: /^Under way to Recorder: .*picture of Camera 100\.10 ms/ }),
    ).toBeTruthy();
  });
  it('follows a delay while it is turned, and keeps it when it is let go', () => {
    const rig = opened(workedTime());
    const slider = screen.getByRole('slider', {
      name: 'Delay of sound at Switcher, Sound in 1, turned',
    });
    fireEvent.change(slider, { target: { value: '100' } });
    expect(rows('Recorder').join('\n')).toContain('0.40 ms 0.02 frames late');
    expect(rig().delays).toEqual({});
    fireEvent.pointerUp(slider);
    expect(rig().delays).toEqual({
      switcher: [{ portId: 'sound-1', signal: 'sound', ms: 100 }],
    });
  });
  it('a typed delay stands on a step of its device; nothing takes it off', async () => {
    const rig = opened(workedTime());
    await type('Switcher, Sound in 1, sound', '99.6');
    expect(rig().delays['switcher']).toEqual([{ portId: 'sound-1', signal: 'sound', ms: 100 }]);
    await type('Switcher, Sound in 1, sound', '0');
    expect(rig().delays).toEqual({});
  });
  it('takes a measurement in the place of a guess, changes it, and forgets it', async () => {
    const rig = opened(workedTime());
    await type('Measured, Microphone and Camera', '-120');
    expect(Object.values(rig().offsets)).toMatchObject([
      { soundId: 'mic', pictureId: 'camera', offsetMs: -120, setMs: 0, spreadMs: 5 },
    ]);
    expect(screen.getByText(/^measured \d{4}-/)).toBeTruthy();
    await type('Measured, Microphone and Camera', '-118');
    expect(Object.values(rig().offsets)).toMatchObject([{ offsetMs: -118 }]);
    await userEvent.clear(field('Measured, Microphone and Camera'));
    await userEvent.tab();
    expect(rig().offsets).toEqual({});
  });
  it('asks first for what nobody knows, and notes what a data sheet says', async () => {
    const rig = opened(workedTime());
    expect(screen.getByLabelText('Through').textContent).toMatch(/^Capture, sound: not known/);
    await type('It takes', '50');
    const known = Object.values(rig().knownDelays).find(({ routeId }) => routeId === 'sound');
    expect(known).toMatchObject({ deviceId: 'capture', ms: 50, by: 'data sheet' });
    await userEvent.click(screen.getByRole('button', { name: 'Forget what Capture, sound takes' }));
    expect(Object.values(rig().knownDelays).some(({ routeId }) => routeId === 'sound')).toBe(false);
  });
  it('limits are typed, and what is beyond them is marked', async () => {
    const rig = opened(done(inSync, { type: 'setTimeRules', timeRules: { lateMs: 15 } }));
    await type('Sound early by at most', '5');
    expect(rig().timeRules).toEqual({ earlyMs: 5, lateMs: 15 });
  });
  it('one voice by two sockets is told apart', () => {
    opened(demo('harbour-hall'));
    const text = rows('Live stream').join('\n');
    expect(text).toContain('Chair mic, by Sound in 1');
    expect(text).toContain('Chair mic, by Sound in 2');
  });
  it('says where nothing meets, and what to do', () => {
    opened(blankRig('Empty'));
    expect(screen.getByText(/meet nowhere yet/)).toBeTruthy();
    expect(screen.queryByText('Delays that can be set')).toBeNull();
  });
});
