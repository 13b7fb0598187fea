import { readMigrationFiles, type MigrationMeta } from 'drizzle-orm/migrator';
import type pg from 'pg';
import { CHANNEL, type Notice } from '../channel';
import { connectAlone } from '../database';
import { BackupProblem, codeOf, type Header, type Row } from './format';
import { readBackup } from './read';
import { TABLES, WORKED_OUT } from './tables';

export interface Restored {
  /** Rows of each table */
  readonly rows: Readonly<Record<string, number>>;
}

/** The migrations a backup was made under; the rest bring its rows up to the present. */
const splitMigrations = (
  header: Header,
  all: readonly MigrationMeta[],
): [MigrationMeta[], MigrationMeta[]] => {
  const isKnown = header.migrations.every((hash, index) => all[index]?.hash === hash);
  if (!isKnown)
    throw new BackupProblem(
      'It was written by a newer version of Echo Loom; this one is older and cannot read it.',
    );
  return [all.slice(0, header.migrations.length), all.slice(header.migrations.length)];
};

const migrateWith = async (
  client: pg.Client,
  migrations: readonly MigrationMeta[],
): Promise<void> => {
  for (const { sql, hash, folderMillis } of migrations) {
    for (const statement of sql) if (statement.trim() !== '') await client.query(statement);
    await client.query(
      'insert into drizzle.__drizzle_migrations (hash, created_at) values ($1, $2)',
      [hash, folderMillis],
    );
  }
};

/** Tables as they were when the backup was made, empty. */
const makeTables = async (
  client: pg.Client,
  migrations: readonly MigrationMeta[],
): Promise<void> => {
  await client.query(
    `drop table if exists ${[...TABLES, ...WORKED_OUT].map((name) => `public."${name}"`).join(', ')} cascade`,
  );
  await client.query('delete from drizzle.__drizzle_migrations');
  await migrateWith(client, migrations);
};

/** The type of each column of a table, for the casts that give text its meaning back. */
const typesOf = async (client: pg.Client, table: string): Promise<ReadonlyMap<string, string>> => {
  const { rows } = await client.query<{ name: string; type: string }>(
    `select attname as name, format_type(atttypid, atttypmod) as type from pg_attribute
     where attrelid = to_regclass($1) and attnum > 0 and not attisdropped`,
    [`public.${table}`],
  );
  return new Map(rows.map(({ name, type }) => [name, type]));
};

/** The statement that puts rows, given as one array of texts a column, into a table. */
const insertInto = async (
  client: pg.Client,
  { name, columns }: Header['tables'][number],
): Promise<string> => {
  const types = await typesOf(client, name);
  const casts = columns.map((column) => {
    const type = types.get(column);
    if (type === undefined)
      throw new BackupProblem(`It has a column ${name}.${column} that there is no place for.`);
    return `"${column}"::${type}`;
  });
  const quoted = columns.map((column) => `"${column}"`).join(', ');
  const arrays = columns.map((_, index) => `$${index + 1}::text[]`).join(', ');
  return `insert into public."${name}" (${quoted}) select ${casts.join(', ')} from unnest(${arrays}) as row(${quoted})`;
};

/** Rows written at once. */
const AT_ONCE = 100;
/** Written sooner where they are large. @unit characters */
const LARGE = 8 * 1024 * 1024;

/** Rows of one table waiting to be written. */
class Batch {
  private rows: (readonly (string | null)[])[] = [];
  private size = 0;
  written = 0;

  constructor(
    private readonly client: pg.Client,
    private readonly insert: string,
    private readonly table: string,
  ) {}

  async add(row: readonly (string | null)[]): Promise<void> {
    this.rows.push(row);
    for (const text of row) this.size += text?.length ?? 0;
    if (this.rows.length >= AT_ONCE || this.size > LARGE) await this.write();
  }

  async write(): Promise<void> {
    const { rows } = this;
    if (rows.length === 0) return;
    const columns = (rows[0] ?? []).map((_, column) => rows.map((row) => row[column] ?? null));
    try {
      await this.client.query(this.insert, columns);
    } catch (error) {
      const why = error instanceof Error ? error.message : 'unknown';
      // Class 22 is a value that is none of its type, 23 one that breaks the table's rules: the file's fault, not ours.
      if (/^2[23]/.test(codeOf(error)))
        throw new BackupProblem(`A row of ${this.table} cannot be written: ${why}.`);
      throw error;
    }
    this.written += rows.length;
    this.rows = [];
    this.size = 0;
  }
}

/** Reads a backup to its end without touching anything. @throws BackupProblem */
const checkWhole = async (path: string, all: readonly MigrationMeta[]): Promise<Header> => {
  let header: Header | null = null;
  for await (const piece of readBackup(path)) {
    if (!('header' in piece)) continue;
    header = piece.header;
    splitMigrations(header, all);
    const unknown = header.tables.find(({ name }) => !TABLES.includes(name));
    if (unknown)
      throw new BackupProblem(`It has a table ${unknown.name} that is none of Echo Loom.`);
  }
  if (!header) throw new BackupProblem('It is empty.');
  return header;
};

const writeRows = async (client: pg.Client, path: string, header: Header): Promise<Restored> => {
  const batches: Batch[] = [];
  for (const table of header.tables)
    batches.push(new Batch(client, await insertInto(client, table), table.name));
  for await (const piece of readBackup(path)) if ('row' in piece) await put(batches, piece.row);
  for (const batch of batches) await batch.write();
  return {
    rows: Object.fromEntries(
      header.tables.map(({ name }, place) => [name, batches[place]?.written ?? 0]),
    ),
  };
};

/** Tables refer to earlier ones, so those must be written before a row of a later one is. */
const put = async (batches: readonly Batch[], [place, row]: Row): Promise<void> => {
  for (const earlier of batches.slice(0, place)) await earlier.write();
  await batches[place]?.add(row);
};

/**
 * Puts everything of a backup in the place of everything that is there, in one transaction: all or nothing. A backup of
 * an older version is restored as it was and brought up to the present as a database of that version would be.
 * @param path of the file
 * @param folder of the migrations
 * @throws BackupProblem when the file is no backup that can be restored here; then nothing has changed
 */
export const restoreBackup = async (path: string, folder: string): Promise<Restored> => {
  const all = readMigrationFiles({ migrationsFolder: folder });
  const header = await checkWhole(path, all);
  const [before, since] = splitMigrations(header, all);
  const client = await connectAlone();
  try {
    await client.query('begin');
    await client.query(`set local lock_timeout = '10s'`);
    await makeTables(client, before);
    const restored = await writeRows(client, path, header);
    await migrateWith(client, since);
    const notice: Notice = { rigId: null, saved: null };
    await client.query('select pg_notify($1, $2)', [CHANNEL, JSON.stringify(notice)]);
    await client.query('commit');
    return restored;
  } finally {
    await client.end().catch(() => undefined);
  }
};
