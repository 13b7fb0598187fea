import { gzipSync } from 'node:zlib';
import { readFileSync } from 'node:fs';
import http from 'node:http';
import pg from 'pg';
import type { Served } from '../../e2e/served';

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

/** Numbers from a seed, evenly spread from 0 to 1 (mulberry32). */
const randomFrom = (seed: number): (() => number) => {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
};

type Random = () => number;
const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random() * list.length)] as T;

const ODD: readonly unknown[] = [
  null,
  true,
  -1,
  0,
  2.3,
  1e308,
  -0,
  2 ** 31,
  2 ** 53,
  '',
  ' ',
  '\0',
  '\uD800',
  'x'.repeat(100_000),
  '<b>x</b>',
  '../../etc/passwd',
  "'; drop table rigs; --",
  '{}',
  [],
  {},
  [[]],
  { __proto__: { a: 1 } },
  { constructor: 1 },
  '2026-11-26',
  'NaN',
  '🎤'.repeat(60),
];

/** A JSON value with something odd put in at a random place, or something taken out. */
const spoil = (random: Random, value: unknown): unknown => {
  if (random() < 0.15 || typeof value !== 'object' || value === null) return pick(random, ODD);
  if (Array.isArray(value)) {
    const list = [...(value as unknown[])];
    const at = Math.floor(random() * (list.length + 1));
    list[at] = spoil(random, list[at]);
    return list;
  }
  const keys = Object.keys(value);
  const key =
    random() < 0.85 && keys.length > 0
      ? pick(random, keys)
      : pick(random, ['extra', '', 'type', 'version', 'toString', 'then']);
  const copy = { ...(value as Record<string, unknown>) };
  if (random() < 0.15) delete copy[key];
  else copy[key] = spoil(random, copy[key]);
  return copy;
};

/** A text with bytes changed, cut, doubled or put in. */
const mangle = (random: Random, bytes: Uint8Array): Buffer => {
  const copy = Buffer.from(bytes);
  const at = Math.floor(random() * copy.length);
  switch (Math.floor(random() * 5)) {
    case 0:
      return copy.subarray(0, at);
    case 1:
      copy[at] = Math.floor(random() * 256);
      return copy;
    case 2:
      return Buffer.concat([copy.subarray(0, at), copy]);
    case 3:
      return Buffer.concat([
        copy.subarray(0, at),
        Buffer.from([0xff, 0x00, 0x22]),
        copy.subarray(at),
      ]);
    default:
      return Buffer.from(
        Array.from({ length: Math.floor(random() * 200) }, () => Math.floor(random() * 256)),
      );
  }
};

interface Input {
  readonly method: string;
  readonly path: string;
  readonly headers?: Record<string, string>;
  readonly body?: Buffer | string;
}

const JSON_TYPE = { 'content-type': 'application/json' };
const BYTES_TYPE = { 'content-type': 'application/octet-stream' };
const IDS = [
  'night-tide',
  'nothing',
  '%00',
  '%ff',
  '%E0%A4%A',
  '..%2f..',
  'a'.repeat(5000),
  '%F0%9F%8E%A4',
  "x'or'1",
  '-1',
  'second-firing%20',
  '',
];
const NUMBERS = [
  '0',
  '-1',
  '2.5',
  '2147483648',
  '99999999999999999999',
  'NaN',
  '',
  '%00',
  '1e3',
  '0x10',
  ' 1',
  '١',
];

const COMMANDS: readonly object[] = [
  { type: 'renameRig', name: 'Renamed' },
  { type: 'setHouseRules', rules: { headroomDb: 12, recordingsOfVoice: 2 } },
  { type: 'addPlace', placeId: 'shed', place: { name: 'Shed' } },
  {
    type: 'batch',
    label: 'Several',
    commands: [
      { type: 'renameRig', name: 'x' },
      { type: 'writeNotes', notes: 'y' },
    ],
  },
  { type: 'revert', does: 'undo', entryId: 'some-entry' },
  {
    type: 'connect',
    linkId: 'a',
    from: { deviceId: 'a', portId: 'b' },
    to: { deviceId: 'c', portId: 'd' },
    cable: { kind: 'balanced', lengthM: 2 },
  },
  { type: 'setControl', deviceId: 'interface', control: 'gain-1', value: 20 },
  { type: 'setFigure', deviceId: 'interface', path: 'ports.mic-1.inputOhms', value: 1000 },
];
const DEEDS: readonly object[] = [
  { does: 'create', name: 'New' },
  { does: 'rename', id: 'night-tide', name: 'Renamed' },
  { does: 'duplicate', id: 'nothing' },
  { does: 'put away', id: 'nothing' },
  { does: 'choose currency', currency: 'EUR' },
  { does: 'build', answers: { name: 'x' } },
];

/** One broken input for each door. */
const makeDoors = (
  rig: Buffer,
  backup: Buffer,
  entry: { id: string },
): Record<string, (random: Random, n: number) => Input> => {
  const rigValue = JSON.parse(rig.toString()) as unknown;
  const json = (random: Random, value: unknown): string | Buffer => {
    const text = JSON.stringify(spoil(random, value)) ?? '';
    return random() < 0.15
      ? mangle(random, Buffer.from(text))
      : random() < 0.02
        ? '['.repeat(100_000)
        : text;
  };
  const type = (random: Random): Record<string, string> =>
    random() < 0.95
      ? JSON_TYPE
      : pick<Record<string, string>>(random, [
          {},
          { 'content-type': 'text/plain' },
          { 'content-type': 'multipart/form-data; boundary=x' },
        ]);
  return {
    import: (random) => ({
      method: 'POST',
      path: '/api/rigs/import',
      headers: random() < 0.98 ? BYTES_TYPE : {},
      body: random() < 0.6 ? json(random, rigValue) : mangle(random, rig),
    }),
    entries: (random, n) => {
      const item = {
        id: `broken-${n}-entry`,
        author: 'author-broken',
        command: spoil(random, pick(random, COMMANDS)),
      };
      const request = { version: 5, on: { revision: 0, entryId: null }, entries: [item] };
      const body =
        random() < 0.5
          ? JSON.stringify({ ...request, entries: [item, entry] })
          : json(random, request);
      return {
        method: 'POST',
        path: `/api/rigs/${random() < 0.9 ? 'second-firing' : pick(random, IDS)}/entries`,
        headers: type(random),
        body,
      };
    },
    shelf: (random) => ({
      method: 'POST',
      path: '/api/shelf',
      headers: type(random),
      body: json(random, pick(random, DEEDS)),
    }),
    query: (random) => {
      const id = pick(random, IDS);
      const number = pick(random, NUMBERS);
      const paths = [
        `/api/rigs/${id}/entries?after=${number}`,
        `/api/rigs/${id}/entries?after=${number}&after=1`,
        `/api/rigs/${id}/export?as=${number}`,
        `/api/rigs/${id}`,
        `/api/rigs/${id}/raw`,
        `/api/rigs/night-tide/entries?after=0&is=${number}`,
        `/rigs/${id}`,
        `/new/${id}?name=${number}`,
        `/${id}`,
      ];
      return {
        method: pick(random, ['GET', 'GET', 'GET', 'HEAD', 'PUT', 'DELETE', 'PATCH']),
        path: pick(random, paths),
      };
    },
    events: (random) => ({
      method: 'GET',
      path: `/api/events?${pick(random, ['rig', 'rigs', 'rig[]', ''])}=${pick(
        random,
        IDS.filter((id) => id !== 'night-tide'),
      )}`,
    }),
    restore: (random) => {
      const body =
        random() < 0.5
          ? mangle(random, backup)
          : gzipSync(
              mangle(random, Buffer.from('{"format":"echo-loom backup","version":1}\n[0,[]]\n')),
            );
      return {
        method: 'POST',
        path: '/api/restore',
        headers: random() < 0.95 ? BYTES_TYPE : {},
        body,
      };
    },
    pages: (random) => ({
      method: pick(random, ['POST', 'PUT', 'POST']),
      path: pick(random, ['/', '/rigs/night-tide', '/away', '/new/hybrid']),
      headers: pick<Record<string, string>>(random, [
        { 'next-action': 'abc' },
        { 'content-type': 'multipart/form-data; boundary=x' },
        { 'content-type': 'text/plain', 'next-action': '0'.repeat(42) },
        {},
      ]),
      body: json(random, ['x']),
    }),
    headers: (random) => ({
      method: pick(random, ['GET', 'POST']),
      path: pick(random, [
        '/',
        '/api/health',
        '/api/shelf',
        '/api/rigs/night-tide/entries?after=0',
      ]),
      headers: {
        ...JSON_TYPE,
        host: pick(random, [
          'evil.example',
          '',
          '127.0.0.1.evil',
          'localhost:99999',
          '[::1',
          'a'.repeat(300),
        ]),
        origin: pick(random, ['http://evil.example', 'null', '']),
      },
      body: '',
    }),
  };
};

/** How many of each door, of a hundred. */
const SHARES: Readonly<Record<string, number>> = {
  import: 20,
  entries: 30,
  shelf: 14,
  query: 16,
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
