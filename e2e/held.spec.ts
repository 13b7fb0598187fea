import { expect, saved, test } from './application';

test('from an empty rig, by keys: a card, a lens, an instrument, a pedal, and undo to the bytes', async ({
  page,
  empty,
}) => {
  await page.goto(`${empty.url}/studio`);
  await page.getByLabel('Mains of the studio').selectOption('230 V, 50 Hz');
  await expect(page.getByRole('status')).toHaveText('Saved');
  await page.goto(empty.url);
  await page.getByRole('button', { name: 'New rig' }).first().click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Held');
  await page.keyboard.press('Enter');
  await expect(page.getByText('This rig is empty.')).toBeVisible();
  const rigUrl = page.url();
  const json = async () =>
    (await page.request.get(`${rigUrl.replace('/rigs/', '/api/rigs/')}/export?as=json`)).text();
  const blank = await json();
  expect(JSON.parse(blank)).toMatchObject({ version: 19, mains: { hz: 50, volts: 230 } });
  await page.keyboard.press('a');
  await expect(page.getByRole('dialog', { name: 'Add a device' })).toBeVisible();
  await page.keyboard.type('full-frame mirrorless');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeHidden();
  const camera = page.getByRole('button', { name: /^Full-frame mirrorless camera/ }).first();
  await camera.press('Enter');
  await expect(
    page.getByText('Free: microphone inputs 1 of 1, picture outputs 1 of 1.'),
  ).toBeVisible();
  await page.getByLabel('Records on its card').press('Space');
  await expect(page.getByTitle('Full-frame mirrorless camera makes a file itself')).toBeVisible();
  await page.getByRole('button', { name: 'Add a setting to repeat' }).press('Enter');
  const setting = page.getByRole('group', { name: 'Setting 1' });
  await setting.getByLabel('How it is set').fill('2.10');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Picture', exact: true }).press('Enter');
  await page.getByRole('button', { name: 'Plan its shot' }).press('Enter');
  const unsaid = page.getByRole('article', { name: 'Which lens has not been said' });
  await unsaid.getByRole('button', { name: /^Add 50 mm, fast/ }).press('Enter');
  await expect(unsaid).toHaveCount(0);
  await expect(page.getByRole('group', { name: '50 mm, fast' })).toContainText(
    'on Full-frame mirrorless camera',
  );
  await page.getByLabel(/^Distance of/).fill('0.3');
  await page.keyboard.press('Enter');
  await expect(
    page.getByRole('article', { name: '0.30 m, and the lens focuses from 0.45 m' }),
  ).toBeVisible();
  await page.getByRole('link', { name: 'People', exact: true }).press('Enter');
  await page.getByLabel('Add an instrument').selectOption('Upright piano');
  const piano = page.getByRole('group', { name: 'Upright piano' });
  await expect(piano.getByLabel('Played, at 1 m')).toHaveValue('76');
  await expect(piano.getByText('Wears glasses')).toHaveCount(0);
  await page.getByRole('link', { name: 'Panel', exact: true }).press('Enter');
  await page.getByRole('button', { name: 'Add a pedal or tablet' }).press('Enter');
  await expect(page.getByRole('group', { name: 'Pedal' })).toBeVisible();
  await saved(page);
  const held = JSON.parse(await json());
  expect(Object.keys(held.lenses)).toEqual(['50-mm-fast']);
  expect(Object.values(held.reminders)).toEqual([
    expect.objectContaining({ what: 'Setting 1', value: '2.10' }),
  ]);
  expect(Object.keys(held.hands)).toEqual(['pedal']);
  for (let n = 0; n < 9; n++) await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();
  await saved(page);
  expect(await json()).toBe(blank);
});

test('a combo socket takes one plug, and the gain sheet prints what is to be repeated', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/gain`);
  const list = page.getByRole('list', { name: 'Settings to repeat' });
  await expect(list).toContainText('Host camera: HDMI information, off');
  await page.emulateMedia({ media: 'print' });
  await expect(list).toBeVisible();
  await page.emulateMedia({ media: null });
  await page.goto(`${demo.url}/rigs/night-tide`);
  await page.locator('[data-item="device:interface"]').first().click();
  await expect(page.getByText('(its socket is in use)').first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Connect Line 1', exact: true })).toHaveCount(0);
});
