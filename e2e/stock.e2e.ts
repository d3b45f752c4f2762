import { countActions, emptyWorkshop, enter, expect, openDesk, test } from './workshop.ts';

test('a bought sheet of 24 is found, chosen and filled in under six actions', async ({ page }) => {
  await emptyWorkshop(page);
  const actions = await countActions(page);
  await page.locator('.beginning', { hasText: 'Bought, die-cut' }).click();
  await page.getByLabel('Find a sheet by size or number').fill('70 x 37');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-line="stock"]')).toContainText('24 labels of 70 x 37 mm');
  await expect(page.locator('[data-line="size"]')).toContainText('70 mm × 37 mm');
  await page.locator('.cards').getByRole('link', { name: 'Design the label' }).click();
  await page.locator('[data-line="copies"]').click();
  await expect(page.locator('[data-copy]')).toHaveCount(24);
  const done = await actions();
  expect(done).toBeGreaterThan(3);
  expect(done).toBeLessThan(6);
});

test('what is typed finds the nearest sheet, with the difference in words', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'stock');
  const find = page.getByLabel('Find a sheet by size or number');
  const first = page.locator('.offer').first();
  await find.fill('2 x 4 in');
  await expect(first).toContainText('US letter die-cut, 10 labels of 4 x 2 in');
  await expect(first).toContainText('exactly');
  await find.fill('round 41 mm');
  await expect(first).toContainText('24 round labels of 40 mm');
  await expect(first).toContainText('1 mm smaller');
  await find.fill('24 on A4');
  await expect(first).toContainText('A4 die-cut, 24 labels of 70 x 37 mm');
  // A seal of 58 mm is higher than that.
  await expect(first).toContainText('Too small');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Plain sheets' })).toBeVisible();
});

test('a measured label is offered plain sheets with its number on each, and the nearest die-cuts', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'stock');
  const plain = page.getByRole('radiogroup', { name: 'Plain sheets' });
  await expect(plain.getByRole('radio', { name: /^A4/ })).toContainText('12 on a sheet');
  await expect(plain.getByRole('radio', { name: /^A3/ })).toContainText('24 on a sheet');
  const nearest = page.getByRole('radiogroup', { name: 'Die-cut, nearest to your label' });
  await expect(nearest.getByRole('radio').first()).toContainText('round labels of 60 mm');
  await expect(nearest.getByRole('radio').first()).toContainText('2 mm larger');
  await nearest.getByRole('radio').first().click();
  await expect(page.locator('[data-line="stock"]')).toContainText('60 mm');
  await page.locator('[data-line="copies"]').click();
  await expect(page.locator('[data-copy]')).toHaveCount(12);
});

test('a sheet that holds none says so and comes last', async ({ page }) => {
  await openDesk(page, 'basil-pot-wrap', 'stock');
  const plain = page.getByRole('radiogroup', { name: 'Plain sheets' }).getByRole('radio');
  await expect(plain.last()).toContainText('Too small');
  await expect(plain.first()).not.toContainText('Too small');
  await page.getByLabel('Find a sheet by size or number').fill('a3');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-line="stock"]')).toContainText('A3');
  await page.locator('[data-line="copies"]').click();
  await enter(page, 'Wanted of Sweet Basil', '3');
  await expect(page.locator('[data-copy]').first()).toBeVisible();
});

test('a sheet of one’s own is measured, drawn as it is typed, kept and found again', async ({
  page,
}) => {
  await openDesk(page, 'peat-free-dots', 'stock');
  await page.getByRole('button', { name: 'Measure your own sheet' }).click();
  await page.getByLabel('Name of the sheet').fill('Market stall rounds');
  await page.getByRole('radio', { name: 'Round' }).click();
  await enter(page, 'Labels across', '4');
  await enter(page, 'Labels down', '5');
  await enter(page, 'Diameter of a label', '44');
  await enter(page, 'Pitch across', '48');
  await enter(page, 'Pitch down', '52');
  await expect(page.locator('.measured .label')).toHaveCount(20);
  await expect(page.getByLabel('Left margin', { exact: true })).toHaveAttribute(
    'placeholder',
    '11 mm',
  );
  await enter(page, 'Left margin', '30');
  await expect(page.locator('.wrong')).toContainText("run 8 mm over the sheet's width");
  await expect(page.getByRole('button', { name: 'Use this sheet' })).toBeDisabled();
  await enter(page, 'Left margin', '');
  await page.getByRole('button', { name: 'Use this sheet' }).click();
  await expect(page.locator('[data-line="stock"]')).toContainText('Market stall rounds');
  await expect(page.locator('[data-line="size"]')).toContainText('Ø 44 mm');
  const mine = page.getByRole('radiogroup', { name: 'Your sheets' }).getByRole('radio');
  await expect(mine).toContainText('20 on a sheet');
  await page.getByRole('button', { name: 'Measure your own sheet' }).click();
  await enter(page, 'Labels down', '4');
  await page.getByRole('button', { name: 'Use this sheet' }).click();
  await expect(page.locator('.cards')).toContainText('4 × 4');
  await page.waitForTimeout(1000);
  await page.reload();
  await expect(mine).toContainText('Market stall rounds');
  await expect(mine).toContainText('16 on a sheet');
  await page.getByRole('button', { name: 'Forget this sheet' }).click();
  await expect(page.getByRole('radiogroup', { name: 'Your sheets' })).toHaveCount(0);
  await expect(page.locator('[data-line="stock"]')).toContainText('Market stall rounds');
});
