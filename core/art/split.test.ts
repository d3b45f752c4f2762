import { block, disc, drawn } from '../testing/drawn.ts';
import { partImage, splitPage } from './index.ts';

const PER_MM = 10;
const INK = [60, 40, 70] as const;
const RED = [200, 60, 50] as const;
const at = (region: ReturnType<typeof disc>, color: readonly [number, number, number] = INK) => ({
  region,
  color,
});
const split = (
  image: ReturnType<typeof drawn>,
  more: Partial<Parameters<typeof splitPage>[1]> = {},
) => splitPage(image, { perMm: PER_MM, gap: 0.8, least: 2, ...more });

test('drawings are told apart, in reading order, with what stands in or close to them', () => {
  const page = drawn(600, 400, [
    at(disc(450, 110, 60)), // the second of the first row, a little higher
    at(disc(120, 120, 70)),
    at(disc(120, 120, 40), [0, 0, 0]),
    at(block(120, 300, { width: 100, height: 60 })),
    at(disc(120, 340 + 10, 15)), // 0.5 mm below the block: part of it
    at(disc(300, 250, 4)), // a speck
  ]);
  const { parts, specks } = split(page);
  expect(parts.map(({ left, top }) => [left, top])).toEqual([
    [50, 50],
    [390, 50],
    [70, 270],
  ]);
  expect(parts[2]?.bottom).toBe(365);
  expect(specks).toBe(1);
});

test('an eye in a ring belongs to it, however far it is from the rim', () => {
  const face = drawn(400, 400, [
    at((x, y) => Math.max(disc(200, 200, 150)(x, y), -disc(200, 200, 120)(x, y))),
    at(disc(200, 200, 20)),
    at(disc(370, 370, 25)),
  ]);
  expect(split(face).parts.map(({ left }) => left)).toEqual([50, 345]);
});

test('the gap decides whether two drawings 1 mm apart are one', () => {
  const two = drawn(300, 200, [at(disc(80, 100, 50)), at(disc(190, 100, 50))]);
  expect(split(two, { gap: 0.8 }).parts).toHaveLength(2);
  expect(split(two, { gap: 1.2 }).parts).toHaveLength(1);
});

test('what touches by a hair is cut apart by a drawn line, and stays apart', () => {
  const touching = drawn(300, 200, [
    at(disc(90, 100, 50)),
    at(disc(210, 100, 50)),
    at(block(150, 100, { width: 40, height: 4 })),
  ]);
  expect(split(touching).parts).toHaveLength(1);
  const cuts = [{ from: { x: 150, y: 60 }, to: { x: 150, y: 140 } }];
  expect(split(touching, { cuts }).parts.map(({ right }) => right)).toEqual([150, 260]);
});

test('a line of lettering is taken for a headline; a row of drawings is not', () => {
  const letters = Array.from({ length: 9 }, (_, index) => [
    at(block(100 + index * 34, 60, { width: 22, height: 40 })),
    // Every other letter has paper in it.
    ...(index % 2
      ? [at(block(100 + index * 34, 60, { width: 8, height: 14 }), [255, 255, 255])]
      : []),
  ]).flat();
  const drawings = [0, 1, 2, 3].map((index) =>
    at(disc(90 + index * 140, 250, 60), index % 2 ? RED : [60, 120, 60]),
  );
  const { parts } = split(drawn(600, 400, [...letters, ...drawings]));
  expect(parts.map(({ title }) => title)).toEqual([true, false, false, false, false]);
  expect(parts[0]).toMatchObject({ left: 89, right: 383 });
});

test('a part comes out trimmed, with nothing of a neighbour that reaches into its box', () => {
  const page = drawn(300, 300, [
    at((x, y) => Math.max(disc(150, 150, 140)(x, y), -disc(150, 150, 110)(x, y), -(y - 150)), RED),
    at(disc(150, 130, 40)),
  ]);
  const done = split(page);
  const bow = done.parts.findIndex(({ left }) => left < 20);
  const part = done.parts[bow];
  if (!part) throw new Error('no bow');
  const image = partImage(page, done, part);
  expect([image.width, image.height]).toEqual([part.right - part.left, part.bottom - part.top]);
  const colors = new Set<number>();
  for (let from = 0; from < image.data.length; from += 4)
    if (image.data[from + 3]) colors.add(image.data[from] as number);
  expect([...colors]).toEqual([200]);
});
