import { workedPower } from '../demo/worked-power';
import { expect, saved, test, verdict } from './application';
import { make, openFile } from './made';

/** Cables and power: lengths from the plan, ways, labels, and what hangs on which circuit. */

const KILN_CABLE = '[data-cable="kiln-camera-hdmi-to-switcher"]';

test('Second Firing: all lengths at once make one too long for its rate and say so; the trip has three cures', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/cables`);
  await expect(page.locator(KILN_CABLE)).toContainText('11.01 m');
  await expect(page.getByText(/Brings: 25 m is beyond reach\./)).toBeVisible();
  const before = await verdict(page).getAttribute('data-verdict');

  const trip = page.getByRole('article').filter({ hasText: 'bare across Way out' });
  for (const cure of [
    /^Lay 1\.00 m of cable cover/,
    /^Lead one cable over it, 2\.20 m up/,
    /^Lead one cable round it/,
  ])
    await expect(trip.getByRole('button', { name: cure })).toContainText('Cures this.');
  await trip.getByRole('button', { name: /^Lay 1\.00 m of cable cover/ }).click();
  await expect(trip).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: 'Points of Cover, Way out' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(trip).toHaveCount(1);

  await page.getByRole('button', { name: /^Set all \d+ lengths from the plan/ }).click();
  await expect(page.getByText('Every cable whose way is known is as long')).toBeVisible();
  await expect(page.getByLabel(/^Length of cable \d+, from Kiln camera/)).toHaveValue('15');
  await saved(page);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(verdict(page)).toHaveAttribute('data-verdict', before ?? '');
});

test('ways are drawn by keys, refused where they are no points, and labels come for both ends', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/night-tide/cables`);
  await page.getByRole('button', { name: 'Add a duct', exact: true }).press('Enter');
  const points = page.getByRole('textbox', { name: 'Points of New duct' });
  await points.fill('0, 1; here');
  await points.press('Enter');
  await expect(page.getByText('Point 2, “here”, is not two or three numbers.')).toBeVisible();
  await points.press('Escape');
  await expect(points).toHaveValue('0, 1, 0; 2, 1, 0');
  await points.fill('0, 1.5; 1.6, 1.5; 1.6, 1.5, 0.7');
  await points.press('Enter');
  await expect(points).toHaveValue('0, 1.5, 0; 1.6, 1.5, 0; 1.6, 1.5, 0.7');
  await saved(page);
  await page.reload();
  await expect(points).toHaveValue('0, 1.5, 0; 1.6, 1.5, 0; 1.6, 1.5, 0.7');
  await page.evaluate(() => {
    window.print = () => undefined;
  });
  const cables = await page.locator('[data-cable]').count();
  await page.getByRole('button', { name: /^Print 24 of 70/ }).click();
  const labels = page.locator('[data-labels] b');
  await expect(labels).toHaveCount(2 * cables);
  // On paper there is nothing but labels, each of them 70 mm wide.
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('table', { name: 'Cables', exact: true })).toBeHidden();
  const box = await page.locator('[data-labels] b').first().locator('..').boundingBox();
  expect(((box?.width ?? 0) * 25.4) / 96).toBeCloseTo(70, 0);
  await page.emulateMedia({ media: 'screen' });
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(labels).toHaveCount(0);
});

test('a cable is led by hand, a way is moved on the plan by keys, and all of it is taken back', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/cables`);
  const row = page.locator(KILN_CABLE);
  await expect(row).toContainText('11.01 m');
  await page.getByLabel(/^Where cable 5 is led$/).selectOption('Tray on the low beam');
  await expect(row).not.toContainText('11.01 m');
  const asked = row.getByRole('cell').nth(4);
  const led = await asked.textContent();
  await saved(page);
  await page.getByRole('link', { name: 'Plan', exact: true }).click();
  await page.getByRole('button', { name: 'Cables and mains' }).click();
  await page.getByRole('button', { name: 'Move ways and strips' }).click();
  await page.locator('[data-thing="way:beam-run 2"]').press('Shift+ArrowUp');
  await saved(page);
  await page.locator('[data-thing="way:beam-run 2"]').press('Enter');
  await expect(page.getByRole('textbox', { name: 'Up the plan', exact: true })).toHaveValue('5.25');
  await page.getByRole('link', { name: 'Cables', exact: true }).click();
  await expect(asked).not.toHaveText(led ?? '?');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(asked).toHaveText(led ?? '?');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(row).toContainText('11.01 m');
});

test('from an empty database: a circuit, an outlet and a strip, everything plugged, a heater too much, undo', async ({
  page,
  empty,
}) => {
  await page.goto(`${empty.url}/rigs/${await make(empty, 'Power')}`);
  for (const query of ['monitor', 'desktop computer']) {
    await page.keyboard.press('a');
    await expect(page.getByRole('dialog', { name: 'Add a device' })).toBeVisible();
    await page.keyboard.type(query);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog')).toBeHidden();
  }
  await page.getByRole('link', { name: 'Power', exact: true }).click();
  await expect(page.getByText('No circuit and no outlet is known yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Add a circuit' }).click();
  await page.getByRole('button', { name: /^It is 230 V, 50 Hz/ }).click();
  await expect(page.getByText('230 V, 50 Hz', { exact: true })).toBeVisible();
  const add = page.getByRole('button', { name: 'Add it', exact: true });
  await add.click();
  await page.getByLabel('What feeds Wall outlet').selectOption('Circuit 1');
  await page.getByLabel('What is added').selectOption('Strip, 6 sockets');
  await add.click();
  await page.getByLabel('What feeds Strip, 6 sockets').selectOption('Wall outlet');
  await page.getByRole('button', { name: 'Plug it for me' }).click();
  const plug = page.getByRole('region', { name: 'Plug it for me' });
  await expect(plug).toContainText(/plugs? goe?s? elsewhere/);
  await plug.getByRole('button', { name: /^Plug (it|all)/ }).click();
  const tree = page.getByRole('table', { name: 'What is drawn from where' });
  await expect(tree.getByRole('row').filter({ hasText: 'Circuit 1' })).toContainText(
    '12.8 of 16 A',
  );

  await page.getByRole('button', { name: 'Add something' }).click();
  await page.getByLabel('Power of Heater').fill('4000');
  await page.getByLabel('Power of Heater').press('Enter');
  await page.getByLabel('What feeds Heater').selectOption('Circuit 1');
  await expect(page.getByRole('article').filter({ hasText: 'of 12.8 A' })).toContainText(
    'never lift the protective earth',
  );
  await page.getByLabel('What feeds Wall outlet').selectOption('Strip, 6 sockets');
  await expect(page.getByText(/would feed itself/).first()).toBeVisible();
  await saved(page);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('article').filter({ hasText: 'of 12.8 A' })).toHaveCount(0);
});

test('the handbook’s figures of power stand on the screen, and a battery’s label is taken over', async ({
  page,
  empty,
}) => {
  await openFile(page, empty, workedPower());
  await page.getByRole('link', { name: 'Power', exact: true }).click();
  const tree = page.getByRole('table', { name: 'What is drawn from where' });
  await expect(tree.getByRole('row').filter({ hasText: 'Kitchen circuit' })).toContainText(
    '16.0 of 20 A, 1920 W',
  );
  await expect(tree.getByRole('row').filter({ hasText: 'Supply that lasts' })).toContainText(
    '77 min',
  );
  const batteries = page.getByRole('table', { name: 'Batteries for a long day' });
  await expect(batteries.getByRole('row').last()).toHaveText(
    /Camera 1, Camera 2, Camera 3.*135 min.*12.*10.*9/,
  );
  await page.getByLabel('Battery holds').fill('16.4');
  await page.getByLabel('It feeds').fill('6.2');
  await page.getByLabel('It feeds').press('Enter');
  const label = page.getByRole('group', { name: 'A battery by its label' });
  await expect(label).toContainText('16.4 Wh × 0.85 ÷ 6.2 W = 2.25 h');
  await label.getByLabel('In', { exact: true }).selectOption('Camera 2');
  await label.getByRole('button', { name: 'Take 135 min for Camera 2' }).click();
  await saved(page);
});
