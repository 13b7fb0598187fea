import { Browser, type Server } from '@/session/browser-for-tests';
import type { RigSession } from '@/session/state';
import { blankRig, type Command, RigDraft, rigToJson } from '@echo-loom/core';
import fc from 'fast-check';
import { leaveDatabase, makeDatabase, sqlRows } from './database-for-tests';
import { createRig, entriesAfter, isInLog, openRig, pageOfLog } from './rigs';
import { saveEntries } from './save';
import { times } from '../../core/src/runs-for-cases';

/**
 * Browsers that edit, take back, reload, lose their line, lose answers, and find edits of another version in their
 * storage. At the end everything that was typed is in the log or in sight as set aside, and all see the same rig.
 */

beforeAll(() => makeDatabase('nothing_lost'), 30_000);
afterAll(leaveDatabase);

const serverOf = (id: string): Server => ({
  open: () => openRig(id),
  fetchBefore: (revision) => pageOfLog(id, revision - 1),
  send: (request) => saveEntries(id, request),
  fetchAfter: async (stand) =>
    (await isInLog(id, stand)) ? entriesAfter(id, stand.revision) : 'other log',
});

type Deed =
  | { readonly does: 'edit'; readonly kind: number; readonly target: number }
  | {
      readonly does:
        'undo' | 'redo' | 'reload' | 'cut' | 'mend' | 'lose an answer' | 'flush' | 'catch up';
    }
  | { readonly does: 'find an old edit'; readonly readable: boolean };
interface Step {
  readonly browser: number;
  readonly deed: Deed;
}

const deed: fc.Arbitrary<Deed> = fc.oneof(
  {
    weight: 8,
    arbitrary: fc.record({
      does: fc.constant('edit' as const),
      kind: fc.nat(3),
      target: fc.nat(2),
    }),
  },
  {
    weight: 5,
    arbitrary: fc.record({
      does: fc.constantFrom(
        'undo' as const,
        'redo' as const,
        'reload' as const,
        'cut' as const,
        'mend' as const,
        'lose an answer' as const,
        'flush' as const,
        'catch up' as const,
      ),
    }),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      does: fc.constant('find an old edit' as const),
      readable: fc.boolean(),
    }),
  },
);
const steps: fc.Arbitrary<Step[]> = fc.array(fc.record({ browser: fc.nat(2), deed }), {
  minLength: 5,
  maxLength: 40,
});

/** Each edit is one that no other equals, so that none can be done already by somebody else's. */
const commandOf = (kind: number, target: number, unique: number): Command => {
  const device = ['mic', 'interface', 'camera'][target] ?? 'mic';
  switch (kind) {
    case 0:
      return { type: 'addPlace', placeId: `place-${unique}`, place: { name: `Place ${unique}` } };
    case 1:
      return { type: 'renameDevice', deviceId: device, name: `Device ${unique}` };
    case 2:
      return { type: 'renameRig', name: `Rig ${unique}` };
    default:
      return { type: 'removeDevice', deviceId: device };
  }
};

/** A browser with the tab that is open in it, and everything that was typed there. */
class Person {
  session: RigSession | null = null;
  readonly typed = new Set<string>();
  constructor(
    readonly browser: Browser,
    private readonly rigId: string,
  ) {}

  private note(act: (session: RigSession) => void): void {
    const { session } = this;
    if (!session) return;
    const before = session.store.getState().history;
    act(session);
    const after = session.store.getState().history;
    const last = after.at(-1);
    if (after.length > before.length && last) this.typed.add(last.id);
  }

  async do(deed: Deed, unique: number): Promise<void> {
    switch (deed.does) {
      case 'edit':
        return this.note((session) => session.run(commandOf(deed.kind, deed.target, unique)));
      case 'undo':
        return this.note((session) => session.undo());
      case 'redo':
        return this.note((session) => session.redo());
      case 'reload':
        this.session = await this.browser.open();
        return;
      case 'cut':
        this.browser.line.isCut = true;
        return;
      case 'mend':
        this.browser.line.isCut = false;
        return;
      case 'lose an answer':
        this.browser.line.lostAnswers = 1;
        return;
      case 'flush':
        return this.session?.flush();
      case 'catch up':
        return this.session?.catchUp();
      case 'find an old edit': {
        const id = `old-edit-${unique}`;
        const kept = {
          id,
          author: this.browser.author,
          command: { type: deed.readable ? 'renameRig' : 'paintTheShed', name: `Old ${unique}` },
        };
        // As the version before this one kept them: a plain list.
        this.browser.storage.setItem(
          `echo-loom.outbox.${this.rigId}.tab-old-${unique}`,
          JSON.stringify([kept]),
        );
        this.typed.add(id);
      }
    }
  }
}

it('random edits, undo, reloads, lost answers, other versions and outages lose nothing', async () => {
  let unique = 0;
  const check = async (list: readonly Step[]): Promise<void> => {
    const rig = new RigDraft('Rig')
      .device('mic', 'mic-dynamic-stage')
      .device('interface', 'interface-2')
      .device('camera', 'webcam')
      .build();
    const id = await createRig(rig);
    const people = ['browser-one', 'browser-two', 'browser-six'].map(
      (author) => new Person(new Browser(author, id, serverOf(id)), id),
    );
    for (const person of people) person.session = await person.browser.open();
    for (const step of list) await people[step.browser]?.do(step.deed, unique++);

    // The weather clears: everyone loads the page anew.
    const sessions: RigSession[] = [];
    for (const person of people) {
      Object.assign(person.browser.line, { isCut: false, lostAnswers: 0 });
      sessions.push(await person.browser.open());
    }
    for (let n = 0; n < 2; n++) {
      await Promise.all(sessions.map((session) => session.flush()));
      await Promise.all(sessions.map((session) => session.catchUp()));
    }
    const log = await entriesAfter(id, 0);
    const saved = new Set(log.map((entry) => entry.id));
    expect(saved.size).toBe(log.length);
    const end = await openRig(id);
    people.forEach((person, index) => {
      const state = sessions[index]?.store.getState();
      const aside = new Set(state?.setAside.map((item) => item.id));
      expect(
        [...person.typed].filter((entryId) => !saved.has(entryId) && !aside.has(entryId)),
      ).toEqual([]);
      expect(state?.save.state).toBe('saved');
      expect(state && rigToJson(state.rig)).toBe(end && rigToJson(end.rig));
      const kept = Array.from({ length: person.browser.storage.length }, (_, n) =>
        person.browser.storage.getItem(person.browser.storage.key(n) ?? ''),
      );
      expect(kept.length > 0).toBe(aside.size > 0);
    });
  };
  await fc.assert(fc.asyncProperty(steps, check), { numRuns: times(30) });
  const [count] = await sqlRows<{ n: string }>('select count(*) as n from entries');
  expect(Number(count?.n)).toBeGreaterThan(100);
}, 120_000);

/** A few milliseconds, so that answers and news overtake each other. */
const soon = (most: number): Promise<void> =>
  new Promise((done) => setTimeout(done, Math.random() * most));

it('one browser alone sets nothing aside, in whatever order answers and news reach it', async () => {
  const late = (server: Server): Server => ({
    open: async () => {
      const opened = await server.open();
      await soon(60);
      return opened;
    },
    send: async (request) => {
      const answer = await server.send(request);
      await soon(12);
      return answer;
    },
    fetchAfter: async (stand) => {
      const entries = await server.fetchAfter(stand);
      await soon(20);
      return entries;
    },
    fetchBefore: async (revision) => {
      const entries = await server.fetchBefore(revision);
      await soon(20);
      return entries;
    },
  });
  const deeds = fc.array(
    fc.constantFrom(
      'edit',
      'edit',
      'edit',
      'undo',
      'undo',
      'redo',
      'news',
      'news',
      'look',
      'wait',
      'wait',
      'wait',
    ),
    { minLength: 20, maxLength: 80 },
  );
  await fc.assert(
    fc.asyncProperty(deeds, async (list) => {
      const id = await createRig(blankRig('Rig'));
      const session = await new Browser('browser-one', id, late(serverOf(id))).open();
      const news = async (): Promise<void> => {
        const log = await entriesAfter(id, 0);
        await soon(3);
        // The stream may have missed the beginning, and what it tells may be old by now.
        const entries = log.slice(-1 - Math.floor(Math.random() * 4));
        const revision = entries.at(-1)?.revision;
        if (revision !== undefined)
          session.hear({ tells: 'entries', rigId: id, revision, entries });
      };
      const under: Promise<void>[] = [];
      for (const [n, what] of list.entries()) {
        if (what === 'edit')
          session.run({ type: 'addPlace', placeId: `place-${n}`, place: { name: `Place ${n}` } });
        if (what === 'undo') session.undo();
        if (what === 'redo') session.redo();
        if (what === 'news') under.push(news());
        if (what === 'look') session.hear({ tells: 'look', rigId: id });
        if (what === 'wait') await soon(12);
        expect(session.store.getState()).toMatchObject({ setAside: [], refusal: null });
      }
      await Promise.all(under);
      await soon(30);
      await session.catchUp();
      await session.flush();
      const end = await openRig(id);
      expect(session.store.getState()).toMatchObject({
        setAside: [],
        refusal: null,
        save: { state: 'saved' },
      });
      expect(rigToJson(session.store.getState().rig)).toBe(end && rigToJson(end.rig));
    }),
    { numRuns: times(40) },
  );
}, 120_000);
