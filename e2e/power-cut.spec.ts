import { Application, expect, saved, test } from './application';

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
  const other = await page.context().newPage();
  expect((await other.goto(`${application.url}/things`))?.status()).toBe(503);
  await expect(other.getByRole('heading', { name: 'The database does not answer.' })).toBeVisible();
  Application.startDatabase();
  await saved(page);
  // Whoever waits there is let in without doing anything.
  await expect(other.getByRole('heading', { name: 'Things', exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Place', { exact: true })).toHaveCount(4);
  await application.kill();
});
