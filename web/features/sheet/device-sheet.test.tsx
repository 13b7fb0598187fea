/** @jest-environment jsdom */
import { rigToJson } from '@echo-loom/core';
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { type Item, useLoomView } from '@/features/chosen/view';
import { field } from '@/ui/in-browser-for-tests';
import { openSheet, typeOver } from './sheet-for-tests';

const MIC: Item = { kind: 'device', id: 'host-mic' };
const INTERFACE: Item = { kind: 'device', id: 'interface' };

describe('the sheet of a device', () => {
  it('takes the focus when it is opened, and gives it back by Escape', async () => {
    const { closed } = openSheet(MIC);
    const sheet = screen.getByRole('complementary', { name: 'Side sheet' });
    expect(document.activeElement).toBe(sheet);
    await userEvent.keyboard('{Escape}');
    expect(closed()).toBe(1);
    expect(useLoomView.getState().selected).toEqual(MIC);
  });
  it('shows what is wrong with it first', () => {
    openSheet({ kind: 'device', id: 'phone' });
    const text = screen.getByRole('complementary').textContent;
    expect(text.indexOf('its reach here is 5 m')).toBeGreaterThan(0);
    expect(text.indexOf('its reach here is 5 m')).toBeLessThan(text.indexOf('Settings'));
  });
  it('shows what its voice comes to at the converter, as worked example A has it', () => {
    openSheet(INTERFACE);
    const sheet = screen.getByRole('complementary');
    expect(sheet.textContent).toContain('59.84 dB');
    expect(sheet.textContent).toContain('−23.84 dBFS');
    expect(sheet.textContent).toContain('58.13 dB');
  });
  it('gives it another name, in one edit that says so', async () => {
    const { rig, last } = openSheet(MIC);
    await userEvent.clear(field('Name of the device'));
    await userEvent.type(field('Name of the device'), 'Left mic{Enter}');
    expect(rig().devices['host-mic']?.name).toBe('Left mic');
    expect(last()).toBe('Renamed Host mic to Left mic.');
  });
  it('puts its name back where nothing is left of it', async () => {
    const { rig } = openSheet(MIC);
    await userEvent.clear(field('Name of the device'));
    await userEvent.tab();
    expect(rig().devices['host-mic']?.name).toBe('Host mic');
    expect(field('Name of the device').value).toBe('Host mic');
  });
  it('turns a gain, and computes at once what comes of it', async () => {
    const { rig, session } = openSheet(INTERFACE);
    await typeOver('Gain 1', '50');
    expect(rig().devices['interface']?.settings['gain-1']).toBe(50);
    expect(screen.getByRole('complementary').textContent).toContain('−27.84 dBFS');
    act(() => session.undo());
    expect(screen.getByRole('complementary').textContent).toContain('−23.84 dBFS');
  });
  it('refuses more gain than there is, in words at the field, and sets nothing', async () => {
    const { rig } = openSheet(INTERFACE);
    const before = rigToJson(rig());
    await typeOver('Gain 1', '80');
    expect(screen.getByText('At most 54 dB.')).toBeTruthy();
    expect(rigToJson(rig())).toBe(before);
  });
  it('belongs to another person', async () => {
    const { rig } = openSheet(MIC);
    await userEvent.selectOptions(field('Person'), 'Second reader');
    expect(rig().devices['host-mic']?.personId).toBe('reader');
    await userEvent.selectOptions(field('Person'), 'Nobody');
    expect(rig().devices['host-mic']?.personId).toBeNull();
  });
  it('is had in another way, at a price of its own or a typical one', async () => {
    const { rig } = openSheet(MIC);
    await typeOver('Price', '180');
    expect(rig().devices['host-mic']?.price).toBe(180);
    await userEvent.clear(screen.getByLabelText(/^Price/));
    await userEvent.tab();
    expect(rig().devices['host-mic']?.price).toBeNull();
  });
  it('takes a figure from a data sheet, and no longer calls it typical', async () => {
    const { rig } = openSheet(MIC);
    const count = () => screen.getByText(/figures are typical of the class/).textContent;
    const before = Number(/^\d+/.exec(count())?.[0]);
    await typeOver('Output: Sensitivity', '1.6');
    expect(rig().devices['host-mic']?.model.ports['out']).toMatchObject({
      emits: { sound: { sensitivityMvPerPa: 1.6 } },
    });
    expect(Number(/^\d+/.exec(count())?.[0])).toBe(before - 1);
  });
  it('leaves a figure open where the data sheet does not say', async () => {
    const { rig } = openSheet(MIC);
    await userEvent.clear(screen.getByLabelText(/^Output: Sensitivity/));
    await userEvent.tab();
    expect(rig().devices['host-mic']?.model.ports['out']).toMatchObject({
      emits: { sound: { sensitivityMvPerPa: null } },
    });
  });
  it('leads from a socket to the cable in it, and from a free one to a connection', async () => {
    const { connects } = openSheet(INTERFACE);
    await userEvent.click(screen.getByRole('button', { name: '← Host mic' }));
    expect(useLoomView.getState().selected).toEqual({
      kind: 'link',
      id: 'host-mic-out-to-interface',
    });
    const [free] = screen.getAllByRole('button', { name: /^Connect (?!…)/ });
    await userEvent.click(free ?? document.body);
    await userEvent.click(screen.getByRole('button', { name: 'Connect…' }));
    expect([connects.length, connects[1]]).toEqual([2, null]);
    expect(typeof connects[0]).toBe('string');
  });
  it('is removed with its cables, and all comes back by an undo', async () => {
    const { rig, session } = openSheet(MIC);
    const before = rigToJson(rig());
    await userEvent.click(screen.getByRole('button', { name: 'Remove' }));
    expect(rig().devices['host-mic']).toBeUndefined();
    expect(rig().links['host-mic-out-to-interface']).toBeUndefined();
    expect(useLoomView.getState().selected).toBeNull();
    act(() => session.undo());
    expect(rigToJson(rig())).toBe(before);
  });
});
