import { announce } from '../tools/announce.ts';
import { core } from './bundled-core.ts';
import { serialCutter } from './serial-cutter.ts';
import { discPng, enterIn, expect, fromShelf, openShelf, test, toCounting } from './workshop.ts';

test('from a printer that is found to labels that are cut on a cable', async ({ page }) => {
  const printer = new core.SimulatedNetworkPrinter(async function* () {
    for (let sheet = 0; sheet < 1; sheet++) {
      await Promise.resolve();
      yield discPng(20);
    }
  });
  printer.inks = [80, 8, 70, 60];
  const line = announce({ _ipp: await printer.listen(0) });
  const device = await serialCutter();
  await openShelf(page, 'pot-lid-seals');
  await page.getByRole('link', { name: 'Stock room' }).click();
  await page.getByRole('radio', { name: 'Printers' }).click();
  await page.getByRole('button', { name: 'Look for devices' }).click();
  const found = page.getByRole('region', { name: 'Found in this network and on cables' });
  await expect(found).toContainText('Looking for devices');
  await expect(found).toContainText('Potting bench');
  await expect(found).toContainText('Black only · Takes PDF');
  await expect(found.locator('[data-kind="cutter"]')).toContainText('Workshop, by the window');
  // Nothing was sent to it before it is added.
  await found.getByRole('button', { name: 'Add: Bench printer' }).click();
  await expect(found.locator('[data-kind="printer"]')).toContainText('In the workshop');
  await expect(page.getByRole('list', { name: 'What is left in it' })).toContainText('8 %');
  await expect(page.getByText('Runs low: magenta ink.')).toBeVisible();
  await expect(page.getByRole('radio', { name: /Bench printer/ }).getByRole('img')).toHaveCount(0);
  await expect(page.locator('.printer img')).toBeVisible(); // its own picture
  // Which way round its paper goes.
  await page.getByRole('button', { name: 'Print a test page' }).click();
  await expect(page.getByText('The test page is printed.')).toBeVisible();
  expect(printer.done.map(({ name }) => name)).toEqual(['Test page']);
  await page.getByRole('button', { name: /On the other side, the arrow away/ }).click();
  await expect(page.locator('[data-load="down bottom"]')).toBeVisible();

  await page.getByRole('radio', { name: 'Cutters' }).click();
  await found.getByRole('button', { name: 'Add by its address' }).click();
  const address = page.getByLabel('Address of the cutter');
  await address.fill(`serial:${device.port}`);
  await address.press('Enter');
  await page.getByLabel('Language').selectOption({ label: 'HPGL, set by hand' });
  await page.getByLabel('Bits a second').selectOption('115200');
  await found.getByRole('button', { name: 'Close' }).click();

  await page.getByRole('link', { name: 'Shelf' }).click();
  await fromShelf(page, 'pot-lid-seals', 'sheet');
  for (const wanted of await page.getByLabel(/^Wanted of/).all()) await enterIn(wanted, '0');
  await enterIn(page.getByLabel(/^Wanted of/).first(), '36');
  await expect(page.locator('[data-line="copies"]')).toContainText('36 wanted');
  await page.locator('[data-line="run"]').click();
  await page.getByRole('radio', { name: 'For real' }).click();
  // The printer that was found is the one that prints.
  await expect(page.getByLabel('Prints on')).toHaveValue(/^printer/);
  await page.getByLabel('Cuts on').selectOption({ label: 'My cutter' });
  await expect(page.locator('[data-load="down bottom"]')).toContainText(
    'Lay the sheets in with the side to print looking down, the bottom end first.',
  );
  const print = page.getByRole('button', { name: 'Print', exact: true });
  await expect(page.getByText('Runs low: magenta ink.')).toBeVisible();
  await expect(print).toBeEnabled();
  // What is used up stops it, until somebody has seen to it.
  printer.inks = [80, 0, 70, 60];
  await page.reload();
  await page.getByRole('radio', { name: 'For real' }).click();
  await expect(page.getByText('See to the printer first: Used up: magenta ink.')).toBeVisible();
  await expect(print).toBeDisabled();
  printer.inks = [80, 100, 70, 60];
  await expect(print).toBeEnabled();
  await print.click();
  await expect(page.getByRole('heading', { name: 'Let it dry' })).toBeVisible();
  // Three sheets that are alike were sent once, to be copied by the printer.
  expect(printer.done.map(({ name, pages }) => [name, pages.length])).toEqual([
    ['Pot-lid seals', 3],
    ['Test page', 1],
  ]);
  await page.locator('[data-do]').click();
  await page.getByRole('button', { name: 'Cut', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Lay sheet 2 of 3 in and cut' })).toBeVisible();
  expect(device.came()).toMatch(/^IN;\nPA;\n[^]*PU0,0;SP0;\n$/);
  await toCounting(page);
  device.end();
  line.destroy();
  await printer.close();
});
