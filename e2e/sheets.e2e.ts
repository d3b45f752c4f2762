import { readFileSync } from 'node:fs';
import { dragBy, expect, openDesk, test } from './workshop.ts';

test('a copy that is dropped on another slides beside it; pinned it stays while the others are laid anew', async ({
  page,
}) => {
  await openDesk(page, 'seed-packet-fronts', 'sheet');
  const copies = page.locator('[data-copy]');
  await expect(copies).toHaveCount(4);
  await page.getByLabel('Wanted of Borage').fill('2');
  await page.getByLabel('Wanted of Borage').press('Enter');
  await page.locator('.sheets button').last().click();
  await expect(copies).toHaveCount(2);
  const named = async (at: number) =>
    page.locator(`[data-copy="${(await copies.nth(at).getAttribute('data-copy')) ?? ''}"]`);
  const [first, second] = [await named(0), await named(1)];
  const place = async (of: typeof first) => {
    const [x = 0, y = 0] = ((await of.getAttribute('transform')) ?? '')
      .match(/-?[\d.]+/g)
      ?.map(Number) as number[];
    return { x, y };
  };
  const before = await place(first);
  const { scale } = await page
    .getByLabel('The sheet')
    .evaluate((svg) => ({ scale: svg.getBoundingClientRect().width / 210 }));
  await dragBy(page, first, [28 * scale, 9 * scale]);
  const [now, other] = [await place(first), await place(second)];
  // Labels of 76 x 102 mm with a gap of 5 mm: beside or below each other, and not where it was let go.
  const clear = Math.abs(other.x - now.x) >= 81 || Math.abs(other.y - now.y) >= 107;
  expect(clear).toBe(true);
  expect(now.x).toBeLessThan(before.x + 1);
  expect(now.y).toBeGreaterThan(before.y + 5);
  await page.getByLabel(/^Pinned/).check();
  await expect(first.locator('.pin')).toBeVisible();
  await page.getByRole('radio', { name: 'Best fit' }).click();
  await expect(first).toHaveAttribute('transform', new RegExp(`translate\\(${now.x} ${now.y}\\)`));
});

test('several copies are chosen, brought into line, repeated, and all of it is undone', async ({
  page,
}) => {
  await openDesk(page, 'seed-packet-fronts', 'sheet');
  const copies = page.locator('[data-copy]');
  await copies.first().click();
  await copies.nth(3).click({ modifiers: ['Shift'] });
  await expect(page.getByRole('heading', { name: '2 copies' })).toBeVisible();
  await page.getByRole('button', { name: 'Turn by 90°' }).click();
  await page.getByRole('button', { name: 'Put 2 moved copies back' }).first().click();
  await page.getByRole('button', { name: 'Repeat …' }).click();
  await page.getByRole('button', { name: '2 more of it' }).click();
  await expect(page.getByLabel('Wanted of Borage')).toHaveValue('6');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Wanted of Borage')).toHaveValue('4');
  await expect(page.getByText(/moved copies back/)).toHaveCount(0);
});

test('nested stickers become a sticker sheet: kiss cuts in an outline that is cut through', async ({
  page,
}) => {
  await openDesk(page, 'woodland-stickers', 'sheet');
  await expect(page.locator('[data-copy]')).toHaveCount(36);
  await page.getByRole('button', { name: 'Make a sticker sheet of these' }).click();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Sticker sheet');
  await page.locator('[data-element]').first().click();
  await expect(page.getByRole('radio', { name: 'Kiss-cut' })).toBeChecked();
  await page.getByRole('radio', { name: 'Not cut' }).click();
  const stickers = await page.locator('.stack .items button').count();
  await page.locator('[data-line="proof"]').click();
  const download = page.waitForEvent('download');
  await page.locator('[data-format="svg"]').click();
  const svg = readFileSync((await (await download).path()) ?? '', 'utf8');
  const paths = (kind: string): number =>
    (new RegExp(`<g id="${kind}"[^>]*>([\\s\\S]*?)</g>`).exec(svg)?.[1] ?? '').match(/<path/g)
      ?.length ?? 0;
  expect(paths('kiss')).toBe(stickers - 1);
  expect(paths('through')).toBe(1);
});

test('a trimmer gets its cuts in order, and ways and sizes are compared and taken', async ({
  page,
}) => {
  await openDesk(page, 'bulb-box-bands', 'sheet');
  await page.getByRole('radio', { name: 'Trimmer' }).click();
  await expect(page.getByText('8 cuts')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Straight cuts' }).getByRole('listitem')).toHaveCount(
    8,
  );
  await page.getByRole('button', { name: 'Gap of 0 mm' }).click();
  await expect(page.getByText('6 cuts')).toBeVisible();
  await expect(page.getByText(/Shared cut lines save/)).toBeVisible();
  await page.getByLabel('How many shall fit on a sheet').fill('4');
  await page.getByLabel('How many shall fit on a sheet').press('Enter');
  await page.getByRole('button', { name: 'Take this size' }).click();
  await expect(page.getByText('4 a sheet')).toBeVisible();
});

test('a sheet that is opened by its address has its pictures as soon as they are read', async ({
  page,
}) => {
  await openDesk(page, 'woodland-stickers', 'sheet');
  await page.reload();
  const red = (): Promise<number> =>
    page.evaluate(async () => {
      const shown = [...document.querySelectorAll('[data-copy] image')];
      const drawn = await Promise.all(
        shown.map(async (one) => (await fetch(one.getAttribute('href') ?? '')).text()),
      );
      return drawn.filter((svg) => svg.includes('fill="#c2412f"')).length;
    });
  // The cap of a fly agaric.
  await expect.poll(red).toBe(7);
});
