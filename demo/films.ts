import { chromium, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';

/** Films of ours are encoded by the browser, so that nothing else is needed for them. */

const require = createRequire(import.meta.url);
const bundle = path.join(path.dirname(require.resolve('mediabunny')), 'mediabunny.mjs');

/** Opens a page that can encode, and closes the browser once it is done. */
export const withEncoder = async <T>(work: (page: Page) => Promise<T>): Promise<T> => {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox'],
  });
  try {
    const page = await browser.newPage();
    // Encoders are there in secure pages alone; nothing of this is asked of any network.
    await page.route('https://film.invalid/**', (route) =>
      route.request().url().endsWith('.mjs')
        ? route.fulfill({ contentType: 'text/javascript', body: readFileSync(bundle, 'utf8') })
        : route.fulfill({ contentType: 'text/html', body: '<!doctype html><title>Film</title>' }),
    );
    await page.goto('https://film.invalid/');
    return await work(page);
  } finally {
    await browser.close();
  }
};
