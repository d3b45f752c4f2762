import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { encodePngImage } from '../core/raster/index.ts';
import { composedPicture } from '../core/testing/composed.ts';
import { inBrowser } from './browser.ts';
import type { Row } from './row.ts';

const COUNT = 40;
const SIDE = 1000; // px: one megapixel each
const UNIT = 's';

/** What a composed photograph shows, on clear ground. */
function transparentPicture(seed: number): Buffer {
  const { image, alpha } = composedPicture(SIDE, SIDE, seed);
  alpha.forEach((value, at) => {
    image.data[at * 4 + 3] = value;
    if (value === 0) image.data.fill(0, at * 4, at * 4 + 3);
  });
  return Buffer.from(encodePngImage(image, 300));
}

/** Decoded by the browser itself, one after the other: what the machine can do today. */
const decodedByBrowser = (page: Page, pictures: readonly Buffer[]): Promise<number> =>
  page.evaluate(
    async (all) => {
      const blobs = all.map((one) => {
        const bytes = Uint8Array.from(atob(one), (letter) => letter.charCodeAt(0));
        return new Blob([bytes], { type: 'image/png' });
      });
      const begun = performance.now();
      for (const blob of blobs) (await createImageBitmap(blob)).close();
      return (performance.now() - begun) / 1000;
    },
    pictures.map((picture) => picture.toString('base64')),
  );

async function longestTask(page: Page): Promise<number> {
  return page.evaluate(() =>
    (window as unknown as { tasks: number[] }).tasks.reduce((most, one) => Math.max(most, one), 0),
  );
}

/** Forty transparent pictures of a megapixel, from the shelf to a sheet on which they are nested. */
export async function benchStickers(): Promise<Row[]> {
  const pictures = Array.from({ length: COUNT }, (_, at) => transparentPicture(at + 1));
  return inBrowser(async (page) => {
    await page.waitForTimeout(5000); // the shelf is drawn
    const baseline = await decodedByBrowser(page, pictures);
    await page.evaluate(() => {
      const kept = window as unknown as { tasks: number[] };
      kept.tasks = [];
      new PerformanceObserver((list) =>
        kept.tasks.push(...list.getEntries().map(({ duration }) => duration)),
      ).observe({ type: 'longtask' });
    });
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Stickers from pictures' }).click();
    // As files: what is handed over as bytes is unpacked by the page.
    const folder = mkdtempSync(join(tmpdir(), 'little-peel-stickers-'));
    const files = pictures.map((picture, at) => {
      const file = join(folder, `leaf ${at + 1}.png`);
      writeFileSync(file, picture);
      return file;
    });
    await (await chooser).setFiles(files);
    const begun = performance.now();
    const make = page.getByRole('button', { name: `Make ${COUNT} stickers` });
    await make.waitFor();
    await page.waitForFunction(
      () => !document.body.innerText.includes('Looking for its outline'),
      undefined,
      { timeout: 120_000 },
    );
    await make.click();
    await page.getByRole('heading', { name: `All ${COUNT} pieces` }).waitFor();
    const made = performance.now();
    await page.getByRole('link', { name: 'Lay them out' }).click();
    await page.locator('.found').first().waitFor();
    const nested = performance.now();
    rmSync(folder, { recursive: true });
    const of = `${COUNT} pictures of 1 megapixel`;
    return [
      {
        what: `${of}: pieces with edges`,
        measured: (made - begun) / 1000,
        unit: UNIT,
        baseline,
        wanted: 'at most 12 s (baseline: decoded by the browser)',
      },
      {
        what: `${of}: first nested sheet after that`,
        measured: (nested - made) / 1000,
        unit: UNIT,
        baseline,
        wanted: 'at most 2 s',
      },
      {
        what: `${of}: longest task of the page`,
        measured: await longestTask(page),
        unit: 'ms',
        wanted: 'at most 100 ms',
      },
    ];
  });
}
