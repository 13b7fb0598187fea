import { readFileSync } from 'node:fs';
import { expect, saved, test, verdict } from './application';

/** The findings, the threads, the shelf and the studio, driven by keys and by pointer. */

test('findings by what to do: chosen by key, looked at together, done as one edit and taken back', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/night-tide/findings`);
  await page.getByLabel('Findings by').selectOption('doing');
  await expect(page.getByText(/to go …$/)).toHaveCount(0);
  const before = await verdict(page).getAttribute('data-verdict');
  const boxes = page.getByRole('checkbox');
  await boxes.first().focus();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Choose all' }).last().click();
  const bar = page.getByRole('region', { name: 'The chosen remedies together' });
  await expect(bar).toContainText(/chosen\. Together: .+, from 1 stop/);
  await bar.getByRole('button', { name: /^Do/ }).click();
  await expect(verdict(page)).not.toHaveAttribute('data-verdict', before ?? '');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(verdict(page)).toHaveAttribute('data-verdict', before ?? '');
  await saved(page);
});

test('a finding is put aside with a reason, counts apart after a reload, and is taken up again', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/night-tide/findings`);
  const before = await verdict(page).getAttribute('data-verdict');
  const first = page.getByRole('article').first();
  const title = (await first.getByRole('heading').innerText()).trim();
  await first.getByRole('button', { name: 'Put aside…' }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.type('The lead is only for rehearsals.');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 put aside')).toBeVisible();
  await saved(page);
  await page.reload();
  const list = page.getByRole('region', { name: 'Put aside' });
  await expect(list).toContainText(title);
  await expect(list).toContainText('The lead is only for rehearsals.');
  await list.getByRole('button', { name: /^Take up again/ }).click();
  await expect(verdict(page)).toHaveAttribute('data-verdict', before ?? '');
  await expect(page.getByText('1 put aside')).toHaveCount(0);
  await saved(page);
});

test('the patch matrix is walked with arrows, opens a thread, and is saved as CSV and spreadsheet', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/harbour-hall/threads`);
  const grid = page.getByRole('grid');
  const cell = grid.locator('[data-cell="0 0"]');
  await cell.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  await expect(grid.locator('[data-cell="1 1"]')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'The chosen thread' })).toContainText(
    'Speakers’ slides',
  );
  // Far down and right: what is out of sight is drawn when it is walked to.
  for (let n = 0; n < 20; n++) await page.keyboard.press('ArrowDown');
  await expect(grid.locator('[data-cell="21 1"]')).toBeFocused();
  expect(await grid.getByRole('gridcell').count()).toBeLessThan(800);

  await page.getByLabel('Threads of a signal').selectOption('sound');
  await expect(page.getByText(/^\d+ of \d+ threads$/)).toBeVisible();
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const text = readFileSync(await csv.path(), 'utf8');
  expect(text.split('\r\n')[0]).toContain('Destination,Source,Signal,Way');
  expect(text).not.toContain(',picture,');
  const [sheet] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as spreadsheet' }).click(),
  ]);
  expect(sheet.suggestedFilename()).toBe('Harbour Hall, threads.xlsx');
  // A spreadsheet is a zip file.
  expect(
    readFileSync(await sheet.path())
      .subarray(0, 2)
      .toString(),
  ).toBe('PK');
  await page.getByRole('radio', { name: 'By destination' }).click();
  await expect(page.getByRole('table', { name: 'Threads to Live stream' })).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
});

test('from an empty shelf: three steps, a studio said once, and a new rig that begins with it', async ({
  page,
  empty,
}) => {
  await page.goto(empty.url);
  await expect(page.getByText('Say what the studio has')).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'Studio' }).click();
  await page.getByLabel('Mains of the studio').selectOption('120 V, 60 Hz');
  await page.getByLabel('Temperature of the air').fill('27');
  await page.getByLabel('Places of the house, one a line').fill('Boat shed\nKiln corner');
  await page.getByLabel('Paper').selectOption('A3');
  await expect(page.getByRole('status')).toHaveText('Saved');
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByText('The studio is said')).toBeVisible();

  const dialog = page.getByRole('dialog');
  await page.getByRole('button', { name: 'New rig' }).first().click();
  await expect(dialog).toContainText('4 people, 5 cameras, about €9,400');
  const box = await dialog.boundingBox();
  expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThanOrEqual(800);
  await page.keyboard.type('First');
  await page.keyboard.press('Enter');
  await expect(page.getByText('This rig is empty.')).toBeVisible();
  const address = page.url().replace('/rigs/', '/api/rigs/');
  const rig: unknown = JSON.parse(
    await (await page.request.get(`${address}/export?as=json`)).text(),
  );
  expect(rig).toMatchObject({
    mains: { hz: 60, volts: 120 },
    room: { temperatureC: 27 },
    places: { 'boat-shed': { name: 'Boat shed' }, 'kiln-corner': { name: 'Kiln corner' } },
  });

  await page.goto(empty.url);
  await page.getByRole('button', { name: 'More for First' }).click();
  await page.getByRole('menuitem', { name: 'Tags…' }).click();
  await page.getByLabel('Tags, parted by commas').fill('live, on the road');
  await page.keyboard.press('Enter');
  await expect(page.getByText('live · on the road')).toBeVisible();
});

test('words of the field: explained on focus and on a tap, and all of them under a name', async ({
  browser,
  demo,
}) => {
  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 900, height: 800 },
  });
  const page = await context.newPage();
  await page.goto(`${demo.url}/rigs/second-firing/findings`);
  const word = page.getByRole('button', { name: 'phantom power: what is that?' }).first();
  await word.scrollIntoViewIfNeeded();
  await word.tap();
  await expect(page.getByRole('tooltip')).toContainText('48 V');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('tooltip')).toHaveCount(0);
  await page.keyboard.press('Control+k');
  await page.keyboard.type('words of the field');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Words of the field' })).toBeVisible();
  await page.keyboard.type('mix-minus');
  await expect(page.getByRole('dialog')).toContainText('so that they do not hear themselves late');
  await context.close();
});
