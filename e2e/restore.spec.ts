import { expect, saved, test } from './application';
import { make } from './made';

test('everything goes out as one file and comes back; what was put away comes back too', async ({
  page,
  empty,
}, info) => {
  await make(empty, 'Keeper');
  await page.goto(empty.url);
  await page.getByRole('button', { name: 'Everything' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Save everything as one file' }).click(),
  ]);
  const file = info.outputPath('everything.backup.gz');
  await download.saveAs(file);
  await page.getByRole('button', { name: 'More for Keeper' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByText('The shelf is empty.')).toBeVisible();
  await page.goto(`${empty.url}/away`);
  await page.getByRole('button', { name: 'Put Keeper back' }).click();
  await expect(page.getByText('Nothing is put away.')).toBeVisible();
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await expect(page.getByRole('article', { name: 'Keeper' })).toBeVisible();
  await make(empty, 'Later');

  const restore = async (buffer: Buffer | string) => {
    await page.goto(empty.url);
    await page
      .getByLabel('Backup file')
      .setInputFiles(
        typeof buffer === 'string'
          ? buffer
          : { name: 'broken.gz', mimeType: 'application/gzip', buffer },
      );
    await page.getByRole('button', { name: 'Replace everything' }).click();
  };
  await restore(Buffer.from('not a backup'));
  await expect(
    page.getByText('Nothing was restored. It is not a backup of Echo Loom, or it is cut off.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('article', { name: 'Later' })).toHaveCount(1);
  await restore(file);
  await expect(page.getByText(/^Everything is as in/)).toBeVisible();
  await expect(page.getByRole('article', { name: 'Keeper' })).toBeVisible();
  await expect(page.getByRole('article', { name: 'Later' })).toHaveCount(0);
});

test('a page that is open while everything is restored begins again from what was restored', async ({
  page,
  empty,
}) => {
  const id = await make(empty, 'Before');
  const backup = await (await page.request.get(`${empty.url}/api/backup`)).body();
  await page.goto(`${empty.url}/rigs/${id}/people`);
  await page.getByLabel('Name of the rig').fill('After');
  await page.keyboard.press('Enter');
  await saved(page);
  const restored = await page.request.post(`${empty.url}/api/restore`, {
    headers: { 'content-type': 'application/octet-stream' },
    data: backup,
  });
  expect(restored.status()).toBe(200);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Before');
  await page.getByRole('button', { name: 'Add a place' }).click();
  await saved(page);
});
