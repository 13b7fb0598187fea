import type { Locator, Page } from '@playwright/test';
import { nightTide } from '../demo/night-tide';
import { secondFiring } from '../demo/second-firing';
import { expect, saved, test } from './application';
import { openFile } from './made';

/** A device nobody thought of: described from its data sheet, kept, used in two rigs, changed once, both brought up. */

const section = (page: Page, name: string): Locator => page.getByRole('region', { name });

/** Opens one of a list. */
const opened = async (list: Locator, name: string): Promise<Locator> => {
  const item = list
    .locator('details')
    .filter({ has: list.page().locator('summary', { hasText: new RegExp(`^${name}$`) }) })
    .first();
  if ((await item.getAttribute('open')) === null) await item.locator('summary').first().click();
  return item;
};

const type = async (at: Locator, label: string, value: string): Promise<void> => {
  const input = at.getByLabel(label, { exact: true });
  await input.fill(value);
  await input.press('Enter');
};

const choose = (at: Locator, label: string, value: string) =>
  at.getByLabel(label, { exact: true }).selectOption({ label: value });

const addTo = async (list: Locator, what: string, name: string): Promise<Locator> => {
  await list.getByLabel(`Name of what is added to ${what}`).fill(name);
  await list.getByRole('button', { name: `Add to ${what}` }).click();
  return opened(list, name);
};

test('a microphone amplifier from its data sheet, used in two rigs, changed once, both brought up and undone', async ({
  page,
  empty,
}) => {
  const urls: string[] = [];
  for (const rig of [nightTide(), secondFiring()]) {
    await openFile(page, empty, rig);
    urls.push(page.url());
  }
  await page.goto(empty.url);
  await page.getByRole('link', { name: 'Library' }).click();
  await expect(page.getByText('Nothing of your own yet')).toBeVisible();
  await page.getByRole('link', { name: 'Describe a device' }).click();
  await expect(section(page, 'What is missing')).toContainText('Name: expected a name');

  const is = section(page, 'What it is');
  await type(is, 'Name', 'Two-channel amplifier of ours');
  await choose(is, 'Kind', 'preamp');
  await choose(is, 'Step of the chain', 'lift');
  await type(is, 'Price', '240');

  const sockets = section(page, 'Sockets');
  const input = await addTo(sockets, 'sockets', 'Input A');
  await choose(input, 'Direction', 'in');
  await input.getByRole('button', { name: 'Input resistance' }).click();
  await type(input, 'Input resistance', '2400');
  await input.getByRole('button', { name: 'Maximum input' }).click();
  await type(input, 'Maximum input', '12');
  const output = await addTo(sockets, 'sockets', 'Output A');
  await choose(output, 'Direction', 'out');
  await choose(output, 'Made for', 'line');
  await choose(output, 'Balanced', 'yes');
  await output.getByRole('button', { name: 'Source resistance' }).click();
  await type(output, 'Source resistance', '100');
  await output.getByRole('button', { name: 'Maximum output' }).click();
  await type(output, 'Maximum output', '22');

  const gain = await addTo(section(page, 'Controls'), 'controls', 'Gain A');
  await type(gain, 'Most', '60');

  const ways = section(page, 'Inner ways');
  await ways.getByRole('button', { name: 'Add to inner ways' }).click();
  const way = await opened(ways, 'Input A to Output A');
  // Gone wrong on purpose: a way that carries nothing is no way, and it is said so.
  await expect(section(page, 'What is missing')).toContainText('carry sound, picture or both');
  await way.getByRole('button', { name: 'Sound', exact: true }).click();
  const sound = way.getByRole('group', { name: 'Sound', exact: true });
  await sound.getByRole('button', { name: 'Gain', exact: true }).click();
  await choose(
    sound.getByRole('group', { name: 'Gain', exact: true }),
    'Which',
    'as a control says',
  );
  await sound.getByRole('button', { name: 'Input noise' }).click();
  await sound.getByRole('button', { name: 'Add to input noise' }).click();
  const noise = await opened(sound, '0');
  await type(noise, 'At a gain of', '60');
  await type(noise, 'Equivalent input noise', '-127');
  await expect(section(page, 'What is missing')).toBeHidden();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Kept as version 1.')).toBeVisible();
  const library = page.url();
  expect(library).toMatch(/\/library\/two-channel-amplifier-of-ours$/);

  for (const url of urls) {
    await page.goto(url);
    await page.keyboard.press('a');
    await page.getByPlaceholder(/^Search: camera/).fill('amplifier of ours');
    await expect(
      page.getByRole('option', { name: /^Two-channel amplifier of ours/ }),
    ).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(
      page.getByRole('button', { name: /^Two-channel amplifier of ours/ }).first(),
    ).toBeVisible();
    await saved(page);
  }

  await page.goto(library);
  const used = section(page, 'Where it is used');
  await expect(used.getByText('1 device, up to date')).toHaveCount(2);
  await type(await opened(section(page, 'Sockets'), 'Output A'), 'Maximum output', '24');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('version 2', { exact: true })).toBeVisible();
  await expect(used.getByRole('table', { name: /^What changes of/ }).first()).toContainText(
    'Maximum output22 dBu24 dBu',
  );
  await used.getByRole('button', { name: 'Bring all 2 up to date' }).click();
  await expect(used.getByText('1 device, up to date')).toHaveCount(2);

  await page.goto(`${urls[0] ?? ''}/history`);
  await expect(
    page.getByText('Brought Two-channel amplifier of ours up to date').first(),
  ).toBeVisible();
  // Whoever brought it up takes it back there, as any edit of their own.
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(
    page.getByText(/^Took back: Brought Two-channel amplifier of ours up to date/),
  ).toBeVisible();
  await saved(page);
  await page.goto(library);
  await expect(used.getByText('1 device, up to date')).toHaveCount(1);
});

test('interfaces side by side in Second Firing, and the one that is chosen put there', async ({
  page,
  empty,
}) => {
  await openFile(page, empty, secondFiring());
  await page.locator('[data-item="device:interface"]').click();
  const sheet = page.getByRole('complementary', { name: 'Side sheet' });
  await sheet.getByRole('button', { name: 'Compare…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Side by side in this rig' });
  for (const name of ['two microphones', 'eight microphones'])
    await dialog.getByText(`Interface, ${name}`, { exact: true }).click();
  const table = dialog.getByRole('table', { name: 'Models side by side in this rig' });
  await expect(table.getByRole('row', { name: /^Can stand there/ })).toContainText(
    'has no socket left for the cable in “Input 4”.',
  );
  // The worst voice by the engine, to a tenth: what the test of the core reckons by hand.
  await expect(table.getByRole('row', { name: /^Worst voice/ })).toContainText(
    '51.8 dB, Wheel mic',
  );
  await table.getByRole('button', { name: 'Put Interface, eight microphones there' }).click();
  await expect(dialog).toBeHidden();
  await saved(page);
  await expect(sheet).toContainText('Interface, eight microphones');
});
