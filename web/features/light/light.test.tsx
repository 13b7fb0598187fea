/** @jest-environment jsdom */
import { analyse, apply, faces, lampSources, type Rig, nameOfThing } from '@echo-loom/core';
import { fireEvent, screen, within } from '@testing-library/react';
import user from '@testing-library/user-event';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';
import { fitted } from '@/features/plan/plane';
import { workedLight } from '../../../demo/worked-light';
import { HEAD_HEIGHT, HEAD_WIDTH, shadedHead } from './head';
import { LightView } from './LightView';
import { gridOf, isoLux, luxOver } from './pools';
import { luxText, roomAt, stopsText } from './shares';
import { greyAt, toneOf } from './tones';

/** Whether something lies over a field is not asked: nothing is laid out. */
const userEvent = user.setup({ pointerEventsCheck: 0 });

const opened = (rig: Rig) => {
  const { session } = drawWithRig(rig, <LightView />);
  return () => session.store.getState().rig;
};

describe('figures of light', () => {
  it('are said whole, with a proper sign', () => {
    expect([0.4, 131.4, 714.6, 6507].map(luxText)).toEqual(['0', '131', '715', '6,507']);
    expect([2.544, -0.04, -1.26].map((stops) => stopsText(stops))).toEqual([
      '+2.5',
      '±0.0',
      '−1.3',
    ]);
    expect(stopsText(2.5443, 2)).toBe('+2.54');
  });
  it('come out as greys: middle grey at 0 stops, white where nothing is left', () => {
    expect(greyAt(0)).toBe('rgb(118 118 118)');
    expect(greyAt(4)).toBe('rgb(255 255 255)');
    expect(toneOf(0.18 * 122.5, 122.5)).toBeCloseTo(0.461, 2);
    expect(toneOf(0, 100)).toBe(0);
  });
});

describe('pools of light', () => {
  const analysis = analyse(demo('second-firing'));
  const grid = gridOf(analysis);
  if (!grid) throw new Error('no room');
  it('follow a dimmer as light does: half of a lamp, half of what it gives', () => {
    const only = Object.fromEntries(grid.full.map(({ source }) => [source.id, 0]));
    const [whole, half] = [1, 0.5].map((share) =>
      luxOver(grid, { ...only, 'bench-key': share }, 0),
    );
    const at = whole?.indexOf(Math.max(...whole)) ?? 0;
    expect(half?.[at]).toBeCloseTo((whole?.[at] ?? 0) / 2, 9);
    expect(whole?.[at]).toBeGreaterThan(1000);
  });
  it('are lines that lie within the room, the brighter ones within the darker', () => {
    const corners = analysis.rig.shell?.corners ?? [];
    const lux = luxOver(grid, {}, roomAt(analysis, {}));
    const lines = isoLux(grid, lux, fitted(corners, 680, 430, 34), corners);
    expect(lines.map((line) => line.lux)).toEqual(
      [...lines.map((line) => line.lux)].sort((a, b) => a - b),
    );
    expect(lines.every(({ path }) => path.startsWith('M') && path.endsWith('Z'))).toBe(true);
    expect(lines.some(({ label }) => label !== null)).toBe(true);
  });
  it('are none without a room', () => expect(gridOf(analyse(workedLight()))).toBeNull());
});

describe('a head', () => {
  const [face] = faces(analyse(workedLight()));
  if (!face) throw new Error('no face');
  const brightness = (pixels: Uint8ClampedArray, left: boolean): number => {
    let sum = 0;
    for (let row = 20; row < 45; row++)
      for (let column = left ? 8 : 30; column < (left ? 18 : 40); column++)
        sum += pixels[4 * (row * HEAD_WIDTH + column)] ?? 0;
    return sum;
  };
  it('is brighter on the side of the key: to the left of the wearer is right in the picture', () => {
    const pixels = shadedHead(face, 0, 1000, 0, {});
    expect(pixels).toHaveLength(HEAD_WIDTH * HEAD_HEIGHT * 4);
    expect(brightness(pixels, false)).toBeGreaterThan(1.2 * brightness(pixels, true));
  });
  it('turns over when the key goes out, and is black without any light', () => {
    const fillOnly = shadedHead(face, 0, 500, 0, { key: 0 });
    expect(brightness(fillOnly, true)).toBeGreaterThan(brightness(fillOnly, false));
    expect(
      Math.max(
        ...shadedHead(face, 0, 500, 0, { key: 0, fill: 0, left: 0, right: 0 }).filter(
          (_, at) => at % 4 !== 3,
        ),
      ),
    ).toBeLessThan(3);
  });
  it('comes out as skin from any side where the camera sets itself', () => {
    for (const lens of [-60, 0, 60]) {
      const pixels = shadedHead(face, lens, null, 0, {});
      const levels = [...pixels].filter((_, at) => at % 4 === 0 && pixels[at + 3] === 255);
      const middle = levels.reduce((sum, level) => sum + level, 0) / levels.length;
      expect(middle).toBeGreaterThan(90);
      expect(middle).toBeLessThan(190);
    }
  });
  it('is white where the camera cannot hold it', () => {
    const pixels = shadedHead(face, 0, 20, 0, {});
    expect(pixels[4 * (30 * HEAD_WIDTH + 28)]).toBe(255);
  });
});

describe('the view of light', () => {
  it('stands worked G: what each lamp gives, the ratio, the stops', () => {
    opened(workedLight());
    const lamps = screen.getByRole('table', { name: /^Lamps and what they give/ });
    expect(within(lamps).getByRole('row', { name: /^Key/ }).textContent).toContain('584');
    expect(within(lamps).getByRole('row', { name: /^Fill/ }).textContent).toContain('131');
    const shown = screen.getByRole('region', { name: 'Faces' }).textContent;
    expect(shown).toContain('715 lux');
    expect(shown).toContain('5.5 : 1, 2.45 stops');
    expect(shown).toContain('+2.54 stops');
  });
  it('follows a dimmer while it is drawn, and keeps one edit when it is let go', () => {
    const rig = opened(workedLight());
    const rule = screen.getByRole('slider', { name: 'Dimmer of Key' });
    fireEvent.change(rule, { target: { value: '50' } });
    expect(screen.getByRole('region', { name: 'Faces' }).textContent).toContain('423 lux');
    expect(rig().devices['key']?.settings).toEqual({});
    fireEvent.pointerUp(rule);
    expect(rig().devices['key']?.settings).toEqual({ dimmer: 50 });
  });
  it('is left as it was by whoever only passes over it, however the browser rounds', () => {
    const rig = opened(
      apply(workedLight(), { type: 'setControl', deviceId: 'key', control: 'dimmer', value: 14.5 }),
    );
    const rule = screen.getByRole('slider', { name: 'Dimmer of Key' });
    fireEvent.focus(rule);
    fireEvent.keyUp(rule, { key: 'Tab' });
    fireEvent.pointerUp(rule);
    fireEvent.blur(rule);
    expect(rig().devices['key']?.settings).toEqual({ dimmer: 14.5 });
  });
  it('points a lamp, dresses it and says what it answers to', async () => {
    const rig = opened(workedLight());
    await userEvent.click(screen.getByRole('button', { name: /^Key ?Dome/ }));
    const lamp = screen.getByRole('region', { name: 'The lamp Key' });
    await userEvent.selectOptions(within(lamp).getByLabelText('Points at'), 'Green screen');
    expect(rig().lamps['key']?.aim).toEqual({ at: 'backdrop', backdropId: 'screen' });
    await userEvent.selectOptions(within(lamp).getByLabelText('Wears'), 'Dome, 0.6 m');
    expect(rig().lamps['key']?.modifier?.transmission).toBe(0.6);
    await userEvent.selectOptions(within(lamp).getByLabelText('Set by'), 'app');
    expect(rig().lamps['key']?.answers).toEqual({ by: 'app', name: 'app' });
  });
  it('keeps a look, calls it up and cues it', async () => {
    const rig = opened(demo('second-firing'));
    const before = rig().devices['bench-key']?.settings['dimmer'];
    await userEvent.click(screen.getByRole('button', { name: 'Call up the look Wheel' }));
    expect(rig().devices['bench-key']?.settings['dimmer']).toBe(15);
    expect(before).toBe(100);
    await userEvent.selectOptions(screen.getByLabelText('With the scene Kiln'), 'Wheel');
    expect(rig().cues['kiln']).toBe('wheel');
    await userEvent.click(screen.getByRole('button', { name: 'Remove the look Wheel' }));
    expect(rig().cues['kiln']).toBeUndefined();
  });
  it('says where to begin where nobody has said anything of light', () => {
    const { lamps, sky, devices, ...rest } = workedLight();
    const kept = Object.fromEntries(
      Object.entries(devices).filter(([, { model }]) => !model.light),
    );
    opened({ ...rest, devices: kept, lamps: {}, sky: null });
    expect(screen.getByText(/Nobody has said anything of light yet/)).toBeTruthy();
    expect([Object.keys(lamps).length > 0, sky]).toEqual([true, null]);
  });
  it('adds a lamp on a stand, pointed at a face', async () => {
    const rig = opened(workedLight());
    await userEvent.selectOptions(screen.getByLabelText('Add a lamp'), 'Lantern');
    await userEvent.click(screen.getByRole('button', { name: 'Put it on a stand' }));
    expect(rig().lamps['light-lantern']?.aim).toEqual({ at: 'person', personId: 'host' });
    expect(lampSources(analyse(rig())).map((lamp) => nameOfThing({ rig: rig() }, lamp))).toContain(
      'Lantern',
    );
  });
});
