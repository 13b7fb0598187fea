import path from 'node:path';
import pg from 'pg';
import { database, healthPool } from './database';
import { migrateDatabase } from './migrate';

/** A fresh database in the PostgreSQL that bin/test started, for one test file. */

const clusterAddress = (): string => {
  const address = process.env.TEST_DATABASE_URL;
  if (!address) throw new Error('TEST_DATABASE_URL is not set; run bin/test --unit');
  return address;
};

export const FOLDER = path.resolve('web/server/migrations');

/** Makes the database and points the application at it. @param name lower-case letters */
export const makeDatabase = async (name: string): Promise<string> => {
  const address = clusterAddress();
  const unique = `${name}_${process.pid}`;
  const client = new pg.Client({ connectionString: address });
  await client.connect();
  await client.query(`create database ${unique}`);
  await client.end();
  process.env.DATABASE_URL = address.replace(/\/[^/]*$/, `/${unique}`);
  // Two instances that start at once.
  await Promise.all([migrateDatabase(FOLDER), migrateDatabase(FOLDER)]);
  return process.env.DATABASE_URL;
};

/** Runs one statement on a connection of its own. */
export const sqlRows = async <Row extends pg.QueryResultRow>(
  text: string,
  values: unknown[] = [],
): Promise<Row[]> => {
  const client = new pg.Client({ connectionString: process.env.DATABASE_URL });
  await client.connect();
  try {
    return (await client.query<Row>(text, values)).rows;
  } finally {
    await client.end();
  }
};

export const leaveDatabase = async (): Promise<void> => {
  await (database() as unknown as { $client: pg.Pool }).$client.end();
  await healthPool().end();
};
