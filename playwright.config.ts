import { defineConfig } from '@playwright/test';

/**
 * The production build in Debian's Chromium, against the database that bin/test started. One test
 * after the other: some stop the server or the database.
 */
export default defineConfig({
  testDir: 'e2e',
  workers: 1,
  timeout: 240_000,
  expect: { timeout: 20_000 },
  reporter: [['list'], ['json', { outputFile: '.local/playwright.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
