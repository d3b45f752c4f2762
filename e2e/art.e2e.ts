import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { encode } from 'fast-png';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import type { Region } from '../core/testing/drawn.ts';
import { HEIC, INKED_JPEG } from '../core/testing/foreign-pictures.ts';
import { core } from './bundled-core.ts';
import {
  countActions,
  dragBy,
  dropFile,
  enter,
  expect,
  fromShelf,
  openShelf,
  runForReal,
  test,
  valueOf,
} from './workshop.ts';

const { block, disc, drawn } = core;
const WHITE = (): readonly [number, number, number] => [250, 249, 246];
const png = (image: ReturnType<typeof drawn>): Buffer =>
  Buffer.from(encode({ ...image, data: new Uint8Array(image.data), channels: 4 }));

/** A leaf on grey paper, 480 x 480 pixels: 40.6 mm at 300 dpi. */
function leafOnPaper(): Buffer {
  const leaf: Region = (x, y) => Math.max(disc(160, 240, 200)(x, y), disc(320, 240, 200)(x, y));
  return png(drawn(480, 480, [{ region: leaf, color: [60, 120, 70] }], () => [206, 204, 199]));
}

/** A page of 1000 x 800 pixels: four drawings, two of which touch by a hair, under a line of lettering. */
function page4(): Buffer {
  const letters = Array.from({ length: 8 }, (_, at) => ({
    region: block(300 + at * 42, 70, { width: 26, height: 50 }),
    color: [40, 40, 40] as const,
  }));
  const drawings = [
    { region: disc(200, 300, 120), color: [200, 80, 60] as const },
    { region: disc(455, 300, 120), color: [60, 120, 160] as const },
    { region: block(330, 300, { width: 30, height: 4 }), color: [60, 120, 160] as const },
    {
      region: block(800, 300, { width: 220, height: 180, angle: 12 }),
      color: [90, 140, 60] as const,
    },
    { region: disc(300, 640, 100), color: [190, 150, 40] as const },
  ];
  return png(drawn(1000, 800, [...letters, ...drawings], WHITE));
}

const LEAF_SVG = `<svg xmlns="http://www.w3.org/2000/svg" width="40mm" height="40mm" viewBox="0 0 40 40">
  <circle cx="12" cy="20" r="9" fill="#3f7f4f"/><circle cx="12" cy="20" r="4" fill="#ffffff"/><rect x="27" y="12" width="10" height="16" fill="#f2a65a"/></svg>`;

async function choosePicture(page: Page, name: string, file: { name: string; buffer: Buffer }) {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name }).click(),
  ]);
  await chooser.setFiles({ ...file, mimeType: 'image/png' });
}

test.beforeEach(async ({ page }) => {
  await openShelf(page, 'pot-lid-seals', 'seed-packet-fronts');
});

test('a picture on paper is a cut sticker with one press, and its recipe can be changed later', async ({
  page,
}) => {
  const actions = await countActions(page);
  await choosePicture(page, 'Stickers from pictures', { name: 'leaf.png', buffer: leafOnPaper() });
  await expect(page).toHaveURL(/\/edge$/);
  // Its paper is cleared and it is cut around what is left, with the usual rim.
  await expect(page.locator('[data-line="size"]')).toContainText('24.3 mm × 35 mm');
  expect(await actions()).toBeLessThanOrEqual(1);
  await page.getByRole('button', { name: 'Trace the picture' }).click();

  // The lens of two discs of 200 px whose middles are 160 px apart: 240 x 366.6 px, with 2 mm around.
  await expect(page.getByText(/nodes, within 0\.0\d+ mm/)).toBeVisible();
  expect(await valueOf(page, 'Width')).toBeCloseTo(240 / 11.811 + 4, 0);
  expect(await valueOf(page, 'Height')).toBeCloseTo(366.6 / 11.811 + 4, 0);
  await enter(page, 'Height', '60');
  await expect(page.locator('[data-line="size"]')).toContainText('× 60 mm');

  await page.getByRole('radio', { name: 'Lost or white' }).click();
  await expect(page.getByText('paper if the cut is off')).toBeVisible();
  await page.getByRole('link', { name: /^Artwork/ }).click();
  await page.locator('[data-element] .hit').click();
  await page.getByRole('button', { name: 'Prepare the picture' }).click();
  await expect(page.getByRole('radio', { name: 'Border', exact: true })).toBeChecked();
  await page.getByRole('radio', { name: 'Keep', exact: true }).click();
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(page.getByRole('button', { name: /^Undo prepare/ })).toBeVisible();
});

test('a page falls into pieces: lettering dropped, a hair cut apart, two joined, places kept', async ({
  page,
}) => {
  await choosePicture(page, 'Stickers from pictures', { name: 'meadow.png', buffer: page4() });
  await page.getByRole('button', { name: 'Keep “meadow” whole' }).click();
  await page.getByRole('button', { name: 'Make 1 sticker' }).click();
  await page.getByRole('link', { name: /^Artwork/ }).click();
  await page.locator('[data-element] .hit').click();
  await page.getByRole('button', { name: 'Prepare the picture' }).click();
  await page.getByRole('radio', { name: 'Split' }).click();
  const make = page.getByRole('button', { name: /pieces, places kept/ });
  await expect(make).toHaveText(/Make 3 pieces/); // the two that touch are one, the headline is out
  await expect(page.locator('.part.out')).toHaveCount(1);

  await page.getByRole('button', { name: 'Cut apart with a line' }).click();
  const stage = await page
    .getByRole('img', { name: 'The picture as it will be' })
    .last()
    .boundingBox();
  if (!stage) throw new Error('no stage');
  const at = (x: number, y: number): [number, number] => [
    stage.x + (x / 1000) * stage.width,
    stage.y + (y / 800) * stage.height,
  ];
  await page.mouse.move(...at(328, 250));
  await page.mouse.down();
  await page.mouse.move(...at(328, 350), { steps: 4 });
  await page.mouse.up();
  await expect(make).toHaveText(/Make 4 pieces/);
  await page.getByRole('button', { name: 'Draw a line between' }).click();

  await page.getByRole('button', { name: 'Piece 4', exact: true }).click();
  await page.getByRole('button', { name: 'Piece 5', exact: true }).click();
  await page.getByRole('button', { name: 'Join the two' }).click();
  await expect(make).toHaveText(/Make 3 pieces/);
  await page.getByRole('button', { name: 'Take it apart' }).click();
  await make.click();

  await expect(page.locator('[data-line="artwork"]')).toContainText('4 pieces');
  await page.getByRole('link', { name: /^Copies/ }).click();
  await expect(page.locator('[data-copy]')).toHaveCount(4);
  await page.getByRole('button', { name: /^Undo add 4 pieces/ }).click();
  await expect(page.locator('[data-line="artwork"]')).toContainText('1 piece');
  await page.getByRole('button', { name: /^Redo/ }).click();
  await expect(page.locator('[data-copy]')).toHaveCount(4);
  await page.getByRole('radio', { name: 'Nested' }).click();
  await expect(page.getByText(/^4 copies, \d+ % used$/)).toBeVisible();
  await runForReal(page);
});

test('a telephone’s picture and one of four inks, dropped at once, lie in the tray with what is said of them', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'Art drawer' }).click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Take in pictures' }).click(),
  ]);
  await chooser.setFiles([
    { name: 'leaf.heic', mimeType: 'image/heic', buffer: Buffer.from(HEIC) },
    { name: 'press.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(INKED_JPEG) },
  ]);
  const tray = page.getByRole('dialog', { name: 'What came in' });
  await expect(tray.getByText('2 pictures')).toBeVisible();
  await expect(tray.getByText(/made for four inks without saying which/)).toBeVisible();
  await tray.getByRole('button', { name: 'Put 2 into the drawer' }).click();
  await expect(page.getByRole('button', { name: 'leaf' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'press' })).toBeVisible();
});

test('an archive shows what is in it: files of the same art as one, and what was refused', async ({
  page,
}) => {
  await fromShelf(page, 'pot-lid-seals', 'artwork');
  await expect(page.locator('[data-element]')).toHaveCount(6);
  const flat = drawn(400, 400, [
    { region: disc(120, 200, 90), color: [63, 127, 79] },
    { region: disc(120, 200, 40), color: [255, 255, 255] },
    { region: block(320, 200, { width: 100, height: 160 }), color: [242, 166, 90] },
  ]);
  const zip = zipSync({
    'PNG/leaf.png': new Uint8Array(png(flat)),
    'SVG/leaf.svg': strToU8(LEAF_SVG),
    'read me.txt': strToU8('Thank you'),
  });
  await dropFile(page, '.whole', {
    name: 'leaf set.zip',
    type: 'application/zip',
    bytes: Buffer.from(zip),
  });
  const tray = page.getByRole('dialog', { name: 'What came in' });
  await expect(tray.getByText('2 files hold the same art')).toBeVisible();
  await expect(tray.getByText('40 mm × 40 mm · Vector')).toBeVisible();
  await expect(tray.getByText('“leaf set.zip/read me.txt” is not a picture')).toBeVisible();
  await tray.getByRole('button', { name: 'Put 1 on the piece' }).click();
  await expect(page.locator('[data-element]')).toHaveCount(7);

  // Shapes of the vector that came: one hidden, one in another colour, for every use in the job.
  await page.getByRole('button', { name: 'Prepare the picture' }).click();
  await page.getByLabel('Show shape 2').uncheck();
  await page.getByLabel('Another colour for #f2a65a').fill('#123456');
  await page.getByRole('button', { name: 'Use it' }).click();
  const leaf = page.locator('[data-element="picture-2"]');
  await expect(leaf.locator('path[fill="#123456"]')).toHaveCount(1);
  await expect(leaf.locator('path')).toHaveCount(2);

  await page.getByRole('radio', { name: 'Heart' }).click();
  const crop = page.getByRole('application', { name: /The whole picture/ });
  await enter(page, 'Closer', '200');
  const before = await leaf.innerHTML();
  await dragBy(page, crop, [30, 10]);
  await expect.poll(() => leaf.innerHTML()).not.toBe(before);
});

test('the edge is put together, dragged by its handles, punched, creased and edited by points', async ({
  page,
}) => {
  await page.locator('.beginning', { hasText: 'Own size' }).click();
  await page.getByRole('link', { name: /^Edge/ }).click();
  await page
    .getByRole('radiogroup', { name: 'Shape' })
    .getByRole('radio', { name: 'Ticket' })
    .click();
  const notch = await valueOf(page, 'Notch');
  // Lines are drawn over the artwork and never fill it.
  for (const line of ['.reach', '.kiss', '.safe'])
    await expect(page.locator(`svg.bench ${line}`).first()).toHaveCSS('fill', 'none');
  await dragBy(page, page.locator('[data-handle="notch"]'), [-40, 0]);
  await expect.poll(() => valueOf(page, 'Notch')).toBeGreaterThan(notch + 2);
  await page.keyboard.press('Control+z');
  await expect.poll(() => valueOf(page, 'Notch')).toBe(notch);

  await page.getByRole('button', { name: 'Round hole' }).click();
  await expect(page.getByText('4 mm to the edge')).toBeVisible();
  await page.getByRole('button', { name: 'Hole 1', exact: true }).first().focus();
  await page.keyboard.press('Shift+ArrowUp');
  await page.keyboard.press('Shift+ArrowUp');
  await page.keyboard.press('Shift+ArrowUp');
  await expect(page.getByText('1 mm to the edge')).toBeVisible();
  await expect(page.getByText('Less than 2 mm may tear.')).toBeVisible();

  await page.getByRole('button', { name: 'Add a crease' }).click();
  await page.getByRole('button', { name: 'Add a shape' }).click();
  await page
    .getByRole('radiogroup', { name: 'Add a shape' })
    .getByRole('radio', { name: 'Round' })
    .click();
  await page.getByLabel('What Round does').selectOption('cut');
  await enter(page, 'Outwards by', '-1');
  await expect(page.locator('[data-line="edge"]')).toContainText('Offset -1 mm');

  await page.getByRole('button', { name: 'Edit points' }).click();
  const point = page.getByRole('button', { name: 'Point 2 of line 1' });
  const count = await page.getByRole('button', { name: /^Point \d+ of line/ }).count();
  await point.focus();
  await page.getByRole('button', { name: 'Add a point' }).click();
  await expect(page.getByRole('button', { name: /^Point \d+ of line/ })).toHaveCount(count + 1);
  await point.focus();
  await page.keyboard.press('Delete');
  await expect(page.getByRole('button', { name: /^Point \d+ of line/ })).toHaveCount(count);
  await page.getByRole('button', { name: 'Done' }).click();

  // The cut file holds the edge, the hole and the crease.
  await page.getByRole('link', { name: /^Proof/ }).click();
  const download = page.waitForEvent('download');
  await page.locator('[data-format="svg"]').click();
  // Two sheets come as one archive.
  const files = unzipSync(new Uint8Array(readFileSync(await (await download).path())));
  const svg = strFromU8(Object.values(files)[0] ?? new Uint8Array());
  expect(svg).toMatch(/id="crease"/);
  expect(svg).toMatch(/id="kiss"/);
});

test('the drawer keeps every picture once: found, tagged, noted, replaced, deleted and put back', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'Art drawer' }).click();
  await page.getByRole('radio', { name: 'Ready-made pictures' }).click();
  await page.getByRole('searchbox', { name: /Find a picture/ }).fill('sunflower');
  await page.getByRole('button', { name: 'Sunflower' }).click();
  await expect(page.getByText('1 picture is in the drawer')).toBeVisible();
  await page.getByRole('radio', { name: 'Your art' }).click();
  const sunflower = page.getByRole('button', { name: 'Sunflower' });
  await sunflower.click();
  await expect(page.getByLabel('May be used')).toHaveValue('free');
  await page.getByLabel('Tags, with commas between them').fill('plants, summer');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'summer', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Art drawer' }).getByRole('button')).toHaveCount(1);

  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText('“Sunflower” is out of the drawer')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sunflower).toBeVisible();

  // A picture that jobs use stays, and is replaced in all of them.
  await page.getByRole('button', { name: 'All', exact: true }).click();
  await page.getByRole('button', { name: 'Thistle, sea holly' }).click();
  await expect(page.getByRole('link', { name: 'Pot-lid seals' })).toBeVisible();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText('A job uses it.')).toBeVisible();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Replace everywhere' }).click(),
  ]);
  await chooser.setFiles({
    name: 'leaf.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(LEAF_SVG),
  });
  await expect(page.getByText('Replaced in 2 jobs.')).toBeVisible();
  await page.getByRole('button', { name: 'leaf', exact: true }).click();
  await page.getByRole('link', { name: 'Pot-lid seals' }).click();
  await expect(page.locator('[data-element="picture-1"] path[fill="#3f7f4f"]')).toHaveCount(1);

  await page.getByRole('button', { name: 'Drawer', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Sunflower' }).click();
  await expect(page.locator('[data-element]')).toHaveCount(7);
});

/** A drawing as it is bought: styles, gradients that refer to others, a shadow, words of another typeface. */
const BOUGHT = `<svg width="60mm" height="60mm" viewBox="0 0 120 120">
  <style>.leaf{fill:url(#green)} g > .stem{stroke:#4f3822;stroke-width:4;fill:none}</style>
  <defs><linearGradient id="stops"><stop offset="0" stop-color="#8bb174"/><stop offset="1" stop-color="#1e4d2b"/></linearGradient>
  <linearGradient id="green" xlink:href="#stops" gradientTransform="rotate(60 .5 .5)"/>
  <filter id="shadow" x="-.5" y="-.5" width="2" height="2"><feDropShadow dx="2" dy="3" stdDeviation="2"/></filter>
  <path id="sprig" class="leaf" d="M0 0C-14-10-16-30 0-44C16-30 14-10 0 0Z"/></defs>
  <g filter="url(#shadow)"><g transform="translate(60 66)"><path class="stem" d="M0 0V22"/><use xlink:href="#sprig"/></g></g>
  <text x="60" y="104" text-anchor="middle" font-family="Corner Shop Serif" font-size="16">Sage</text></svg>`;

test('a bought drawing becomes a label: as it is drawn, with what became of it told', async ({
  page,
}) => {
  const actions = await countActions(page);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Stickers from pictures' }).click(),
  ]);
  const files = [BOUGHT, LEAF_SVG].map((svg, at) => ({
    name: at === 0 ? 'sage.svg' : 'dots.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(svg),
  }));
  await chooser.setFiles(files);
  const [sage, dots] = [
    page.locator('.items li', { hasText: 'sage' }),
    page.locator('.items li', { hasText: 'dots' }),
  ];
  await expect(sage).toContainText('its blurs and shadows became pixels at 600 dpi');
  await expect(sage).toContainText('Fraunces stands in for the typeface Corner Shop Serif');
  await expect(dots).toContainText('Vector, sharp at any size');
  await dots.getByRole('checkbox').uncheck();
  await page.getByRole('button', { name: 'Make 1 sticker' }).click();
  await expect(page).toHaveURL(/\/edge$/);
  await page.getByRole('link', { name: /^Proof/ }).click();
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^PDF/ }).click(),
  ]);
  expect(await actions()).toBeLessThanOrEqual(6);
  // The colours of the leaf and its shadow are in the file as another renderer draws it.
  const picture = core.secondRendering(readFileSync(await saved.path()), 0, 150);
  const has = (wanted: readonly number[]): boolean => {
    for (let at = 0; at < picture.data.length; at += picture.channels)
      if (wanted.every((value, c) => Math.abs((picture.data[at + c] ?? 0) - value) < 6))
        return true;
    return false;
  };
  expect(has([0x5c, 0x85, 0x54])).toBe(true);
  expect(has([0x20, 0x50, 0x2d])).toBe(true);
  expect(has([0xb0, 0xb0, 0xb0])).toBe(true);
});
