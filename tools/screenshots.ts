// Makes every picture in docs/screenshots/ from the demo workshop: npm run screenshots
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { encodePngImage } from '../core/raster/index.ts';
import { starFlowers } from '../demo/art/borage.ts';
import { PHOTOGRAPHS } from '../demo/art/photographs.ts';
import { broadLeaf, frond } from '../demo/art/woodland.ts';
import { announce } from './announce.ts';
import { BROWSER, visit } from './browser.ts';

const PORT = 4377;
const URL = `http://localhost:${PORT}`;
const JOB = `${URL}/job/demo-pot-lid-seals`;
const SET = `${URL}/job/demo-balm-tins`;

/** Drawings that come in beside photographs. */
const DRAWINGS = {
  Borage: starFlowers({
    petal: '#5a68c8',
    shade: '#333f94',
    eye: '#2a2350',
    leaf: '#4f7f4a',
    light: '#b9d4a8',
  }),
  'Lime leaf': broadLeaf('#5f8f4a', '#e2eec6', '#6b5a34'),
  'Hart’s tongue': frond('#2f6b4f', '#7fae63'),
};

const server = spawn(process.execPath, ['dist/node/server.mjs'], {
  env: { ...process.env, PORT: String(PORT), LOOK_IN: '127.0.0.1' },
  stdio: 'ignore',
});
const browser = await chromium.launch(BROWSER);
const page = await (
  await browser.newContext({ viewport: { width: 1280, height: 800 }, colorScheme: 'light' })
).newPage();
const shoot = async (name: string): Promise<void> => {
  await page.waitForTimeout(600);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};
const proofIsDone = (): Promise<void> =>
  page.locator('[data-line="proof"]', { hasText: 'Nothing to mend' }).waitFor({ timeout: 60_000 });

/** A run for real to its end, of which some labels were spoiled; its cut is the picture of runs. */
async function finishedRun(job: string, spoiled: number): Promise<void> {
  await page.goto(`${URL}/job/demo-${job}/run`);
  await page.locator('.ticket').waitFor();
  await page.getByRole('radio', { name: 'For real' }).click();
  const heading = page.locator('[data-step] h1');
  for (let steps = 0; steps < 30; steps++) {
    const title = await heading.innerText();
    if (title.startsWith('Count')) break;
    if (spoiled === 3 && title.includes('2 of 4')) {
      await page.getByRole('button', { name: 'Play' }).click();
      await page.waitForTimeout(6000);
      await page.getByRole('button', { name: 'Pause' }).click();
      await shoot('run');
    }
    await page.locator('[data-do]').click();
    await heading.filter({ hasNotText: title }).waitFor({ timeout: 60_000 });
  }
  for (let at = 0; at < spoiled; at++)
    await page
      .locator('[data-label]')
      .nth(at * 2)
      .click();
  await page.locator('[data-do]').click();
  await page.getByText('The run is in the ledger').waitFor();
}

try {
  await visit(page, URL);
  await page.locator('article').nth(2).waitFor();
  await page.waitForTimeout(1500);
  await shoot('shelf');
  await page.goto(`${JOB}/size`);
  await proofIsDone();
  await shoot('size');
  await page.locator('[data-line="stock"]').click();
  await shoot('stock');
  await page.goto(`${SET}/artwork`);
  await proofIsDone();
  await shoot('artwork');
  await page.goto(`${URL}/job/demo-bulb-box-bands/artwork`);
  await page.getByRole('button', { name: 'Start from' }).click();
  await page.getByRole('combobox', { name: 'For', exact: true }).selectOption('plants');
  await page.waitForTimeout(2500);
  await shoot('designs');
  await page.goto(`${SET}/artwork`);
  await page.locator('[data-line="copies"]').click();
  await page.locator('[data-copy]').nth(4).click();
  await proofIsDone();
  await shoot('sheet');
  await page.locator('[data-line="proof"]').click();
  await page.locator('.page canvas').waitFor();
  await shoot('proof');
  await page.goto(`${JOB}/run`);
  await page.getByRole('button', { name: 'Rehearse it' }).click();
  await page.locator('[data-report]').waitFor({ timeout: 120_000 });
  await shoot('run-report');
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('radio', { name: 'Dark' }).click();
  await page.keyboard.press('Escape');
  await page.goto(`${URL}/job/demo-bulb-box-bands/artwork`);
  await page.locator('.zones').waitFor();
  await proofIsDone();
  await shoot('artwork-dark');
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('radio', { name: 'Light' }).click();
  await page.keyboard.press('Escape');
  await page.goto(`${URL}/job/demo-seed-packets/artwork`);
  await proofIsDone();
  await page.getByRole('button', { name: 'List', exact: true }).click();
  await page.getByRole('button', { name: 'Row after' }).click();
  await shoot('list');
  await page.goto(`${URL}/stock/materials?open=matt-paper`);
  await page.getByRole('button', { name: 'Add a price' }).click();
  const price = page.getByLabel('A pack costs, EUR');
  await price.fill('14.50');
  await price.press('Enter');
  await page.waitForTimeout(600); // it is kept
  for (const [job, spoiled] of [
    ['pot-lid-seals', 3],
    ['woodland-stickers', 0],
    ['tea-caddies', 1],
  ] as const)
    await finishedRun(job, spoiled);
  await page.goto(`${URL}/ledger`);
  await page.locator('.apexcharts-svg').nth(1).waitFor();
  await shoot('ledger');
  await page.goto(`${URL}/stock/printers`);
  await page.getByRole('button', { name: 'Start them' }).click();
  const address = await page.locator('.address', { hasText: 'ipp://' }).innerText();
  const cutter = await page.locator('.address', { hasText: 'tcp://' }).innerText();
  const line = announce({
    _ipp: Number(new globalThis.URL(address).port),
    '_pdl-datastream': Number(new globalThis.URL(cutter).port),
  });
  await page.getByRole('button', { name: 'Look for devices' }).click();
  await page.getByRole('button', { name: 'Add: Bench printer' }).click();
  line.destroy();
  await page.getByRole('button', { name: /On the side with the cross, the arrow to/ }).click();
  await page.locator('.printer img').waitFor();
  await page.getByLabel('Name of the printer').scrollIntoViewIfNeeded();
  await page.getByText('It calls itself').waitFor({ state: 'hidden' });
  await shoot('found-devices');
  await page.goto(`${JOB}/run`);
  await page.getByRole('radio', { name: 'For real' }).click();
  await page.getByText('The printer is ready.').waitFor();
  await proofIsDone();
  await shoot('run-print');
  await page.goto(`${URL}/job/demo-woodland-stickers/edge`);
  await page.locator('.kiss').first().waitFor();
  await shoot('edge');
  await page.goto(`${URL}/job/demo-windowsill-stickers/edge?all`);
  await page.getByRole('heading', { name: 'All 9 pieces' }).waitFor();
  await page.getByLabel('Rim around the art').fill('3');
  await page.keyboard.press('Enter');
  await proofIsDone();
  await shoot('all-edges');
  await page.goto(URL);
  const [pictures] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Stickers from pictures' }).click(),
  ]);
  await pictures.setFiles([
    ...Object.entries(PHOTOGRAPHS).map(([name, take]) => ({
      name: `${name}.png`,
      mimeType: 'image/png',
      buffer: Buffer.from(encodePngImage(take(), 300)),
    })),
    ...Object.entries(DRAWINGS).map(([name, svg]) => ({
      name: `${name}.svg`,
      mimeType: 'image/svg+xml',
      buffer: Buffer.from(svg),
    })),
    { name: 'Order form.png', mimeType: 'image/png', buffer: Buffer.from('no picture') },
  ]);
  await page.getByText('a photograph').nth(1).waitFor();
  await page.getByText('Looking for its outline').waitFor({ state: 'hidden' });
  await shoot('tray');
  await page.keyboard.press('Escape');
  await page.goto(`${URL}/art`);
  await page.getByRole('button', { name: 'Fly agaric' }).click();
  await shoot('art-drawer');
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Take in pictures' }).click(),
  ]);
  const image = PHOTOGRAPHS.Houseleek?.();
  if (!image) throw new Error('no photograph');
  await chooser.setFiles({
    name: 'Houseleek, August.png',
    mimeType: 'image/png',
    buffer: Buffer.from(encodePngImage(image, 300)),
  });
  await page.getByRole('button', { name: 'Houseleek, August' }).click();
  await page.getByRole('button', { name: 'Prepare' }).click();
  await page.getByRole('radio', { name: 'Subject' }).click();
  await page.locator('canvas.ghost').waitFor();
  await page.waitForTimeout(1000); // it takes its place
  const over = await page.getByRole('group', { name: 'The picture as it will be' }).boundingBox();
  if (!over) throw new Error('no picture');
  await page.mouse.move(over.x + over.width * 0.08, over.y + over.height * 0.08);
  await page.mouse.down();
  await page.mouse.move(over.x + over.width * 0.91, over.y + over.height * 0.92, { steps: 5 });
  await page.mouse.up();
  await page.getByText('Paint where it is wrong').waitFor();
  await page.waitForTimeout(2500);
  await shoot('art-bench');
} finally {
  await browser.close();
  server.kill();
}
