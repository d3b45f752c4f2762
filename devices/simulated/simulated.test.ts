import { writePdf } from '../../core/output/index.ts';
import { apply, ellipsePath, rectanglePath, type Point } from '../../core/geometry/index.ts';
import { solid, type DrawingNode } from '../../core/drawing/index.ts';
import { blankImage, cropImage, darkness, type RgbaImage } from '../../core/raster/index.ts';
import type { SheetPicture } from '../../core/register/index.ts';
import { nodePlatform } from '../../core/testing/node-platform.ts';
import { CUTTER_SPREAD, readHpgl, simulatedCutter } from './cutter.ts';
import { PRINTER_SPREAD, simulatedPrinter } from './printer.ts';

const SHEET = { width: 100, height: 80 };
const MARKS = [
  { x: 10, y: 10, size: 5, style: 'ring' as const },
  { x: 90, y: 10, size: 5, style: 'dot' as const },
  { x: 90, y: 70, size: 5, style: 'dot' as const },
  { x: 10, y: 70, size: 5, style: 'dot' as const },
];
const dot = ({ x, y }: Point, diameter: number): DrawingNode => ({
  kind: 'path',
  path: ellipsePath({ x, y }, diameter / 2, diameter / 2),
  fill: solid('#000000'),
});

/** A page with dots of 6 mm at places, printed in black. */
const pageOf = (places: readonly Point[]): Promise<Uint8Array> =>
  writePdf(
    nodePlatform,
    [{ drawing: { ...SHEET, symbols: {}, nodes: places.map((at) => dot(at, 6)) } }],
    { typeface: () => undefined, art: () => undefined, bytes: () => undefined },
    'test',
  );

/** The middle of what is dark within 6 mm of a place, mm. */
function darkNear({ image, dpi }: SheetPicture, { x, y }: Point): Point {
  const scale = dpi / 25.4;
  const box = { left: x - 6, top: y - 6, right: x + 6, bottom: y + 6 };
  const [left, top] = [Math.round(box.left * scale), Math.round(box.top * scale)];
  const side = Math.round(12 * scale);
  const part: RgbaImage = cropImage(image, { left, top, width: side, height: side });
  const dark = darkness(part);
  let [sum, across, down] = [0, 0, 0];
  dark.forEach((value, at) => {
    if (value < 60) return;
    sum += value;
    across += value * ((at % part.width) + 0.5);
    down += value * (Math.floor(at / part.width) + 0.5);
  });
  return { x: (left + across / sum) / scale, y: (top + down / sum) / scale };
}

test('a printed dot stands where the printer says that it came out', async () => {
  const places = [
    { x: 20, y: 20 },
    { x: 80, y: 20 },
    { x: 50, y: 60 },
  ];
  const printed = await simulatedPrinter(nodePlatform, 11).print({
    pdf: await pageOf(places),
    page: 0,
  });
  for (const place of places) {
    const truth = apply(printed.truth, place);
    const seen = darkNear(printed.picture, truth);
    expect(Math.hypot(seen.x - truth.x, seen.y - truth.y)).toBeLessThan(0.08);
  }
});

test('printers of different seeds are off differently, by no more than their spread allows', async () => {
  const pdf = await pageOf([{ x: 50, y: 40 }]);
  const offs: number[] = [];
  for (const seed of [1, 2, 3, 4, 5, 6]) {
    const { truth } = await simulatedPrinter(nodePlatform, seed).print({ pdf, page: 0 });
    const middle = apply(truth, { x: 50, y: 40 });
    offs.push(Math.hypot(middle.x - 50, middle.y - 40));
  }
  expect(new Set(offs.map((off) => off.toFixed(4))).size).toBe(6);
  expect(Math.max(...offs)).toBeLessThan(PRINTER_SPREAD.offset * 5);
  expect(Math.max(...offs)).toBeGreaterThan(0.05);
});

test('the same seed prints the same sheet', async () => {
  const pdf = await pageOf([{ x: 30, y: 30 }]);
  const [one, other] = await Promise.all(
    [7, 7].map((seed) => simulatedPrinter(nodePlatform, seed).print({ pdf, page: 0 })),
  );
  expect(one?.truth).toEqual(other?.truth);
  expect(
    Buffer.from(one?.picture.image.data ?? []).equals(Buffer.from(other?.picture.image.data ?? [])),
  ).toBe(true);
});

/** A sheet with its marks, drawn pixel by pixel. */
function markedSheet(dpi: number, marks = MARKS): SheetPicture {
  const scale = dpi / 25.4;
  const image = blankImage(
    Math.round(SHEET.width * scale),
    Math.round(SHEET.height * scale),
    [255, 255, 255, 255],
  );
  for (let at = 0; at < image.width * image.height; at++) {
    const x = ((at % image.width) + 0.5) / scale;
    const y = (Math.floor(at / image.width) + 0.5) / scale;
    const inked = marks.some((mark) => {
      const far = Math.hypot(x - mark.x, y - mark.y);
      const ring = mark.style === 'ring' && Math.abs(far - mark.size * 0.775) < mark.size * 0.075;
      return far < mark.size / 2 || ring;
    });
    if (inked) image.data.set([0, 0, 0], at * 4);
  }
  return { image, dpi };
}

// A square of 20 mm about (50, 40) in plotter units, y up from the bottom of the sheet.
const SQUARE = 'IN;SP1;PU1600,1200;PD2400,1200,2400,2000,1600,2000,1600,1200;PU;';

test('a sheet that is laid in crooked is cut where it is printed', () => {
  const cutter = simulatedCutter(21);
  const { sensor, truth } = cutter.load(markedSheet(150));
  const { registration, cuts } = cutter.cut({ hpgl: SQUARE, marks: MARKS, sheet: SHEET, sensor });
  expect(registration.found).toHaveLength(4);
  expect(registration.residual).toBeLessThan(0.1);
  const [cut] = cuts;
  expect(cut?.pen).toBe(1);
  const wanted = [
    { x: 40, y: 50 },
    { x: 60, y: 50 },
    { x: 60, y: 30 },
    { x: 40, y: 30 },
  ].map((corner) => apply(truth, corner));
  wanted.forEach((corner, index) => {
    const at = cut?.ring[index] ?? { x: 0, y: 0 };
    expect(Math.hypot(at.x - corner.x, at.y - corner.y)).toBeLessThan(0.12);
  });
  // It was off by more than that before the marks were found.
  const before = apply(truth, { x: 50, y: 40 });
  expect(Math.hypot(before.x - 50, before.y - 40)).toBeGreaterThan(0.12);
});

test('a sheet without its marks is not cut at all', () => {
  const cutter = simulatedCutter(4);
  const { sensor } = cutter.load(markedSheet(150, []));
  const { registration, cuts } = cutter.cut({ hpgl: SQUARE, marks: MARKS, sheet: SHEET, sensor });
  expect(cuts).toEqual([]);
  expect(registration.confidence).toBeLessThan(0.6);
});

test('a label sheet has no marks and is cut as it lies at the stops', () => {
  const { cuts } = simulatedCutter(4).cut({
    hpgl: SQUARE,
    marks: [],
    sheet: SHEET,
    sensor: markedSheet(60, []),
  });
  expect(cuts[0]?.ring[0]).toEqual({ x: 40, y: 50 });
});

test('hands lay sheets in differently, and the sensor has grain', () => {
  const first = simulatedCutter(1).load(markedSheet(60));
  const second = simulatedCutter(2).load(markedSheet(60));
  expect(first.truth).not.toEqual(second.truth);
  const offs = [first, second].map(({ truth }) => Math.hypot(truth[4], truth[5]));
  expect(Math.max(...offs)).toBeLessThan(CUTTER_SPREAD.offset * 6);
  const blank = simulatedCutter(3).load({
    image: blankImage(40, 40, [128, 128, 128, 255]),
    dpi: 60,
  });
  expect(new Set(blank.sensor.image.data).size).toBeGreaterThan(3);
});

test('what a plotter does not know is passed over, and damaged numbers draw nothing', () => {
  expect(readHpgl('')).toEqual([]);
  expect(readHpgl('IN;VS20;FS80;LT;')).toEqual([]);
  expect(readHpgl('SP1;PU10,10;PD;')).toEqual([]);
  expect(readHpgl('PA0,0;SP3;PD5,5;')).toEqual([
    {
      pen: 3,
      line: [
        { x: 0, y: 0 },
        { x: 5, y: 5 },
      ],
    },
  ]);
});

test('a rectangle that is printed outside the page leaves the paper white', async () => {
  const pdf = await writePdf(
    nodePlatform,
    [
      {
        drawing: {
          ...SHEET,
          symbols: {},
          nodes: [
            {
              kind: 'path',
              path: rectanglePath({ x: 500, y: 40 }, 40, 40),
              fill: solid('#000000'),
            },
          ],
        },
      },
    ],
    { typeface: () => undefined, art: () => undefined, bytes: () => undefined },
    'test',
  );
  const { picture } = await simulatedPrinter(nodePlatform, 2).print({ pdf, page: 0 });
  expect(darkness(picture.image).filter((value) => value > 30)).toHaveLength(0);
});
