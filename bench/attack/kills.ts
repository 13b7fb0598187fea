import { cluster, type Served, sleep } from '../../e2e/served';
import { Browser } from '../../web/session/browser-for-tests';
import { overHttp } from './editors';

export interface KillsResult {
  readonly serverKills: number;
  readonly databaseKills: number;
  readonly acknowledged: number;
  readonly lost: number;
  readonly twice: number;
  /** Slowest time from the database's return to a saved edit */
  readonly slowestBackMs: number;
}

/** Something that goes on until it is stopped. */
const goingOn = (work: () => Promise<void>): { stop: () => Promise<void> } => {
  let isOn = true;
  const done = (async () => {
    while (isOn) await work();
  })();
  return {
    stop: () => {
      isOn = false;
      return done;
    },
  };
};

/**
 * Kills the server, and the database under it, at random moments while three browsers edit; then looks whether
 * everything that was said to be saved is in the log.
 */
export const killAgainAndAgain = async (
  served: Served,
  clusterName: string,
  rigId: string,
  serverKills: number,
  databaseKills: number,
): Promise<KillsResult> => {
  const acknowledged = new Set<string>();
  const browsers = Array.from(
    { length: 3 },
    (_, n) => new Browser(`killed-${n}-${Date.now()}`, rigId, overHttp(served.url, rigId)),
  );
  const sessions = await Promise.all(browsers.map((browser) => browser.open()));
  let count = 0;
  const editing = sessions.map((session, who) =>
    goingOn(async () => {
      session.run({ type: 'addPlace', placeId: `k-${who}-${count++}`, place: { name: 'Killed' } });
      await session.flush();
      const { save, history } = session.store.getState();
      if (save.state === 'saved')
        for (const line of history.slice(-20)) if (line.at !== null) acknowledged.add(line.id);
      await sleep(save.state === 'saved' ? 20 : 150);
      // A place is taken away again at once, so that the rig stays as small as it was.
      if (save.state === 'saved' && Math.random() < 0.5) session.undo();
    }),
  );
  for (let round = 0; round < serverKills; round++) {
    await sleep(Math.random() * 250);
    await served.end('SIGKILL');
    await served.start();
  }
  let slowestBackMs = 0;
  for (let round = 0; round < databaseKills; round++) {
    await sleep(Math.random() * 250);
    cluster('stop', clusterName, 'immediate');
    cluster('start', clusterName);
    const since = performance.now();
    while ((await served.health()) !== 200) await sleep(10);
    slowestBackMs = Math.max(slowestBackMs, performance.now() - since);
  }
  for (const one of editing) await one.stop();
  for (const session of sessions) await session.flush();
  for (const session of sessions)
    for (const { id, at } of session.store.getState().history)
      if (at !== null) acknowledged.add(id);
  const log = await overHttp(served.url, rigId).fetchAfter({ revision: 0, entryId: null });
  if (typeof log === 'string') throw new Error(log);
  const ids = log.map(({ id }) => id);
  const known = new Set(ids);
  return {
    serverKills,
    databaseKills,
    acknowledged: acknowledged.size,
    lost: [...acknowledged].filter((id) => !known.has(id)).length,
    twice: ids.length - known.size,
    slowestBackMs: Math.round(slowestBackMs),
  };
};

/** The database goes and comes back under eighty parallel requests. */
export const recover = async (
  served: Served,
  clusterName: string,
  rigId: string,
): Promise<{ backMs: number; failedAfter: number; requests: number }> => {
  const many = () =>
    Promise.all(
      Array.from({ length: 80 }, () =>
        fetch(`${served.url}/api/rigs/${rigId}/entries?after=0`).then(
          ({ status }) => status,
          () => 0,
        ),
      ),
    );
  await many();
  cluster('stop', clusterName, 'immediate');
  await many();
  cluster('start', clusterName);
  const since = performance.now();
  while ((await served.health()) !== 200) await sleep(5);
  const backMs = Math.round(performance.now() - since);
  await sleep(Math.max(0, 1000 - backMs));
  const after = await many();
  return {
    backMs,
    failedAfter: after.filter((status) => status !== 200).length,
    requests: after.length,
  };
};
