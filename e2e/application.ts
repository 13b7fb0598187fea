import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import path from 'node:path';
import { test as base, expect, type Page } from '@playwright/test';
import pg from 'pg';

const root = path.resolve(import.meta.dirname, '..');

const freePort = (): Promise<number> =>
  new Promise((done) => {
    const server = createServer();
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => done(typeof address === 'object' && address ? address.port : 0));
    });
  });

/** The application as it is served, on a port of its own and a fresh database. */
export class Application {
  private server: ChildProcess | null = null;
  private constructor(readonly url: string, private readonly port: number, readonly databaseUrl: string) {}

  static async open(withDemo: boolean): Promise<Application> {
    const address = process.env['TEST_DATABASE_URL'];
    if (!address) throw new Error('TEST_DATABASE_URL is not set; run bin/test');
    const name = `e2e_${process.pid}_${Date.now()}`;
    const maker = new pg.Client({ connectionString: address });
    await maker.connect();
    await maker.query(`create database ${name}`);
    await maker.end();
    const databaseUrl = address.replace(/\/[^/]*$/, `/${name}`);
    if (withDemo) execFileSync(process.execPath, ['--import', 'tsx', 'server/load-demo.ts'], { cwd: path.join(root, 'web'), env: { ...process.env, DATABASE_URL: databaseUrl } });
    const port = await freePort();
    const application = new Application(`http://127.0.0.1:${port}`, port, databaseUrl);
    await application.start();
    return application;
  }

  async start(): Promise<void> {
    this.server = spawn(process.execPath, [path.join(root, 'web/front.mjs'), String(this.port)], {
      cwd: path.join(root, 'web'), env: { ...process.env, DATABASE_URL: this.databaseUrl, NEXT_TELEMETRY_DISABLED: '1' }, stdio: 'ignore',
    });
    await expect.poll(() => fetch(`${this.url}/api/health`).then((response) => response.status, () => 0), { timeout: 30_000 }).toBe(200);
  }

  /** Ends the server at once, as a power cut would. */
  async kill(): Promise<void> {
    const { server } = this;
    this.server = null;
    if (!server || server.exitCode !== null) return;
    const ended = new Promise((done) => server.once('exit', done));
    server.kill('SIGKILL');
    await ended;
  }

  static stopDatabase(): void {
    execFileSync(path.join(root, 'bin/private-postgres'), ['stop', 'test']);
  }
  static startDatabase(): void {
    execFileSync(path.join(root, 'bin/private-postgres'), ['start', 'test', '--throwaway']);
  }
}

/** A test with the application: `demo` with the demo's rigs, shared by the tests of a worker; `empty` with none, made anew for each test. */
export const test = base.extend<{ empty: Application }, { demo: Application }>({
  demo: [async ({}, use) => { // eslint-disable-line no-empty-pattern
    const application = await Application.open(true);
    await use(application);
    await application.kill();
  }, { scope: 'worker', timeout: 60_000 }],
  empty: [async ({}, use) => { // eslint-disable-line no-empty-pattern
    const application = await Application.open(false);
    await use(application);
    await application.kill();
  }, { timeout: 60_000 }],
});

export const saved = (page: Page) => expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
export const verdict = (page: Page) => page.locator('[data-verdict]').first();
export { expect };
