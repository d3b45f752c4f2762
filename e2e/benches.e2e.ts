import type { Page } from '@playwright/test';
import { dragBy, expect, openDesk, test } from './workshop.ts';

/** The zoom that is written on the tray, in percent. */
const percent = async (page: Page): Promise<number> =>
  parseFloat(await page.locator('.percent').innerText());

test('the wheel zooms about the pointer, keys about the middle, and 0 shows all again', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  const words = page.locator('[data-element="words-3"]');
  await expect(words.locator('path').first()).toBeAttached();
  const whole = await percent(page);
  const before = await words.boundingBox();
  if (!before) throw new Error('no words');
  const at = { x: before.x + before.width / 2, y: before.y + before.height / 2 };
  await page.mouse.move(at.x, at.y);
  await page.mouse.wheel(0, -300);
  await expect.poll(() => percent(page)).toBeGreaterThan(whole * 1.2);
  const after = await words.boundingBox();
  if (!after) throw new Error('no words');
  expect(after.width).toBeGreaterThan(before.width * 1.2);
  expect(Math.abs(after.x + after.width / 2 - at.x)).toBeLessThan(3);
  expect(Math.abs(after.y + after.height / 2 - at.y)).toBeLessThan(3);
  const near = await percent(page);
  await page.keyboard.press('-');
  await expect.poll(() => percent(page)).toBeLessThan(near);
  await page.keyboard.press('0');
  await expect.poll(() => percent(page)).toBe(whole);
  await page.keyboard.press('+');
  await expect.poll(() => percent(page)).toBeGreaterThan(whole);
});

test('the empty bench pans, and the paper cannot be lost out of sight', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'sheet');
  const paper = page.getByLabel('The sheet');
  await expect(page.locator('[data-copy]').first()).toBeVisible();
  const before = await paper.boundingBox();
  const bench = await page.locator('.table').boundingBox();
  if (!before || !bench) throw new Error('no sheet');
  const corner = { x: bench.x + 40, y: bench.y + 300 };
  await page.mouse.move(corner.x, corner.y);
  await page.mouse.down();
  await page.mouse.move(corner.x + 50, corner.y + 30, { steps: 4 });
  await page.mouse.up();
  const moved = await paper.boundingBox();
  expect((moved?.x ?? 0) - before.x).toBeCloseTo(50, 0);
  expect((moved?.y ?? 0) - before.y).toBeCloseTo(30, 0);
  for (let round = 0; round < 4; round++) {
    await page.mouse.move(corner.x, corner.y);
    await page.mouse.down();
    await page.mouse.move(corner.x + 600, corner.y, { steps: 4 });
    await page.mouse.up();
  }
  const last = await paper.boundingBox();
  expect(last?.x ?? Infinity).toBeLessThan(bench.x + bench.width - 50);
});

test('two fingers pinch the sheet larger', async ({ browser, baseURL }) => {
  const context = await browser.newContext({
    baseURL: baseURL ?? '',
    viewport: { width: 1024, height: 768 },
    hasTouch: true,
  });
  const page = await context.newPage();
  await openDesk(page, 'pot-lid-seals', 'sheet');
  await expect(page.locator('[data-copy]').first()).toBeVisible();
  const before = (await page.getByLabel('The sheet').boundingBox())?.width ?? 0;
  const bench = await page.locator('.table').boundingBox();
  if (!bench) throw new Error('no bench');
  const middle = { x: bench.x + bench.width / 2, y: bench.y + bench.height / 2 };
  const devtools = await context.newCDPSession(page);
  const fingers = (apart: number) => [
    { x: middle.x - apart, y: middle.y, id: 1 },
    { x: middle.x + apart, y: middle.y, id: 2 },
  ];
  await devtools.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: fingers(40) });
  for (const apart of [55, 70, 85, 100])
    await devtools.send('Input.dispatchTouchEvent', {
      type: 'touchMove',
      touchPoints: fingers(apart),
    });
  await devtools.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  await expect
    .poll(async () => (await page.getByLabel('The sheet').boundingBox())?.width ?? 0)
    .toBeGreaterThan(before * 1.8);
  await context.close();
});

test('every line of the ticket opens its desk, by mouse and by keyboard', async ({ page }) => {
  await openDesk(page, 'seed-packet-fronts', 'artwork');
  for (const [line, desk] of [
    ['thing', 'size'],
    ['stock', 'stock'],
    ['edge', 'edge'],
    ['copies', 'sheet'],
    ['proof', 'proof'],
    ['run', 'run'],
  ] as const) {
    await page.locator(`[data-line="${line}"]`).click();
    await expect(page).toHaveURL(new RegExp(`/${desk}$`));
  }
  await page.locator('[data-line="artwork"]').focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/artwork$/);
  await page.goBack();
  await expect(page).toHaveURL(/\/run$/);
});

test('a job that is not here says so and leads back to the shelf', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await page.goto('/job/never-was/artwork');
  await expect(page.getByText('This job is not on this shelf.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the shelf' }).click();
  await expect(page.locator('article')).toHaveCount(1);
});

test('the shape and the bleed of the edge change every variety, and undo brings them back', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'edge');
  await page.getByRole('radio', { name: 'As cut' }).click();
  await expect(page.getByRole('radio', { name: 'As cut' })).toHaveAttribute('aria-checked', 'true');
  await page.getByRole('radio', { name: 'Oval' }).click();
  await expect(page.locator('[data-line="size"]')).toContainText('Oval, 58 mm × 43.5 mm');
  await page.getByLabel('Bleed', { exact: true }).fill('3');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-line="edge"]')).toContainText('bleed 3 mm');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Escape');
  await page.locator('[data-line="edge"]').focus();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-line="edge"]')).toContainText('bleed 2 mm');
  await expect(page.locator('[data-line="size"]')).toContainText('Round, Ø 58 mm');
});

test('copies are walked sheet by sheet, nudged by keys and put back', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'sheet');
  await expect(page.locator('[data-copy="sea-holly#1"]')).toBeVisible();
  await page.getByRole('button', { name: 'Sheet 2' }).click();
  const copy = page.locator('[data-copy="sweet-pea#2"]');
  await expect(copy).toBeVisible();
  await copy.click();
  const left = page.getByLabel('Centre from left', { exact: true });
  const before = parseFloat(await left.inputValue());
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Control+ArrowRight');
  await expect.poll(async () => parseFloat(await left.inputValue())).toBeCloseTo(before + 2.1, 2);
  await page.getByRole('button', { name: 'Put 1 moved copy back' }).click();
  await expect.poll(async () => parseFloat(await left.inputValue())).toBeCloseTo(before, 2);
});

test('a copy that is dragged tells its distance and leaves its place marked', async ({ page }) => {
  await openDesk(page, 'seed-packet-fronts', 'sheet');
  const copy = page.locator('[data-copy]').first();
  await expect(copy).toBeVisible();
  await dragBy(page, copy, [0, -14], true);
  await expect(page.locator('.dragged')).toBeVisible();
  await expect(page.locator('.dragged .gap')).toContainText('mm');
  await expect(page.locator('.over .away')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.locator('.dragged')).toHaveCount(0);
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /moved cop/ })).toHaveCount(0);
});
