import { expect, saved, test, verdict } from './application';

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

test('what next names the step that gains most, leads to it, and goes on to the next when it is taken', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/people`);
  const next = page.locator('[data-next-step]');
  await expect(next).toContainText('2 stops gone');
  const label = (await next.innerText()).replace(/^Next: /, '').split('\n')[0] ?? '';
  await next.focus();
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/findings\?of=/);
  const first = page.getByRole('article').first();
  await first.getByRole('button', { name: label }).click();
  await expect(verdict(page)).toHaveAttribute('data-verdict', /^7\//);
  await expect(next).toContainText('gone');
  await expect(next).not.toContainText(label);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(verdict(page)).toHaveAttribute('data-verdict', /^9\//);
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
  // The notes ask for the line out of the building to be measured, and for the sync of stream and recording.
  await expect(verdict(page)).toHaveAttribute('data-verdict', '0/0/3');
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
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
