import { chromium, type Page } from '@playwright/test';
import type { Served } from '../../e2e/served';

export interface TabsResult {
  readonly tabs: number;
  /** Event streams that were open at once, at most */
  readonly streams: number;
  /** Tabs that showed the edit of another within five seconds, before and after the leading tab was closed */
  readonly heard: number;
  readonly heardAfterLeaderClosed: number;
  readonly seconds: number;
}

const rigName = (page: Page) => page.getByRole('heading', { level: 1 });

const howManyShow = async (pages: readonly Page[], name: string): Promise<number> => {
  const shown = pages.map((page) =>
    rigName(page)
      .filter({ hasText: name })
      .waitFor({ timeout: 5000 })
      .then(
        () => 1,
        () => 0,
      ),
  );
  return (await Promise.all(shown)).reduce((sum: number, one) => sum + one, 0);
};

/** Many tabs of one browser on one rig: all load, all save, all hear of each other, over six connections. */
export const openTabs = async (
  served: Served,
  rigId: string,
  count: number,
): Promise<TabsResult> => {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
  const began = performance.now();
  const context = await browser.newContext();
  let open = 0;
  let streams = 0;
  context.on('request', (request) => {
    if (!request.url().includes('/api/events')) return;
    open++;
    streams = Math.max(streams, open);
  });
  const closed = (request: { url: () => string }): void => {
    if (request.url().includes('/api/events')) open--;
  };
  context.on('requestfailed', closed);
  context.on('requestfinished', closed);
  const pages: Page[] = [];
  for (let n = 0; n < count; n++) {
    const page = await context.newPage();
    await page.goto(`${served.url}/rigs/${rigId}/people`);
    await page.locator('[data-save="saved"]').waitFor();
    pages.push(page);
  }
  const rename = async (page: Page | undefined, name: string): Promise<void> => {
    if (!page) return;
    await page.getByLabel('Name of the rig').fill(name);
    await page.keyboard.press('Enter');
  };
  await rename(pages.at(-1), 'Heard by all');
  const heard = await howManyShow(pages, 'Heard by all');
  // The first tab had the lock first: the next must take over.
  await pages[0]?.close();
  const left = pages.slice(1);
  await rename(left[3], 'Heard again');
  const heardAfterLeaderClosed = await howManyShow(left, 'Heard again');
  await browser.close();
  return {
    tabs: count,
    streams,
    heard,
    heardAfterLeaderClosed,
    seconds: Number(((performance.now() - began) / 1000).toFixed(1)),
  };
};
