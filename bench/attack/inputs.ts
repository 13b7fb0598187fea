import { readFileSync } from 'node:fs';
import http from 'node:http';
import pg from 'pg';
import type { Served } from '../../e2e/served';
import type { Input } from './doors';
import { makeDoors } from './doors';
import { pick, randomFrom } from './spoil';

/** Broken inputs by the thousand, over every door there is, each from a seed so that a run can be had again. */

export interface InputsResult {
  readonly inputs: number;
  readonly byDoor: Readonly<Record<string, number>>;
  readonly byStatus: Readonly<Record<string, number>>;
  readonly crashes: number;
  readonly serverErrors: readonly string[];
  /** Inputs that were refused and changed something all the same */
  readonly silentChanges: number;
}

/** How many of each door, of a hundred. */
const SHARES: Readonly<Record<string, number>> = {
  import: 20,
  entries: 20,
  shelf: 10,
  library: 10,
  things: 8,
  runs: 8,
  query: 14,
  events: 5,
  restore: 6,
  pages: 4,
  headers: 5,
};

const agent = new http.Agent({ keepAlive: true, maxSockets: 8 });

/** Sends an input as it is: no client straightens what is crooked. @returns the status, 0 where the connection broke */
const send = (port: number, { method, path, headers = {}, body = '' }: Input): Promise<number> =>
  new Promise((done) => {
    try {
      const length = Buffer.byteLength(body);
      const request = http.request(
        {
          agent,
          host: '127.0.0.1',
          port,
          method,
          path,
          headers: {
            ...headers,
            ...(method === 'GET' || method === 'HEAD' ? {} : { 'content-length': length }),
          },
          timeout: 30_000,
        },
        (response) => {
          response.on('error', () => done(0));
          response.on('end', () => done(response.statusCode ?? 0));
          // An event stream has no end of its own.
          if (response.headers['content-type'] === 'text/event-stream') {
            done(response.statusCode ?? 0);
            response.destroy();
          } else response.resume();
        },
      );
      request.on('error', () => done(0));
      request.on('timeout', () => request.destroy());
      if (method !== 'GET' && method !== 'HEAD') request.write(body);
      request.end();
    } catch {
      // A header or path that Node itself will not send: no input at all.
      done(-1);
    }
  });

/** Everything that the database holds, as one number; rigs that were made in the run are left out. */
const digest = async (client: pg.Client): Promise<string> => {
  const { rows } = await client.query<{ digest: string }>(
    `select md5(
      coalesce((select string_agg(
        id || revision || md5(document::text) || coalesce(deleted_at::text, ''), ',' order by id
      ) from rigs), '')
      || coalesce((select string_agg(
        rig_id || revision || entry_id, ',' order by rig_id, revision
      ) from entries), '')
      || coalesce((select string_agg(currency, ',') from studio), '')
      || coalesce((select string_agg(id || version || md5(model::text), ',' order by id, version) from own_models), '')
      || coalesce((select string_agg(id || version || md5(thing::text), ',' order by id) from things), '')
    ) as digest`,
  );
  return rows[0]?.digest ?? '';
};

/** @param count how many inputs; @param seed of the run */
export const sendBroken = async (
  served: Served,
  count: number,
  seed: number,
): Promise<InputsResult> => {
  const random = randomFrom(seed);
  const client = new pg.Client({ connectionString: served.databaseUrl });
  await client.connect();
  const rig = readFileSync('demo/night-tide.rig.json');
  const backup = Buffer.from(await (await fetch(`${served.url}/api/backup`)).arrayBuffer());
  const doors = makeDoors(rig, backup, { id: 'no' });
  const plan = Object.entries(SHARES).flatMap(([door, share]) =>
    Array.from({ length: share }, () => door),
  );
  const byDoor: Record<string, number> = {};
  const byStatus: Record<string, number> = {};
  const serverErrors: string[] = [];
  let crashes = 0;
  let silentChanges = 0;
  let sent = 0;
  let before = await digest(client);
  while (sent < count) {
    const door = pick(random, plan);
    const input = doors[door]?.(random, sent);
    if (!input) throw new Error(door);
    const status = await send(served.port, input);
    if (status === -1) continue;
    sent++;
    byDoor[door] = (byDoor[door] ?? 0) + 1;
    byStatus[status] = (byStatus[status] ?? 0) + 1;
    // 503 is an answer too, but not one that a broken input should bring about.
    if (status >= 500)
      serverErrors.push(
        `${status} ${input.method} ${input.path} ${String(input.body ?? '').slice(0, 300)}`,
      );
    if (!served.isRunning) {
      crashes++;
      await served.start();
    }
    const after = await digest(client);
    if (after !== before && !(status >= 200 && status < 300)) silentChanges++;
    before = after;
  }
  await client.end();
  agent.destroy();
  return { inputs: sent, byDoor, byStatus, crashes, serverErrors, silentChanges };
};
