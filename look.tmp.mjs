import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
const server = spawn(process.execPath, ['dist/node/server.mjs'], { env: { ...process.env, PORT: '4378' }, stdio: 'ignore' });
await new Promise((r) => setTimeout(r, 1500));
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-dev-shm-usage','--disable-gpu','--disable-background-networking'] });
const ctx = await browser.newContext({ viewport: { width: 1280, height: 800 }, colorScheme: process.env.DARK ? 'dark' : 'light', acceptDownloads: true });
const page = await ctx.newPage();
page.on('console', (m) => { if (['error','warning'].includes(m.type())) console.log('CONSOLE', m.text().slice(0, 300)); });
page.on('pageerror', (e) => console.log('PAGEERROR', String(e).slice(0, 300)));
const shot = async (n) => { await page.waitForTimeout(500); await page.screenshot({ path: `/tmp/shots/${n}.png` }); };
const url = 'http://localhost:4378';
await page.goto(url); await page.locator('article').nth(2).waitFor(); await page.waitForTimeout(800);
try { const f = await import(process.argv[2]); await f.default({ page, url, shot }); } catch (e) { console.log('FAILED', String(e).slice(0, 600)); await shot('failed'); }
await browser.close(); server.kill();
