import { analyse, blankRig } from '@echo-loom/core';
import { demo } from '@/features/rig/rig-for-tests';
import { workHere } from '../apart/here-for-tests';
import { leaveDatabase, makeDatabase, sqlRows } from '../database-for-tests';
import { createRig, setDeleted } from '../rigs';
import { readSchedule } from '../schedule';
import { digestOf } from './digest';
import { digested } from '.';

const store = globalThis as typeof globalThis & {
  echoLoomJudge?: (rig: { rigId: string; document: string }) => Promise<unknown>;
};
let judged: string[] = [];
/** What holds the judge up, until it is let go. */
let held: Promise<void> | null = null;

beforeAll(async () => {
  await makeDatabase('digests');
  workHere();
  store.echoLoomJudge = async ({ rigId, document }) => {
    judged.push(rigId);
    await held;
    return digestOf(rigId, document);
  };
}, 30_000);
afterAll(leaveDatabase);
beforeEach(() => {
  judged = [];
  held = null;
});

const renameTo = (id: string, name: string) =>
  sqlRows(
    `update rigs set document = jsonb_set(document::jsonb, '{name}', $2::jsonb)::json where id = $1`,
    [id, JSON.stringify(name)],
  );

describe('what is known of a rig', () => {
  it('is worked out once for each document, and is what an analysis says', async () => {
    const rig = demo('night-tide');
    const id = await createRig(rig);
    const [one] = await digested(id, Infinity);
    expect(one).toMatchObject({
      id,
      name: rig.name,
      isNow: true,
      digest: {
        is: 'read',
        verdict: analyse(rig).verdict,
        devices: Object.keys(rig.devices).length,
      },
    });
    await digested(id, Infinity);
    await digested(undefined, Infinity);
    expect(judged).toEqual([id]);
    await renameTo(id, 'Night Ebb');
    expect((await digested(id, Infinity))[0]?.digest).toMatchObject({ name: 'Night Ebb' });
    expect(judged).toEqual([id, id]);
  });
  it('is not waited for: the name is of now, what was worked out is said to be of before', async () => {
    const id = await createRig(blankRig('Before'));
    await digested(id, Infinity);
    let letGo = (): void => undefined;
    held = new Promise((done) => {
      letGo = () => done();
    });
    await renameTo(id, 'After');
    const [late] = await digested(id, 1);
    expect(late).toMatchObject({ name: 'After', isNow: false, digest: { name: 'Before' } });
    expect((await readSchedule(1)).behind).toBe(1);
    letGo();
    expect((await digested(id, Infinity))[0]).toMatchObject({ name: 'After', isNow: true });
  });
  it('says of one that cannot be read where and why, and harms no other', async () => {
    const id = await createRig(blankRig('Broken'));
    await sqlRows(`update rigs set document = '{"version":99}' where id = $1`, [id]);
    const all = await digested(undefined, Infinity);
    expect(all.find((one) => one.id === id)?.digest).toMatchObject({
      is: 'unreadable',
      why: expect.stringContaining('version'),
    });
    expect(all.filter(({ digest }) => digest?.is === 'read').length).toBeGreaterThan(0);
    expect((await readSchedule(Infinity)).unread).toBe(1);
    await setDeleted(id, true);
    expect((await digested(undefined, Infinity)).map((one) => one.id)).not.toContain(id);
  });
});
