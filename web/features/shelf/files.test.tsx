/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { field } from '@/ui/in-browser-for-tests';
import { drawWithRouter } from '@/ui/router-for-tests';
import { Everything } from './Everything';
import { ImportButton } from './ImportButton';
import { PutAway } from './PutAway';
import { inDialog, serverThat } from './server-for-tests';

/** Files that go in, everything restored, and what was put away. */

describe('a file that is read', () => {
  const file = new File(['{}'], 'tide.rig.json', { type: 'application/json' });
  it('is opened once it is in', async () => {
    serverThat(200, { id: 'rig-3' });
    const going = drawWithRouter(<ImportButton />);
    await userEvent.upload(field('Rig file'), file);
    await waitFor(() => expect(going.visited).toEqual(['/rigs/rig-3']));
  });
  it('is refused with every problem and its place', async () => {
    serverThat(400, {
      says: 'This is no rig that can be read.',
      problems: [
        { path: 'devices.mic.model', says: 'is missing' },
        { path: 'links.a.to', says: 'there is no device "desk"' },
      ],
    });
    const going = drawWithRouter(<ImportButton />);
    await userEvent.upload(field('Rig file'), file);
    const dialog = await inDialog();
    expect(dialog.getByText('tide.rig.json: This is no rig that can be read.')).toBeTruthy();
    expect(dialog.getAllByRole('listitem').map((item) => item.textContent)).toEqual([
      'devices.mic.model: is missing',
      'links.a.to: there is no device "desk"',
    ]);
    expect(going.visited).toEqual([]);
  });
});

describe('restoring everything', () => {
  const backup = new File(['x'], 'all.gz', { type: 'application/gzip' });
  const choose = async () => {
    const going = drawWithRouter(<Everything putAway={2} />);
    await userEvent.upload(field('Backup file'), backup);
    await inDialog();
    return going;
  };
  it('asks once more before anything is replaced', async () => {
    const sent = serverThat(200, {});
    await choose();
    expect(screen.getByText(/is replaced by what all\.gz holds/)).toBeTruthy();
    expect(sent).toEqual([]);
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(sent).toEqual([]);
  });
  it('sends the file and reads the shelf anew', async () => {
    const sent = serverThat(200, {});
    const going = await choose();
    await userEvent.click(screen.getByRole('button', { name: 'Replace everything' }));
    await waitFor(() => expect(going.refreshes).toBe(1));
    expect(sent[0]?.where).toBe('/api/restore');
  });
  it('says what is wrong with the file, and stays open', async () => {
    serverThat(400, {
      says: 'This file is not whole.',
      problems: [{ path: 'rigs.3', says: 'Rig 3 ends in the middle.' }],
    });
    const going = await choose();
    await userEvent.click(screen.getByRole('button', { name: 'Replace everything' }));
    expect((await screen.findByRole('alert')).textContent).toBe(
      'This file is not whole. Rig 3 ends in the middle.',
    );
    expect(going.refreshes).toBe(0);
  });
});

describe('what was put away', () => {
  it('says so where there is nothing', () => {
    drawWithRouter(<PutAway items={[]} keptDays={30} />);
    expect(screen.getByText('Nothing is put away.')).toBeTruthy();
  });
  it('comes back with one press, and can be saved although it cannot be read', async () => {
    const sent = serverThat(200, { id: 'old' });
    const going = drawWithRouter(
      <PutAway
        keptDays={30}
        items={[
          { id: 'old', name: 'Old Tide', devices: 1, putAway: 'yesterday', goes: 'in 29 days' },
          { id: 'broken', name: null, devices: 0, putAway: 'today', goes: 'in 30 days' },
        ]}
      />,
    );
    expect(screen.getByText('1 device · yesterday · in 29 days')).toBeTruthy();
    expect(screen.getByText('A rig that cannot be read (broken)')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Save broken as a file' }).getAttribute('href')).toBe(
      '/api/rigs/broken/raw',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Put Old Tide back' }));
    await waitFor(() => expect(going.refreshes).toBe(1));
    expect(sent).toEqual([{ where: '/api/shelf', body: { does: 'put back', id: 'old' } }]);
  });
});
