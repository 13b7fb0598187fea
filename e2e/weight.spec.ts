import { gzipSync } from 'node:zlib';
import { VIEWS } from '../web/features/rig/views';
import { expect, test } from './application';

/** Scripts and styles that a page names, gzipped. What old browsers alone fetch does not count. */
const NAMED = [
  /<script(?![^>]*noModule)[^>]*src="([^"]+)"/gi,
  /<link[^>]*rel="stylesheet"[^>]*href="([^"]+)"/g,
];

/** Most that a page may ask a browser to fetch before it is read. @unit kB, gzipped */
const BUDGET_KB = { rig: 330, shelf: 320, unknown: 270 } as const;

test('a page names no more than its budget', async ({ request, demo: { url } }) => {
  const weights = new Map<string, number>();
  const weighed = async (address: string): Promise<number> => {
    const known = weights.get(address);
    if (known !== undefined) return known;
    const file = await request.get(`${url}${address}`);
    expect(file.ok()).toBe(true);
    const kb = gzipSync(await file.body()).length / 1000;
    weights.set(address, kb);
    return kb;
  };
  const page = async (path: string): Promise<number> => {
    const html = await (await request.get(`${url}${path}`)).text();
    const named = new Set(
      NAMED.flatMap((one) => [...html.matchAll(one)].map(([, address = '']) => address)),
    );
    expect(named.size).toBeGreaterThan(5);
    let sum = 0;
    for (const address of named) sum += await weighed(address);
    return sum;
  };
  expect(await page('/')).toBeLessThan(BUDGET_KB.shelf);
  expect(await page('/nothing-of-ours')).toBeLessThan(BUDGET_KB.unknown);
  for (const { path } of VIEWS)
    expect(await page(`/rigs/night-tide${path}`), path).toBeLessThan(BUDGET_KB.rig);
});
