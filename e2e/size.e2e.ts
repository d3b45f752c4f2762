import { execFileSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import {
  countActions,
  emptyWorkshop,
  enter,
  expect,
  openDesk,
  openShelf,
  runForReal,
  test,
} from './workshop.ts';

/** Starts a job from the shelf by what is being labelled. */
async function begin(page: Page, hint: string): Promise<void> {
  await openShelf(page, 'pot-lid-seals');
  await page.locator('.beginning', { hasText: hint }).click();
  await expect(page.locator('.two')).toBeVisible();
}

const warning = (page: Page, text: string | RegExp) =>
  page.locator('.cards').getByText(text).first();

test('a pot is measured, its fit test printed, and it lies on A4 in under fifteen actions', async ({
  page,
}) => {
  await emptyWorkshop(page);
  const actions = await countActions(page);
  await page.locator('.beginning', { hasText: 'A wall that tapers' }).click();
  for (const [name, value] of [
    ['across the top', '90'],
    ['across the bottom', '65'],
    ['upright height', '80'],
  ] as const) {
    const field = page.getByLabel(`Measure: ${name}`, { exact: true });
    await field.fill(value);
    await field.press('Enter');
  }
  await expect(page.locator('[data-line="size"]')).toContainText('Bent, 284 mm × 107.6 mm');
  await expect(page.locator('[data-line="thing"]')).toContainText('Wall, 90 to 65 × 80 mm');
  await expect(page.locator('.flat .zone')).toHaveCount(6);
  await page.getByRole('radio', { name: 'Back' }).click();
  await expect(page.locator('.thing .overlap')).toBeVisible();
  const printed = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the fit test as PDF' }).click();
  expect((await printed).suggestedFilename()).toBe('pot-wrap-fit-test.pdf');
  await page.locator('[data-line="copies"]').click();
  await enter(page, 'Wanted of Label', '1');
  await expect(page.locator('[data-copy]')).toHaveCount(1);
  const box = await page.locator('[data-copy]').boundingBox();
  expect((box?.width ?? 0) > 0 && (box?.height ?? 0) > 0).toBe(true);
  const done = await actions();
  expect(done).toBeGreaterThan(8);
  expect(done).toBeLessThan(15);
  await page.getByRole('radio', { name: 'Scissors' }).click();
  await runForReal(page);
});

test('the way round a band is chosen from pictures of this very box, as a strip or a sleeve', async ({
  page,
}) => {
  await begin(page, 'A strip or a sleeve');
  await enter(page, 'Width', '100');
  await enter(page, 'Depth', '40');
  await enter(page, 'Height', '70');
  await expect(page.locator('[data-line="size"]')).toContainText('292 mm × 30 mm');
  await page.getByRole('radio', { name: 'Over the top' }).click();
  await expect(page.locator('[data-line="size"]')).toContainText('232 mm × 30 mm');
  await page.getByRole('radio', { name: 'Sleeve' }).click();
  await expect(page.locator('[data-line="size"]')).toContainText('232 mm × 100 mm');
  await page.getByRole('radio', { name: 'Strip', exact: true }).click();
  await enter(page, 'Width of the strip', '25');
  await expect(page.locator('[data-line="size"]')).toContainText('232 mm × 25 mm');
  await expect(page.locator('.flat .fold')).toHaveCount(4);
});

test('a wall larger than any sheet is made in parts with one click', async ({ page }) => {
  await begin(page, 'A straight wall');
  await enter(page, 'Across the wall', '160');
  await expect(page.locator('[data-too-large]')).toContainText(
    'larger than any sheet in the Stock room',
  );
  await enter(page, 'Across the wall', '100');
  await expect(page.locator('[data-too-large]')).toContainText('It fits on US legal, A3');
  await enter(page, 'Across the wall', '160');
  await page.getByRole('button', { name: 'Make it in 2 parts' }).click();
  await expect(page.locator('[data-too-large]')).toHaveCount(0);
  await expect(page.getByText('2 labels of 261.3 mm go around.')).toBeVisible();
  await page.locator('[data-line="size"]').focus();
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-too-large]')).toBeVisible();
});

test('what will go wrong on the thing is said with its reason', async ({ page }) => {
  await begin(page, 'Across or around');
  await enter(page, 'Dome, higher by', '9');
  await expect(warning(page, 'would wrinkle on this dome')).toBeVisible();
  await begin(page, 'A straight wall');
  await enter(page, 'Ends overlap by', '2');
  await expect(warning(page, 'An overlap of 2 mm is short')).toBeVisible();
  await enter(page, 'Covers', '180');
  await expect(warning(page, 'is short')).toHaveCount(0);
  await begin(page, 'Hangs or folds');
  await enter(page, 'From hole to edge', '1');
  await expect(warning(page, 'would tear out')).toBeVisible();
  await page.getByRole('radio', { name: 'None' }).click();
  await expect(warning(page, 'would tear out')).toHaveCount(0);
  await expect(page.getByLabel('Opening', { exact: true })).toHaveCount(0);
});

test('measurements that leave nothing are refused in a sentence and the thing stays', async ({
  page,
}) => {
  await begin(page, 'A ring with a hole');
  await enter(page, 'Print begins at', '200');
  await expect(page.locator('[data-kind="problem"]')).toContainText('leaves nothing of a disc');
  await expect(page.locator('[data-line="size"]')).toContainText('Ring, Ø 116 mm');
});

test('a beginning of each make is measured and designed: a wall, a tag, a ring', async ({
  page,
}) => {
  await openShelf(page, 'pot-lid-seals');
  await expect(page.locator('.beginning')).toHaveCount(13);
  for (const hint of ['A straight wall', 'Hangs or folds', 'A ring with a hole']) {
    await page.getByRole('link', { name: 'Shelf' }).click();
    await page.locator('.beginning', { hasText: hint }).click();
    await expect(page.locator('.thing .label').first()).toBeAttached();
    await page.locator('.cards').getByRole('link', { name: 'Design the label' }).click();
    await page.getByRole('button', { name: 'Ring' }).click();
    await expect(page.locator('[data-element="plate-1"] path').first()).toBeAttached();
  }
  await runForReal(page);
});

test('the size of a thing follows the unit that the user reads', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'size');
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('radio', { name: 'in', exact: true }).click();
  await page.keyboard.press('Escape');
  const field = page.getByLabel('Measure: across the flat top');
  await expect(field).toHaveValue('2.638 in');
  await field.fill('3 1/8');
  await field.press('Enter');
  await expect(page.locator('[data-line="size"]')).toContainText('2.771 in');
});

test('a fit test is saved, and the size that fits is taken over with a click', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'size');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the fit test as PDF' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('pot-lid-seals-fit-test.pdf');
  const text = execFileSync('pdftotext', [await file.path(), '-'], { encoding: 'utf8' });
  expect(text).toContain('Fit test: Pot-lid seals');
  await page.getByRole('button', { name: '−1 mm' }).click();
  await expect(page.getByText('Taken over: Round, Ø 57 mm.')).toBeVisible();
  await expect(page.locator('[data-line="size"]')).toContainText('Round, Ø 57 mm');
  await page.locator('[data-line="size"]').focus();
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-line="size"]')).toContainText('Round, Ø 58 mm');
});

test('one design fits three lids, each measured on its own, and follows its base', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'size');
  await page.getByRole('button', { name: 'Add a size' }).click();
  await enter(page, 'Across the flat top', '51');
  const sizes = page.getByRole('radiogroup', { name: 'Sizes of this design' }).getByRole('radio');
  await expect(sizes).toHaveCount(2);
  await expect(sizes.nth(0)).toContainText('Round, Ø 58 mm');
  await expect(sizes.nth(1)).toContainText('Round, Ø 42 mm');
  await page.getByRole('button', { name: 'Add a size' }).click();
  await enter(page, 'Across the flat top', '84');
  await expect(sizes.nth(2)).toContainText('Round, Ø 75 mm');
  await page.locator('[data-line="artwork"]').click();
  await page.locator('[data-element="words-3"] .hit').click();
  await page.getByLabel('The words', { exact: true }).fill('Ochre');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.locator('.cards').getByText('Sea Holly, 2', { exact: true }).click();
  await expect(page.locator('[data-element="words-3"] [aria-label="Ochre"]')).toBeAttached();
  await page.locator('[data-line="copies"]').click();
  for (const lid of ['', ', 2', ', 3']) await enter(page, `Wanted of Sea Holly${lid}`, '2');
  await runForReal(page);
  await page.locator('[data-line="size"]').click();
  await sizes.nth(2).click();
  await page.getByRole('button', { name: 'Remove this size' }).click();
  await expect(sizes).toHaveCount(2);
});
