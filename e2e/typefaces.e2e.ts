import { readFileSync } from 'node:fs';
import { asCollection } from '../core/testing/collection.ts';
import { dropFile, expect, openDesk, test } from './workshop.ts';

const VARIABLE = 'node_modules/@fontsource-variable/figtree/files/figtree-latin-wght-normal.woff2';
const font = (name: string): Buffer => readFileSync(`.cache/public/core/${name}.ttf`);

test.beforeEach(async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await page.locator('[data-element="words-3"] .hit').click();
});

test('a variable typeface is set to any weight by its slider, in one step, and is so after a reload', async ({
  page,
}) => {
  const letters = page.locator('[data-element="words-3"] [role="img"] path').first();
  const drawn = async (): Promise<string> => (await letters.getAttribute('d')) ?? '';
  await page.getByRole('button', { name: 'Choose a typeface' }).click();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /^Add a typeface/ }).click();
  await (await chooser).setFiles([VARIABLE]);
  await expect(page.getByText('Figtree · your own · 7 cuts')).toBeVisible();
  const panel = page.getByRole('dialog', { name: 'Typefaces' });
  await panel.getByRole('button', { name: 'Close' }).click();
  const cut = page.getByLabel('Cut of the typeface');
  const weight = page.getByRole('slider', { name: 'Weight' });
  await cut.selectOption('Light');
  await expect(weight).toHaveValue('300');
  const light = await drawn();
  await weight.fill('731');
  await weight.fill('850');
  await expect(cut.locator('option:checked')).toHaveText('Weight 850');
  await expect.poll(drawn).not.toBe(light);
  const heavy = await drawn();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(drawn).toBe(light);
  await page.getByRole('button', { name: /^Redo/ }).click();
  await expect.poll(drawn).toBe(heavy);
  await expect(page.getByText('Kept just now')).toBeVisible();
  await page.reload();
  await expect.poll(drawn).toBe(heavy);
});

test('of a collection the user is asked which typefaces to take; closing it takes none', async ({
  page,
}) => {
  await page.getByRole('button', { name: 'Choose a typeface' }).click();
  const panel = page.getByRole('dialog', { name: 'Typefaces' });
  const name = 'garden.ttc';
  const bytes = Buffer.from(
    asCollection(
      [font('caveat-bold'), font('amatic-sc-regular')].map((one) => new Uint8Array(one)),
    ),
  );
  const file = { name, type: 'font/collection', bytes };
  await dropFile(page, '[role="dialog"]', file);
  const asked = page.getByRole('dialog', { name: 'holds several typefaces' });
  await asked.getByRole('button', { name: 'Close' }).click();
  await expect(asked).toHaveCount(0);
  await expect(panel.getByText('your own')).toHaveCount(0);
  await dropFile(page, '[role="dialog"]', file);
  await asked.getByLabel('Amatic SC · Regular').check();
  await asked.getByRole('button', { name: 'Take it' }).click();
  await expect(panel.getByText('Amatic SC · your own')).toBeVisible();
  await expect(panel.getByText('Caveat · your own')).toHaveCount(0);
});

test('marked letters take another form that their typeface has, all of them do, and all are put back', async ({
  page,
}) => {
  const element = page.locator('[data-element="words-3"]');
  const drawn = async (): Promise<string> =>
    (await element.locator('[role="img"] path').first().getAttribute('d')) ?? '';
  await page.getByRole('button', { name: 'Choose a typeface' }).click();
  await page.getByRole('button', { name: 'Playfair Display' }).click();
  await page.getByRole('button', { name: 'Other letter forms' }).click();
  const small = page.getByRole('button', { name: 'Small capitals', exact: true });
  await expect(small).toBeVisible();
  const plain = await drawn();
  await element.locator('.hit').dblclick();
  await page.keyboard.press('Home');
  for (let letter = 0; letter < 3; letter++) await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByText('For “Sea”')).toBeVisible();
  await small.click();
  await expect(small).toHaveAttribute('aria-pressed', 'true');
  await expect.poll(drawn).not.toBe(plain);
  const some = await drawn();
  await page.keyboard.press('Escape');
  await element.locator('.hit').click();
  await page.getByRole('button', { name: 'Other letter forms' }).click();
  await expect(small).toHaveAttribute('aria-pressed', 'false');
  await small.click();
  await expect.poll(drawn).not.toBe(some);
  await page.getByRole('button', { name: 'Put all letter forms back' }).click();
  await expect.poll(drawn).toBe(plain);
});
