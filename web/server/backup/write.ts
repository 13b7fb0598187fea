import { createHash } from 'node:crypto';
import { createGzip } from 'node:zlib';
import { pipeline, Readable } from 'node:stream';
import type pg from 'pg';
import { connectAlone } from '../database';
import { FORMAT, FORMAT_VERSION, type Header } from './format';
import { rowsAtOnce, TABLES } from './tables';

const columnsOf = async (client: pg.Client, table: string): Promise<string[]> => {
  const { rows } = await client.query<{ name: string }>(
    `select attname as name from pg_attribute
     where attrelid = to_regclass($1) and attnum > 0 and not attisdropped order by attnum`,
    [`public.${table}`],
  );
  return rows.map(({ name }) => name);
};

const migrationsOf = async (client: pg.Client): Promise<string[]> => {
  const { rows } = await client.query<{ hash: string }>(
    'select hash from drizzle.__drizzle_migrations order by created_at',
  );
  return rows.map(({ hash }) => hash);
};

/** The rows of a table as lines, read bit by bit. */
async function* rowsOf(
  client: pg.Client,
  place: number,
  table: string,
  columns: readonly string[],
): AsyncGenerator<string> {
  const texts = columns.map((column) => `"${column}"::text`).join(', ');
  await client.query(
    `declare backup_${place} no scroll cursor for select ${texts} from "${table}"`,
  );
  for (;;) {
    const { rows } = await client.query<(string | null)[]>({
      text: `fetch ${rowsAtOnce(table)} from backup_${place}`,
      rowMode: 'array',
    });
    if (rows.length === 0) break;
    for (const row of rows) yield JSON.stringify([place, row]);
  }
  await client.query(`close backup_${place}`);
}

/** Every line of a backup. All of it is of one moment, whatever is saved meanwhile. */
async function* lines(): AsyncGenerator<string> {
  const client = await connectAlone();
  try {
    await client.query('begin isolation level repeatable read read only');
    const tables: Header['tables'] = [];
    for (const name of TABLES) tables.push({ name, columns: await columnsOf(client, name) });
    const migrations = await migrationsOf(client);
    const made = new Date().toISOString();
    const header: Header = { format: FORMAT, version: FORMAT_VERSION, made, migrations, tables };
    const digest = createHash('sha256');
    let rows = 0;
    const noted = (line: string): string => {
      digest.update(`${line}\n`);
      return `${line}\n`;
    };
    yield noted(JSON.stringify(header));
    for (const [place, { name, columns }] of tables.entries()) {
      for await (const row of rowsOf(client, place, name, columns)) {
        rows++;
        yield noted(row);
      }
    }
    yield `${JSON.stringify({ end: rows, sha256: digest.digest('hex') })}\n`;
  } finally {
    await client.end().catch(() => undefined);
  }
}

/** Everything in the database as one file. @returns its bytes, as they are made; an error ends them */
export const writeBackup = (): Readable =>
  // Whoever reads hears of an error as the end of what they read; nobody else needs to.
  pipeline(Readable.from(lines()), createGzip(), () => undefined);

/** `echo-loom-2026-11-26.backup.gz` */
export const backupName = (now: Date): string =>
  `echo-loom-${now.toISOString().slice(0, 10)}.backup.gz`;
