import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import {
  dropFile,
  enter,
  expect,
  finishRun,
  openDesk,
  openShelf,
  proofed,
  proofIs,
  runForReal,
  test,
  toCounting,
} from './workshop.ts';

// What people come to do, from the thing to the labels on it.

const line = (page: Page, id: string) => page.locator(`[data-line="${id}"]`);

const mark = (shapes: string, side: number): Buffer =>
  Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${side}mm" height="${side}mm" viewBox="0 0 ${side} ${side}">${shapes}</svg>`,
  );

/** Begins stickers from a vector picture. */
async function fromVector(page: Page, name: string, buffer: Buffer): Promise<void> {
  await openShelf(page, 'peat-free-dots');
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Stickers from pictures' }).click(),
  ]);
  await chooser.setFiles({ name, mimeType: 'image/svg+xml', buffer });
  await expect(page).toHaveURL(/\/edge$/);
}

test('drawer labels: 64 words on dear stock, lying and upright mixed, and cuts shared', async ({
  page,
}) => {
  await openShelf(page, 'peat-free-dots');
  await page.locator('.beginning', { hasText: 'A packet, a bar' }).click();
  await enter(page, 'Width', '58');
  await enter(page, 'Height', '21');
  await enter(page, 'Corner radius', '0');
  await enter(page, 'Bare all round', '0');
  await expect(line(page, 'size')).toContainText('58 mm × 21 mm');
  await page.locator('.cards').getByRole('link', { name: 'Design the label' }).click();
  const seeds = Array.from({ length: 64 }, (_, at) => `Seed no. ${at + 1}`);
  seeds[9] = 'Ranunculus acris ‘Flore Pleno’';
  await page.getByRole('button', { name: 'List', exact: true }).click();
  await dropFile(page, '.drawer', {
    name: 'drawers.csv',
    type: 'text/csv',
    bytes: Buffer.from(['seed', ...seeds].join('\n')),
  });
  await page.getByRole('button', { name: 'Take these 64 rows' }).click();
  await page.getByRole('button', { name: 'What seed is for' }).click();
  await page.getByRole('button', { name: 'Add words that say {seed}' }).click();
  await line(page, 'copies').click();
  await expect(line(page, 'copies')).toContainText('64 wanted');
  await page.getByRole('radio', { name: 'Best fit' }).click();
  await enter(page, 'Gap', '0');
  await page.getByRole('radio', { name: 'None', exact: true }).click();
  // More than rows of one kind hold, and proved to be all.
  await expect(page.getByText(/no arrangement can hold/)).toBeVisible();
  await expect(page.getByText(/Shared cut lines save/)).toBeVisible();
  await expect(page.locator('[data-copy]').first()).toBeAttached();
  await runForReal(page);
});

proofed(
  'a mark of nine loose parts: three dropped, a filled rim of sharp corners, the smallest marks that are found',
  async ({ page }) => {
    const dots = Array.from(
      { length: 9 },
      (_, at) =>
        `<rect x="${4 + (at % 3) * 16}" y="${4 + Math.floor(at / 3) * 16}" width="8" height="8" fill="${at < 6 ? '#2f5d46' : '#c0392b'}"/>`,
    );
    await fromVector(page, 'mark.svg', mark(dots.join(''), 48));
    await line(page, 'artwork').click();
    await page.locator('[data-element] .hit').click();
    await page.getByRole('button', { name: 'Prepare the picture' }).click();
    for (const shape of [7, 8, 9]) await page.getByLabel(`Show shape ${shape}`).uncheck();
    await page.getByRole('button', { name: 'Use it' }).click();
    await expect(page.locator('[data-element] path[fill="#c0392b"]')).toHaveCount(0);
    await line(page, 'edge').click();
    await page.getByRole('button', { name: 'Trace the picture' }).click();
    await expect(page.getByText('6 separate parts')).toBeVisible();
    await enter(page, 'Outwards by', '2.2');
    await page
      .getByRole('radiogroup', { name: 'Corners' })
      .getByRole('radio', { name: 'Mitre' })
      .click();
    await page
      .getByRole('radiogroup', { name: 'Join by' })
      .getByRole('radio', { name: 'Grow' })
      .click();
    await expect(page.getByText(/separate parts/)).toHaveCount(0);
    await line(page, 'copies').click();
    await enter(page, 'Wanted of mark', '14');
    await enter(page, 'Size of a mark', '4');
    await expect(page.locator('[data-copy]')).toHaveCount(14);
    await proofIs(page, /note|Nothing to mend/);
    // Once the sensor misses two of them: they are set by hand on its picture.
    await line(page, 'run').click();
    await page.getByLabel('The sensor misses two marks').check();
    await page.getByRole('button', { name: 'Rehearse it' }).click();
    await expect(page.locator('[data-report]')).toContainText('Only 2 of 4 marks', {
      timeout: 90_000,
    });
    await page.getByRole('button', { name: 'Set the marks by hand' }).click();
    await expect(page.getByRole('button', { name: 'Mark 1', exact: true })).toBeVisible();
    await page.getByRole('radio', { name: 'For real' }).click();
    await finishRun(page);
  },
);

proofed(
  'greenhouse tools on pearl film: one sheet of stickers, kiss cuts inside, cut through around, after the ink is dry',
  async ({ page }) => {
    await openDesk(page, 'woodland-stickers', 'stock');
    await page.getByRole('radio', { name: /Pearl/ }).click();
    await expect(line(page, 'stock')).toContainText(/pearl/i);
    await line(page, 'copies').click();
    await page.getByRole('button', { name: 'Make a sticker sheet of these' }).click();
    await expect(page.getByLabel('Name of the piece')).toHaveValue('Sticker sheet');
    // A caption that is only printed.
    await page.getByRole('button', { name: 'Words', exact: true }).click();
    await page.getByLabel('The words', { exact: true }).fill('From the greenhouse');
    await page.keyboard.press('Escape');
    await line(page, 'proof').click();
    await expect(page.getByText(/are pale where the material shows through/)).toBeVisible({
      timeout: 60_000,
    });
    const download = page.waitForEvent('download');
    await page.locator('[data-format="hpgl"]').click();
    const hpgl = readFileSync(await (await download).path(), 'latin1');
    // Kiss cuts first, the outline last.
    expect(hpgl.lastIndexOf('SP1')).toBeLessThan(hpgl.indexOf('SP2'));
    await line(page, 'run').click();
    await page.getByRole('radio', { name: 'For real' }).click();
    await page.locator('[data-do]').click();
    await expect(page.getByRole('heading', { name: 'Let it dry' })).toBeVisible();
    await finishRun(page);
  },
);

test('seedling dots: all in another colour at once, one left out today, the last row filled', async ({
  page,
}) => {
  await openDesk(page, 'peat-free-dots', 'artwork');
  await page.getByLabel('In the whole job').check();
  const blue = page.getByRole('radio', { name: '#1f3a5f', exact: true });
  await expect(blue).toBeVisible();
  await page.locator('.cards .list button').first().click();
  await expect(blue).toHaveCount(0);
  await line(page, 'copies').click();
  await expect(page.locator('[data-copy]')).toHaveCount(24);
  await expect(page.locator('.paper [fill="#1f3a5f"]')).toHaveCount(0);
  await enter(page, 'Wanted of Grown here', '0');
  await expect(page.locator('[data-copy]')).toHaveCount(12);
  await page.getByRole('button', { name: 'Fill the last sheet: 12 more' }).click();
  await expect(page.locator('[data-copy]')).toHaveCount(24);
  await runForReal(page);
});

test('bulb boxes: a trimmer’s cuts in order, two stocks compared by their cost', async ({
  page,
}) => {
  await openDesk(page, 'bulb-box-bands', 'stock');
  await page.getByRole('link', { name: 'Price and settings' }).click();
  await page.getByRole('button', { name: 'Add a price' }).click();
  await enter(page, 'A pack costs, EUR', '12');
  await page.goBack();
  await page.getByRole('radio', { name: 'Matt paper' }).click();
  await line(page, 'copies').click();
  await page.getByRole('radio', { name: 'Trimmer' }).click();
  await expect(page.getByRole('list', { name: 'Straight cuts' }).getByRole('listitem')).toHaveCount(
    8,
  );
  await expect(page.locator('table', { hasText: '10 % smaller' })).toContainText('€');
  await line(page, 'run').click();
  await page.getByRole('radio', { name: 'For real' }).click();
  await toCounting(page);
  await page.locator('[data-label]').first().press('Enter');
  await finishRun(page);
  await page.getByRole('link', { name: 'Ledger' }).click();
  await expect(page.locator('[data-run]')).toContainText('€');
});

test('kept for years: run, backed up, and found on another computer with its runs and their cost', async ({
  page,
  browser,
  baseURL,
}) => {
  await openDesk(page, 'pot-lid-seals', 'run');
  await page.getByRole('radio', { name: 'For real' }).click();
  await finishRun(page);
  await page.getByRole('link', { name: 'Shelf' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Back up all' }).click();
  const file = readFileSync(await (await download).path());
  const other = await (await browser.newContext({ baseURL: baseURL ?? '' })).newPage();
  await other.route('**/demo/index.json', (route) => route.fulfill({ json: [] }));
  await other.goto('/');
  const chooser = other.waitForEvent('filechooser');
  await other.getByRole('button', { name: 'Restore a backup' }).click();
  await (await chooser).setFiles({ name: 'backup.zip', mimeType: 'application/zip', buffer: file });
  await expect(other.locator('article')).toHaveCount(1);
  await other.getByRole('link', { name: 'Ledger' }).click();
  await expect(other.locator('[data-run]')).toContainText('Pot-lid seals');
  await expect(other.locator('[data-good]')).toHaveText('48');
  // The picture of the first sheet, as wide as it is to its height.
  const picture = other.locator('[data-run] img');
  await expect
    .poll(() => picture.evaluate((one: HTMLImageElement) => one.naturalHeight / one.naturalWidth))
    .toBeCloseTo(297 / 210, 1);
  await other.context().close();
});
