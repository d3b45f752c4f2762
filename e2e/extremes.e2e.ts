import {
  enter,
  expect,
  fromShelf,
  openDesk,
  openShelf,
  proofed,
  proofIs,
  test,
} from './workshop.ts';

test('3,000 copies are laid out, looked at and undone without the desk standing still', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'sheet');
  await expect(page.locator('[data-copy]').first()).toBeVisible();
  await enter(page, 'Wanted of Sea Holly', '3000');
  await expect(page.locator('[data-line="copies"]')).toContainText('3036 wanted');
  await expect(page.getByText('253 sheets, 3036 of 3036 places')).toBeVisible();
  await page.locator('[data-line="artwork"]').click();
  await expect(page.locator('[data-element="words-3"] path').first()).toBeAttached();
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-line="copies"]')).toContainText('48 wanted');
});

proofed('empty words print nothing, hold nothing up, and can be filled again', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await page.locator('[data-element="words-3"] .hit').click();
  const field = page.getByLabel('The words', { exact: true });
  await field.fill('');
  await expect(page.locator('[data-element="words-3"] path')).toHaveCount(0);
  await proofIs(page, /Nothing to mend|note|warning/);
  await field.fill('Sea Holly');
  await expect(page.locator('[data-element="words-3"] path').first()).toBeAttached();
});

test('everything that was done is undone, step by step, to the job as it was', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  const words = page.locator('[data-element="words-3"]');
  await expect(words.locator('path').first()).toBeAttached();
  const before = await words.innerHTML();
  await words.locator('.hit').click();
  await enter(page, 'Size in points', '10');
  await enter(page, 'Turn in degrees', '15');
  await page.getByRole('button', { name: 'Centre down' }).click();
  await page.getByLabel('Name of the job').fill('Something else');
  await page.keyboard.press('Enter');
  await page.locator('[data-line="edge"]').click();
  await enter(page, 'Bleed', '1');
  await page.locator('[data-line="artwork"]').click();
  for (let step = 0; step < 5; step++) {
    await page.getByRole('button', { name: /^Undo/ }).click();
  }
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();
  await expect(page.getByLabel('Name of the job')).toHaveValue('Pot-lid seals');
  expect(await words.innerHTML()).toBe(before);
});

test('a very long name is kept whole and breaks no line of the shelf or the ticket', async ({
  page,
}) => {
  await openShelf(page, 'pot-lid-seals', 'peat-free-dots');
  await fromShelf(page, 'pot-lid-seals', 'artwork');
  const name =
    'Ranunculus acris Flore Pleno of the wet meadow behind the second greenhouse, spring';
  await page.getByLabel('Name of the job').fill(name);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('banner')).toContainText('Kept just now');
  await page.waitForTimeout(900);
  await page.goto('/');
  const card = page.locator('article', { hasText: 'Ranunculus' });
  await expect(card).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(1280);
  const boxes = await page
    .locator('article')
    .evaluateAll((cards) => cards.map((one) => one.getBoundingClientRect().height));
  expect(Math.max(...boxes) - Math.min(...boxes)).toBeLessThan(2);
});

test('values beyond their limits are taken to the limit or refused, never drawn wrong', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'size');
  const measure = page.getByLabel('Measure: across the flat top');
  await measure.fill('0');
  await measure.press('Enter');
  await expect(page.locator('[data-line="size"]')).toContainText('Ø 58 mm');
  await measure.fill('9 mm');
  await measure.press('Enter');
  await expect(page.locator('[data-line="size"]')).toContainText('Ø');
  await page.locator('[data-line="copies"]').click();
  await enter(page, 'Gap', '-5');
  expect(
    parseFloat(await page.getByRole('textbox', { name: 'Gap' }).inputValue()),
  ).toBeGreaterThanOrEqual(0);
  await enter(page, 'Wanted of Sea Holly', '1e9');
  await expect(page.locator('[data-line="copies"]')).toBeVisible();
});
