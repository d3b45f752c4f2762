import { strToU8, zipSync } from 'fflate';
import type { Page } from '@playwright/test';
import { dropFile, expect, openDesk, runForReal, test } from './workshop.ts';

const said = (page: Page, element: string) =>
  page.locator(`[data-element="${element}"] [role="img"]`);
const drawer = (page: Page) => page.getByRole('region', { name: 'List' });
const row = (page: Page, name: string) => page.getByRole('row', { name, exact: true });

test('a file is shown before it is taken, fills the copies, and is walked through on the desk', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await page.locator('[data-element="words-3"] .hit').click();
  await page.getByRole('button', { name: 'From a list …' }).click();
  // One byte a letter, as older spreadsheets write it.
  await dropFile(page, '.drawer', {
    name: 'beds.csv',
    type: 'text/csv',
    bytes: Buffer.from(
      'plant;bed;copies\nRue;North;2\n"Ivy; dark";Wall;\nR\xfcbe;Gravel;1\n',
      'latin1',
    ),
  });
  await expect(page.getByRole('combobox', { name: 'Letters' })).toHaveValue('windows-1252');
  await expect(page.getByRole('cell', { name: 'Rübe' })).toBeVisible();
  await page.getByRole('combobox', { name: 'Between fields' }).selectOption(',');
  await expect(page.getByRole('columnheader')).toHaveCount(1);
  await page.getByRole('combobox', { name: 'Between fields' }).selectOption(';');
  await page.getByRole('button', { name: 'Take these 3 rows' }).click();
  // Two rue, one ivy, one beet; the other varieties are counted as before.
  await expect(drawer(page).getByText(/^3 rows · \d+ copies$/)).toBeVisible();
  await page.getByLabel('The words', { exact: true }).fill('');
  await page.getByRole('button', { name: 'What plant is for' }).click();
  await page.getByRole('button', { name: 'Put {plant} into the words' }).click();
  await expect(said(page, 'words-3')).toHaveAttribute('aria-label', 'Rue');
  await page.getByRole('button', { name: 'Row after' }).click();
  await expect(said(page, 'words-3')).toHaveAttribute('aria-label', 'Ivy; dark');
  await page.getByLabel('plant, row 3').fill('Red beet');
  await expect(said(page, 'words-3')).toHaveAttribute('aria-label', 'Red beet');
  await page.getByLabel('plant, row 3').press('Enter');
  await expect(page.getByLabel('plant, row 4')).toBeFocused();
  await page.getByLabel('plant, row 4').fill('Yarrow');
  await page.getByRole('button', { name: 'What plant is for' }).click();
  await page.getByRole('button', { name: 'Sort, A first' }).click();
  await expect(page.getByLabel('plant, row 1')).toHaveValue('Ivy; dark');
  await row(page, 'Red beet').getByRole('checkbox').uncheck();
  await expect(drawer(page).getByText(/^4 rows · 3 print/)).toBeVisible();
  await page.getByLabel('Find in the list').fill('ru');
  await expect(drawer(page).getByText('1 of 4 rows')).toBeVisible();
  await page.getByRole('button', { name: 'Print only these' }).click();
  await page.getByLabel('Find in the list').fill('');
  await expect(drawer(page).getByText(/^4 rows · 1 print/)).toBeVisible();
  // Next spring only what changed is printed again.
  await page.keyboard.press('Escape');
  await runForReal(page);
  await page.locator('[data-line="copies"]').click();
  await page.getByRole('button', { name: 'Print only what changed since' }).click();
  await expect(page.getByText('Nothing has changed since it was last printed.')).toBeVisible();
});

test('a workbook is read, cells are pasted from a field on, and undo brings all of it back; numbers are drawn', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openDesk(page, 'plant-tags', 'artwork');
  await page.getByRole('button', { name: 'List', exact: true }).click();
  await dropFile(page, '.drawer', {
    name: 'tags.xlsx',
    type: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    bytes: workbook([
      ['name', 'height'],
      ['Sea Kale', '75'],
      ['Thrift', '20'],
    ]),
  });
  await page.getByRole('button', { name: 'Take these 2 rows' }).click();
  await expect(page.getByLabel('name, row 2')).toHaveValue('Thrift');
  await page.evaluate(() =>
    navigator.clipboard.writeText('Rock Rose\t30\nSamphire\t25\nCampion\t60'),
  );
  await page.getByLabel('name, row 2').focus();
  await page.keyboard.press('ControlOrMeta+v');
  await expect(page.getByLabel('height, row 4')).toHaveValue('60');
  await expect(page.getByLabel('name, row 1')).toHaveValue('Sea Kale');
  await page.getByRole('button', { name: 'Delete row 1' }).click();
  await expect(page.getByLabel('name, row 1')).toHaveValue('Rock Rose');
  await page.getByRole('button', { name: /^Undo delete/ }).click();
  await page.getByRole('button', { name: /^Undo paste/ }).click();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByLabel('The table as text')).toBeVisible();
  // For raffle tags numbers are drawn, one tag for each.
  await page.getByRole('button', { name: 'Only numbers …' }).click();
  await page.getByLabel('How many').fill('40');
  await page.getByLabel('How many').press('Tab');
  await page.getByLabel('Draw at random').check();
  await page.getByRole('button', { name: 'Fill in' }).click();
  await expect(drawer(page).getByText(/^40 rows · 40 copies$/)).toBeVisible();
  const first = await page
    .getByLabel(/^number, row [1-5]$/)
    .evaluateAll((fields) => fields.map((field) => (field as HTMLInputElement).value));
  expect(new Set(first).size).toBe(5);
  expect(first.every((value) => /^0[0-4]\d$/.test(value))).toBe(true);
  expect(first).not.toEqual(['001', '002', '003', '004', '005']);
});

test('three thousand rows scroll and are typed in without the table holding them all', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openDesk(page, 'plant-tags', 'artwork');
  await page.getByRole('button', { name: 'List', exact: true }).click();
  const rows = Array.from({ length: 3000 }, (_, at) => `Plant ${at + 1}\tBed ${at % 40}`);
  await page.evaluate(
    (text) => navigator.clipboard.writeText(text),
    ['name\tbed', ...rows].join('\n'),
  );
  await page.getByLabel('The table as text').focus();
  await page.keyboard.press('ControlOrMeta+v');
  await page.getByRole('button', { name: 'Take these 3000 rows' }).click();
  await expect(drawer(page).getByText(/^3000 rows/)).toBeVisible();
  const table = page.getByRole('table', { name: 'List' });
  await expect(table).toHaveAttribute('aria-rowcount', '3001');
  await table.evaluate((box) => (box.scrollTop = 2500 * 30));
  await page.getByLabel('name, row 2505').fill('Thrift');
  expect(await table.getByRole('row').count()).toBeLessThan(40);
  await page.getByLabel('Find in the list').fill('thrift');
  await expect(drawer(page).getByText('1 of 3000 rows')).toBeVisible();
});

test('one copy differs: typed on the sheet, changed on the desk, used on all, and undone', async ({
  page,
}) => {
  await openDesk(page, 'seed-packets', 'sheet');
  const copy = page.locator('[data-copy="piece-1#r3"]');
  await copy.click();
  await page.getByLabel('Words 2 of this copy').fill('Bronze Fennel');
  await expect(page.getByText('Has its own words.')).toBeVisible();
  await expect(copy.locator('.own')).toBeVisible();
  await page.getByRole('link', { name: 'Change this copy alone …' }).click();
  await expect(page.getByText('Changes go to this copy alone')).toBeVisible();
  await expect(said(page, 'words-2')).toHaveAttribute('aria-label', 'Bronze Fennel');
  await page.locator('[data-element="words-4"] .hit').click();
  await page.getByLabel('The words', { exact: true }).fill('Sow: any time');
  // What belongs to all copies is refused for one alone.
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Change every copy' }).click();
  await expect(page.getByText('Changes go to every copy')).toBeVisible();
  await expect(said(page, 'words-4')).toHaveAttribute('aria-label', 'Sow: April');
  await page.getByRole('button', { name: 'Change this one alone' }).click();
  await expect(said(page, 'words-4')).toHaveAttribute('aria-label', 'Sow: any time');
  await page.getByRole('button', { name: 'Use on all copies' }).click();
  await page.getByRole('button', { name: 'Row after' }).click();
  await expect(said(page, 'words-4')).toHaveAttribute('aria-label', 'Sow: any time');
  await page.getByRole('button', { name: 'Undo use on all copies' }).click();
  await expect(said(page, 'words-4')).toHaveAttribute('aria-label', 'Sow: March');
  await page.getByRole('link', { name: /^Copies/ }).click();
  // Sorted anew, the row takes what is its own along.
  await page.getByRole('button', { name: 'Fennel', exact: true }).click();
  await page.getByRole('button', { name: 'Leave its place empty' }).click();
  await expect(page.locator('path.empty')).toHaveCount(1);
  await page.getByRole('button', { name: 'Print it again' }).click();
  await expect(page.locator('path.empty')).toHaveCount(0);
  await expect(page.getByRole('banner')).toContainText('Kept just now');
  await page.reload();
  await expect(copy.locator('.own')).toBeVisible();
});

/** A workbook with one table of words, as any spreadsheet writes it (ECMA-376). */
function workbook(rows: readonly (readonly string[])[]): Buffer {
  const cell = (text: string, at: number, line: number): string =>
    `<c r="${'ABC'[at] ?? ''}${line + 1}" t="inlineStr"><is><t>${text}</t></is></c>`;
  const data = rows
    .map((fields, line) => `<row>${fields.map((text, at) => cell(text, at, line)).join('')}</row>`)
    .join('');
  const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
  const relation = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const files = {
    '[Content_Types].xml':
      '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"/>',
    'xl/workbook.xml': `<workbook xmlns="${main}" xmlns:r="${relation}"><sheets><sheet name="Tags" sheetId="1" r:id="rId1"/></sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="${relation}/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`,
    'xl/worksheets/sheet1.xml': `<worksheet xmlns="${main}"><sheetData>${data}</sheetData></worksheet>`,
  };
  return Buffer.from(
    zipSync(Object.fromEntries(Object.entries(files).map(([name, xml]) => [name, strToU8(xml)]))),
  );
}
