import { type AskedCommand, blankRig } from '@echo-loom/core';
import { leaveDatabase, makeDatabase, sqlRows } from './database-for-tests';
import { createRig } from './rigs';
import { document, item, rename, save, taken } from './save-for-tests';

beforeAll(() => makeDatabase('undoing'), 30_000);
afterAll(leaveDatabase);

describe('undo and redo', () => {
  const start = async () => {
    const id = await createRig(blankRig('Start'));
    await save(id, [item('edit', rename('Edited'))]);
    return { id, on: { revision: 1, entryId: 'edit------' } };
  };
  const revert = (does: 'undo' | 'redo', entryId = 'edit------'): AskedCommand => ({
    type: 'revert',
    does,
    entryId,
  });

  it('are what the log says, whatever the browser claims', async () => {
    const { id, on } = await start();
    const claimed = {
      ...revert('undo'),
      label: 'Nothing to see',
      changes: [{ path: ['name'], before: 'Edited', after: 'Forged' }],
    };
    const answer = taken(await save(id, [item('forged', claimed)], on));
    expect(answer.refused[0]?.why).toContain('there is no such field as label, changes');
    expect((await document(id)).name).toBe('Edited');
    expect(taken(await save(id, [item('undo', revert('undo'))], on)).says).toEqual([
      'Took back: Renamed the rig to Edited.',
    ]);
    expect((await document(id)).name).toBe('Start');
  });

  it('are refused for entries of others, for unknown ones, and twice', async () => {
    const { id, on } = await start();
    const why = async (entry: ReturnType<typeof item>) =>
      taken(await save(id, [entry], on)).refused[0]?.why;
    expect(await why(item('stranger', revert('undo'), 'author-two'))).toBe(
      'Only edits made in this browser can be taken back here.',
    );
    expect(await why(item('unknown', revert('undo', 'no-such-entry')))).toContain(
      'is not in the log',
    );
    expect(await why(item('redo-first', revert('redo')))).toBe('This has been done again already.');
    expect(await why(item('undo', revert('undo')))).toBeUndefined();
    expect(await why(item('undo-twice', revert('undo')))).toBe('This has been taken back already.');
    expect(await why(item('redo', revert('redo')))).toBeUndefined();
    expect((await document(id)).name).toBe('Edited');
  });

  it('work on entries of the same save', async () => {
    const id = await createRig(blankRig('Start'));
    const answer = await save(id, [
      item('edit', rename('Edited')),
      item('undo', revert('undo')),
      item('redo', revert('redo')),
      item('undo-2', revert('undo')),
    ]);
    expect(taken(answer).refused).toEqual([]);
    expect((await document(id)).name).toBe('Start');
  });

  it('of entries from before this version are found, whose undos were noted in their text alone', async () => {
    const { id, on } = await start();
    await save(id, [item('undo', revert('undo'))], on);
    const rows = await sqlRows<{ found: string }>(
      'select substring(command::text from ' +
        `'^{"type":"revert","does":"(?:undo|redo)","entryId":"([^"\\\\]+)"') as found from ` +
        'entries where rig_id = $1 and reverts is not null',
      [id],
    );
    expect(rows).toEqual([{ found: 'edit------' }]);
  });
});
