import { readFileSync } from 'node:fs';
import { expect, test } from './application';

/** Pages of a PDF, counted as its page tree does. */
const pagesOf = (pdf: Buffer): number =>
  (pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g) ?? []).length;

test('the build book of Harbour Hall: contents lead to their pages, every number once, printed page for page', async ({
  page,
  demo: { url },
}) => {
  await page.goto(`${url}/rigs/harbour-hall/book`);
  await expect(page.getByRole('status').filter({ hasText: /^\d+ pages$/ })).toBeVisible();
  const pages = page.locator('[data-pages] [data-page]');
  const count = await pages.count();
  for (const line of await page.locator('[data-pages] [data-contents]').all()) {
    const number = Number(await line.textContent());
    const title = (await line.getAttribute('data-contents')) ?? '';
    await expect(pages.nth(number - 1)).toContainText(title);
    await expect(pages.nth(number - 1)).toContainText(`page ${number} of ${count}`);
  }
  // Nothing of a page is cut: what stands on it ends above its foot.
  const over = await pages.evaluateAll((all) =>
    all.filter((one) => one.scrollHeight > one.clientHeight + 1).map((one) => one.ariaLabel),
  );
  expect(over).toEqual([]);
  const numbers = await page.locator('[data-pages] svg text[data-reading]').allTextContents();
  const written = numbers.map(Number);
  expect(written.length).toBeGreaterThan(60);
  expect([...written].sort((a, b) => a - b)).toEqual(
    Array.from({ length: written.length }, (_, index) => index + 1),
  );
  const pdf = await page.pdf({ preferCSSPageSize: true, printBackground: true });
  expect(pagesOf(pdf)).toBe(count);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Lists as a spreadsheet' }).click();
  expect(
    readFileSync(await (await download).path())
      .subarray(0, 2)
      .toString(),
  ).toBe('PK');
});

test('cables of Night Tide are numbered from the book, once, and the numbers stay when one is unplugged', async ({
  page,
  demo: { url },
}) => {
  await page.goto(`${url}/rigs/night-tide/book`);
  await page.getByRole('button', { name: 'Give them numbers now' }).click();
  await expect(page.getByText('no number yet')).toBeHidden();
  await page.goto(`${url}/rigs/night-tide/history`);
  await expect(page.getByText(/Numbered \d+ cables, 1 to \d+\./)).toBeVisible();
});

test('as built, by keys: a tick, a knob found otherwise, and either side taken over', async ({
  page,
  demo: { url },
}) => {
  await page.goto(`${url}/rigs/night-tide/built`);
  const gain = page.getByRole('button', { name: /Gain 1: is so$/ });
  await gain.focus();
  await page.keyboard.press('Enter');
  // Nobody is named yet: it is asked for, and nothing is ticked.
  await expect(page.getByRole('textbox', { name: 'Who looks' })).toBeFocused();
  await page.keyboard.type('Ada');
  await gain.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Is so: Ada, /)).toBeVisible();

  await page.getByRole('button', { name: /Gain 2: found otherwise$/ }).focus();
  await page.keyboard.press('Enter');
  const field = page.getByLabel(/^Gain 2/);
  await field.fill('11');
  await field.press('Enter');
  await page.getByRole('button', { name: 'Note it so' }).click();
  const differs = page.getByRole('region', { name: 'Not as planned' });
  await expect(differs).toContainText('Found: 11 dB');
  await differs.getByRole('button', { name: /the plan follows$/ }).click();
  await expect(differs).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(differs).toContainText('Found: 11 dB');
  await differs.getByRole('button', { name: /made as planned$/ }).click();
  await expect(differs).toBeHidden();
  await page.reload();
  await expect(page.getByText(/^Is so: Ada, /)).toHaveCount(2);
});
