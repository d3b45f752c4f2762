import { chromium } from '@playwright/test';
import { BROWSER } from '../tools/browser.ts';
const b = await chromium.launch(BROWSER); const page = await (await b.newContext({viewport:{width:1280,height:800}})).newPage();
page.on('pageerror', e=>console.log('E', e.message)); page.on('console', m=>m.type()==='error'&&console.log('C',m.text()));
await page.goto('http://localhost:4398'); await page.locator('article').first().waitFor();
const [ch] = await Promise.all([page.waitForEvent('filechooser'), page.getByRole('button',{name:'Stickers from pictures'}).click()]);
const t=Date.now();
await ch.setFiles((process.env.F ?? '').split(','));
await page.getByRole('dialog',{name:'What came in'}).waitFor();
await page.getByText('Looking for its outline').first().waitFor({state:'hidden',timeout:60000}).catch(()=>0);
await page.waitForTimeout(Number(process.env.W ?? 1500)); console.log(Date.now()-t);
await page.screenshot({path:'/tmp/t1.png'});
const f=page.getByRole('button',{name:/^Free \d/}); if (await f.count()) { await f.click(); await page.waitForTimeout(1500); await page.screenshot({path:'/tmp/t2.png'}); await page.getByRole('button',{name:'Use it'}).click(); await page.waitForTimeout(1500); await page.screenshot({path:'/tmp/t3.png'}); }
await b.close();
