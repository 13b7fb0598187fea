import { test as base, type BrowserContext, expect, type Page } from '@playwright/test';
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

/** What a page may leave behind in its browser, but for the scripts and styles it has fetched. */
const LEFT_BEHIND = 'cookies,local_storage,indexeddb,service_workers,cache_storage,file_systems';

/** As a browser that has been here before and remembers nothing of it. */
const forget = async (context: BrowserContext, origins: Iterable<string>): Promise<void> => {
  const [page, ...others] = context.pages();
  for (const other of others) await other.close();
  const blank = page ?? (await context.newPage());
  await blank.goto('about:blank');
  const devTools = await context.newCDPSession(blank);
  for (const origin of origins)
    await devTools.send('Storage.clearDataForOrigin', { origin, storageTypes: LEFT_BEHIND });
  await blank.close();
};

/**
 * A test with the application: `demo` with the demo's rigs, shared by the tests of a worker;
 * `empty` with none, shared too, and cleared before each test. The tests of a worker share a browser's cache, so that
 * the application's code is read once; whatever else a page kept is gone before the next test.
 */
export const test = base.extend<
  { empty: Application },
  { demo: Application; cleared: Application; visitor: BrowserContext }
>({
  visitor: [
    async ({ browser }, use) => {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
      await use(context);
      await context.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ visitor }, use) => {
    const origins = new Set<string>();
    const note = (page: Page) =>
      page.on('framenavigated', (frame) => {
        if (frame.url().startsWith('http')) origins.add(new URL(frame.url()).origin);
      });
    visitor.on('page', note);
    await use(visitor);
    visitor.off('page', note);
    await forget(visitor, origins);
  },
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
