import { readFileSync } from 'node:fs';
import path from 'node:path';
import { workedShow } from '../core/src/recorded/show-for-cases';
import { expect, saved, test } from './application';
import { make, openFile } from './made';

const films = (name: string): string => path.join(import.meta.dirname, 'films', name);
const ours = (name: string): string => path.join(import.meta.dirname, '../web/public/ours', name);

test('worked F on the view, and the files of a show held against it', async ({ page, empty }) => {
  await openFile(page, empty, workedShow());
  await page.getByRole('link', { name: 'Measure', exact: true }).click();
  const show = page.getByRole('region', { name: 'Files of a show' });
  const drive = show
    .getByRole('table', { name: 'What a show leaves' })
    .locator('[data-line=computer]');
  for (const figure of ['14', '119.3 GB', '179.0 GB', '20.00 TB', '111 shows'])
    await expect(drive).toContainText(figure);
  await expect(show).toContainText('46 shows are 8.23 TB, one copy; three copies 24.70 TB.');

  await show.getByRole('button', { name: 'Try it with ours' }).click();
  const compared = show.getByRole('table', { name: 'Files against the plan' });
  const lost = compared.getByRole('row').filter({ hasText: 'lost-frames' });
  await expect(lost).toContainText('00:00:12');
  await expect(lost).toContainText('320 × 180, planned 1920 × 1080');
  await expect(lost).toContainText('4 frames are missing');
  await expect(compared.getByRole('row').filter({ hasText: 'voice.wav' })).toContainText(
    '1 × 48000 Hz',
  );
  await expect(show).toContainText('Nothing here looks like:');
});

test('a film’s picture: what is lost, still, black, and a face, beside the plan', async ({
  page,
  empty,
}) => {
  await openFile(page, empty, workedShow());
  await page.getByRole('link', { name: 'Measure', exact: true }).click();
  const picture = page.getByRole('region', { name: 'Picture' });
  await picture.getByRole('button', { name: 'Try it with ours' }).click();
  const line = (id: string) => picture.locator(`[data-line=${id}]`);
  await expect(line('size')).toContainText('320 × 180, 25 frames a second');
  await expect(line('pace')).toContainText('evenly');
  await expect(line('lost')).toContainText('4, at 2.0 s, 4.0 s');
  await expect(line('still')).toContainText(/6\.[0-2] s to 8\.0 s/);
  await expect(line('black')).toContainText('9.0 s to 10.0 s');
  await expect(picture).toContainText('1080p25 is planned, on Computer. It is not as planned');

  const area = picture.getByRole('slider', { name: 'Area of the face' });
  const before = await area.getAttribute('aria-valuenow');
  await area.focus();
  for (let n = 0; n < 12; n++) await page.keyboard.press('ArrowDown');
  expect(await area.getAttribute('aria-valuenow')).not.toBe(before);

  // A phone's film in HEVC: its packets and its sound are read, and which setting would help is said.
  await picture.getByLabel('Choose a film, files').setInputFiles(films('phone-hevc.mp4'));
  await expect(line('size')).toContainText('320 × 180, 29.97 frames a second');
  await expect(line('lost')).toContainText('none');
  await expect(line('made')).toContainText('hevc, sound aac');
  await expect(picture).toContainText('the setting is often called “most compatible”');
  const flash = page.getByRole('region', { name: 'Flash and beep' });
  await flash.getByLabel('Choose a film, files').setInputFiles(films('phone-hevc.mp4'));
  await expect(flash).toContainText(/often called “most compatible”\. \d+ beeps are heard in it\./);
});

test('the page that flashes as a film for a phone: made here, and in step with itself', async ({
  page,
  empty,
}) => {
  await page.goto(`${empty.url}/rigs/${await make(empty, 'Film')}/measure`);
  const flash = page.getByRole('region', { name: 'Flash and beep' });
  const saving = page.waitForEvent('download', { timeout: 120_000 });
  await flash.getByRole('button', { name: 'Save it as a film for a phone' }).click();
  const film = await (await saving).path();
  expect(readFileSync(film).length).toBeGreaterThan(20_000);
  await flash.getByLabel('Choose a film, files').setInputFiles({
    name: 'film.mp4',
    mimeType: 'video/mp4',
    buffer: readFileSync(film),
  });
  const said = flash.getByText(/^In film\.mp4 sound is/);
  // Forty seconds of film are decoded here: on a busy machine that takes its time.
  await expect(said).toContainText(/sound is [0-4]\.\d\d ms (earlier|later)/, {
    timeout: 120_000,
  });
  await expect(said).toContainText('by 38 flashes and 38 beeps');
});

test('by the browser’s own microphone and camera: a round trip, and what is recorded here', async ({
  page,
  empty,
}) => {
  await page.goto(`${empty.url}/rigs/${await make(empty, 'Live')}/measure`);
  const trip = page.getByRole('region', { name: 'Round trip' });
  await trip.getByRole('button', { name: 'Beep and listen' }).click();
  // It hears beeps at our interval, if not ours; on a busy machine with gaps, which is said. It hears them.
  await expect(trip).toContainText(
    /Out and back in: \d+\.\d\d ± 0\.\d\d ms, by [7-9] beeps|does not come at the interval/,
    { timeout: 60_000 },
  );
  await trip.getByRole('button', { name: 'Beep and listen' }).click();
  await expect(trip.getByRole('timer')).toBeVisible();
  await trip.getByRole('button', { name: 'Stop' }).click();
  await expect(trip.getByRole('timer')).toHaveCount(0);

  const levels = page.getByRole('region', { name: 'Levels' });
  await levels.getByRole('button', { name: 'Record 20 s here' }).click();
  await expect(levels.getByRole('timer')).toContainText(/recording, 1[67] s left/);
  await levels.getByRole('button', { name: 'Stop and measure' }).click();
  await expect(levels.locator('[data-line=peak]')).toContainText(/−\d+\.\d dBFS/);
  await expect(levels.getByRole('table', { name: 'Noise by octave' })).toBeVisible();

  // Its camera does not film our page: no figure is given.
  const flash = page.getByRole('region', { name: 'Flash and beep' });
  await flash.getByRole('button', { name: 'Record 25 s here' }).click();
  await expect(flash.getByRole('timer')).toContainText(/recording, 1\d s left/, {
    timeout: 20_000,
  });
  await flash.getByRole('button', { name: 'Stop and measure' }).click();
  await expect(flash).toContainText('no figure is given');
});

test('a voice beside its prediction: which figure is off, taken over as one edit', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  await page.getByRole('link', { name: 'Night Tide' }).first().click();
  await page.getByRole('link', { name: 'Measure', exact: true }).click();
  const levels = page.getByRole('region', { name: 'Levels' });
  await levels.getByLabel('Choose a recording, files').setInputFiles(ours('voice.wav'));
  const beside = levels.getByRole('table', { name: 'Measured and predicted levels' });
  await expect(beside.locator('[data-line=average]')).toContainText(/[+−]\d+\.\d dB$/);
  await expect(levels).toContainText(/most likely/);
  await levels
    .getByRole('button', { name: /speaks at|stands at/ })
    .first()
    .click();
  await saved(page);
  await expect(levels).toContainText('The voice is as the rig predicts it.');
  await expect(levels).toContainText('Kept as measured.');
  const kept = page.getByRole('table', { name: 'Measured and predicted' });
  await expect(kept.getByRole('row').filter({ hasText: 'Level of' })).toContainText(
    'used, from voice.wav',
  );
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(levels).toContainText(/most likely/);
});
