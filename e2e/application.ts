import { test as base, expect, type Page } from '@playwright/test';
import pg from 'pg';
import { cluster, freePort, Served } from './served';

/** The application as it is served, on a port of its own and a fresh database. */
export class Application {
  private constructor(readonly served: Served) {}

  get url(): string {
    return this.served.url;
  }

  static async open(withDemo: boolean): Promise<Application> {
    const address = process.env['TEST_DATABASE_URL'];
    if (!address) throw new Error('TEST_DATABASE_URL is not set; run bin/test');
    const name = `e2e_${process.pid}_${Date.now()}`;
    const maker = new pg.Client({ connectionString: address });
    await maker.connect();
    await maker.query(`create database ${name}`);
    await maker.end();
    const served = new Served(await freePort(), address.replace(/\/[^/]*$/, `/${name}`));
    if (withDemo) served.loadDemo();
    await served.start();
    return new Application(served);
  }

  start(): Promise<void> {
    return this.served.start();
  }

  /** Ends the server at once, as a power cut would. */
  kill(): Promise<void> {
    return this.served.end();
  }

  /** Runs one statement in the application's database. */
  async sql(text: string, values: unknown[] = []): Promise<void> {
    const client = new pg.Client({ connectionString: this.served.databaseUrl });
    await client.connect();
    await client.query(text, values);
    await client.end();
  }

  /** As on the first day: nothing on the shelf, no studio said, and answering. */
  async clear(): Promise<void> {
    await this.sql('truncate rigs, entries, studio, own_models, things, runs, run_events cascade');
    if (!this.served.isRunning) await this.start();
  }

  static stopDatabase(): void {
    cluster('stop', 'test');
  }
  static startDatabase(): void {
    cluster('start', 'test', '--throwaway');
  }
}

/**
 * A test with the application: `demo` with the demo's rigs, shared by the tests of a worker;
 * `empty` with none, shared too, and cleared before each test.
 */
export const test = base.extend<
  { empty: Application },
  { demo: Application; cleared: Application }
>({
  // Going to a rig is done once it is open: a key of its view pressed before would be nobody's.
  page: async ({ page }, use) => {
    const goTo = page.goto.bind(page);
    page.goto = async (...where) => {
      const answered = await goTo(...where);
      await expect(page.locator('[data-opening]')).toHaveCount(0);
      return answered;
    };
    await use(page);
  },
  demo: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const application = await Application.open(true);
      await use(application);
      await application.kill();
    },
    { scope: 'worker', timeout: 60_000 },
  ],
  cleared: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const application = await Application.open(false);
      await use(application);
      await application.kill();
    },
    { scope: 'worker', timeout: 60_000 },
  ],
  empty: [
    async ({ cleared }, use) => {
      await cleared.clear();
      await use(cleared);
    },
    { timeout: 60_000 },
  ],
});

export const saved = (page: Page) =>
  expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
export const verdict = (page: Page) => page.locator('[data-verdict]').first();
export { expect };
