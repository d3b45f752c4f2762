import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import {
  dropFile,
  emptyWorkshop,
  expect,
  openDesk,
  openShelf,
  proofed,
  test,
  SAMPLES,
} from './workshop.ts';

const SEALS = '/job/demo-pot-lid-seals';

test('the first visit shows the samples and says so; one click removes them, one brings them back', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByText('sample jobs of a made-up nursery')).toBeVisible();
  await expect(page.locator('article')).toHaveCount(SAMPLES);
  await page.getByRole('button', { name: 'Remove the samples' }).click();
  await expect(page.locator('article')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('article')).toHaveCount(SAMPLES);
});

/** Chooses an entry of the menu of a job on the shelf. */
async function fromMenu(page: Page, job: string, entry: string): Promise<void> {
  await page.getByRole('button', { name: `More for ${job}` }).click();
  await page
    .getByRole('listitem')
    .filter({ hasText: entry })
    .or(page.getByText(entry, { exact: true }))
    .first()
    .click();
}

test('jobs are renamed, duplicated, deleted with undo, found, exported and brought in again', async ({
  page,
}) => {
  await openShelf(page, 'peat-free-dots', 'tea-caddies');
  await fromMenu(page, 'Peat-free dots', 'Rename');
  await page.getByRole('textbox', { name: 'Rename' }).fill('Dots');
  await page.keyboard.press('Enter');
  await expect(page.locator('article', { hasText: 'Dots' })).toBeVisible();
  await fromMenu(page, 'Dots', 'Duplicate');
  await expect(page.locator('article', { hasText: 'Dots, copy' })).toBeVisible();
  const download = page.waitForEvent('download');
  await fromMenu(page, 'Dots, copy', 'Export as .peel');
  const file = readFileSync(await (await download).path());
  await fromMenu(page, 'Dots, copy', 'Delete');
  await expect(page.locator('article', { hasText: 'Dots, copy' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('article', { hasText: 'Dots, copy' })).toBeVisible();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open a file' }).click();
  await (await chooser).setFiles({ name: 'dots.peel', mimeType: 'application/zip', buffer: file });
  await expect(page.locator('article', { hasText: 'Dots, copy' })).toHaveCount(2);
  await page.getByRole('searchbox').fill('caddies');
  await expect(page.locator('article')).toHaveCount(1);
});

test('a message that takes the place of another stays for its whole time', async ({ page }) => {
  await openShelf(page, 'peat-free-dots', 'tea-caddies');
  await fromMenu(page, 'Peat-free dots', 'Duplicate');
  await expect(page.getByText('“Peat-free dots, copy” is on the shelf.')).toBeVisible();
  await page.waitForTimeout(5500);
  await fromMenu(page, 'Tea caddies', 'Duplicate');
  const second = page.getByText('“Tea caddies, copy” is on the shelf.');
  await expect(second).toBeVisible();
  // The time of the first is over by now.
  await page.waitForTimeout(3000);
  await expect(second).toBeVisible({ timeout: 1 });
});

/** Puts a value into what the browser keeps of a job, as damage or another version would. */
async function damage(
  page: Page,
  id: string,
  { path, value }: { path: readonly (string | number)[]; value: unknown },
): Promise<void> {
  await page.evaluate(
    async ([key, steps, put]) => {
      const done = (asked: IDBRequest): Promise<unknown> =>
        new Promise((go) => (asked.onsuccess = () => go(asked.result)));
      const database = (await done(indexedDB.open('little-peel'))) as IDBDatabase;
      const jobs = database.transaction('jobs', 'readwrite').objectStore('jobs');
      const kept = (await done(jobs.get(key))) as { job: Record<string | number, never> };
      let part = kept.job as Record<string | number, unknown>;
      for (const step of steps.slice(0, -1)) part = part[step] as typeof part;
      part[steps[steps.length - 1] ?? ''] = put;
      await done(jobs.put(kept, key));
      database.close();
    },
    [id, path, value] as const,
  );
}

test('a damaged job stays on the shelf, opens without what is damaged, and is saved as it was', async ({
  page,
}) => {
  await openShelf(page, 'peat-free-dots', 'tea-caddies', 'pot-lid-seals');
  const x = ['pieces', 0, 'elements', 0, 'x'];
  await damage(page, 'demo-peat-free-dots', { path: x, value: 'left' });
  await damage(page, 'demo-tea-caddies', { path: ['version'], value: 99 });
  await page.reload();
  await expect(page.locator('article')).toHaveCount(3);
  await expect(page.locator('article', { hasText: 'A part could not be read' })).toHaveCount(1);
  const later = page.locator('article', { hasText: 'made by a newer Little Peel' });
  await expect(later).toContainText('Tea caddies');
  const saved = page.waitForEvent('download');
  await later.getByRole('button', { name: 'Save it as it is' }).click();
  expect((await saved).suggestedFilename()).toBe('tea-caddies.peel');
  await page.getByRole('link', { name: 'Peat-free dots' }).click();
  await expect(page.getByText('could not be read and is left out: “')).toBeVisible();
  await page.getByRole('button', { name: 'History' }).click();
  await expect(page.getByText('Without what cannot be read')).toBeVisible();
  const original = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it as it is' }).click();
  const file = readFileSync(await (await original).path());
  const document = JSON.parse(strFromU8(unzipSync(file)['job.json'] ?? new Uint8Array()));
  expect(document.pieces[0].elements[0].x).toBe('left');
});

test('a backup restores everything into another browser', async ({ page, browser, baseURL }) => {
  await openShelf(page, 'pot-lid-seals', 'woodland-stickers');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Back up all' }).click();
  const file = readFileSync(await (await download).path());
  const other = await (await browser.newContext({ baseURL: baseURL ?? '' })).newPage();
  await other.goto('/');
  await other.getByRole('button', { name: 'Remove the samples' }).click();
  await expect(other.locator('article')).toHaveCount(0);
  const chooser = other.waitForEvent('filechooser');
  await other.getByRole('button', { name: 'Restore a backup' }).click();
  await (await chooser).setFiles({ name: 'backup.zip', mimeType: 'application/zip', buffer: file });
  await expect(other.locator('article')).toHaveCount(2);
  await other.locator('article', { hasText: 'Pot-lid seals' }).getByRole('link').click();
  await expect(other.locator('[data-element="picture-1"] path').first()).toBeAttached();
  await other.context().close();
});

test('a reload in the middle of a drag loses nothing', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  const words = page.locator('[data-element="words-3"]');
  await expect(words.locator('path').first()).toBeAttached();
  const box = await words.boundingBox();
  if (!box) throw new Error('no words');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2, { steps: 5 });
  const there = await words.getAttribute('data-place');
  await page.waitForTimeout(1000);
  await page.reload();
  await expect(page.locator('[data-element="words-3"]')).toHaveAttribute('data-place', there ?? '');
  await expect(page.locator('[data-element]')).toHaveCount(6);
});

test('a second tab reads, says so, and takes over', async ({ page, context }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await expect(page.locator('[data-element="words-3"]')).toBeAttached();
  const second = await context.newPage();
  await second.goto(`${SEALS}/artwork`);
  await expect(second.getByText('open in another tab')).toBeVisible();
  await page.getByLabel('Name of the job').fill('Changed in the first');
  await page.keyboard.press('Enter');
  await expect(second.getByLabel('Name of the job')).toHaveValue('Changed in the first');
  await second.getByRole('button', { name: 'Take over here' }).click();
  await expect(second.getByText('open in another tab')).toHaveCount(0);
  await expect(page.getByText('open in another tab')).toBeVisible();
  await second.getByLabel('Name of the job').fill('Changed in the second');
  await second.keyboard.press('Enter');
  await expect(page.getByLabel('Name of the job')).toHaveValue('Changed in the second');
});

test('when the storage is full it is said once, and nothing is lost on screen', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await expect(page.locator('[data-element="words-3"]')).toBeAttached();
  // The browser's own refusal, as it comes when the disk is full.
  await page.evaluate(() => {
    const { put } = IDBObjectStore.prototype;
    const full = Object.assign(window as unknown as { full: boolean }, { full: true });
    IDBObjectStore.prototype.put = function (...args: Parameters<typeof put>) {
      if (full.full) throw new DOMException('The disk is full', 'QuotaExceededError');
      return put.apply(this, args);
    };
  });
  await page.getByLabel('Name of the job').fill('Too much');
  await page.keyboard.press('Enter');
  await expect(page.getByText('This browser has no more room')).toBeVisible();
  await expect(page.getByRole('banner')).toContainText('Not kept');
  await expect(page.getByLabel('Name of the job')).toHaveValue('Too much');
  await page.evaluate(() => void ((window as unknown as { full: boolean }).full = false));
  await page.getByLabel('Name of the job').fill('Enough again');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('banner')).toContainText('Kept just now');
});

proofed(
  'what was accepted in a file of an earlier version is accepted still, and known by what it is about',
  async ({ page }) => {
    await emptyWorkshop(page);
    const old = readFileSync('core/job/examples/version-11.json', 'utf8');
    await dropFile(page, '.shelf', {
      name: 'old.peel',
      type: 'application/zip',
      bytes: Buffer.from(zipSync({ 'job.json': strToU8(old) })),
    });
    await page.locator('article a').first().click();
    await page.locator('.ticket a[href$="/proof"]').first().click();
    const taken = page.locator('.taken', { hasText: '“Sea Holly” prints at 5.0 pt.' });
    await expect(taken).toContainText('fine print');
    await page.getByText('Kept just now').waitFor();
    await page.reload();
    await expect(taken).toContainText('fine print');
  },
);
