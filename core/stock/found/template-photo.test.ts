import { seededRandom } from '../../base/index.ts';
import { solid, type DrawingNode } from '../../drawing/index.ts';
import {
  apply,
  fitPerspective,
  mapPath,
  placed,
  project,
  rectanglePath,
  type Perspective,
} from '../../geometry/index.ts';
import { blankImage, type RgbaImage } from '../../raster/index.ts';
import { findLabels, findSheetCorners, sheetFromAbove } from '../../register/index.ts';
import { shapePath, shapeSize } from '../../shape/index.ts';
import { DIE_CUTS, spotPlaces, templateFromLabels, type Stock } from '../index.ts';
import { nodePlatform } from '../../testing/node-platform.ts';
import { renderPdf } from '../../pdf/index.ts';
import { writePdf } from '../../output/index.ts';
import { problemText } from '../../../messages/index.ts';

const platform = nodePlatform;
const { floor, hypot, max, min } = Math;
const DPI = 120;
const PICTURE = { width: 1200, height: 1600 };

/** How the labels of a sheet look to a scanner. */
interface Look {
  readonly line?: { readonly color: string; readonly width: number };
  readonly label?: string;
  readonly waste?: string;
}
const CUT: Look = { line: { color: '#9a9a96', width: 0.25 } };

async function flatScan(stock: Stock, { line, label, waste }: Look): Promise<RgbaImage> {
  const { spots, width, height } = stock;
  if (!spots) throw new Error('no labels');
  const paper: DrawingNode = {
    kind: 'path',
    path: rectanglePath({ x: width / 2, y: height / 2 }, width, height),
    fill: solid(waste ?? '#ffffff'),
  };
  const nodes = spotPlaces(spots).map(({ x, y, angle }): DrawingNode => ({
    kind: 'path',
    path: mapPath(shapePath(spots.shape), placed(x, y, angle)),
    ...(line ? { stroke: { paint: solid(line.color), width: line.width } } : {}),
    ...(label ? { fill: solid(label) } : {}),
  }));
  const sources = { typeface: () => undefined, art: () => undefined, bytes: () => undefined };
  const drawing = { width, height, symbols: {}, nodes: [paper, ...nodes] };
  const pdf = await writePdf(platform, [{ drawing }], sources as never, 'scan');
  return renderPdf(platform, { pdf, page: 0, dpi: DPI });
}

/** Grain of a small sensor: too costly to draw anew for each of so many pixels. */
const GRAIN = Float32Array.from(
  { length: 65521 },
  (
    (random) => () =>
      9 * (random.next() + random.next() - 1)
  )(seededRandom(5)),
);

/** A phone picture of a sheet: on a grey table, turned by 3°, in perspective, unevenly lit and grainy. */
function phonePicture(sheet: RgbaImage, table = 105): RgbaImage {
  const { data, width, height } = sheet;
  const turn = placed(PICTURE.width / 2, PICTURE.height / 2, 3);
  const scale = min(1060 / width, 1430 / height);
  // Farther away at the top, and a little more so on the right.
  const seen = [
    [-1, -1, 0.93],
    [1, -1, 0.91],
    [1, 1, 0.99],
    [-1, 1, 1],
  ].map(([x = 0, y = 0, pull = 1]) =>
    apply(turn, { x: (x * width * scale * pull) / 2, y: (y * height * scale * pull) / 2 }),
  );
  const flat = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
  const back = fitPerspective(seen.map((from, at) => ({ from, to: flat[at] ?? from })));
  const [a, b, c, d, e, f, g, k] = back;
  const image = blankImage(PICTURE.width, PICTURE.height, [0, 0, 0, 255]);
  for (let y = 0, at = 0; y < PICTURE.height; y++)
    for (let x = 0; x < PICTURE.width; x++, at += 4) {
      const below = g * (x + 0.5) + k * (y + 0.5) + 1;
      const u = (a * (x + 0.5) + b * (y + 0.5) + c) / below - 0.5;
      const v = (d * (x + 0.5) + e * (y + 0.5) + f) / below - 0.5;
      let value = table;
      if (u > -0.5 && v > -0.5 && u < width - 0.5 && v < height - 0.5) {
        const uu = max(0, min(width - 1.01, u));
        const vv = max(0, min(height - 1.01, v));
        const left = floor(uu);
        const top = floor(vv);
        const i = (top * width + left) * 4;
        const j = i + width * 4;
        const upper = (data[i] ?? 0) + ((data[i + 4] ?? 0) - (data[i] ?? 0)) * (uu - left);
        const lower = (data[j] ?? 0) + ((data[j + 4] ?? 0) - (data[j] ?? 0)) * (uu - left);
        value = upper + (lower - upper) * (vv - top);
      }
      // The lamp stands on the left.
      value = value * (0.97 - (0.12 * x) / PICTURE.width) + (GRAIN[(at * 7) % 65521] ?? 0);
      image.data[at] = value;
      image.data[at + 1] = value;
      image.data[at + 2] = value;
    }
  return image;
}

/** The labels that are found in a picture of a stock, and how far the worst is from its place, mm. */
function foundIn(picture: RgbaImage, stock: Stock) {
  const labels = findLabels(sheetFromAbove(picture, findSheetCorners(picture), stock));
  const made = templateFromLabels(labels, { ...stock, id: 'found', name: 'Found' }, 'picture');
  if (!made.ok) throw new Error(made.problem.code);
  if (!stock.spots) throw new Error('no labels');
  const { spots } = made.value;
  const [truth, found] = [spotPlaces(stock.spots), spotPlaces(spots)];
  const size = shapeSize(spots.shape);
  const wanted = shapeSize(stock.spots.shape);
  return {
    spots,
    count: found.length - truth.length,
    worst: max(...truth.map(({ x, y }) => min(...found.map((at) => hypot(at.x - x, at.y - y))))),
    sides: max(Math.abs(size.width - wanted.width), Math.abs(size.height - wanted.height)),
  };
}

test('a perspective map takes the corners where they belong and straight lines to straight lines', () => {
  const map: Perspective = fitPerspective([
    { from: { x: 0, y: 0 }, to: { x: 10, y: 20 } },
    { from: { x: 210, y: 0 }, to: { x: 190, y: 35 } },
    { from: { x: 210, y: 297 }, to: { x: 230, y: 300 } },
    { from: { x: 0, y: 297 }, to: { x: -5, y: 310 } },
  ]);
  expect(project(map, { x: 210, y: 297 }).x).toBeCloseTo(230, 6);
  const [p, q, r] = [0, 100, 210].map((x) => project(map, { x, y: 100 }));
  if (!p || !q || !r) throw new Error();
  expect((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x)).toBeCloseTo(0, 6);
  expect(() =>
    fitPerspective([0, 1, 2, 3].map((x) => ({ from: { x, y: x }, to: { x, y: 0 } }))),
  ).toThrow(RangeError);
});

/** Every twelfth layout: each of them takes most of a second, and neighbours in the list are alike. */
const SOME = DIE_CUTS.filter((_, at) => at % 12 === 0);

test.each(SOME.map((stock) => ({ name: stock.name, stock })))(
  '$name is found in a phone picture',
  async ({ stock }) => {
    const found = foundIn(phonePicture(await flatScan(stock, CUT)), stock);
    expect(found.count).toBe(0);
    expect(found.worst).toBeLessThan(0.3);
    expect(found.sides).toBeLessThan(0.3);
    expect(found.spots.shape.kind).toBe(stock.spots?.shape.kind);
  },
);

const named = (id: string): Stock => {
  const found = DIE_CUTS.find((stock) => stock.id === id);
  if (!found) throw new Error(id);
  return found;
};

test('labels on a darker backing, the paper between them taken off, are found by their shade', async () => {
  const stock = named('a4-round-60-12');
  const islands = { label: '#fafafa', waste: '#bcae96' };
  const found = foundIn(phonePicture(await flatScan(stock, islands), 60), stock);
  expect(found.count).toBe(0);
  expect(found.worst).toBeLessThan(0.3);
  expect(found.sides).toBeLessThan(0.5);
});

test('a scan that shows the sheet and nothing around it needs no corners', async () => {
  const stock = named('a4-70x37-24');
  const found = foundIn(await flatScan(stock, CUT), stock);
  expect([found.count, found.spots.layout]).toEqual([0, 'grid']);
  expect(found.worst).toBeLessThan(0.2);
});

test('a sheet without labels is refused with what to do', () => {
  const made = templateFromLabels([], { id: 'x', name: 'X', width: 210, height: 297 }, 'picture');
  expect(!made.ok && problemText(made.problem).what).toBe('No labels were found on this sheet.');
  expect(!made.ok && problemText(made.problem).remedy).toContain('even light');
});
