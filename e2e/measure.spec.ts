import path from 'node:path';
import { expect, saved, test } from './application';
import { workedTime } from '../core/src/rules/time/time-for-cases';
import { make, openFile } from './made';

const ours = (name: string): string => path.join(import.meta.dirname, '../web/public/ours', name);

test('recordings are measured in the browser, and nothing of them leaves it', async ({
  page,
  empty,
}) => {
  const sent: string[] = [];
  page.on('request', (request) => {
    if (request.method() === 'POST') sent.push(request.postData() ?? '');
  });
  await page.goto(`${empty.url}/rigs/${await make(empty, 'Measuring')}/measure`);

  const clap = page.getByRole('region', { name: 'Clap' });
  const files = clap.getByLabel('Choose recordings, files');
  await files.setInputFiles([ours('clap-camera.wav')]);
  await expect(clap.getByRole('alert')).toHaveText('2 recordings at least.');
  await files.setInputFiles([ours('clap-camera.wav'), ours('clap-recorder.wav')]);
  // As they were made: 404.37 ms apart.
  await expect(clap).toContainText(
    /clap-recorder\.wav hears the same 404\.(3[2-9]|4[0-2]) ms earlier/,
  );
  await expect(clap).toContainText('claps that agree');
  const table = clap.getByRole('table', { name: 'When each recording begins' });
  await expect(table.getByRole('row').filter({ hasText: 'clap-camera' })).toContainText('0.0000 s');
  await expect(table.getByRole('row').filter({ hasText: 'clap-recorder' })).toContainText(
    /0\.404[34]/,
  );
  const list = page.waitForEvent('download');
  await clap.getByRole('button', { name: /^Save as an edit list/ }).click();
  expect((await list).suggestedFilename()).toBe('Measuring, starts.edl');

  // What hears other things is not given a figure.
  await files.setInputFiles([ours('clap-camera.wav'), ours('voice.wav')]);
  await expect(clap).toContainText('voice.wav: nothing was found that both hear for sure');
  await files.setInputFiles([ours('clap-camera.wav'), path.join(import.meta.dirname, 'made.ts')]);
  await expect(clap.getByRole('alert')).toContainText('made.ts is no recording that can be read');

  const levels = page.getByRole('region', { name: 'Levels' });
  await levels.getByRole('button', { name: 'Try it with ours' }).click();
  await expect(levels.getByRole('row').filter({ hasText: 'Hum' })).toContainText('50 Hz');
  await expect(levels.getByRole('row').filter({ hasText: 'Loudness' })).toContainText(
    /−\d+\.\d LUFS/,
  );
  await expect(levels.getByRole('row').filter({ hasText: 'Tops cut off' })).toContainText('none');

  const room = page.getByRole('region', { name: 'Room', exact: true });
  await room.getByRole('button', { name: 'Try it with ours' }).click();
  await expect(room).toContainText(/500 to 2000 Hz: 0\.4\d ± 0\.0\d s/);
  await room.getByRole('button', { name: /^The room rings 0\.4/ }).click();
  await saved(page);
  await expect(room).toContainText(/The rig has 0\.4\d s/);
  const kept = page.getByRole('table', { name: 'Measured and predicted' });
  const ring = kept.getByRole('row').filter({ hasText: 'How long the room rings' });
  await expect(ring).toContainText(/0\.4\d s ± 0\.0\d s.*used, from clap-in-room\.wav/);
  // A clap in the same room once more stands beside the one before.
  await room.getByRole('button', { name: 'Try it with ours' }).click();
  await expect(room.getByRole('columnheader', { name: 'Before: clap-in-room.wav' })).toBeVisible();
  expect(sent.every((body) => body.length < 2000)).toBe(true);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(room).not.toContainText('The rig has');
});

test('a film of the flashing page is measured and kept, with its digest, in place of what is typical', async ({
  page,
  empty,
}) => {
  await openFile(page, empty, workedTime());
  await page.getByRole('link', { name: 'Measure', exact: true }).click();
  const flash = page.getByRole('region', { name: 'Flash and beep' });
  await flash.getByLabel('Choose a film, files').setInputFiles(ours('voice.wav'));
  await expect(flash.getByRole('alert')).toHaveText('voice.wav has no picture in it.');
  await flash.getByRole('button', { name: 'Try it with ours' }).click();
  // As it was made: its picture 150 ms late, its sound 6.3 ms, so sound is 143.7 ms early.
  await expect(flash).toContainText(
    /sound is 14[2-5]\.\d\d ms earlier than its picture, by 2\d flashes/,
  );
  await flash
    .getByLabel('Recorded at')
    .selectOption({ label: 'Stream: Microphone, by USB 2 and Camera' });
  await expect(flash).toContainText('Predicted: −143.77 ms');
  await flash.getByRole('button', { name: 'Keep it as measured' }).click();
  await saved(page);
  await page.getByRole('link', { name: 'Time', exact: true }).click();
  await expect(page.getByRole('table').filter({ hasText: 'measured 20' }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('table').filter({ hasText: 'measured 20' })).toHaveCount(0);
});

test('the page that flashes is white and black in turn, and ends at Escape', async ({
  page,
  empty,
}) => {
  await page.setViewportSize({ width: 390, height: 700 });
  await page.goto(`${empty.url}/flash`);
  await expect(page.getByText('flashes about once a second')).toBeVisible();
  await page.getByRole('button', { name: 'Start' }).click();
  const flashing = page.locator('[data-flashing]');
  const colour = () => flashing.evaluate((element) => getComputedStyle(element).backgroundColor);
  for (const wanted of ['rgb(255, 255, 255)', 'rgb(0, 0, 0)', 'rgb(255, 255, 255)'])
    await expect.poll(colour, { intervals: [20] }).toBe(wanted);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Start' })).toBeVisible();
});
