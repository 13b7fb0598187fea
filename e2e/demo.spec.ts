import { execFileSync, spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test } from '@playwright/test';
import pg from 'pg';
import { cluster, freePort, ROOT, sleep } from './served';

/** bin/demo as a person starts and ends it, with a database of its own beside the real demo's. */

const NAME = 'demo-of-tests';
const demo = path.join(ROOT, 'bin/demo');
const environment = (port: string | number) => ({
  ...process.env,
  PORT: String(port),
  ECHO_LOOM_NAME: NAME,
  DATABASE_URL: '',
});

const start = async (port: number): Promise<ChildProcess> => {
  const running = spawn(demo, { env: environment(port), stdio: 'ignore' });
  started.push(running);
  const state = path.join(ROOT, `.local/${NAME}.state`);
  const isUp = () =>
    existsSync(state) && readFileSync(state, 'utf8').trim().endsWith(`process ${running.pid}`);
  await expect.poll(isUp, { timeout: 90_000 }).toBe(true);
  return running;
};
const health = (port: number): Promise<number> =>
  fetch(`http://127.0.0.1:${port}/api/health`).then(
    ({ status }) => status,
    () => 0,
  );
const once = (port: string | number) =>
  spawnSync(demo, { env: environment(port), encoding: 'utf8', timeout: 60_000 });
const ended = (process: ChildProcess): Promise<void> =>
  new Promise((done) => {
    if (process.exitCode !== null || process.signalCode !== null) done();
    else process.once('exit', () => done());
  });
const serverPid = (): number =>
  Number(readFileSync(path.join(ROOT, `.local/${NAME}.server`), 'utf8'));
const isAlive = (pid: number): boolean => existsSync(`/proc/${pid}`);
const postmaster = (): number =>
  Number(
    execFileSync('pgrep', ['-f', `postgres .*postgres-${NAME}/data|postgres -D .*/${NAME}/data`], {
      encoding: 'utf8',
    }).split('\n')[0],
  );

/** What these tests started; whatever comes of them, nothing of it stays behind. */
const started: ChildProcess[] = [];

test.afterAll(async () => {
  for (const process of started) {
    process.kill('SIGTERM');
    await ended(process);
  }
  cluster('remove', NAME);
});

test('refuses in one clear line what it cannot start', () => {
  for (const port of ['abc', '0', '70000', '-1', '48 70']) {
    const { status, stderr } = once(port);
    expect([status, stderr.trim()]).toEqual([
      1,
      `PORT is a number from 1 to 65535; found "${port}".`,
    ]);
  }
  const { status, stderr } = spawnSync(demo, {
    env: { ...environment(4900), ECHO_LOOM_NAME: '../evil' },
    encoding: 'utf8',
  });
  expect([status, stderr]).toEqual([
    1,
    expect.stringContaining('ECHO_LOOM_NAME is up to 30 lower-case letters'),
  ]);
});

test(
  'a second one is refused and stops nothing; a database that dies is started again; ' +
    'what is left of a killed one is ended',
  async () => {
    const port = await freePort();
    const first = await start(port);
    const second = once(await freePort());
    expect([second.status, second.stderr]).toEqual([
      1,
      expect.stringContaining(
        `This demo is running already: http://127.0.0.1:${port}, process ${first.pid}`,
      ),
    ]);
    expect(await health(port)).toBe(200);

    process.kill(postmaster(), 'SIGKILL');
    await expect.poll(() => health(port)).toBe(503);
    await expect.poll(() => health(port), { timeout: 30_000 }).toBe(200);

    // Killed: server and database stay behind. The next start ends the one and takes over the other.
    const made = await fetch(`http://127.0.0.1:${port}/api/shelf`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{"does":"create","name":"Stays"}',
    });
    const { id } = (await made.json()) as { id: string };
    const left = serverPid();
    first.kill('SIGKILL');
    await ended(first);
    expect([isAlive(left), await health(port)]).toEqual([true, 200]);
    const next = await start(port);
    expect([isAlive(left), serverPid() === left]).toEqual([false, false]);
    expect((await fetch(`http://127.0.0.1:${port}/api/rigs/${id}`)).status).toBe(200);

    const server = serverPid();
    next.kill('SIGTERM');
    await ended(next);
    await sleep(300);
    expect([
      isAlive(server),
      await health(port),
      existsSync(path.join(ROOT, `.local/${NAME}.state`)),
    ]).toEqual([false, 0, false]);
    expect(spawnSync(path.join(ROOT, 'bin/private-postgres'), ['running', NAME]).status).not.toBe(
      0,
    );
  },
);

test('a port of somebody else is theirs', async () => {
  const other = spawn(process.execPath, [
    '-e',
    'require("http").createServer((q,r)=>r.end("{}")).listen(0,"127.0.0.1",' +
      'function(){process.stdout.write(String(this.address().port))})',
  ]);
  const port = await new Promise<string>((done) =>
    other.stdout.once('data', (text: Buffer) => done(text.toString().trim())),
  );
  const { status, stderr } = once(port);
  expect([status, stderr.trim()]).toEqual([
    1,
    `Port ${port} is taken by another program. Choose another: PORT=4871 bin/demo`,
  ]);
  expect((await fetch(`http://127.0.0.1:${port}/`)).status).toBe(200);
  other.kill();
});

test('the application’s role is no superuser, and the data has checksums', async () => {
  const client = new pg.Client({ connectionString: cluster('start', NAME) });
  await client.connect();
  const { rows } = await client.query(
    `select rolsuper or rolcreaterole or rolcreatedb or rolreplication or rolbypassrls as may,
       current_setting('data_checksums') as checksums
     from pg_roles where rolname = current_user`,
  );
  await client.end();
  cluster('stop', NAME);
  expect(rows).toEqual([{ may: false, checksums: 'on' }]);
});
