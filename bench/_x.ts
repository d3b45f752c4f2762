import { chromium } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { decode } from 'dns-packet';
import openMulticast from 'multicast-dns';
import { BROWSER } from '../tools/browser.ts';
const packets = readFileSync('devices/wire/finding/recorded/announcements.hex', 'utf8').trim().split('\n').map((l) => decode(Buffer.from(l, 'hex')));
const line = openMulticast({ interface: '127.0.0.1', bind: '0.0.0.0' });
line.on('query', () => {
  for (const { answers = [], additionals = [] } of packets)
    line.respond({ answers: [...answers, ...additionals].map((r: any) => r.type === 'SRV' ? { ...r, data: { ...r.data, port: r.name.includes('pdl') ? 4632 : 4631 } } : r) } as never);
});
const browser = await chromium.launch(BROWSER);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto('http://localhost:4398/');
await page.waitForTimeout(3000);
await page.goto('http://localhost:4398/stock/printers');
await page.waitForTimeout(1500);
await page.screenshot({ path: '/tmp/a1.png' });
await page.getByRole('button', { name: 'Start them' }).click();
await page.waitForTimeout(1000);
await page.getByRole('button', { name: 'Look for devices' }).click();
await page.waitForTimeout(1200);
await page.screenshot({ path: '/tmp/a2.png' });
await page.getByText('Found in this network').waitFor();
await page.screenshot({ path: '/tmp/a3.png' });
await page.getByRole('button', { name: 'Add: Bench printer' }).click();
await page.waitForTimeout(2500);
await page.screenshot({ path: '/tmp/a4.png' });
await browser.close(); line.destroy();
