import { chromium } from '@playwright/test';
// node shot2 path out w h theme 'js steps'
const [rigPath, out, w = '1280', h = '800', theme = 'light', steps = ''] = process.argv.slice(2);
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await (await b.newContext({ viewport: { width: +w, height: +h }, colorScheme: theme })).newPage();
page.on('pageerror', (e) => console.log('ERR', e.message));
page.on('console', (m) => m.type() === 'error' && console.log('CON', m.text().slice(0, 300)));
await page.goto(`http://127.0.0.1:4870${rigPath}`);
await page.waitForTimeout(3500);
if (steps) await new (Object.getPrototypeOf(async function () {}).constructor)('page', steps)(page);
await page.waitForTimeout(700);
await page.screenshot({ path: out });
await b.close();
