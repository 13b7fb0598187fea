import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test } from './application';

const LOCAL = path.join(import.meta.dirname, '../.local');

test('from an empty list: a thing by hand, a file with faults looked at, taken, taken back, out and in again', async ({
  page,
  empty: { url },
}) => {
  await page.goto(`${url}/things`);
  await expect(page.getByText('Nothing is listed yet.', { exact: false })).toBeVisible();
  // By keys alone: the form opens on its name, Enter on the button saves.
  await page.getByRole('button', { name: 'Add a thing' }).focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'A thing of the studio' });
  await expect(dialog).toBeVisible();
  await page.keyboard.type('Host mic');
  await dialog.getByRole('button', { name: 'Put it on the list' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Model: must be said of a device');
  await dialog.getByLabel('Model, needed').selectOption('mic-dynamic-quiet');
  await dialog.getByLabel('Serial number').fill('B7-1');
  await dialog.getByRole('button', { name: 'Put it on the list' }).click();
  await expect(page.getByRole('table', { name: 'Things' })).toContainText('Host mic');

  const file = path.join(LOCAL, 'things-with-faults.csv');
  writeFileSync(
    file,
    'Name,Kind,Count,Kept at,Length (m),Cable\r\n' +
      'Tape,other,2,Drawer,,\r\n' +
      'Long lead,cable,3,Hooks,10,balanced\r\n' +
      'Short lead,cable,many,Hooks,5,balanced\r\n' +
      'Mystery,gadget,1,,,\r\n',
  );
  await page.getByLabel('List of things').setInputFiles(file);
  const looked = page.getByRole('dialog', { name: 'Before it is taken' });
  await expect(looked).toContainText('2 new, 0 changed, 0 as they are, 2 faults');
  await expect(looked.getByRole('list', { name: 'Faults' })).toContainText(
    'line 4: Count: “many” is no number',
  );
  await expect(looked.getByRole('list', { name: 'Faults' })).toContainText('line 5: Kind:');
  await looked.getByRole('button', { name: 'Take 2 things' }).click();
  const table = page.getByRole('table', { name: 'Things' });
  await expect(table).toContainText('10 m Balanced audio cable');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(table).not.toContainText('Tape');

  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As a spreadsheet' }).click();
  const sheet = path.join(LOCAL, 'things-out.xlsx');
  await (await download).saveAs(sheet);
  expect(readFileSync(sheet).length).toBeGreaterThan(1000);
  await page.getByLabel('List of things').setInputFiles(sheet);
  await expect(page.getByRole('dialog', { name: 'Nothing to take' })).toContainText(
    '0 new, 0 changed, 1 as they are, 0 faults',
  );
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Take Host mic off the list' }).click();
  await expect(page.getByText('Nothing is listed yet.', { exact: false })).toBeVisible();
});

test('a new rig takes what there is, and the same thing in two rigs on one day is found and mended', async ({
  page,
  empty: { url },
}) => {
  await page.goto(`${url}/things`);
  const list = 'Id,Name,Kind,Model\r\nbig,Large interface,device,interface-8\r\n';
  const file = { name: 'one.csv', mimeType: 'text/csv', buffer: Buffer.from(list) };
  await page.getByLabel('List of things').setInputFiles(file);
  await page.getByRole('button', { name: 'Take 1 thing' }).click();
  await expect(page.getByRole('table', { name: 'Things' })).toContainText('Large interface');
  for (const name of ['First', 'Second']) {
    await page.goto(`${url}/new/two-voices?name=${name}`);
    await expect(page.getByLabel('Take the studio’s own things first')).toBeChecked();
    await page.getByRole('button', { name: 'Make the rig' }).click();
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible({ timeout: 60_000 });
    await page.goto(`${page.url()}/brief`);
    const shows = page.getByRole('region', { name: 'Show days' });
    await shows.getByLabel('Day of the next show').fill('2026-12-03');
    await shows.getByRole('button', { name: 'Add the day' }).click();
    await expect(shows.getByText('2026-12-03')).toBeVisible();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  }
  await page.goto(`${url}/things`);
  const found = page.getByRole('region', { name: 'Findings' });
  await expect(found).toContainText(/Large interface is wanted in \w+ and \w+ on 2026-12-03/);
  await expect(found).toContainText('= 2, of 1 there');
  await found.getByRole('button', { name: /^Second: buy another/ }).click();
  await expect(found).toContainText('Nothing is wanted in two places on one day');
});
