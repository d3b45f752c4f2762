import { expect, finishRun, openDesk, test, toCounting } from './workshop.ts';

test('after a run the spoiled label is printed again alone, then only what was changed since', async ({
  page,
}) => {
  await openDesk(page, 'peat-free-dots', 'run');
  await page.getByRole('radio', { name: 'For real' }).click();
  await toCounting(page);
  const label = page.locator('[data-label]').nth(5);
  await label.click();
  await expect(page.locator('[data-good]')).toHaveText('23 of 24 good');
  // A run that is under way outlives a reload, also the count.
  await page.reload();
  await expect(page.getByText(/This run was interrupted/)).toBeVisible();
  await expect(page.locator('[data-good]')).toHaveText('23 of 24 good');
  await finishRun(page);
  await page.getByRole('button', { name: 'Print only the spoiled one again' }).click();
  const copies = page.locator('[data-line="copies"]');
  await expect(copies).toContainText('1 of 24 now');
  await copies.click();
  await expect(page.locator('[data-copy]')).toHaveCount(1);
  await page.getByRole('button', { name: 'Print all again' }).click();
  await expect(page.locator('[data-copy]')).toHaveCount(24);

  await page.getByRole('button', { name: 'Print only what changed since' }).click();
  await expect(page.getByText('Nothing has changed since it was last printed.')).toBeVisible();
  await page.locator('[data-line="artwork"]').click();
  await page.locator('[data-element="words-1"] .hit').click();
  await page.getByLabel('The words', { exact: true }).fill('Peat free at last');
  await page.keyboard.press('Escape');
  await copies.click();
  await page.getByRole('button', { name: 'Print only what changed since' }).click();
  await expect(copies).toContainText('12 of 24 now');
  await expect(page.locator('[data-copy]')).toHaveCount(12);

  // One of them alone, by its place on the sheet.
  await page.locator('[data-copy]').nth(3).click();
  await page.getByRole('button', { name: 'Print only this one' }).click();
  await expect(page.locator('[data-copy]')).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-copy]')).toHaveCount(12);
});
