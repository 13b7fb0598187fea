import { blankRig, readRig, RigDraft, rigToJson, studioSchema, UNSAID } from '@echo-loom/core';
import { leaveDatabase, makeDatabase, sqlRows } from './database-for-tests';
import {
  createRig,
  createRigFromText,
  findRaw,
  findRig,
  forgetPutAway,
  isInLog,
  listPutAway,
  listRigs,
  LOG_PAGE,
  openRig,
  pageOfLog,
  setDeleted,
  standOf,
} from './rigs';
import { item, rename, save } from './save-for-tests';
import { blankRigIn, findStudio, mainsOf, settleStudio } from './studio';

beforeAll(() => makeDatabase('shelf'), 30_000);
afterAll(leaveDatabase);

describe('the shelf', () => {
  it('keeps a deleted rig until it is put back', async () => {
    const id = await createRig(blankRig('Gone'));
    expect(await setDeleted(id, true)).toBe(true);
    expect(await findRig(id)).toBeNull();
    expect((await listPutAway()).map((rig) => rig.id)).toContain(id);
    expect(await setDeleted(id, false)).toBe(true);
    expect((await listRigs()).map((rig) => rig.id)).toContain(id);
    expect((await listPutAway()).map((rig) => rig.id)).not.toContain(id);
  });

  it('says when there is nothing to take off or put back', async () => {
    const id = await createRig(blankRig('There'));
    expect([
      await setDeleted(id, false),
      await setDeleted('nobody', true),
      await setDeleted('\0', true),
    ]).toEqual([false, false, false]);
  });

  it('forgets for good after thirty days, not before', async () => {
    const [old, recent] = [await createRig(blankRig('Old')), await createRig(blankRig('Recent'))];
    await setDeleted(old, true);
    await setDeleted(recent, true);
    await sqlRows(`update rigs set deleted_at = now() - interval '31 days' where id = $1`, [old]);
    await sqlRows(`update rigs set deleted_at = now() - interval '29 days' where id = $1`, [
      recent,
    ]);
    expect((await listPutAway()).map(({ id }) => id)).not.toContain(old);
    expect(await forgetPutAway()).toBe(1);
    expect([
      await findRaw(old),
      (await listPutAway()).map(({ id }) => id).includes(recent),
    ]).toEqual([null, true]);
  });

  it('keeps a document that was written as text to the byte', async () => {
    const rig = new RigDraft('Text').device('mic', 'mic-dynamic-stage').build();
    const text = JSON.stringify(rig);
    const id = await createRigFromText(text);
    expect(await findRaw(id)).toBe(text);
    const found = await findRig(id);
    expect(found?.read.ok && rigToJson(found.read.rig)).toBe(rigToJson(rig));
  });
});

describe('a row that cannot be read', () => {
  it('is one card that says why; every other rig stands beside it', async () => {
    const good = await createRig(blankRig('Good'));
    await createRigFromText(
      JSON.stringify({ ...blankRig('Bad'), places: { shed: { name: 'Shed', order: 1e9 + 1 } } }),
    );
    const newer = await createRigFromText(JSON.stringify({ ...blankRig('Newer'), version: 99 }));
    const nonsense = await createRigFromText('"not a rig"');
    const shelf = new Map((await listRigs()).map(({ id, read }) => [id, read]));
    expect(shelf.get(good)?.ok).toBe(true);
    expect(shelf.get(newer)).toEqual({
      ok: false,
      problems: [
        { path: 'version', says: expect.stringMatching(/version 99; this program is older/) },
      ],
    });
    expect(shelf.get(nonsense)?.ok).toBe(false);
    expect([...shelf.values()].filter((read) => !read.ok)).toHaveLength(3);
    expect(await findRaw(nonsense)).toBe('"not a rig"');
  });
});

describe('ids from addresses', () => {
  it('that cannot be ids are no rigs, and never reach the database', async () => {
    for (const id of ['\0', 'a\0b', '%ff', 'x'.repeat(41), '', '../etc', '\uD800']) {
      expect([await findRig(id), await findRaw(id), await standOf(id)]).toEqual([null, null, null]);
    }
  });

  it('stand at the beginning of their log before anything was done', async () => {
    const id = await createRig(blankRig('Fresh'));
    const stand = await standOf(id);
    expect(stand).toEqual({ revision: 0, entryId: null });
    expect([
      await isInLog(id, { revision: 0, entryId: null }),
      await isInLog(id, { revision: 0, entryId: 'other' }),
    ]).toEqual([true, false]);
  });
});

describe('the studio', () => {
  it('says nothing until somebody does, and keeps what was said last', async () => {
    expect(await findStudio()).toEqual(UNSAID);
    await settleStudio({ currency: 'GBP' });
    await settleStudio({ currency: 'SEK', places: ['Boat shed', 'Corner'] });
    expect(await findStudio()).toEqual({
      ...UNSAID,
      currency: 'SEK',
      places: ['Boat shed', 'Corner'],
    });
  });
  it('has no mains until somebody says which, and keeps it beside the rest', async () => {
    expect(mainsOf(await findStudio())).toBeNull();
    await settleStudio({ mains: '230 V, 50 Hz', temperatureC: 12.5, lengths: 'ft', paper: 'A3' });
    expect(mainsOf(await findStudio())).toEqual({ hz: 50, volts: 230 });
    expect(await findStudio()).toMatchObject({
      currency: 'SEK',
      temperatureC: 12.5,
      lengths: 'ft',
      paper: 'A3',
    });
    await settleStudio({ mains: null, temperatureC: null });
    expect(await findStudio()).toMatchObject({ mains: null, temperatureC: null });
  });
  it('hands its air, its mains and its places to a new rig, once each', async () => {
    await settleStudio({
      mains: '120 V, 60 Hz',
      temperatureC: 31,
      places: ['Desk', 'Desk', 'Shed'],
    });
    const rig = blankRigIn(await findStudio(), 'New');
    expect(rig.mains).toEqual({ hz: 60, volts: 120 });
    expect(rig.room.temperatureC).toBe(31);
    expect(Object.values(rig.places).map(({ name }) => name)).toEqual(['Desk', 'Shed']);
    expect(readRig(JSON.parse(JSON.stringify(rig))).ok).toBe(true);
  });
  it('refuses what is none of the usual', () => {
    expect(studioSchema.partial().safeParse({ currency: 'shells' }).success).toBe(false);
    expect(studioSchema.partial().safeParse({ mains: '400 V, 50 Hz' }).success).toBe(false);
    expect(studioSchema.partial().safeParse({ temperatureC: 90 }).success).toBe(false);
    expect(studioSchema.partial().safeParse({ places: [''] }).success).toBe(false);
  });
});

describe('a long log', () => {
  const revisions = (entries: readonly { readonly revision: number }[]): number[] =>
    entries.map(({ revision }) => revision);
  /** A rig with so many entries. */
  const edited = async (count: number): Promise<string> => {
    const id = await createRig(blankRig('Long'));
    let on = { revision: 0, entryId: null as string | null };
    for (let from = 0; from < count; from += 150) {
      const items = Array.from({ length: Math.min(150, count - from) }, (_, index) =>
        item(`entry-${from + index}`, rename(`Name ${from + index}`)),
      );
      const answer = await save(id, items, on);
      const last = answer.status === 'taken' ? answer.entries.at(-1) : undefined;
      on = { revision: last?.revision ?? 0, entryId: last?.id ?? null };
    }
    return id;
  };

  it('gives whoever opens the rig its newest page, oldest first', async () => {
    const id = await edited(450);
    const open = await openRig(id);
    expect(open?.revision).toBe(450);
    expect(open?.entries).toHaveLength(LOG_PAGE);
    expect([open?.entries[0]?.revision, open?.entries.at(-1)?.revision]).toEqual([251, 450]);
  });
  it('gives the pages before it, down to the first entry and no further', async () => {
    const id = await edited(450);
    const second = await pageOfLog(id, 250);
    expect(revisions(second)).toEqual(Array.from({ length: 200 }, (_, index) => 51 + index));
    const third = await pageOfLog(id, 50);
    expect(revisions(third)).toEqual(Array.from({ length: 50 }, (_, index) => 1 + index));
    expect(await pageOfLog(id, 0)).toEqual([]);
  });
  it('is opened whole where it is short, and empty where nothing was done', async () => {
    expect(revisions((await openRig(await edited(3)))?.entries ?? [])).toEqual([1, 2, 3]);
    expect((await openRig(await edited(0)))?.entries).toEqual([]);
  });
});
