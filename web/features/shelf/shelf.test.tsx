/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { field } from '@/ui/in-browser-for-tests';
import { drawWithRouter } from '@/ui/router-for-tests';
import { arranged } from './arranged';
import { inDialog, serverThat } from './server-for-tests';
import type { ReadableItem } from './items';
import { Shelf } from './Shelf';

/** What the shelf asks, what it sends, and what it says when the server does not do it. */

const tide: ReadableItem = {
  is: 'readable',
  id: 'tide',
  name: 'Night Tide',
  verdict: { stops: 1, warns: 2, notes: 0 },
  devices: 12,
  changed: '5 minutes ago',
  tags: [],
  picture: null,
};
const shelf = (items: readonly ReadableItem[] = [tide]) =>
  drawWithRouter(
    <Shelf
      items={items}
      isSettled={false}
      points={[
        {
          id: 'two-voices',
          name: 'Two voices',
          about: 'Two people at a table.',
          brings: '2 people, 2 cameras, about €4,950',
        },
      ]}
      putAway={0}
    />,
  );

describe('the shelf', () => {
  const rig = (name: string, stops: number): ReadableItem => ({
    ...tide,
    id: name,
    name,
    verdict: { stops, warns: 0, notes: 0 },
  });
  const three = [rig('Rig 10', 0), rig('Night Tide', 3), rig('rig 9', 1)];
  const names = () =>
    screen.queryAllByRole('article').map((card) => card.getAttribute('aria-label'));
  it('is as it comes, latest first, until somebody orders it by name or by what is wrong', async () => {
    shelf(three);
    expect(names()).toEqual(['Rig 10', 'Night Tide', 'rig 9']);
    await userEvent.selectOptions(field('Order of the shelf'), 'By name');
    expect(names()).toEqual(['Night Tide', 'rig 9', 'Rig 10']);
    await userEvent.selectOptions(field('Order of the shelf'), 'Worst first');
    expect(names()).toEqual(['Night Tide', 'rig 9', 'Rig 10']);
  });
  it('finds rigs by the words of their names, and says so where there is none', async () => {
    shelf(three);
    await userEvent.type(field('Find a rig by its name or tag'), '9 rig');
    expect(names()).toEqual(['rig 9']);
    expect(screen.getByText('1 of 3')).toBeTruthy();
    await userEvent.type(field('Find a rig by its name or tag'), ' nothing');
    expect(names()).toEqual([]);
    await userEvent.click(screen.getByRole('button', { name: 'Show all' }));
    expect(names()).toHaveLength(3);
  });
  it('asks nothing where there is one rig', () => {
    shelf();
    expect(screen.queryByLabelText('Find a rig by its name or tag')).toBeNull();
  });
  it('keeps in sight what cannot be read, unless a name is looked for', () => {
    const broken = { is: 'unreadable', id: 'broken', why: 'no document', changed: 'now' } as const;
    expect(arranged([...three, broken], '', 'name')[0]).toBe(broken);
    expect(arranged([...three, broken], 'rig', 'name')).not.toContain(broken);
  });
});

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
