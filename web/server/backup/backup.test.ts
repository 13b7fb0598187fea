import { blankRig, RIG_VERSION } from '@echo-loom/core';
import { getTableName, is } from 'drizzle-orm';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { PgTable } from 'drizzle-orm/pg-core';
import { createWriteStream } from 'node:fs';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { gunzipSync, gzipSync } from 'node:zlib';
import { FOLDER, leaveDatabase, makeDatabase, sqlRows } from '../database-for-tests';
import { createRigFromText, findRaw, setDeleted } from '../rigs';
import { saveEntries } from '../save';
import * as schema from '../schema';
import { settleStudio } from '../studio';
import { restoreBackup } from './restore';
import { TABLES, WORKED_OUT } from './tables';
import { backupName, writeBackup } from './write';

let folder = '';
beforeAll(async () => {
  await makeDatabase('backup');
  folder = await mkdtemp(path.join(tmpdir(), 'backup-test-'));
}, 30_000);
afterAll(async () => {
  await rm(folder, { recursive: true });
  await leaveDatabase();
});

const save = async (name: string): Promise<string> => {
  const file = path.join(folder, name);
  await pipeline(writeBackup(), createWriteStream(file));
  return file;
};
const write = async (name: string, lines: readonly string[]): Promise<string> => {
  const file = path.join(folder, name);
  await writeFile(file, gzipSync(lines.map((line) => `${line}\n`).join('')));
  return file;
};
const linesOf = async (file: string): Promise<string[]> =>
  gunzipSync(await readFile(file))
    .toString()
    .trimEnd()
    .split('\n');

/** Every byte of every table, as PostgreSQL writes it. */
const everything = async (): Promise<string> => {
  const parts = await Promise.all(
    TABLES.map((table) =>
      sqlRows<{ row: string }>(`select t::text as row from "${table}" t order by 1`),
    ),
  );
  return parts
    .flat()
    .map(({ row }) => row)
    .join('\n');
};

const fill = async (): Promise<void> => {
  // A document with what is hard to keep: an escaped NUL, half a character, spaces nobody would write again.
  const awkward = JSON.stringify({
    ...blankRig('Awkward'),
    notes: 'a\u0000b\uD800 \u2028 "quoted" \\ end',
  }).replace('"places":{}', '"places" :  {  }');
  const id = await createRigFromText(awkward);
  const entry = (n: number, name: string) => ({
    id: `entry-${id.slice(0, 6)}-${n}`,
    author: 'author-one',
    command: { type: 'renameRig', name },
  });
  await saveEntries(id, {
    version: RIG_VERSION,
    on: { revision: 0, entryId: null },
    entries: [entry(1, 'One, "two"'), entry(2, 'Three\\')],
  });
  await createRigFromText('{"version":99,"left":"as it is"}');
  const away = await createRigFromText(JSON.stringify(blankRig('Away')));
  await setDeleted(away, true);
  await settleStudio({ currency: 'NOK', places: ['Shed'], temperatureC: 17.5 });
};

describe('a backup', () => {
  it('has every table of the schema, and of the database, but for what is worked out anew', async () => {
    const inSchema = Object.values(schema).flatMap((table) =>
      is(table, PgTable) ? [getTableName(table)] : [],
    );
    const inDatabase = await sqlRows<{ name: string }>(
      `select tablename as name from pg_tables where schemaname = 'public'`,
    );
    const all = [...TABLES, ...WORKED_OUT].sort();
    expect(all).toEqual(inSchema.sort());
    expect(all).toEqual(inDatabase.map(({ name }) => name).sort());
  });

  it('brings everything back to the byte, whatever stands there meanwhile', async () => {
    await fill();
    const before = await everything();
    const file = await save('whole.gz');
    await settleStudio({ currency: 'EUR' });
    const later = await createRigFromText(JSON.stringify(blankRig('Later')));
    await sqlRows(`delete from entries`);
    const restored = await restoreBackup(file, FOLDER);
    expect(restored.rows).toEqual({
      rigs: 3,
      entries: 2,
      studio: 1,
      own_models: 0,
      things: 0,
      runs: 0,
      run_events: 0,
    });
    expect(await everything()).toBe(before);
    expect(await findRaw(later)).toBeNull();
    // And what was restored is a database like any other.
    const again = await save('again.gz');
    expect((await linesOf(again)).slice(1, -1)).toEqual((await linesOf(file)).slice(1, -1));
  }, 30_000);

  it('of an older version is brought up to the present, with what its migrations do to rows', async () => {
    const [header = '', ...rows] = await linesOf(await save('present.gz'));
    const { tables, migrations, ...rest } = JSON.parse(header) as {
      tables: { name: string; columns: string[] }[];
      migrations: string[];
    };
    const undo = {
      type: 'revert',
      does: 'undo',
      entryId: 'entry-old',
      label: 'Before',
      changes: [{ path: ['name'], before: 'x', after: 'y' }],
    };
    /** Columns that the tables had not yet */
    const SINCE = new Set([
      'reverts',
      'version',
      'mains',
      'temperature_c',
      'places',
      'lengths',
      'paper',
    ]);
    const older = {
      ...rest,
      migrations: migrations.slice(0, 2),
      // The library, the things and the runs came later than that.
      tables: tables
        .filter(({ name }) => !['own_models', 'things', 'runs', 'run_events'].includes(name))
        .map(({ name, columns }) => ({
          name,
          columns: columns.filter((column) => !SINCE.has(column)),
        })),
    };
    const entries = tables[1]?.columns ?? [];
    const olderRows = rows.slice(0, -1).map((line) => {
      const [table, row] = JSON.parse(line) as [number, (string | null)[]];
      if (table === 1) row[entries.indexOf('command')] = JSON.stringify(undo);
      const columns = tables[table]?.columns ?? [];
      return JSON.stringify([table, row.filter((_, index) => !SINCE.has(columns[index] ?? ''))]);
    });
    const body = [JSON.stringify(older), ...olderRows];
    const end = JSON.stringify({ end: olderRows.length, sha256: await digestOf(body) });
    await restoreBackup(await write('older.gz', [...body, end]), FOLDER);
    expect(await sqlRows('select distinct reverts from entries')).toEqual([
      { reverts: 'entry-old' },
    ]);
    const applied = await sqlRows(
      'select hash from drizzle.__drizzle_migrations order by created_at',
    );
    expect(applied).toEqual(
      readMigrationFiles({ migrationsFolder: FOLDER }).map(({ hash }) => ({ hash })),
    );
  }, 30_000);

  it('has a name with its day', () =>
    expect(backupName(new Date('2026-11-26T05:00:00Z'))).toBe('echo-loom-2026-11-26.backup.gz'));
});

const digestOf = async (lines: readonly string[]): Promise<string> => {
  const { createHash } = await import('node:crypto');
  return createHash('sha256')
    .update(lines.map((line) => `${line}\n`).join(''))
    .digest('hex');
};

describe('a file that cannot be restored', () => {
  it('says why, and changes nothing', async () => {
    await fill();
    const file = await save('good.gz');
    const lines = await linesOf(file);
    const bytes = await readFile(file);
    const header = JSON.parse(lines[0] ?? '') as object;
    const put = async (name: string, content: Buffer | string): Promise<string> => {
      await writeFile(path.join(folder, name), content);
      return path.join(folder, name);
    };
    const sealed = async (name: string, body: readonly string[]) =>
      write(name, [
        ...body,
        JSON.stringify({ end: body.length - 1, sha256: await digestOf(body) }),
      ]);
    const cases: [string, RegExp][] = [
      [await put('empty', ''), /cut off|empty/],
      [await put('text', 'not a backup'), /not a backup/],
      [await put('half.gz', bytes.subarray(0, bytes.length / 2)), /cut off/],
      [await put('rig.gz', gzipSync(JSON.stringify(blankRig('A rig')))), /middle of a line/],
      [await write('no-end.gz', lines.slice(0, -1)), /its end is missing/],
      [await write('short.gz', [...lines.slice(0, 1), ...lines.slice(2)]), /changed or damaged/],
      [
        await write(
          'changed.gz',
          lines.map((line) => line.replace('Awkward', 'Forged')),
        ),
        /changed or damaged/,
      ],
      [await write('more.gz', [...lines, lines[1] ?? '']), /follows its end/],
      [await sealed('newer.gz', [JSON.stringify({ ...header, version: 2 })]), /newer version/],
      [
        await sealed('migrations.gz', [JSON.stringify({ ...header, migrations: ['unknown'] })]),
        /newer version/,
      ],
      [
        await sealed('table.gz', [
          JSON.stringify({ ...header, tables: [{ name: 'pg_authid', columns: ['rolname'] }] }),
        ]),
        /table pg_authid/,
      ],
      [
        await sealed('column.gz', [
          JSON.stringify({ ...header, tables: [{ name: 'rigs', columns: ['id', 'no_such'] }] }),
        ]),
        /no_such that there is no place for/,
      ],
      [
        await sealed('quote.gz', [
          JSON.stringify({
            ...header,
            tables: [{ name: 'rigs"; drop table rigs; --', columns: ['id'] }],
          }),
        ]),
        /not what stands there/,
      ],
      [
        await sealed('type.gz', [
          JSON.stringify({ ...header, tables: [{ name: 'studio', columns: ['id', 'currency'] }] }),
          '[0,["many","EUR"]]',
        ]),
        /row of studio cannot be written/,
      ],
      [await sealed('row.gz', [lines[0] ?? '', '[9,["x"]]']), /belongs to no table/],
      [await sealed('width.gz', [lines[0] ?? '', '[2,["1"]]']), /belongs to no table/],
    ];
    const before = await everything();
    for (const [broken, says] of cases) {
      await expect(restoreBackup(broken, FOLDER)).rejects.toThrow(says);
      expect(await everything()).toBe(before);
    }
  }, 60_000);
});
