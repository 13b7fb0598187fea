import { defineConfig } from '@playwright/test';
import path from 'node:path';
import { writeBeeps } from './e2e/films/beeps';

/** Tests that stop the database all others share, or build and start what the others run. */
const ALONE = /(power-cut|demo)\.spec\.ts$/;

/**
 * The production build in Debian's Chromium, against the database that bin/test started. Each worker has a
 * server and a database of its own; two at a time, since there are two cores.
 */
export default defineConfig({
  testDir: 'e2e',
  workers: 2,
  projects: [
    { name: 'together', testIgnore: ALONE },
    { name: 'alone', testMatch: ALONE, dependencies: ['together'], workers: 1 },
  ],
  timeout: 240_000,
  expect: { timeout: 45_000 },
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
        // A camera and a microphone of the browser's own, which are given when they are asked for.
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
        `--use-file-for-fake-audio-capture=${writeBeeps(path.join(import.meta.dirname, '.local'))}`,
        '--autoplay-policy=no-user-gesture-required',
      ],
    },
  },
});
