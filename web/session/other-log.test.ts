import { blankRig, RIG_VERSION, rigToJson } from '@echo-loom/core';
import { addPlace, places, Server } from './server-for-tests';

describe('when the server’s log is another', () => {
  it('begins again from what the server has, with what was pending on top', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    session.run(addPlace('first'));
    await session.flush();
    // The database was restored from a backup of before, and somebody has worked on since.
    server.rig = blankRig('Restored');
    server.log = [];
    server.save('other-2', 'other', addPlace('theirs'));
    session.run(addPlace('mine'));
    await session.flush();
    expect([session.store.getState().rig.name, places(session).sort()]).toEqual([
      'Restored',
      ['mine', 'theirs'],
    ]);
    expect(rigToJson(session.store.getState().rig)).toBe(rigToJson(server.rig));
  });
  it('waits in words while the server writes another version, and saves when it can', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.version = RIG_VERSION + 1;
    session.run(addPlace('shed'));
    await session.flush();
    expect(session.store.getState().save).toMatchObject({
      state: 'waiting',
      says: expect.stringContaining('has been updated'),
    });
    expect(server.kept.pending).toHaveLength(1);
    server.version = RIG_VERSION;
    await session.flush();
    expect([Object.keys(server.rig.places), server.kept.pending]).toEqual([['shed'], []]);
  });
  it('takes entries that are told of, and fetches where some are missing', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.save('other-1', 'other', addPlace('a'));
    server.save('other-2', 'other', addPlace('b'));
    session.hear({ tells: 'entries', rigId: 'rig', revision: 1, entries: server.log.slice(0, 1) });
    await Promise.resolve();
    expect(places(session)).toEqual(['a']);
    server.save('other-3', 'other', addPlace('c'));
    session.hear({ tells: 'entries', rigId: 'rig', revision: 3, entries: server.log.slice(2) });
    await new Promise((done) => setTimeout(done, 0));
    expect(places(session)).toEqual(['a', 'b', 'c']);
    session.hear({ tells: 'look', rigId: 'rig' });
    await new Promise((done) => setTimeout(done, 0));
    expect(session.store.getState().save.state).toBe('saved');
  });
});

describe('an answer that was overtaken on its way', () => {
  it('never turns the page back behind what it knows', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    session.run(addPlace('a'));
    await session.flush();
    // An entry that does not fit makes the page ask for everything; the answer is late.
    const [first] = server.log;
    if (!first) throw new Error('nothing was saved');
    server.answersLate = true;
    session.hear({
      tells: 'entries',
      rigId: 'rig',
      revision: 2,
      entries: [{ ...first, revision: 2, id: 'misfit' }],
    });
    await new Promise((done) => setTimeout(done, 0));
    session.run(addPlace('b'));
    await session.flush();
    session.undo();
    server.late.forEach((answer) => answer());
    await new Promise((done) => setTimeout(done, 5));
    await session.flush();
    expect([
      places(session),
      session.store.getState().setAside,
      session.store.getState().save.state,
    ]).toEqual([['a'], [], 'saved']);
    expect(rigToJson(session.store.getState().rig)).toBe(rigToJson(server.rig));
  });
});

describe('news that leaves something out', () => {
  it('makes the page ask for what is between, and keeps what is pending', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    for (const name of ['a', 'b', 'c']) server.save(`other-${name}`, 'other', addPlace(name));
    server.isDown = true;
    session.run(addPlace('mine'));
    await session.flush();
    server.isDown = false;
    session.hear({ tells: 'entries', rigId: 'rig', revision: 3, entries: server.log.slice(2) });
    await new Promise((done) => setTimeout(done, 0));
    expect([places(session).sort(), server.wholes]).toEqual([['a', 'b', 'c', 'mine'], 0]);
    await session.flush();
    expect(rigToJson(session.store.getState().rig)).toBe(rigToJson(server.rig));
  });
});
