import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { core } from './bundled-core.ts';
import { discPng, expect, fromShelf, openShelf, test } from './workshop.ts';

const folder = mkdtempSync(join(tmpdir(), 'peel-printers-'));

test('a printer that feeds off-centre is measured in a picture, checked by a second sheet, and corrected', async ({
  page,
}) => {
  await openShelf(page, 'peat-free-dots');
  await page.getByRole('link', { name: 'Stock room' }).click();
  await page.getByRole('radio', { name: 'Printers' }).click();
  await page.getByRole('button', { name: 'Add a printer' }).click();
  await page.getByLabel('Name of the printer').fill('Bench printer');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('radio', { name: /Bench printer/ })).toContainText('not measured');

  // The sheet to print is a PDF of the paper's size.
  const sheet = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the calibration sheet' }).click();
  const path = join(folder, 'sheet.pdf');
  writeFileSync(path, readFileSync(await (await sheet).path()));
  expect(execFileSync('pdfinfo', [path], { encoding: 'utf8' })).toMatch(/Page size:.*A4/);

  // What shows no sheet is refused with what to do.
  const wrong = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a picture …' }).click();
  await (await wrong).setFiles({ name: 'dot.png', mimeType: 'image/png', buffer: discPng(300) });
  await expect(page.locator('[data-kind="problem"]')).toContainText(/“dot\.png”/);

  // Where the paper is not found in it, a hand says where its corners are.
  await page.getByRole('button', { name: 'Set the corners of the sheet by hand' }).click();
  const corner = page.getByRole('button', { name: 'Corner top left' });
  await corner.focus();
  await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: 'Look again' }).click();
  await expect(page.locator('[data-kind="problem"]')).toContainText(/shows no calibration sheet/);

  await page.getByRole('button', { name: 'Try it with a simulated picture' }).click();
  const result = page.locator('.card', { hasText: 'What was found' });
  await expect(result).toContainText('14 of 14', { timeout: 60_000 });
  await expect(result).toContainText('0.30° clockwise');
  await result.getByRole('button', { name: 'Correct every page by this' }).click();
  await expect(page.getByRole('radio', { name: /Bench printer/ })).toContainText(
    /1\.[56]\d mm off/,
  );

  await page.getByRole('button', { name: 'Try it with a simulated picture' }).click();
  await expect(result).toContainText('With the correction', { timeout: 60_000 });
  await result.getByRole('button', { name: 'Note this check' }).click();
  await expect(page.getByText('Check sheet was off by')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Check sheet was off by')).toBeVisible();

  // A job on a bought sheet is printed through the correction, and the choice is remembered.
  await page.getByRole('link', { name: 'Shelf' }).click();
  await fromShelf(page, 'peat-free-dots', 'proof');
  await page.getByRole('button', { name: /^Several files/ }).click();
  await page.getByLabel('Printed on').selectOption({ label: 'Bench printer' });
  await expect(page.getByText(/Moves the print by up to 1\.[56]/)).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it' }).click();
  const print = join(folder, 'dots.pdf');
  writeFileSync(print, readFileSync(await (await saved).path()));
  const plain = execFileSync('qpdf', ['--qdf', '--object-streams=disable', print, '-'], {
    encoding: 'latin1',
  });
  // Turned back by 0.3°: the page is no longer drawn straight.
  expect(plain).toMatch(/2\.8[34]\d* 0?\.01\d*/);
});

test('with a ruler: readings at four crosses give the correction, which can be taken back', async ({
  page,
}) => {
  await openShelf(page, 'peat-free-dots');
  await page.goto('/stock/printers');
  await page.getByRole('button', { name: 'Add a printer' }).click();
  await page.getByRole('button', { name: 'Measure with a ruler instead' }).click();
  for (const [letter, side, end] of [
    ['A', '19', '17.5'],
    ['B', '17', '17.5'],
    ['C', '17', '18.5'],
    ['D', '19', '18.5'],
  ] as const) {
    for (const [name, value] of [
      [`Cross ${letter}: to the left or right side`, side],
      [`Cross ${letter}: to the top or bottom`, end],
    ] as const) {
      await page.getByLabel(name).fill(value);
      await page.keyboard.press('Enter');
    }
  }
  const result = page.locator('.card', { hasText: 'What was found' });
  await expect(result).toContainText('1.00 mm right');
  await expect(result).toContainText('0.50 mm up');
  await expect(result).toContainText('0.00° clockwise');
  await result.getByRole('button', { name: 'Correct every page by this' }).click();
  await page.getByRole('button', { name: 'Print without correction' }).click();
  await expect(page.getByRole('radio', { name: /My printer/ })).toContainText('not measured');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('radio', { name: /My printer/ })).toContainText('1.12 mm off');
});

test('a printer over TLS is trusted by its fingerprint, and told who prints', async ({ page }) => {
  const { fingerprint, ...tls } = core.ownCertificate();
  const printer = new core.SimulatedNetworkPrinter(
    async function* () {
      await Promise.resolve();
      yield Uint8Array.of(1);
    },
    { tls, login: { user: 'maker', password: 'gooseberry' } },
  );
  const port = await printer.listen(0);
  await openShelf(page);
  await page.getByRole('link', { name: 'Stock room' }).click();
  await page.getByRole('radio', { name: 'Printers' }).click();
  await page.getByRole('button', { name: 'Add a printer' }).click();
  const address = page.getByLabel('Address of the printer');
  await address.fill(printer.address);
  await address.press('Enter');
  const doubt = page.getByRole('group', { name: 'Is this your printer?' });
  await expect(doubt).toContainText(fingerprint.replaceAll(':', ' '));
  await doubt.getByRole('button', { name: 'Trust it' }).click();
  const login = page.getByRole('form', { name: 'It asks who prints' });
  await login.getByLabel('Name', { exact: true }).fill('maker');
  await login.getByLabel('Password').fill('wrong');
  await login.getByLabel('Password').press('Enter');
  await expect(login).toContainText('It does not take this name and password.');
  await login.getByLabel('Password').fill('gooseberry');
  await login.getByLabel('Password').press('Enter');
  await expect(page.getByText('Takes: A4, A5')).toBeVisible();
  await expect(login).toHaveCount(0);
  await printer.close();
  // One that took its place shows another certificate.
  const { fingerprint: next, ...other } = core.ownCertificate();
  const replaced = new core.SimulatedNetworkPrinter(
    async function* () {
      /* never asked */
    },
    { tls: other },
  );
  await replaced.listen(port);
  await page.getByRole('button', { name: 'Ask it what it can' }).click();
  await expect(page.getByRole('group', { name: 'Another certificate than before' })).toContainText(
    next.replaceAll(':', ' '),
  );
  await replaced.close();
});
