import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import { encode } from 'fast-png';
import type { Page } from '@playwright/test';
import { composedPicture } from '../core/testing/composed.ts';
import { countActions, expect, openShelf, test } from './workshop.ts';

const [WIDTH, HEIGHT] = [600, 400];
const composed = composedPicture(WIDTH, HEIGHT, 4);
const photograph = Buffer.from(
  encode({ ...composed.image, data: new Uint8Array(composed.image.data), channels: 4 }),
);
const [left, top, right, bottom] = composed.box;
const [cx, cy] = [(left + right) / 2, (top + bottom) / 2];

/** Draws over the photograph from place to place, in its pixels. */
async function draw(page: Page, ...places: readonly (readonly [number, number])[]): Promise<void> {
  // The bench has its shape once the picture is there, whole and as it will be.
  await page.locator('canvas.ghost').waitFor();
  const box = await page.getByRole('group', { name: 'The picture as it will be' }).boundingBox();
  if (!box) throw new Error('no picture');
  const at = ([x, y]: readonly [number, number]): [number, number] => [
    box.x + (x / WIDTH) * box.width,
    box.y + (y / HEIGHT) * box.height,
  ];
  const [first, ...more] = places;
  if (!first) return;
  await page.mouse.move(...at(first));
  await page.mouse.down();
  for (const place of more) await page.mouse.move(...at(place), { steps: 5 });
  await page.mouse.up();
}

/** How much of a pixel of the photograph is left, as the bench shows it. */
const alphaAt = (page: Page, x: number, y: number): Promise<number> =>
  page.locator('canvas:not(.ghost)').evaluate(
    (canvas: HTMLCanvasElement, [px, py, wide]) => {
      const scale = canvas.width / wide;
      const one = new OffscreenCanvas(1, 1).getContext('2d');
      one?.drawImage(canvas, Math.round(px * scale), Math.round(py * scale), 1, 1, 0, 0, 1, 1);
      return one?.getImageData(0, 0, 1, 1).data[3] ?? -1;
    },
    [x, y, WIDTH] as const,
  );

test.beforeEach(async ({ page }) => {
  await openShelf(page, 'pot-lid-seals');
});

test('a photograph becomes a sticker: framed, painted where it is wrong, taken back, used, and changed later', async ({
  page,
}) => {
  const actions = await countActions(page);
  await page.getByRole('link', { name: 'Art drawer' }).click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Take in pictures' }).click(),
  ]);
  await chooser.setFiles({ name: 'meadow leaf.png', mimeType: 'image/png', buffer: photograph });
  // Until it is there the card is that of another picture.
  await expect(page.getByRole('button', { name: 'meadow leaf' }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Prepare' }).click();
  await page.getByRole('radio', { name: 'Subject' }).click();
  await expect(page.getByText('Drag a frame around what you want')).toBeVisible();
  await draw(page, [left - 9, top - 9], [right + 9, bottom + 9]);
  await expect(page.getByText('Paint where it is wrong')).toBeVisible();
  await expect.poll(() => alphaAt(page, 5, 5)).toBe(0);
  expect(await alphaAt(page, cx, cy)).toBe(255);
  expect(await alphaAt(page, right + 5, bottom + 5)).toBe(0);
  expect(await actions()).toBeLessThanOrEqual(6);

  // A stroke drops what it covers and leaves what is far from it; it is one step to take back.
  await page.getByRole('radio', { name: 'Drop' }).click();
  await draw(page, [cx - 30, cy], [cx, cy + 4], [cx + 30, cy]);
  await expect.poll(() => alphaAt(page, cx, cy + 4)).toBe(0);
  const deep = [(cx + left) / 2 - 10, cy] as const;
  expect(await alphaAt(page, ...deep)).toBe(255);
  await page.keyboard.press('Control+z');
  await expect.poll(() => alphaAt(page, cx, cy + 4)).toBe(255);
  await page.keyboard.press('Control+Shift+z');
  await expect.poll(() => alphaAt(page, cx, cy + 4)).toBe(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => alphaAt(page, cx, cy + 4)).toBe(255);
  await page.getByRole('radio', { name: 'Keep' }).click();
  await draw(page, [12, 12], [60, 14]);
  await expect.poll(() => alphaAt(page, 30, 13)).toBe(255);

  // Erase takes away just what is painted, with the same brush.
  await page.getByRole('radio', { name: 'Erase' }).click();
  await draw(page, [cx, cy], [cx + 4, cy]);
  await expect.poll(() => alphaAt(page, cx, cy)).toBe(0);
  expect(await alphaAt(page, cx, cy + 20)).toBe(255);

  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  // All of it is there again, and can be changed.
  await page.getByRole('button', { name: 'meadow leaf' }).first().click();
  await page.getByRole('button', { name: 'Prepare' }).click();
  await page.getByRole('radio', { name: 'Subject' }).click();
  await expect.poll(() => alphaAt(page, cx, cy)).toBe(0);
  expect(await alphaAt(page, 30, 13)).toBe(255);
  // Strokes of an earlier time are taken back too.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => alphaAt(page, cx, cy)).toBe(255);
  await page.getByRole('button', { name: 'Draw it anew' }).click();
  await expect.poll(() => alphaAt(page, 5, 5)).toBe(255);
  await page.getByRole('radio', { name: 'Rough line' }).click();
  await draw(
    page,
    [left - 15, top - 15],
    [right + 15, top - 15],
    [right + 15, bottom + 15],
    [left - 15, bottom + 15],
  );
  await expect.poll(() => alphaAt(page, 5, 5)).toBe(0);
  expect(await alphaAt(page, cx, cy)).toBe(255);
});

test('pictures become stickers: each is cut by what it is, and photographs are freed in turn', async ({
  page,
}) => {
  const clear = {
    width: 200,
    height: 200,
    data: Uint8Array.from({ length: 200 * 200 * 4 }, (_, at) => {
      const pixel = at >> 2;
      const inside = Math.hypot((pixel % 200) - 100, Math.floor(pixel / 200) - 100) < 70;
      return inside ? ([190, 60, 70, 255][at & 3] as number) : 0;
    }),
  };
  const paper = {
    ...clear,
    data: Uint8Array.from({ length: 200 * 200 * 4 }, (_, at) => {
      const pixel = at >> 2;
      const inside = Math.abs((pixel % 200) - 100) < 80 && Math.abs(pixel / 200 - 100) < 30;
      return (inside ? [60, 120, 70, 255] : [236, 234, 230, 255])[at & 3] as number;
    }),
  };
  const png = (image: typeof clear): Buffer => Buffer.from(encode({ ...image, channels: 4 }));
  const actions = await countActions(page);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Stickers from pictures' }).click(),
  ]);
  const mimeType = 'image/png';
  await chooser.setFiles([
    { name: 'berry.png', mimeType, buffer: png(clear) },
    { name: 'ribbon on paper.png', mimeType, buffer: png(paper) },
    { name: 'meadow leaf.png', mimeType, buffer: photograph },
    { name: 'torn.png', mimeType, buffer: photograph.subarray(0, 900) },
  ]);
  const tray = page.getByRole('dialog', { name: 'What came in' });
  await expect(tray.getByText('cut around what it shows')).toBeVisible();
  await expect(tray.getByText('its plain ground is cleared, then cut around')).toBeVisible();
  await expect(tray.getByText(/^a photograph/)).toBeVisible();
  await expect(tray.getByText('torn.png')).toBeVisible();
  await expect(tray.locator('.cut')).toHaveCount(2);

  await tray.getByRole('button', { name: 'Free 1 photograph' }).click();
  await draw(page, [left - 9, top - 9], [right + 9, bottom + 9]);
  await expect.poll(() => alphaAt(page, 5, 5)).toBe(0);
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(tray.locator('.cut')).toHaveCount(3);
  await expect(tray.getByText(/^a photograph/)).toBeHidden();
  await tray.getByRole('button', { name: 'Make 3 stickers' }).click();
  await expect(page).toHaveURL(/\/edge/);
  expect(await actions()).toBeLessThanOrEqual(6);
  await page.getByRole('link', { name: /^Copies/ }).click();
  await expect(page.locator('[data-copy]')).toHaveCount(3);

  // One press on its card makes a picture the ground of its label.
  await page.getByRole('link', { name: 'Artwork' }).click();
  await page.locator('[data-element] .hit').click();
  await page.getByRole('button', { name: 'Cover the label', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Cover the label', exact: true })).toBeHidden();
  await expect(
    page.getByRole('application', { name: 'The whole picture, and the frame over it' }),
  ).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Cover the label', exact: true })).toBeVisible();

  // The job holds what was made and what it was made from: three stickers of five pictures.
  await page.getByRole('link', { name: 'Shelf' }).click();
  await page.getByRole('button', { name: 'More for 3 stickers' }).click();
  const download = page.waitForEvent('download');
  await page.getByText('Export as .peel', { exact: true }).click();
  const files = unzipSync(readFileSync(await (await download).path()));
  expect(Object.keys(files).filter((name) => name.startsWith('art/'))).toHaveLength(5);
});
