import type { Locator, Page } from '@playwright/test';
import { expect, saved, test } from './application';

const loom = (page: Page) => page.getByRole('group', { name: /^Loom:/ });
const device = (page: Page, id: string) => loom(page).locator(`[data-item="device:${id}"]`).first();
const cable = (page: Page, id: string) => loom(page).locator(`[data-item="link:${id}"]`);
const overview = (page: Page) => page.getByRole('group', { name: /^The whole chart/ });
const undo = async (page: Page) => {
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await saved(page);
};

interface Spot {
  readonly x: number;
  readonly y: number;
}

const middleOf = async (place: Locator): Promise<Spot> => {
  await place.scrollIntoViewIfNeeded();
  const box = await place.boundingBox();
  if (!box) throw new Error('it is not on the screen');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

/** Takes hold of something with the mouse and moves to a spot; the button stays down. */
const dragTo = async (page: Page, from: Locator, to: Spot) => {
  const start = await middleOf(from);
  await page.mouse.move(start.x, start.y);
  await page.mouse.down();
  await page.mouse.move(start.x + 12, start.y + 12, { steps: 3 });
  await page.mouse.move(to.x, to.y, { steps: 8 });
};

const said = (page: Page) => page.getByRole('status').last();

test('Harbour Hall: the whole chart at a key, larger and smaller by keys and wheel, and names that stay', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/harbour-hall`);
  await expect(device(page, 'switcher')).toBeVisible();
  await expect(overview(page)).toBeVisible();
  const size = page.getByRole('button', { name: /^Size/ });
  // The chart is laid out once more when its fonts are there: it is made to fit after that.
  await page.evaluate(async () => void (await document.fonts.ready));
  await page.keyboard.press('0');
  await expect(size).not.toHaveText('100 %');
  // The chart is laid out anew once its size is said.
  await expect
    .poll(() =>
      loom(page).evaluate(
        (chart) =>
          chart.scrollWidth <= chart.clientWidth + 1 &&
          chart.scrollHeight <= chart.clientHeight + 1,
      ),
    )
    .toBe(true);
  await page.keyboard.press('0');
  await expect(size).toHaveText('100 %');
  await page.keyboard.press('+');
  await expect(size).toHaveText('120 %');
  await page.keyboard.press('-');
  await expect(size).toHaveText('100 %');
  const at = await middleOf(device(page, 'switcher'));
  await page.mouse.move(at.x, at.y);
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -200);
  await page.keyboard.up('Control');
  await expect(size).toHaveText('135 %');
  await size.click();
  await size.click();
  await expect(size).toHaveText('100 %');

  // The overview moves what is seen; the name of a source stays while its row goes on.
  await overview(page).focus();
  const left = () => loom(page).evaluate((chart) => chart.scrollLeft);
  const before = await left();
  await page.keyboard.press('ArrowRight');
  await expect.poll(left).toBeGreaterThan(before);
  await loom(page).evaluate((chart) => chart.scrollTo(300, 0));
  await expect(
    loom(page).locator('[aria-hidden] > span', { hasText: 'Roaming 1' }),
  ).toBeInViewport();
});

test('a group folds to one box with its worst finding, and only what is asked for is drawn', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/harbour-hall`);
  await expect(device(page, 'switcher')).toBeVisible();
  const head = page.getByRole('button', { name: /^Pictures/ });
  await head.click();
  const box = page.getByRole('button', { name: /^Unfold 7 sources, warning/ });
  await expect(box).toBeVisible();
  await expect(device(page, 'switcher')).toBeVisible();
  await box.focus();
  await page.keyboard.press('Enter');
  await expect(head).toHaveAttribute('aria-expanded', 'true');

  await page.keyboard.press('f');
  await page.getByLabel('Threads of a signal').selectOption('sound');
  await expect(page.getByText(/^\d+ of \d+ threads$/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Wide camera/ })).toHaveCount(0);
  await page.getByText('Only what has findings').click();
  await page.getByLabel('Threads through a device').selectOption({ label: 'Chair mic' });
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(page.getByRole('button', { name: /^Wide camera/ }).first()).toBeVisible();
});

test('choosing a thread dims the rest and writes its way, by key and by pointer', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/night-tide`);
  await device(page, 'host-mic').focus();
  const way = page.getByRole('region', { name: 'The chosen thread' });
  await expect(way).toContainText('Host mic');
  await expect(way).toContainText('−67.8 dBu');
  await expect(way.getByRole('button', { name: 'Interface' })).toBeVisible();
  await page.keyboard.press('4');
  await expect(way).toContainText(/ms/);
  await page.keyboard.press('2');
  await way.getByRole('button', { name: 'Interface' }).click();
  await expect(page.getByRole('complementary', { name: 'Side sheet' })).toContainText('Interface');
});

test('pointing: a cable by a drop, with what cannot be joined said, and undone', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/night-tide`);
  await cable(page, 'host-mic-out-to-interface').click();
  await page.getByRole('button', { name: 'Disconnect' }).click();
  await expect(cable(page, 'host-mic-out-to-interface')).toHaveCount(0);

  await dragTo(page, device(page, 'host-mic'), await middleOf(device(page, 'reader-mic')));
  await expect(said(page)).toContainText('Cannot: both are outputs');
  await page.keyboard.press('Escape');
  await page.mouse.up();

  await dragTo(page, device(page, 'host-mic'), await middleOf(device(page, 'interface')));
  await expect(said(page)).toContainText('Host mic, Output → Interface');
  await expect(said(page)).toContainText('2 m of');
  await page.mouse.up();
  await expect(cable(page, 'host-mic-out-to-interface')).toBeVisible();
  await undo(page);
  await expect(cable(page, 'host-mic-out-to-interface')).toHaveCount(0);
  await undo(page);
  await expect(cable(page, 'host-mic-out-to-interface')).toBeVisible();
});

test('pointing: what goes here is added and connected in one edit, spliced out and in again', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/night-tide`);
  const devices = loom(page).locator('[data-item^="device:"]');
  await expect(device(page, 'host-mic')).toBeVisible();
  const count = await devices.count();
  const chart = await loom(page).boundingBox();
  if (!chart) throw new Error('no chart');
  const ground = { x: chart.x + chart.width / 2, y: chart.y + chart.height - 60 };
  await dragTo(page, device(page, 'computer'), ground);
  await expect(said(page)).toContainText('Add something here, connected to');
  await page.mouse.up();
  await expect(page.getByRole('dialog', { name: /What goes here/ })).toBeVisible();
  await page.keyboard.type('monitor');
  await page.keyboard.press('Enter');
  await expect(devices).toHaveCount(count + 1);
  await undo(page);
  await expect(devices).toHaveCount(count);

  // In between by the sheet, out of its thread by a drop, and into another thread by a drop.
  await cable(page, 'host-mic-out-to-interface').focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Put something in between…' }).click();
  await page.keyboard.type('booster');
  await page.keyboard.press('Enter');
  const booster = page.getByRole('button', { name: /^Host mic booster/ }).first();
  await expect(booster).toBeVisible();
  await page.keyboard.press('Escape');
  const guest = cable(page, 'reader-mic-out-to-interface');
  await dragTo(page, booster, await middleOf(guest));
  await expect(said(page)).toContainText('Put Host mic booster between Reader mic');
  await page.mouse.up();
  await expect(guest).toHaveCount(1);
  await dragTo(page, booster, { x: 640, y: 78 });
  await expect(said(page)).toContainText('Take Host mic booster out of its thread');
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^Not connected/i })).toBeVisible();
  for (let n = 0; n < 3; n++) await undo(page);
  await expect(devices).toHaveCount(count);
});

test('pointing with a finger: it rests, then drags; a finger that moves at once scrolls', async ({
  browser,
  demo,
}) => {
  const context = await browser.newContext({
    hasTouch: true,
    isMobile: true,
    viewport: { width: 900, height: 800 },
  });
  const page = await context.newPage();
  await page.goto(`${demo.url}/rigs/night-tide`);
  const from = await middleOf(device(page, 'host-mic'));
  const to = await middleOf(device(page, 'reader-mic'));
  const touch = await context.newCDPSession(page);
  const send = (type: string, at: Spot | null) =>
    touch.send('Input.dispatchTouchEvent', {
      type: type as 'touchStart',
      touchPoints: at ? [{ x: at.x, y: at.y }] : [],
    });
  const held = page.getByText('Cannot: both are outputs');
  await send('touchStart', from);
  await page.waitForTimeout(600);
  for (let step = 1; step <= 6; step++)
    await send('touchMove', {
      x: from.x + ((to.x - from.x) * step) / 6,
      y: from.y + ((to.y - from.y) * step) / 6,
    });
  await expect(held).toBeVisible();
  await send('touchEnd', null);
  await expect(held).toBeHidden();
  await send('touchStart', from);
  await send('touchMove', { x: from.x, y: from.y - 60 });
  await page.waitForTimeout(600);
  await expect(page.getByText('Drop it on a device')).toBeHidden();
  await send('touchEnd', null);
  await context.close();
});
