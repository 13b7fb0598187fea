import { secondFiringWithConsole } from '../core/src/rules/time/console-for-cases';
import { workedTime } from '../core/src/rules/time/time-for-cases';
import { expect, saved, test } from './application';
import { make, openFile } from './made';

/** When sound and picture arrive: worked D, one solution for all places, measured and stale. */

test('worked D from a file: both places, one solution, measured in the place of typical, and stale', async ({
  page,
  empty,
}) => {
  await openFile(page, empty, workedTime());
  await page.getByRole('link', { name: 'Time', exact: true }).click();
  const stream = page.getByRole('table', { name: 'Sound and picture at Stream' });
  const recorder = page.getByRole('table', { name: 'Sound and picture at Recorder' });
  await expect(stream).toContainText('−143.77 ms');
  await expect(stream).toContainText('4.31 frames early');
  await expect(recorder).toContainText('−99.60 ms');
  await expect(stream).toContainText('not known: Capture');
  await expect(
    page.getByRole('article').filter({ hasText: 'Sound is 99.6 ms early at Recorder' }),
  ).toBeVisible();

  const answer = page.getByRole('region', { name: 'One solution for all places' });
  await expect(answer).toContainText('At most 0.40 ms apart anywhere instead of 143.77');
  // Wired otherwise, nothing need be set at the computer; how long the capture device takes is to be measured.
  await answer.getByRole('button', { name: 'Look for other ways than delays' }).click();
  const ways = answer.getByRole('table', { name: 'Other ways than delays' });
  const way = ways.getByRole('row').filter({ hasText: 'Sound put into the picture' });
  await expect(way).toContainText('to be measured');
  await way.getByRole('button', { name: /^Wire it so: Turn off “USB 2 is heard/ }).click();
  await expect(stream).not.toContainText('−143.77 ms');
  await saved(page);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(stream).toContainText('−143.77 ms');

  await answer.getByRole('button', { name: 'Set all 2 delays' }).click();
  await expect(page.getByLabel('Switcher, Sound in 1, sound', { exact: true })).toHaveValue('100');
  await expect(page.getByLabel('Computer, USB 2, sound', { exact: true })).toHaveValue('143.8');
  await expect(recorder).toContainText('0.40 ms');
  await saved(page);

  // A clap says otherwise; what it rests on is kept, and a format set elsewhere takes it out of use.
  const measured = recorder.getByLabel('Measured, Microphone and Camera');
  await measured.fill('12');
  await measured.press('Enter');
  await expect(recorder).toContainText('12.00 ms');
  await expect(recorder).toContainText('measured 20');
  await saved(page);
  await page.getByRole('link', { name: 'Picture', exact: true }).click();
  await page.getByRole('link', { name: 'Loom', exact: true }).click();
  await page.locator('[data-item="device:camera"]').click();
  const sheet = page.getByRole('complementary', { name: 'Side sheet' });
  await sheet.getByLabel('Output format', { exact: true }).selectOption({ label: '1080p25' });
  await page.getByRole('link', { name: 'Time', exact: true }).click();
  await expect(recorder).toContainText('a measurement no longer holds');
  await expect(
    page.getByRole('article').filter({ hasText: 'What was measured at Recorder no longer holds' }),
  ).toBeVisible();
  await saved(page);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(recorder).toContainText('12.00 ms');
});

test('Second Firing by two ways: each place solved, what cannot be, measured with our film, and stale', async ({
  page,
  empty,
}) => {
  await openFile(page, empty, secondFiringWithConsole());
  await page.getByRole('link', { name: 'Time', exact: true }).click();
  const answer = page.getByRole('region', { name: 'One solution for all places' });
  const place = (id: string) => answer.locator(`[data-line=${id}]`);
  await expect(place('recorder')).toContainText('47.43 ms');
  await expect(place('recorder')).toContainText('0.43 ms');
  await expect(place('stream')).toContainText('136.77 ms');
  await expect(place('stream')).toContainText('0.47 ms');
  const article = (text: string) => page.getByRole('article').filter({ hasText: text });
  await expect(article('Host mic comes to Live stream twice')).toBeVisible();
  // 20 ppm over the show of 90 minutes.
  await expect(article('Clocks may drift 108.0 ms apart')).toContainText('20 ppm, which is usual');
  await answer.getByRole('button', { name: 'Set all 3 delays' }).click();
  await expect(page.getByLabel('Switcher, Sound in 1, sound', { exact: true })).toHaveValue('47');
  await saved(page);

  await page.getByRole('link', { name: 'Measure', exact: true }).click();
  const flash = page.getByRole('region', { name: 'Flash and beep' });
  await flash.getByRole('button', { name: 'Try it with ours' }).click();
  await flash
    .getByLabel('Recorded at')
    .selectOption({ label: 'Switcher recorder: Host mic and 1 more and Host camera and 3 more' });
  await flash.getByRole('button', { name: 'Keep it as measured' }).click();
  const kept = page.getByRole('table', { name: 'Measured and predicted' });
  await expect(kept.getByRole('row').last()).toContainText('used, from flash-and-beep.webm');
  await saved(page);

  // A setting on the way is changed: what was measured is no longer gone by, and comes back with it.
  await page.getByRole('link', { name: 'Time', exact: true }).click();
  const through = page.getByLabel('Through', { exact: true });
  const option = through.locator('option', { hasText: 'Switcher, analogue' });
  await through.selectOption((await option.first().getAttribute('value')) ?? '');
  await page.getByLabel('It takes', { exact: true }).fill('12');
  await page.getByLabel('It takes', { exact: true }).press('Enter');
  await saved(page);
  await page.getByRole('link', { name: 'Measure', exact: true }).click();
  await expect(kept.getByRole('row').last()).toContainText('stale: something is set otherwise');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(kept.getByRole('row').last()).toContainText('used, from flash-and-beep.webm');
});

test('Second Firing: a delay is turned by keys, all places follow, and undo takes it back', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/time`);
  const file = page.getByRole('table', { name: 'Sound and picture at Programme file' });
  const call = page.getByRole('table', { name: 'Sound and picture at Historian call' });
  await expect(file).toContainText('−132.77 ms');
  await expect(
    page.getByRole('article').filter({ hasText: 'Sound is 133.0 ms early at Live stream' }),
  ).toBeVisible();
  const field = page.getByLabel('Show computer, USB 5, sound', { exact: true });
  await field.fill('100');
  await field.press('Enter');
  await expect(file).toContainText('−32.77 ms');
  await expect(call).toContainText('−32.77 ms');
  const slider = page.getByRole('slider', {
    name: 'Delay of sound at Show computer, USB 5, turned',
  });
  await slider.focus();
  await page.keyboard.press('ArrowRight');
  await expect(field).toHaveValue('100.1');
  await expect(file).toContainText('−32.67 ms');
  await saved(page);
  for (let n = 0; n < 2; n++) await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(file).toContainText('−132.77 ms');
});

test('an empty rig says what must meet', async ({ page, empty }) => {
  const id = await make(empty, 'Silent');
  await page.goto(`${empty.url}/rigs/${id}/time`);
  await expect(page.getByText(/meet nowhere yet/)).toBeVisible();
});
