import { blankRig } from '@echo-loom/core';
import type { RigEvent } from '@/session/protocol';
import { leaveDatabase, makeDatabase } from './database-for-tests';
import { onRigChange } from './events';
import { createRig } from './rigs';
import { item, rename, save, START } from './save-for-tests';

beforeAll(() => makeDatabase('events'), 30_000);
afterAll(leaveDatabase);

/** What a listener hears of a rig, and a way to wait for the next. */
const listening = (rigId: string) => {
  const heard: RigEvent[] = [];
  const stop = onRigChange(rigId, (event) => heard.push(event));
  const until = async (isThere: (heard: readonly RigEvent[]) => boolean): Promise<void> => {
    for (let n = 0; n < 200 && !isThere(heard); n++)
      await new Promise((done) => setTimeout(done, 25));
    expect(isThere(heard)).toBe(true);
  };
  return { heard, stop, until };
};
const revisions = (heard: readonly RigEvent[]): number[] =>
  heard.flatMap((event) => (event.tells === 'entries' ? [event.revision] : []));

describe('whoever listens to a rig', () => {
  it('is told to look once it is listened for, then of every save in its order, with what was saved', async () => {
    const id = await createRig(blankRig('Heard'));
    const { heard, stop, until } = listening(id);
    await until((all) => all.some(({ tells }) => tells === 'look'));
    await save(id, [item('one', rename('One')), item('two', rename('Two'))]);
    await until((all) => revisions(all).at(-1) === 2);
    await save(id, [item('three', rename('Three'))], { revision: 2, entryId: 'two-------' });
    await until((all) => revisions(all).at(-1) === 3);
    const told = heard.flatMap((event) =>
      event.tells === 'entries' ? (event.entries ?? []).map(({ revision }) => revision) : [],
    );
    expect(told).toEqual([1, 2, 3]);
    expect(heard.every(({ rigId }) => rigId === id)).toBe(true);
    stop();
    const before = heard.length;
    await save(id, [item('four', rename('Four'))], { revision: 3, entryId: 'three-----' });
    await new Promise((done) => setTimeout(done, 200));
    expect(heard).toHaveLength(before);
  });
  it('hears nothing of another rig', async () => {
    const [mine, other] = [await createRig(blankRig('Mine')), await createRig(blankRig('Other'))];
    const { heard, stop, until } = listening(mine);
    await save(other, [item('theirs', rename('Theirs'))], START);
    await save(mine, [item('mine', rename('Ours'))], START);
    await until((all) => revisions(all).at(-1) === 1);
    expect(heard.every(({ rigId }) => rigId === mine)).toBe(true);
    stop();
  });
});
