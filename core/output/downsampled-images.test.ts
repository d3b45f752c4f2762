import { encode } from 'fast-png';
import { readArt } from '../art/index.ts';
import { expectOk, seededRandom } from '../base/index.ts';
import { createJob } from '../job/index.ts';
import { renderPdf } from '../pdf/index.ts';
import { compiled, examplePicture, runAll } from '../testing/example-job.ts';
import { keep, tool } from '../testing/exported.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { say } from '../../messages/index.ts';
import { exportFiles, type ExportChoices } from './index.ts';

interface Look {
  readonly clear: boolean;
  /** px */
  readonly side: number;
}

/** A soft picture with grain, as a photograph has it; on request with a clear rim. */
function photograph({ clear, side }: Look): Uint8Array {
  const random = seededRandom(4);
  const channels = clear ? 4 : 3;
  const data = new Uint8Array(side * side * channels);
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const at = (y * side + x) * channels;
      const grain = 12 * random.next();
      data[at] = 120 + 100 * Math.sin(x / 160) + grain;
      data[at + 1] = 110 + 90 * Math.cos(y / 190) + grain;
      data[at + 2] = 90 + grain;
      if (clear) data[at + 3] = x > 20 ? 255 : 0;
    }
  return encode({ width: side, height: side, channels, data });
}

async function printed(look: Look, choices: Partial<ExportChoices>): Promise<Uint8Array> {
  const { art, bytes } = expectOk(await readArt(nodePlatform, photograph(look), 'bed.png'));
  const job = runAll(createJob('lid', { id: 'l', today: '2026-04-18' }), {
    name: 'add-element',
    args: {
      piece: 'piece-1',
      art,
      element: examplePicture(art.id, { width: 12.5, height: 12.5, fit: 'contain' }),
    },
  });
  const { compiled: made, resources } = await compiled(job, new Map([[art.id, bytes]]));
  const options = { platform: nodePlatform, resources, formats: ['pdf'] as const, choices, say };
  return (await exportFiles(made, options))[0]?.bytes ?? new Uint8Array();
}

test.each([false, true])(
  'small pictures make a small file that looks the same at arm’s length, clear rim: %s',
  async (clear) => {
    const look = { clear, side: 500 };
    const [best, small] = [await printed(look, {}), await printed(look, { smallPictures: true })];
    expect(small.length).toBeLessThan(best.length / 5);
    // 12.5 mm at 150 dots per inch.
    const listed = tool('pdfimages', '-list', keep('small.pdf', small));
    expect(listed).toMatch(/image +74 +74/);
    const [one, other] = [
      await renderPdf(nodePlatform, { pdf: best, page: 0, dpi: 60 }),
      await renderPdf(nodePlatform, { pdf: small, page: 0, dpi: 60 }),
    ];
    const off = one.data.reduce(
      (sum, value, at) => sum + Math.abs(value - (other.data[at] ?? 0)),
      0,
    );
    expect(off / one.data.length).toBeLessThan(2);
  },
);

test('pictures that are no finer than that stay as they are', async () => {
  const coarse = { clear: false, side: 60 };
  const same = await printed(coarse, { smallPictures: true });
  expect(Buffer.compare(same, await printed(coarse, {}))).toBe(0);
});
