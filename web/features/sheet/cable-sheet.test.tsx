/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { type Item, useLoomView } from '@/features/chosen/view';
import { field } from '@/ui/in-browser-for-tests';
import { openSheet, typeOver } from './sheet-for-tests';

const CABLE: Item = { kind: 'link', id: 'phone-usb-to-computer' };

describe('the sheet of a cable', () => {
  it('says what runs where, over what, and what is wrong with it', () => {
    openSheet(CABLE);
    const sheet = within(screen.getByRole('complementary'));
    expect(sheet.getByRole('heading', { name: 'Phone → Laptop' })).toBeTruthy();
    expect(sheet.getByText('USB cable, 480 Mb/s', { selector: 'p' })).toBeTruthy();
    expect(screen.getByRole('complementary').textContent).toMatch(
      /7\.5 m and its reach here is 5 m/,
    );
  });
  it('is made shorter, and what was wrong with it is gone', async () => {
    const { rig } = openSheet(CABLE);
    await typeOver('Length', '3');
    expect(rig().links['phone-usb-to-computer']?.cable).toEqual({ kind: 'usb-2', lengthM: 3 });
    expect(screen.getByRole('complementary').textContent).not.toMatch(/its reach here is 5 m/);
  });
  it('cannot be shorter than nothing', async () => {
    const { rig } = openSheet(CABLE);
    await typeOver('Length', '-2');
    expect(screen.getByText('At least 0 m.')).toBeTruthy();
    expect(rig().links['phone-usb-to-computer']?.cable.lengthM).toBe(7.5);
  });
  it('offers only cables that have both plugs', () => {
    openSheet(CABLE);
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
    const { rig } = openSheet(CABLE);
    await userEvent.selectOptions(field('Kind'), 'USB cable, active, 5 Gb/s');
    expect(rig().links['phone-usb-to-computer']?.cable).toEqual({
      kind: 'usb-active',
      lengthM: 7.5,
    });
    expect(screen.queryByText(/its reach here is/)).toBeNull();
  });
  it('shows the load on the USB against what it carries', () => {
    openSheet(CABLE);
    expect(screen.getByRole('complementary').textContent).toMatch(/of 24\.576 MB\/s/);
  });
  it('is pulled, and nothing is selected any more', async () => {
    const { rig, last } = openSheet(CABLE);
    await userEvent.click(screen.getByRole('button', { name: 'Disconnect' }));
    expect(rig().links['phone-usb-to-computer']).toBeUndefined();
    expect(last()).toMatch(/^Disconnected Phone .* from Laptop/);
    expect(useLoomView.getState().selected).toBeNull();
  });
  it('inside a computer has neither kind nor length', () => {
    openSheet({ kind: 'link', id: 'computer-tracks-to-tracks' });
    expect(screen.getByText('Inside the computer')).toBeTruthy();
    expect(screen.queryByLabelText(/^Length/)).toBeNull();
    expect(screen.getByRole('button', { name: 'Disconnect' })).toBeTruthy();
  });
});
