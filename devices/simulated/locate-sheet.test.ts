import { expectOk, type Result } from '../../core/base/index.ts';
import { apply, nested, placed, scaling, type Affine } from '../../core/geometry/index.ts';
import {
  blankImage,
  encodeJpegImage,
  encodePngImage,
  type RgbaImage,
} from '../../core/raster/index.ts';
import { locateSheet, sheetPdf, type LoadedSheet } from '../../core/run/index.ts';
import { compiled, exampleJob, exampleWords, runAll } from '../../core/testing/example-job.ts';
import { nodePlatform } from '../../core/testing/node-platform.ts';
import { photograph } from './camera.ts';
import { printedPage } from './index.ts';
import { simulatedPrinter } from './printer.ts';

const A4 = { width: 210, height: 297 };
const ALWAYS: Affine = nested(placed(1.3, -0.9, 0.3), scaling(0.998, 1.002));
const DPI = 150;

type Made = Awaited<ReturnType<typeof compiled>>;
let made: Made;
/** Another job on sheets of the same marks. */
let other: Made;
beforeAll(async () => {
  const { job, art } = await exampleJob();
  made = await compiled(job, art);
  other = await compiled(
    runAll(
      job,
      { name: 'scale-pieces', args: { pieces: ['piece-1'], scale: 0.45 } },
      { name: 'want', args: { piece: 'piece-1', count: 8 } },
      { name: 'add-element', args: { piece: 'piece-1', element: exampleWords({ y: -6 }) } },
    ),
    art,
  );
}, 30_000);

/** A sheet as it lies on paper, printed off-centre. */
async function paper(of: Made, dpi = DPI): Promise<RgbaImage> {
  const found = await sheetPdf(nodePlatform, { ...of, sheet: 0 });
  if (!found) throw new Error('no sheet');
  const still = { offset: 0, turn: 0, scale: 0 };
  const printer = simulatedPrinter(nodePlatform, 1, { spread: still, always: ALWAYS, dpi });
  const order = { pdf: found.pdf, name: 'sheet', sheet: A4 };
  return (await printedPage(printer, order)).picture.image;
}

async function read(
  image: RgbaImage,
  more: Partial<Parameters<typeof locateSheet>[2]> = {},
): Promise<Result<LoadedSheet>> {
  const bytes = await encodeJpegImage(nodePlatform, image, { quality: 90, dpi: DPI });
  const picture = { bytes, name: 'loaded.jpg', frame: A4, ...more };
  return expectOk(await locateSheet(nodePlatform, { ...made, sheet: 0 }, picture)).read;
}

const marks = () => made.compiled.sheets[0]?.marks ?? [];
const wrong = ({ places }: LoadedSheet, actualTransform: Affine): number =>
  Math.max(
    ...marks().map((mark, at) => {
      const [to, found] = [apply(actualTransform, mark), places[at] ?? { x: NaN, y: NaN }];
      return Math.hypot(to.x - found.x, to.y - found.y);
    }),
  );

test('a phone picture of a printed sheet tells where its marks are on the paper', async () => {
  const image = photograph({ image: await paper(made), dpi: DPI }, 3);
  const sheetToBed = expectOk(await read(image));
  expect(sheetToBed.seen).toBe(4);
  expect(wrong(sheetToBed, ALWAYS)).toBeLessThan(0.1);
  expect(sheetToBed.residual).toBeLessThan(0.05);
});

test('a sheet that lies the other way round, and another sheet with the same marks, are told', async () => {
  const upright = await paper(made);
  const turned: RgbaImage = { ...upright, data: upright.data.slice() };
  const pixels = new Uint32Array(turned.data.buffer);
  pixels.reverse();
  expect(await read(turned)).toMatchObject({
    problem: { code: 'run/loaded', values: { code: 'turned-round' } },
  });
  expect(other.compiled.sheets[0]?.marks).toEqual(marks());
  expect(await read(await paper(other))).toMatchObject({ problem: { code: 'run/other-sheet' } });
});

test('on a mat whose corners a hand has set, the places are those on the mat', async () => {
  const sheet = await paper(made);
  const perMm = DPI / 25.4;
  const mat = { width: 240, height: 320 };
  const at = { x: Math.round(4 * perMm), y: Math.round(3 * perMm) };
  const image = blankImage(
    Math.round(mat.width * perMm),
    Math.round(mat.height * perMm),
    [90, 120, 100, 255],
  );
  for (let y = 0; y < sheet.height; y++)
    image.data.set(
      sheet.data.subarray(y * sheet.width * 4, (y + 1) * sheet.width * 4),
      ((y + at.y) * image.width + at.x) * 4,
    );
  const corners = [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
    { x: 1, y: 1 },
    { x: 0, y: 1 },
  ] as const;
  const sheetToBed = expectOk(await read(image, { frame: mat, corners }));
  expect(wrong(sheetToBed, nested(placed(at.x / perMm, at.y / perMm, 0), ALWAYS))).toBeLessThan(
    0.1,
  );
});

test('a picture of something else shows no marks, and what is no picture is said', async () => {
  const blank = blankImage(800, 1100, [240, 240, 240, 255]);
  expect(await read(blank)).toMatchObject({
    problem: { code: 'run/loaded', values: { code: 'marks-missing', values: { found: 0, of: 4 } } },
  });
  const bytes = new TextEncoder().encode('no picture');
  const picture = { bytes, name: 'notes.txt', frame: A4 };
  const told = await locateSheet(nodePlatform, { ...made, sheet: 0 }, picture);
  expect(told.ok).toBe(false);
  const png = { ...picture, bytes: encodePngImage(blank) };
  const gone = await locateSheet(nodePlatform, { ...made, sheet: 9 }, png);
  expect(gone).toMatchObject({ problem: { code: 'job/gone' } });
});
