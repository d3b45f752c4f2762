import { chromium } from '@playwright/test';
import { BROWSER } from '../tools/browser.ts';
import { encodePngImage } from '../core/raster/index.ts';
import { PHOTOGRAPHS } from '../demo/art/photographs.ts';
import { broadLeaf, frond } from '../demo/art/woodland.ts';
const browser = await chromium.launch(BROWSER);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: 'http://localhost:4398' });
page.on('pageerror', (e) => console.log('ERR', e.message));
await page.goto('/');
const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByRole('button', { name: 'Stickers from pictures' }).click()]);
await chooser.setFiles([...Object.entries(PHOTOGRAPHS).map(([name, take]) => ({ name: `${name}.png`, mimeType: 'image/png', buffer: Buffer.from(encodePngImage(take(), 300)) })),
 ...Object.entries({ 'Lime leaf': broadLeaf('#5f8f4a', '#e2eec6', '#6b5a34'), 'Hart’s tongue': frond('#2f6b4f', '#7fae63') }).map(([name, svg]) => ({ name: `${name}.svg`, mimeType: 'image/svg+xml', buffer: Buffer.from(svg) })),
 { name: 'Order form.doc', mimeType: 'application/msword', buffer: Buffer.from('no picture') }]);
await page.waitForTimeout(6000);
await page.screenshot({ path: '/tmp/t1.png' });
await browser.close();
