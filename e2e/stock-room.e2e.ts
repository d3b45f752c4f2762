import { readFileSync } from 'node:fs';
import { encode } from 'fast-png';
import {
  discPng,
  dropFile,
  enter,
  expect,
  fromShelf,
  openDesk,
  openShelf,
  test,
  runForReal,
} from './workshop.ts';

test('what is on hand is noted with its price and its gone labels, and a job begins at the first that is there', async ({
  page,
}) => {
  await openShelf(page, 'pot-lid-seals');
  await page.getByRole('link', { name: 'Stock room' }).click();
  await page.getByRole('radio', { name: 'On hand' }).click();
  await page.getByRole('button', { name: 'Look at the sheets' }).click();
  await page.getByLabel('Find a sheet by size or number').fill('round 60');
  await page.locator('.offer').first().click();
  await page.getByLabel('A favourite').check();
  await page.getByRole('button', { name: 'Put on hand' }).click();
  await page.getByRole('button', { name: 'Add a price' }).click();
  await enter(page, 'A pack costs, EUR', '15');
  await expect(page.locator('.cards')).toContainText('€0.05');
  await enter(page, 'Packs, unopened', '2');
  await page.getByLabel('Made of').selectOption('Pearl film');
  await expect(page.locator('.cards')).toContainText('needs white under light art');
  await page.getByRole('button', { name: 'Start a sheet' }).click();
  await page.getByRole('button', { name: 'Label 2, there' }).click();
  await page.getByRole('button', { name: 'Label 3, there' }).click();
  await expect(page.getByText('3 of 12 gone')).toBeVisible();
  await page.waitForTimeout(500); // until it is kept
  await page.reload();
  await expect(page.getByText('3 of 12 gone')).toBeVisible();

  await page.getByRole('link', { name: 'Shelf' }).click();
  await fromShelf(page, 'pot-lid-seals', 'stock');
  const onHand = page.getByRole('radiogroup', { name: 'On hand' }).getByRole('radio');
  await expect(onHand).toContainText('€0.05 each');
  await expect(page.getByRole('radiogroup', { name: 'Favourites' })).toContainText('60 mm');
  await onHand.click();
  await expect(page.locator('[data-line="stock"]')).toContainText('pearl film');
  await expect(page.locator('.cards')).toContainText('3 of 12 labels gone');
  await page.locator('[data-line="copies"]').click();
  await expect(page.locator('[data-copy]')).toHaveCount(9);
  await expect(page.locator('.paper .gone')).toHaveCount(3);
  // 48 labels take the nine that were left, three whole sheets, and three of another one.
  await runForReal(page);
  await page.getByRole('link', { name: 'Stock room' }).click();
  await page.getByRole('radio', { name: 'On hand' }).click();
  await expect(page.getByText('3 of 12 gone')).toHaveCount(1);
});

test('a material is changed, copied and brought back, with its price beside every sheet of a job', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'stock');
  await page.getByRole('radio', { name: 'Cream laid paper' }).click();
  await expect(page.locator('[data-line="stock"]')).toContainText('cream laid paper');
  await page.getByRole('link', { name: 'Price and settings' }).click();
  await expect(page.getByRole('radio', { name: 'Cream laid paper' })).toBeChecked();
  await page.getByRole('button', { name: 'Add a price' }).click();
  await enter(page, 'A pack costs, EUR', '30');
  await enter(page, 'Drying, minutes', '90');
  await expect(page.getByRole('radio', { name: 'Cream laid paper' })).toContainText(
    'dries 2 hours',
  );
  await page.goBack();
  await page.getByRole('radio', { name: 'Cream laid paper' }).click();
  const a4 = page
    .getByRole('radiogroup', { name: 'Plain sheets' })
    .getByRole('radio', { name: /^A4/ });
  await expect(a4).toContainText('€0.10 each');
  await page.getByRole('link', { name: 'Price and settings' }).click();
  await page.getByRole('button', { name: 'As it shipped' }).click();
  await expect(page.getByRole('button', { name: 'Add a price' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Drying, minutes')).toHaveValue('90');
  await page.getByRole('button', { name: 'A material like this' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Cream laid paper, copy');
});

/** A phone picture of a sheet of 12 labels of 60 x 50 mm on a dark table, turned by 3°. */
function photo(): Buffer {
  const [width, height, perMm] = [1200, 1600, 4.8];
  const [c, s] = [Math.cos((3 * Math.PI) / 180), Math.sin((3 * Math.PI) / 180)];
  const data = new Uint8Array(width * height * 3);
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at += 3) {
      const [dx, dy] = [(x - width / 2) / perMm, (y - height / 2) / perMm];
      const [mx, my] = [c * dx + s * dy + 105, -s * dx + c * dy + 148.5];
      const on = mx > 0 && my > 0 && mx < 210 && my < 297;
      // Labels of 60 x 50 mm from 8 and 30 mm on, 67 and 62 mm apart.
      const [u, v] = [((mx - 7) % 67) - 1, ((my - 29) % 62) - 1];
      const near = mx > 7 && my > 29 && mx < 203 && my < 267 && u < 60.2 && v < 50.2;
      const edge =
        near && Math.min(Math.abs(u), Math.abs(v), Math.abs(u - 60), Math.abs(v - 50)) < 0.2;
      const beyond = u < -0.2 || v < -0.2;
      data.fill(on ? (edge && !beyond ? 150 : 244) : 70, at, at + 3);
    }
  return Buffer.from(encode({ width, height, channels: 3, data }));
}

test('a sheet is found in a phone picture, corrected by hand, kept and handed on as a file', async ({
  page,
}) => {
  await page.goto('/stock');
  await page.getByRole('button', { name: 'Measure your own sheet' }).click();
  await dropFile(page, '.measured', { name: 'Jam sheet.png', type: 'image/png', bytes: photo() });
  await expect(page.getByText('12 labels found')).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'Label 12' }).focus();
  await expect(page.getByLabel('Middle from the left')).toHaveValue(/^172(\.[01])? mm$/);
  await page.keyboard.press('Delete');
  await expect(page.getByText('11 labels found')).toBeVisible();
  await page.getByRole('button', { name: 'Set the corners' }).click();
  await expect(page.getByRole('button', { name: 'Corner top left' })).toBeVisible();
  await page.getByRole('button', { name: 'Look again' }).click();
  await expect(page.getByText('12 labels found')).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'Keep this sheet' }).click();
  const card = page.locator('.cards');
  await expect(card).toContainText('Jam sheet');
  await expect(card).toContainText(/(59\.[89]|60(\.[12])?) mm × (49\.[89]|50(\.[12])?) mm/);
  const kept = page.waitForEvent('download');
  await card.getByRole('button', { name: 'JSON' }).click();
  const file = readFileSync(await (await kept).path());
  const printed = page.waitForEvent('download');
  await card.getByRole('button', { name: 'Print a test on plain paper' }).click();
  expect((await printed).suggestedFilename()).toBe('jam-sheet-test.pdf');
  await page.getByRole('button', { name: 'Forget this sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Your sheets' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Measure your own sheet' }).click();
  await dropFile(page, '.measured', {
    name: 'Jam sheet.json',
    type: 'application/json',
    bytes: file,
  });
  await expect(page.getByText('12 labels found')).toBeVisible();
  await dropFile(page, '.measured', { name: 'Empty.png', type: 'image/png', bytes: discPng(40) });
  await expect(page.getByText('No cut line was seen')).toBeVisible({ timeout: 20_000 });
  await dropFile(page, '.measured', {
    name: 'Jam sheet.json',
    type: 'application/json',
    bytes: file,
  });
  await expect(page.getByText('12 labels found')).toBeVisible();
  await dropFile(page, '.measured', {
    name: 'notes.txt',
    type: 'text/plain',
    bytes: Buffer.from('x'),
  });
  await expect(page.getByText('“notes.txt” is no template that can be read.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep this sheet' }).click();
  await page.getByRole('button', { name: 'Label with this sheet' }).click();
  await page.locator('[data-line="copies"]').click();
  await expect(page.locator('[data-copy]')).toHaveCount(12);
});

test('a price that is typed is kept, though the page is left at once by another address', async ({
  page,
}) => {
  await openShelf(page, 'pot-lid-seals');
  await page.goto('/stock/materials');
  await page.getByRole('radio', { name: 'Cream laid paper' }).click();
  await page.getByRole('button', { name: 'Add a price' }).click();
  const price = page.getByLabel('A pack costs, EUR');
  await price.fill('17.5');
  await page.goto('/stock/sheets');
  await page.goto('/stock/materials');
  await page.getByRole('radio', { name: 'Cream laid paper' }).click();
  await expect(price).toHaveValue('17.5');
  await price.fill('18');
  await page.reload();
  await page.getByRole('radio', { name: 'Cream laid paper' }).click();
  await expect(price).toHaveValue('18');
});
