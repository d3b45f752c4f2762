import { strToU8 } from 'fflate';
import { expectOk } from '../base/index.ts';
import { readArt } from '../art/index.ts';
import { encodePngImage, type RgbaImage } from '../raster/index.ts';
import { composedPicture } from '../testing/composed.ts';
import { block, disc, drawn } from '../testing/drawn.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { cutSticker, cutStickers, type StickerCut } from './sticker-cut.ts';

const cutOf = async (bytes: Uint8Array): Promise<StickerCut> =>
  cutSticker(nodePlatform, expectOk(await readArt(nodePlatform, bytes, 'leaf')));
const png = (image: RgbaImage): Uint8Array => encodePngImage(image, 254); // ten pixels a mm
const PAPER = (): readonly [number, number, number] => [236, 234, 230];
const GREEN = [60, 120, 70] as const;
const leaf = drawn(300, 200, [{ region: disc(150, 100, 60), color: GREEN }], PAPER);

/** The same with everything but the leaf clear. */
function freed({ width, height, data }: RgbaImage): RgbaImage {
  const made = data.slice();
  for (let pixel = 0; pixel < width * height; pixel++)
    if (Math.hypot((pixel % width) - 150, Math.floor(pixel / width) - 100) > 60)
      made[pixel * 4 + 3] = 0;
  return { width, height, data: made };
}

test('what is clear around is cut by its own outline', async () => {
  const { way, traced, read } = await cutOf(png(freed(leaf)));
  expect(way).toBe('outline');
  expect(traced?.area).toBeCloseTo(Math.PI * 36, 0);
  expect(read.art.made).toBeUndefined();
});

test('what lies on plain paper is cut by what is left without it; the recipe says so', async () => {
  const { way, traced, read } = await cutOf(png(leaf));
  expect(way).toBe('cleared');
  expect(traced?.area).toBeCloseTo(Math.PI * 36, 0);
  expect(read.art.made?.recipe).toMatchObject({ kind: 'pixels', clear: { reach: 'border' } });
});

test('a photograph waits for its subject to be freed', async () => {
  const { way, traced } = await cutOf(png(composedPicture(300, 200, 4).image));
  expect([way, traced]).toEqual(['photograph', undefined]);
});

test('what stands in a room is a photograph, though its wall is plain', async () => {
  const pot = { region: disc(150, 90, 50), color: GREEN };
  const table = {
    region: block(150, 170, { width: 400, height: 8 }),
    color: [120, 90, 60] as const,
  };
  expect((await cutOf(png(drawn(300, 200, [pot, table], PAPER)))).way).toBe('photograph');
  const onTable = { region: block(150, 142, { width: 400, height: 8 }), color: GREEN };
  expect((await cutOf(png(drawn(300, 200, [pot, onTable], PAPER)))).way).toBe('photograph');
  expect((await cutOf(png(drawn(300, 200, [pot], PAPER)))).way).toBe('cleared');
  // What is cut off by the picture alone, as a bust is, stands on plain paper all the same.
  const bust = { region: disc(150, 190, 50), color: GREEN };
  expect((await cutOf(png(drawn(900, 200, [bust], PAPER)))).way).toBe('cleared');
});

test('many drawings are a page; what has no outline has its box', async () => {
  const discs = [50, 110, 170, 230].flatMap((x) =>
    [60, 140].map((y) => ({ region: disc(x, y, 20), color: GREEN })),
  );
  expect((await cutOf(png(drawn(300, 200, discs, PAPER)))).way).toBe('page');
  const svg = (body: string): Uint8Array =>
    strToU8(
      `<svg xmlns="http://www.w3.org/2000/svg" width="30mm" height="20mm" viewBox="0 0 30 20">${body}</svg>`,
    );
  expect((await cutOf(svg('<rect width="30" height="20"/>'))).way).toBe('box');
  expect((await cutOf(svg('<circle cx="15" cy="10" r="6"/>'))).way).toBe('outline');
  // Ten leaflets of one leaf are half a millimetre apart, ten berries three.
  const row = (step: number): string =>
    Array.from(
      { length: 10 },
      (_, at) => `<rect x="${at * step}" y="8" width="${step - 0.5}" height="4"/>`,
    ).join('');
  expect((await cutOf(svg(row(2.5)))).way).toBe('outline');
  const berries = Array.from(
    { length: 9 },
    (_, at) => `<circle cx="${2 + (at % 5) * 6}" cy="${5 + (at % 2) * 9}" r="1.5"/>`,
  );
  expect((await cutOf(svg(berries.join('')))).way).toBe('page');
  const clear = { width: 30, height: 20, data: new Uint8ClampedArray(30 * 20 * 4) };
  expect((await cutOf(png(clear))).way).toBe('box');
});

test('each drawing of a page is a sticker of its own, in reading order', async () => {
  const radii = [14, 16, 18, 20, 22, 24, 26, 28];
  const discs = radii.map((radius, at) => ({
    region: disc(60 + (at % 4) * 80, at < 4 ? 60 : 140, radius),
    color: GREEN,
  }));
  const page = expectOk(await readArt(nodePlatform, png(drawn(360, 200, discs, PAPER)), 'page'));
  const cuts = await cutStickers(nodePlatform, page);
  expect(cuts.map(({ way }) => way)).toEqual(radii.map(() => 'outline'));
  expect(cuts.map(({ read }) => read.art.name)).toEqual(radii.map((_, at) => `page ${at + 1}`));
  cuts.forEach(({ traced }, at) => {
    const wanted = Math.PI * ((radii[at] ?? 0) / 10) ** 2;
    expect((traced?.area ?? 0) / wanted).toBeCloseTo(1, 1);
  });
  // What is no page stays one.
  const single = expectOk(await readArt(nodePlatform, png(leaf), 'leaf'));
  expect((await cutStickers(nodePlatform, single)).map(({ way }) => way)).toEqual(['cleared']);
});

test('pictures of one colour, and of few pixels, are photographs or boxes', async () => {
  for (const [width, height] of [
    [1, 1],
    [7, 5],
    [200, 100],
  ] as const) {
    const data = new Uint8ClampedArray(width * height * 4).fill(255);
    for (let at = 0; at < data.length; at += 4) data[at] = 0;
    expect((await cutOf(png({ width, height, data }))).traced).toBeUndefined();
  }
});
