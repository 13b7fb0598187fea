import { applyTracked, blankRig, rigToJson, sentence, type Command, type Rig } from '@echo-loom/core';
import type { Pending } from './outbox';
import type { SavedEntry, SaveAnswer, SaveRequest } from './protocol';
import { openSession, type RigSession } from './session';

/** A server in memory that keeps one rig and its log, as the real one does; it can be stopped, and others can save to it. */
class Server {
  rig: Rig;
  readonly log: SavedEntry[] = [];
  isDown = false;
  isDeleted = false;
  readonly refuses = new Set<string>();
  retries = 0;
  kept: readonly Pending[] = [];
  constructor(name: string) {
    this.rig = blankRig(name);
  }
  save(id: string, author: string, command: Command): void {
    const { rig, changes } = applyTracked(this.rig, command);
    this.log.push({ revision: this.log.length + 1, id, author, command, changes, says: sentence(this.rig, command), at: '2026-11-25T03:00:00.000Z' });
    this.rig = rig;
  }
  private answer({ revision, entries }: SaveRequest): SaveAnswer {
    if (this.isDeleted) return { status: 'gone' };
    if (revision < this.log.length) return { status: 'stale', missed: this.log.slice(revision) };
    for (const { id, author, command } of entries) {
      if (this.refuses.has(id)) return { status: 'refused', entryId: id, why: 'The server knows better.' };
      if (!this.log.some((entry) => entry.id === id)) this.save(id, author, command);
    }
    return { status: 'saved', revision: this.log.length };
  }
  open(author: string): RigSession {
    let count = 0;
    return openSession({ rig: this.rig, revision: this.log.length, entries: [...this.log] }, {
      author, newId: () => `${author}-${++count}`, keep: (pending) => { this.kept = pending.map(({ id, author: by, command }) => ({ id, author: by, command })); }, retryIn: () => { this.retries++; },
      send: (request) => (this.isDown ? Promise.reject(new Error('The server does not answer.')) : Promise.resolve(this.answer(request))),
      fetchAfter: (revision) => (this.isDown ? Promise.reject(new Error('The server does not answer.')) : Promise.resolve(this.isDeleted ? null : this.log.slice(revision))),
    });
  }
}

const addPlace = (placeId: string): Command => ({ type: 'addPlace', placeId, place: { name: placeId } });
const places = ({ store }: RigSession): string[] => Object.keys(store.getState().rig.places);

describe('one open rig in one browser', () => {
  it('applies an edit at once and saves it', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    expect(session.run(addPlace('shed'))).toBe(true);
    expect([places(session), session.store.getState().save.state]).toEqual([['shed'], 'saving']);
    await session.flush();
    expect([Object.keys(server.rig.places), session.store.getState().save.state, server.kept]).toEqual([['shed'], 'saved', []]);
  });
  it('keeps its analysis while a save is confirmed: nothing is computed twice', async () => {
    const session = new Server('Rig').open('one');
    session.run(addPlace('shed'));
    const { analysis } = session.store.getState();
    await session.flush();
    expect(session.store.getState().analysis).toBe(analysis);
  });
  it('says why a command is refused, and changes nothing', () => {
    const session = new Server('Rig').open('one');
    expect(session.run({ type: 'removePlace', placeId: 'nowhere' })).toBe(false);
    expect(session.store.getState().refusal).toContain('There is no place "nowhere"');
    session.dismissRefusal();
    expect(session.store.getState().refusal).toBeNull();
  });
  it('takes back and does again, to the bytes', async () => {
    const session = new Server('Rig').open('one');
    const blank = rigToJson(session.store.getState().rig);
    session.run(addPlace('shed'));
    const built = rigToJson(session.store.getState().rig);
    session.undo();
    expect(rigToJson(session.store.getState().rig)).toBe(blank);
    session.redo();
    expect(rigToJson(session.store.getState().rig)).toBe(built);
    await session.flush();
  });
  it('takes back only its own edits', async () => {
    const server = new Server('Rig');
    server.save('other-1', 'other', addPlace('theirs'));
    const session = server.open('one');
    session.undo();
    expect(places(session)).toEqual(['theirs']);
    await session.flush();
  });
});

describe('with others on the same rig', () => {
  it('puts what others saved under its own edits', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.save('other-1', 'other', addPlace('theirs'));
    session.run(addPlace('mine'));
    await session.flush();
    expect([places(session).sort(), Object.keys(server.rig.places).sort(), session.store.getState().setAside]).toEqual([['mine', 'theirs'], ['mine', 'theirs'], []]);
    expect(rigToJson(session.store.getState().rig)).toBe(rigToJson(server.rig));
  });
  it('sets aside what no longer fits, with the reason, and keeps the rest', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.isDown = true;
    session.run(addPlace('shed'));
    session.run(addPlace('yard'));
    await session.flush();
    server.save('other-1', 'other', addPlace('shed'));
    server.isDown = false;
    await session.flush();
    const { setAside } = session.store.getState();
    expect(setAside).toHaveLength(1);
    expect(setAside[0]?.why).toContain('"shed" is already in this rig');
    expect(places(session).sort()).toEqual(['shed', 'yard']);
    session.dismissSetAside(setAside[0]?.id ?? '');
    expect(session.store.getState().setAside).toEqual([]);
  });
  it('hears of others’ edits when it catches up', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.save('other-1', 'other', addPlace('theirs'));
    await session.catchUp();
    expect(places(session)).toEqual(['theirs']);
    expect(session.store.getState().history.map(({ says }) => says)).toEqual(['Added the place theirs.']);
  });
  it('sets aside what the server refuses', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.refuses.add('one-1');
    session.run(addPlace('shed'));
    await session.flush();
    expect([places(session), session.store.getState().setAside.map(({ why }) => why), session.store.getState().save.state]).toEqual([[], ['The server knows better.'], 'saved']);
  });
});

describe('when the server goes away', () => {
  it('keeps edits, says so, asks to try again, and sends them when it is back', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.isDown = true;
    session.run(addPlace('shed'));
    await session.flush();
    expect([session.store.getState().save, server.retries, server.kept.map(({ id }) => id)]).toEqual([{ state: 'waiting', says: 'The server does not answer.' }, 1, ['one-1']]);
    server.isDown = false;
    await session.flush();
    expect([session.store.getState().save.state, Object.keys(server.rig.places)]).toEqual(['saved', ['shed']]);
  });
  it('adopts what a lost tab had kept, once', async () => {
    const server = new Server('Rig');
    const lost = server.open('one');
    server.isDown = true;
    lost.run(addPlace('shed'));
    await lost.flush();
    const box = [...server.kept];
    server.isDown = false;
    const session = server.open('two');
    session.adopt(box);
    await session.flush();
    session.adopt(box);
    await session.flush();
    expect([places(session), server.log.length]).toEqual([['shed'], 1]);
  });
  it('says that a rig is gone', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.isDeleted = true;
    session.run(addPlace('shed'));
    await session.flush();
    expect(session.store.getState().save.state).toBe('gone');
    await session.catchUp();
    expect(session.store.getState().save.state).toBe('gone');
  });
});
