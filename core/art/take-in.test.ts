import { encode } from 'fast-png';
import { strToU8, zipSync } from 'fflate';
import { PDFDocument, rgb, StandardFonts } from '@cantoo/pdf-lib';
import { unwatched } from '../base/index.ts';
import { disc, drawn } from '../testing/drawn.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { ART_LIMITS, artSize, readArt, sameArt, takeIn, type TakenIn } from './index.ts';

const take = (bytes: Uint8Array, name: string): Promise<TakenIn> =>
  takeIn(nodePlatform, { bytes, name }, { choices: { dpi: 150 }, task: unwatched });
const codes = ({ refused }: TakenIn): string[] => refused.map(({ problem }) => problem.code);

const DOT = drawn(80, 80, [{ region: disc(40, 40, 30), color: [200, 60, 50] }]);
const dotPng = encode({ ...DOT, data: new Uint8Array(DOT.data), channels: 4 });
const dotSvg = strToU8(
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 80 80" width="40mm" height="40mm"><circle cx="40" cy="40" r="30" fill="#c83c32"/></svg>',
);
const onPaper = (): Uint8Array => {
  const flat = drawn(160, 160, [{ region: disc(80, 80, 60), color: [200, 60, 50] }], () => [
    255, 255, 255,
  ]);
  return encode({ ...flat, data: new Uint8Array(flat.data), channels: 4 });
};
/** Two frames of 2 x 1 pixels: the first red and green. GIF89a, by hand. */
const GIF = Uint8Array.from([
  ...strToU8('GIF89a'),
  2,
  0,
  1,
  0,
  0x80,
  0,
  0,
  255,
  0,
  0,
  0,
  255,
  0,
  0x2c,
  0,
  0,
  0,
  0,
  2,
  0,
  1,
  0,
  0,
  2,
  2,
  0x44,
  0x0a,
  0,
  0x3b,
]);

test('a ZIP gives the pictures of all its folders, and names what it could not take', async () => {
  const zip = zipSync({
    'Spring set/PNG/dot.png': dotPng,
    'Spring set/SVG/dot.svg': dotSvg,
    'Spring set/read me.txt': strToU8('Thank you for buying'),
    '__MACOSX/._dot.png': strToU8('x'),
    'gif/two.gif': GIF,
  });
  const done = await take(zip, 'spring.zip');
  expect(done.taken.map(({ path, cameAs }) => [path, cameAs])).toEqual([
    ['spring.zip/Spring set/PNG/dot.png', 'png'],
    ['spring.zip/Spring set/SVG/dot.svg', 'svg'],
  ]);
  expect(done.refused.map(({ path }) => path)).toEqual([
    'spring.zip/Spring set/read me.txt',
    'spring.zip/gif/two.gif',
  ]);
});

test('the same art in several kinds of file is one group, the vector first, then the clear one', async () => {
  const zip = zipSync({
    'a.png': onPaper(),
    'b.png': dotPng,
    'c.svg': dotSvg,
    'other.png': encode({ width: 40, height: 10, channels: 3, data: new Uint8Array(1200) }),
  });
  const groups = sameArt((await take(zip, 'kinds.zip')).taken);
  expect(groups.map((group) => group.map(({ path }) => path.split('/')[1]))).toEqual([
    ['c.svg', 'b.png', 'a.png'],
    ['other.png'],
  ]);
});

test('a PDF page of shapes comes in as shapes at true size, one with words as pixels', async () => {
  const pdf = await PDFDocument.create();
  const shapes = pdf.addPage([144, 72]);
  shapes.drawCircle({ x: 36, y: 36, size: 18, color: rgb(1, 0, 0) });
  const worded = pdf.addPage([144, 72]);
  worded.drawText('Sea holly', {
    x: 10,
    y: 30,
    font: await pdf.embedFont(StandardFonts.Helvetica),
  });
  const { taken } = await take(await pdf.save(), 'plates.pdf');
  expect(taken.map(({ art }) => [art.kind, art.name])).toEqual([
    ['vector', 'plates 1'],
    ['pixels', 'plates 2'],
  ]);
  expect(taken.map(({ art }) => artSize(art).width)).toEqual([50.8, 50.8]);
  expect(taken[1]?.art).toMatchObject({ pixelWidth: 300, dpi: 150 });
});

test('hostile and broken files are each refused in a sentence', async () => {
  expect(codes(await take(zipSync({ 'zeros.png': new Uint8Array(30_000_000) }), 'z.zip'))).toEqual([
    'art/zip-size',
  ]);
  const many = Object.fromEntries(
    Array.from({ length: ART_LIMITS.zipEntries + 1 }, (_, at) => [`${at}.png`, dotPng] as const),
  );
  expect(codes(await take(zipSync(many, { level: 0 }), 'many.zip'))).toEqual(['art/zip-entries']);
  expect(codes(await take(zipSync({ 'in.zip': zipSync({ 'a.png': dotPng }) }), 'n.zip'))).toEqual([
    'art/zip-in-zip',
  ]);
  expect(codes(await take(zipSync({ 'a.png': dotPng }).slice(0, 90), 'cut.zip'))).toEqual([
    'art/zip-broken',
  ]);
  expect(codes(await take(strToU8('%PDF-1.7 and nothing more'), 'x.pdf'))).toEqual([
    'art/pdf-broken',
  ]);
  expect(codes(await take(GIF.slice(0, 20), 'half.gif'))).toEqual(['art/broken']);
  const svg = strToU8(
    `<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9">${'<path d="M0 0h1v1z"/>'.repeat(ART_LIMITS.shapes + 1)}</svg>`,
  );
  expect(codes(await take(svg, 'many.svg'))).toEqual(['art/too-many-shapes']);
});

test('a file that is too large and a PDF of too many pages are refused', async () => {
  const large = new Uint8Array(ART_LIMITS.bytes + 1);
  large.set(dotPng);
  expect(codes(await take(large, 'large.png'))).toEqual(['art/too-many-bytes']);
  const pdf = await PDFDocument.create();
  for (let page = 0; page <= ART_LIMITS.pdfPages; page++) pdf.addPage([20, 20]);
  expect(codes(await take(await pdf.save(), 'long.pdf'))).toEqual(['art/pdf-pages']);
});

test('a picture in four printing inks that is cut off is refused as damaged', async () => {
  const frame = [0xff, 0xc0, 0, 20, 8, 0, 16, 0, 16, 4, 1, 17, 0, 2, 17, 0, 3, 17, 0, 4, 17, 0];
  const { refused } = await take(Uint8Array.from([0xff, 0xd8, ...frame, 0xff, 0xd9]), 'press.jpg');
  expect(refused[0]?.problem).toMatchObject({ code: 'art/broken' });
});

test('AVIF comes in as pixels', async () => {
  const { default: encodeAvif, init } = await import('@jsquash/avif/encode.js');
  const { readFileSync } = await import('node:fs');
  const wasm = await WebAssembly.compile(
    readFileSync('node_modules/@jsquash/avif/codec/enc/avif_enc.wasm'),
  );
  await (init as unknown as (module: WebAssembly.Module) => Promise<void>)(wasm);
  const bytes = await encodeAvif(DOT as unknown as ImageData, { quality: 80 });
  const { taken, refused } = await take(new Uint8Array(bytes), 'dot.avif');
  expect(refused).toEqual([]);
  expect(taken[0]?.art).toMatchObject({ format: 'png', pixelWidth: 80, pixelHeight: 80 });
});

const flat = (side: number, color: readonly [number, number, number]): Uint8Array => {
  const image = drawn(side, side, [], () => color);
  return encode({ ...image, data: new Uint8Array(image.data), channels: 4 });
};

test('what shows nothing is told: too few pixels are refused, one colour all over is noted', async () => {
  expect(codes(await take(flat(7, [1, 2, 3]), 'tiny.png'))).toEqual(['art/too-small']);
  const { taken } = await take(flat(8, [0, 0, 0]), 'black.png');
  expect(taken[0]?.notes).toEqual([{ code: 'one-color', values: {} }]);
  expect((await take(dotPng, 'dot.png')).taken[0]?.notes).toBeUndefined();
});

test('pictures of one colour are the same art only where the colour is', async () => {
  const zip = zipSync({
    'a.png': flat(30, [0, 0, 0]),
    'b.png': flat(40, [200, 30, 30]),
    'c.png': flat(50, [2, 0, 0]),
  });
  const groups = sameArt((await take(zip, 'flat.zip')).taken);
  expect(groups.map((group) => group.map(({ art }) => art.name).sort())).toEqual([
    ['a', 'c'],
    ['b'],
  ]);
});

test('one shape in several colours is as many pictures', async () => {
  const colored = (color: readonly [number, number, number]): Uint8Array => {
    const image = drawn(90, 90, [{ region: disc(45, 45, 34), color }], () => [250, 250, 250]);
    return encode({ ...image, data: new Uint8Array(image.data), channels: 4 });
  };
  const zip = zipSync({
    'tomato.png': colored([200, 60, 40]),
    'pumpkin.png': colored([200, 110, 40]),
    'plum.png': colored([160, 60, 60]),
    'again.png': colored([203, 62, 42]),
  });
  const groups = sameArt((await take(zip, 'fruit.zip')).taken);
  expect(groups.map((group) => group.map(({ art }) => art.name).sort())).toEqual([
    ['again', 'tomato'],
    ['plum'],
    ['pumpkin'],
  ]);
});

test('of a picture that moves the first one is taken, and that is said', async () => {
  const [head, frame] = [GIF.slice(0, 19), GIF.slice(19, -1)];
  const moving = Uint8Array.from([...head, ...frame, ...frame, ...frame, 0x3b]);
  const read = await readArt(nodePlatform, moving, 'dance.gif');
  expect(read.ok && read.value.notes).toEqual([{ code: 'first-frame', values: { frames: 3 } }]);
  const still = await readArt(nodePlatform, GIF, 'still.gif');
  expect(still.ok && still.value.art).toMatchObject({
    ...{ format: 'png', pixelWidth: 2, pixelHeight: 1 },
  });
  expect(still.ok && still.value.notes).toBeUndefined();
});

test('a ZIP within a ZIP is named, and keeps nothing else out', async () => {
  const zip = zipSync({ 'dot.png': dotPng, 'more.zip': zipSync({ 'dot.png': dotPng }) });
  const took = await take(zip, 'all.zip');
  expect(took.taken.map(({ art }) => art.name)).toEqual(['dot']);
  expect(took.refused.map(({ path }) => path)).toEqual(['all.zip/more.zip']);
  expect(codes(took)).toEqual(['art/zip-in-zip']);
});
