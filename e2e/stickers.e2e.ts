import type { Page } from '@playwright/test';
import { encode } from 'fast-png';
import { zipSync } from 'fflate';
import type { Region } from '../core/testing/drawn.ts';
import { composedPicture } from '../core/testing/composed.ts';
import { core } from './bundled-core.ts';
import {
  countActions,
  enter,
  expect,
  openDesk,
  openShelf,
  proofed,
  test,
  valueOf,
} from './workshop.ts';

const { disc, drawn } = core;
type Image = ReturnType<typeof drawn>;
const png = (image: Image): Buffer =>
  Buffer.from(encode({ ...image, data: new Uint8Array(image.data), channels: 4 }));
const mimeType = 'image/png';
const PAPER = (): readonly [number, number, number] => [250, 249, 246];

const COLORS = [
  [200, 40, 40],
  [40, 60, 190],
  [40, 150, 60],
  [230, 150, 30],
  [120, 40, 150],
  [50, 40, 40],
] as const;

/** A flower of so many petals on paper, 400 pixels high; each is other art. */
function flower(petals: number, width = 400): Buffer {
  const region: Region = (x, y) => {
    const turn = Math.atan2(y - 200, x - width / 2);
    return Math.hypot(x - width / 2, y - 200) - 120 - 40 * Math.cos(petals * turn);
  };
  const color = COLORS[petals % COLORS.length] ?? COLORS[0];
  return png(drawn(width, 400, [{ region, color }], PAPER));
}

/** Six flowers without their paper, in a ZIP. */
function zipped(): Buffer {
  const files = [3, 4, 5, 6, 7, 8].map((petals) => [
    `flowers/petals ${petals}.png`,
    new Uint8Array(flower(petals)),
  ]);
  return Buffer.from(
    zipSync({
      ...(Object.fromEntries(files) as Record<string, Uint8Array>),
      'more.zip': zipSync({ 'a.png': new Uint8Array(flower(3)) }),
    }),
  );
}

/** A scanned page of eight berries. */
const page8 = png(
  drawn(
    800,
    400,
    [100, 300, 500, 700].flatMap((x, at) =>
      [100, 300].map((y) => ({ region: disc(x, y, 40 + at * 8), color: [150, 30, 60] as const })),
    ),
    PAPER,
  ),
);

async function chooseStickers(
  page: Page,
  files: readonly { name: string; buffer: Buffer; mimeType?: string }[],
): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Stickers from pictures' }).click(),
  ]);
  await chooser.setFiles(files.map((file) => ({ mimeType, ...file })));
}

const tile = (page: Page, name: string) =>
  page.getByRole('listitem').filter({ has: page.getByText(name, { exact: true }) });

proofed(
  'pictures, a ZIP and a scanned page become one nested sheet in six actions, and are rehearsed',
  async ({ page }) => {
    await openShelf(page, 'peat-free-dots');
    const actions = await countActions(page);
    await chooseStickers(page, [
      { name: 'flowers.zip', buffer: zipped(), mimeType: 'application/zip' },
      { name: 'berries.png', buffer: page8 },
      { name: 'broken.png', buffer: flower(9).subarray(0, 400) },
      { name: 'tiny.png', buffer: png(drawn(5, 5, [], () => [9, 9, 9])) },
      { name: 'pet.png', buffer: png(composedPicture(300, 200, 4).image) },
    ]);
    const tray = page.getByRole('dialog');
    await expect(tray.getByText('15 pictures')).toBeVisible();
    await expect(tray.getByText('its plain ground is cleared, then cut around')).toHaveCount(6);
    await expect(tray.getByText('cut around what it shows', { exact: true })).toHaveCount(8);
    // Each that is left out is named with its reason.
    await expect(tray.getByText('is a ZIP within a ZIP')).toBeVisible();
    await expect(tray.getByText('“broken.png” is damaged')).toBeVisible();
    await expect(tray.getByText('is 5 × 5 pixels')).toBeVisible();
    await tray.getByRole('radio', { name: 'Round', exact: true }).click();
    await tray.getByRole('button', { name: 'Make 15 stickers' }).click();

    await expect(page).toHaveURL(/\/edge\?all/);
    await expect(page.getByRole('heading', { name: 'All 15 pieces' })).toBeVisible();
    await page.getByRole('link', { name: 'Lay them out' }).click();
    // What is irregular is nested by itself, and all of it lies on one sheet.
    await expect(page.getByRole('radio', { name: 'Nested' })).toBeChecked();
    await expect(page.locator('[data-copy]')).toHaveCount(15);
    expect(await actions()).toBeLessThanOrEqual(6);
    await expect(page.getByRole('button', { name: /Undo nest/ })).toBeVisible({ timeout: 60_000 });

    await page.locator('[data-line="run"]').click();
    await page.getByRole('button', { name: 'Rehearse it' }).click();
    await expect(page.locator('[data-report]')).toBeVisible({ timeout: 90_000 });
  },
);

test('all edges: sizes, rims and copies together, one that differs comes back, each a step', async ({
  page,
}) => {
  await openShelf(page, 'peat-free-dots');
  await chooseStickers(page, [
    { name: 'three.png', buffer: flower(3) },
    { name: 'five.png', buffer: flower(5, 500) },
    { name: 'eight.png', buffer: flower(8) },
  ]);
  await page.getByRole('button', { name: 'Make 3 stickers' }).click();
  await expect(page.getByRole('heading', { name: 'All 3 pieces' })).toBeVisible();

  await page.getByLabel('All of one').selectOption('height');
  await enter(page, 'Height', '50');
  for (const name of ['three', 'five', 'eight'])
    await expect(tile(page, name).getByText(/× 50 mm$/)).toBeVisible();

  await page.getByLabel('Choose five').check();
  await expect(page.getByRole('heading', { name: '1 of 3 pieces' })).toBeVisible();
  await enter(page, 'Rim around the art', '4');
  await expect(tile(page, 'five').getByText(/× 54 mm$/)).toBeVisible();
  await expect(tile(page, 'three').getByText(/× 50 mm$/)).toBeVisible();
  await tile(page, 'five').getByRole('button', { name: 'five as the others' }).click();
  await expect(tile(page, 'five').getByText(/× 50 mm$/)).toBeVisible();

  // As smooth as that nothing of the petals is left but their middle, and that is told.
  await page.getByRole('button', { name: 'Choose none' }).click();
  await page.getByRole('slider', { name: 'Calm' }).fill('10');
  await expect(page.getByText(/Leaves up to [\d.]+ mm of the art outside/)).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByText('All of the art is inside.')).toBeVisible();

  await enter(page, 'In all', '8');
  await expect(page.locator('[data-line="copies"]')).toContainText('8 wanted');
  await page.getByRole('button', { name: /^Fill one sheet/ }).click();
  expect(await valueOf(page, 'Of each')).toBeGreaterThan(3);

  // One of them alone on the desk, and back.
  await tile(page, 'eight').getByRole('button', { name: 'Open eight' }).click();
  await expect(page.getByLabel('Piece', { exact: true })).toHaveValue(/piece/);
  expect(await valueOf(page, 'Outwards by')).toBe(2);
  await page.getByRole('radio', { name: 'All edges' }).click();
  await expect(page.getByRole('heading', { name: 'All 3 pieces' })).toBeVisible();
});

test('pictures that come onto a job stand on its piece, or are stickers of their own in one step', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  const before = await page.locator('[data-line="artwork"]').innerText();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Picture', exact: true }).click(),
  ]);
  await chooser.setFiles([
    { name: 'three.png', mimeType, buffer: flower(3) },
    { name: 'berries.png', mimeType, buffer: page8 },
  ]);
  const tray = page.getByRole('dialog');
  await expect(tray.getByRole('button', { name: 'Put 2 on the piece' })).toBeVisible();
  await tray.getByRole('radio', { name: 'Each a sticker of its own' }).click();
  await expect(tray.getByRole('button', { name: 'Make 9 stickers' })).toBeVisible();
  await tray.getByRole('button', { name: 'Keep “berries” whole' }).click();
  await tray.getByRole('button', { name: 'Make 2 stickers' }).click();
  await expect(page).toHaveURL(/\/edge\?all/);
  await expect(tile(page, 'berries')).toBeVisible();
  await page.getByRole('button', { name: /^Undo add 2 pieces/ }).click();
  await expect(tile(page, 'berries')).toHaveCount(0);
  await page.locator('[data-line="artwork"]').click();
  await expect(page.locator('[data-line="artwork"]')).toHaveText(before.replace(/\s+/g, ' '), {
    useInnerText: true,
  });
});
