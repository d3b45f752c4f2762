import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { unzipSync } from 'fflate';
import { expect, openDesk, proofed, proofIs, test } from './workshop.ts';

const folder = mkdtempSync(join(tmpdir(), 'peel-proof-'));

proofed(
  'a finding is accepted with a note, stays so, and is looked at again; cuts are shown in their order',
  async ({ page }) => {
    await openDesk(page, 'pot-lid-seals', 'artwork');
    await page.locator('[data-element="words-3"] .hit').click();
    await page.getByLabel('The words', { exact: true }).fill('{plnt}');
    await proofIs(page, /1 /);
    await page.getByRole('link', { name: /^Proof/ }).click();
    await page.getByRole('button', { name: 'Accept …' }).click();
    await page.getByLabel('Why it may stay').fill('The list comes later');
    await page.getByRole('button', { name: 'Accept', exact: true }).click();
    await proofIs(page, 'Nothing to mend');
    await expect(page.getByText('The list comes later')).toBeVisible();
    await expect(page.getByText('Kept just now')).toBeVisible();
    await page.reload();
    await page.getByRole('button', { name: 'Look at it again' }).click();
    await proofIs(page, /1 /);
    // What is not printed is shown over the print.
    const layers = page.locator('.layers');
    await expect(layers.locator('.cut')).toHaveCount(12);
    await page.getByLabel('Order of the cuts').check();
    await expect(layers.locator('text')).toHaveText(
      Array.from({ length: 12 }, (_, at) => String(at + 1)),
    );
    await page.getByLabel('Bleed').check();
    await expect(layers.locator('.bleed')).toHaveCount(12);
    await page.getByLabel('Cut lines', { exact: true }).uncheck();
    await expect(layers.locator('.cut')).toHaveCount(0);
  },
);

test('several files come in one ZIP, are told, and the choice is remembered', async ({ page }) => {
  await openDesk(page, 'packet-backs', 'proof');
  await page.getByRole('button', { name: /^Several files/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Files of Packet backs' });
  await expect(dialog.getByText('A4, 210 mm × 297 mm')).toBeVisible();
  await dialog.getByRole('checkbox', { name: /^PDF to fill in/ }).check();
  await dialog.getByRole('checkbox', { name: /DXF/ }).check();
  await dialog.getByLabel('year').check();
  const saved = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'Save 3 files in one ZIP' }).click();
  const zip = unzipSync(new Uint8Array(readFileSync(await (await saved).path())));
  expect(Object.keys(zip).sort()).toEqual([
    'packet-backs-1.dxf',
    'packet-backs-form.pdf',
    'packet-backs.pdf',
  ]);
  await expect(dialog.getByText('packet-backs-form.pdf')).toBeVisible();
  await expect(dialog.getByText(/kB, 1 page/).first()).toBeVisible();
  const form = join(folder, 'form.pdf');
  writeFileSync(form, zip['packet-backs-form.pdf'] ?? new Uint8Array());
  const plain = execFileSync('qpdf', ['--qdf', '--object-streams=disable', form, '-'], {
    encoding: 'latin1',
  });
  // Six labels with two fields of their own, and the year once for all of them.
  expect(plain.match(/\/FT \/Tx/g)).toHaveLength(13);
  expect(plain.match(/\/Subtype \/Widget/g)).toHaveLength(18);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Several files/ }).click();
  await expect(dialog.getByRole('checkbox', { name: /DXF/ })).toBeChecked();
});

test('tags are printed on both sides: seen one by one, saved as two pages, approved on paper', async ({
  page,
}) => {
  await openDesk(page, 'plant-tags', 'sheet');
  await page.getByRole('radio', { name: 'Short edge' }).click();
  await page.getByRole('radio', { name: 'Long edge' }).click();
  await page.locator('[data-line="proof"]').click();
  const print = page.getByRole('img', { name: 'The print file, sheet 1' });
  await expect(print).toBeVisible();
  await page.getByRole('radio', { name: 'Other side' }).click();
  await page.getByRole('button', { name: /^Several files/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Files of Plant tags' });
  await expect(dialog.getByText('On, turned on the long edge')).toBeVisible();
  await dialog.getByRole('checkbox', { name: /^Sheet to approve/ }).check();
  await dialog.getByRole('checkbox', { name: /^The job, .peel/ }).check();
  const saved = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'Save 3 files in one ZIP' }).click();
  const zip = unzipSync(new Uint8Array(readFileSync(await (await saved).path())));
  const says = (name: string, ...pages: string[]): string => {
    const path = join(folder, name);
    writeFileSync(path, zip[name] ?? new Uint8Array());
    return execFileSync('pdftotext', ['-raw', ...pages, path, '-'], { encoding: 'utf8' });
  };
  expect(says('plant-tags.pdf', '-f', '1', '-l', '1').match(/Lemon Thyme/g)).toHaveLength(8);
  expect(says('plant-tags.pdf', '-f', '2', '-l', '2').match(/How it thrives/g)).toHaveLength(8);
  expect(says('plant-tags-approval.pdf')).toContain('behind Lemon Thyme');
  expect(Object.keys(zip)).toContain('plant-tags.peel');
});

test('the other side of a label is added on the artwork desk, in its shape and unmade in one step', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await page.getByRole('button', { name: 'Add the other side', exact: true }).click();
  await expect(page.getByRole('textbox', { name: /name/i }).first()).toBeVisible();
  await expect(page.locator('[data-element]')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Add the other side', exact: true })).toHaveCount(
    0,
  );
  await page.locator('[data-line="copies"]').click();
  // It is printed behind its front: there is nothing to count.
  await expect(page.getByLabel(/^Wanted of/)).toHaveCount(4);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('radio', { name: 'Long edge' })).toHaveCount(0);
});
