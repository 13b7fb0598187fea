/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { field } from '@/ui/in-browser-for-tests';
import { drawWithRouter } from '@/ui/router-for-tests';
import { Everything } from './Everything';
import { ImportButton } from './ImportButton';
import { PutAway } from './PutAway';
import { type ReadableItem, Shelf } from './Shelf';

/** What the shelf asks, what it sends, and what it says when the server does not do it. */

interface Sent {
  readonly where: string;
  readonly body: unknown;
}

/** A server that answers every request the same way. */
const serverThat = (status: number, answer: unknown): Sent[] => {
  const sent: Sent[] = [];
  globalThis.fetch = (where, init) => {
    const body = init?.body;
    sent.push({
      where: typeof where === 'string' ? where : 'elsewhere',
      body: typeof body === 'string' ? (JSON.parse(body) as unknown) : body,
    });
    if (status === 0) return Promise.reject(new TypeError('Failed to fetch'));
    return Promise.resolve({
      ok: status < 400,
      status,
      json: () => Promise.resolve(answer),
    } as Response);
  };
  return sent;
};

const tide: ReadableItem = {
  is: 'readable',
  id: 'tide',
  name: 'Night Tide',
  verdict: { stops: 1, warns: 2, notes: 0 },
  devices: 12,
  changed: '5 minutes ago',
  picture: null,
};
const shelf = (items: readonly ReadableItem[] = [tide]) =>
  drawWithRouter(
    <Shelf
      items={items}
      currency="EUR"
      currencies={['EUR', 'GBP']}
      points={[{ id: 'two-voices', name: 'Two voices', about: 'Two people at a table.' }]}
      putAway={0}
    />,
  );
const inDialog = async () => within(await screen.findByRole('dialog'));

describe('a new rig', () => {
  it('is made with the name that was typed, and opened', async () => {
    const sent = serverThat(200, { id: 'rig-9' });
    const going = shelf([]);
    await userEvent.click(screen.getAllByRole('button', { name: 'New rig' })[0] ?? document.body);
    await inDialog();
    await userEvent.type(field('Name'), '  Night\tTide ');
    await userEvent.click(screen.getByRole('button', { name: 'Make it' }));
    await waitFor(() => expect(going.visited).toEqual(['/rigs/rig-9']));
    expect(sent).toEqual([{ where: '/api/shelf', body: { does: 'create', name: 'Night Tide' } }]);
  });
  it('goes on to the questions of a starting point, and makes nothing yet', async () => {
    const sent = serverThat(200, { id: 'rig-9' });
    const going = shelf();
    await userEvent.click(screen.getByRole('button', { name: 'New rig' }));
    await inDialog();
    await userEvent.type(field('Name'), 'Tea & talk');
    await userEvent.click(screen.getByRole('radio', { name: /Two voices/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Make it' }));
    await waitFor(() => expect(going.visited).toEqual(['/new/two-voices?name=Tea%20%26%20talk']));
    expect(sent).toEqual([]);
  });
  it('needs a name, and says so beside the field', async () => {
    const sent = serverThat(200, { id: 'rig-9' });
    shelf();
    await userEvent.click(screen.getByRole('button', { name: 'New rig' }));
    const dialog = await inDialog();
    await userEvent.click(dialog.getByRole('button', { name: 'Make it' }));
    await waitFor(() => expect(field('Name').getAttribute('aria-invalid')).toBe('true'));
    expect(sent).toEqual([]);
  });
  it('keeps what was typed where the server does not answer', async () => {
    serverThat(0, null);
    const going = shelf();
    await userEvent.click(screen.getByRole('button', { name: 'New rig' }));
    await inDialog();
    await userEvent.type(field('Name'), 'Night Tide');
    await userEvent.click(screen.getByRole('button', { name: 'Make it' }));
    await screen.findByText(
      'The server does not answer. Nothing was changed; try again in a moment.',
    );
    expect(field('Name').value).toBe('Night Tide');
    expect(going.visited).toEqual([]);
  });
  it('is not made where the dialog is left', async () => {
    const sent = serverThat(200, { id: 'rig-9' });
    shelf();
    await userEvent.click(screen.getByRole('button', { name: 'New rig' }));
    await inDialog();
    await userEvent.type(field('Name'), 'Night Tide');
    await userEvent.keyboard('{Escape}');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(sent).toEqual([]);
  });
});

describe('a rig on the shelf', () => {
  const choose = async (what: string) => {
    await userEvent.click(screen.getByRole('button', { name: 'More for Night Tide' }));
    await userEvent.click(await screen.findByRole('menuitem', { name: what }));
  };
  it('says its verdict, its size and when it was changed', () => {
    shelf();
    const card = within(screen.getByRole('article', { name: 'Night Tide' }));
    expect(card.getByText('12 devices · 5 minutes ago')).toBeTruthy();
    expect(card.getByText(/1 stop/)).toBeTruthy();
  });
  it('is given another name, and the shelf is read anew', async () => {
    const sent = serverThat(200, { id: 'tide' });
    const going = shelf();
    await choose('Rename');
    await inDialog();
    expect(field('Name').value).toBe('Night Tide');
    await userEvent.clear(field('Name'));
    await userEvent.type(field('Name'), 'Spring Tide');
    await userEvent.click(screen.getByRole('button', { name: 'Rename' }));
    await waitFor(() => expect(going.refreshes).toBe(1));
    expect(sent[0]?.body).toEqual({ does: 'rename', id: 'tide', name: 'Spring Tide' });
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });
  it('stays open with the reason where its name is not taken', async () => {
    serverThat(409, { says: 'This rig is being restored.' });
    shelf();
    await choose('Rename');
    await inDialog();
    await userEvent.type(field('Name'), ' II');
    await userEvent.click(screen.getByRole('button', { name: 'Rename' }));
    await screen.findByText('This rig is being restored.');
    expect(field('Name').value).toBe('Night Tide II');
  });
  it.each([
    ['Duplicate', { does: 'duplicate', id: 'tide' }],
    ['Delete', { does: 'put away', id: 'tide' }],
  ])('%s asks the server for it', async (what, deed) => {
    const sent = serverThat(200, { id: 'tide' });
    const going = shelf();
    await choose(what);
    await waitFor(() => expect(going.refreshes).toBe(1));
    expect(sent[0]?.body).toEqual(deed);
  });
});

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
