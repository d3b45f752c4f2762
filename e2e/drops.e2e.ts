import { readFileSync } from 'node:fs';
import { strToU8 } from 'fflate';
import { discPng, dropFile, expect, openDesk, test } from './workshop.ts';

const csv = (text: string): Buffer => Buffer.from(strToU8(text));

test('a list, a picture and a job that are dropped on any desk go to where they belong', async ({
  page,
}) => {
  await openDesk(page, 'plant-tags', 'sheet');
  await dropFile(page, '.bench', {
    name: 'herbs.csv',
    type: 'text/csv',
    bytes: csv('name,bed\nThyme,1\nSage,2\n'),
  });
  await expect(page).toHaveURL(/artwork\?list=open/);
  await expect(page.getByText('Sage')).toBeVisible();
  await page.keyboard.press('Escape');

  await page.locator('[data-line="edge"]').click();
  await dropFile(page, '.ticket', { name: 'disc.png', type: 'image/png', bytes: discPng(200) });
  await expect(page).toHaveURL(/artwork/);
  await expect(page.getByRole('button', { name: 'Undo add picture' })).toBeVisible();

  await dropFile(page, '.bench', {
    name: 'peat-free-dots.peel',
    type: 'application/zip',
    bytes: readFileSync('.cache/public/demo/peat-free-dots.peel'),
  });
  await expect(page.locator('article', { hasText: 'Peat-free dots' })).toBeVisible();
  await dropFile(page, 'header', { name: 'plants.tsv', type: '', bytes: csv('a\tb') });
  await expect(page.getByText('open the job, then drop the list on it')).toBeVisible();
});

test('a palette file is kept for every job wherever it is dropped, and one without colours is refused', async ({
  page,
}) => {
  await openDesk(page, 'plant-tags', 'sheet');
  const drop = (name: string, text: string) =>
    dropFile(page, '.bench', { name, type: '', bytes: csv(text) });
  await drop('empty.gpl', 'Name: Nothing\n');
  await expect(page.locator('[data-kind="problem"]')).toContainText('names no two colours');
  await drop('moor.gpl', 'Name: Moor in March\n42 27 46 Ink\n247 243 236 Paper\n');
  await expect(page.getByText('“Moor in March”, 2 colours, is kept')).toBeVisible();
  await page.locator('[data-line="artwork"]').click();
  await expect(page.getByRole('button', { name: 'Use Moor in March' })).toBeVisible();
});
