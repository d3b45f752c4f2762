import { expectOk } from '../../base/index.ts';
import type { Drawing } from '../../drawing/index.ts';
import { translation } from '../../geometry/index.ts';
import { writePdf } from '../../output/index.ts';
import { renderPdf } from '../../pdf/index.ts';
import { nodePlatform } from '../../testing/node-platform.ts';
import { secondRendering, type Pixels } from '../../testing/second-renderer.ts';
import { differing } from '../../testing/squares.ts';
import { constructFile, SVG_CONSTRUCTS } from '../../testing/svg-constructs.ts';
import { readArt, vectorNodes } from '../index.ts';
import { svgDrawer } from './library.ts';

// Each construct is drawn by the library itself from the file, and from what is kept of it by both of
// our renderers of PDF: three answers that know nothing of each other.

const PER_MM = 10;
const DPI = PER_MM * 25.4;

const names = Object.keys(SVG_CONSTRUCTS);
const files = names.map((name) => constructFile(SVG_CONSTRUCTS[name] as string));
const taken = await Promise.all(
  files.map(async (svg) =>
    expectOk(await readArt(nodePlatform, new TextEncoder().encode(svg), svg)),
  ),
);
const drawer = await svgDrawer(nodePlatform, []);
const none = (): undefined => undefined;

// All on one page, side by side.
const COLUMNS = 8;
const [WIDTH, HEIGHT] = [40, 30];
const place = (at: number): { x: number; y: number } => ({
  x: (at % COLUMNS) * WIDTH,
  y: Math.floor(at / COLUMNS) * HEIGHT,
});
const drawing: Drawing = {
  width: COLUMNS * WIDTH,
  height: Math.ceil(names.length / COLUMNS) * HEIGHT,
  symbols: {},
  nodes: taken.map(({ bytes }, at) => ({
    kind: 'group',
    transform: translation(place(at).x, place(at).y),
    children: vectorNodes(bytes),
  })),
};
const pdf = await writePdf(nodePlatform, [{ drawing }], { typeface: none, art: none, bytes: none });
const ours = { ...(await renderPdf(nodePlatform, { pdf, page: 0, dpi: DPI })), channels: 4 };
const theirs = secondRendering(pdf, 0, DPI);

/** One construct of the page. */
function cut({ width, data, channels }: Pixels, at: number): Pixels {
  const [wide, high] = [WIDTH * PER_MM, HEIGHT * PER_MM];
  const { x, y } = place(at);
  const made = new Uint8Array(wide * high * channels);
  for (let row = 0; row < high; row++) {
    const from = ((y * PER_MM + row) * width + x * PER_MM) * channels;
    for (let step = 0; step < wide * channels; step++)
      made[row * wide * channels + step] = data[from + step] ?? 0;
  }
  return { width: wide, height: high, data: made, channels };
}

test.each(names)('%s comes in as it is drawn', (name) => {
  const at = names.indexOf(name);
  expect(taken[at]?.art).toMatchObject({ kind: 'vector', width: WIDTH, height: HEIGHT });
  const truth = { ...drawer.pixels(files[at] as string, DPI / 96), channels: 4 };
  expect(truth.data.some((value, byte) => byte % 4 === 3 && value > 0)).toBe(true);
  expect(differing(cut(ours, at), truth)).toBeLessThanOrEqual(0.02);
  expect(differing(cut(theirs, at), truth)).toBeLessThanOrEqual(0.02);
});
