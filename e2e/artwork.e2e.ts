import { discPng, dragBy, enter, expect, openDesk, proofed, test, valueOf } from './workshop.ts';

test.beforeEach(async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await expect(page.locator('[data-element="words-3"] path').first()).toBeAttached();
});

test('words are typed, sized, spaced, coloured and set in another face, and stay on the piece', async ({
  page,
}) => {
  const words = page.locator('[data-element="words-3"]');
  await words.locator('.hit').click();
  await expect(page.locator('.stack [aria-pressed="true"]')).toBeInViewport({ ratio: 1 });
  await page.getByLabel('The words', { exact: true }).fill('Ranunculus\nacris');
  await expect(words.locator('[role="img"]').first()).toHaveAttribute('aria-label', /Ranunculus/);
  await enter(page, 'Size in points', '9');
  await enter(page, 'Letter spacing', '10');
  await enter(page, 'Line spacing', '1.5');
  await page.getByRole('button', { name: 'Choose a typeface' }).click();
  await page.getByRole('radio', { name: 'Script', exact: true }).click();
  await page.getByRole('button', { name: 'Pacifico' }).click();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('radio', { name: 'Left', exact: true }).click();
  await page.getByRole('button', { name: 'Colour of the words #44203d' }).click();
  await expect(words.locator('[role="img"]').first()).toHaveAttribute('fill', '#44203d');
  expect(await valueOf(page, 'Size in points')).toBe(9);
  const undo = page.getByRole('button', { name: /^Undo/ });
  while (await undo.isEnabled()) await undo.click();
  await expect(words.locator('[role="img"]').first()).toHaveAttribute('aria-label', 'Sea Holly');
});

test('words too long for their room shrink, and the card says to what', async ({ page }) => {
  await page.locator('[data-element="words-3"] .hit').click();
  await page
    .getByLabel('The words', { exact: true })
    .fill('Ranunculus acris Flore Pleno of the meadow');
  await expect(page.getByText(/^Prints at [\d.]+ pt to fit its room/)).toBeVisible();
  await page.getByLabel('When the words are too long').selectOption('fixed');
  await expect(page.getByText(/^Prints at/)).toHaveCount(0);
});

test('straight words are bent around a circle, over and under, and straightened again', async ({
  page,
}) => {
  const words = page.locator('[data-element="words-3"]');
  await words.locator('.hit').click();
  const run = page.getByLabel('Path of the words');
  await run.selectOption('outside');
  await enter(page, 'Radius of the circle', '15');
  const top = (await words.boundingBox())?.y ?? 0;
  await run.selectOption('inside');
  await expect.poll(async () => (await words.boundingBox())?.y ?? 0).toBeGreaterThan(top + 50);
  await run.selectOption('straight');
  await expect(words.locator('.hit')).toBeAttached();
});

test('a plate takes shape, fill, see-through and line', async ({ page }) => {
  await page.getByRole('button', { name: 'Plate', exact: true }).click();
  const plate = page.locator('[data-element^="plate-"]').last();
  await expect(plate).toBeVisible();
  await page.getByRole('radio', { name: 'Square' }).click();
  await enter(page, 'Corner radius', '2');
  await page
    .getByRole('button', { name: /^Fill #/ })
    .first()
    .click();
  await enter(page, 'Fill opacity', '60');
  await page
    .getByRole('button', { name: /^Line #/ })
    .first()
    .click();
  await page.getByRole('radio', { name: 'Dotted' }).click();
  await expect(plate.locator('path').first()).toHaveAttribute('fill-opacity', '0.6');
  // The dots of its line are shapes of their own.
  await expect(plate.locator('path')).toHaveCount(2);
  await page.getByRole('button', { name: 'No fill' }).click();
  await expect(plate.locator('path')).toHaveCount(1);
  expect((await plate.locator('path').getAttribute('d'))?.match(/M/g)?.length).toBeGreaterThan(20);
});

test('elements are duplicated, locked, put below and deleted', async ({ page }) => {
  const elements = page.locator('[data-element]');
  await page.locator('[data-element="picture-1"] .hit').click();
  await page.keyboard.press('Control+d');
  await expect(elements).toHaveCount(7);
  await page.locator('[data-element="words-3"] .hit').click();
  await page.getByRole('button', { name: 'Lock', exact: true }).click();
  await page.keyboard.press('Delete');
  await expect(page.locator('[data-element="words-3"]')).toHaveCount(1);
  const before = await page.locator('[data-element="words-3"]').getAttribute('data-place');
  await dragBy(page, page.locator('[data-element="words-3"]'), [30, 0]);
  expect(await page.locator('[data-element="words-3"]').getAttribute('data-place')).toBe(before);
  await page.getByRole('button', { name: 'Unlock' }).click();
  await page.getByRole('button', { name: 'Print earlier, below' }).click();
  await page.locator('.cards').click({ position: { x: 5, y: 5 } });
  await page.keyboard.press('Delete');
  await expect(page.locator('[data-element="words-3"]')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-element="words-3"]')).toHaveCount(1);
});

test('several elements are chosen with Shift and nudged as one step', async ({ page }) => {
  const [words, picture] = ['words-3', 'picture-1'].map((id) =>
    page.locator(`[data-element="${id}"]`),
  );
  await words?.locator('.hit').click();
  await picture?.locator('.hit').click({ modifiers: ['Shift'] });
  await expect(page.locator('.selection')).toHaveCount(2);
  await expect(page.getByText('Drag or nudge them together.')).toBeVisible();
  const at = async (): Promise<(string | null | undefined)[]> =>
    Promise.all([words?.getAttribute('data-place'), picture?.getAttribute('data-place')]);
  const before = await at();
  for (let tap = 0; tap < 5; tap++) await page.keyboard.press('ArrowUp');
  const after = await at();
  expect(after[0]).not.toBe(before[0]);
  expect(after[1]).not.toBe(before[1]);
  await page.keyboard.press('Control+z');
  expect(await at()).toEqual(before);
});

test('a variety is added, named, changed on its own and deleted with undo', async ({ page }) => {
  await page.getByRole('button', { name: 'Add a variety' }).click();
  await page.getByLabel('Name of the piece').fill('Foxglove');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-line="artwork"]')).toContainText('5 pieces');
  await page
    .getByRole('button', { name: /^Ground #/ })
    .nth(2)
    .click();
  await page.getByRole('button', { name: 'Delete this one' }).click();
  await expect(page.locator('[data-line="artwork"]')).toContainText('4 pieces');
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-line="artwork"]')).toContainText('5 pieces');
});

proofed(
  'a picture is pasted, and a photograph with too few dots is named as such',
  async ({ page }) => {
    await page.evaluate((base64) => {
      const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
      const data = new DataTransfer();
      data.items.add(new File([bytes], '', { type: 'image/png' }));
      document.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
    }, discPng(60).toString('base64'));
    const picture = page.locator('[data-element="picture-2"]');
    await expect(picture.locator('image')).toBeAttached();
    await enter(page, 'Width', '40');
    await expect(page.locator('[data-finding="low-resolution"]').first()).toBeVisible({
      timeout: 40_000,
    });
  },
);
