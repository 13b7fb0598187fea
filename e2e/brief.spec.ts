import type { Page } from '@playwright/test';
import { Application, expect, saved, test, verdict } from './application';

/** Opens the questions of a starting point from an empty shelf or a full one. */
const begin = async (page: Page, url: string, point: string, name: string) => {
  await page.goto(url);
  await page.getByRole('button', { name: 'New rig' }).first().click();
  await page.getByRole('textbox', { name: 'Name' }).fill(name);
  await page.getByText(point, { exact: true }).click();
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByRole('heading', { name: point })).toBeVisible();
};
/** Answers a person is asked for: fields, and one for each group of boxes to tick. */
const answersAsked = async (page: Page): Promise<number> =>
  (await page
    .locator('form input[type="text"], form input:not([type]), form select')
    .filter({ visible: true })
    .count()) + 1;
const complete = async (page: Page) => {
  await page.getByRole('link', { name: 'Brief', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: 'needs are met' })).toHaveText(
    /^All \d+ needs are met\.$/,
  );
  await expect(page.locator('[data-coverage]:not([data-coverage="met"])')).toHaveCount(0);
};

test(
  'from an empty database: two voices by the keyboard alone, at most 25 answers, no ' +
    'stop, complete coverage',
  async ({ page }) => {
    const application = await Application.open(false);
    await page.goto(application.url);
    await expect(page.getByText('The shelf is empty.')).toBeVisible();
    let keys = 0;
    const press = async (key: string, times = 1) => {
      for (let n = 0; n < times; n++) await page.keyboard.press(key);
      keys += times;
    };
    const type = async (text: string) => {
      await page.keyboard.type(text);
      keys += text.length;
    };
    await page.getByRole('button', { name: 'New rig' }).first().focus();
    await press('Enter');
    await expect(page.getByRole('textbox', { name: 'Name' })).toBeFocused();
    await type('Harbour talk');
    await press('Tab');
    await press('ArrowDown', 2);
    await expect(page.getByRole('radio', { name: /Two voices/ })).toBeChecked();
    await press('Enter');
    await expect(page.getByRole('heading', { name: 'Two voices' })).toBeVisible();
    expect(await answersAsked(page)).toBeLessThanOrEqual(25);
    await page.getByLabel('Person 1', { exact: true }).last().focus();
    await press('Control+a');
    await type('Ada');
    await press('Tab', 5);
    await expect(page.getByLabel('Person 2', { exact: true }).last()).toBeFocused();
    await press('Control+a');
    await type('Ben');
    await press('Enter');
    await expect(verdict(page)).toHaveAttribute('data-verdict', /^0\//);
    expect(keys).toBeLessThan(60);
    await expect(page.getByRole('button', { name: /^Ada camera/ }).first()).toBeVisible();
    await complete(page);
    await application.kill();
  },
);

for (const point of [
  'Solo at a desk',
  'Round table of four',
  'Demonstrator with an overhead',
  'Hybrid with remote guests',
])
  test(`${point}: the rig that is made has no stop and complete coverage`, async ({
    page,
    demo,
  }) => {
    await begin(page, demo.url, point, `Made as ${point}`);
    await page.getByRole('button', { name: 'Make the rig' }).click();
    await expect(verdict(page)).toHaveAttribute('data-verdict', /^0\/0\//, { timeout: 30_000 });
    await complete(page);
  });

test('answers that cannot be met are said before the rig is kept; changed, it comes complete', async ({
  page,
  demo,
}) => {
  await begin(page, demo.url, 'Two voices', 'Dear');
  const budget = page.getByLabel('Budget; empty if not decided');
  await budget.fill('3000');
  await page.getByText('More of them').click();
  await page.getByLabel('Computers', { exact: true }).selectOption('hardware encoder');
  await page.getByLabel('Format of the pictures').selectOption('1920x1080p25');
  await page.getByRole('button', { name: 'Make the rig' }).click();
  const unmet = page.getByRole('region', { name: 'One answer cannot be met' });
  await expect(unmet).toContainText(/What is to be bought costs \d+, \d+ more than the budget\./);
  await expect(page.getByRole('heading', { name: 'One answer cannot be met' })).toBeFocused();
  await unmet.getByRole('button', { name: 'Change the answers' }).click();
  await expect(unmet).toHaveCount(0);
  await budget.fill('');
  await page.getByRole('button', { name: 'Make the rig' }).click();
  await expect(verdict(page)).toHaveAttribute('data-verdict', /^0\/0\//);
  await expect(page.getByRole('button', { name: /^Encoder/ }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Plan', exact: true }).click();
  await expect(page.locator('[data-thing^="person:"]')).toHaveCount(2);
  await page.getByRole('link', { name: 'Picture', exact: true }).click();
  await expect(page.getByLabel('Wanted at')).toHaveValue('1920x1080p25');
});

test('answers that contradict each other are refused with the reason, and nothing typed is lost', async ({
  page,
  demo,
}) => {
  await begin(page, demo.url, 'Two voices', 'Contradiction');
  await page.getByLabel('Where switching happens').selectOption('none, cut later');
  await page.getByRole('button', { name: 'Make the rig' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'not to switch at all' })).toBeVisible();
  await expect(page.getByLabel('Name of the rig')).toHaveValue('Contradiction');
  await page.getByLabel('Where switching happens').selectOption('software');
  await page.getByRole('button', { name: 'Make the rig' }).click();
  await expect(verdict(page)).toHaveAttribute('data-verdict', /^0\//);
});

test('Second Firing: a missing headphone feed is offered, applied, and its line turns; undo turns it back', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/brief`);
  const line = page.locator('[data-line="person:potter:hears"]');
  await expect(line).toHaveAttribute('data-coverage', 'missing');
  await line.click();
  await page.getByRole('button', { name: /Add a headphone amplifier to Interface/ }).click();
  await expect(line).toHaveAttribute('data-coverage', 'met');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(line).toHaveAttribute('data-coverage', 'missing');
  await saved(page);
});

test('house rules: switching a school lists what it changes, and a finding leads back to its rule', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/rules`);
  const capture = page.getByRole('region', { name: 'Capture size' });
  await capture.getByText('2160p throughout', { exact: true }).click();
  await expect(capture.getByRole('status')).toContainText('0 findings gone, 5 new.');
  await expect(capture.getByRole('status')).toContainText('Overhead gives 1920×1080');
  await capture.getByText('1080p everywhere', { exact: true }).click();
  await expect(capture.getByRole('status')).toContainText('5 findings gone, 0 new.');
  await page.keyboard.press('Control+z');
  await expect(capture.getByRole('radio', { name: /2160p throughout/ })).toBeChecked();
  await page.keyboard.press('Control+z');
  await expect(capture.getByRole('radio', { name: /1080p everywhere/ })).toBeChecked();
  await saved(page);
  await page.goto(`${demo.url}/rigs/second-firing/findings`);
  await page
    .getByRole('link', { name: 'Monitoring: Closed headphones for everyone' })
    .first()
    .click();
  await expect(page).toHaveURL(/\/rules#monitoring$/);
});

test('money: a price typed in the side sheet moves what is to be paid, in the studio’s currency', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/studio`);
  await page.getByLabel('Currency of the studio').selectOption('GBP');
  await expect(page.getByRole('status')).toHaveText('Saved');
  await page.goto(`${demo.url}/rigs/night-tide/brief`);
  await expect(page.getByText('£189')).toBeVisible();
  await page.goto(`${demo.url}/rigs/night-tide`);
  await page.locator('[data-item="device:host-phones"]').click();
  await page.getByLabel('Had').selectOption('owned');
  await saved(page);
  await page.goto(`${demo.url}/rigs/night-tide/brief`);
  await expect(page.getByText('To be paid').locator('..')).toContainText('£119');
});
