import type { Page } from '@playwright/test';
import { expect, saved, test } from './application';
import { make } from './made';

/** What an edit can lose, and who may come in: each of these failed once. */

const state = (page: Page) => page.locator('[data-save]').getAttribute('data-save');

test('a number that is none of its field’s is refused in words, and nothing after it is lost', async ({
  page,
  empty,
}) => {
  const id = await make(empty, 'Poisoned');
  await page.goto(`${empty.url}/rigs/${id}/rules`);
  const recordings = page.getByLabel('Independent recordings of each voice');
  await recordings.fill('2.3');
  await recordings.press('Enter');
  await expect(page.getByText('A whole number is needed here.')).toBeVisible();
  await recordings.press('Escape');
  await page.getByLabel('Least headroom at every stage').fill('7');
  await page.keyboard.press('Enter');
  await saved(page);
  await page.keyboard.press('Escape');
  await page.getByRole('heading', { name: 'Poisoned' }).click();
  await page.keyboard.press('Control+z');
  await page.goto(`${empty.url}/rigs/${id}/people`);
  // A cell pasted from a spreadsheet.
  await page.getByRole('button', { name: 'Add a place' }).click();
  const place = page.getByLabel('Place', { exact: true });
  await place.evaluate((field: HTMLInputElement) => {
    const write = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
    write?.call(field, 'Shed\tNorth\u0007');
    field.dispatchEvent(new Event('input', { bubbles: true }));
  });
  await place.press('Enter');
  await saved(page);
  await page.reload();
  await expect(place).toHaveValue('Shed North');
  await page.goto(`${empty.url}/rigs/${id}/history`);
  await expect(page.getByText('Renamed the place')).toBeVisible();
});

test(
  'an edit that cannot be saved is set aside by name; the rest is saved; it stays in ' +
    'sight after a reload, and can be saved as a file',
  async ({ page, empty }) => {
    const id = await make(empty, 'Aside');
    await page.goto(`${empty.url}/rigs/${id}/people`);
    await saved(page);
    // What a version of before has left in the storage: one that can be read, and one that cannot.
    await page.evaluate((rigId) => {
      const kept = [
        {
          id: 'old-entry-one',
          author: 'author-one',
          command: { type: 'addPlace', placeId: 'old', place: { name: 'Old place' } },
        },
        {
          id: 'old-entry-two',
          author: 'author-one',
          command: { type: 'paintTheShed', colour: 'red' },
        },
      ];
      localStorage.setItem(`echo-loom.outbox.${rigId}.gone`, JSON.stringify(kept));
      localStorage.setItem(`echo-loom.outbox.${rigId}.torn`, '[{"id":');
    }, id);
    await page.reload();
    await expect(page.getByLabel('Place', { exact: true })).toHaveValue('Old place');
    await expect(page.getByText('2 edits set aside')).toBeVisible();
    expect(await state(page)).toBe('aside');
    await page.reload();
    await expect(page.getByText('Set aside: A kept edit (paintTheShed).')).toBeVisible();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save as a file' }).first().click(),
    ]);
    expect(download.suggestedFilename()).toBe(`${id}.set-aside.json`);
    for (let n = 0; n < 2; n++) await page.getByRole('button', { name: 'Dismiss' }).first().click();
    await saved(page);
    await page.reload();
    await saved(page);
    await expect(page.getByLabel('Place', { exact: true })).toHaveCount(1);
  },
);

test(
  'a rig that cannot be read is one card with its file; all others work, and a newer ' +
    'one says that the application is older',
  async ({ page, empty }) => {
    const good = await make(empty, 'Good');
    await empty.sql(
      `insert into rigs (id, document) values ('broken', '{"version":5,"name":7}'), ('newer', '{"version":99}')`,
    );
    await page.goto(empty.url);
    await expect(page.getByRole('article')).toHaveCount(3);
    await expect(page.getByRole('article', { name: 'Good' })).toBeVisible();
    await expect(page.getByText('this program is older')).toBeVisible();
    const card = page.getByRole('article', { name: /broken/ });
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      card.getByRole('link', { name: 'Save its file' }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('broken.raw.json');
    await page.goto(`${empty.url}/rigs/broken`);
    await expect(page.getByRole('heading', { name: 'This rig cannot be read' })).toBeVisible();
    await page.goto(`${empty.url}/rigs/${good}`);
    await saved(page);
  },
);

test(
  'twelve tabs of one browser on one rig: all load, all hear, and the next takes over ' +
    'when the first is closed',
  async ({ context, empty }) => {
    const id = await make(empty, 'Tabs');
    const pages: Page[] = [];
    for (let n = 0; n < 12; n++) {
      const page = await context.newPage();
      await page.goto(`${empty.url}/rigs/${id}/people`);
      await saved(page);
      pages.push(page);
    }
    const rename = async (page: Page | undefined, name: string) => {
      await page?.getByLabel('Name of the rig').fill(name);
      await page?.keyboard.press('Enter');
    };
    await rename(pages[11], 'Heard by all');
    for (const page of pages)
      await expect(page.getByRole('heading', { level: 1 })).toHaveText('Heard by all');
    await pages[0]?.close();
    await rename(pages[5], 'Heard again');
    for (const page of pages.slice(1))
      await expect(page.getByRole('heading', { level: 1 })).toHaveText('Heard again');
  },
);

test(
  'strangers are turned away: names that are not ours, writes from elsewhere, addresses ' +
    'that cannot be read',
  async ({ request, empty }) => {
    const id = await make(empty, 'Guarded');
    const status = async (
      method: string,
      path: string,
      headers: Record<string, string> = {},
      data?: string,
    ) =>
      (
        await request.fetch(`${empty.url}${path}`, {
          method,
          headers,
          ...(data === undefined ? {} : { data }),
        })
      ).status();
    for (const path of [
      '/',
      `/rigs/${id}`,
      `/api/rigs/${id}`,
      '/api/backup',
      `/api/events?rig=${id}`,
    ])
      expect(await status('GET', path, { host: 'evil.example' })).toBe(403);
    const json = { 'content-type': 'application/json' };
    const create = JSON.stringify({ does: 'create', name: 'Planted' });
    expect(
      await status('POST', '/api/shelf', { ...json, origin: 'http://evil.example' }, create),
    ).toBe(403);
    expect(
      await status('POST', '/api/shelf', { ...json, 'sec-fetch-site': 'cross-site' }, create),
    ).toBe(403);
    expect(await status('POST', '/api/shelf', { 'content-type': 'text/plain' }, create)).toBe(415);
    expect(await status('POST', '/api/rigs/import', { origin: 'http://evil.example' }, '{}')).toBe(
      403,
    );
    expect(await status('POST', '/', { 'next-action': 'x' }, 'x')).toBe(405);
    for (const path of ['/', '/api/health']) expect(await status('TRACE', path)).toBe(405);
    for (const path of ['/rigs/%ff', '/api/rigs/%ff/entries?after=0'])
      expect(await status('GET', path)).toBe(400);
    for (const path of [
      '/rigs/%00',
      '/api/rigs/%00',
      '/api/rigs/%00/raw',
      '/api/events?rig=nothing',
    ])
      expect(await status('GET', path)).toBe(404);
    for (const after of ['2147483648', '-1', '1.5', 'x', ''])
      expect(await status('GET', `/api/rigs/${id}/entries?after=${after}`)).toBe(400);
    expect(await status('POST', `/api/rigs/${id}/entries`, json, '['.repeat(100_000))).toBe(400);
    expect(await status('GET', '/api/health')).toBe(200);
  },
);

test('a rig that is put away under an open page says so, and works again once it is put back', async ({
  page,
  empty,
}) => {
  const id = await make(empty, 'Away');
  await page.goto(`${empty.url}/rigs/${id}/people`);
  await saved(page);
  const shelf = (does: string) =>
    page.request.post(`${empty.url}/api/shelf`, { data: { does, id } });
  await shelf('put away');
  await expect(page.getByText('This rig has been taken off the shelf.')).toBeVisible();
  await page.getByRole('button', { name: 'Add a place' }).click();
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'gone');
  await shelf('put back');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Place', { exact: true })).toHaveCount(1);
});

/** Makes a blank rig through the door. @returns its id */
