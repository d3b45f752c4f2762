import {
  apply,
  compose,
  invert,
  placed,
  scaling,
  signedArea,
  flatten,
  type Affine,
} from '../geometry/index.ts';
import { seededRandom } from '../base/index.ts';
import { blankImage, type RgbaImage } from '../raster/index.ts';
import {
  findMarks,
  markBox,
  markPath,
  TRUSTED,
  tryMarks,
  whyNotTrusted,
  type MarkPlace,
} from './index.ts';

const MARKS: MarkPlace[] = [
  { x: 12, y: 12, size: 5, style: 'ring' },
  { x: 198, y: 12, size: 5, style: 'dot' },
  { x: 198, y: 285, size: 5, style: 'dot' },
  { x: 12, y: 285, size: 5, style: 'dot' },
];
const DPI = 150;

const { abs, floor, hypot, round } = Math;

/** Draws analytic dots, anti-aliased by 4 x 4 samples, as a sheet under `map` would show them. */
function picture(map: Affine, marks: readonly MarkPlace[], noise = 0): RgbaImage {
  const perMm = DPI / 25.4;
  const image = blankImage(round(210 * perMm), round(297 * perMm), [245, 245, 242, 255]);
  const back = invert(map);
  const random = seededRandom(3);
  for (const mark of marks) {
    const middle = apply(map, mark);
    for (let y = floor((middle.y - 14) * perMm); y < (middle.y + 14) * perMm; y++) {
      for (let x = floor((middle.x - 14) * perMm); x < (middle.x + 14) * perMm; x++) {
        const value = 245 - inkAt(back, mark, x, y) * 220 + noise * random.normal();
        image.data.fill(value, (y * image.width + x) * 4, (y * image.width + x) * 4 + 3);
      }
    }
  }
  return image;
}

/** What is black of a mark, told apart from how it is drawn: bars are 0.16 of their length wide. */
function isInked({ size, style, turn = 0 }: MarkPlace, dx: number, dy: number): boolean {
  const [x, y] =
    turn === 90 ? [dy, -dx] : turn === 180 ? [-dx, -dy] : turn === 270 ? [-dy, dx] : [dx, dy];
  const bar = size * 0.16;
  if (style === 'corner') return x > 0 && y > 0 && x < size && y < size && (x < bar || y < bar);
  if (style === 'cross')
    return abs(x) < size / 2 && abs(y) < size / 2 && (abs(x) < bar / 2 || abs(y) < bar / 2);
  const r = hypot(x, y) / size;
  return r < 0.5 || (style === 'ring' && r > 0.7 && r < 0.85);
}

function inkAt(back: Affine, mark: MarkPlace, x: number, y: number): number {
  let ink = 0;
  for (let s = 0; s < 16; s++) {
    const at = apply(back, {
      x: ((x + (s % 4) / 4 + 0.125) * 25.4) / DPI,
      y: ((y + floor(s / 4) / 4 + 0.125) * 25.4) / DPI,
    });
    if (isInked(mark, at.x - mark.x, at.y - mark.y)) ink += 1 / 16;
  }
  return ink;
}

const LIES = compose(placed(1.8, -1.1, 0.9), scaling(1.004));

test('a turned, scaled and noisy sheet is found to a few hundredths of a millimetre', () => {
  const found = findMarks({ image: picture(LIES, MARKS, 6), dpi: DPI }, MARKS);
  expect(found.found.every(Boolean)).toBe(true);
  expect(found.residual).toBeLessThan(0.03);
  expect(found.confidence).toBeGreaterThan(0.85);
  for (const corner of [
    { x: 0, y: 0 },
    { x: 210, y: 297 },
  ]) {
    const truth = apply(LIES, corner);
    const said = apply(found.map ?? [0, 0, 0, 0, 0, 0], corner);
    expect(Math.hypot(truth.x - said.x, truth.y - said.y)).toBeLessThan(0.05);
  }
});

test('a missed mark lowers the confidence and leaves a similarity', () => {
  const found = findMarks({ image: picture(LIES, MARKS.slice(0, 3)), dpi: DPI }, MARKS);
  expect(found.found[3]).toBeUndefined();
  expect(found.confidence).toBeLessThan(0.76);
  const [a, b, c, d] = found.map ?? [0, 0, 0, 0];
  expect([c, d]).toEqual([-b, a]);
});

test('a sheet laid the other way round is noticed', () => {
  const round = MARKS.map((mark) => ({ ...mark, x: 210 - mark.x, y: 297 - mark.y }));
  expect(findMarks({ image: picture(LIES, round), dpi: DPI }, MARKS).turned).toBe(true);
});

test('an empty sheet gives no map and no confidence', () => {
  const found = findMarks({ image: picture(LIES, [], 6), dpi: DPI }, MARKS);
  expect(found.map).toBeUndefined();
  expect(found.confidence).toBe(0);
});

const BARS: MarkPlace[] = [
  { x: 14, y: 14, size: 5, style: 'ring' },
  { x: 198, y: 12, size: 10, style: 'corner', turn: 90 },
  { x: 198, y: 285, size: 10, style: 'corner', turn: 180 },
  { x: 12, y: 285, size: 10, style: 'corner', turn: 270 },
];
const CROSSES = BARS.map((mark): MarkPlace =>
  mark.style === 'ring' ? mark : { ...mark, size: 8, style: 'cross' },
);

test.each([
  ['corner angles', BARS],
  ['crosses', CROSSES],
])('%s are found by their ink as well as dots are', (_, marks) => {
  const found = findMarks({ image: picture(LIES, marks, 6), dpi: DPI }, marks);
  expect(found.found.every(Boolean)).toBe(true);
  expect(found.residual).toBeLessThan(0.06);
  expect(found.confidence).toBeGreaterThan(0.75);
  const truth = apply(LIES, { x: 105, y: 148 });
  const said = apply(found.map ?? [0, 0, 0, 0, 0, 0], { x: 105, y: 148 });
  expect(Math.hypot(truth.x - said.x, truth.y - said.y)).toBeLessThan(0.08);
});

test('a sheet with crosses that lies the other way round is noticed by its ring dot', () => {
  const round = CROSSES.map((mark) => ({ ...mark, x: 210 - mark.x, y: 297 - mark.y }));
  const placed = CROSSES.map((mark, at) => ({ ...mark, ...(at === 0 ? { x: 12, y: 12 } : {}) }));
  const turned = round.map((mark, at) => ({ ...mark, ...(at === 0 ? { x: 198, y: 285 } : {}) }));
  expect(findMarks({ image: picture(LIES, turned), dpi: DPI }, placed).turned).toBe(true);
  expect(findMarks({ image: picture(LIES, placed), dpi: DPI }, placed).turned).toBe(false);
});

test('marks are drawn as they are looked for', () => {
  const area = (mark: MarkPlace): number =>
    Math.abs(flatten(markPath(mark), 0.002).reduce((sum, ring) => sum + signedArea(ring), 0));
  expect(area({ x: 9, y: 9, size: 10, style: 'cross' })).toBeCloseTo(2 * 16 - 1.6 * 1.6, 6);
  expect(area({ x: 9, y: 9, size: 10, style: 'corner' })).toBeCloseTo(2 * 16 - 1.6 * 1.6, 6);
  const dot = Math.PI * 2.5 ** 2;
  const ring = Math.PI * ((5 * 0.85) ** 2 - (5 * 0.7) ** 2);
  expect(area({ x: 9, y: 9, size: 5, style: 'dot' }) / dot).toBeCloseTo(1, 2);
  expect(area({ x: 9, y: 9, size: 5, style: 'ring' }) / (dot + ring)).toBeCloseTo(1, 2);
  expect(markBox({ x: 198, y: 285, size: 10, style: 'corner', turn: 180 })).toEqual({
    left: 188,
    top: 275,
    right: 198,
    bottom: 285,
  });
});

test('smaller marks are found less often, and the tries can be repeated', () => {
  const [small, usual] = [3, 6].map((size) => tryMarks({ size, style: 'dot' }, 24));
  expect(small?.found).toBeLessThan(20);
  expect(usual?.found).toBe(24);
  expect(usual?.error).toBeLessThan(0.05);
  expect(tryMarks({ size: 3, style: 'dot' }, 24)).toEqual(small);
});

const SIX = (style: 'cross' | 'corner'): MarkPlace[] => {
  const side = style === 'corner' ? 'cross' : style;
  return [
    { x: 12, y: 12, size: 5, style: 'ring' },
    { x: 198, y: 12, size: 10, style, turn: 90 },
    { x: 198, y: 285, size: 10, style, turn: 180 },
    { x: 12, y: 285, size: 10, style, turn: 270 },
    { x: 198, y: 148.5, size: 10, style: side },
    { x: 12, y: 148.5, size: 10, style: side },
  ];
};
/** Marks as they stand on a sheet that lies the other way round. */
const upsideDown = (marks: readonly MarkPlace[]): MarkPlace[] =>
  marks.map((mark) => ({
    ...mark,
    x: 210 - mark.x,
    y: 297 - mark.y,
    ...(mark.turn === undefined ? {} : { turn: ((mark.turn + 180) % 360) as 0 | 90 | 180 | 270 }),
  }));

test.each(['cross', 'corner'] as const)(
  'six marks of %s: upside down with the ring hidden they are not trusted, the right way they are',
  (style) => {
    const marks = SIX(style);
    const hidden = (sheet: readonly MarkPlace[]) =>
      findMarks({ image: picture(LIES, sheet), dpi: DPI }, marks);
    const wrong = hidden(upsideDown(marks).filter((mark) => mark.style !== 'ring'));
    expect(wrong.confidence).toBe(0);
    expect(whyNotTrusted(wrong)?.code).toBe('way-unknown');
    const right = hidden(marks.filter((mark) => mark.style !== 'ring'));
    expect(right.confidence).toBeGreaterThan(TRUSTED);
  },
);

test('marks that were printed elsewhere are not trusted', () => {
  const at13 = MARKS.map((mark) => ({
    ...mark,
    x: mark.x < 100 ? mark.x + 2 : mark.x - 2,
    y: mark.y < 100 ? mark.y + 2 : mark.y - 2,
  }));
  const found = findMarks({ image: picture(placed(0, 0, 0), at13), dpi: DPI }, MARKS);
  expect(found.confidence).toBe(0);
  expect(whyNotTrusted(found)?.code).toBe('not-these-marks');
});

test.each([
  ['6 mm of skew', [1, 0, 6 / 297, 1, 0, 0], false],
  ['0.4 degrees of skew', [1, 0, Math.tan((0.4 * Math.PI) / 180), 1, 0, 0], true],
  ['1.7 % of stretch one way', [1.017, 0, 0, 1, 0, 0], false],
  ['1.2 % of stretch one way', [1.012, 0, 0, 1, 0, 0], true],
] as const)('%s: trusted %s', (_, map, trusted) => {
  const found = findMarks({ image: picture(map, MARKS), dpi: DPI }, MARKS);
  expect(found.found.every(Boolean)).toBe(true);
  expect(found.confidence > TRUSTED).toBe(trusted);
});
