import path from 'node:path';
import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/postgres-js';
import { migrate } from 'drizzle-orm/postgres-js/migrator';
import postgres from 'postgres';
import { databaseUrl } from './database';

/** Any number, the same in every instance: only one of them migrates at a time. */
const MIGRATION_LOCK = 4_870_001;

/** Brings the database to the present schema. Several instances may start at once. */
export const migrateDatabase = async (folder = path.join(process.cwd(), 'server/migrations')): Promise<void> => {
  const client = postgres(databaseUrl(), { max: 1, onnotice: () => undefined });
  const connection = drizzle(client);
  try {
    await connection.execute(sql`select pg_advisory_lock(${MIGRATION_LOCK})`);
    await migrate(connection, { migrationsFolder: folder });
  } finally {
    await client.end({ timeout: 5 });
  }
};
