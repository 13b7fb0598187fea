import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './application';

const VIEWS = [
  '/brief',
  '',
  '/picture',
  '/sound',
  '/room',
  '/plan',
  '/desk',
  '/gain',
  '/monitoring',
  '/panel',
  '/findings',
  '/people',
  '/rules',
  '/threads',
  '/history',
];
/** Those that are laid out otherwise where there is little room. */
const NARROW = ['', '/findings', '/gain', '/panel', '/room', '/threads'];

/** Looks at views in one theme and width. @returns what axe finds serious, with its place */
const seriousOn = async (page: Page, url: string, views: readonly string[]): Promise<string[]> => {
  const found: string[] = [];
  /** What does not fit is scrolled in its own place; the page itself never goes sideways. */
  const overflow = () =>
    page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
  const check = async (what: string) => {
    const over = await overflow();
    if (over > 0) found.push(`${what}: ${over} px wider than the screen`);
    // No frames within the page, and only what is wrong is read: the same findings in half the time.
    const { violations } = await new AxeBuilder({ page })
      .setLegacyMode(true)
      .options({ resultTypes: ['violations'] })
      .analyze();
    const serious = violations.filter(
      ({ impact }) => impact === 'serious' || impact === 'critical',
    );
    found.push(
      ...serious.map(
        ({ id, nodes }) =>
          `${what}: ${id} at ${nodes
            .map(({ target }) => target.join(' '))
            .slice(0, 3)
            .join(', ')}`,
      ),
    );
  };
  await page.goto(url);
  await expect(page.getByRole('article').first()).toBeVisible();
  await check('shelf');
  await page.goto(`${url}/away`);
  await check('put away');
  await page.goto(`${url}/studio`);
  await expect(page.getByRole('heading', { name: 'Studio' })).toBeVisible();
  await check('studio');
  for (const view of views) {
    await page.goto(`${url}/rigs/second-firing${view}`);
    await expect(page.getByRole('heading', { name: 'Second Firing', exact: true })).toBeVisible();
    await check(view || 'loom');
  }
  await page.goto(`${url}/new/hybrid`);
  await expect(page.getByRole('button', { name: 'Make the rig' })).toBeVisible();
  await check('new rig');
  await page.goto(`${url}/rigs/second-firing`);
  await page.locator('[data-item="device:interface"]').click();
  await expect(page.getByRole('complementary', { name: 'Side sheet' })).toBeVisible();
  await check('side sheet');
  await page.keyboard.press('a');
  await expect(page.getByRole('dialog')).toBeVisible();
  await check('add a device');
  return found;
};

// What is narrower is laid out otherwise and coloured the same: one theme tells it.
for (const [width, colorScheme] of [
  [1280, 'light'],
  [1280, 'dark'],
  [900, 'light'],
  [390, 'dark'],
] as const)
  test(`axe finds nothing serious on any view, ${width} px, ${colorScheme}`, async ({
    browser,
    demo,
  }) => {
    const page = await (
      await browser.newContext({ colorScheme, viewport: { width, height: 800 } })
    ).newPage();
    expect(await seriousOn(page, demo.url, width < 700 ? NARROW : VIEWS)).toEqual([]);
  });
