import {
  apply,
  blankRig,
  type Command,
  RIG_VERSION,
  rigToJson,
  USUAL_BRIEF,
  USUAL_PERSON,
} from '@echo-loom/core';
import { sql } from 'drizzle-orm';
import pg from 'pg';
import { isDatabaseAway, isDatabaseBusy } from './answers';
import { database } from './database';
import { leaveDatabase, makeDatabase, sqlRows } from './database-for-tests';
import { onRigChange } from './events';
import { createRig, createRigFromText, entriesAfter, findRig, setDeleted } from './rigs';
import { isTooMuch, saveEntries } from './save';
import { addPlace, document, item, rename, save, START, taken, until } from './save-for-tests';

beforeAll(() => makeDatabase('saving'), 30_000);

afterAll(leaveDatabase);

describe('saving', () => {
  it('writes document, revision and log in one step', async () => {
    const id = await createRig(blankRig('Before'));
    const answer = await save(id, [
      item('a', rename('After')),
      item('b', { type: 'writeNotes', notes: 'Why' }),
    ]);
    expect(taken(answer).says).toEqual(['Renamed the rig to After.', 'Wrote the notes.']);
    expect(await document(id)).toMatchObject({ name: 'After', notes: 'Why' });
    expect((await entriesAfter(id, 0)).map(({ revision }) => revision)).toEqual([1, 2]);
  });

  it('puts what still applies on top of what others did, and tells what that was', async () => {
    const id = await createRig(blankRig('Rig'));
    await save(id, [item('first', addPlace('theirs'))]);
    const answer = await save(id, [item('second', addPlace('mine'))]);
    expect(taken(answer).says).toEqual(['Added the place theirs.', 'Added the place mine.']);
    expect(Object.keys((await document(id)).places)).toEqual(['theirs', 'mine']);
  });

  it('does not apply an entry twice when its answer was lost', async () => {
    const id = await createRig(blankRig('Rig'));
    const entries = [item('once', addPlace('table'))];
    await save(id, entries);
    expect(taken(await save(id, entries)).done).toEqual(['once------']);
    expect(await entriesAfter(id, 0)).toHaveLength(1);
  });

  it('takes each entry by itself: one that is refused holds up no other', async () => {
    const id = await createRig(blankRig('Rig'));
    const answer = await save(id, [
      item('bad', { type: 'removeDevice', deviceId: 'nothing' }),
      item('worse', { type: 'setHouseRules', rules: { recordingsOfVoice: 2.3 } }),
      item('other', { type: 'paintTheShed' }),
      item('null', null),
      item('good', rename('Changed')),
    ]);
    expect(taken(answer).refused.map(({ why }) => why)).toEqual([
      'There is no device "nothing" in this rig; it may have been removed.',
      'This cannot be entered: recordings of voice: expected a whole number.',
      'This cannot be entered: this version of Echo Loom has no such edit.',
      expect.stringContaining('This cannot be entered'),
    ]);
    expect((await document(id)).name).toBe('Changed');
  });

  it('leaves no trace of an entry that changes nothing', async () => {
    const id = await createRig(blankRig('Same'));
    expect(taken(await save(id, [item('same', rename('Same'))]))).toEqual({
      says: [],
      refused: [],
      done: ['same------'],
    });
    expect((await findRig(id))?.revision).toBe(0);
  });

  it('takes an entry that comes twice in one request once', async () => {
    const id = await createRig(blankRig('Rig'));
    const answer = taken(
      await save(id, [item('twice', addPlace('shed')), item('twice', addPlace('shed'))]),
    );
    expect([answer.says, answer.refused]).toEqual([['Added the place shed.'], []]);
  });

  it('writes a label with a NUL in it, as a sentence that can be written', async () => {
    const id = await createRig(blankRig('Rig'));
    const answer = await save(id, [
      item('nul', { type: 'batch', label: 'a\0b', commands: [rename('New')] }),
    ]);
    expect(taken(answer).says).toEqual([expect.stringContaining('a\uFFFDb')]);
  });

  it('says that the log is another where the page knows one that is not here', async () => {
    const id = await createRig(blankRig('Rig'));
    await save(id, [item('here', rename('Here'))]);
    for (const on of [
      { revision: 1, entryId: 'elsewhere' },
      { revision: 7, entryId: 'later' },
      { revision: 0, entryId: 'x' },
    ]) {
      expect((await save(id, [item('new', rename('New'))], on)).status).toBe('other log');
    }
    expect((await document(id)).name).toBe('Here');
  });

  it('does not mix versions of the document', async () => {
    const id = await createRig(blankRig('Rig'));
    const request = { version: RIG_VERSION + 1, on: START, entries: [item('new', rename('New'))] };
    expect(await saveEntries(id, request)).toEqual({
      status: 'other version',
      version: RIG_VERSION,
    });
  });

  it('says of a deleted rig that it is gone, of a broken one too', async () => {
    const id = await createRig(blankRig('Gone'));
    await setDeleted(id, true);
    expect(await save(id, [item('late', rename('Late'))])).toEqual({ status: 'gone' });
    const broken = await createRigFromText('{"version":99}');
    expect(await save(broken, [item('late', rename('Late'))])).toEqual({ status: 'gone' });
    expect(await save('no-such-rig', [item('late', rename('Late'))])).toEqual({ status: 'gone' });
  });

  it('never writes a document that could not be read again', async () => {
    // A legal file whose highest place in an order is the last there is.
    const highest = { ...USUAL_PERSON, name: 'Last', order: 1e9 };
    const id = await createRigFromText(
      JSON.stringify({ ...blankRig('Full'), people: { last: highest } }),
    );
    const more = (personId: string): Command => ({
      type: 'addPerson',
      personId,
      person: { name: personId, ...USUAL_PERSON },
    });
    expect(
      taken(await save(id, [item('more', more('more')), item('again', more('again'))])).refused,
    ).toEqual([]);
    const { people } = await document(id);
    expect(Object.entries(people).map(([personId, { order }]) => [personId, order])).toEqual([
      ['last', 0],
      ['more', 1],
      ['again', 2],
    ]);
  });

  it('refuses the one entry that would break the document, and writes the others', async () => {
    const sight = { name: 'Sight', what: 'hands', shot: 'close', at: null, people: [] } as const;
    const sights = Object.fromEntries(
      Array.from({ length: 2828 }, (_, order) => [`s-${order}`, { ...sight, people: [], order }]),
    );
    const id = await createRig({ ...blankRig('Nearly full'), brief: { ...USUAL_BRIEF, sights } });
    const crowd = Array.from({ length: 50 }, (_, n) => `someone-${n}`);
    const people: Command[] = crowd.map((personId) => ({
      type: 'addPerson',
      personId,
      person: { name: personId, ...USUAL_PERSON },
    }));
    const addSights = (count: number): Command => ({
      type: 'batch',
      label: 'Sights',
      commands: Array.from({ length: count }, (_, n) => ({
        type: 'addSight' as const,
        sightId: `more-${n}`,
        sight: { ...sight, people: crowd },
      })),
    });
    const answer = taken(
      await save(id, [
        ...people.map((command, n) => item(`p-${n}`, command)),
        item('over', addSights(30)),
        item('name', rename('Full')),
      ]),
    );
    expect(answer.refused).toEqual([
      {
        id: 'over------',
        why: 'This would leave the rig inconsistent at brief: this holds more than 20000 values.',
      },
    ]);
    expect((await document(id)).name).toBe('Full');
    expect((await entriesAfter(id, 0)).map((entry) => entry.id).slice(-2)).toEqual([
      'p-49------',
      'name------',
    ]);
  }, 30_000);
});

describe('many at once', () => {
  it('take their turn: twenty saves on the same revision all go through, each once', async () => {
    const id = await createRig(blankRig('Race'));
    await Promise.all(
      Array.from({ length: 20 }, (_, n) => save(id, [item(`race-${n}`, addPlace(`place-${n}`))])),
    );
    expect((await findRig(id))?.revision).toBe(20);
    expect(Object.keys((await document(id)).places)).toHaveLength(20);
    expect(new Set((await entriesAfter(id, 0)).map((entry) => entry.id)).size).toBe(20);
  });

  it('are each told what they have missed, and no more', async () => {
    const id = await createRig(blankRig('Rig'));
    await save(id, [item('first', addPlace('first'))]);
    const [behind, ahead] = await Promise.all([
      save(id, [item('behind', addPlace('behind'))]),
      save(id, [item('ahead', addPlace('ahead'))], { revision: 1, entryId: 'first-----' }),
    ]);
    expect(taken(behind).says).toHaveLength(3);
    expect(taken(ahead).says).toEqual(['Added the place behind.', 'Added the place ahead.']);
  });

  it('see what another instance wrote in between', async () => {
    const id = await createRig(blankRig('Shared'));
    await save(id, [item('here', addPlace('here'))]);
    // Another instance: it changes the row, and this one's memory of it is stale.
    const other = apply(await document(id), addPlace('there'));
    await sqlRows('update rigs set document = $2::json where id = $1', [id, JSON.stringify(other)]);
    await save(id, [item('again', addPlace('again'))], { revision: 1, entryId: 'here------' });
    expect(Object.keys((await document(id)).places)).toEqual(['here', 'there', 'again']);
  });

  it('follow another instance’s log, and end with the same document as if they had read it', async () => {
    const id = await createRig(blankRig('Shared'));
    await save(id, [item('here', addPlace('here'))]);
    // Another process has a memory of its own.
    const memory = globalThis as typeof globalThis & { echoLoomSaving?: unknown };
    const own = memory.echoLoomSaving;
    memory.echoLoomSaving = undefined;
    await save(id, [item('there', addPlace('there')), item('name', rename('Both'))]);
    memory.echoLoomSaving = own;
    await save(id, [item('again', addPlace('again'))]);
    const end = await document(id);
    expect([end.name, Object.keys(end.places)]).toEqual(['Both', ['here', 'there', 'again']]);
    const log = await entriesAfter(id, 0);
    const replayed = log.reduce(
      (rig, { command }) => (command ? apply(rig, command) : rig),
      blankRig('Shared'),
    );
    expect(rigToJson(replayed)).toBe(rigToJson(end));
  });

  it('are told that somebody else holds the rig, and may try again', async () => {
    const id = await createRig(blankRig('Held'));
    const holder = new pg.Client({ connectionString: process.env.DATABASE_URL });
    await holder.connect();
    await holder.query('begin');
    await holder.query('select 1 from rigs where id = $1 for update', [id]);
    const error: unknown = await save(id, [item('wait', rename('Wait'))]).catch(
      (reason: unknown) => reason,
    );
    expect([isDatabaseBusy(error), isDatabaseAway(error)]).toEqual([true, false]);
    await holder.query('rollback');
    await holder.end();
    expect(taken(await save(id, [item('wait', rename('Wait'))])).refused).toEqual([]);
  }, 15_000);
});

describe('one request', () => {
  const batch = (n: number) =>
    item(`batch-${n}`, {
      type: 'batch',
      label: 'x',
      commands: Array.from({ length: 500 }, () => rename('x')),
    });
  const asking = (entries: ReturnType<typeof item>[]) =>
    isTooMuch({ version: RIG_VERSION, on: START, entries });
  it('brings at most 2,000 commands, batches counted by what they hold; one entry alone is always taken', () => {
    expect([
      asking([1, 2, 3, 4].map(batch)),
      asking([1, 2, 3, 4, 5].map(batch)),
      asking([batch(1)]),
    ]).toEqual([false, true, false]);
    expect(asking(Array.from({ length: 200 }, (_, n) => item(`e-${n}`, rename('x'))))).toBe(false);
  });
});

describe('what listeners hear', () => {
  it('is every save, with its entries, and that a rig went', async () => {
    const id = await createRig(blankRig('Heard'));
    const heard: string[] = [];
    const stop = onRigChange(id, (event) =>
      heard.push(
        event.tells === 'look' ? 'look' : (event.entries ?? []).map(({ says }) => says).join(),
      ),
    );
    await until(() => heard.length > 0);
    await save(id, [item('one', rename('One'))]);
    await save(id, [item('two', rename('Two'))], { revision: 1, entryId: 'one-------' });
    await until(() => heard.join().includes('Two'));
    const before = heard.length;
    await setDeleted(id, true);
    await until(() => heard.length > before);
    stop();
    expect(heard.join()).toBe('look,Renamed the rig to One.,Renamed the rig to Two.,look');
  });
});

it('knows a database that is away from a request that is wrong', async () => {
  const nowhere = new pg.Client({ connectionString: 'postgres://nobody:x@127.0.0.1:1/none' });
  expect(isDatabaseAway(await nowhere.connect().catch((error: unknown) => error))).toBe(true);
  expect(
    isDatabaseAway(
      await database()
        .execute(sql`select nothing from nowhere`)
        .catch((error: unknown) => error),
    ),
  ).toBe(false);
});
