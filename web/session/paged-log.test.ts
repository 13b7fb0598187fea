import { addPlace, places, Server } from './server-for-tests';

const PAGE = 5;

/** A server with so many entries of one author, whose log is read in pages. */
const serverOf = (count: number, author = 'one'): Server => {
  const server = new Server('Rig');
  server.page = PAGE;
  for (let n = 1; n <= count; n++)
    server.save(`${author}-old-${n}`, author, addPlace(`place-${n}`));
  return server;
};
/** What was asked for is there. */
const settled = () => new Promise((done) => setTimeout(done, 0));

describe('a log that is read in pages', () => {
  it('costs one page to open, however long it is', () => {
    const session = serverOf(50).open('one');
    const { history, earlier } = session.store.getState();
    expect(history.map(({ id }) => id)).toEqual([46, 47, 48, 49, 50].map((n) => `one-old-${n}`));
    expect(earlier).toBe(45);
  });
  it('shows an earlier page when it is asked for, and stops at the first entry', async () => {
    const server = serverOf(12);
    const session = server.open('one');
    for (const left of [2, 0, 0]) {
      await session.loadEarlier();
      expect(session.store.getState().earlier).toBe(left);
    }
    expect(session.store.getState().history.map(({ id }) => id)).toEqual(
      Array.from({ length: 12 }, (_, index) => `one-old-${index + 1}`),
    );
    expect(server.pages).toBe(2);
  });
  it('goes on with new edits after an earlier page came', async () => {
    const session = serverOf(12).open('one');
    await session.loadEarlier();
    session.run(addPlace('new'));
    await session.flush();
    expect(session.store.getState().history.at(-1)?.says).toContain('new');
    expect(session.store.getState().save.state).toBe('saved');
  });
  it('undoes farther back than it was opened with', async () => {
    const server = serverOf(12);
    const session = server.open('one');
    for (let n = 0; n < 12; n++) {
      session.undo();
      await settled();
      await session.flush();
    }
    expect(places(session)).toEqual([]);
    expect(session.store.getState().may).toEqual({ undo: false, redo: true });
  });
  it('fetches nothing for an undo that it knows', async () => {
    const server = serverOf(12);
    const session = server.open('one');
    session.undo();
    await session.flush();
    expect(server.pages).toBe(0);
  });
  it('does again what was undone before the page that it was opened with', async () => {
    const server = serverOf(3);
    const before = server.open('one');
    for (let n = 0; n < 3; n++) before.undo();
    await before.flush();
    // Others go on until the undone edits are out of the newest page, and the undos half.
    for (let n = 1; n <= 3; n++) server.save(`two-old-${n}`, 'two', addPlace(`theirs-${n}`));
    const session = server.open('one');
    expect(session.store.getState().may.redo).toBe(true);
    session.redo();
    await settled();
    await session.flush();
    expect(places(session)).toContain('place-1');
    expect(server.pages).toBeGreaterThan(0);
  });
  it('says that there is nothing to take back where the whole log is another’s', async () => {
    const session = serverOf(12, 'two').open('one');
    expect(session.store.getState().may.undo).toBe(true);
    session.undo();
    await settled();
    expect(session.store.getState().may.undo).toBe(false);
    expect(places(session)).toHaveLength(12);
  });
  it('takes over an undo that a closed tab has left, of an entry it does not know yet', async () => {
    const server = serverOf(12);
    const session = server.open('one');
    const command = { type: 'revert', does: 'undo', entryId: 'one-old-2' } as const;
    const left = { id: 'one-left-1', author: 'one', version: 5, command };
    expect(await session.adopt({ pending: [left], setAside: [] })).toBe(true);
    await session.flush();
    expect(places(session)).not.toContain('place-2');
    expect(session.store.getState().setAside).toEqual([]);
  });
  it('leaves what a closed tab has left where it is, while the server does not answer', async () => {
    const server = serverOf(12);
    const session = server.open('one');
    server.isDown = true;
    const command = { type: 'revert', does: 'undo', entryId: 'one-old-2' } as const;
    const left = { id: 'one-left-1', author: 'one', version: 5, command };
    expect(await session.adopt({ pending: [left], setAside: [] })).toBe(false);
    expect(places(session)).toHaveLength(12);
  });
  it('keeps an undo of an early entry when the log is read anew', async () => {
    const server = serverOf(12);
    const session = server.open('one');
    await session.loadEarlier();
    await session.loadEarlier();
    server.isDown = true;
    // Everything back to the second entry.
    for (let n = 0; n < 11; n++) session.undo();
    server.isDown = false;
    // Another log with the same beginning: the server was restored.
    server.log = server.log
      .slice(0, 12)
      .map((entry) => (entry.revision === 12 ? { ...entry, id: 'other-12' } : entry));
    await session.flush();
    await session.flush();
    expect(session.store.getState().save.state).toBe('saved');
    expect(places(session)).toContain('place-1');
    expect(places(session)).not.toContain('place-2');
  });
  it('tells when the rig is gone while an earlier page is asked for', async () => {
    const server = serverOf(12);
    const session = server.open('one');
    server.isDeleted = true;
    await session.loadEarlier();
    expect(session.store.getState().save.state).toBe('gone');
  });
  it('waits where the server does not answer, and has the page later', async () => {
    const server = serverOf(12);
    const session = server.open('one');
    server.isDown = true;
    await session.loadEarlier();
    expect(session.store.getState().save.state).toBe('waiting');
    server.isDown = false;
    await session.loadEarlier();
    expect(session.store.getState().earlier).toBe(2);
  });
});
