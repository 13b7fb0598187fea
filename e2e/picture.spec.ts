import type { Page } from '@playwright/test';
import { BEST_THAT_FITS, RigDraft, rigToJson, type Rig } from '@echo-loom/core';
import { expect, saved, test, verdict } from './application';

/** Imports a rig and opens one of its views. */
const open = async (page: Page, url: string, rig: Rig, view: string): Promise<void> => {
  const answer = (await (
    await page.request.post(`${url}/api/rigs/import`, {
      data: Buffer.from(rigToJson(rig)),
      headers: { 'content-type': 'application/json' },
    })
  ).json()) as { id: string };
  await page.goto(`${url}/rigs/${answer.id}${view}`);
};

/**
 * The figures of the handbook as three cameras: full frame with 50 mm, reduced frame with 35 mm,
 * and the same cropped by 1.23.
 */
const worked = (): Rig =>
  new RigDraft('Worked figures')
    .person('host', 'Host')
    .device('full', 'camera-full-frame', {
      name: 'Full frame',
      settings: { 'focal-length': 50, 'f-number': 2, 'overlays-off': true },
    })
    .device('reduced', 'camera-mirrorless', {
      name: 'Reduced frame',
      settings: { 'focal-length': 35, 'f-number': 2.8, 'overlays-off': true },
    })
    .device('cropped', 'camera-mirrorless', {
      name: 'Cropped',
      settings: { 'focal-length': 35, format: '3840x2160p30', 'overlays-off': true },
    })
    .device('screen', 'display-2160', { name: 'Screen' })
    .device('screen-2', 'display-2160')
    .device('screen-3', 'display-2160')
    .link('full.hdmi', 'screen.in')
    .link('reduced.hdmi', 'screen-2.in')
    .link('cropped.hdmi', 'screen-3.in')
    .shot('full', {
      personId: 'host',
      distanceM: 1.6,
      backgroundM: 1.6,
      eyeLine: { offsetM: 0.12, distanceM: 0.9, side: 'beside' },
    })
    .shot('reduced', { personId: 'host', distanceM: 1.72, lightLux: 122.5 })
    .shot('cropped', { personId: 'host', distanceM: 1.72, furthestM: 2 })
    .build();

const source = (page: Page, name: string) =>
  page.locator(`[data-source] button`, { hasText: name }).first();

test('the handbook’s framing, exposure and bandwidth figures stand on the screen', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, worked(), '/picture');
  await source(page, 'Full frame').click();
  const full = page.getByRole('region', { name: 'Shot of Full frame', exact: true });
  await expect(full).toContainText('Distance for that1.62 m');
  await expect(full).toContainText('Background blur1.13 %');
  await expect(full).toContainText('Eye line7.6°');
  await source(page, 'Reduced frame').click();
  const reduced = page.getByRole('region', { name: 'Shot of Reduced frame', exact: true });
  await expect(reduced).toContainText('Distance for that1.72 m');
  await expect(reduced).toContainText('Light needed122 lux, and has it');
  await source(page, 'Cropped').click();
  await expect(page.getByRole('region', { name: 'Shot of Cropped', exact: true })).toContainText(
    'Distance for that2.12 m',
  );
  await expect(page.getByRole('region', { name: 'Shot of Cropped', exact: true })).toContainText(
    'cropped 1.23×',
  );
  await expect(
    page.getByRole('article', { name: 'Needs 2.12 m, the room gives 2.00 m' }),
  ).toContainText('or 1080p');

  await page.goto(`${demo.url}/rigs/second-firing`);
  await page.locator('[data-item="link:overhead-hdmi-to-switcher"]').click();
  const sheet = page.getByRole('complementary', { name: 'Side sheet' });
  await expect(sheet).toContainText('3.564 Gb/s');
  await expect(sheet).toContainText('its reach here is 15 m');
  await page.locator('[data-item="link:capture-usb-to-computer"]').click();
  await expect(sheet).toContainText('248.8 MB/s');
  await expect(sheet).toContainText('24.576 MB/s');
});

test('a shot is edited in its row with the keyboard, follows at once, and is taken back', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/picture`);
  const frames = page.locator('[data-frames="host-camera"]');
  await expect(frames).toHaveText('1.14 × 0.64');
  await page.getByLabel('Distance of Host camera').focus();
  await page.keyboard.press('ArrowUp');
  await expect(frames).toHaveText('1.21 × 0.68');
  await page.getByLabel('Focal length of Host camera').fill('50');
  await page.keyboard.press('Enter');
  await expect(frames).toHaveText('0.85 × 0.48');
  await source(page, 'Host camera').click();
  await expect(
    page.getByRole('article', { name: /^Frames 0.48 m height, 0.65 m wanted/ }),
  ).toBeVisible();
  await expect(
    page.getByRole('img', { name: /A frame of 0.85 by 0.48 metres, drawn to scale/ }),
  ).toBeVisible();
  await saved(page);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(frames).toHaveText('1.14 × 0.64');
  await saved(page);
});

test(
  'a source that sends the best that fits names the cable that forces it down, and the ' +
    'better cable frees it',
  async ({ page, demo }) => {
    const rig = new RigDraft('Best that fits')
      .do({ type: 'setHouseRules', rules: { chosenFormat: '3840x2160p60' } })
      .device('camera', 'camera-studio', { name: 'Camera', settings: { format: BEST_THAT_FITS } })
      .device('screen', 'display-2160', { name: 'Screen' })
      .link('camera.hdmi', 'screen.in', 10)
      .build();
    await open(page, demo.url, rig, '/picture');
    await expect(page.locator('[data-sends="camera"]')).toHaveText('sends 1080p60');
    const card = page.getByRole('article', { name: /instead of 2160p60/ });
    await expect(card).toContainText('is 10 m and reaches 3 m at 14.256 Gb/s');
    await card.getByRole('button', { name: /Use HDMI cable, active optical/ }).click();
    await expect(page.locator('[data-sends="camera"]')).toHaveText('sends 2160p60');
  },
);

test(
  'Second Firing: a second guest finds the switcher one input short, and each of three ' +
    'fixes puts them on air',
  async ({ page, demo }) => {
    await page.goto(`${demo.url}/rigs/second-firing`);
    await page.getByRole('button', { name: 'Add a' }).click();
    await page.keyboard.type('camcorder');
    await page.keyboard.press('Enter');
    await page.goto(`${demo.url}/rigs/second-firing/findings`);
    const card = page.getByRole('article', { name: 'Switcher is one input short' });
    await expect(card).toContainText('all 6 inputs of Switcher are taken');
    for (const fix of [
      /^Share Input 5 with Slides splitter by a selector/,
      /^Use a larger switcher: Switcher, eight HDMI inputs/,
      /^Give Input 5 to Camcorder with zoom and put Slides in from the computer/,
    ]) {
      await expect(card.getByRole('button', { name: fix })).toContainText('Cures this');
      await card.getByRole('button', { name: fix }).click();
      await expect(card).toBeHidden();
      await saved(page);
      await page.getByRole('button', { name: 'Undo', exact: true }).click();
      await expect(card).toBeVisible();
      await saved(page);
    }
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(card).toBeHidden();
    await saved(page);
  },
);

test('scenes: two halves on one keyer are refused with the resource named, and a larger switcher makes them', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/picture`);
  const scene = page.locator('[data-scene="hosts"]');
  await expect(scene).toContainText('small pictures short');
  await scene.click();
  const panel = page.getByRole('region', { name: 'Scene Both at the bench' });
  await expect(panel).toContainText(
    'Switcher can make one picture smaller at once and this scene needs 2',
  );
  await panel.getByRole('button', { name: /^Use switcher, eight HDMI inputs/ }).click();
  await expect(scene).toContainText('made at Switcher');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(scene).toContainText('small pictures short');
  await page.getByLabel('Place of layer 1').selectOption('Fills the frame');
  await expect(scene).toContainText('made at Switcher');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await saved(page);
});

test(
  'everything at 2160p is tried, the places that break are listed, and nothing has ' +
    'changed until it is wanted',
  async ({ page, demo }) => {
    await page.goto(`${demo.url}/rigs/second-firing/picture`);
    await page.getByRole('button', { name: 'Try 2160p throughout' }).click();
    const status = page.getByRole('status').filter({ hasText: 'break' });
    await expect(status).toContainText('16 places break at 2160p');
    await expect(status).toContainText('Switcher, Input 1 does not take 2160p30');
    await expect(status).toContainText('Historian call, Live stream send 27.0 Mb/s together');
    await expect(page.locator('[data-sends="host-camera"]')).toHaveText('sends 1080p60');
    await page.getByRole('button', { name: 'Set everything to 2160p' }).click();
    await expect(page.locator('[data-sends="host-camera"]')).toHaveText('sends 2160p30');
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(page.locator('[data-sends="host-camera"]')).toHaveText('sends 1080p60');
    await saved(page);
  },
);

test('the panel: a bare press that ends the stream is a stop, the fix guards it, and the map prints alone', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/panel`);
  const end = page.locator('[data-button="end-stream"]');
  const card = page.getByRole('article', { name: 'End stream is not guarded' });
  await card.getByRole('button', { name: /Make End stream a held press/ }).click();
  await expect(end).toContainText('hold for a second');
  await expect(card).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(card).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByLabel('Guard', { exact: true })).toBeHidden();
  await expect(end).toBeVisible();
  await saved(page);
});

test('from an empty rig: picture, shot, scene and button with the keyboard, undone to the bytes', async ({
  page,
  empty,
}) => {
  await page.goto(empty.url);
  await page.getByRole('button', { name: 'New rig' }).first().click();
  await page.getByRole('textbox', { name: 'Name' }).fill('First picture');
  await page.keyboard.press('Enter');
  await expect(page.getByText('This rig is empty.')).toBeVisible();
  const rigUrl = page.url();
  const bytes = async () =>
    (await page.request.get(`${rigUrl.replace('/rigs/', '/api/rigs/')}/export?as=json`)).text();
  const blank = await bytes();
  await page.getByRole('link', { name: 'Picture', exact: true }).click();
  await expect(page.getByText('No picture yet.')).toBeVisible();
  await page.getByRole('link', { name: 'Loom', exact: true }).click();
  await expect(page.getByText('This rig is empty.')).toBeVisible();
  await page.keyboard.press('a');
  await expect(page.getByRole('dialog', { name: 'Add a device' })).toBeVisible();
  await page.keyboard.type('studio box');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.getByRole('button', { name: /^Studio box camera/ }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Picture', exact: true }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Plan its shot' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('article', { name: 'Cannot be framed yet' })).toContainText(
    'how far the lens is from the subject',
  );
  await page.getByLabel(/^Distance of/).focus();
  await page.keyboard.type('1.72');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-frames]')).toHaveText('1.15 × 0.65');
  await page.getByRole('button', { name: 'Add a scene' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Add a picture' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-scene]')).toContainText('a picture does not arrive');
  await page.getByRole('link', { name: 'Panel', exact: true }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Put every scene on it' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-button]')).toContainText('Scene 1');
  await saved(page);
  await page.reload();
  await expect(page.locator('[data-button]')).toContainText('Scene 1');
  for (let n = 0; n < 6; n++) await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();
  await saved(page);
  expect(await bytes()).toBe(blank);
});

test('Harbour Hall opens, is judged, and follows an edit at once', async ({ page, demo }) => {
  await page.goto(`${demo.url}/rigs/harbour-hall`);
  await expect(verdict(page)).toHaveAttribute('data-verdict', '0/14/18');
  await page.keyboard.press('5');
  await expect(page.locator('[data-item="link:roaming-1-sdi-to-switcher"]')).toContainText(
    '95 m 95%',
  );
  await page.goto(`${demo.url}/rigs/harbour-hall/picture`);
  // A heading, two groups, and nine sources.
  await expect(page.getByRole('table', { name: 'Cameras and shots' }).getByRole('row')).toHaveCount(
    12,
  );
  await page.getByLabel('Format of Roaming 1').selectOption('2160p60');
  await expect(verdict(page)).not.toHaveAttribute('data-verdict', '0/14/18');
  await page.locator('[data-source="roaming-1"] button').first().click();
  await expect(page.getByRole('region', { name: 'About this source' })).toContainText(
    'its reach here is 60 m',
  );
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(verdict(page)).toHaveAttribute('data-verdict', '0/14/18');
  await saved(page);
});
