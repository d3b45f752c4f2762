import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import {
  enter,
  enterIn,
  expect,
  finishRun,
  fromShelf,
  openDesk,
  test,
  toCounting,
} from './workshop.ts';

/** Lets something go wrong in the simulated devices from outside of the page's own cards. */
const setFaults = (page: Page, faults: string): Promise<void> =>
  page.evaluate(async (body) => {
    const { token } = (await (await fetch('/api/bridge/token')).json()) as { token: string };
    const headers = { 'Content-Type': 'application/json', 'x-little-peel': token };
    await fetch('/api/bridge/simulated', { method: 'POST', headers, body });
  }, faults);

/** The run of labels that fill one sheet: a rehearsal takes its time for each. */
async function openOneSheet(page: Page): Promise<void> {
  await openDesk(page, 'pot-lid-seals', 'sheet');
  for (const wanted of await page.getByLabel(/^Wanted of/).all()) await enterIn(wanted, '3');
  await expect(page.locator('[data-line="copies"]')).toContainText('12 wanted');
  await page.locator('[data-line="run"]').click();
}

test('printed and cut over the network on devices that jam and lose the line, then noted in the ledger', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'run');
  await page.getByRole('radio', { name: 'For real' }).click();
  await page.getByRole('link', { name: 'Add a printer or cutter' }).click();
  // What is no address is refused; what is one has to be confirmed.
  await page.getByRole('button', { name: 'Add a printer' }).click();
  const address = page.getByLabel('Address of the printer');
  await address.fill('lp0');
  await page.getByRole('button', { name: 'Confirm' }).click();
  await expect(page.locator('[data-kind="problem"]')).toContainText('“lp0” is no address');
  await page.getByRole('button', { name: 'Start them' }).click();
  await page.getByRole('button', { name: 'Add both to the workshop' }).click();
  await page.getByLabel('Printer', { exact: true }).selectOption({ label: 'Paper jams' });
  await expect(page.getByLabel('Printer', { exact: true })).toHaveValue('jam');

  await page.getByRole('link', { name: 'Shelf' }).click();
  await fromShelf(page, 'pot-lid-seals', 'run');
  await page.getByRole('radio', { name: 'For real' }).click();
  await page.getByLabel('Prints on').selectOption({ label: 'Simulated printer' });
  await page.getByLabel('Cuts on').selectOption({ label: 'Simulated cutter' });
  // The printer was asked what it can; the material says what it is asked for.
  await expect(page.getByLabel('Paper kind')).toHaveValue('labels');
  await page.getByLabel('From the tray').selectOption({ label: 'Fed by hand' });
  await page.getByLabel('Quality', { exact: true }).selectOption('high');
  await expect(page.locator('[data-step]')).toContainText(
    'It is asked for labels, high quality, fed by hand, and never to scale.',
  );
  // It said that it is jammed; whoever knows better prints all the same.
  const print = page.getByRole('button', { name: 'Print', exact: true });
  await expect(page.getByText('See to the printer first: Paper is jammed.')).toBeVisible();
  await expect(print).toBeDisabled();
  await page.getByRole('button', { name: 'Print all the same' }).click();
  await print.click();
  await expect(page.getByText('The printer waits: Paper is jammed.')).toBeVisible({
    timeout: 60_000,
  });
  // Somebody sees to the printer.
  await setFaults(page, '{"lost":true}');
  await expect(page.getByRole('heading', { name: 'Let it dry' })).toBeVisible({ timeout: 60_000 });
  await page.locator('[data-do]').click();
  // The cutter loses the line: the step stays, and nothing is counted as done.
  await expect(page.getByRole('img', { name: 'The knife path' })).toBeVisible();
  await page.getByRole('button', { name: 'Cut', exact: true }).click();
  await expect(page.locator('[data-kind="problem"]')).toContainText('was lost', {
    timeout: 60_000,
  });
  await expect(page.getByRole('heading', { name: 'Lay sheet 1 of 4 in and cut' })).toBeVisible();
  await expect(page.getByLabel('Go on from cut')).toHaveValue('1');
  await setFaults(page, '{}');
  // The sensor is passed over: the pointer is moved onto three marks, then the sheet is cut by them.
  await page.getByRole('button', { name: /show them by hand/ }).click();
  await page.getByRole('radio', { name: '1 mm', exact: true }).click();
  await page.getByRole('button', { name: 'Right', exact: true }).click();
  await page.getByRole('group', { name: 'Move the pointer of the cutter' }).press('ArrowDown');
  await expect(page.getByText('12.0 · 12.0')).toBeVisible();
  for (const name of ['It is on the mark', 'It is on the mark', 'Cut by these marks'])
    await page.getByRole('button', { name, exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Lay sheet 2 of 4 in and cut' })).toBeVisible({
    timeout: 60_000,
  });
  // The next one by a picture of it, as for a cutter that has no sensor at all.
  await page.getByRole('button', { name: 'Find the marks in a picture of the sheet' }).click();
  await page.getByRole('button', { name: 'Try it with a simulated picture' }).click();
  await expect(page.locator('[data-lies]')).toContainText('4 of 4 marks are found.', {
    timeout: 60_000,
  });
  await page.getByRole('button', { name: 'Cut by these marks' }).click();
  await expect(page.getByRole('heading', { name: 'Lay sheet 3 of 4 in and cut' })).toBeVisible({
    timeout: 60_000,
  });
  await toCounting(page);
  await page.locator('[data-label]').first().press('Enter');
  await expect(page.locator('[data-good]')).toHaveText('47 of 48 good');
  await finishRun(page);

  await page.getByRole('link', { name: 'Ledger' }).click();
  await expect(page.locator('[data-good]')).toHaveText('47');
  const row = page.locator('[data-run]');
  await expect(row).toContainText('Pot-lid seals');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  expect(readFileSync(await (await saved).path(), 'utf8')).toContain('Pot-lid seals');
  await row.getByRole('button', { name: /Take the run/ }).click();
  await expect(page.getByText('Every finished run is noted here')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toHaveCount(1);
  // What the devices did is seen as pictures.
  await page.goto('/stock/cutters');
  await expect(page.getByRole('img', { name: 'Printed: Pot-lid seals' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Cut', exact: true }).first()).toBeVisible();
});

test('a rehearsal tells before paper is spent: faults of the devices, and the chance of paper at the edge', async ({
  page,
}) => {
  await openOneSheet(page);
  await page.getByLabel('The sheet lies the other way round').check();
  await page.getByRole('button', { name: 'Rehearse it' }).click();
  await expect(page.locator('[data-report]')).toContainText('other way round', {
    timeout: 90_000,
  });
  await page.getByRole('button', { name: 'Rehearse this sheet 200 times' }).click();
  const chances = page.locator('[data-chances]');
  await expect(chances.locator('[data-needed]')).toBeVisible({ timeout: 60_000 });
  await expect(chances).toContainText('No label shows paper.');
  // Without any bleed about each label would show paper; one step takes what is tried.
  const whatIf = chances.getByRole('group', { name: 'What if' });
  await enter(page, 'Bleed were', '0');
  await expect(whatIf.locator('[data-shows]')).toContainText(/^(9\d|100) % of labels/);
  await enter(page, 'Bleed were', '3');
  await expect(whatIf.locator('[data-shows]')).toContainText('0 % of labels');
  await enter(page, 'Gap were', '0');
  await expect(whatIf.locator('[data-enters]')).not.toContainText(/^0 %/);
  await enter(page, 'Gap were', '6');
  await whatIf.getByRole('radio', { name: '6' }).click();
  await expect(whatIf.locator('[data-off]')).toContainText('99 of 100 cuts', { timeout: 60_000 });
  await whatIf.getByRole('button', { name: 'Take these' }).click();
  await expect(page.locator('[data-line="edge"]')).toContainText('bleed 3 mm');
});

test('marks that the sensor misses are set on the picture, and the sheet is cut by them', async ({
  page,
}) => {
  await openOneSheet(page);
  await page.getByLabel('The sensor misses two marks').check();
  await page.getByRole('button', { name: 'Rehearse it' }).click();
  await expect(page.locator('[data-report]')).toContainText('Only 2 of 4 marks', {
    timeout: 90_000,
  });
  await page.getByRole('button', { name: 'Set the marks by hand' }).click();
  const picture = page.getByRole('img', { name: 'The sheet as the cutter sees it' });
  await expect(picture).toBeVisible();
  // As a hand does it: the middle of what is dark near each circle.
  const frame = await picture.boundingBox();
  if (!frame) throw new Error('no picture');
  for (const number of [1, 2, 3, 4]) {
    const circle = page.getByRole('button', { name: `Mark ${number}`, exact: true });
    const box = await circle.boundingBox();
    if (!box) throw new Error('no circle');
    const at = { x: box.x + box.width / 2 - frame.x, y: box.y + box.height / 2 - frame.y };
    const middle = await picture.evaluate(
      (canvas: HTMLCanvasElement, { x, y }: { x: number; y: number }) => {
        const scale = canvas.width / canvas.clientWidth;
        const reach = Math.round(canvas.width / 30);
        const [left, top] = [Math.round(x * scale) - reach, Math.round(y * scale) - reach];
        const copy = new OffscreenCanvas(2 * reach, 2 * reach);
        const context = copy.getContext('2d', { willReadFrequently: true });
        if (!context) throw new Error('no canvas');
        context.drawImage(canvas, -left, -top);
        const { data } = context.getImageData(0, 0, 2 * reach, 2 * reach);
        let [sum, across, down] = [0, 0, 0];
        for (let index = 0; index < 4 * reach * reach; index++) {
          if ((data[index * 4] ?? 255) > 90) continue;
          sum++;
          across += index % (2 * reach);
          down += Math.floor(index / (2 * reach));
        }
        return [(left + across / sum) / scale, (top + down / sum) / scale];
      },
      at,
    );
    await circle.hover();
    await page.mouse.down();
    await page.mouse.move(frame.x + (middle[0] ?? 0), frame.y + (middle[1] ?? 0));
    await page.mouse.up();
  }
  await page.getByRole('button', { name: 'Cut by these marks' }).click();
  const worst = page.locator('[data-worst]');
  await expect(worst).toBeVisible({ timeout: 90_000 });
  await expect(page.getByText('Sea Holly, no. 3', { exact: true })).toBeVisible();
  // By hand on a picture of a third of a millimetre a pixel.
  expect(parseFloat(await worst.innerText())).toBeLessThan(0.8);
  await page.getByRole('radio', { name: 'On the thing' }).click();
  await expect(
    page.getByRole('img', { name: 'A label on its thing' }).locator('image'),
  ).toBeVisible();
});

test('the right force is found by a test grid and stays with the material', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'run');
  await page.goto('/stock/materials');
  await page.getByRole('button', { name: 'Find force and speed by a test' }).click();
  const sheet = page.waitForEvent('download');
  await page.getByRole('button', { name: '1. Save the print' }).click();
  expect((await sheet).suggestedFilename()).toBe('matt-paper-test.pdf');
  const lines = page.waitForEvent('download');
  await page.getByRole('button', { name: '2. Cut it' }).click();
  expect(readFileSync(await (await lines).path(), 'latin1')).toMatch(/^IN;\nPA;\nSP1;VS10;FS48;\n/);
  await page.getByLabel('Note').fill('new blade');
  await page.getByRole('button', { name: '96 g at 200 mm a second' }).click();
  await expect(page.getByText(/Tested on .*: Kiss cut, new blade/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/Tested on .*: Kiss cut, new blade/)).toBeVisible();
});
