import type { Page } from '@playwright/test';
import { dragBy, dropFile, expect, fromShelf, openDesk, openShelf, test } from './workshop.ts';

const step = (page: Page) => page.getByRole('button', { name: /^Undo/ });
const words = (page: Page) => page.locator('[data-element="words-3"] .hit');

test('letters are cut out of a plate, are other letters, and come out again', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await page.getByRole('button', { name: 'Plate', exact: true }).click();
  await words(page).click({ modifiers: ['Shift'], force: true });
  const cut = page.getByRole('button', { name: 'Cut away' });
  await cut.hover();
  await expect(page.locator('[data-element="combined-1"]')).toHaveCount(1);
  await cut.click();
  await expect(page.getByText('Combined shape')).toBeVisible();
  const shape = page.locator('[data-element="combined-1"] path').first();
  const before = await shape.getAttribute('d');
  await page.getByRole('button', { name: /^Move Plate/ }).click();
  await expect.poll(() => shape.getAttribute('d')).not.toBe(before);
  await page.getByLabel('Words of this part').fill('Yarrow');
  await expect(page.locator('[data-element="combined-1"] title')).toHaveText(/Yarrow/);
  await page.getByRole('button', { name: 'Take it apart' }).click();
  await expect(page.locator('[data-element="combined-1"]')).toHaveCount(0);
  await expect(page.locator('.selection')).toHaveCount(2);
  await expect(page.locator('[data-element] [role="img"][aria-label="Yarrow"]')).toHaveCount(1);
});

test('a variant follows its base but for its words, and follows it again', async ({ page }) => {
  await openDesk(page, 'tea-caddies', 'artwork');
  await page.getByRole('button', { name: 'Add one that follows' }).click();
  const on = (text: string) => page.locator(`svg.bench [role="img"][aria-label="${text}"]`);
  const name = on('Lemon Balm');
  await expect(name).toHaveCount(1);
  const letters = page.locator('[role="img"][aria-label="Lemon Balm"]');
  await page.locator('svg.bench [data-element]', { has: letters }).locator('.hit').click();
  await page.getByLabel('The words', { exact: true }).fill('Spearmint');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(page.getByText('1 element changed')).toBeVisible();
  await page.getByRole('button', { name: 'Show “Large caddy”' }).click();
  await expect(name).toHaveCount(1);
  await page.locator('.cards').getByRole('button', { name: 'Large caddy 4' }).click();
  await expect(on('Spearmint')).toHaveCount(1);
  await page.getByRole('button', { name: 'Follow again' }).click();
  await expect(name).toHaveCount(1);
});

test('a typeface of one’s own is dropped, used, and stays after a reload; a damaged one is refused', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await words(page).click();
  await page.getByRole('button', { name: 'Choose a typeface' }).click();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /^Add a typeface/ }).click();
  await (
    await chooser
  ).setFiles(['node_modules/@fontsource-variable/fraunces/files/fraunces-latin-wght-italic.woff2']);
  await expect(page.getByText(/· your own/)).toBeVisible();
  const licence = page.getByLabel('May be used');
  await licence.selectOption('privately only');
  const letters = page.locator('[data-element="words-3"] [role="img"] path').first();
  const own = await letters.getAttribute('d');
  await dropFile(page, '[role="dialog"]', {
    name: 'broken.ttf',
    type: 'font/ttf',
    bytes: Buffer.from('no font at all'),
  });
  await expect(page.getByText('“broken.ttf” is not a typeface.')).toBeVisible();
  await expect(page.getByText('Kept just now')).toBeVisible();
  await page.reload();
  await expect(letters).toHaveAttribute('d', own ?? '');
  await words(page).click();
  await page.getByRole('button', { name: 'Choose a typeface' }).click();
  await expect(licence).toHaveValue('private');
});

test('a guide is pulled out of the ruler and moved by keys; two fingers turn what they hold', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  const bench = await page.locator('svg.bench').boundingBox();
  if (!bench) throw new Error('no bench');
  await page.mouse.move(bench.x + 8, 400);
  await page.mouse.down();
  await page.mouse.move(bench.x + 180, 410, { steps: 6 });
  await page.mouse.up();
  const guide = page.locator('[data-guide]');
  await expect(guide).toHaveAttribute('aria-label', /^Vertical guide at/);
  const at = Number(await guide.getAttribute('aria-valuenow'));
  await guide.focus();
  await page.keyboard.press('ArrowRight');
  await expect(guide).toHaveAttribute('aria-valuenow', String(Math.round((at + 1) * 10) / 10));
  await guide.focus();
  await page.keyboard.press('Delete');
  await expect(guide).toHaveCount(0);
  await step(page).click();
  await expect(guide).toHaveCount(1);

  await words(page).click();
  const box = await words(page).boundingBox();
  if (!box) throw new Error('no words');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const fingers = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', angle: number, count = 2) => {
    const [dx, dy] = [50 * Math.cos(angle), 50 * Math.sin(angle)];
    const points = [
      { x: x - dx, y: y - dy, id: 1 },
      { x: x + dx, y: y + dy, id: 2 },
    ];
    return fingers.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: type === 'touchEnd' ? [] : points.slice(0, count),
    });
  };
  const paper = page.locator('.paper').first();
  const stood = await paper.getAttribute('style');
  await touch('touchStart', 0, 1);
  await touch('touchStart', 0);
  for (let part = 1; part <= 10; part++) await touch('touchMove', (part * Math.PI) / 40);
  await page.waitForTimeout(100);
  await touch('touchEnd', 0);
  await expect(page.getByLabel('Turn in degrees')).toHaveValue('45');
  expect(await paper.getAttribute('style')).toBe(stood);
});

test('a piece is kept as a starting design and offered on another label with its own words', async ({
  page,
}) => {
  await openShelf(page, 'tea-caddies', 'pot-lid-seals');
  await fromShelf(page, 'tea-caddies', 'artwork');
  await page.getByRole('button', { name: 'Keep as a starting design …' }).click();
  await page.getByLabel('What it is called').fill('Herb tin');
  await page.getByRole('checkbox', { name: 'Thistle & Fen' }).uncheck();
  await page.getByRole('button', { name: 'Keep in the workshop' }).click();
  await expect(page.getByText(/among the designs to start from/)).toBeVisible();
  await page.goto('/job/demo-pot-lid-seals/artwork');
  await page.getByRole('button', { name: 'Start from' }).click();
  await page.getByRole('button', { name: 'Herb tin', exact: true }).click();
  await page.getByRole('button', { name: 'Close' }).first().click();
  await expect(page.locator('svg.bench [role="img"][aria-label="Sea Holly"]')).toHaveCount(1);
  await expect(page.locator('.element.locked [aria-label="Thistle & Fen"]')).not.toHaveCount(0);
});

test('the desk is seen in grey, and small print runs its lines on', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await page.getByRole('button', { name: 'Seen as' }).click();
  await page.getByRole('radio', { name: 'In grey' }).click();
  const piece = page.locator('svg.bench g[clip-path]').first();
  await expect(piece).toHaveAttribute('filter', 'url(#seen-as)');
  await page.getByRole('radio', { name: 'On the screen' }).click();
  await expect(piece).not.toHaveAttribute('filter', /./);
  await page.getByRole('button', { name: 'Close' }).click();
  await words(page).click();
  await page.getByLabel('The words', { exact: true }).fill('oats\nhoney\nsalt');
  await page.getByLabel('Small print: run lines on as a list').check();
  await page.getByLabel('Heading').fill('INGREDIENTS');
  await expect(page.locator('[data-element="words-3"] [role="img"]')).toHaveCount(2);
  await dragBy(page, words(page), [0, -60]);
  await expect(step(page)).toHaveAccessibleName(/move/);
});
