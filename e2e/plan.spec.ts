import { inflateSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import { expect, saved, test } from './application';

const newRigOfTwoVoices = async (
  page: Page,
  url: string,
  press: (name: RegExp) => Promise<void>,
  byKeys: boolean,
) => {
  await page.goto(url);
  await press(/^New rig/);
  await expect(page.getByRole('textbox', { name: 'Name' })).toBeFocused();
  await page.keyboard.type('Plan');
  if (byKeys) {
    await page.keyboard.press('Tab');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowDown');
  } else await page.getByText('Two voices', { exact: true }).click();
  await expect(page.getByRole('radio', { name: /Two voices/ })).toBeChecked();
  await press(/^Make it/);
  const room = page.getByLabel('Its walls, to begin with');
  if (byKeys) {
    await room.focus();
    await page.keyboard.press('End');
  } else await room.selectOption('none yet');
  await expect(room).toHaveValue('none yet');
  await press(/^Make the rig/);
};

for (const by of ['keys', 'pointer'] as const)
  test(`from an empty database, by ${by} alone: two voices in a box room, placed without a stop`, async ({
    page,
    empty,
  }) => {
    const press = async (name: RegExp): Promise<void> => {
      const button = page.getByRole('button', { name }).first();
      if (by === 'keys') await button.press('Enter');
      else await button.click();
    };
    const go = async (name: string): Promise<void> => {
      const link = page.getByRole('link', { name, exact: true });
      if (by === 'keys') await link.press('Enter');
      else await link.click();
    };
    await newRigOfTwoVoices(page, empty.url, press, by === 'keys');
    await page.waitForURL(/\/rigs\//);
    await go('Plan');
    await expect(page.getByText('The room is not drawn yet.')).toBeVisible();
    await press(/^Box room/);
    await press(/^Place it for me/);
    await expect(page.getByText(/^The best of \d+ ways that were tried\./)).toBeVisible({
      timeout: 60_000,
    });
    await press(/^Put it so/);
    await expect(page.locator('[data-thing^="person:"]')).toHaveCount(2);
    await expect(page.locator('[data-thing^="support:"]').first()).toBeVisible();
    await expect(page.getByRole('article').filter({ hasText: 'stands.' })).toHaveCount(0);
    await saved(page);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(page.locator('[data-thing^="person:"]')).toHaveCount(0);
    await saved(page);
  });

test('a fan and a desk with everything on it are dragged, nudged and put back', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/plan`);
  const fan = page.locator('[data-thing="noise:kiln-fan"]');
  await expect(fan).toBeVisible();
  const before = await fan.getAttribute('aria-label');
  const drag = async (key: string, dx: number, dy: number): Promise<void> => {
    const box = await page
      .locator(`[data-thing="${key}"]`)
      .locator('circle, polygon')
      .last()
      .boundingBox();
    if (!box) throw new Error(`${key} is not on the plan`);
    const [x, y] = [box.x + box.width / 2, box.y + 1];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + dx / 2, y + dy / 2, { steps: 4 });
    await page.mouse.move(x + dx, y + dy, { steps: 4 });
    await page.mouse.up();
  };
  await drag('noise:kiln-fan', 80, 0);
  await expect(fan).not.toHaveAttribute('aria-label', before ?? '');
  const switcher = page.locator('[data-thing="device:switcher"]');
  const stood = await switcher.getAttribute('aria-label');
  const bench = page.locator('[data-thing="support:bench"]');
  await bench.focus();
  await page.keyboard.press('Shift+ArrowUp');
  await expect(bench).toHaveAttribute('aria-label', /up 2\.40 m/);
  await expect(switcher).not.toHaveAttribute('aria-label', stood ?? '');
  await expect(page.locator('[data-thing="support:host-arm"]')).toHaveAttribute(
    'aria-label',
    /up 2\.20 m/,
  );
  for (let times = 0; times < 2; times++)
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(fan).toHaveAttribute('aria-label', before ?? '');
  await expect(switcher).toHaveAttribute('aria-label', stood ?? '');
  await saved(page);
});

test('a corner of the room is dragged and nudged, and a crossing is refused in words', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/plan`);
  await expect(page.locator('[data-thing^="corner:"]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Move the walls' }).click();
  const corner = page.locator('[data-thing="corner:0"]');
  await expect(corner).toHaveAttribute('aria-label', /across -1\.00 m, up -1\.00 m/);
  await corner.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(corner).toHaveAttribute('aria-label', /across -1\.25 m, up -1\.00 m/);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(corner).toHaveAttribute('aria-label', /across -1\.00 m, up -1\.00 m/);
  await corner.locator('rect').click();
  const chosen = page.getByRole('region', { name: 'Chosen: Corner 1' });
  await chosen.getByLabel('Across').fill('14');
  await chosen.getByLabel('Across').press('Enter');
  await chosen.getByLabel('Up the plan').fill('3');
  await chosen.getByLabel('Up the plan').press('Enter');
  await expect(page.getByText(/cross/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(corner).toHaveAttribute('aria-label', /across -1\.00 m, up -1\.00 m/);
  await saved(page);
});

test('the other set stands everybody elsewhere, and a finding’s fix moves what is in the way', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/rigs/second-firing/plan`);
  const host = page.locator('[data-thing="person:host"]');
  await expect(host).toHaveAttribute('aria-label', /across 1\.00 m, up 1\.50 m/);
  await page.getByRole('button', { name: 'Stand as in The firing' }).click();
  await expect(host).toHaveAttribute('aria-label', /across 8\.60 m, up 4\.00 m/);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(host).toHaveAttribute('aria-label', /across 1\.00 m/);
  const card = page.getByRole('article', {
    name: 'Trolley with glazes stands in the way of Way out',
  });
  await card
    .getByRole('button', { name: /^Move Trolley with glazes/ })
    .first()
    .click();
  await expect(card).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(card).toBeVisible();
  await saved(page);
});

test('a desk is arranged by the solver, and says why', async ({ page, demo }) => {
  await page.goto(`${demo.url}/rigs/second-firing/desk`);
  const bench = page.getByRole('region', { name: 'Glazing bench' });
  await bench.getByRole('button', { name: 'Arrange it for me' }).click();
  await expect(bench.getByText(/Reach, reading and noise cost [\d.]+ m instead of/)).toBeVisible({
    timeout: 30_000,
  });
  await bench.getByRole('button', { name: 'Put it so' }).click();
  await bench.getByRole('button', { name: 'Arrange it for me' }).click();
  await expect(bench.getByText(/it stays as it is\.$/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await saved(page);
});

/** The paths of a PDF page in points, each as its corners; the matrices before them multiplied in. */
const pathsOf = (pdf: Buffer): number[][][] => {
  const paths: number[][][] = [];
  for (const [, , body] of pdf.toString('latin1').matchAll(/stream(\r?\n)([\s\S]*?)endstream/g)) {
    let text: string;
    try {
      text = inflateSync(Buffer.from(body ?? '', 'latin1')).toString('latin1');
    } catch {
      continue;
    }
    let matrix = [1, 0, 0, 1, 0, 0];
    const kept: number[][] = [];
    let numbers: number[] = [];
    let path: number[][] = [];
    for (const token of text.split(/\s+/)) {
      if (/^[-+]?(\d+\.?\d*|\.\d+)$/.test(token)) {
        numbers.push(Number(token));
        continue;
      }
      const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = matrix;
      if (token === 'q') kept.push(matrix);
      if (token === 'Q') matrix = kept.pop() ?? matrix;
      if (token === 'cm') {
        const [ma = 1, mb = 0, mc = 0, md = 1, me = 0, mf = 0] = numbers;
        matrix = [
          ma * a + mb * c,
          ma * b + mb * d,
          mc * a + md * c,
          mc * b + md * d,
          me * a + mf * c + e,
          me * b + mf * d + f,
        ];
      }
      if (token === 'm' || token === 'l') {
        const [x = 0, y = 0] = numbers;
        if (token === 'm') path = [];
        path.push([a * x + c * y + e, b * x + d * y + f]);
      }
      if (token === 'S' || token === 's' || token === 'h') paths.push(path);
      numbers = [];
    }
  }
  return paths;
};

test('printed at 1:50 the plan measures right in the PDF', async ({ page, demo }) => {
  await page.goto(`${demo.url}/rigs/second-firing/plan`);
  await page.evaluate(() => {
    window.print = () => undefined;
  });
  await page.getByRole('button', { name: /^Print at 1:50, A3/ }).click();
  await expect(page.locator('[data-print-plan]')).toHaveCount(1);
  const pdf = await page.pdf({ preferCSSPageSize: true });
  const box = /MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(pdf.toString('latin1'));
  // A3 lying down is 420 × 297 mm; a point is 25.4 ÷ 72 mm.
  expect(Math.abs(Number(box?.[1]) - (420 / 25.4) * 72)).toBeLessThan(1);
  expect(Math.abs(Number(box?.[2]) - (297 / 25.4) * 72)).toBeLessThan(1);
  // The shed has six corners; its lower wall is 13 m, 260 mm at 1:50, and its left one 10 m, 200 mm.
  const mm = (points: number): number => (points * 25.4) / 72;
  const spans = pathsOf(pdf)
    .filter(({ length }) => length === 6 || length === 7)
    .map((corners) => {
      const [xs, ys] = [corners.map(([x = 0]) => x), corners.map(([, y = 0]) => y)];
      return [
        mm(Math.max(...xs) - Math.min(...xs)),
        mm(Math.max(...ys) - Math.min(...ys)),
      ] as const;
    });
  expect(spans.some(([w, h]) => Math.abs(w - 260) < 0.3 && Math.abs(h - 200) < 0.3)).toBe(true);
});
