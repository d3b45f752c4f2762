import { readFileSync } from 'node:fs';
import { expect, finishRun, fromShelf, openDesk, test, toCounting } from './workshop.ts';

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
  await page.getByRole('button', { name: 'Print', exact: true }).click();
  await expect(page.getByText('The printer waits: Paper is jammed.')).toBeVisible({
    timeout: 60_000,
  });
  // Somebody sees to the printer.
  await page.evaluate(async () => {
    const { token } = (await (await fetch('/api/bridge/token')).json()) as { token: string };
    const headers = { 'Content-Type': 'application/json', 'x-little-peel': token };
    await fetch('/api/bridge/stand-ins', { method: 'POST', headers, body: '{"lost":true}' });
  });
  await expect(page.getByRole('heading', { name: 'Let it dry' })).toBeVisible({ timeout: 60_000 });
  await page.locator('[data-do]').click();
  // The cutter loses the line: the step stays, and nothing is counted as done.
  await expect(page.getByRole('img', { name: 'The way of the knife' })).toBeVisible();
  await page.getByRole('button', { name: 'Cut', exact: true }).click();
  await expect(page.locator('[data-kind="problem"]')).toContainText('was lost', {
    timeout: 60_000,
  });
  await expect(page.getByRole('heading', { name: 'Lay sheet 1 of 4 in and cut' })).toBeVisible();
  await page.evaluate(async () => {
    const { token } = (await (await fetch('/api/bridge/token')).json()) as { token: string };
    const headers = { 'Content-Type': 'application/json', 'x-little-peel': token };
    await fetch('/api/bridge/stand-ins', { method: 'POST', headers, body: '{}' });
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
  await openDesk(page, 'pot-lid-seals', 'run');
  await page.getByLabel('The sheet lies the other way round').check();
  await page.getByRole('button', { name: 'Rehearse it' }).click();
  await expect(page.locator('[data-report]')).toContainText('other way round', {
    timeout: 90_000,
  });
  await page.getByRole('button', { name: 'Rehearse this sheet 200 times' }).click();
  const chances = page.locator('[data-chances]');
  await expect(chances.locator('[data-needed]')).toBeVisible({ timeout: 60_000 });
  await expect(chances).toContainText('No label shows paper.');
});
