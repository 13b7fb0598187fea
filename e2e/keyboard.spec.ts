import type { Page } from '@playwright/test';
import { expect, saved, test, verdict } from './application';

/** Adds a device with the keyboard alone and returns once it stands on the loom. */
const add = async (page: Page, query: string, name: string) => {
  await page.keyboard.press('a');
  await expect(page.getByRole('dialog', { name: 'Add a device' })).toBeVisible();
  await page.keyboard.type(query);
  await expect(page.locator('[cmdk-item][data-selected="true"]')).toContainText(name);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.getByRole('button', { name: new RegExp(`^${name}`) }).first()).toBeVisible();
};

/** Connects with the keyboard alone: device, its port where it has a choice, the far port. */
const connect = async (page: Page, device: string, port: string | null, far: string) => {
  await page.keyboard.press('Control+k');
  await page.keyboard.type(device);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.keyboard.press('c');
  await expect(page.getByRole('dialog')).toContainText(`Connect ${device}`);
  if (port) {
    await page.keyboard.type(port);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog')).toContainText(`Connect ${device}, ${port}`);
  }
  await page.keyboard.type(far);
  await expect(page.locator('[cmdk-item][data-selected="true"]')).toContainText(
    new RegExp(far.split(' ')[0] ?? far, 'i'),
  );
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeHidden();
};

test('a rig from blank with the keyboard alone: zero stops, reload, history, undo to blank, redo', async ({
  page,
  empty,
}) => {
  await page.goto(empty.url);
  await expect(page.getByText('The shelf is empty.')).toBeVisible();
  await page.getByRole('button', { name: 'New rig' }).first().focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Name' })).toBeFocused();
  await page.keyboard.type('By hand');
  await page.keyboard.press('Enter');
  await expect(page.getByText('This rig is empty.')).toBeVisible();
  const blank = await (
    await page.request.get(`${page.url().replace('/rigs/', '/api/rigs/')}/export?as=json`)
  ).text();

  await add(page, 'camcorder', 'Camcorder with zoom');
  await add(page, 'capture 5', 'Capture device, 5 Gb/s');
  await add(page, 'laptop does everything', 'Laptop');
  await add(page, 'live stream', 'Live stream');
  await add(page, 'stage dynamic', 'Stage dynamic, hand-held');
  await add(page, 'interface two', 'Interface, two microphones');
  await connect(page, 'Camcorder with zoom', 'HDMI', 'capture');
  await connect(page, 'Capture device, 5 Gb/s', null, 'laptop usb 2');
  await connect(page, 'Stage dynamic, hand-held', null, 'input 1');
  await connect(page, 'Interface, two microphones', 'USB', 'laptop usb 3');
  await connect(page, 'Laptop', 'Programme', 'live stream');
  await expect(verdict(page)).toHaveAttribute('data-verdict', /^0\//);
  await saved(page);

  await page.reload();
  await expect(page.getByRole('button', { name: /^Live stream/ }).first()).toBeVisible();
  await expect(verdict(page)).toHaveAttribute('data-verdict', /^0\//);
  const address = page.url();
  const exportAddress = `${address.replace('/rigs/', '/api/rigs/')}/export?as=json`;
  const built = await (await page.request.get(exportAddress)).text();

  await page.goto(`${address}/history`);
  await expect(page.getByText('Added Camcorder with zoom.')).toBeVisible();
  await expect(
    page.getByText(
      'Connected Camcorder with zoom (HDMI) to Capture device, 5 Gb/s (HDMI in) with 2 m of HDMI cable, passive.',
    ),
  ).toBeVisible();
  for (let n = 0; n < 11; n++) await page.keyboard.press('Control+z');
  await expect(page.getByText('Took back: Added Camcorder with zoom.')).toBeVisible();
  await saved(page);
  expect(await (await page.request.get(exportAddress)).text()).toBe(blank);
  for (let n = 0; n < 11; n++) await page.keyboard.press('Control+Shift+z');
  await expect(page.getByText('Did again: Connected Laptop (Programme)')).toBeVisible();
  await saved(page);
  expect(await (await page.request.get(exportAddress)).text()).toBe(built);
});

test(
  'arrows walk along a thread, Enter opens the sheet, digits choose the reading, ' +
    'brackets step through findings',
  async ({ page, demo }) => {
    await page.goto(`${demo.url}/rigs/night-tide`);
    await page.getByRole('button', { name: /^Phone/ }).focus();
    await page.keyboard.press('ArrowDown');
    await expect(page.locator('[data-item="device:host-mic"]')).toBeFocused();
    await page.keyboard.press('ArrowRight');
    await expect(page.locator('[data-item="link:host-mic-out-to-interface"]')).toBeFocused();
    await page.keyboard.press('ArrowRight');
    await expect(page.locator('[data-item="device:interface"]')).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('complementary', { name: 'Side sheet' })).toBeFocused();
    await page.keyboard.press('Escape');
    await expect(page.locator('[data-item="device:interface"]')).toBeFocused();
    await page.keyboard.press('5');
    await expect(page.getByRole('radio', { name: /Cable/ })).toHaveAttribute(
      'aria-checked',
      'true',
    );
    await expect(page.locator('[data-item="link:phone-usb-to-computer"]')).toHaveText('7.5 m 150%');
    await page.keyboard.press(']');
    await expect(page.getByRole('article', { name: '7.5 m is beyond reach' })).toBeVisible();
    await page.keyboard.press(']');
    await expect(page.getByRole('article', { name: '5.84 dB short of gain' })).toBeVisible();
  },
);
