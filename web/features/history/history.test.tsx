/** @jest-environment jsdom */
import { blankRig } from '@echo-loom/core';
import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { drawWithRig } from '@/features/rig/rig-for-tests';
import { addPlace, type Server } from '@/session/server-for-tests';
import { HistoryView } from './HistoryView';

/** Twelve edits of one's own, in pages of five. */
const twelve = (server: Server): void => {
  server.page = 5;
  for (let n = 1; n <= 12; n++) server.save(`one-old-${n}`, 'one', addPlace(`place-${n}`));
};
const lines = (): string[] =>
  screen.queryAllByRole('listitem').map(({ textContent }) => textContent ?? '');

describe('the history', () => {
  it('says that nothing was done to a new rig, and offers nothing to take back', () => {
    drawWithRig(blankRig('New'), <HistoryView />);
    expect(screen.getByText('Nothing has been changed yet.')).toBeTruthy();
    for (const name of ['Undo', 'Redo'])
      expect(screen.getByRole<HTMLButtonElement>('button', { name }).disabled).toBe(true);
  });
  it('lists what was done as sentences, the latest first', async () => {
    const { session } = drawWithRig(blankRig('New'), <HistoryView />);
    act(() => {
      session.run(addPlace('shed'));
      session.run(addPlace('loft'));
    });
    expect(lines().map((line) => line.includes('loft'))).toEqual([true, false]);
    expect(lines()[0]).toContain('not saved yet');
    await act(() => session.flush());
    expect(lines()[0]).not.toContain('not saved yet');
  });
  it('shows the newest page of a long log, and an earlier one when it is asked for', async () => {
    drawWithRig(blankRig('Long'), <HistoryView />, twelve);
    expect(lines()).toHaveLength(5);
    expect(screen.getByText('7 earlier.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Show earlier' }));
    await waitFor(() => expect(lines()).toHaveLength(10));
    await userEvent.click(screen.getByRole('button', { name: 'Show earlier' }));
    await waitFor(() => expect(lines()).toHaveLength(12));
    expect(screen.queryByRole('button', { name: 'Show earlier' })).toBeNull();
    expect(lines()[11]).toContain('place-1');
  });
  it('takes back and does again by its buttons', async () => {
    const { session } = drawWithRig(blankRig('Long'), <HistoryView />, twelve);
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(Object.keys(session.store.getState().rig.places)).not.toContain('place-12');
    expect(lines()[0]).toContain('Took back: Added the place place-12.');
    await userEvent.click(screen.getByRole('button', { name: 'Redo' }));
    expect(Object.keys(session.store.getState().rig.places)).toContain('place-12');
  });
  it('says where undo ends: at what an earlier version wrote', () => {
    drawWithRig(blankRig('Old'), <HistoryView />, (server) => {
      twelve(server);
      server.log = server.log.map((entry) =>
        entry.revision <= 9 ? { ...entry, version: 0 } : entry,
      );
    });
    expect(lines()).toHaveLength(6);
    expect(lines()[3]).toContain('done in an earlier version');
  });
  it('says that the server does not answer and keeps what it shows', async () => {
    const { server, session } = drawWithRig(blankRig('Long'), <HistoryView />, twelve);
    server.isDown = true;
    await userEvent.click(screen.getByRole('button', { name: 'Show earlier' }));
    await waitFor(() => expect(session.store.getState().save.state).toBe('waiting'));
    expect(lines()).toHaveLength(5);
  });
});
