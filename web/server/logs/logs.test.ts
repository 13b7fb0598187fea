import { type Change, type Command, RIG_VERSION } from '@echo-loom/core';
import { oldText } from '../../../core/src/rig/files/old-files-for-cases';
import { bringLogsUp, upgradeHere } from '.';
import { leaveDatabase, makeDatabase, sqlRows } from '../database-for-tests';
import { openRig } from '../rigs';
import { saveEntries } from '../save';

beforeAll(() => makeDatabase('logs'), 30_000);
afterAll(leaveDatabase);

interface OldLog {
  readonly document: unknown;
  readonly entries: {
    readonly id: string;
    readonly command: Command;
    readonly changes: readonly Change[];
    readonly says: string;
  }[];
}
const oldLog = (version: number): OldLog =>
  JSON.parse(oldText(`second-firing.version-${version}.log.json`)) as OldLog;

const AUTHOR = 'old-author';

/** A rig and its log as an earlier version of the program left them. */
const leave = async (id: string, { document, entries }: OldLog): Promise<void> => {
  await sqlRows('insert into rigs (id, document, revision) values ($1, $2, $3)', [
    id,
    JSON.stringify(document),
    entries.length,
  ]);
  for (const [index, entry] of entries.entries())
    await sqlRows(
      `insert into entries (rig_id, revision, entry_id, author, command, changes, says, reverts)
       values ($1, $2, $3, $4, $5, $6, $7, $8)`,
      [
        id,
        index + 1,
        entry.id,
        AUTHOR,
        JSON.stringify(entry.command),
        JSON.stringify(entry.changes),
        entry.says,
        entry.command.type === 'revert' ? entry.command.entryId : null,
      ],
    );
};

const undo = async (id: string, entryId: string) => {
  const open = await openRig(id);
  const on = { revision: open?.revision ?? 0, entryId: open?.entries.at(-1)?.id ?? null };
  const command = { type: 'revert', does: 'undo', entryId };
  const entries = [{ id: `undo-of-${entryId}`, author: AUTHOR, command }];
  return saveEntries(id, { version: RIG_VERSION, on, entries });
};

describe('logs of earlier versions', () => {
  it.each([2, 3, 4])('of version %i are brought up, and taken back across it', async (version) => {
    const id = `old-${version}`;
    const old = oldLog(version);
    await leave(id, old);
    expect(await bringLogsUp(upgradeHere)).toBe(1);
    const open = await openRig(id);
    expect(open?.rig.version).toBe(RIG_VERSION);
    expect(open?.entries.map((entry) => entry.version)).toEqual(old.entries.map(() => RIG_VERSION));
    const last = old.entries.at(-1)?.id ?? '';
    expect(await undo(id, last)).toMatchObject({ status: 'taken', refused: [] });
    expect(await bringLogsUp(upgradeHere)).toBe(0);
  });

  it('that do not fit keep their words, and an undo of them is refused in words', async () => {
    const old = oldLog(4);
    const [first] = old.entries;
    const torn = old.entries.map((entry, index) =>
      index === 1 ? { ...entry, changes: [{ path: ['name'], before: 'x', after: 'y' }] } : entry,
    );
    await leave('torn', { ...old, entries: torn });
    expect(await bringLogsUp(upgradeHere)).toBe(1);
    const open = await openRig('torn');
    expect(open?.entries.map((entry) => entry.version).slice(0, 3)).toEqual([0, 0, RIG_VERSION]);
    expect(open?.entries.map(({ says }) => says)).toEqual(old.entries.map(({ says }) => says));
    expect(await undo('torn', first?.id ?? '')).toMatchObject({
      refused: [{ why: expect.stringContaining('earlier version of Echo Loom') as string }],
    });
    expect(await bringLogsUp(upgradeHere)).toBe(0);
  });

  it('of a rig that cannot be read are left as they are', async () => {
    const old = oldLog(4);
    await leave('unreadable', { ...old, document: { version: 4, devices: 'gone' } });
    expect(await bringLogsUp(upgradeHere)).toBe(0);
    const rows = await sqlRows<{ version: number | null }>(
      `select distinct version from entries where rig_id = 'unreadable'`,
    );
    expect(rows).toEqual([{ version: null }]);
  });

  it('of 8,000 entries are brought up in one go', async () => {
    const { document } = oldLog(4);
    await sqlRows('insert into rigs (id, document, revision) values ($1, $2, 8000)', [
      'long',
      JSON.stringify({ ...(document as object), notes: '8000' }),
    ]);
    await sqlRows(
      `insert into entries (rig_id, revision, entry_id, author, command, changes, says)
       select 'long', n, 'entry-' || n, 'old-author',
         json_build_object('type', 'writeNotes', 'notes', n::text),
         json_build_array(json_build_object(
           'path', json_build_array('notes'), 'before', (n - 1)::text, 'after', n::text)),
         'Wrote the notes.'
       from generate_series(1, 8000) as n`,
    );
    expect(await bringLogsUp(upgradeHere)).toBe(1);
    const [count] = await sqlRows<{ count: string }>(
      `select count(*) from entries where rig_id = 'long' and version = $1`,
      [RIG_VERSION],
    );
    expect(count?.count).toBe('8000');
  }, 180_000);
});
