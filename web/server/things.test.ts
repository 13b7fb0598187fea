import {
  apply,
  blankThing,
  RigDraft,
  type Rig,
  takeCommand,
  type Thing,
  thingsToCsv,
} from '@echo-loom/core';
import { GET, POST } from '@/app/api/things/route';
import { workHere } from './apart/here-for-tests';
import { leaveDatabase, makeDatabase, sqlRows } from './database-for-tests';
import { createRig, openRig } from './rigs';
import { aroundThings, listThings, saveThings, ThingSavedMeanwhile } from './things';

workHere();
beforeAll(() => makeDatabase('things'), 30_000);
afterAll(leaveDatabase);

const mic = (name: string, more: Partial<Thing> = {}): Thing => ({
  ...blankThing(name, 'device'),
  modelRef: 'mic-dynamic-quiet',
  ...more,
});

interface Body {
  readonly saved?: readonly { id: string; version: number; before: Thing | null }[];
  readonly added?: readonly string[];
  readonly changed?: readonly string[];
  readonly same?: number;
  readonly faults?: readonly { at: string; says: string }[];
  readonly says?: string;
}
const post = async (deed: unknown): Promise<{ status: number; body: Body }> => {
  const response = await POST(
    new Request('http://127.0.0.1/api/things', {
      method: 'POST',
      headers: { 'content-type': 'application/json', host: '127.0.0.1' },
      body: JSON.stringify(deed),
    }),
  );
  return { status: response.status, body: (await response.json()) as Body };
};
const names = async () => (await listThings()).map(({ thing }) => thing.name);

describe('the list of things', () => {
  it('keeps, changes, takes off and puts back, each one version more', async () => {
    await saveThings([{ id: null, from: 0, thing: mic('Host mic') }]);
    const [changed] = await saveThings([
      { id: 'host-mic', from: 1, thing: mic('Host mic', { condition: 'worn' }) },
    ]);
    expect(changed).toMatchObject({ version: 2, before: { condition: 'good' } });
    const [off] = await saveThings([{ id: 'host-mic', from: 2, thing: null }]);
    expect(await names()).toEqual([]);
    await saveThings([{ id: 'host-mic', from: off?.version ?? 0, thing: off?.before ?? null }]);
    expect(await listThings()).toMatchObject([{ version: 4, thing: { condition: 'worn' } }]);
  });
  it('refuses what somebody changed meanwhile, and keeps nothing of the rest', async () => {
    const attempt = saveThings([
      { id: null, from: 0, thing: mic('Another') },
      { id: 'host-mic', from: 2, thing: mic('Host mic') },
    ]);
    await expect(attempt).rejects.toBeInstanceOf(ThingSavedMeanwhile);
    expect(await names()).toEqual(['Host mic']);
    const { status, body } = await post({
      does: 'save',
      things: [{ id: 'host-mic', from: 2, thing: mic('Host mic') }],
    });
    expect([status, body.says]).toEqual([409, expect.stringContaining('“Host mic”')]);
  });
  it('of two that save the same at once one wins', async () => {
    const both = await Promise.allSettled(
      ['left', 'right'].map((keptAt) =>
        saveThings([{ id: 'host-mic', from: 4, thing: mic('Host mic', { keptAt }) }]),
      ),
    );
    expect(both.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
  });
  it('refuses a model that nobody knows, and a thing that is none, by its field', async () => {
    const strange = { id: null, from: 0, thing: mic('x', { modelRef: 'own:nobody' }) };
    expect((await post({ does: 'save', things: [strange] })).status).toBe(400);
    const none = { id: null, from: 0, thing: { ...mic('x'), count: 0 } };
    const { status, body } = await post({ does: 'save', things: [none] });
    expect(status).toBe(400);
    expect(JSON.stringify(body)).toContain('things.0.thing.count');
  });
});

describe('files', () => {
  const file = () =>
    thingsToCsv([
      { id: 'tape', version: 1, thing: blankThing('Tape', 'other') },
      { id: 'lamp', version: 1, thing: { ...blankThing('Lamp', 'other'), keptAt: 'Shelf' } },
    ]) + ',Broken,gadget\r\n';
  it('are looked at first: nothing is taken, every fault is told', async () => {
    const { body } = await post({ does: 'take csv', text: file(), isSure: false });
    expect(body).toMatchObject({ added: ['Tape', 'Lamp'], changed: [], same: 0 });
    expect(body.faults?.map(({ at }) => at)).toEqual(['line 4']);
    expect(await names()).toEqual(['Host mic']);
  });
  it('are taken with their ids, once, and all of it can be taken back', async () => {
    const { body } = await post({ does: 'take csv', text: file(), isSure: true });
    expect(body.saved?.map(({ id }) => id)).toEqual(['tape', 'lamp']);
    const again = await post({ does: 'take csv', text: file(), isSure: true });
    expect(again.body).toMatchObject({ added: [], same: 2, saved: [] });
    const undo = (body.saved ?? []).map(({ id, version, before }) => ({
      id,
      from: version,
      thing: before,
    }));
    expect((await post({ does: 'save', things: undo })).status).toBe(200);
    expect(await names()).toEqual(['Host mic']);
  });
  it('give out what they take in', async () => {
    await post({ does: 'take csv', text: file(), isSure: true });
    const before = await listThings();
    const response = await GET(
      new Request('http://127.0.0.1/api/things?as=csv', { headers: { host: '127.0.0.1' } }),
    );
    expect(response.headers.get('content-type')).toMatch('text/csv');
    const text = await response.text();
    await saveThings(before.map(({ id, version }) => ({ id, from: version, thing: null })));
    await post({ does: 'take csv', text, isSure: true });
    expect((await listThings()).map(({ id, thing }) => ({ id, thing }))).toEqual(
      before.map(({ id, thing }) => ({ id, thing })),
    );
  });
});

describe('things and rigs', () => {
  const used = (name: string): Rig => {
    const rig = new RigDraft(name).device('one', 'mic-dynamic-quiet').build();
    const own = { id: 'host-mic', version: 1, thing: mic('Host mic') };
    return [
      takeCommand('device', 'one', own),
      { type: 'addShow' as const, showId: 's', show: { name: 'Show', on: '2026-12-03' } },
    ].reduce(apply, rig);
  };
  it('clash on a day, and what is offered mends it as one edit of the log', async () => {
    const [a] = [await createRig(used('One')), await createRig(used('Two'))];
    const things = await listThings();
    const { findings, uses } = await aroundThings(things, Infinity);
    expect(uses.map(({ rigName }) => rigName).sort()).toEqual(['One', 'Two']);
    expect(findings.map(({ code }) => code)).toEqual(['things.same-day']);
    const fix = findings[0]?.fixes.find(({ rigId }) => rigId === a);
    const { status } = await post({
      does: 'take in rig',
      author: 'ada-browser',
      rigId: a,
      command: fix?.command,
    });
    expect(status).toBe(200);
    expect((await aroundThings(things, Infinity)).findings).toEqual([]);
    const opened = await openRig(a);
    expect(JSON.stringify(opened)).toContain('"ownership":"to buy"');
    const rows = await sqlRows('select says from entries where rig_id = $1', [a]);
    expect(rows).toHaveLength(1);
  });
  it('takes nothing but a thing, and nothing into a rig that is not there', async () => {
    const rename = { type: 'renameRig', name: 'x' };
    expect(
      (await post({ does: 'take in rig', author: 'ada-browser', rigId: 'x', command: rename }))
        .status,
    ).toBe(400);
    const take = takeCommand('device', 'one', null);
    expect(
      (await post({ does: 'take in rig', author: 'ada-browser', rigId: 'nowhere', command: take }))
        .status,
    ).toBe(409);
  });
});
