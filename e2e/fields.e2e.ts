import { emptyWorkshop, expect, openDesk, proofed, proofIs, test } from './workshop.ts';

const INGREDIENTS = 'Rhubarb, sugar, ginger (with sulphites), lemon juice, almond flakes';

proofed(
  'a jar of jam says what is in it: fields of its use, in another language, with words that stand out',
  async ({ page }) => {
    await emptyWorkshop(page);
    await page.locator('.beginning', { hasText: 'A packet, a bar' }).click();
    await page.locator('[data-line="artwork"]').click();
    await page.getByRole('button', { name: 'Start from', exact: true }).click();
    const panel = page.getByRole('dialog', { name: 'Start from a design' });
    await expect(panel.getByRole('textbox')).toHaveCount(3);
    await panel.getByRole('combobox', { name: 'For', exact: true }).selectOption('food');
    await panel.getByRole('textbox', { name: 'Name', exact: true }).fill('Rhubarb jam');
    await panel.getByRole('textbox', { name: 'Ingredients' }).fill(INGREDIENTS);
    await panel.getByRole('textbox', { name: 'Weight or volume' }).fill('340 g');
    await panel.getByRole('combobox', { name: 'Manner' }).selectOption('botanical');
    // The blank piece, and what is botanical and for food.
    await expect(panel.locator('.designs button')).toHaveCount(5);
    await panel.getByRole('button', { name: 'Botanical', exact: true }).click();
    // What is typed now is put on the label that was chosen.
    await panel.getByRole('textbox', { name: 'Batch' }).fill('1204');
    await panel.getByRole('textbox', { name: 'Batch' }).press('Tab');
    await panel.getByRole('button', { name: 'Close' }).click();
    await expect(page.getByRole('button', { name: '1204' })).toBeAttached();
    // Nothing was said of best before: there is nothing of it.
    await expect(page.locator('.bench [data-element]')).toHaveCount(7);
    await proofIs(page, 'Nothing to mend');

    const card = page.locator('.card', { hasText: 'What it says' });
    await card.getByRole('textbox', { name: 'Batch' }).fill('1205');
    await expect(page.getByRole('button', { name: '1205' })).toBeAttached();
    await card.getByRole('textbox', { name: /^Stronger/ }).fill('sulphites, almond flakes');
    await card.getByRole('textbox', { name: /^Stronger/ }).press('Tab');
    await card.getByRole('combobox', { name: /language/ }).selectOption('Deutsch');
    await expect(card.getByRole('textbox', { name: /^Stronger/ })).toHaveValue(
      'sulphites, almond flakes',
    );
    await page
      .getByRole('button', { name: INGREDIENTS.slice(0, 10) })
      .first()
      .press('Enter');
    await expect(page.getByRole('textbox', { name: 'Heading' })).toHaveValue('Zutaten');
    await page.keyboard.press('Escape');

    await card.getByRole('button', { name: 'Take “Weight or volume” off the label' }).click();
    await expect(page.locator('.bench [data-element]')).toHaveCount(6);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(page.locator('.bench [data-element]')).toHaveCount(7);
    await card.getByRole('combobox', { name: 'Another field …' }).selectOption('Price');
    await expect(page.locator('.bench [data-element]')).toHaveCount(8);
  },
);

test('a column of the list fills a field', async ({ page }) => {
  await openDesk(page, 'seed-packets', 'artwork');
  await page.getByRole('button', { name: 'Start from', exact: true }).click();
  const panel = page.getByRole('dialog', { name: 'Start from a design' });
  await panel.getByRole('textbox', { name: 'Name', exact: true }).focus();
  const columns = panel.locator('.columns button');
  const first = await columns.first().innerText();
  await columns.first().click();
  await expect(panel.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue(`{${first}}`);
});
