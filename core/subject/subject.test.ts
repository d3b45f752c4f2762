import { composedPicture, overlapOf } from '../testing/composed.ts';
import type { RgbaImage } from '../raster/index.ts';
import { freeSubject, SubjectFinder, USUAL_FREEING, type Freeing } from './index.ts';
import { insideOf } from './painted.ts';

const [WIDTH, HEIGHT] = [360, 240];
const composed = composedPicture(WIDTH, HEIGHT, 4);
const [left, top, right, bottom] = composed.box;
const FRAMED: Freeing = {
  ...USUAL_FREEING,
  around: [
    [left - 6, top - 6],
    [right + 6, bottom + 6],
  ],
};
const finder = new SubjectFinder(composed.image);
const alphaAt = ({ data }: RgbaImage, x: number, y: number): number =>
  data[(Math.round(y) * WIDTH + Math.round(x)) * 4 + 3] as number;

test('a subject stands free by its frame alone, with a soft edge and its own colours in it', () => {
  const freed = freeSubject(composed.image, FRAMED, finder);
  expect(overlapOf(composed, freed)).toBeGreaterThan(0.97);
  expect(alphaAt(freed, 2, 2)).toBe(0);
  let [soft, off] = [0, 0];
  composed.alpha.forEach((share, pixel) => {
    if (share === 0 || share === 255) return;
    soft++;
    off += Math.abs(share - (freed.data[pixel * 4 + 3] as number));
  });
  expect(soft).toBeGreaterThan(200);
  expect(off / soft).toBeLessThan(40);
});

test('a rough line and a frame come to nearly the same', () => {
  const middle = [(left + right) / 2, (top + bottom) / 2] as const;
  const around = Array.from({ length: 40 }, (_, at): [number, number] => {
    const turn = (at / 40) * 2 * Math.PI;
    return [
      middle[0] + Math.cos(turn) * (right - left) * 0.62,
      middle[1] + Math.sin(turn) * (bottom - top) * 0.62,
    ];
  });
  const freed = freeSubject(composed.image, { ...FRAMED, around }, finder);
  expect(overlapOf(composed, freed)).toBeGreaterThan(0.97);
});

test('the same picture and choices give the same bytes, whatever was asked before', () => {
  const strokes = [
    { mode: 'drop' as const, radius: 3, points: [[left + 30, top + 50]] as [number, number][] },
  ];
  const painted = { ...FRAMED, strokes };
  const fresh = freeSubject(composed.image, painted, new SubjectFinder(composed.image));
  freeSubject(composed.image, { ...FRAMED, strokes: [] }, finder);
  freeSubject(composed.image, { ...painted, reach: 0.4 }, finder);
  expect(freeSubject(composed.image, painted, finder).data).toEqual(fresh.data);
});

const [cx, cy] = [(left + right) / 2, (top + bottom) / 2];
test.each([
  ['drop', cx, cy, 0],
  ['keep', 12, 12, 255],
] as const)('what a stroke to %s covers is so; what is far from it stays', (mode, x, y, wanted) => {
  const points: [number, number][] = [
    [x, y],
    [x + 24, y + 6],
  ];
  const strokes = [{ mode, radius: 4, points }];
  const before = finder.find(FRAMED);
  const after = finder.find({ ...FRAMED, strokes, reach: 0.08 });
  const label = wanted ? 1 : 0;
  for (const [px, py] of [...points, [x + 12, y + 3] as const])
    expect(after.labels[Math.round(py) * WIDTH + Math.round(px)]).toBe(label);
  // A reach of 0.08 of 360 pixels, from the stroke’s own ends and a region’s side.
  const far = 0.08 * WIDTH + 24 + 20;
  let [seen, changed] = [0, 0];
  for (let pixel = 0; pixel < before.labels.length; pixel++) {
    const [dx, dy] = [(pixel % WIDTH) - x - 12, Math.floor(pixel / WIDTH) - y - 3];
    if (Math.hypot(dx, dy) < far) continue;
    seen++;
    if (before.labels[pixel] !== after.labels[pixel]) changed++;
  }
  expect(seen).toBeGreaterThan(20_000);
  expect(changed).toBe(0);
});

test('a stroke that is taken back leaves what was before it', () => {
  const one = { mode: 'drop' as const, radius: 5, points: [[cx, cy]] as [number, number][] };
  const two = { mode: 'keep' as const, radius: 5, points: [[20, 20]] as [number, number][] };
  const before = finder.find({ ...FRAMED, strokes: [one] }).labels;
  finder.find({ ...FRAMED, strokes: [one, two] });
  expect(finder.find({ ...FRAMED, strokes: [one] }).labels).toEqual(before);
});

test('of many strokes those long ago are worked out again, to the same', () => {
  const strokes = Array.from({ length: 40 }, (_, at) => ({
    mode: at % 2 ? ('keep' as const) : ('drop' as const),
    radius: 2,
    points: [[left + ((at * 37) % (right - left)), top + ((at * 23) % (bottom - top))]] as [
      number,
      number,
    ][],
  }));
  const after = (count: number, by: SubjectFinder): Uint8Array =>
    by.find({ ...FRAMED, reach: 0.05, strokes: strokes.slice(0, count) }).labels;
  const fresh = new SubjectFinder(composed.image);
  expect(after(5, fresh)).not.toEqual(after(40, finder));
  expect(after(5, finder)).toEqual(after(5, fresh));
  expect(after(40, fresh)).toEqual(after(40, finder));
});

test('a picture that is shifted has its subject shifted', () => {
  const by = 24;
  const moved = { width: WIDTH, height: HEIGHT, data: new Uint8ClampedArray(WIDTH * HEIGHT * 4) };
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const from = (y * WIDTH + ((x + WIDTH - by) % WIDTH)) * 4;
      moved.data.set(composed.image.data.subarray(from, from + 4), (y * WIDTH + x) * 4);
    }
  const around = FRAMED.around.map(([x, y]): [number, number] => [x + by, y]);
  const [still, shifted] = [
    finder.find(FRAMED).labels,
    new SubjectFinder(moved).find({ ...FRAMED, around }).labels,
  ];
  let [both, either] = [0, 0];
  for (let y = 0; y < HEIGHT; y++)
    for (let x = by; x < WIDTH; x++) {
      const [one, other] = [still[y * WIDTH + x - by], shifted[y * WIDTH + x]];
      if (one && other) both++;
      if (one || other) either++;
    }
  expect(both / either).toBeGreaterThan(0.98);
});

/** A red disc with a small hole through which the green ground is seen. */
function ring(): RgbaImage {
  const data = new Uint8ClampedArray(200 * 200 * 4);
  for (let pixel = 0; pixel < 200 * 200; pixel++) {
    const away = Math.hypot((pixel % 200) - 100, Math.floor(pixel / 200) - 100);
    const grain = ((pixel * 2654435761) >>> 28) - 8;
    const color = away < 60 && away > 4.5 ? [190, 40, 50] : [60, 140, 70];
    data.set([...color.map((one) => one + grain), 255], pixel * 4);
  }
  return { width: 200, height: 200, data };
}

test('a small hole is filled and offered, and is open where it is chosen', () => {
  const image = ring();
  const around: [number, number][] = [
    [30, 30],
    [170, 170],
  ];
  const closed = new SubjectFinder(image).find({ ...USUAL_FREEING, around });
  expect(closed.holes).toHaveLength(1);
  expect(closed.holes[0]).toMatchObject({ isOpen: false });
  expect(closed.labels[100 * 200 + 100]).toBe(1);
  const open = new SubjectFinder(image).find({ ...USUAL_FREEING, around, holes: [[100, 100]] });
  expect(open.holes[0]).toMatchObject({ isOpen: true });
  expect(open.labels[100 * 200 + 100]).toBe(0);
  expect(open.labels[100 * 200 + 120]).toBe(1);
});

test('colours at a soft edge are the subject’s own, with the old ground taken out', () => {
  const freed = freeSubject(ring(), {
    ...USUAL_FREEING,
    around: [
      [30, 30],
      [170, 170],
    ],
  });
  let edge = 0;
  for (let at = 0; at < freed.data.length; at += 4) {
    const alpha = freed.data[at + 3] as number;
    const pixel = at / 4;
    const away = Math.hypot((pixel % 200) - 100, Math.floor(pixel / 200) - 100);
    // The hole in the middle is filled with what is seen through it.
    if (alpha < 64 || away < 8) continue;
    edge++;
    // No green is left in what is mostly red.
    expect((freed.data[at] as number) - (freed.data[at + 1] as number)).toBeGreaterThan(60);
  }
  expect(edge).toBeGreaterThan(10_000);
});

test.each<[string, Freeing['around']]>([
  [
    'has no size',
    [
      [50, 50],
      [50, 50],
    ],
  ],
  [
    'lies beside the picture',
    [
      [-90, -90],
      [-20, -20],
    ],
  ],
  [
    'is all of the picture',
    [
      [0, 0],
      [WIDTH, HEIGHT],
    ],
  ],
  [
    'is a line that crosses itself',
    [
      [20, 20],
      [300, 200],
      [300, 20],
      [20, 200],
    ],
  ],
])('a frame that %s ends with some answer', (_, around) => {
  const { labels } = finder.find({ ...FRAMED, around });
  expect(labels).toHaveLength(WIDTH * HEIGHT);
  const inside = insideOf(around, { width: WIDTH, height: HEIGHT, scale: 1 });
  expect(labels.every((label, pixel) => label <= (inside[pixel] as number))).toBe(true);
});

test('pictures of one colour, and of few pixels, end too', () => {
  for (const [width, height] of [
    [1, 1],
    [3, 2],
    [40, 1],
    [30, 30],
  ] as const) {
    const image = { width, height, data: new Uint8ClampedArray(width * height * 4).fill(200) };
    const freed = freeSubject(image, {
      ...USUAL_FREEING,
      around: [
        [0, 0],
        [width, height],
      ],
    });
    expect(freed.data).toHaveLength(width * height * 4);
  }
});
