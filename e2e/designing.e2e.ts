import type { Page } from '@playwright/test';
import { countActions, emptyWorkshop, expect, openDesk, proofed, test } from './workshop.ts';

const said = (page: Page, element: string) =>
  page.locator(`[data-element="${element}"] [role="img"]`).first();
const step = (page: Page) => page.getByRole('button', { name: /^Undo/ });

test('a newcomer comes from an empty job to a round label with picture and curved words in under 25 actions', async ({
  page,
}) => {
  await emptyWorkshop(page);
  const actions = await countActions(page);
  await page.locator('.beginning', { hasText: 'Across or around' }).click();
  await page.locator('[data-line="artwork"]').click();
  await page.getByRole('button', { name: 'Drawer', exact: true }).click();
  await page
    .getByRole('radio', { name: 'Ready-made' })
    .or(page.getByText('Ready-made'))
    .first()
    .click();
  await page.locator('[role="dialog"] button.ready, [role="dialog"] .grid button').first().click();
  await expect(page.locator('[data-element^="picture-"]')).toHaveCount(1);
  await page.getByRole('button', { name: 'Around', exact: true }).click();
  await page.keyboard.type('THISTLE & FEN');
  await page.getByRole('button', { name: 'Words', exact: true }).click();
  await page.keyboard.type('Sea Holly');
  await page.getByRole('button', { name: 'Ring', exact: true }).click();
  await expect(said(page, 'words-1')).toHaveAttribute('aria-label', 'THISTLE & FEN');
  await expect(said(page, 'words-2')).toHaveAttribute('aria-label', 'Sea Holly');
  expect(await actions()).toBeLessThan(25);
});

test('a design is chosen with the label’s own words, shuffled, and taken back in one step', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await page.getByRole('button', { name: 'Start from' }).click();
  const panel = page.getByRole('dialog', { name: 'Start from a design' });
  await expect(panel.locator('.designs button')).toHaveCount(50);
  await panel.getByLabel('A line about it').fill('sow in autumn');
  await panel.getByRole('button', { name: 'Seal' }).click();
  await expect(page.getByRole('button', { name: 'sow in autumn' })).toBeVisible();
  await expect(page.locator('[data-element^="picture-"]')).toHaveCount(1);
  const ground = () => page.locator('svg.bench path[fill^="#"]').nth(1).getAttribute('fill');
  const before = await ground();
  await panel.getByRole('button', { name: 'Other colours' }).click();
  await expect.poll(ground).not.toBe(before);
  await panel.getByRole('button', { name: 'Other typefaces' }).click();
  await panel.getByRole('button', { name: 'Close' }).click();
  await step(page).click();
  await expect(said(page, 'words-1')).toHaveAttribute('aria-label', 'THISTLE & FEN');
  await expect(step(page)).toBeDisabled();
});

test('words are typed where they stand: caret, marking, lines, undo, a way out, and letters moved by hand', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  const words = page.locator('[data-element="words-3"]');
  await words.locator('.hit').dblclick();
  await page.keyboard.press('End');
  await expect(page.locator('.typing .caret')).toBeAttached();
  await page.keyboard.type(' blu');
  await page.keyboard.press('Control+z'); // in the middle of typing: all of it is one step
  await expect(said(page, 'words-3')).toHaveAttribute('aria-label', 'Sea Holly');
  await page.keyboard.press('End');
  await page.keyboard.type(' blue');
  await expect(said(page, 'words-3')).toHaveAttribute('aria-label', 'Sea Holly blue');
  await page.keyboard.press('Home');
  await page.keyboard.press('Shift+End');
  await expect(page.locator('.typing .mark').first()).toBeVisible();
  await page.keyboard.type('Eryngium');
  await page.keyboard.press('Enter');
  await page.keyboard.type('planum');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Home');
  await page.keyboard.type('E. ');
  await expect(said(page, 'words-3')).toHaveAttribute('aria-label', 'E. Eryngium\nplanum');
  await page.keyboard.press('Escape');
  await expect(page.locator('.typing')).toHaveCount(0);
  await expect(page.locator('.selection')).toHaveCount(1);
  await step(page).click();
  await expect(said(page, 'words-3')).toHaveAttribute('aria-label', 'Sea Holly');

  const letters = page.locator('[data-element="words-3"] [role="img"] path');
  await page.locator('[data-element="words-3"] .hit').dblclick();
  await page.keyboard.press('Home');
  await page.keyboard.press('Shift+ArrowRight');
  const places = async () => (await letters.getAttribute('d'))?.match(/M[^m]+/g) ?? [];
  const before = await places();
  expect(before).toHaveLength('SeaHolly'.length);
  for (let tap = 0; tap < 4; tap++) await page.keyboard.press('Alt+Shift+ArrowUp');
  await expect.poll(async () => (await places())[0]).not.toBe(before[0]);
  expect((await places()).slice(1)).toEqual(before.slice(1));
  await page.getByRole('button', { name: 'Put all letters back' }).click();
  await expect.poll(places).toEqual(before);
});

proofed(
  'several texts are changed together and filled; words that drown are shown as such and mended',
  async ({ page }) => {
    await openDesk(page, 'pot-lid-seals', 'artwork');
    await page.locator('[data-element="words-3"] .hit').click();
    await page
      .locator('[data-element="words-1"] path')
      .first()
      .click({ modifiers: ['Shift'], force: true });
    await expect(page.getByText('2 texts')).toBeVisible();
    await page.getByRole('radio', { name: 'ABC', exact: true }).click();
    await page.getByLabel('Outline', { exact: true }).check();
    for (const id of ['words-1', 'words-3'])
      await expect(page.locator(`[data-element="${id}"] [role="img"]`)).toHaveCount(2);
    await page.getByRole('radio', { name: 'Gradient' }).click();
    await expect(page.locator('[data-element="words-3"] linearGradient')).toHaveCount(1);
    await page.getByRole('radio', { name: 'Pattern' }).click();
    await page.getByRole('radio', { name: 'Waves' }).click();
    await expect(page.locator('[data-element="words-1"] pattern')).toHaveCount(1);

    await page.keyboard.press('Escape');
    while (await step(page).isEnabled()) await step(page).click();
    await page.getByRole('radio', { name: 'Pattern' }).click();
    await page.getByRole('button', { name: /^Ground #44203d/ }).click();
    await page.locator('[data-element="words-3"] .hit').click();
    const plate = page.getByRole('button', { name: /^A plate behind/ });
    await expect(plate).toBeVisible();
    await plate.click();
    await expect(plate).toHaveCount(0);
    await expect(page.getByText(/^1\d\.\d : 1$/)).toBeVisible();
  },
);

test('elements are brought into line as it was shown, grouped, hidden, and copied to another piece', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  const [words, picture] = ['words-3', 'picture-1'].map((id) =>
    page.locator(`[data-element="${id}"]`),
  );
  if (!words || !picture) throw new Error('nothing to align');
  await words.locator('.hit').click();
  await picture.locator('.hit').click({ modifiers: ['Shift'] });
  const before = await words.getAttribute('data-place');
  const button = page.getByRole('button', { name: 'Align top edges' });
  await button.hover();
  await expect.poll(() => words.getAttribute('data-place')).not.toBe(before);
  const shown = await words.getAttribute('data-place');
  await page.mouse.move(640, 700);
  await expect.poll(() => words.getAttribute('data-place')).toBe(before);
  await button.click();
  await expect.poll(() => words.getAttribute('data-place')).toBe(shown);
  await page.getByRole('button', { name: 'Group', exact: true }).click();
  await page.keyboard.press('Escape');
  await words.locator('.hit').click();
  await expect(page.locator('.selection')).toHaveCount(2);
  await page.keyboard.press('Control+c');
  await page.keyboard.press('Escape');
  const borage = page.locator('.cards').getByRole('button', { name: 'Borage' });
  await borage.click();
  await expect(borage).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('Control+v');
  await expect(page.locator('.selection')).toHaveCount(2);
  await expect(page.locator('[data-element]')).toHaveCount(8);
  await page.getByRole('button', { name: 'Hide' }).click();
  await expect(page.locator('[data-element]')).toHaveCount(6);
});

test('the history is walked, and an earlier version compared and returned to', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await page.locator('[data-element="words-3"] .hit').click();
  await page.keyboard.press('Delete');
  await page.getByRole('button', { name: 'Ring', exact: true }).click();
  await page.getByRole('button', { name: 'History' }).click();
  const panel = page.getByRole('dialog', { name: 'History' });
  await panel.getByRole('button', { name: 'Opened' }).click();
  await expect(page.locator('[data-element="words-3"]')).toHaveCount(1);
  await panel.getByRole('button', { name: 'delete “Sea Holly”' }).click();
  await expect(page.locator('[data-element="words-3"]')).toHaveCount(0);
  await panel.getByRole('button', { name: 'Compare' }).first().click();
  await page
    .getByRole('dialog', { name: /^Now, and/ })
    .getByRole('button', { name: 'Return to it' })
    .click();
  await expect(page.locator('[data-element="words-3"]')).toHaveCount(1);
  await expect(step(page)).toHaveAccessibleName(/return to/);
});

test('a line is drawn, an ornament repeated, and a code says when it cannot be read', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await page.getByRole('button', { name: 'Draw', exact: true }).click();
  const bench = await page.locator('svg.bench').boundingBox();
  if (!bench) throw new Error('no bench');
  const [x, y] = [bench.x + bench.width / 2, bench.y + bench.height / 2];
  await page.mouse.move(x - 90, y);
  await page.mouse.down();
  for (let at = 1; at <= 20; at++)
    await page.mouse.move(x - 90 + at * 9, y + 40 * Math.sin(at / 3));
  await page.mouse.up();
  await expect(page.locator('[data-element="line-1"]')).toHaveCount(1);
  await expect(page.locator('.node').first()).toBeVisible();
  await page.getByRole('button', { name: 'Ornament', exact: true }).click();
  await page.getByRole('button', { name: 'Sprig' }).click();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('radio', { name: 'Around' }).click();
  await expect(page.locator('[data-element="ornament-1"] > g')).toHaveCount(6);
  await page.getByRole('button', { name: 'Code', exact: true }).click();
  await page.getByRole('radio', { name: 'EAN-13' }).click();
  await page.getByLabel('Number of the code').fill('2000000000011');
  await expect(page.locator('.cards').getByRole('status')).toContainText('should be 5');
});
