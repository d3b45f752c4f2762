import type { Page } from '@playwright/test';
import { countActions, emptyWorkshop, enter, expect, proofed, proofIs } from './workshop.ts';

interface Span {
  readonly from: number;
  readonly to: number;
}

/** Where a zone of the label lies on screen, from left to right. */
async function zoneOnScreen(page: Page, name: string): Promise<Span> {
  const room = page.locator('.zones > g', { has: page.getByText(name, { exact: true }) });
  const box = await room.locator('.room').first().boundingBox();
  if (!box) throw new Error(`no ${name}`);
  return { from: box.x, to: box.x + box.width };
}

/** The middles of the elements on the bench, and how many of them lie in a span. */
async function countIn(page: Page, { from, to }: Span): Promise<number> {
  const boxes = await page
    .locator('.bench [data-element]')
    .evaluateAll((all) =>
      all.map((one) => one.getBoundingClientRect()).map((box) => box.x + box.width / 2),
    );
  return boxes.filter((x) => x > from && x < to).length;
}

proofed(
  'a box of bulbs, from ruler to band: its name in front, what is in it behind',
  async ({ page }) => {
    await emptyWorkshop(page);
    const actions = await countActions(page);
    await page.locator('.beginning', { hasText: 'A strip or a sleeve' }).click();
    for (const [side, mm] of [
      ['Width', '95'],
      ['Depth', '35'],
      ['Height', '80'],
      ['Width of the strip', '54'],
    ] as const)
      await enter(page, side, mm);
    await expect(page.locator('[data-line="size"]')).toContainText('272 mm × 54 mm');
    await page.locator('[data-line="artwork"]').click();
    await page.getByRole('button', { name: 'Start from', exact: true }).click();
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Blue squill');
    await page
      .getByRole('textbox', { name: 'Ingredients' })
      .fill('Tallow of our own sheep, oil of lavender, beeswax, squill');
    await page.getByRole('button', { name: 'Quiet', exact: true }).click();
    expect(await actions()).toBeLessThanOrEqual(14);
    await page.getByRole('button', { name: 'Close', exact: true }).click();
    await proofIs(page, 'Nothing to mend');

    const [front, back] = [await zoneOnScreen(page, 'front'), await zoneOnScreen(page, 'back')];
    // The maker, the name, a divider and a line; behind, what it is, what is in it, and the maker.
    expect([await countIn(page, front), await countIn(page, back)]).toEqual([4, 3]);
    await expect(page.locator('.bench [data-element]')).toHaveCount(7);

    // What is looked at closely is where something new begins; a second press looks at all again.
    const zoom = page.locator('.zoom .percent');
    const whole = await zoom.innerText();
    await page.getByRole('button', { name: 'Zoom to the back' }).click();
    await expect(zoom).not.toHaveText(whole);
    await page.getByRole('button', { name: 'Plate', exact: true }).click();
    await page.getByRole('button', { name: 'Zoom to the back' }).press('Enter');
    await expect(zoom).toHaveText(whole);
    expect(await countIn(page, back)).toBe(4);
    await page.keyboard.press('Control+z');
    await expect(page.locator('.bench [data-element]')).toHaveCount(7);

    // With its measures the box shows the label on all sides of it that can be seen.
    await page.locator('[data-line="size"]').click();
    await expect(page.locator('.thing image')).toHaveCount(2);
    const seen = await page.locator('.thing image').first().getAttribute('transform');
    await page.getByRole('radio', { name: 'Back', exact: true }).click();
    await expect(page.locator('.thing image').first()).not.toHaveAttribute('transform', seen ?? '');
  },
);

proofed(
  'words that were moved across a fold go back to their side with one press',
  async ({ page }) => {
    await emptyWorkshop(page);
    await page.locator('.beginning', { hasText: 'A strip or a sleeve' }).click();
    await page.locator('[data-line="artwork"]').click();
    await page.getByRole('button', { name: 'Words', exact: true }).click();
    await page.keyboard.press('Escape');
    const front = await zoneOnScreen(page, 'front');
    expect(await countIn(page, front)).toBe(1);
    await proofIs(page, 'Nothing to mend');
    const words = await page.locator('.bench [data-element]').boundingBox();
    if (!words) throw new Error('no words');
    const y = words.y + words.height / 2;
    await page.mouse.move(words.x + words.width / 2, y);
    await page.mouse.down();
    // So far that their middle is still in front.
    await page.mouse.move(front.to - 12, y, { steps: 6 });
    await page.mouse.up();
    await proofIs(page, '1 warning');
    const around = page.getByRole('checkbox', { name: 'May go around' });
    await around.check();
    await proofIs(page, 'Nothing to mend');
    await around.uncheck();
    await proofIs(page, '1 warning');
    await page.getByRole('button', { name: 'Move it to the front' }).click();
    await proofIs(page, 'Nothing to mend');
    const moved = await page.locator('.bench [data-element]').boundingBox();
    expect(moved && moved.x + moved.width).toBeLessThan(front.to);
  },
);

proofed(
  'on a bent label things snap to the bend of their zone and turn with it',
  async ({ page }) => {
    await emptyWorkshop(page);
    await page.locator('.beginning', { hasText: 'A wall that tapers' }).click();
    await page.locator('[data-line="artwork"]').click();
    await page.getByRole('button', { name: 'Plate', exact: true }).click();
    const angle = page.getByRole('textbox', { name: 'Turn in degrees' });
    const before = await angle.inputValue();
    const plate = await page.locator('.bench [data-element]').boundingBox();
    if (!plate) throw new Error('no plate');
    const [x, y] = [plate.x + plate.width / 2, plate.y + plate.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 60, y + 9, { steps: 6 });
    await expect(angle).not.toHaveValue(before);
    await page.mouse.move(x + 1, y + 2, { steps: 6 });
    await expect(page.locator('.bench .guide')).toHaveCount(2);
    await page.mouse.up();
    await expect(angle).toHaveValue(before);
  },
);
