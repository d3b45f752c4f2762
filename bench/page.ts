import type { Page } from '@playwright/test';
import { encodePngImage } from '../core/raster/index.ts';
import { writePeel } from '../core/job/index.ts';
import { runAll } from '../core/testing/example-job.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { demoJobs } from '../demo/index.ts';
import { pageOfTwenty } from './art.ts';
import { frameRows, inBrowser, openPeel, recorded, swing, URL } from './browser.ts';
import { median, type Row } from './row.ts';
import { usualThing } from '../core/things/index.ts';

/** First paint of the demo job, and a drag on a sheet with 300 copies, in the real browser. */
export const benchPage = (): Promise<Row[]> =>
  inBrowser(async (page) => [
    ...(await splitting(page)),
    ...(await firstPaint(page)),
    ...(await drag(page)),
  ]);

/** How long the page does not answer while a page of 20 drawings is split and made into pieces. */
async function splitting(page: Page): Promise<Row[]> {
  const bytes = encodePngImage(pageOfTwenty(), 300);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Stickers from pictures' }).click(),
  ]);
  await chooser.setFiles({ name: 'page.png', mimeType: 'image/png', buffer: Buffer.from(bytes) });
  await page.waitForURL(/edge$/);
  await page.locator('[data-line="artwork"]').click();
  await page.locator('[data-element] .hit').click();
  await page.getByRole('button', { name: 'Prepare the picture' }).click();
  await page.locator('canvas').first().waitFor();
  await page.waitForTimeout(1500);
  await page.evaluate(() => {
    const longest = { task: 0 };
    Object.assign(window, { longest });
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) longest.task = Math.max(longest.task, duration);
    }).observe({ entryTypes: ['longtask'] });
  });
  const longest = (): Promise<number> =>
    page.evaluate(() => {
      const { longest: found } = window as unknown as { longest: { task: number } };
      const task = found.task;
      found.task = 0;
      return task;
    });
  await page.getByRole('radio', { name: 'Split' }).click();
  await page.getByRole('button', { name: /Make 20 pieces/ }).waitFor();
  const split = await longest();
  await page.getByRole('button', { name: /Make 20 pieces/ }).click();
  await page.locator('[data-line="artwork"]', { hasText: '20 pieces' }).waitFor();
  await page.waitForTimeout(1500);
  const row = { unit: 'ms', wanted: 'no task over 50 ms (shorter ones count as 0)' };
  return [
    { what: 'longest task of the page while 20 drawings are split', measured: split, ...row },
    {
      what: 'the same while they are traced and made into pieces',
      measured: await longest(),
      ...row,
    },
  ];
}

async function firstPaint(page: Page): Promise<Row[]> {
  const blank: number[] = [];
  const job: number[] = [];
  for (let round = 0; round < 5; round++) {
    await page.goto(`${URL}/core/figtree-licence.txt`);
    blank.push(await page.evaluate(() => performance.now()));
    await page.goto(`${URL}/job/demo-pot-lid-seals/artwork`);
    await page.waitForSelector('[data-element="words-3"] path');
    job.push(await page.evaluate(() => performance.now()));
  }
  return [
    {
      what: 'first paint of the demo job, words and picture drawn',
      measured: median(job),
      unit: 'ms',
      baseline: median(blank),
      wanted: 'within 1500 ms (baseline: a text file)',
    },
  ];
}

/** The demo's seals made so small that 300 of them stand on one sheet, as a `.peel`. */
async function denseJob(): Promise<Buffer> {
  const seals = (await demoJobs(nodePlatform)).find(({ job }) => job.id === 'demo-pot-lid-seals');
  if (!seals) throw new Error('no demo job');
  const job = runAll(
    seals.job,
    { name: 'rename-job', args: { name: 'Dense sheet' } },
    {
      name: 'measure-thing',
      args: { thing: usualThing('lid', { size: 10.5, clearance: 0 }) },
    },
    { name: 'change-plan', args: { changes: { gap: 1 } } },
    ...seals.job.pieces.map(({ id }) => ({
      name: 'want' as const,
      args: { piece: id, count: 75 },
    })),
  );
  return Buffer.from(writePeel({ ...seals, job: { ...job, id: 'dense' } }));
}

async function drag(page: Page): Promise<Row[]> {
  await openPeel(page, 'dense.peel', await denseJob());
  await page.waitForSelector('text=Dense sheet');
  await page.goto(`${URL}/job/dense/sheet`);
  await page.waitForSelector('[data-copy]');
  await page.waitForTimeout(4000); // the proof of the new job is asked for meanwhile
  const copies = await page.locator('[data-copy]').count();
  const box = await page
    .locator('[data-copy]')
    .nth(Math.floor(copies / 2))
    .boundingBox();
  if (!box) throw new Error('no copy');
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const sweep = (): Promise<void> => swing(page, middle);
  const idle = await recorded(page, sweep);
  await page.mouse.move(middle.x, middle.y);
  await page.mouse.down();
  const dragged = await recorded(page, sweep);
  await page.mouse.up();
  return frameRows(`drag on a sheet with ${copies} copies`, dragged, idle);
}
