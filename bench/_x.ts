import { chromium } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import { BROWSER } from '../tools/browser.ts';
import { photoJpeg } from './photo.ts';
const b = await chromium.launch(BROWSER);
const page = await (await b.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
page.on('console', (m) => console.log('C', m.text()));
page.on('pageerror', (e) => console.log('E', e.message));
await page.goto('http://localhost:4398');
await page.locator('article').first().waitFor();
await page.getByRole('link', { name: 'Art drawer' }).click();
writeFileSync('/tmp/first.jpg', await photoJpeg(300, 200));
const [ch] = await Promise.all([
  page.waitForEvent('filechooser'),
  page.getByRole('button', { name: 'Take in pictures' }).click(),
]);
writeFileSync('/tmp/wide.jpg', await photoJpeg(6000, 4000));
const t = Date.now();
await ch.setFiles(process.env.F ?? '/tmp/wide.jpg');
await page
  .getByRole('button', { name: 'wide', exact: true })
  .waitFor({ timeout: 60000 })
  .catch(() => 0);
console.log(Date.now() - t);
await page.waitForTimeout(3000);
await page.screenshot({ path: '/tmp/x.png' });
console.log(await page.locator('button').allTextContents());
await b.close();
