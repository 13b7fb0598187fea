import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { Application, expect, saved, test, verdict } from './application';

test('Night Tide: the host is 5.84 dB short, and the booster gives what it predicted', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/night-tide`);
  await page.locator('[data-item="link:host-mic-out-to-interface"]').click();
  const card = page.getByRole('article', { name: '5.84 dB short of gain' });
  await expect(card).toContainText('Host mic stays 5.84 dB under the house level.');
  await expect(card).toContainText(
    'A booster would bring gain but change the noise by only 0.1 dB',
  );
  const booster = card.getByRole('button', { name: /Add a booster after Host mic/ });
  await expect(booster).toContainText('Gain needed 59.84 → 35.27 dB');
  await expect(booster).toContainText('Signal to noise 58.13 → 58.24 dB');
  await booster.click();
  await expect(page.getByRole('button', { name: /^Host mic booster/ }).first()).toBeVisible();
  await expect(page.locator('[data-item="link:host-mic-booster-out"]')).toContainText('−43.3');
  await page.locator('[data-item="device:interface"]').click();
  const sheet = page.getByRole('complementary', { name: 'Side sheet' });
  await expect(sheet).toContainText('35.27 dB');
  await expect(sheet).toContainText('58.24 dB');
  await saved(page);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Host mic booster/ })).toHaveCount(0);
  await saved(page);
});

test('two browsers edit the same rig at once: nothing is lost and both end the same', async ({
  browser,
  demo,
}) => {
  const [one, two] = [
    await (await browser.newContext()).newPage(),
    await (await browser.newContext()).newPage(),
  ];
  for (const page of [one, two]) {
    await page.goto(`${demo.url}/rigs/night-tide/people`);
    await expect(page.getByRole('button', { name: 'Add a place' })).toBeVisible();
  }
  for (let n = 0; n < 5; n++)
    await Promise.all([
      one.getByRole('button', { name: 'Add a place' }).click(),
      two.getByRole('button', { name: 'Add a person' }).click(),
    ]);
  for (const page of [one, two]) {
    await expect(page.getByLabel('Place', { exact: true })).toHaveCount(6);
    await expect(page.getByRole('button', { name: /^Remove Person/ })).toHaveCount(5);
    await saved(page);
  }
  const shown = (page: typeof one) => page.locator('main').innerText();
  expect(await shown(one)).toBe(await shown(two));
});

test('an edit that was said to be saved survives kill -9, and PostgreSQL may stop and come back under a page', async ({
  page,
}) => {
  const application = await Application.open(true);
  await page.goto(`${application.url}/rigs/night-tide/people`);
  await page.getByRole('button', { name: 'Add a place' }).click();
  await saved(page);
  await application.kill();
  await page.getByRole('button', { name: 'Add a person' }).click();
  await expect(
    page.getByText('The server does not answer. Your edits are kept in this browser'),
  ).toBeVisible();
  await application.start();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Place', { exact: true })).toHaveCount(2);
  await expect(page.getByRole('button', { name: /^Remove Person/ })).toHaveCount(1);

  Application.stopDatabase();
  await page.getByRole('button', { name: 'Add a place' }).click();
  await page.getByRole('button', { name: 'Add a place' }).click();
  await expect(
    page.getByText('The database does not answer. Your edits are kept in this browser'),
  ).toBeVisible();
  expect((await page.request.get(`${application.url}/api/health`)).status()).toBe(503);
  Application.startDatabase();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Place', { exact: true })).toHaveCount(4);
  await application.kill();
});

test('the shelf: new from a starting point, duplicate, rename, delete with undo, export and import', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  await page.getByRole('button', { name: 'New rig' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Shelf test');
  await page.getByText('Solo at a desk', { exact: true }).click();
  await page.getByRole('button', { name: 'Make it' }).click();
  await page.getByRole('button', { name: 'Make the rig' }).click();
  // The one note asks for the line out of the building to be measured.
  await expect(verdict(page)).toHaveAttribute('data-verdict', '0/0/1');
  await page.getByRole('link', { name: 'Shelf' }).click();
  const more = async (name: string, item: string) => {
    await page.getByRole('button', { name: `More for ${name}`, exact: true }).click();
    await page.getByRole('menuitem', { name: item }).click();
  };
  await more('Shelf test', 'Duplicate');
  await expect(page.getByRole('article', { name: 'Shelf test copy' })).toBeVisible();
  await more('Shelf test copy', 'Rename');
  await page.getByRole('textbox', { name: 'Name' }).fill('Renamed rig');
  await page.getByRole('button', { name: 'Rename', exact: true }).click();
  await expect(page.getByRole('article', { name: 'Renamed rig' })).toBeVisible();
  await more('Renamed rig', 'Delete');
  await expect(page.getByRole('article', { name: 'Renamed rig' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('article', { name: 'Renamed rig' })).toBeVisible();

  const exported = await (
    await page.request.get(`${demo.url}/api/rigs/second-firing/export?as=json`)
  ).body();
  await page.getByLabel('Rig file').setInputFiles({
    name: 'broken.json',
    mimeType: 'application/json',
    buffer: Buffer.from(exported.toString().replace('"inputOhms": 3000', '"inputOhms": "much"')),
  });
  await expect(page.getByRole('dialog', { name: 'Not imported' })).toContainText(
    /devices\.[a-z0-9-]+\.model\.ports\.[a-z0-9-]+\.inputOhms/,
  );
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).last().click();
  await page
    .getByLabel('Rig file')
    .setInputFiles({ name: 'second.json', mimeType: 'application/json', buffer: exported });
  await page.waitForURL(/\/rigs\//);
  await expect(page.getByRole('heading', { name: 'Second Firing', exact: true })).toBeVisible();
  const again = await (
    await page.request.get(`${page.url().replace('/rigs/', '/api/rigs/')}/export?as=json`)
  ).body();
  expect(again.equals(exported)).toBe(true);
});

/** Looks at every view in one theme and width. @returns what axe finds serious, with its place */
const seriousOn = async (page: Page, url: string): Promise<string[]> => {
  const found: string[] = [];
  const check = async (what: string) => {
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
  for (const view of [
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
  ]) {
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
for (const [width, themes] of [
  [1280, ['light', 'dark']],
  [900, ['light']],
] as const)
  test(`axe finds nothing serious on any view, ${width} px, ${themes.join(' and ')}`, async ({
    browser,
    demo,
  }) => {
    // Both themes at once: axe keeps one core busy, and there are two.
    const found = await Promise.all(
      themes.map(async (colorScheme) => {
        const page = await (
          await browser.newContext({ colorScheme, viewport: { width, height: 800 } })
        ).newPage();
        return (await seriousOn(page, demo.url)).map((text) => `${colorScheme}: ${text}`);
      }),
    );
    expect(found.flat()).toEqual([]);
  });
