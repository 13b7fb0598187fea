import { expect, saved, test } from './application';

test('Night Tide: the ladder in figures, what should I buy, and the opposite answer for a poorer interface', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/night-tide/gain`);
  await expect(page.locator('[data-voice^="host-mic>"]')).toContainText('+5.8 dB');
  await expect(page.locator('[data-rung="Interface, Input 1"]')).toContainText('−67.8 dBu');
  await expect(
    page.getByRole('img', { name: /Gain ladder of Host mic: Host mic −67\.0 dBu/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Try everything and compare' }).click();
  const remedies = page.locator('[data-remedy]');
  await expect(remedies.first()).toContainText('Move Host mic to 4 cm');
  await expect(remedies.first()).toContainText('free');
  await expect(page.locator('[data-remedy="A booster after Host mic"]')).toContainText(
    'changes the noise by only 0.1 dB',
  );

  await page.goto(`${demo.url}/rigs/night-tide`);
  await page.locator('[data-item="device:interface"]').click();
  await page.getByText(/figures are typical of the class/).click();
  await page.getByLabel(/mic-1: EIN/).fill('-118');
  await page.keyboard.press('Enter');
  await saved(page);
  await page.getByRole('link', { name: 'Gain', exact: true }).click();
  await page.getByRole('button', { name: 'Try everything and compare' }).click();
  await expect(page.locator('[data-remedy="A booster after Host mic"]')).toContainText(
    'lowers the noise by 8.1 dB',
  );
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await saved(page);
});

test(
  'Second Firing: three stages in a row on the guest are set so that none clips; typed, ' +
    'slid, set for me, and taken back',
  async ({ page, demo }) => {
    await page.goto(`${demo.url}/rigs/second-firing/gain`);
    const wheel = page.locator('[data-voice^="wheel-mic>"]');
    await expect(wheel).toContainText('11.5 dB');
    await wheel.getByRole('button').click();
    await page.getByRole('button', { name: 'Set it for me' }).click();
    const answer = page.getByRole('status').filter({ hasText: 'settings were tried' });
    await expect(answer).toContainText('headroom kept; level met');
    await expect(answer).toContainText('none has a better signal-to-noise ratio');
    await page.getByRole('button', { name: 'Set it so' }).click();
    const input = page.locator('[data-sheet="Interface, Input 4"]');
    await expect(input).toContainText('3 dB, pad out');
    await expect(wheel).not.toContainText('11.5 dB');
    await saved(page);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(input).toContainText('0 dB');

    const slider = page.getByRole('slider', { name: 'Strip 1, Gain, slide' });
    await slider.focus();
    const rung = page.locator('[data-rung="Strip 1, Output"]');
    const before = await rung.innerText();
    await page.keyboard.press('ArrowLeft');
    await expect(rung).not.toHaveText(before);
    await expect(page.locator('[data-sheet="Strip 1, Microphone input"]')).toContainText('45 dB');
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(page.locator('[data-sheet="Strip 1, Microphone input"]')).toContainText('46 dB');
    await saved(page);
  },
);

test('every gain at once is one step of history, and the sheet prints without the screen’s buttons', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/night-tide/gain`);
  await page.getByRole('button', { name: 'Set every gain' }).click();
  await expect(page.locator('[data-sheet="Interface, Input 2"]')).toContainText('54 dB');
  await saved(page);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Set every gain' })).toBeHidden();
  await expect(page.getByRole('table', { name: 'Gains to set by hand' })).toBeVisible();
  await expect(page.getByRole('table', { name: 'Ladder of Host mic' })).toBeVisible();
  await page.emulateMedia({ media: 'screen' });
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.locator('[data-sheet="Interface, Input 2"]')).toContainText('48 dB');
  await saved(page);
});

test('an empty rig says what a gain needs', async ({ page, empty }) => {
  await page.goto(empty.url);
  await page.getByRole('button', { name: 'New rig' }).first().click();
  await page.getByRole('textbox', { name: 'Name' }).fill('No voice');
  await page.keyboard.press('Enter');
  await expect(page.getByText('This rig is empty.')).toBeVisible();
  await page.getByRole('link', { name: 'Gain', exact: true }).click();
  await expect(page.getByText('No voice reaches a converter yet.')).toBeVisible();
});

test(
  'monitoring: a volume typed beside a listener changes what reaches their ear, and too ' +
    'loud is a stop with its fix',
  async ({ page, demo }) => {
    await page.goto(`${demo.url}/rigs/night-tide/monitoring`);
    const ear = page.locator('[data-ear="host"]');
    const before = await ear.innerText();
    await page.getByLabel('Volume of Host headphones').fill('0');
    await page.keyboard.press('Enter');
    await expect(ear).not.toHaveText(before);
    await page.goto(`${demo.url}/rigs/second-firing/monitoring`);
    await page.getByLabel('Volume of Host headphones').fill('0');
    await page.keyboard.press('Enter');
    const card = page.getByRole('article', { name: /dB at the ear/ });
    await expect(card).toContainText('Turn it down before anybody puts them on');
    await card.getByRole('button', { name: /^Turn Host headphones down/ }).click();
    await expect(card).toBeHidden();
    for (let n = 0; n < 2; n++)
      await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await saved(page);
    await page.goto(`${demo.url}/rigs/night-tide/monitoring`);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(ear).toHaveText(before);
    await saved(page);
  },
);
