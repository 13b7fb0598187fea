import { apply, blankRig, RigDraft, rigToJson, USUAL_PERSON, type Command, type Rig } from '@echo-loom/core';
import { sql } from 'drizzle-orm';
import postgres from 'postgres';
import path from 'node:path';
import { openSession, type RigSession, type SessionDoor } from '@/features/rig/session';
import { isDatabaseAway } from './answers';
import { database } from './database';
import { onRigChange } from './events';
import { migrateDatabase } from './migrate';
import { currencySchema, findCurrency, setCurrency } from './studio';
import { createRig, entriesAfter, findRig, listRigs, saveEntries, setDeleted } from './rigs';

/** Against a real PostgreSQL: bin/test starts a cluster of its own and gives its address. */
const address = process.env.TEST_DATABASE_URL;
if (!address) throw new Error('TEST_DATABASE_URL is not set; run bin/test --unit');
const name = `unit_${process.pid}`;

beforeAll(async () => {
  const admin = postgres(address, { max: 1 });
  await admin.unsafe(`create database ${name}`);
  await admin.end();
  process.env.DATABASE_URL = address.replace(/\/postgres$/, `/${name}`);
  await Promise.all([migrateDatabase(path.join(__dirname, 'migrations')), migrateDatabase(path.join(__dirname, 'migrations'))]);
}, 30_000);

afterAll(async () => {
  await (database() as unknown as { $client: postgres.Sql }).$client.end({ timeout: 1 });
});

const rename = (to: string): Command => ({ type: 'renameRig', name: to });
const item = (id: string, command: Command) => ({ id: id.padEnd(10, '-'), author: 'author-one', command });
const document = async (id: string): Promise<Rig> => {
  const found = await findRig(id);
  if (!found) throw new Error('the rig is not there');
  return found.rig;
};

describe('saving', () => {
  it('writes document, revision and log in one step', async () => {
    const id = await createRig(blankRig('Before'));
    expect(await saveEntries(id, { revision: 0, entries: [item('a', rename('After')), item('b', { type: 'writeNotes', notes: 'Why' })] })).toEqual({ status: 'saved', revision: 2 });
    expect(await document(id)).toMatchObject({ name: 'After', notes: 'Why' });
    expect((await entriesAfter(id, 0)).map(({ says, revision }) => [revision, says])).toEqual([[1, 'Renamed the rig to After.'], [2, 'Wrote the notes.']]);
  });
  it('answers a stale save with what was missed, and changes nothing', async () => {
    const id = await createRig(blankRig('Rig'));
    await saveEntries(id, { revision: 0, entries: [item('first', rename('First'))] });
    const answer = await saveEntries(id, { revision: 0, entries: [item('second', rename('Second'))] });
    expect(answer.status === 'stale' && answer.missed.map(({ says }) => says)).toEqual(['Renamed the rig to First.']);
    expect((await document(id)).name).toBe('First');
  });
  it('does not apply an entry twice when its answer was lost', async () => {
    const id = await createRig(blankRig('Rig'));
    const request = { revision: 0, entries: [item('once', { type: 'addPlace' as const, placeId: 'table', place: { name: 'Table' } })] };
    await saveEntries(id, request);
    expect((await saveEntries(id, request)).status).toBe('stale');
    expect(await entriesAfter(id, 0)).toHaveLength(1);
  });
  it('saves all or none: a refused entry takes the whole save with it', async () => {
    const id = await createRig(blankRig('Rig'));
    const answer = await saveEntries(id, { revision: 0, entries: [item('good', rename('Changed')), item('bad', { type: 'removeDevice', deviceId: 'nothing' })] });
    expect(answer).toEqual({ status: 'refused', entryId: 'bad-------', why: 'There is no device "nothing" in this rig; it may have been removed.' });
    expect((await document(id)).name).toBe('Rig');
    expect(await entriesAfter(id, 0)).toEqual([]);
  });
  it('keeps a deleted rig until it is put back', async () => {
    const id = await createRig(blankRig('Gone'));
    await setDeleted(id, true);
    expect(await findRig(id)).toBeNull();
    expect(await saveEntries(id, { revision: 0, entries: [item('late', rename('Late'))] })).toEqual({ status: 'gone' });
    await setDeleted(id, false);
    expect((await listRigs()).map((rig) => rig.id)).toContain(id);
  });
  it('lets exactly one of twenty saves on the same revision through', async () => {
    const id = await createRig(blankRig('Race'));
    const answers = await Promise.all(Array.from({ length: 20 }, (_, n) => saveEntries(id, { revision: 0, entries: [item(`race-${n}`, rename(`Name ${n}`))] })));
    expect(answers.filter(({ status }) => status === 'saved')).toHaveLength(1);
    expect((await findRig(id))?.revision).toBe(1);
  });
  it('tells listeners of every save', async () => {
    const id = await createRig(blankRig('Heard'));
    const heard = new Promise<number>((done) => {
      const stop = onRigChange(id, (revision) => {
        if (revision < 1) return;
        stop();
        done(revision);
      });
    });
    await new Promise((done) => setTimeout(done, 300));
    await saveEntries(id, { revision: 0, entries: [item('heard', rename('Told'))] });
    expect(await heard).toBe(1);
  });
  it('knows a database that is away from a request that is wrong', async () => {
    const nowhere = postgres('postgres://nobody:x@127.0.0.1:1/none', { max: 1, connect_timeout: 1 });
    expect(isDatabaseAway(await nowhere`select 1`.catch((error: unknown) => error))).toBe(true);
    await nowhere.end({ timeout: 1 });
    expect(isDatabaseAway(await database().execute(sql`select nothing from nowhere`).catch((error: unknown) => error))).toBe(false);
  });
});

/** Entry ids are never given twice, also after a reload. */
let entryCount = 0;

/** A browser's session whose door leads straight to the server's functions, with a line that can be cut. */
const browser = async (id: string, author: string): Promise<{ session: RigSession; line: { cut: boolean; lostAnswers: number } }> => {
  const found = await findRig(id);
  if (!found) throw new Error('the rig is not there');
  const line = { cut: false, lostAnswers: 0 };
  const door: SessionDoor = {
    author,
    newId: () => `${author}-entry-${entryCount++}`,
    send: async (request) => {
      if (line.cut) throw new Error('The server does not answer.');
      const answer = await saveEntries(id, JSON.parse(JSON.stringify(request)) as typeof request);
      if (line.lostAnswers-- > 0) throw new Error('The answer was lost.');
      return answer;
    },
    fetchAfter: async (revision) => {
      if (line.cut) throw new Error('The server does not answer.');
      return (await findRig(id)) && entriesAfter(id, revision);
    },
    keep: () => undefined,
    retryIn: () => undefined,
  };
  return { session: openSession({ rig: found.rig, revision: found.revision, entries: await entriesAfter(id, 0) }, door), line };
};

describe('the studio', () => {
  it('writes prices in EUR until a currency is chosen, and keeps the one chosen last', async () => {
    expect(await findCurrency()).toBe('EUR');
    await setCurrency('GBP');
    await setCurrency('SEK');
    expect(await findCurrency()).toBe('SEK');
    expect(currencySchema.safeParse('shells').success).toBe(false);
  });
});

describe('two browsers on one rig', () => {
  const start = () => createRig(new RigDraft('Shared').device('mic', 'mic-dynamic-stage', { name: 'Mic' }).device('interface', 'interface-2', { name: 'Interface' }).build());

  it('end the same with no edit lost, however their saves meet', async () => {
    const id = await start();
    const [one, two] = [await browser(id, 'browser-one'), await browser(id, 'browser-two')];
    for (let n = 0; n < 10; n++) {
      one.session.run({ type: 'addPlace', placeId: `one-${n}`, place: { name: `One ${n}` } });
      two.session.run({ type: 'addPerson', personId: `two-${n}`, person: { name: `Two ${n}`, ...USUAL_PERSON } });
    }
    for (let n = 0; n < 3; n++) await Promise.all([one.session.flush(), two.session.flush(), one.session.catchUp(), two.session.catchUp()]);
    const saved = rigToJson(await document(id));
    expect(rigToJson(one.session.store.getState().rig)).toBe(saved);
    expect(rigToJson(two.session.store.getState().rig)).toBe(saved);
    expect(Object.keys((await document(id)).places)).toHaveLength(10);
    expect(Object.keys((await document(id)).people)).toHaveLength(10);
  });

  it('set aside, with its reason, what can no longer be replayed', async () => {
    const id = await start();
    const [one, two] = [await browser(id, 'browser-one'), await browser(id, 'browser-two')];
    two.line.cut = true;
    two.session.run({ type: 'renameDevice', deviceId: 'mic', name: 'Renamed' });
    two.session.run({ type: 'renameDevice', deviceId: 'interface', name: 'Kept' });
    await two.session.flush();
    expect(two.session.store.getState().save.state).toBe('waiting');
    one.session.run({ type: 'removeDevice', deviceId: 'mic' });
    await one.session.flush();
    two.line.cut = false;
    await two.session.catchUp();
    await two.session.flush();
    expect(two.session.store.getState().setAside).toMatchObject([{ says: 'Renamed Mic to Renamed.', why: 'There is no device "mic" in this rig; it may have been removed.' }]);
    expect((await document(id)).devices['interface']?.name).toBe('Kept');
    expect(two.session.store.getState().save.state).toBe('saved');
  });

  it('survive an answer that was lost after the save', async () => {
    const id = await start();
    const one = await browser(id, 'browser-one');
    one.line.lostAnswers = 1;
    one.session.run({ type: 'renameRig', name: 'Once' });
    await one.session.flush();
    await one.session.catchUp();
    await one.session.flush();
    expect(one.session.store.getState().save.state).toBe('saved');
    expect(await entriesAfter(id, 0)).toHaveLength(1);
    expect(one.session.store.getState().history).toHaveLength(1);
  });

  it('undo only their own, also after a reload, and redo to the same bytes', async () => {
    const id = await start();
    const before = rigToJson(await document(id));
    const one = await browser(id, 'browser-one');
    one.session.run({ type: 'removeDevice', deviceId: 'mic' });
    one.session.run({ type: 'renameRig', name: 'Renamed' });
    await one.session.flush();
    const after = rigToJson(await document(id));
    const again = await browser(id, 'browser-one');
    again.session.undo();
    again.session.undo();
    again.session.undo();
    await again.session.flush();
    expect(rigToJson(await document(id))).toBe(before);
    again.session.redo();
    again.session.redo();
    await again.session.flush();
    expect(rigToJson(await document(id))).toBe(after);
    const stranger = await browser(id, 'browser-two');
    expect(stranger.session.store.getState().undo.undo).toEqual([]);
  });

  it('refuse a command in words and keep the rig', async () => {
    const one = await browser(await start(), 'browser-one');
    const before = one.session.store.getState().rig;
    expect(one.session.run({ type: 'setControl', deviceId: 'interface', control: 'gain-1', value: 99 })).toBe(false);
    expect(one.session.store.getState().refusal).toBe('Interface: Gain 1 goes from 0 to 54 dB; 99 is outside.');
    expect(one.session.store.getState().rig).toBe(before);
    expect(apply(before, rename('Still works')).name).toBe('Still works');
  });
});
