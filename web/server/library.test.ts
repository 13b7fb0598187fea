import {
  apply,
  blankRig,
  CATALOGUE,
  classById,
  libraryToCsv,
  libraryToJson,
  type OwnModel,
  stamped,
} from '@echo-loom/core';
import { POST } from '@/app/api/library/route';
import { workHere } from './apart/here-for-tests';
import { leaveDatabase, makeDatabase, sqlRows } from './database-for-tests';
import {
  listOwnModels,
  SavedMeanwhile,
  saveOwnModels,
  setModelDeleted,
  updateRig,
  usesOf,
  versionsOf,
} from './library';
import { createRig, openRig } from './rigs';

workHere();
beforeAll(() => makeDatabase('library'), 30_000);
afterAll(leaveDatabase);

const model = classById('interface-2');
const louder = (maxInDbu: number): OwnModel['model'] => ({
  ...model,
  ports: { ...model.ports, 'line-1': { ...model.ports['line-1'], maxInDbu } as never },
});

const post = async (deed: unknown): Promise<{ status: number; body: Record<string, unknown> }> => {
  const response = await POST(
    new Request('http://127.0.0.1/api/library', {
      method: 'POST',
      headers: { 'content-type': 'application/json', host: '127.0.0.1' },
      body: JSON.stringify(deed),
    }),
  );
  return { status: response.status, body: (await response.json()) as Record<string, unknown> };
};

describe('the library', () => {
  it('keeps every version, and says what is latest', async () => {
    await saveOwnModels([{ id: 'box', from: 0, model }]);
    await saveOwnModels([{ id: 'box', from: 1, model: louder(23) }]);
    expect((await versionsOf('box')).map(({ version }) => version)).toEqual([1, 2]);
    const [latest] = await listOwnModels();
    expect([latest?.id, latest?.version]).toEqual(['box', 2]);
    expect(JSON.stringify((await versionsOf('box'))[0]?.model)).toBe(JSON.stringify(model));
  });
  it('refuses what was made from a version that is no longer the latest, and keeps nothing of it', async () => {
    await expect(
      saveOwnModels([
        { id: 'other', from: 0, model },
        { id: 'box', from: 1, model },
      ]),
    ).rejects.toBeInstanceOf(SavedMeanwhile);
    expect(await versionsOf('other')).toEqual([]);
  });
  it('lets one of two win that save at once', async () => {
    await saveOwnModels([{ id: 'race', from: 0, model }]);
    const both = await Promise.allSettled(
      [1, 2].map(() => saveOwnModels([{ id: 'race', from: 1, model }])),
    );
    expect(both.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
    expect((await versionsOf('race')).map(({ version }) => version)).toEqual([1, 2]);
  });
  it('takes a model out and puts it back with all its versions', async () => {
    expect(await setModelDeleted('race', true)).toBe(true);
    expect((await listOwnModels()).map(({ id }) => id)).not.toContain('race');
    expect(await setModelDeleted('race', false)).toBe(true);
    expect(await versionsOf('race')).toHaveLength(2);
    expect(await setModelDeleted('nobody', true)).toBe(false);
    await setModelDeleted('race', true);
    await saveOwnModels([{ id: 'race', from: 2, model }]);
    expect(await versionsOf('race')).toHaveLength(3);
    expect(await versionsOf('\0')).toEqual([]);
  });
  it('leaves out what it cannot read, and what it can read stays', async () => {
    await sqlRows(
      `insert into own_models (id, version, written, model) values ('later', 1, 99, '{}')`,
    );
    expect((await listOwnModels()).map(({ id }) => id)).toEqual(['box', 'race']);
  });
});

describe('rigs that use a model', () => {
  it('are told with what would change, and are brought up to date as one edit', async () => {
    const [first] = await versionsOf('box');
    if (!first) throw new Error('it was kept');
    const rig = ['one', 'two'].reduce(
      (now, deviceId) =>
        apply(now, {
          type: 'addDevice',
          deviceId,
          name: deviceId,
          model: stamped(first),
          settings: {},
          personId: null,
          placeId: null,
        }),
      blankRig('Uses it'),
    );
    const rigId = await createRig(rig);
    const versions = await versionsOf('box');
    const [use] = await usesOf(versions);
    expect(use).toMatchObject({ rigId, name: 'Uses it', devices: 2 });
    expect(use?.updates.map(({ changes }) => changes.map(({ path }) => path))).toEqual([
      ['ports.line-1.maxInDbu'],
      ['ports.line-1.maxInDbu'],
    ]);
    expect(await updateRig(rigId, versions, 'ada-browser')).toBeNull();
    const after = await openRig(rigId);
    expect(after?.revision).toBe(1);
    expect(after?.rig.devices['two']?.model.own).toEqual({ modelId: 'box', version: 2 });
    expect((await usesOf(versions))[0]?.updates).toEqual([]);
    expect(await updateRig('nobody', versions, 'ada-browser')).toMatch(/no such rig/);
  });
});

describe('the door of the library', () => {
  it('saves a new model under an id of its name, and tells what is wrong with one that is none', async () => {
    const saved = await post({ does: 'save', id: null, from: 0, model });
    expect(saved).toEqual({
      status: 200,
      body: { models: [{ id: 'interface-two-microphones', version: 1 }] },
    });
    const wrong = await post({
      does: 'save',
      id: null,
      from: 0,
      model: { ...model, kind: 'toaster' },
    });
    expect([wrong.status, (wrong.body['problems'] as { path: string }[])[0]?.path]).toEqual([
      400,
      'kind',
    ]);
    const stale = await post({ does: 'save', id: 'box', from: 1, model });
    expect([stale.status, stale.body['says']]).toEqual([
      409,
      expect.stringMatching(/^Somebody else saved version 2 of “box” meanwhile/),
    ]);
  });
  it('takes a file whole or not at all, and the same file twice adds nothing', async () => {
    const models = CATALOGUE.slice(0, 5).map((one, index) => ({
      id: `from-file-${index}`,
      version: 1,
      model: one,
    }));
    const text = libraryToJson(models);
    const before = (await listOwnModels()).length;
    expect(
      (await post({ does: 'take json', text: text.replace('"version": 1,', '"version": 0,') }))
        .status,
    ).toBe(400);
    expect(await listOwnModels()).toHaveLength(before);
    expect((await post({ does: 'take json', text })).status).toBe(200);
    expect(await listOwnModels()).toHaveLength(before + 5);
    expect((await post({ does: 'take json', text })).body).toEqual({ models: [] });
    expect(await listOwnModels()).toHaveLength(before + 5);
  });
  it('says what a spreadsheet would change before it is taken', async () => {
    const text = 'model,path,value\nbox,ports.line-1.maxInDbu,18\nbox,ports.line-7.maxInDbu,18\n';
    const looked = await post({ does: 'take csv', text, isSure: false });
    expect(looked.body).toEqual({
      names: [model.name],
      faults: [{ at: 'line 3', says: `${model.name} has no field “ports.line-7.maxInDbu”` }],
    });
    expect(await versionsOf('box')).toHaveLength(2);
    expect((await post({ does: 'take csv', text, isSure: true })).body).toEqual({
      models: [{ id: 'box', version: 3 }],
    });
    const same = libraryToCsv(await listOwnModels());
    expect((await post({ does: 'take csv', text: same, isSure: true })).body).toEqual({
      models: [],
    });
  });
});
