import { writePdf } from '../../core/output/index.ts';
import { apply, ellipsePath, rectanglePath, type Point } from '../../core/geometry/index.ts';
import { solid, type DrawingNode } from '../../core/drawing/index.ts';
import { blankImage, cropImage, darkness, type RgbaImage } from '../../core/raster/index.ts';
import type { SheetPicture } from '../../core/register/index.ts';
import { nodePlatform } from '../../core/testing/node-platform.ts';
import {
  CUTTER_SPREAD,
  PRINT_STOPS,
  PRINTER_SPREAD,
  type CutOrder,
  type SimulatedFaults,
  type PrintedSheet,
  type SeenCut,
} from '../../core/run/index.ts';
import { expectOk, unwatched } from '../../core/base/index.ts';
import { simulatedCutter } from './cutter.ts';
import { readHpgl } from './read-cuts.ts';
import type { CutProgram } from '../../core/output/index.ts';
import { printedPage, simulatedDevices } from './index.ts';

const printed = (
  seed: number,
  pdf: Uint8Array,
  faults: SimulatedFaults = {},
): Promise<PrintedSheet> =>
  printedPage(simulatedDevices(nodePlatform, seed, faults).printer, {
    pdf,
    name: 'sheet',
    sheet: SHEET,
  });

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
  const came = await printed(11, await pageOf(places));
  for (const place of places) {
    const actualTransform = apply(came.actualTransform, place);
    const seen = darkNear(came.picture, actualTransform);
    expect(Math.hypot(seen.x - actualTransform.x, seen.y - actualTransform.y)).toBeLessThan(0.08);
  }
});

test('printers of different seeds are off differently, by no more than their spread allows', async () => {
  const pdf = await pageOf([{ x: 50, y: 40 }]);
  const offs: number[] = [];
  for (const seed of [1, 2, 3, 4, 5, 6]) {
    const { actualTransform } = await printed(seed, pdf);
    const middle = apply(actualTransform, { x: 50, y: 40 });
    offs.push(Math.hypot(middle.x - 50, middle.y - 40));
  }
  expect(new Set(offs.map((off) => off.toFixed(4))).size).toBe(6);
  expect(Math.max(...offs)).toBeLessThan(PRINTER_SPREAD.offset * 5);
  expect(Math.max(...offs)).toBeGreaterThan(0.05);
});

test('the same seed prints the same sheet', async () => {
  const pdf = await pageOf([{ x: 30, y: 30 }]);
  const [one, other] = await Promise.all([7, 7].map((seed) => printed(seed, pdf)));
  expect(one?.actualTransform).toEqual(other?.actualTransform);
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

/** A program of one cut. */
const programOf = (hpgl: string): CutProgram => ({ start: '', cuts: [hpgl], end: '', stop: '' });

/** What a simulated cutter makes of the square on a sheet. */
async function cutOf(
  seed: number,
  order: Partial<CutOrder>,
  faults: SimulatedFaults = {},
): Promise<SeenCut & { stopped: string | undefined }> {
  const whole = { number: 0, program: programOf(SQUARE), marks: MARKS, sheet: SHEET, ...order };
  const { seen, problem } = expectOk(await simulatedCutter(seed, faults).cut(whole, unwatched));
  if (!seen) throw new Error('nothing seen');
  return { ...seen, stopped: problem?.code };
}

test('a sheet that is laid in crooked is cut where it is printed', async () => {
  const { registration, cuts, actualTransform } = await cutOf(21, { printed: markedSheet(150) });
  expect(registration.found).toHaveLength(4);
  expect(registration.residual).toBeLessThan(0.1);
  const [cut] = cuts;
  expect(cut?.pen).toBe(1);
  const wanted = [
    { x: 40, y: 50 },
    { x: 60, y: 50 },
    { x: 60, y: 30 },
    { x: 40, y: 30 },
  ].map((corner) => apply(actualTransform, corner));
  wanted.forEach((corner, index) => {
    const at = cut?.ring[index] ?? { x: 0, y: 0 };
    expect(Math.hypot(at.x - corner.x, at.y - corner.y)).toBeLessThan(0.12);
  });
  // It was off by more than that before the marks were found.
  const before = apply(actualTransform, { x: 50, y: 40 });
  expect(Math.hypot(before.x - 50, before.y - 40)).toBeGreaterThan(0.12);
});

test('a sheet without its marks is not cut at all', async () => {
  const { registration, cuts } = await cutOf(4, { printed: markedSheet(150, []) });
  expect(cuts).toEqual([]);
  expect(registration.confidence).toBeLessThan(0.6);
});

test('a label sheet has no marks and is cut as it lies at the stops', async () => {
  const { cuts } = await cutOf(4, { marks: [], printed: markedSheet(60, []) });
  expect(cuts[0]?.ring[0]).toEqual({ x: 40, y: 50 });
});

test('hands lay sheets in differently, and the sensor has grain', async () => {
  const [first, second] = [
    await cutOf(1, { printed: markedSheet(60) }),
    await cutOf(2, { printed: markedSheet(60) }),
  ];
  expect(first.actualTransform).not.toEqual(second.actualTransform);
  const offs = [first, second].map(({ actualTransform }) =>
    Math.hypot(actualTransform[4], actualTransform[5]),
  );
  expect(Math.max(...offs)).toBeLessThan(CUTTER_SPREAD.offset * 6);
  const grey = { image: blankImage(40, 40, [128, 128, 128, 255]), dpi: 60 };
  expect(new Set((await cutOf(3, { printed: grey })).sensor.image.data).size).toBeGreaterThan(3);
});

test('a hand that says where the sheet lies is believed, with marks or without', async () => {
  const { cuts, registration } = await cutOf(4, {
    printed: markedSheet(60, []),
    sheetToBed: [1, 0, 0, 1, 3, 2],
  });
  expect(registration.confidence).toBe(1);
  // The lines were placed before they were sent.
  expect(cuts[0]?.ring[0]).toEqual({ x: 40, y: 50 });
});

test('one mark missed is told and got over; three missed, or a sheet turned round, stop the cut', async () => {
  const one = await cutOf(5, { printed: markedSheet(150) }, { missed: 1 });
  expect(one.registration.found.filter(Boolean)).toHaveLength(3);
  expect(one.registration.confidence).toBeLessThan(0.8);
  expect(one.cuts).toHaveLength(1);
  expect((await cutOf(5, { printed: markedSheet(150) }, { missed: 3 })).cuts).toEqual([]);
  const turned = await cutOf(5, { printed: markedSheet(150) }, { turned: true });
  expect(turned.registration.turned).toBe(true);
  expect(turned.cuts).toEqual([]);
});

test('a lost connection leaves the rest uncut, a dull blade or too little force leaves lines torn', async () => {
  const program = programOf(`IN;SP1;${'PU0,0;PD400,0,400,400,0,0;'.repeat(40)}`);
  const lost = await cutOf(6, { program, printed: markedSheet(150) }, { lost: true });
  expect([lost.cuts.length, lost.stopped]).toEqual([20, 'cutter/lost']);
  const dull = await cutOf(6, { program, printed: markedSheet(150) }, { dull: true });
  const torn = dull.cuts.filter(({ clean }) => !clean).length;
  expect(torn).toBeGreaterThan(2);
  expect(torn).toBeLessThan(20);
  const weak = await cutOf(6, { program, printed: markedSheet(150) }, { weak: true });
  expect(weak.cuts.every(({ clean }) => !clean)).toBe(true);
});

test('a printer that is jammed, empty or holds other paper says so and prints nothing', async () => {
  const pdf = await pageOf([{ x: 50, y: 40 }]);
  for (const stop of PRINT_STOPS) {
    const { printer } = simulatedDevices(nodePlatform, 1, { stop });
    const done = await printer.print({ pdf, name: 'sheet', sheet: SHEET }, unwatched);
    expect(done).toMatchObject({ ok: false, problem: { code: `printer/${stop}` } });
  }
});

test('faults of the print are as large as they are asked for', async () => {
  const places = [
    { x: 20, y: 20 },
    { x: 80, y: 20 },
  ];
  const pdf = await pageOf(places);
  const plain = await printed(3, pdf);
  const moved = await printed(3, pdf, { offset: 4 });
  const middle = apply(plain.actualTransform, { x: 50, y: 40 });
  const off = apply(moved.actualTransform, { x: 50, y: 40 });
  expect(Math.hypot(off.x - middle.x, off.y - middle.y)).toBeCloseTo(Math.hypot(4, 4), 1);
  const inked = (one: PrintedSheet): number =>
    darkness(one.picture.image).filter((value) => value > 128).length;
  // A dot of 6 mm whose ink runs out by 0.3 mm covers a fifth more.
  const share = inked(await printed(3, pdf, { inkSpread: 0.3 })) / inked(plain);
  expect(share).toBeGreaterThan(1.15);
  expect(share).toBeLessThan(1.4);
  expect(inked(await printed(3, pdf, { clipped: 30 }))).toBe(0);
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
  const { picture } = await printed(2, pdf);
  expect(darkness(picture.image).filter((value) => value > 30)).toHaveLength(0);
});
