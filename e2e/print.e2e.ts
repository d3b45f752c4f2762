import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { decode } from 'fast-png';
import { expect, openDesk, test } from './workshop.ts';

interface Pixels {
  readonly width: number;
  readonly height: number;
  at(x: number, y: number): readonly [number, number, number];
}

function pixelsOf(png: Uint8Array): Pixels {
  const { width, height, channels, data } = decode(png);
  return {
    width,
    height,
    at: (x, y) => {
      const from = (Math.round(y) * width + Math.round(x)) * channels;
      return [data[from] ?? 0, data[from + 1] ?? 0, data[from + 2] ?? 0];
    },
  };
}

/** The mean colour of a small square, so that half a pixel more or less does not count. */
function meanAt(pixels: Pixels, x: number, y: number, reach: number): [number, number, number] {
  const sum: [number, number, number] = [0, 0, 0];
  let count = 0;
  for (let dy = -reach; dy <= reach; dy++) {
    for (let dx = -reach; dx <= reach; dx++) {
      pixels
        .at(x + dx, y + dy)
        .forEach((value, channel) => (sum[channel] = (sum[channel] ?? 0) + value));
      count++;
    }
  }
  return [sum[0] / count, sum[1] / count, sum[2] / count];
}

for (const job of ['pot-lid-seals', 'basil-pot-wrap']) {
  test(`${job}: what is on the bench is what another program makes of the PDF`, async ({
    page,
  }) => {
    await openDesk(page, job, 'sheet');
    await expect(page.locator('[data-copy] image').first()).toBeVisible();
    await page.waitForTimeout(500);
    // Cut lines are seen on the bench and are no part of the print.
    await page.evaluate(() => {
      for (const line of document.querySelectorAll<SVGElement>('.cut, .printable, .zone'))
        line.style.visibility = 'hidden';
    });
    const paper = page.getByLabel('The sheet');
    const screen = pixelsOf(await paper.screenshot());
    await page.locator('[data-line="proof"]').click();
    const download = page.waitForEvent('download');
    await page.locator('[data-format="pdf"]').click();
    const pdf = await (await download).path();
    const info = execFileSync('pdfinfo', [pdf], { encoding: 'utf8' });
    const [, wide, high] = /Page size:\s+([\d.]+) x ([\d.]+)/.exec(info) ?? [];
    expect(Number(wide) / Number(high)).toBeCloseTo(screen.width / screen.height, 2);
    execFileSync('pdftoppm', ['-png', '-r', '96', '-f', '1', '-singlefile', pdf, `${pdf}-page`]);
    const printed = pixelsOf(readFileSync(`${pdf}-page.png`));
    let [far, looked] = [0, 0];
    for (let down = 0.04; down < 0.97; down += 0.012) {
      for (let across = 0.04; across < 0.97; across += 0.012) {
        const shown = meanAt(screen, across * (screen.width - 1), down * (screen.height - 1), 2);
        const inked = meanAt(printed, across * (printed.width - 1), down * (printed.height - 1), 4);
        looked++;
        if (
          Math.max(...shown.map((value, channel) => Math.abs(value - (inked[channel] ?? 0)))) > 48
        )
          far++;
      }
    }
    expect(looked).toBeGreaterThan(5000);
    expect(far / looked).toBeLessThan(0.03);
  });
}
