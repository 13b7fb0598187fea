import type { Page } from '@playwright/test';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { EPISODE_STEPS, RIG_VERSION } from '@echo-loom/core';
import { expect, saved, test } from './application';
import { checkFolder, damage, folderOf, keepCheck } from './folders';

const begin = async (page: Page, url: string, point: string, name: string): Promise<string> => {
  await page.goto(url);
  await page.getByRole('button', { name: 'New rig' }).first().click();
  await page.getByRole('textbox', { name: 'Name' }).fill(name);
  await page.getByText(point, { exact: true }).click();
  await page.getByRole('button', { name: 'Make it' }).click();
  await page.getByRole('button', { name: 'Make the rig' }).click();
  await page.waitForURL(/\/rigs\//);
  return /rigs\/([^/?]+)/.exec(page.url())?.[1] ?? '';
};

/** Takes a device out of a rig as another browser would. */
const removeDevice = async (url: string, rigId: string, deviceId: string): Promise<void> => {
  const { revision, entries } = (await (await fetch(`${url}/api/rigs/${rigId}`)).json()) as {
    revision: number;
    entries: { id: string }[];
  };
  const response = await fetch(`${url}/api/rigs/${rigId}/entries`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      version: RIG_VERSION,
      on: { revision, entryId: entries.at(-1)?.id ?? null },
      entries: [
        {
          id: 'entry-from-afar',
          author: 'author-from-afar',
          command: { type: 'removeDevice', deviceId },
        },
      ],
    }),
  });
  expect(response.status).toBe(200);
};

/** Keeps two sets: as everything was placed from the brief, and with one stand farther on. */
const placeTwoSets = async (page: Page, url: string): Promise<void> => {
  await page.goto(`${url}/plan`);
  const name = page.getByLabel('Name of a new set');
  const keep = page.getByRole('button', { name: 'Keep', exact: true });
  await name.fill('Talking');
  await keep.click();
  const stand = page.locator('[data-thing^="support:"]').first();
  await stand.focus();
  for (let times = 0; times < 6; times++) await page.keyboard.press('Shift+ArrowRight');
  await name.fill('Showing');
  await keep.click();
  await expect(page.getByRole('button', { name: 'Stand as in Showing' })).toBeVisible();
  await saved(page);
  // The marks of the second, in tape of its own, on paper.
  await page.goto(`${url}/change-over`);
  await page.getByLabel('From').selectOption({ label: 'Talking' });
  await page.getByLabel('To', { exact: true }).selectOption({ label: 'Showing' });
  await expect(page.getByText(/person-minutes/)).toBeVisible();
  await page.getByLabel('Tape on the floor').selectOption('yellow');
  await expect(page.getByText('in yellow tape')).toBeVisible();
  await saved(page);
  // Walked through, one after the other, to the last and out.
  await page.getByRole('button', { name: 'Walk through them' }).click();
  const walk = page.getByRole('group', { name: 'Walk through the marks' });
  await expect(walk).toContainText(/^1 of \d+, yellow tape/);
  const many = Number(/of (\d+)/.exec(await walk.innerText())?.[1]);
  for (let mark = 1; mark < many; mark++)
    await walk.getByRole('button', { name: 'Laid: next' }).click();
  await walk.getByRole('button', { name: 'Laid: that was all' }).click();
  await expect(walk).toBeHidden();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('table', { name: 'Marks' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Print with the marks' })).toBeHidden();
  expect((await page.pdf({ preferCSSPageSize: true })).length).toBeGreaterThan(10_000);
  await page.emulateMedia({ media: 'screen' });
};

/** How fast the rehearsal goes, and how long the server is away in it. */
const SPEED = 60;
const AWAY_MS = 180_000;

const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Parts of the run' }).getByRole('button', { name });

test('a show by phone from nothing to the archive: sets, marks, no server, a dead camera, log, copies, board', async ({
  page,
  browser,
  empty,
}) => {
  const rigId = await begin(page, empty.url, 'Demonstrator with an overhead', 'Glaze hour');
  await placeTwoSets(page, `${empty.url}/rigs/${rigId}`);
  await page.goto(`${empty.url}/rigs/${rigId}/rundown`);
  await page.getByRole('button', { name: 'From text or CSV' }).click();
  await page
    .getByLabel('Segments as text')
    .fill('Hello 2:00\nThe glaze 5:00\nNo length here\nGoodbye 3 min');
  await expect(page.getByText('Line 3: “No length here” has no length')).toBeVisible();
  await page.getByRole('button', { name: 'Add them' }).click();
  await expect(page.getByText('10:00 planned')).toBeVisible();
  // By keys: the last goes up one place, and back by undo.
  const handle = page.getByRole('button', { name: 'Move Goodbye', exact: true });
  await handle.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Goodbye is over place 3.')).toBeAttached();
  // A key that comes before the rows were measured moves nothing: it is pressed again.
  await expect(async () => {
    await page.keyboard.press('ArrowUp');
    await expect(page.getByText('Goodbye is over place 2.')).toBeAttached({ timeout: 3000 });
  }).toPass();
  await page.keyboard.press('Space');
  await expect(page.getByLabel('Title of segment 2')).toHaveValue('Goodbye');
  await page.getByRole('heading', { name: 'Glaze hour' }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Title of segment 2')).toHaveValue('The glaze');
  await saved(page);

  // The host’s phone, and a second window at the desk.
  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, baseURL: empty.url })
  ).newPage();
  phone.setDefaultTimeout(15_000);
  await phone.goto(`/rigs/${rigId}/runs`);
  await phone.getByLabel('Who runs it').fill('Ada');
  await phone.getByLabel('Clock').selectOption({ label: 'A rehearsal, sixty times as fast' });
  await phone.getByRole('button', { name: 'Begin a run' }).click();
  await phone.waitForURL(/\/runs\/.+/);
  await page.goto(phone.url());

  await part(phone, 'Checks').click();
  const [first] = await phone.getByRole('checkbox').all();
  await first?.click();
  await expect(page.getByRole('checkbox', { checked: true })).toHaveCount(1);
  // What a meter shows is kept with the run, and said beside what is computed.
  await part(phone, 'Checks').click();
  await phone.getByRole('group', { name: 'Lists' }).getByRole('button', { name: /^Test/ }).click();
  const meter = phone.getByLabel('Read off').first();
  await meter.fill('60');
  await meter.press('Enter');
  await expect(phone.getByText(/ dB quieter than computed$/)).toBeVisible();
  await part(phone, 'Now').click();
  const goLive = phone.getByRole('button', { name: 'Go live', exact: true });
  await expect(goLive).toBeDisabled();
  await expect(phone.getByText(/^Live is shut: /)).toBeVisible();
  await phone.getByLabel('Why live all the same').fill('Only a rehearsal');
  await phone.getByRole('button', { name: 'Overrule' }).click();
  await goLive.click();
  await phone.getByRole('button', { name: 'Press again: live now' }).click();
  await expect(phone.getByRole('group', { name: 'Now' })).toContainText('Hello');
  await expect(page.getByRole('group', { name: 'Now' })).toContainText('Hello');

  // A stop that appears is said in both windows.
  const cameraId = await page.evaluate(async (id) => {
    const { rig } = (await (await fetch(`/api/rigs/${id}`)).json()) as {
      rig: { devices: Record<string, { model: { kind: string } }> };
    };
    return Object.entries(rig.devices).find(([, { model }]) => model.kind === 'microphone')?.[0];
  }, rigId);
  await removeDevice(empty.url, rigId, cameraId ?? '');
  for (const one of [page, phone])
    await expect(one.getByRole('alert').filter({ hasText: 'Stop, new: ' })).toBeVisible({
      timeout: 3000,
    });

  // The server goes; the show goes on, and what was worked out stays.
  await part(phone, 'If it dies').click();
  await expect(phone.getByRole('button', { name: /lost$/ }).first()).toBeVisible();
  await empty.kill();
  const awayMs = Date.now();
  await part(phone, 'Marks').click();
  await phone.getByLabel('Words for the next mark').fill('The lid slips');
  const markedFromMs = Date.now();
  await phone.getByRole('button', { name: 'Marker', exact: true }).click();
  const markedToMs = Date.now();
  await phone.getByRole('button', { name: 'Take', exact: true }).click();
  await expect(phone.getByText(/^The server is away\. Go on: 2 kept here/)).toBeVisible();
  // The page is loaded again while nobody serves it: it is there, with what the server had told and what is kept.
  await expect(phone.getByText(/This page can be loaded again without it\.$/)).toBeVisible();
  await phone.reload();
  await expect(phone.getByText(/^The server is away\. Go on: 2 kept here/)).toBeVisible();
  await expect(phone.getByRole('group', { name: 'Now' })).toContainText('Hello');
  await part(phone, 'If it dies').click();
  await phone
    .getByRole('button', { name: /[Cc]amera/ })
    .first()
    .click();
  await expect(phone.getByText(/^Look at the power and the plugs of /)).toBeVisible();
  await phone.getByRole('button', { name: 'It died: log it' }).click();
  await part(phone, 'Now').click();
  await phone.getByRole('button', { name: 'Next: The glaze' }).click();
  await expect(phone.getByRole('group', { name: 'Now' })).toContainText('The glaze');
  await phone.waitForTimeout(Math.max(0, AWAY_MS / SPEED - (Date.now() - awayMs)));
  await empty.start();
  await expect(phone.getByText(/^The server is away/)).toBeHidden();
  await expect(page.getByRole('group', { name: 'Now' })).toContainText('The glaze');
  await part(page, 'Marks').click();
  await expect(page.getByRole('list', { name: 'Marks' }).getByRole('listitem')).toHaveCount(3);
  await expect(page.getByText('marker 1: The lid slips')).toBeVisible();

  // What was marked without the server has its time to the second.
  const runs = `${empty.url}/api/rigs/${rigId}/runs`;
  const runId = phone.url().split('/').at(-1);
  const read = (await (await fetch(`${runs}/${runId}`)).json()) as {
    events: { event: { atMs: number; happened: { is: string } } }[];
  };
  const book = (await (await fetch(runs)).json()) as {
    runs: { id: string; plan: { clock: { fromMs: number; serverMs: number } } }[];
  };
  const clock = book.runs.find(({ id }) => id === runId)?.plan.clock;
  if (!clock) throw new Error('the run is not in the logbook');
  const { fromMs, serverMs } = clock;
  const atMs = (is: string): number =>
    read.events.find(({ event }) => event.happened.is === is)?.event.atMs ?? NaN;
  const realMs = serverMs + (atMs('marked') - fromMs) / SPEED;
  expect(realMs).toBeGreaterThan(markedFromMs - 1000);
  expect(realMs).toBeLessThan(markedToMs + 1000);

  // Taken back by the other window; then the end, ten minutes of the show after live, and the lists of the strike.
  await page.getByRole('button', { name: 'Take back take 1' }).click();
  await phone.waitForTimeout(
    Math.max(0, serverMs + (atMs('live') + 600_000 - fromMs) / SPEED - Date.now()),
  );
  await phone.getByRole('button', { name: 'End the show' }).click();
  await phone.getByRole('button', { name: 'Press again: ended' }).click();
  await part(phone, 'Checks').click();
  await expect(
    phone.getByRole('checkbox', { name: /put|back where|Stop|off/ }).first(),
  ).toBeVisible();
  await expect(page.getByText('Ended')).toBeVisible();

  await page.goto(`${empty.url}/rigs/${rigId}/runs`);
  const row = page.getByRole('table', { name: 'Logbook' }).getByRole('row').nth(1);
  await expect(row).toContainText('died');
  await expect(row).toContainText('live overruled: Only a rehearsal');
  await row.getByRole('button', { name: 'Take out' }).click();
  const csv = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Log as CSV' }).click();
  const log = readFileSync(await (await csv).path(), 'utf8');
  expect(log).toContain('marker,marker 1: The lid slips,,Ada');
  expect(log).not.toContain('take,');
  const list = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Marks as edit list' }).click();
  const edl = readFileSync(await (await list).path(), 'utf8');
  expect(edl).toMatch(/^001 {2}PROGRAM {2}V {5}C {8}01:00:00:\d\d 01:00:00:\d\d/m);

  // What was recorded, by the hand-over list, is copied to two places and checked there; one bit is wrong on one.
  await page.goto(`${empty.url}/rigs/${rigId}/files`);
  for (const place of [1, 2]) {
    await page.getByRole('button', { name: 'Add a place for copies' }).click();
    await expect(page.getByRole('group', { name: `Place ${place}` })).toBeVisible();
  }
  await saved(page);
  await page.getByLabel('Who checks').fill('Ada');
  const handOver = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As text', exact: true }).click();
  const handed = readFileSync(await (await handOver).path(), 'utf8');
  const files = [...handed.matchAll(/^ {2}([^;]+); (.+)$/gm)].map(([, name = '', rest = '']) => ({
    name,
    isSound: rest.includes('; sound'),
  }));
  expect(files.length).toBeGreaterThan(1);
  const folder = folderOf(files);
  try {
    await checkFolder(page, folder, 'Place 1', files.length);
    await keepCheck(page);
    const [first] = files;
    const file = path.join(folder, `${first?.name}.${first?.isSound ? 'wav' : 'webm'}`);
    const whole = damage(file);
    await checkFolder(page, folder, 'Place 2', files.length);
    await expect(page.getByText(/damaged: as long as when it was checked before/)).toBeVisible();
    writeFileSync(file, whole);
    await checkFolder(page, folder, 'Place 2', files.length);
    await keepCheck(page);
  } finally {
    rmSync(folder, { recursive: true });
  }
  await page.goto(`${empty.url}/rigs/${rigId}/board`);
  await page.getByLabel('Who moves them').fill('Ada');
  const card = page.getByRole('article');
  await expect(card).toContainText(/May be formatted: .* \(Place 1, Place 2\)\./);
  for (const step of EPISODE_STEPS.slice(1)) {
    await card.getByRole('button', { name: `On to ${step}` }).click();
    await expect(
      page.getByRole('region', { name: step, exact: true }).getByRole('article'),
    ).toBeVisible();
  }
  await page.reload();
  await expect(
    page.getByRole('region', { name: 'archived', exact: true }).getByRole('article'),
  ).toContainText(/archived .*, Ada/);
});
