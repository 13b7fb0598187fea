import { Browser, type Server } from '@/session/browser-for-tests';
import type { RigSession } from '@/session/state';
import { RigDraft, rigToJson, USUAL_PERSON } from '@echo-loom/core';
import { leaveDatabase, makeDatabase } from './database-for-tests';
import { createRig, entriesAfter, findRig, isInLog, openRig, pageOfLog } from './rigs';
import { saveEntries } from './save';
import { addPlace, document, rename } from './save-for-tests';

beforeAll(() => makeDatabase('two_browsers'), 30_000);
afterAll(leaveDatabase);

const serverOf = (id: string): Server => ({
  open: () => openRig(id),
  fetchBefore: (revision) => pageOfLog(id, revision - 1),
  send: (request) => saveEntries(id, request),
  fetchAfter: async (stand) => {
    if (!(await findRig(id))) return 'gone';
    return (await isInLog(id, stand)) ? entriesAfter(id, stand.revision) : 'other log';
  },
});

const settle = async (...sessions: RigSession[]): Promise<void> => {
  for (let n = 0; n < 3; n++) {
    await Promise.all(sessions.map((session) => session.flush()));
    await Promise.all(sessions.map((session) => session.catchUp()));
  }
};

describe('two browsers on one rig', () => {
  const start = () =>
    createRig(
      new RigDraft('Shared')
        .device('mic', 'mic-dynamic-stage', { name: 'Mic' })
        .device('interface', 'interface-2', { name: 'Interface' })
        .build(),
    );
  const two = async () => {
    const id = await start();
    const browsers = [
      new Browser('browser-one', id, serverOf(id)),
      new Browser('browser-two', id, serverOf(id)),
    ] as const;
    return { id, browsers, one: await browsers[0].open(), two: await browsers[1].open() };
  };

  it('end the same with no edit lost, however their saves meet', async () => {
    const { id, one, two: other } = await two();
    for (let n = 0; n < 10; n++) {
      one.run(addPlace(`one-${n}`));
      other.run({
        type: 'addPerson',
        personId: `two-${n}`,
        person: { name: `Two ${n}`, ...USUAL_PERSON },
      });
    }
    await settle(one, other);
    const saved = rigToJson(await document(id));
    expect([rigToJson(one.store.getState().rig), rigToJson(other.store.getState().rig)]).toEqual([
      saved,
      saved,
    ]);
    expect([
      Object.keys((await document(id)).places).length,
      Object.keys((await document(id)).people).length,
    ]).toEqual([10, 10]);
  });

  it('set aside, with its reason, what can no longer be replayed', async () => {
    const { id, browsers, one, two: other } = await two();
    browsers[1].line.isCut = true;
    other.run({ type: 'renameDevice', deviceId: 'mic', name: 'Renamed' });
    other.run({ type: 'renameDevice', deviceId: 'interface', name: 'Kept' });
    await other.flush();
    expect(other.store.getState().save.state).toBe('waiting');
    one.run({ type: 'removeDevice', deviceId: 'mic' });
    await one.flush();
    browsers[1].line.isCut = false;
    await other.flush();
    expect(other.store.getState().setAside).toMatchObject([
      {
        says: 'Renamed Mic to Renamed.',
        why: 'There is no device "mic" in this rig; it may have been removed.',
      },
    ]);
    expect((await document(id)).devices['interface']?.name).toBe('Kept');
    // It is still in sight after the page was loaded anew.
    expect((await browsers[1].open()).store.getState().setAside).toHaveLength(1);
  });

  it('survive an answer that was lost after the save', async () => {
    const { id, browsers, one } = await two();
    browsers[0].line.lostAnswers = 1;
    one.run(rename('Once'));
    await one.flush();
    await settle(one);
    expect(one.store.getState().save.state).toBe('saved');
    expect(
      [await entriesAfter(id, 0), one.store.getState().history].map((list) => list.length),
    ).toEqual([1, 1]);
  });

  it('undo only their own, also after a reload, and redo to the same bytes', async () => {
    const { id, browsers, one } = await two();
    const before = rigToJson(await document(id));
    one.run({ type: 'removeDevice', deviceId: 'mic' });
    one.run(rename('Renamed'));
    await one.flush();
    const after = rigToJson(await document(id));
    const again = await browsers[0].open();
    for (let n = 0; n < 3; n++) again.undo();
    await again.flush();
    expect(rigToJson(await document(id))).toBe(before);
    for (let n = 0; n < 2; n++) again.redo();
    await again.flush();
    expect(rigToJson(await document(id))).toBe(after);
    expect((await browsers[1].open()).store.getState().undo.undo).toEqual([]);
  });

  it('take back an edit on top of what others did meanwhile', async () => {
    const { id, browsers, one, two: other } = await two();
    browsers[0].line.isCut = true;
    one.run(rename('Mine'));
    one.undo();
    other.run(addPlace('theirs'));
    await other.flush();
    browsers[0].line.isCut = false;
    await settle(one, other);
    expect([
      (await document(id)).name,
      one.store.getState().setAside,
      rigToJson(one.store.getState().rig),
    ]).toEqual(['Shared', [], rigToJson(await document(id))]);
  });

  it('refuse a command in words and keep the rig', async () => {
    const { one } = await two();
    const before = one.store.getState().rig;
    expect(
      one.run({ type: 'setControl', deviceId: 'interface', control: 'gain-1', value: 99 }),
    ).toBe(false);
    expect(one.store.getState().refusal).toBe(
      'Interface: Gain 1 goes from 0 to 54 dB; 99 is outside.',
    );
    expect(one.store.getState().rig).toBe(before);
  });
});
