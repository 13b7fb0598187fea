import { type OldEntry, RIG_VERSION } from '@echo-loom/core';
import { Worker } from 'node:worker_threads';
import type pg from 'pg';
import { connectAlone } from '../database';
import { type OldLog, type UpgradedText, upgradeText } from './upgrade-text';

/**
 * Logs of earlier versions, brought up to the present one when the server starts and when a backup
 * comes back: together with the document, so that what was done before can still be taken back.
 */

type Upgrade = (log: OldLog) => Promise<UpgradedText>;

/** Beside the request thread: a long log takes seconds. */
const upgradeApart: Upgrade = (log) =>
  new Promise((done, failed) => {
    const worker = new Worker(new URL('./log.worker.ts', import.meta.url), { workerData: log });
    worker.once('message', (upgraded: UpgradedText) => done(upgraded));
    worker.once('error', failed);
    worker.once('exit', () => failed(new Error('the upgrade of a log ended without an answer')));
  });

/** On this thread, for the command line. */
export const upgradeHere: Upgrade = (log) => Promise.resolve(upgradeText(log));

interface Row {
  readonly revision: number;
  readonly version: number | null;
  readonly command: unknown;
  readonly changes: OldEntry['changes'];
}

const WRITE = `
  update entries set version = fresh.version, command = fresh.command, changes = fresh.changes
  from json_to_recordset($2::json)
    as fresh(revision integer, version integer, command json, changes json)
  where entries.rig_id = $1 and entries.revision = fresh.revision`;

/** One log, in a transaction that holds its rig. @returns whether there was anything to read */
const bringUp = async (client: pg.Client, rigId: string, upgrade: Upgrade): Promise<boolean> => {
  await client.query('begin');
  try {
    const rig = await client.query<{ document: string }>(
      'select document::text as document from rigs where id = $1 for update',
      [rigId],
    );
    const log = await client.query<Row>(
      'select revision, version, command, changes from entries where rig_id = $1 order by revision',
      [rigId],
    );
    const [row] = rig.rows;
    const upgraded = row && (await upgrade({ document: row.document, entries: log.rows }));
    if (upgraded) {
      await client.query('update rigs set document = $2::json where id = $1', [
        rigId,
        upgraded.document,
      ]);
      await client.query(WRITE, [rigId, upgraded.entries]);
    }
    await client.query('commit');
    return Boolean(upgraded);
  } catch (error) {
    await client.query('rollback').catch(() => undefined);
    throw error;
  }
};

/**
 * Brings every log up that an earlier version wrote. Several instances may do it at once: each log
 * is held while it is read and written, and doing it twice changes nothing.
 * @returns how many logs were brought up
 */
export const bringLogsUp = async (upgrade: Upgrade = upgradeApart): Promise<number> => {
  const client = await connectAlone();
  let count = 0;
  try {
    const { rows } = await client.query<{ rig_id: string }>(
      'select distinct rig_id from entries where version is null or version not in (0, $1)',
      [RIG_VERSION],
    );
    for (const row of rows) if (await bringUp(client, row.rig_id, upgrade)) count++;
    return count;
  } finally {
    await client.end().catch(() => undefined);
  }
};
