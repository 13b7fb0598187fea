import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import path from 'node:path';
import { connectAlone } from './database';

/** Any number, the same in every instance: only one of them migrates at a time. */
const MIGRATION_LOCK = 4_870_001;

export const MIGRATIONS_FOLDER = path.join(process.cwd(), 'server/migrations');

/** Brings the database to the present schema. Several instances may start at once. */
export const migrateDatabase = async (folder = MIGRATIONS_FOLDER): Promise<void> => {
  const client = await connectAlone();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await migrate(drizzle(client), { migrationsFolder: folder });
  } finally {
    await client.end();
  }
};
