import { type Happened, type RunEvent, type RunPlan, runState, seeded } from '@echo-loom/core';
import { isDeepStrictEqual } from 'node:util';
import { cluster, freePort, Served, sleep } from '../../e2e/served';
import type { RunBox } from '../../web/session/run-memory';
import { openRun, type RunSession } from '../../web/session/run-session';

/**
 * `npm run killing -- [RUNS] [SEED]`: runs of a show in two windows each, while the server, its database and the
 * windows are killed at random. Needs a build (`npm run build`). Exits 1 where a tick, a mark or a take is lost,
 * or where two windows of one run end differently.
 */
const RUNS = Number(process.argv[2] ?? 100);
const SEED = Number(process.argv[3] ?? 1);
const ROUNDS = 12;
const DEEDS_A_ROUND = 6;
const WAIT_MS = 250;
const DONE_WITHIN_MS = 120_000;
const CLUSTER = 'killing';

/** What a browser keeps, where the page that wrote it may be gone. */
class Box implements RunBox {
  private readonly kept = new Map<string, string>();
  get length(): number {
    return this.kept.size;
  }
  key(at: number): string | null {
    return [...this.kept.keys()][at] ?? null;
  }
  getItem(key: string): string | null {
    return this.kept.get(key) ?? null;
  }
  setItem(key: string, value: string): void {
    this.kept.set(key, value);
  }
  removeItem(key: string): void {
    this.kept.delete(key);
  }
}

interface Window {
  readonly box: Box;
  session: RunSession;
}

interface Show {
  readonly id: string;
  readonly windows: readonly Window[];
  readonly made: Set<string>;
}

const PLAN: RunPlan = {
  name: 'Second Firing',
  revision: 0,
  by: 'Host',
  people: 2,
  clock: { is: 'real' },
  beginsAt: '19:30',
  lengthMin: 90,
  lines: [],
  segments: [{ id: 'hello', title: 'Hello', lengthS: 60 }],
};

const random = seeded(SEED, []);
const killed = { servers: 0, databases: 0, windows: 0, requests: 0 };
let ids = 0;

const post = async (url: string, body: unknown): Promise<unknown> => {
  const response = await fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!response.ok) throw new Error(`${url}: ${response.status} ${await response.text()}`);
  return await response.json();
};

const sessionOf = (url: string, rigId: string, runId: string, box: Box): RunSession =>
  openRun(
    { rigId, runId, plan: PLAN },
    {
      box,
      fetch: (path, init) =>
        fetch(url + path, { ...init, signal: AbortSignal.timeout(5000) }).catch(
          (error: unknown) => {
            killed.requests += 1;
            throw error;
          },
        ),
      steadyMs: () => performance.now(),
      wallMs: () => Date.now(),
      newId: () => `killing-${SEED}-${String((ids += 1)).padStart(7, '0')}`,
    },
  );

const deed = (): Happened => {
  const is = random.oneOf(['ticked', 'unticked', 'marked', 'segment'] as const);
  if (is === 'marked')
    return { is, kind: random.oneOf(['marker', 'take', 'retake'] as const), text: '' };
  return is === 'segment'
    ? { is, segmentId: 'hello' }
    : { is, lineId: `line ${random.integer(1, 40)}` };
};

const kill = async (server: Served): Promise<void> => {
  if (random.once(2)) {
    await server.end();
    killed.servers += 1;
    await sleep(random.integer(0, 400));
    await server.start();
  } else {
    cluster('stop', CLUSTER, 'immediate');
    killed.databases += 1;
    await sleep(random.integer(0, 400));
    cluster('start', CLUSTER);
  }
};

const main = async (): Promise<number> => {
  const server = new Served(await freePort(), cluster('start', CLUSTER));
  await server.start();
  const { id: rigId } = (await post(`${server.url}/api/shelf`, {
    does: 'create',
    name: 'Killing',
  })) as { id: string };
  const shows: Show[] = [];
  for (let at = 0; at < RUNS; at++) {
    const id = `killing-run-${String(at).padStart(4, '0')}`;
    await post(`${server.url}/api/rigs/${rigId}/runs`, { id, plan: PLAN });
    const windows = [new Box(), new Box()].map((box) => ({
      box,
      session: sessionOf(server.url, rigId, id, box),
    }));
    shows.push({ id, windows, made: new Set() });
  }
  const start = performance.now();
  for (let round = 0; round < ROUNDS; round++) {
    const killing = kill(server);
    for (let step = 0; step < DEEDS_A_ROUND; step++) {
      for (const { id, windows, made } of shows) {
        const window = windows[random.integer(0, 1)];
        if (!window) continue;
        if (random.once(10)) {
          // With whatever it was sending: the next has what the browser kept.
          window.session = sessionOf(server.url, rigId, id, window.box);
          killed.windows += 1;
        }
        made.add(window.session.record(deed(), random.oneOf(['Ada', 'Ben'])).id);
      }
      await sleep(WAIT_MS);
    }
    await killing;
    console.log(`round ${round + 1} of ${ROUNDS}`, killed);
  }
  const all = shows.flatMap(({ windows }) => windows);
  const until = performance.now() + DONE_WITHIN_MS;
  while (
    performance.now() < until &&
    all.some(({ session }) => session.store.getState().unsent > 0)
  )
    await Promise.all(all.map(({ session }) => session.catchUp()));
  console.log(
    `kept and not sent: ${all.reduce((sum, { session }) => sum + session.store.getState().unsent, 0)}`,
  );
  for (const { session } of all) await session.catchUp();

  let lost = 0;
  let differ = 0;
  let events = 0;
  for (const { id, windows, made } of shows) {
    const response = await fetch(`${server.url}/api/rigs/${rigId}/runs/${id}`);
    const read = (await response.json()) as { events: { event: RunEvent }[] };
    const there = new Set(read.events.map(({ event }) => event.id));
    events += made.size;
    lost += [...made].filter((one) => !there.has(one)).length;
    if (there.size !== read.events.length || there.size !== made.size) differ += 1;
    const states = windows.map(({ session }) => runState(session.store.getState().events));
    if (!isDeepStrictEqual(states[0], states[1])) differ += 1;
  }
  console.log({ runs: RUNS, events, lost, differ, ...killed });
  console.log(`${((performance.now() - start) / 1000).toFixed(0)} s`);
  await server.end('SIGTERM');
  return lost + differ;
};

main()
  .finally(() => cluster('remove', CLUSTER))
  .then(
    (wrong) => process.exit(wrong > 0 ? 1 : 0),
    (error: unknown) => {
      console.error(error);
      process.exit(1);
    },
  );
