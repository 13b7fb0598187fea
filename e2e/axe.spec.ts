import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { VIEWS } from '../web/features/rig/views';
import { expect, test } from './application';

/** Those that are laid out otherwise where there is little room. */
const NARROW = new Set(['', '/findings', '/gain', '/panel', '/room', '/threads']);

/** Those that repeat the same row by the hundred: looked at in the small rig. */
const LONG = new Set(['/book', '/built']);

/** What may run on a page is said with it. */
const POLICY = /default-src 'none'; script-src 'self' 'nonce-[^']+' 'strict-dynamic'/;

/** The widths a page is looked at in. @unit px */
const WIDTHS = [1280, 900, 390] as const;
type Width = (typeof WIDTHS)[number];

const ALL: readonly Width[] = WIDTHS;
const WIDE: readonly Width[] = [1280, 900];

/** What axe finds serious on a page as it is, with its place. */
const axeOn = async (page: Page, what: string, rules: 'all' | 'contrast'): Promise<string[]> => {
  // No frames within the page, and only what is wrong is read: the same findings in half the time.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  if (rules === 'contrast') axe.withRules(['color-contrast']);
  const { violations } = await axe.analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(
      ({ id, nodes }) =>
        `${what}: ${id} at ${nodes
          .map(({ target }) => target.join(' '))
          .slice(0, 3)
          .join(', ')}`,
    );
};

/**
 * Looks at a page as it is, from wide to narrow: whether it fits at every width, and what axe says once, where it is
 * widest, and of its colours in the dark.
 * @returns what axe finds serious, and how much the page is wider than its screen
 */
const look = async (page: Page, what: string, widths: readonly Width[]): Promise<string[]> => {
  const found: string[] = [];
  for (const width of widths) {
    await page.setViewportSize({ width, height: 800 });
    // What does not fit is scrolled in its own place; the page itself never goes sideways.
    const over = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    if (over > 0) found.push(`${what}, ${width} px: ${over} px wider than the screen`);
    // What less room shows is what 1280 px show, nearer together.
    if (width !== 1280) continue;
    found.push(...(await axeOn(page, `${what}, ${width} px`, 'all')));
    await page.emulateMedia({ colorScheme: 'dark' });
    await expect(page.locator('html')).toHaveClass(/dark/);
    found.push(...(await axeOn(page, `${what}, dark`, 'contrast')));
    await page.emulateMedia({ colorScheme: 'light' });
    await expect(page.locator('html')).toHaveClass(/light/);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  return found;
};

/** What a page says against the policy of what may run, and what it throws. */
const complaintsOf = (page: Page): string[] => {
  const found: string[] = [];
  page.on('console', (message) => {
    if (/Content Security Policy/i.test(message.text())) found.push(message.text());
  });
  page.on('pageerror', (error) => found.push(error.message));
  return found;
};

// Each worker takes the next half, so that none is left with all of them.
test.describe.configure({ mode: 'parallel' });

const middle = Math.ceil(VIEWS.length / 2);
for (const [part, views] of [
  ['the first half of the views', VIEWS.slice(0, middle)],
  ['the rest of the views', VIEWS.slice(middle)],
] as const)
  test(`axe finds nothing serious on ${part}, wide and narrow, light and dark`, async ({
    page,
    demo,
  }) => {
    const found = complaintsOf(page);
    for (const [id, ofThis] of [
      ['second-firing', views.filter(({ path }) => !LONG.has(path))],
      ['night-tide', views.filter(({ path }) => LONG.has(path))],
    ] as const) {
      const [first] = ofThis;
      if (!first) continue;
      const rig = `${demo.url}/rigs/${id}`;
      const response = await page.goto(`${rig}${first.path}`);
      expect(response?.headers()['content-security-policy']).toMatch(POLICY);
      // From view to view as a hand goes: the rig is read and judged once.
      for (const { path } of ofThis) {
        await page.locator(`nav a[href="/rigs/${id}${path}"]`).first().click();
        await expect(page).toHaveURL(`${rig}${path}`);
        await expect(page.locator('[data-opening]')).toHaveCount(0);
        await expect(page).toHaveTitle(/./);
        found.push(...(await look(page, path || 'loom', NARROW.has(path) ? ALL : WIDE)));
      }
    }
    expect(found).toEqual([]);
  });

test('axe finds nothing serious on the shelf, a new rig and what opens over a rig, in both themes', async ({
  page,
  demo: { url },
}) => {
  const found = complaintsOf(page);
  await page.goto(url);
  await expect(page.getByRole('article').first()).toBeVisible();
  found.push(...(await look(page, 'shelf', ALL)));
  await page.goto(`${url}/away`);
  found.push(...(await look(page, 'put away', ALL)));
  await page.goto(`${url}/studio`);
  await expect(page.getByRole('heading', { name: 'Studio' })).toBeVisible();
  found.push(...(await look(page, 'studio', ALL)));
  await page.goto(`${url}/library`);
  await expect(page.getByRole('table', { name: 'Models' })).toBeVisible();
  await page.getByLabel('Search models').fill('interface');
  found.push(...(await look(page, 'library', ALL)));
  await page.goto(`${url}/things`);
  await expect(page.getByRole('table', { name: 'Things' })).toBeVisible();
  found.push(...(await look(page, 'things', ALL)));
  await page.getByRole('button', { name: 'Zoom 24–70', exact: true }).click();
  await expect(page.getByRole('dialog', { name: 'Zoom 24–70' })).toBeVisible();
  found.push(...(await look(page, 'a thing', ALL)));
  await page.goto(`${url}/schedule`);
  await expect(page.getByRole('region', { name: 'Wanted twice' })).toBeVisible();
  found.push(...(await look(page, 'schedule', ALL)));
  await page.goto(`${url}/library/new?from=booster-inline`);
  for (const name of ['Sockets', 'Inner ways', 'Controls'])
    for (const item of await page.getByRole('region', { name }).locator('summary').all())
      await item.click();
  found.push(...(await look(page, 'model editor', ALL)));
  await page.goto(`${url}/new/hybrid`);
  await expect(page.getByRole('button', { name: 'Make the rig' })).toBeVisible();
  found.push(...(await look(page, 'new rig', ALL)));
  await page.goto(`${url}/rigs/second-firing`);
  await page.locator('[data-item="device:interface"]').click();
  await expect(page.getByRole('complementary', { name: 'Side sheet' })).toBeVisible();
  found.push(...(await look(page, 'side sheet', ALL)));
  await page.getByRole('button', { name: 'Compare…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Side by side in this rig' });
  await dialog.getByText('Interface, eight microphones', { exact: true }).click();
  await expect(dialog.getByRole('table')).toBeVisible();
  found.push(...(await look(page, 'side by side', ALL)));
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await page.keyboard.press('a');
  await expect(page.getByRole('dialog')).toBeVisible();
  found.push(...(await look(page, 'add a device', ALL)));
  expect(found).toEqual([]);
});
