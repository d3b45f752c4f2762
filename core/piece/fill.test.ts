import { ORNAMENTS, ornamentOf, patternOf, PATTERNS } from '../art/index.ts';
import { findBounds, type Drawing, type DrawingNode } from '../drawing/index.ts';
import { rectanglePath } from '../geometry/index.ts';
import { writePdf } from '../output/index.ts';
import { renderPdf } from '../pdf/index.ts';
import type { RgbaImage } from '../raster/index.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { elementMaps, findPaint, recoloredFill, type Fill } from './index.ts';

const none = { art: () => undefined, vector: () => undefined };
const nothing = { typeface: () => undefined, art: () => undefined, bytes: () => undefined };
const SIDE = 24; // mm

/** A square filled with a fill, rendered. */
async function filledSquare(fill: Fill, dpi = 150): Promise<RgbaImage> {
  const paint = findPaint(fill, { width: SIDE, height: SIDE }, none);
  if (!paint) throw new Error('no paint');
  const square: DrawingNode = {
    kind: 'group',
    transform: [1, 0, 0, 1, SIDE / 2, SIDE / 2],
    children: [{ kind: 'path', path: rectanglePath({ x: 0, y: 0 }, SIDE, SIDE), fill: paint }],
  };
  const drawing: Drawing = { width: SIDE, height: SIDE, symbols: {}, nodes: [square] };
  const pdf = await writePdf(nodePlatform, [{ drawing }], nothing, 'fill');
  return renderPdf(nodePlatform, { pdf, page: 0, dpi });
}

const at = ({ data, width }: RgbaImage, x: number, y: number): number[] => [
  ...data.slice((y * width + x) * 4, (y * width + x) * 4 + 3),
];

/** The share of the inner pixels that are further than a little from a colour. */
function shareOff(image: RgbaImage, [r, g, b]: readonly [number, number, number]): number {
  let off = 0;
  let seen = 0;
  for (let y = 2; y < image.height - 2; y++)
    for (let x = 2; x < image.width - 2; x++) {
      const [one = 0, two = 0, three = 0] = at(image, x, y);
      seen++;
      if (Math.abs(one - r) + Math.abs(two - g) + Math.abs(three - b) > 6) off++;
    }
  return off / seen;
}

const pattern = (name: (typeof PATTERNS)[number], ink: string, changes: object = {}): Fill => ({
  kind: 'pattern',
  pattern: name,
  ground: '#406080',
  inks: [ink],
  scale: 1,
  angle: 0,
  ...changes,
});

test('there are at least twelve patterns, each with a tile that is not empty', () => {
  expect(PATTERNS.length).toBeGreaterThanOrEqual(12);
  for (const name of PATTERNS) {
    const { width, height, nodes } = patternOf(name).tile(['#000000', '#111111', '#222222']);
    expect(Math.min(width, height)).toBeGreaterThan(0.5);
    expect(findBounds(nodes)).toBeDefined();
  }
});

test.each(PATTERNS)('%s shows between ground and ink, repeats, and turns', async (name) => {
  const image = await filledSquare(pattern(name, '#ffffff'));
  const inked = shareOff(image, [0x40, 0x60, 0x80]);
  expect(inked).toBeGreaterThan(0.02);
  expect(inked).toBeLessThan(0.9);
  const turned = await filledSquare(pattern(name, '#ffffff', { angle: 37 }));
  // Turned, it covers about as much: no cell is left out.
  expect(Math.abs(shareOff(turned, [0x40, 0x60, 0x80]) - inked)).toBeLessThan(0.12);
});

test.each(['stripes', 'chevron', 'herringbone', 'comb'] as const)(
  '%s has no seam where its tiles meet',
  async (name) => {
    // One period on, and as fine as the printer sees it, it is the same picture to the pixel’s edge.
    const { width, height } = patternOf(name).tile(['#ffffff', '#ffffff']);
    const dpi = (25.4 * 40) / Math.max(width, height);
    const image = await filledSquare(pattern(name, '#ffffff'), dpi);
    const [across, down] = [Math.round((width * dpi) / 25.4), Math.round((height * dpi) / 25.4)];
    let worst = 0;
    for (let y = 3; y + down < image.height - 3; y += 3)
      for (let x = 3; x + across < image.width - 3; x += 3) {
        const one = at(image, x, y);
        const right = at(image, x + across, y);
        worst = Math.max(
          worst,
          ...one.map((value, channel) => Math.abs(value - (right[channel] ?? 0))),
        );
      }
    expect(worst).toBeLessThan(60);
  },
);

test('stripes run on without a break across the tiles along them', async () => {
  const image = await filledSquare(pattern('stripes', '#ffffff'), 211);
  for (let x = 4; x < image.width - 4; x++) {
    const first = at(image, x, 4);
    for (let y = 5; y < image.height - 4; y++) expect(at(image, x, y)).toEqual(first);
  }
});

test('a gradient has its end colours at the sides of what it fills and runs as it is turned', async () => {
  const stops = [
    { at: 0, color: '#000000' },
    { at: 1, color: '#ffffff' },
  ];
  const down = await filledSquare({ kind: 'gradient', shape: 'linear', angle: 90, stops });
  const light = (image: RgbaImage, x: number, y: number): number => at(image, x, y)[0] ?? 0;
  const last = down.width - 3;
  expect(light(down, 60, 2)).toBeLessThan(6);
  expect(light(down, 60, last)).toBeGreaterThan(246);
  expect(light(down, 3, 70)).toBe(light(down, last, 70));
  const across = await filledSquare({ kind: 'gradient', shape: 'linear', angle: 0, stops });
  expect(light(across, 2, 60)).toBeLessThan(6);
  const round = await filledSquare({ kind: 'gradient', shape: 'radial', angle: 0, stops });
  expect(light(round, 70, 70)).toBeLessThan(8);
  expect(light(round, 2, 2)).toBeGreaterThan(245);
});

test('recolouring changes every use of a colour and nothing else', () => {
  const swap = (color: string): string => (color === '#aaaaaa' ? '#bbbbbb' : color);
  expect(recoloredFill('#aaaaaa', swap)).toBe('#bbbbbb');
  expect(recoloredFill(pattern('dots', '#aaaaaa', { ground: '#aaaaaa' }), swap)).toMatchObject({
    ground: '#bbbbbb',
    inks: ['#bbbbbb'],
    scale: 1,
  });
  const gradient: Fill = {
    kind: 'gradient',
    shape: 'linear',
    angle: 0,
    stops: [
      { at: 0, color: '#aaaaaa' },
      { at: 1, color: '#111111' },
    ],
  };
  expect(recoloredFill(gradient, swap)).toMatchObject({
    stops: [{ color: '#bbbbbb' }, { color: '#111111' }],
  });
});

test.each(ORNAMENTS)(
  'the ornament %s stays in its box, also when it has few or many parts',
  (name) => {
    const kind = ornamentOf(name);
    const width = 40;
    const height = width / kind.ratio;
    for (const count of [kind.count?.least, kind.count?.usual, kind.count?.most]) {
      const nodes = kind.draw({
        width,
        height,
        count: count ?? 1,
        weight: 0.3,
        inks: ['#000000', '#111111'],
      });
      const box = findBounds(nodes);
      expect(nodes.length).toBeGreaterThan(0);
      // Bounds take in handles of curves and twice the lines' width.
      for (const side of [box?.left, box?.right])
        expect(Math.abs(side ?? 99)).toBeLessThan(width * 0.58 + 1);
      for (const side of [box?.top, box?.bottom])
        expect(Math.abs(side ?? 99)).toBeLessThan(height * 0.7 + 1.5);
    }
  },
);

test('what is repeated goes around, along a line, or is mirrored', () => {
  const own = { x: 10, y: 0, angle: 0 };
  const places = (repeat: Parameters<typeof elementMaps>[0]['repeat']): number[][] =>
    elementMaps({ ...own, repeat }).map((map) =>
      [map[4], map[5]].map((value) => Math.round(value * 1e6) / 1e6 + 0),
    );
  expect(places({ kind: 'around', times: 4, x: 0, y: 0, turned: true })).toEqual([
    [10, 0],
    [0, 10],
    [-10, 0],
    [0, -10],
  ]);
  expect(places({ kind: 'line', times: 3, dx: 5, dy: 1 })).toEqual([
    [10, 0],
    [15, 1],
    [20, 2],
  ]);
  expect(places({ kind: 'mirror', axes: 'both', x: 0, y: 3 })).toEqual([
    [10, 0],
    [-10, 0],
    [10, 6],
    [-10, 6],
  ]);
  const [, quarter] = elementMaps({
    ...own,
    repeat: { kind: 'around', times: 4, x: 0, y: 0, turned: true },
  });
  expect(quarter?.[0]).toBeCloseTo(0, 9);
  const [, upright] = elementMaps({
    ...own,
    repeat: { kind: 'around', times: 4, x: 0, y: 0, turned: false },
  });
  expect(upright?.slice(0, 4)).toEqual([1, 0, 0, 1]);
});
