import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { workedShow } from '../core/src/recorded/show-for-cases';
import { type Application, expect, saved, test } from './application';
import { checkFolder, damage, folderOf, keepCheck } from './folders';
import { openFile } from './made';

const post = async (url: string, body: unknown): Promise<void> => {
  const response = await fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  expect(response.ok).toBe(true);
};

/** A run that was live for ninety minutes yesterday evening. */
const ranOnce = async ({ url }: Application, rigId: string): Promise<void> => {
  const runs = `${url}/api/rigs/${rigId}/runs`;
  const liveMs = Date.now() - 24 * 3_600_000;
  const event = (id: string, atMs: number, is: string) => ({
    id: `event-${id}`,
    atMs,
    by: 'Ada',
    happened: { is },
  });
  await post(runs, {
    id: 'the-only-run',
    plan: {
      name: 'Worked F',
      revision: 0,
      by: 'Ada',
      people: 2,
      clock: { is: 'real' },
      beginsAt: null,
      lengthMin: 90,
      lines: [],
      segments: [],
    },
  });
  await post(`${runs}/the-only-run`, {
    events: [event('live', liveMs, 'live'), event('ended', liveMs + 5_400_000, 'ended')],
  });
};

/** The files of worked F in a folder. */
const aFolder = (): string =>
  folderOf([
    ...[1, 2, 3, 4, 5].map((at) => ({ name: `Camera ${at}`, isSound: false })),
    { name: 'Stream copy', isSound: false },
    ...[1, 2, 3, 4, 5, 6, 7, 8].map((at) => ({ name: `Voice ${at}`, isSound: true })),
  ]);

test('an episode to the archive: copies checked, one damaged, the card kept until two are whole', async ({
  page,
  empty,
}) => {
  await openFile(page, empty, workedShow());
  const rigId = /rigs\/([^/?]+)/.exec(page.url())?.[1] ?? '';
  await ranOnce(empty, rigId);
  const folder = aFolder();
  try {
    await page.goto(`${empty.url}/rigs/${rigId}/board`);
    await page.getByLabel('Who moves them').fill('Ada');
    const recorded = page.getByRole('region', { name: 'recorded', exact: true });
    const card = page.getByRole('article');
    await expect(recorded.getByRole('article')).toContainText(
      'Do not format Computer. No copy of it was checked yet.',
    );

    await page.goto(`${empty.url}/rigs/${rigId}/files`);
    for (const place of [1, 2]) {
      await page.getByRole('button', { name: 'Add a place for copies' }).click();
      await expect(page.getByRole('group', { name: `Place ${place}` })).toBeVisible();
    }
    await saved(page);
    const list = page.waitForEvent('download');
    await page.getByRole('button', { name: 'As text', exact: true }).click();
    expect(readFileSync(await (await list).path(), 'utf8')).toMatch(
      /Worked F_.*_Camera 1.*; Camera 1; 1080p25; 33\.75 GB/,
    );
    await checkFolder(page, folder, 'Place 1', 14);
    // They are short and small, which is said; nothing is missing, and nothing is damaged.
    await expect(page.getByText(/^Not here: /)).toBeHidden();
    await keepCheck(page);
    // One bit of one file is another on the second copy.
    const damaged = path.join(folder, 'Voice 3.wav');
    const whole = damage(damaged);
    await checkFolder(page, folder, 'Place 2', 14);
    await expect(
      page
        .getByRole('table', { name: 'Files of the folder' })
        .getByRole('row', { name: /Voice 3/ }),
    ).toContainText('damaged: as long as when it was checked before, with another checksum.');
    await keepCheck(page);
    await page.goto(`${empty.url}/rigs/${rigId}/board`);
    await expect(card).toContainText(
      'Do not format Computer. What was checked is not the same everywhere: Place 1, Place 2.',
    );
    // Copied again, and checked again.
    writeFileSync(damaged, whole);
    await page.goto(`${empty.url}/rigs/${rigId}/files`);
    await checkFolder(page, folder, 'Place 2', 14);
    await expect(page.getByText(/damaged/)).toBeHidden();
    await keepCheck(page);

    await page.goto(`${empty.url}/rigs/${rigId}/board`);
    await expect(card).toContainText('May be formatted: Computer (Place 1, Place 2).');
    // While the server is away they stay in sight; what is moved then is not, and says so.
    await empty.kill();
    await expect(
      page.getByText('The server is away: episodes stand as they last stood.'),
    ).toBeVisible();
    await card.getByRole('button', { name: 'On to copied' }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'it was not kept' })).toBeVisible();
    await expect(recorded.getByRole('article')).toBeVisible();
    await empty.start();
    await expect(page.getByText(/^The server is away/)).toBeHidden();
    // By keys, by its button, by drag; who and when stand beside it after a reload.
    await card.getByRole('button', { name: /^Move / }).focus();
    await page.keyboard.press('ArrowRight');
    await expect(
      page.getByRole('region', { name: 'copied', exact: true }).getByRole('article'),
    ).toContainText(/copied .*, Ada/);
    await card.getByRole('button', { name: 'On to verified' }).click();
    await expect(
      page.getByRole('region', { name: 'verified', exact: true }).getByRole('article'),
    ).toBeVisible();
    // The board asks every few seconds: a card that is drawn anew under the hand is let go, and taken hold of again.
    const archived = page.getByRole('region', { name: 'archived', exact: true });
    await expect(async () => {
      const handle = await card.getByRole('button', { name: /^Move / }).boundingBox();
      const archive = await archived.boundingBox();
      if (!handle || !archive) throw new Error('nothing to drag');
      await page.mouse.move(handle.x + 8, handle.y + 8);
      await page.mouse.down();
      await page.mouse.move(archive.x + 40, archive.y + 40, { steps: 8 });
      await page.mouse.up();
      await expect(archived.getByRole('article')).toContainText(/archived .*, Ada/, {
        timeout: 8_000,
      });
    }).toPass({ timeout: 60_000 });
    await page.reload();
    await expect(
      page.getByRole('region', { name: 'archived', exact: true }).getByRole('article'),
    ).toContainText(/archived .*, Ada/);
  } finally {
    rmSync(folder, { recursive: true });
  }
});

test('worked H as a list of one’s own: 19.5 person-minutes, ten minutes with two, eight with three', async ({
  page,
  empty,
}) => {
  await openFile(page, empty, workedShow());
  const rigId = /rigs\/([^/?]+)/.exec(page.url())?.[1] ?? '';
  await page.goto(`${empty.url}/rigs/${rigId}/change-over`);
  await page.getByText('A list of your own').click();
  await page
    .getByLabel('Tasks')
    .fill(
      'Task,Minutes,People,After\nTable,2,2\nCamera,1.5,1,Table\nKey light,2,1\nPanels,3,1\n' +
        'Arm,1,1,Table\nCables,2.5,1,Camera + Arm\nLaptop,1.5,1,Table\nTowels,soon\n' +
        'Check,2,2,Cables + Laptop + Key light + Panels',
    );
  await expect(page.getByText('Line 9: “soon” is no time such as 2, 1.5 or 1:30.')).toBeVisible();
  await expect(
    page.getByText('10:00 minutes with 2 people · 19.5 person-minutes · no order takes less'),
  ).toBeVisible();
  await page.getByLabel('People for this list').fill('3');
  await page.getByLabel('People for this list').press('Enter');
  await expect(page.getByText('8:00 minutes with 3 people')).toBeVisible();
  await expect(page.getByRole('group', { name: 'Person 3' })).toBeVisible();
});

test('the schedule: a day from the brief in its month, what is wanted twice, and a calendar file', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/schedule`);
  const twice = page.getByRole('region', { name: 'Wanted twice' });
  await page.getByRole('combobox', { name: 'Shows' }).selectOption({ label: 'all' });
  await expect(twice).toContainText('is wanted in Second Firing and Harbour Hall on 2026-12-03.');
  await expect(page.getByRole('table', { name: 'Shows' })).toContainText('set-up from 18:45');
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'As calendar file' }).click();
  const file = readFileSync(await (await saving).path(), 'utf8');
  expect(file).toContain('DTSTART:20261210T184500');
  expect(file.match(/BEGIN:VEVENT/g)).toHaveLength(5);
});
