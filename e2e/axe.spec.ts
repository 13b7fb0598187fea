import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { VIEWS } from '../web/features/rig/views';
import { expect, test } from './application';

/** Those that are laid out otherwise where there is little room. */
const NARROW = new Set(['', '/findings', '/gain', '/panel', '/room', '/threads']);

/** What may run on a page is said with it. */
const POLICY = /default-src 'none'; script-src 'self' 'nonce-[^']+' 'strict-dynamic'/;

/**
 * Looks at views in both themes: what is not a colour is the same in the other.
 * @returns what axe finds serious, with its place, and what breaks the policy of what may run there
 */
const seriousOn = async (page: Page, url: string, views: readonly string[]): Promise<string[]> => {
  const found: string[] = [];
  page.on('console', (message) => {
    if (/Content Security Policy/i.test(message.text())) found.push(message.text());
  });
  page.on('pageerror', (error) => found.push(error.message));
  /** What does not fit is scrolled in its own place; the page itself never goes sideways. */
  const overflow = () =>
    page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
  const check = async (what: string) => {
    const over = await overflow();
    if (over > 0) found.push(`${what}: ${over} px wider than the screen`);
    for (const theme of ['light', 'dark'] as const) {
      await page.emulateMedia({ colorScheme: theme });
      await expect(page.locator('html')).toHaveClass(new RegExp(theme));
      // No frames within the page, and only what is wrong is read: the same findings in half the time.
      const axe = new AxeBuilder({ page }).setLegacyMode(true);
      if (theme === 'dark')
        axe.options({ resultTypes: ['violations'] }).withRules(['color-contrast']);
      else axe.options({ resultTypes: ['violations'] });
      const { violations } = await axe.analyze();
      found.push(
        ...violations
          .filter(({ impact }) => impact === 'serious' || impact === 'critical')
          .map(
            ({ id, nodes }) =>
              `${what}, ${theme}: ${id} at ${nodes
                .map(({ target }) => target.join(' '))
                .slice(0, 3)
                .join(', ')}`,
          ),
      );
    }
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
    const response = await page.goto(`${url}/rigs/second-firing${view}`);
    expect(response?.headers()['content-security-policy']).toMatch(POLICY);
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

for (const width of [1280, 900, 390])
  test(`axe finds nothing serious on any view, ${width} px, light and dark`, async ({
    browser,
    demo,
  }) => {
    const page = await (
      await browser.newContext({ colorScheme: 'light', viewport: { width, height: 800 } })
    ).newPage();
    const views = VIEWS.map(({ path }) => path).filter((path) => width > 700 || NARROW.has(path));
    expect(await seriousOn(page, demo.url, views)).toEqual([]);
  });
