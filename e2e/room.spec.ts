import { expect, saved, test } from './application';

test('from an empty database: a room is begun, sized by keys alone, treated, and all of it taken back', async ({
  page,
  empty,
}) => {
  await page.goto(empty.url);
  await page.getByRole('button', { name: 'New rig' }).first().click();
  await page.getByLabel('Name').fill('Box room');
  await page.getByRole('button', { name: 'Make it' }).click();
  await page.waitForURL(/\/rigs\//);
  await page.getByRole('link', { name: 'Room', exact: true }).click();
  await expect(page.getByText('The room is not drawn yet.')).toBeVisible();
  await page.getByRole('button', { name: /^Box room/ }).press('Enter');
  await expect(page.getByRole('heading', { name: /^Rings for/ })).toBeVisible();

  // The handbook's room: 5.2 × 4.1 × 2.6 m, bare.
  const type = async (label: string, value: string): Promise<void> => {
    const field = page.getByLabel(label, { exact: true });
    await field.focus();
    await page.keyboard.press('Control+A');
    await page.keyboard.type(value);
    await page.keyboard.press('Enter');
  };
  await type('Width', '5.2');
  await type('Depth', '4.1');
  await type('Height', '2.6');
  await page.getByRole('button', { name: /^Take Window glass out/ }).press('Enter');
  await page.getByRole('button', { name: /^Take Carpet, thin on concrete out/ }).press('Enter');
  await expect(page.getByText('The room', { exact: true })).toBeVisible();
  for (const hz of [500, 1000])
    for (const [part, share] of [
      ['Floor', '0.03'],
      ['Ceiling', '0.05'],
      ['Walls', '0.04'],
    ] as const)
      await type(`Absorption of ${part} at ${hz} Hz`, share);
  await expect(page.getByRole('heading', { name: 'Rings for 2.45 s' })).toBeVisible();
  await expect(page.getByText(/0\.40 s is right for speech in 55 m³/)).toBeVisible();
  await expect(page.getByText(/21\.3 m² of floor, 48\.4 m² of walls, 55\.4 m³/)).toBeVisible();
  await saved(page);

  // What would help, hung with one press.
  const help = page.getByRole('status').filter({ hasText: 'bring the room to' });
  await expect(help).toContainText(
    /^1\d\.[05] m² bring the room to 0\.[34]\d s; 1\d\.\d\d m² would just do\./,
  );
  await help.getByRole('button', { name: /^Hang/ }).press('Enter');
  await expect(page.getByRole('heading', { name: /^Rings for 0\.(3|40)/ })).toBeVisible();
  await expect(
    page.getByText('Nothing is needed: the room rings no longer than that.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Rings for 2.45 s' })).toBeVisible();
  await saved(page);
});

test('a wall that would cross another is refused in words, and the room stays', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/room`);
  await expect(page.getByText('118.0 m² of floor')).toBeVisible();
  const field = page.getByLabel('Up the plan of corner 6', { exact: true });
  await field.fill('-5');
  await field.press('Enter');
  await expect(
    page.getByText(/This is not the outline of a room: the walls from corner/),
  ).toBeVisible();
  await expect(page.getByText('118.0 m² of floor')).toBeVisible();
  await page.getByRole('button', { name: 'Add a corner after 1' }).click();
  await expect(page.getByLabel('Across of corner 7', { exact: true })).toHaveValue('−1');
  await expect(page.getByText('118.0 m² of floor')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await saved(page);
});

test('Night Tide: thin foam is named, and thick panels cure it', async ({ page, demo }) => {
  await page.goto(`${demo.url}/rigs/night-tide/room`);
  const card = page.getByRole('article', { name: /Rings 1\.9 times as long below 300 Hz/ });
  await expect(card).toContainText('Foam, 25 mm cannot hold the low end');
  await card.getByRole('button', { name: /^Hang panels of 100 mm, 100 mm off the wall/ }).click();
  await expect(card).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(card).toBeVisible();
  await saved(page);
});
