import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import * as schema from './schema';

export type Database = NodePgDatabase<typeof schema>;

interface Connections {
  database?: Database;
  health?: pg.Pool;
}

/** Kept on `globalThis`, so that every module instance of the server shares one pool. */
const store = globalThis as typeof globalThis & { echoLoom?: Connections };

/** How long a statement may take before the database ends it, and how long it may wait for a row. @unit ms */
const STATEMENT_MS = 15_000;
const LOCK_MS = 3_000;
const CONNECT_MS = 5_000;

/** Where the database is. @throws Error when `DATABASE_URL` is not set */
export const databaseUrl = (): string => {
  const url = process.env.DATABASE_URL;
  if (!url) {
    throw new Error(
      'DATABASE_URL is not set; start the application with bin/demo, or set it to a PostgreSQL address',
    );
  }
  return url;
};

/**
 * A pool that outlives its database: a connection that breaks is thrown away, and the next request makes another. A
 * broken connection is told to whoever was using it by their query; the event itself says nothing new.
 */
const makePool = (more: pg.PoolConfig): pg.Pool => {
  const pool = new pg.Pool({
    connectionString: databaseUrl(),
    connectionTimeoutMillis: CONNECT_MS,
    idleTimeoutMillis: 60_000,
    allowExitOnIdle: true,
    ...more,
  });
  pool.on('error', () => undefined);
  pool.on('connect', (client) => client.on('error', () => undefined));
  return pool;
};

/** The pool, made at first use: building the application needs no database. */
export const database = (): Database => {
  const connections = (store.echoLoom ??= {});
  connections.database ??= drizzle(
    makePool({
      max: 10,
      statement_timeout: STATEMENT_MS,
      lock_timeout: LOCK_MS,
      idle_in_transaction_session_timeout: STATEMENT_MS,
    }),
    { schema },
  );
  return connections.database;
};

/** A connection of its own for asking whether the database is there: it never waits behind saves. */
export const healthPool = (): pg.Pool => {
  const connections = (store.echoLoom ??= {});
  connections.health ??= makePool({
    max: 1,
    statement_timeout: 2_000,
    connectionTimeoutMillis: 2_000,
  });
  return connections.health;
};

/** Whether the database answers, within two seconds. */
export const isDatabaseThere = (): Promise<boolean> =>
  healthPool()
    .query('select 1')
    .then(
      () => true,
      () => false,
    );

/** A single connection without limits, for work that takes as long as it takes. @returns connected; to be ended */
export const connectAlone = async (): Promise<pg.Client> => {
  const client = new pg.Client({
    connectionString: databaseUrl(),
    connectionTimeoutMillis: CONNECT_MS,
  });
  client.on('error', () => undefined);
  await client.connect();
  return client;
};
