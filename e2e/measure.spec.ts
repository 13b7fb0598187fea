import path from 'node:path';
import { expect, saved, test } from './application';
import { make } from './made';

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
  // As they were made: 120.59 ms apart.
  await expect(clap).toContainText(
    /clap-recorder\.wav hears the same 120\.(5[5-9]|6[0-3]) ms earlier/,
  );
  await expect(clap).toContainText('2 claps that agree');
  const table = clap.getByRole('table', { name: 'When each recording begins' });
  await expect(table.getByRole('row').filter({ hasText: 'clap-camera' })).toContainText('0.0000 s');
  await expect(table.getByRole('row').filter({ hasText: 'clap-recorder' })).toContainText(
    /0\.120[56]/,
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
  expect(sent.every((body) => body.length < 2000)).toBe(true);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(room).not.toContainText('The rig has');
});
