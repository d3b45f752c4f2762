import type { Page } from '@playwright/test';
import {
  bringSamples,
  countActions,
  emptyWorkshop,
  expect,
  finishRun,
  openDesk,
  proofed,
  proofIs,
  test,
  toCounting,
} from './workshop.ts';

const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true });

/** A thing of a certain kind beside those that the job has. */
async function addThing(page: Page, kind: string): Promise<void> {
  await page.getByRole('button', { name: 'Add another thing' }).click();
  await page.locator('.kinds button', { hasText: kind }).click();
}

/** The colour that most of the artwork’s letters have. */
const lettersColor = (page: Page): Promise<string | null> =>
  page.getByLabel('Main', { exact: true }).inputValue();

proofed(
  'from one finished label to a set of three in one look, changed once for all',
  async ({ page }) => {
    await emptyWorkshop(page);
    await page.locator('.beginning', { hasText: 'Across or around' }).click();
    await page.locator('[data-line="artwork"]').click();
    await page.getByRole('button', { name: 'Start from', exact: true }).click();
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Mint balm');
    await page.getByRole('button', { name: 'Quiet', exact: true }).click();
    await page.getByRole('button', { name: 'Close', exact: true }).click();

    const actions = await countActions(page);
    await addThing(page, 'Jar or bottle');
    await expect(tab(page, 'Wrap')).toHaveAttribute('aria-selected', 'true');
    await addThing(page, 'Hangs or folds');
    expect(await actions()).toBeLessThanOrEqual(6);
    await expect(page.getByRole('tab')).toHaveText(['Lid', 'Wrap', 'Tag']);
    await page.locator('[data-line="artwork"]').click();
    await expect(
      page
        .locator('.card', { hasText: 'What it says' })
        .getByRole('textbox', { name: 'Name', exact: true }),
    ).toHaveValue('Mint balm');
    await proofIs(page, /Nothing to mend|note/);

    // A name and a colour are changed on the tag, and so on the others.
    await page
      .locator('.card', { hasText: 'What it says' })
      .getByRole('textbox', { name: 'Name', exact: true })
      .fill('Sage balm');
    await page.getByLabel('Main', { exact: true }).fill('#7a1f4d');
    await tab(page, 'Lid').click();
    await expect(page.getByRole('button', { name: 'Sage balm' })).toBeAttached();
    expect(await lettersColor(page)).toBe('#7a1f4d');

    // The lid has a green of its own, until it shares the colour of the set again.
    const look = page.locator('.card', { hasText: 'Look of the set' });
    await look.getByRole('button', { name: 'Only on Lid' }).nth(1).click();
    await page.getByLabel('Main', { exact: true }).fill('#1f5a3a');
    await tab(page, 'Wrap').click();
    expect(await lettersColor(page)).toBe('#7a1f4d');
    await tab(page, 'Lid').click();
    expect(await lettersColor(page)).toBe('#1f5a3a');
    await look.getByRole('button', { name: 'As the set has it' }).click();
    await expect(page.getByLabel('Main', { exact: true })).toHaveValue('#7a1f4d');

    // All of it can be undone, and is kept.
    await page.getByRole('button', { name: /^Undo share it with the set again/ }).click();
    expect(await lettersColor(page)).toBe('#1f5a3a');
    await expect(page.getByText('Kept just now')).toBeVisible();
    await page.reload();
    await expect(page.getByRole('tab')).toHaveText(['Lid', 'Wrap', 'Tag']);
  },
);

test('a tin in three varieties: groups on two stocks, files of all, one thing printed again', async ({
  page,
}) => {
  await openDesk(page, 'balm-tins', 'artwork');
  await expect(page.getByRole('tab')).toHaveText(['Lid', 'Wall', 'Underside', 'Card']);
  await expect(page.locator('.ticket .groups')).toHaveText(
    'Lid 12, Wall 12, Underside 12 on A4, matt paper · Card 12 on A4, brown kraft paper',
  );
  // A row of the list fills every thing.
  await page.getByRole('button', { name: 'Row after' }).click();
  await expect(page.getByText('Row 2 of 3 · Thistle')).toBeVisible();
  await tab(page, 'Underside').click();
  await expect(page.getByText('Row 2 of 3 · Thistle')).toBeVisible();

  // One number for the whole set.
  await page.locator('[data-line="copies"]').click();
  await page.getByLabel(/^How many of the whole set/).fill('2');
  await page.getByLabel(/^How many of the whole set/).press('Enter');
  await expect(page.locator('.ticket .groups')).toContainText('Lid 6, Wall 6, Underside 6 on A4');
  await expect(page.locator('.ticket .groups')).toContainText('Card 6 on A4, brown kraft paper');

  await page.locator('[data-line="proof"]').click();
  await page.getByLabel('Files of all things of the set').check();
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.locator('[data-format="pdf"]').click(),
  ]);
  expect(saved.suggestedFilename()).toBe('balm-tins-pdf.zip');

  // The card is run by itself, and its spoiled one is printed again.
  await tab(page, 'Card').click();
  await page.locator('[data-line="run"]').click();
  await page.getByRole('radio', { name: 'For real' }).click();
  await toCounting(page);
  await page.locator('[data-label]').nth(1).click();
  await expect(page.locator('[data-good]')).toHaveText('5 of 6 good');
  await finishRun(page);
  await page.getByRole('button', { name: 'Print only the spoiled one again' }).click();
  await expect(page.locator('[data-line="copies"]')).toContainText('1 of 6 now');
  await tab(page, 'Lid').click();
  await expect(page.locator('[data-line="copies"]')).toContainText('6 wanted');
  await expect(page.locator('[data-line="run"]')).toContainText('Not yet');
  await page.goto('/ledger');
  await expect(page.getByText('Balm tins: Card')).toBeVisible();
});

test('a thing is taken out as a job of its own, another job is joined, and a last one stands alone', async ({
  page,
}) => {
  await openDesk(page, 'balm-tins', 'artwork');
  await tab(page, 'Card').click();
  await page.getByRole('button', { name: 'More for Card' }).click();
  await page.getByText('Make it a job of its own').click();
  await expect(page.getByRole('tab')).toHaveText(['Lid', 'Wall', 'Underside']);
  await expect(page.getByText('Kept just now')).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Balm tins: Card' })).toBeVisible();
  await page.locator('article a[href="/job/demo-balm-tins"]').first().click();
  await page.getByRole('button', { name: 'Add another thing' }).click();
  await page.locator('.jobs button', { hasText: 'Balm tins: Card' }).click();
  await expect(page.getByRole('tab')).toHaveText(['Lid', 'Wall', 'Underside', 'Balm tins: Card']);
  await tab(page, 'Balm tins: Card').dblclick();
  await page.getByLabel('Rename').fill('Card');
  await page.getByLabel('Rename').press('Enter');
  await expect(tab(page, 'Card')).toHaveAttribute('aria-selected', 'true');
  for (const name of ['Wall', 'Underside', 'Card']) {
    await tab(page, name).click();
    await page.getByRole('button', { name: `More for ${name}` }).click();
    await page.getByText('Take it away').click();
  }
  await expect(page.getByRole('tab')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo take away “Card”', exact: false }).click();
  await expect(page.getByRole('tab')).toHaveText(['Lid', 'Card']);
});

test('things share sheets with each other and with a guest, which is counted in its own job and updated from there', async ({
  page,
}) => {
  await bringSamples(page, ['balm-tins', 'peat-free-dots']);
  await page.goto('/job/demo-balm-tins/sheet');
  await page.getByLabel('Underside on these sheets, too').check();
  await expect(page.getByRole('tab')).toHaveText(['Lid + Underside', 'Wall', 'Card']);
  await expect(page.locator('[data-line="copies"]')).toContainText('24 wanted · 12 of each');
  await page.getByRole('button', { name: 'Bring labels of another job' }).click();
  await page.locator('.jobs button', { hasText: 'Peat-free dots' }).click();
  await page.locator('.offers input').first().fill('3');
  await page.locator('.offers input').first().press('Enter');
  await page.getByRole('button', { name: 'Bring 3 labels' }).click();
  await expect(page.locator('[data-line="copies"]')).toContainText('27 wanted');

  // On the desks of one label each is by itself, and guests are not there.
  await page.locator('[data-line="artwork"]').click();
  await expect(page.getByRole('tab')).toHaveText(['Lid', 'Wall', 'Underside', 'Card']);
  await tab(page, 'Underside').click();
  await expect(page.locator('.card', { hasText: 'Varieties' })).not.toContainText('Peat');
  await page.locator('[data-line="run"]').click();
  await expect(tab(page, 'Lid + Underside')).toHaveAttribute('aria-selected', 'true');

  // The run counts all of them, and books each to its own job.
  await page.getByRole('radio', { name: 'For real' }).click();
  await toCounting(page);
  await expect(page.locator('[data-good]')).toHaveText('27 of 27 good');
  await finishRun(page);
  await page.goto('/ledger');
  const run = page.locator('[data-run]');
  await expect(run).toHaveCount(2);
  await expect(run.filter({ hasText: 'Balm tins: Lid + Underside' })).toContainText('24');
  await expect(run.filter({ hasText: 'Peat-free dots' })).toContainText('guest');

  // The guest is changed where it belongs: here it is offered.
  await page.goto('/job/demo-peat-free-dots/artwork');
  await page.getByRole('group', { name: 'Ground' }).getByRole('button').nth(2).click();
  await expect(page.getByText('Kept just now')).toBeVisible();
  await page.goto('/job/demo-balm-tins/sheet');
  await expect(page.getByText('“Peat-free dots” has changed since.')).toBeVisible();
  await page.getByRole('button', { name: 'Update', exact: true }).click();
  await expect(page.getByText('“Peat-free dots” has changed since.')).toBeHidden();
  await page.getByRole('button', { name: /^Take .* off these sheets$/ }).click();
  await expect(page.locator('[data-line="copies"]')).toContainText('24 wanted');
});

test('what of a set is printed again is asked on the shelf, and comes one after the other', async ({
  page,
}) => {
  await openDesk(page, 'balm-tins', 'artwork');
  await page.getByRole('link', { name: 'Shelf' }).click();
  await page.getByRole('button', { name: 'More for Balm tins' }).click();
  await page.getByText('Print again …').click();
  const panel = page.getByRole('dialog', { name: 'Print “Balm tins” again' });
  await panel.getByRole('checkbox').nth(0).uncheck();
  await panel.getByRole('checkbox').nth(2).uncheck();
  await panel.getByLabel('How many of Card').fill('2');
  await panel.getByLabel('How many of Card').press('Enter');
  await panel.getByRole('button', { name: 'Go to the run' }).click();
  await expect(tab(page, 'Wall')).toHaveAttribute('aria-selected', 'true');
  await expect(page.locator('[data-line="copies"]')).toContainText('12 wanted');
  await page.getByRole('button', { name: 'Go on with Card' }).click();
  await expect(tab(page, 'Card')).toHaveAttribute('aria-selected', 'true');
  await expect(page.locator('[data-line="copies"]')).toContainText('6 wanted');
  await expect(page.getByRole('button', { name: /^Go on with/ })).toHaveCount(0);
});

proofed(
  'what is to be mended on the other things stands in one list with the way there',
  async ({ page }) => {
    await openDesk(page, 'balm-tins', 'artwork');
    await tab(page, 'Card').click();
    await page.getByRole('button', { name: 'Add another thing' }).click();
    await page.locator('.kinds button', { hasText: 'Hangs or folds' }).click();
    await page.locator('[data-line="artwork"]').click();
    await page.getByRole('button', { name: 'Start from', exact: true }).click();
    await page.getByLabel('On all things of the set').check();
    await page.getByRole('button', { name: 'Quiet', exact: true }).click();
    await page.getByRole('button', { name: 'Close', exact: true }).click();
    await expect(
      page.getByRole('button', { name: /^Undo start all labels from “Quiet”/ }),
    ).toBeVisible();
    await tab(page, 'Lid').click();
    await page.locator('[data-line="stock"]').click();
    await page.locator('[data-line="proof"]').click();
    await expect(page.locator('[data-other]').first()).toBeVisible();
  },
);
