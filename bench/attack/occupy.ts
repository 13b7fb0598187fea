import pg from 'pg';
import { type Served, sleep } from '../../e2e/served';

export interface OccupyResult {
  readonly what: string;
  /** Slowest answer of the health check meanwhile */
  readonly healthMs: number;
  readonly seconds: number;
  readonly statuses: Readonly<Record<string, number>>;
}

/** Does something and asks all the while whether the application is well. */
const watched = async (
  served: Served,
  what: string,
  work: () => Promise<number[]>,
): Promise<OccupyResult> => {
  let isOn = true;
  let healthMs = 0;
  const watching = (async () => {
    while (isOn) {
      const began = performance.now();
      const status = await served.health();
      healthMs = Math.max(healthMs, status === 200 ? performance.now() - began : 60_000);
      await sleep(5);
    }
  })();
  const began = performance.now();
  const answered = await work();
  isOn = false;
  await watching;
  const statuses: Record<string, number> = {};
  for (const status of answered) statuses[status] = (statuses[status] ?? 0) + 1;
  return {
    what,
    healthMs: Math.round(healthMs),
    seconds: Number(((performance.now() - began) / 1000).toFixed(2)),
    statuses,
  };
};

const post = async (served: Served, rigId: string, entries: object[]): Promise<number> => {
  const body = JSON.stringify({ version: 5, on: { revision: 0, entryId: null }, entries });
  const headers = { 'content-type': 'application/json' };
  const response = await fetch(`${served.url}/api/rigs/${rigId}/entries`, {
    method: 'POST',
    headers,
    body,
  });
  await response.arrayBuffer();
  return response.status;
};

const batch = (n: number, count: number): object => ({
  id: `occupy-${n}-${Date.now()}`,
  author: 'author-occupy',
  command: {
    type: 'batch',
    label: 'Places',
    commands: Array.from({ length: count }, (_, k) => ({
      type: 'addPlace',
      placeId: `o-${n}-${k}`,
      place: { name: 'Place' },
    })),
  },
});

/** Requests as large as they may be, all at once; and a row that somebody else holds. */
export const occupy = async (served: Served, rigId: string): Promise<OccupyResult[]> => {
  const big = await watched(served, 'ten requests of 500 addPlace', () =>
    Promise.all(Array.from({ length: 10 }, (_, n) => post(served, rigId, [batch(n, 500)]))),
  );
  const tooMuch = await watched(served, 'a request over its limits', async () => [
    await post(
      served,
      rigId,
      Array.from({ length: 10 }, (_, n) => batch(100 + n, 500)),
    ),
  ]);
  const holder = new pg.Client({ connectionString: served.databaseUrl });
  await holder.connect();
  await holder.query('begin');
  await holder.query('select 1 from rigs where id = $1 for update', [rigId]);
  const held = await watched(served, 'a row held by another', () =>
    Promise.all(Array.from({ length: 12 }, (_, n) => post(served, rigId, [batch(200 + n, 1)]))),
  );
  await holder.query('rollback');
  await holder.end();
  return [big, tooMuch, held];
};
