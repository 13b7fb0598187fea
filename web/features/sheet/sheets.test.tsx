/** @jest-environment jsdom */
import { type Rig, rigToJson } from '@echo-loom/core';
import { act, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { type Item, useLoomView } from '@/features/loom/view';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';
import { useRig } from '@/features/rig/RigProvider';
import { field } from '@/ui/in-browser-for-tests';
import { SideSheet } from './SideSheet';

/** The side sheet over the loom: what is known of a device or a cable, and what can be done with it. */

const tide = demo('night-tide');
const MIC: Item = { kind: 'device', id: 'host-mic' };
const INTERFACE: Item = { kind: 'device', id: 'interface' };
const CABLE: Item = { kind: 'link', id: 'phone-usb-to-computer' };

const open = (item: Item, rig: Rig = tide) => {
  const connects: (string | null)[] = [];
  let closed = 0;
  const Sheet = () => (
    <SideSheet
      analysis={useRig((state) => state.analysis)}
      item={item}
      opening={1}
      onClose={() => closed++}
      onConnect={(portId) => connects.push(portId)}
    />
  );
  act(() => useLoomView.setState({ selected: item }));
  const { session } = drawWithRig(rig, <Sheet />);
  return {
    session,
    rig: () => session.store.getState().rig,
    last: () => session.store.getState().history.at(-1)?.says,
    connects,
    closed: () => closed,
  };
};
const type = async (label: string, text: string) => {
  const found = screen.getByLabelText(new RegExp(`^${label}`));
  await userEvent.clear(found);
  await userEvent.type(found, `${text}{Enter}`);
};

describe('the sheet of a device', () => {
  it('takes the focus when it is opened, and gives it back by Escape', async () => {
    const { closed } = open(MIC);
    const sheet = screen.getByRole('complementary', { name: 'Side sheet' });
    expect(document.activeElement).toBe(sheet);
    await userEvent.keyboard('{Escape}');
    expect(closed()).toBe(1);
    expect(useLoomView.getState().selected).toEqual(MIC);
  });
  it('shows what is wrong with it first', () => {
    open({ kind: 'device', id: 'phone' });
    const text = screen.getByRole('complementary').textContent;
    expect(text.indexOf('its reach here is 5 m')).toBeGreaterThan(0);
    expect(text.indexOf('its reach here is 5 m')).toBeLessThan(text.indexOf('Settings'));
  });
  it('shows what its voice comes to at the converter, as worked example A has it', () => {
    open(INTERFACE);
    const sheet = screen.getByRole('complementary');
    expect(sheet.textContent).toContain('59.84 dB');
    expect(sheet.textContent).toContain('−23.84 dBFS');
    expect(sheet.textContent).toContain('58.13 dB');
  });
  it('gives it another name, in one edit that says so', async () => {
    const { rig, last } = open(MIC);
    await userEvent.clear(field('Name of the device'));
    await userEvent.type(field('Name of the device'), 'Left mic{Enter}');
    expect(rig().devices['host-mic']?.name).toBe('Left mic');
    expect(last()).toBe('Renamed Host mic to Left mic.');
  });
  it('puts its name back where nothing is left of it', async () => {
    const { rig } = open(MIC);
    await userEvent.clear(field('Name of the device'));
    await userEvent.tab();
    expect(rig().devices['host-mic']?.name).toBe('Host mic');
    expect(field('Name of the device').value).toBe('Host mic');
  });
  it('turns a gain, and computes at once what comes of it', async () => {
    const { rig, session } = open(INTERFACE);
    await type('Gain 1', '50');
    expect(rig().devices['interface']?.settings['gain-1']).toBe(50);
    expect(screen.getByRole('complementary').textContent).toContain('−27.84 dBFS');
    act(() => session.undo());
    expect(screen.getByRole('complementary').textContent).toContain('−23.84 dBFS');
  });
  it('refuses more gain than there is, in words at the field, and sets nothing', async () => {
    const { rig } = open(INTERFACE);
    const before = rigToJson(rig());
    await type('Gain 1', '80');
    expect(screen.getByText('At most 54 dB.')).toBeTruthy();
    expect(rigToJson(rig())).toBe(before);
  });
  it('belongs to another person', async () => {
    const { rig } = open(MIC);
    await userEvent.selectOptions(field('Person'), 'Second reader');
    expect(rig().devices['host-mic']?.personId).toBe('reader');
    await userEvent.selectOptions(field('Person'), 'Nobody');
    expect(rig().devices['host-mic']?.personId).toBeNull();
  });
  it('is had in another way, at a price of its own or a typical one', async () => {
    const { rig } = open(MIC);
    await type('Price', '180');
    expect(rig().devices['host-mic']?.price).toBe(180);
    await userEvent.clear(screen.getByLabelText(/^Price/));
    await userEvent.tab();
    expect(rig().devices['host-mic']?.price).toBeNull();
  });
  it('takes a figure from a data sheet, and no longer calls it typical', async () => {
    const { rig } = open(MIC);
    const count = () => screen.getByText(/figures are typical of the class/).textContent;
    const before = Number(/^\d+/.exec(count())?.[0]);
    await type('Output: Sensitivity', '1.6');
    expect(rig().devices['host-mic']?.model.ports['out']).toMatchObject({
      emits: { sound: { sensitivityMvPerPa: 1.6 } },
    });
    expect(Number(/^\d+/.exec(count())?.[0])).toBe(before - 1);
  });
  it('leaves a figure open where the data sheet does not say', async () => {
    const { rig } = open(MIC);
    await userEvent.clear(screen.getByLabelText(/^Output: Sensitivity/));
    await userEvent.tab();
    expect(rig().devices['host-mic']?.model.ports['out']).toMatchObject({
      emits: { sound: { sensitivityMvPerPa: null } },
    });
  });
  it('leads from a socket to the cable in it, and from a free one to a connection', async () => {
    const { connects } = open(INTERFACE);
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
    const { rig, session } = open(MIC);
    const before = rigToJson(rig());
    await userEvent.click(screen.getByRole('button', { name: 'Remove' }));
    expect(rig().devices['host-mic']).toBeUndefined();
    expect(rig().links['host-mic-out-to-interface']).toBeUndefined();
    expect(useLoomView.getState().selected).toBeNull();
    act(() => session.undo());
    expect(rigToJson(rig())).toBe(before);
  });
});

describe('the sheet of a cable', () => {
  it('says what runs where, over what, and what is wrong with it', () => {
    open(CABLE);
    const sheet = within(screen.getByRole('complementary'));
    expect(sheet.getByRole('heading', { name: 'Phone → Laptop' })).toBeTruthy();
    expect(sheet.getByText('USB cable, 480 Mb/s', { selector: 'p' })).toBeTruthy();
    expect(sheet.getByText(/7\.5 m and its reach here is 5 m/)).toBeTruthy();
  });
  it('is made shorter, and what was wrong with it is gone', async () => {
    const { rig } = open(CABLE);
    await type('Length', '3');
    expect(rig().links['phone-usb-to-computer']?.cable).toEqual({ kind: 'usb-2', lengthM: 3 });
    expect(screen.queryByText(/its reach here is 5 m/)).toBeNull();
  });
  it('cannot be shorter than nothing', async () => {
    const { rig } = open(CABLE);
    await type('Length', '-2');
    expect(screen.getByText('At least 0 m.')).toBeTruthy();
    expect(rig().links['phone-usb-to-computer']?.cable.lengthM).toBe(7.5);
  });
  it('offers only cables that have both plugs', () => {
    open(CABLE);
    const offered = within(field('Kind'))
      .getAllByRole('option')
      .map((option) => option.textContent);
    expect(offered).toEqual([
      'USB cable, 480 Mb/s',
      'USB cable, 5 Gb/s',
      'USB cable, 10 Gb/s',
      'USB cable, active, 5 Gb/s',
    ]);
  });
  it('becomes another kind of cable and keeps its length', async () => {
    const { rig } = open(CABLE);
    await userEvent.selectOptions(field('Kind'), 'USB cable, active, 5 Gb/s');
    expect(rig().links['phone-usb-to-computer']?.cable).toEqual({
      kind: 'usb-active',
      lengthM: 7.5,
    });
    expect(screen.queryByText(/its reach here is/)).toBeNull();
  });
  it('shows the load on the USB against what it carries', () => {
    open(CABLE);
    expect(screen.getByRole('complementary').textContent).toMatch(/of 24\.576 MB\/s/);
  });
  it('is pulled, and nothing is selected any more', async () => {
    const { rig, last } = open(CABLE);
    await userEvent.click(screen.getByRole('button', { name: 'Disconnect' }));
    expect(rig().links['phone-usb-to-computer']).toBeUndefined();
    expect(last()).toMatch(/^Disconnected Phone .* from Laptop/);
    expect(useLoomView.getState().selected).toBeNull();
  });
  it('inside a computer has neither kind nor length', () => {
    open({ kind: 'link', id: 'computer-tracks-to-tracks' });
    expect(screen.getByText('Inside the computer')).toBeTruthy();
    expect(screen.queryByLabelText(/^Length/)).toBeNull();
    expect(screen.getByRole('button', { name: 'Disconnect' })).toBeTruthy();
  });
});
