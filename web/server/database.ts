import { drizzle, type PostgresJsDatabase } from 'drizzle-orm/postgres-js';
import postgres from 'postgres';
import * as schema from './schema';

export type Database = PostgresJsDatabase<typeof schema>;

interface Connections {
  database?: Database;
}

/** Kept on `globalThis`, so that every module instance of the server shares one pool. */
const store = globalThis as typeof globalThis & { echoLoom?: Connections };

/** Where the database is. @throws Error when `DATABASE_URL` is not set */
export const databaseUrl = (): string => {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; start the application with bin/demo, or set it to a PostgreSQL address');
  return url;
};

/** The pool, made at first use: building the application needs no database. */
export const database = (): Database => {
  const connections = (store.echoLoom ??= {});
  connections.database ??= drizzle(postgres(databaseUrl(), { max: 10, connect_timeout: 5, idle_timeout: 60, onnotice: () => undefined }), { schema });
  return connections.database;
};
