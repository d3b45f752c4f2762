import { readFileSync } from 'node:fs';
import { serialCutter } from './serial-cutter.ts';
import { enterIn, expect, fromShelf, openDesk, test } from './workshop.ts';

test('a cutter on a cable is greeted, cuts as its profile says, rests, and is cancelled with its knife lifted', async ({
  page,
}) => {
  const device = await serialCutter();
  device.answer('OI;', 'Bench 24\r');
  device.answer('OA;', '0,0,0\r');
  await openDesk(page, 'pot-lid-seals', 'sheet');
  for (const wanted of await page.getByLabel(/^Wanted of/).all()) await enterIn(wanted, '3');
  await expect(page.locator('[data-line="copies"]')).toContainText('12 wanted');
  await page.getByRole('link', { name: 'Stock room' }).click();
  await page.getByRole('radio', { name: 'Cutters' }).click();
  await page.getByRole('button', { name: 'Add a cutter' }).click();
  const address = page.getByLabel('Address of the cutter');
  await address.fill('serial:/dev/sda');
  await address.press('Enter');
  await expect(page.locator('[data-kind="problem"]')).toContainText('names no port');
  await address.fill(`serial:${device.port}`);
  await address.press('Enter');
  await page.getByRole('button', { name: 'Say hello' }).click();
  await expect(page.getByText('It calls itself “Bench 24” and stands at 0,0,0.')).toBeVisible();
  await page.getByLabel('Language').selectOption({ label: 'HPGL, set by hand' });
  await page.getByLabel('Speed and force').selectOption({ label: 'Not told' });
  for (const [label, commands] of [
    ['Before the first cut', '!BENCH;\n'],
    ['After the last', '!DONE;\n'],
  ] as const) {
    await page.getByLabel(label).fill(commands);
    await page.getByLabel(label).blur();
  }
  await page.getByLabel('Bits a second').selectOption('9600');
  // The profile is a file to hand on, and comes back as it was.
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the profile' }).click();
  const profile = readFileSync(await (await download).path());
  await page.getByLabel('Language').selectOption({ label: 'As cut files are' });
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Take one from a file' }).click();
  const file = { name: 'bench.json', mimeType: 'application/json', buffer: profile };
  await (await chooser).setFiles(file);
  await expect(page.getByLabel('Before the first cut')).toHaveValue('!BENCH;\n');

  await page.getByRole('link', { name: 'Shelf' }).click();
  await fromShelf(page, 'pot-lid-seals', 'run');
  await page.getByRole('radio', { name: 'For real' }).click();
  await page.getByLabel('Cuts on').selectOption({ label: 'My cutter' });
  await page.locator('[data-do]').click();
  await expect(page.getByRole('heading', { name: 'Let it dry' })).toBeVisible();
  await page.locator('[data-do]').click();
  const cut = page.getByRole('button', { name: 'Cut', exact: true });
  const rest = page.getByRole('button', { name: 'Pause after this cut' });
  await cut.click();
  // Something has been cut before it is broken off.
  await expect(page.getByText(/Cut ([2-9]|1\d) of/)).toBeVisible();
  await rest.click();
  await expect(page.getByText('Paused, the tool is lifted')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel', exact: true }).click();
  await expect(cut).toBeVisible();
  await expect.poll(() => device.came()).toMatch(/;PU;PU0,0;SP0;\n$/);
  // It would go on from the cut that was broken off; all of it is cut anew.
  await expect(page.getByLabel('Go on from cut')).toHaveValue(/^([2-9]|1\d)$/);
  await enterIn(page.getByLabel('Go on from cut'), '1');
  const before = device.came().length;
  await cut.click();
  await rest.click();
  await expect(page.getByText('Paused, the tool is lifted')).toBeVisible();
  await page.getByRole('button', { name: 'Go on', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Take off and apply' })).toBeVisible();
  await expect.poll(() => device.came()).toMatch(/PU0,0;SP0;\n!DONE;\n$/);
  const all = device.came().slice(before);
  expect(all.startsWith('IN;\nPA;\n!BENCH;\nSP')).toBe(true);
  expect(all).not.toMatch(/VS|FS/);
  expect(all.match(/PU\d/g)?.length).toBeGreaterThan(12);
  device.end();
});
