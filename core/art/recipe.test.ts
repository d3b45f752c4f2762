import { disc, drawn } from '../testing/drawn.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import {
  colorsOf,
  makeArt,
  makePixels,
  makeVector,
  parseSvg,
  PLAIN_PIXELS,
  PLAIN_VECTOR,
  pixelArt,
  readPixels,
  shapesOf,
  spreadImage,
} from './index.ts';

const image = drawn(60, 60, [{ region: disc(30, 30, 20), color: [100, 150, 200] }]);
const pixel = ({ data }: { data: Uint8ClampedArray }, x: number, y: number): number[] => [
  ...data.subarray((y * 60 + x) * 4, (y * 60 + x) * 4 + 4),
];

test('brushes erase and bring back what the picture had', () => {
  const stroke = {
    radius: 5,
    points: [
      [10, 30],
      [50, 30],
    ] as [number, number][],
  };
  const erased = makePixels(image, { ...PLAIN_PIXELS, strokes: [{ ...stroke, mode: 'erase' }] });
  expect(pixel(erased, 30, 30)[3]).toBe(0);
  expect(pixel(erased, 30, 40)).toEqual([100, 150, 200, 255]);
  const both = makePixels(image, {
    ...PLAIN_PIXELS,
    strokes: [
      { ...stroke, mode: 'erase' },
      { mode: 'restore', radius: 3, points: [[30, 30]] },
    ],
  });
  expect(pixel(both, 30, 30)).toEqual([100, 150, 200, 255]);
  expect(pixel(both, 20, 30)[3]).toBe(0);
  expect(pixel(image, 30, 30)[3]).toBe(255);
});

test('light, contrast, grey and mirror change what they say and leave the alpha', () => {
  const tone = (more: Partial<typeof PLAIN_PIXELS>): number[] =>
    pixel(makePixels(image, { ...PLAIN_PIXELS, ...more }), 30, 30);
  expect(tone({ light: 1 })).toEqual([255, 255, 255, 255]);
  expect(tone({ light: -1 })).toEqual([0, 0, 0, 255]);
  expect(tone({ contrast: -1 })).toEqual([128, 128, 128, 255]);
  const [r, g, b] = tone({ grey: true });
  expect([r === g, g === b]).toEqual([true, true]);
  const half = drawn(60, 60, [{ region: disc(10, 30, 6), color: [9, 9, 9] }]);
  expect(pixel(makePixels(half, { ...PLAIN_PIXELS, mirror: true }), 49, 30)[3]).toBe(255);
});

test('art made by a recipe names what it was made from, and the same recipe gives the same art', async () => {
  const { art, bytes } = pixelArt(image, 150, { name: 'Dot', tags: ['round'], licence: 'free' });
  const recipe = { ...PLAIN_PIXELS, mirror: true };
  const [one, other] = [
    await makeArt(nodePlatform, { art, bytes }, recipe),
    await makeArt(nodePlatform, { art, bytes }, recipe),
  ];
  if (!one.ok || !other.ok) throw new Error('not made');
  expect(one.value.art).toMatchObject({
    name: 'Dot',
    tags: ['round'],
    licence: 'free',
    dpi: 150,
    made: { from: art.id, recipe },
  });
  expect(one.value.art.id).toBe(other.value.art.id);
  const read = await readPixels(nodePlatform, one.value.bytes, 'x');
  expect(read.ok && [read.value.width, read.value.height]).toEqual([60, 60]);
});

const SVG = `<svg xmlns="http://www.w3.org/2000/svg" width="20mm" height="10mm" viewBox="0 0 20 10">
  <g opacity="0.5"><rect width="5" height="5" fill="#ff0000"/></g>
  <rect x="5" width="5" height="5" fill="#ff0000"/><circle cx="15" cy="5" r="3" fill="#00ff00" stroke="#0000ff"/></svg>`;

test('the groups of a file are known, but for those of one', () => {
  const read = parseSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><g><rect width="1" height="1"/>
      <g><g><rect width="2" height="2"/></g><rect width="3" height="3"/></g></g><g><rect width="4" height="4"/></g></svg>`,
    'a.svg',
  );
  const chains = read.ok ? shapesOf(read.value.nodes).map(({ groups }) => groups.length) : [];
  // The drawing itself, the first group, and the one inside it that holds two.
  expect(chains).toEqual([2, 3, 3, 1]);
});

test('vector art loses shapes and changes colours by number and by colour', () => {
  const read = parseSvg(SVG, 'a.svg');
  if (!read.ok) throw new Error(read.problem.code);
  const { nodes } = read.value;
  expect(shapesOf(nodes).map(({ shape }) => shape.fill?.kind)).toEqual(['solid', 'solid', 'solid']);
  expect(colorsOf(nodes)).toEqual(['#ff0000', '#00ff00', '#0000ff']);
  const made = makeVector(
    nodes,
    { ...PLAIN_VECTOR, hidden: [0], shapes: { 2: '#123456' }, colors: { '#ff0000': '#654321' } },
    20,
  );
  expect(colorsOf(made)).toEqual(['#654321', '#123456', '#0000ff']);
  expect(shapesOf(made)).toHaveLength(2);
});

test('art grown for the bleed has the nearest colour all round, as far as asked and no further', () => {
  const two = drawn(60, 60, [
    { region: (x) => x - 30, color: [200, 0, 0] },
    { region: (x) => 30 - x, color: [0, 0, 200] },
  ]);
  const cut = { ...two, data: two.data.slice() };
  for (let y = 0; y < 60; y++)
    for (let x = 0; x < 60; x++)
      if (disc(30, 30, 20)(x + 0.5, y + 0.5) > 0) cut.data[(y * 60 + x) * 4 + 3] = 0;
  const grown = spreadImage(cut, 8);
  expect([grown.width, grown.height]).toEqual([76, 76]);
  const at = (x: number, y: number): number[] => [
    ...grown.data.subarray(((y + 8) * 76 + x + 8) * 4, ((y + 8) * 76 + x + 8) * 4 + 4),
  ];
  expect(at(4, 30)).toEqual([200, 0, 0, 255]); // 6 pixels outside on the left
  expect(at(55, 30)).toEqual([0, 0, 200, 255]);
  expect(at(0, 30)[3]).toBe(0); // 10 pixels outside
  expect(at(30, 4)[3]).toBe(255);
});
