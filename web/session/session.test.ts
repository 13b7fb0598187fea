import {
  applyTracked,
  blankRig,
  readCommand,
  Refusal,
  revertOf,
  RIG_VERSION,
  rigToJson,
  sentence,
  type AskedCommand,
  type Command,
  type Rig,
} from '@echo-loom/core';
import type { Box } from './outbox';
import type { SavedEntry, SaveAnswer, SaveRequest, Stand } from './protocol';
import { openSession } from './session';
import { NotUnderstood, type RigSession } from './state';

/**
 * A server in memory that keeps one rig and its log, as the real one does; it can be stopped, and
 * others can save to it.
 */
class Server {
  rig: Rig;
  log: SavedEntry[] = [];
  isDown = false;
  isDeleted = false;
  version = RIG_VERSION;
  readonly refuses = new Set<string>();
  /** Ids of entries for which it does not understand the whole request */
  readonly chokesOn = new Set<string>();
  readonly requests: SaveRequest[] = [];
  retries = 0;
  answersLate = false;
  readonly late: (() => void)[] = [];
  /** How often the whole rig was asked for */
  wholes = 0;
  kept: Box = { pending: [], setAside: [] };
  keeps = true;
  constructor(name: string) {
    this.rig = blankRig(name);
  }
  save(id: string, author: string, command: Command): void {
    const { rig, changes } = applyTracked(this.rig, command);
    const at = '2026-11-25T03:00:00.000Z';
    this.log.push({
      revision: this.log.length + 1,
      id,
      author,
      command,
      changes,
      says: sentence(this.rig, command),
      at,
    });
    this.rig = rig;
  }
  private whole(command: AskedCommand): Command {
    if (command.type !== 'revert') return command;
    const entry = this.log.find(({ id }) => id === command.entryId);
    if (!entry) throw new Refusal('not in the log');
    return revertOf(entry, command.does);
  }
  private knows({ revision, entryId }: Stand): boolean {
    return revision <= this.log.length && (this.log[revision - 1]?.id ?? null) === entryId;
  }
  private answer(request: SaveRequest): SaveAnswer {
    this.requests.push(request);
    const { on, entries, version } = request;
    if (this.isDeleted) return { status: 'gone' };
    if (version !== this.version) return { status: 'other version', version: this.version };
    if (!this.knows(on)) return { status: 'other log' };
    if (entries.some(({ id }) => this.chokesOn.has(id)))
      throw new NotUnderstood('That is not understood.');
    const refused: { id: string; why: string }[] = [];
    const done: string[] = [];
    for (const { id, author, command } of entries) {
      if (this.refuses.has(id)) refused.push({ id, why: 'The server knows better.' });
      else if (this.log.some((entry) => entry.id === id)) done.push(id);
      else
        try {
          this.save(id, author, this.whole(readCommand(command)));
        } catch (error) {
          refused.push({ id, why: error instanceof Error ? error.message : '' });
        }
    }
    return { status: 'taken', entries: this.log.slice(on.revision), refused, done };
  }
  private whenUp<T>(answer: () => T): Promise<T> {
    if (this.isDown) return Promise.reject(new Error('The server does not answer.'));
    try {
      return Promise.resolve(answer());
    } catch (error) {
      return Promise.reject(error as Error);
    }
  }
  /** Makes its answer now and hands it over later, where answers are late. */
  private async later<T>(answer: () => T): Promise<T> {
    const made = await this.whenUp(answer);
    if (this.answersLate) await new Promise<void>((done) => this.late.push(done));
    return made;
  }
  open(author: string): RigSession {
    let count = 0;
    return openSession(
      { rig: this.rig, revision: this.log.length, entries: [...this.log] },
      {
        author,
        newId: () => `${author}-entry-${++count}`,
        keep: (box) => {
          this.kept = JSON.parse(JSON.stringify(box)) as Box;
          return this.keeps;
        },
        retryIn: () => {
          this.retries++;
        },
        send: (request) =>
          this.whenUp(() => this.answer(JSON.parse(JSON.stringify(request)) as SaveRequest)),
        fetchAfter: (stand) =>
          this.whenUp(() =>
            this.isDeleted
              ? 'gone'
              : this.knows(stand)
                ? this.log.slice(stand.revision)
                : 'other log',
          ),
        fetchWhole: () =>
          this.later(
            () => (
              this.wholes++,
              this.isDeleted
                ? null
                : { rig: this.rig, revision: this.log.length, entries: [...this.log] }
            ),
          ),
      },
    );
  }
}

const addPlace = (placeId: string): Command => ({
  type: 'addPlace',
  placeId,
  place: { name: placeId },
});
const places = ({ store }: RigSession): string[] => Object.keys(store.getState().rig.places);

describe('one open rig in one browser', () => {
  it('applies an edit at once and saves it', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    expect(session.run(addPlace('shed'))).toBe(true);
    expect([places(session), session.store.getState().save.state]).toEqual([['shed'], 'saving']);
    await session.flush();
    expect([
      Object.keys(server.rig.places),
      session.store.getState().save.state,
      server.kept,
    ]).toEqual([['shed'], 'saved', { pending: [], setAside: [] }]);
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
    expect([
      places(session).sort(),
      Object.keys(server.rig.places).sort(),
      session.store.getState().setAside,
    ]).toEqual([['mine', 'theirs'], ['mine', 'theirs'], []]);
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
    expect(session.store.getState().history.map(({ says }) => says)).toEqual([
      'Added the place theirs.',
    ]);
  });
  it('sets aside what the server refuses', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.refuses.add('one-entry-1');
    session.run(addPlace('shed'));
    await session.flush();
    expect([
      places(session),
      session.store.getState().setAside.map(({ why }) => why),
      session.store.getState().save.state,
    ]).toEqual([[], ['The server knows better.'], 'saved']);
  });
});

describe('when the server goes away', () => {
  it('keeps edits, says so, asks to try again, and sends them when it is back', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.isDown = true;
    session.run(addPlace('shed'));
    await session.flush();
    expect([
      session.store.getState().save,
      server.retries,
      server.kept.pending.map(({ id }) => id),
    ]).toEqual([{ state: 'waiting', says: 'The server does not answer.' }, 1, ['one-entry-1']]);
    server.isDown = false;
    await session.flush();
    expect([session.store.getState().save.state, Object.keys(server.rig.places)]).toEqual([
      'saved',
      ['shed'],
    ]);
  });
  it('adopts what a lost tab had kept, once', async () => {
    const server = new Server('Rig');
    const lost = server.open('one');
    server.isDown = true;
    lost.run(addPlace('shed'));
    await lost.flush();
    const box = server.kept;
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

/** What a person types, or what reaches the session by paste. */
const hostile = (value: unknown): Command => value as Command;

describe('an edit that cannot be', () => {
  it('is refused in words before it is applied, and never sent', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    expect(session.run({ type: 'setHouseRules', rules: { recordingsOfVoice: 2.3 } })).toBe(false);
    expect(session.store.getState().refusal).toBe(
      'This cannot be entered: recordings of voice: expected a whole number.',
    );
    expect(session.run({ type: 'renameRig', name: 'one\ttwo' })).toBe(false);
    expect(session.store.getState().refusal).toBe(
      'This cannot be entered: name: expected text without control characters.',
    );
    expect(session.run(hostile({ type: 'paintTheShed', colour: 'red' }))).toBe(false);
    expect(session.store.getState().refusal).toBe(
      'This cannot be entered: this version of Echo Loom has no such edit.',
    );
    await session.flush();
    expect([server.requests, session.store.getState().save.state]).toEqual([[], 'saved']);
  });
  it('leaves no trace where it changes nothing', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    expect(session.run({ type: 'renameRig', name: 'Rig' })).toBe(true);
    expect(session.store.getState().undo.undo).toEqual([]);
    await session.flush();
    expect([server.requests, server.log]).toEqual([[], []]);
  });
  it(
    'does not hold up the others: the one that is not understood is set aside by name, ' +
      'the rest is saved',
    async () => {
      const server = new Server('Rig');
      const session = server.open('one');
      server.isDown = true;
      for (const name of ['a', 'b', 'c', 'd']) session.run(addPlace(name));
      await session.flush();
      server.isDown = false;
      server.chokesOn.add('one-entry-3');
      await session.flush();
      const { setAside, save } = session.store.getState();
      expect(setAside.map(({ says, why }) => [says, why])).toEqual([
        ['Added the place c.', 'That is not understood.'],
      ]);
      expect([Object.keys(server.rig.places), places(session), save.state]).toEqual([
        ['a', 'b', 'd'],
        ['a', 'b', 'd'],
        'saved',
      ]);
      expect(server.kept.setAside).toHaveLength(1);
    },
  );
  it('can be tried again, and stays in sight where it still does not fit', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.refuses.add('one-entry-1');
    session.run(addPlace('shed'));
    await session.flush();
    const id = session.store.getState().setAside[0]?.id ?? '';
    session.run(addPlace('shed'));
    session.retrySetAside(id);
    expect(session.store.getState().setAside.map((item) => item.id)).toEqual([id]);
    session.undo();
    session.retrySetAside(id);
    expect([session.store.getState().setAside, places(session)]).toEqual([[], ['shed']]);
    await session.flush();
    expect(Object.keys(server.rig.places)).toEqual(['shed']);
  });
});

describe('undo over others’ edits', () => {
  it('sends the entry alone: what is put back is the log’s to say', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    session.run(addPlace('shed'));
    session.undo();
    await session.flush();
    expect(server.requests.flatMap(({ entries }) => entries).at(-1)?.command).toEqual({
      type: 'revert',
      does: 'undo',
      entryId: 'one-entry-1',
    });
    expect(rigToJson(server.rig)).toBe(rigToJson(blankRig('Rig')));
  });
  it('of a sentence longer than a label may be is taken all the same', async () => {
    const server = new Server('Rig');
    server.save('one-entry-0', 'one', { type: 'renameRig', name: 'Long' });
    server.log = server.log.map((entry) => ({ ...entry, says: 'y'.repeat(900) }));
    const session = server.open('one');
    session.undo();
    await session.flush();
    const last = server.log.at(-1)?.command;
    expect(last?.type === 'revert' && last.label).toBe(`${'y'.repeat(399)}…`);
    expect([
      server.rig.name,
      session.store.getState().save.state,
      session.store.getState().setAside,
    ]).toEqual(['Rig', 'saved', []]);
  });
});

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

describe('a browser that keeps nothing', () => {
  it('is told', async () => {
    const server = new Server('Rig');
    server.keeps = false;
    const session = server.open('one');
    server.isDown = true;
    session.run(addPlace('shed'));
    await session.flush();
    expect(session.store.getState().isKept).toBe(false);
  });
});
