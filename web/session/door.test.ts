import { blankRig, type Command, RIG_VERSION, rigToJson } from '@echo-loom/core';
import { Storage } from './browser-for-tests';
import { browserDoor } from './door';
import { PAGE_VERSION, type SavedEntry, type SaveRequest } from './protocol';
import { NotUnderstood } from './state';

/** What the page asks of the server, and the words for every way in which it answers. */

const SHED: Command = { type: 'addPlace', placeId: 'shed', place: { name: 'Shed' } };

const entry = (revision: number): SavedEntry => ({
  revision,
  id: `entry-${revision}`,
  author: 'someone',
  version: RIG_VERSION,
  command: SHED,
  changes: [],
  says: 'Added the place Shed.',
  at: '2026-11-26T09:00:00.000Z',
});

const REQUEST: SaveRequest = {
  version: PAGE_VERSION,
  on: { revision: 0, entryId: null },
  entries: [{ id: 'entry-1', author: 'someone', command: SHED }],
};

interface Asked {
  readonly url: string;
  readonly method: string;
  readonly body: unknown;
}

/** A server that answers the one way it is told, and remembers what it was asked. */
const serverThat = (answer: () => Response): Asked[] => {
  const asked: Asked[] = [];
  globalThis.fetch = (input, init) => {
    asked.push({
      url: input instanceof Request ? input.url : input.toString(),
      method: init?.method ?? 'GET',
      body: typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : null,
    });
    try {
      return Promise.resolve(answer());
    } catch (error) {
      return Promise.reject(error as Error);
    }
  };
  return asked;
};

const json = (status: number, body: unknown): Response => Response.json(body, { status });

const open = () => browserDoor('rig-1', 'tab-1', () => undefined);

const realFetch = globalThis.fetch;
beforeEach(() => {
  Object.defineProperty(globalThis, 'localStorage', { value: new Storage(), configurable: true });
});
afterEach(() => {
  globalThis.fetch = realFetch;
});

describe('saving', () => {
  it('posts the entries as they are and gives the answer back', async () => {
    const taken = { status: 'taken', entries: [entry(1)], refused: [], done: [] };
    const asked = serverThat(() => json(200, taken));
    await expect(open().send(REQUEST)).resolves.toEqual(taken);
    expect(asked).toEqual([{ url: '/api/rigs/rig-1/entries', method: 'POST', body: REQUEST }]);
  });
  it.each([400, 413])('says why a request was not understood: %i', async (status) => {
    serverThat(() =>
      json(status, {
        says: 'This cannot be saved.',
        problems: [{ path: 'entries.0.command', says: 'no such edit' }],
      }),
    );
    const saving = open().send(REQUEST);
    await expect(saving).rejects.toThrow(
      new NotUnderstood('This cannot be saved. entries.0.command: no such edit'),
    );
    await expect(saving).rejects.toBeInstanceOf(NotUnderstood);
  });
  it('says so in words of its own where the refusal gives no reason', async () => {
    serverThat(() => new Response('<html>', { status: 413 }));
    await expect(open().send(REQUEST)).rejects.toThrow('The server did not understand this edit.');
  });
  it.each([
    ['words that are no JSON', () => new Response('<html>', { status: 200 })],
    ['JSON that is no answer', () => json(200, { status: 'maybe' })],
  ])('asks for a reload where the answer is %s', async (_name, answer) => {
    serverThat(answer);
    await expect(open().send(REQUEST)).rejects.toThrow(/does not understand.*reload the page/);
  });
});

describe('a server that cannot answer', () => {
  it.each([
    [
      'is not reached',
      () => {
        throw new TypeError('Failed to fetch');
      },
      'The server does not answer. Your edits are kept in this browser and will be saved when it does.',
    ],
    [
      'fails',
      () => json(500, {}),
      'The server does not answer. Your edits are kept in this browser and will be saved when it does.',
    ],
    [
      'has no database and no words for it',
      () => new Response('', { status: 503 }),
      'The database does not answer. Your edits are kept in this browser and will be saved when it does.',
    ],
    [
      'is busy and says with what',
      () => json(503, { says: 'A backup is being put back.' }),
      'A backup is being put back. Your edits are kept in this browser and will be saved as soon as it can be.',
    ],
  ])('%s', async (_name, answer, says) => {
    serverThat(answer);
    const door = open();
    await expect(door.send(REQUEST)).rejects.toThrow(says);
    await expect(door.fetchWhole()).rejects.toThrow(says);
    await expect(door.fetchAfter({ revision: 0, entryId: null })).rejects.toThrow(says);
    await expect(door.fetchBefore(9)).rejects.toThrow(says);
  });
});

describe('reading the log', () => {
  it('asks for what follows on what is known, and names the entry it rests on', async () => {
    const asked = serverThat(() => json(200, { entries: [entry(5)] }));
    await expect(open().fetchAfter({ revision: 4, entryId: 'a/b' })).resolves.toEqual([entry(5)]);
    await open().fetchAfter({ revision: 0, entryId: null });
    expect(asked.map(({ url }) => url)).toEqual([
      '/api/rigs/rig-1/entries?after=4&is=a%2Fb',
      '/api/rigs/rig-1/entries?after=0',
    ]);
  });
  it('tells a rig that is gone from a log that is another', async () => {
    serverThat(() => json(404, { says: 'There is no such rig.' }));
    await expect(open().fetchAfter({ revision: 4, entryId: 'a' })).resolves.toBe('gone');
    await expect(open().fetchBefore(4)).resolves.toBe('gone');
    await expect(open().fetchWhole()).resolves.toBeNull();
    serverThat(() => json(409, { says: 'This rig was put back from a backup.' }));
    await expect(open().fetchAfter({ revision: 4, entryId: 'a' })).resolves.toBe('other log');
  });
  it('asks for the page before', async () => {
    const asked = serverThat(() => json(200, { entries: [entry(1), entry(2)] }));
    await expect(open().fetchBefore(3)).resolves.toEqual([entry(1), entry(2)]);
    expect(asked[0]?.url).toBe('/api/rigs/rig-1/entries?before=3');
  });
  it.each([
    ['an entry without a revision', [{ ...entry(1), revision: undefined }]],
    ['entries that are no list', { 1: entry(1) }],
  ])('takes no %s', async (_name, entries) => {
    serverThat(() => json(200, { entries }));
    await expect(open().fetchAfter({ revision: 0, entryId: null })).rejects.toThrow(
      /does not understand/,
    );
  });
});

describe('opening', () => {
  const rig: unknown = JSON.parse(rigToJson(blankRig('Night Tide')));
  it('reads the document as any other file is read', async () => {
    serverThat(() => json(200, { rig, revision: 7, entries: [] }));
    const opened = await open().fetchWhole();
    expect(opened).toMatchObject({ rig: { name: 'Night Tide' }, revision: 7, entries: [] });
  });
  it('takes no document that this page does not know', async () => {
    serverThat(() => json(200, { rig: { name: 'Night Tide' }, revision: 7, entries: [] }));
    await expect(open().fetchWhole()).rejects.toThrow(/reload the page/);
  });
  it('takes no document without its place in the log', async () => {
    serverThat(() => json(200, { rig, entries: [] }));
    await expect(open().fetchWhole()).rejects.toThrow(/reload the page/);
  });
});

describe('the browser', () => {
  it('keeps a box of its own for each tab', () => {
    const box = {
      pending: [{ id: 'entry-1', author: 'a', version: PAGE_VERSION, command: SHED }],
      setAside: [],
    };
    expect(open().keep(box)).toBe(true);
    expect(browserDoor('rig-1', 'tab-2', () => undefined).keep(box)).toBe(true);
    const keys = Array.from({ length: localStorage.length }, (_, at) => localStorage.key(at));
    expect(keys.filter((key) => key?.includes('rig-1')).sort()).toEqual([
      'echo-loom.outbox.rig-1.tab-1',
      'echo-loom.outbox.rig-1.tab-2',
    ]);
  });
  it('keeps one author, and gives no id twice', () => {
    const [one, two] = [open(), open()];
    expect(one.author).toBe(two.author);
    expect(new Set([one.newId(), one.newId(), two.newId()]).size).toBe(3);
  });
});
