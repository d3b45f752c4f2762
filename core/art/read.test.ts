import { zlibSync } from 'fflate';
import { expectOk } from '../base/index.ts';
import { problemLine } from '../../messages/index.ts';
import { decodePixels, encodeJpegImage, encodePngImage } from '../raster/index.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { p3Profile } from '../testing/p3-profile.ts';
import { readArt } from './index.ts';

const GREEN = [60, 160, 80] as const;
/** The same colour in sRGB: Display P3 of 60, 160, 80 by the formulas of CSS Color 4. */
const AS_SRGB = [0, 163, 72] as const;

const square = (() => {
  const data = new Uint8ClampedArray(16 * 16 * 4);
  for (let at = 0; at < data.length; at += 4) data.set([...GREEN, 255], at);
  return { width: 16, height: 16, data };
})();

/** A PNG with a chunk behind its header. */
function withChunk(png: Uint8Array, name: string, content: Uint8Array): Uint8Array {
  const chunk = new Uint8Array(12 + content.length);
  const view = new DataView(chunk.buffer);
  view.setUint32(0, content.length);
  [...name].forEach((letter, at) => view.setUint8(4 + at, letter.charCodeAt(0)));
  chunk.set(content, 8);
  let crc = ~0;
  for (const byte of chunk.subarray(4, 8 + content.length)) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
  }
  view.setUint32(8 + content.length, ~crc >>> 0);
  const made = new Uint8Array(png.length + chunk.length);
  made.set(png.subarray(0, 33));
  made.set(chunk, 33);
  made.set(png.subarray(33), 33 + chunk.length);
  return made;
}

/** A JPEG with a profile in two segments, the later one first. */
function withApp2(jpeg: Uint8Array, profile: Uint8Array): Uint8Array {
  const half = Math.ceil(profile.length / 2);
  const segments = [2, 1].map((order) => {
    const part = profile.subarray((order - 1) * half, order * half);
    const head = Uint8Array.from([
      0xff,
      0xe2,
      0,
      0,
      ...'ICC_PROFILE\0'.split('').map((letter) => letter.charCodeAt(0)),
      order,
      2,
    ]);
    new DataView(head.buffer).setUint16(2, head.length - 2 + part.length);
    return [...head, ...part];
  });
  return Uint8Array.from([...jpeg.subarray(0, 2), ...segments.flat(), ...jpeg.subarray(2)]);
}

const png = encodePngImage(square, 300);
const iccp = (profile: Uint8Array): Uint8Array =>
  Uint8Array.from([0x61, 0, 0, ...zlibSync(profile)]);
const numbers = (...values: readonly number[]): Uint8Array => {
  const bytes = new Uint8Array(values.length * 4);
  values.forEach((value, at) =>
    new DataView(bytes.buffer).setUint32(at * 4, Math.round(value * 1e5)),
  );
  return bytes;
};
const jpeg = await encodeJpegImage(nodePlatform, square, { quality: 98, dpi: 300 });

async function colorOf(
  bytes: Uint8Array,
): Promise<{ color: number[]; notes: readonly unknown[]; kept: Uint8Array }> {
  const { art, bytes: kept, notes = [] } = expectOk(await readArt(nodePlatform, bytes, 'a.png'));
  if (art.kind !== 'pixels') throw new Error(art.kind);
  const { data } = await decodePixels(nodePlatform, art.format, kept);
  return { color: [...data.slice(0, 3)], notes, kept };
}

test.each([
  ['a PNG with a profile', withChunk(png, 'iCCP', iccp(p3Profile()))],
  ['a PNG that names its primaries by number', withChunk(png, 'cICP', Uint8Array.of(12, 13, 0, 1))],
  [
    'a PNG that measures its primaries',
    withChunk(
      withChunk(png, 'gAMA', numbers(1 / 2.2)),
      'cHRM',
      numbers(0.3127, 0.329, 0.68, 0.32, 0.265, 0.69, 0.15, 0.06),
    ),
  ],
  ['a JPEG with a profile in two segments', withApp2(jpeg, p3Profile())],
])('%s is kept in the colours that it means', async (_, file) => {
  const { color, notes } = await colorOf(file);
  color.forEach((value, at) => expect(Math.abs(value - (AS_SRGB[at] ?? 0))).toBeLessThanOrEqual(3));
  expect(notes).toEqual([]);
});

test('what says that it is sRGB goes before what it measures, and a better profile before that', async () => {
  const measured = withChunk(
    png,
    'cHRM',
    numbers(0.3127, 0.329, 0.68, 0.32, 0.265, 0.69, 0.15, 0.06),
  );
  expect((await colorOf(withChunk(measured, 'sRGB', Uint8Array.of(0)))).color).toEqual([...GREEN]);
  const both = withChunk(
    withChunk(png, 'sRGB', Uint8Array.of(0)),
    'cICP',
    Uint8Array.of(12, 13, 0, 1),
  );
  expect((await colorOf(both)).color).not.toEqual([...GREEN]);
});

test('a picture without a profile keeps its very bytes', async () => {
  expect((await colorOf(png)).kept).toEqual(png);
});

test('a profile that cannot be read is told, and the colours stay', async () => {
  const { color, notes } = await colorOf(withChunk(png, 'iCCP', iccp(new Uint8Array(200))));
  expect(color).toEqual([...GREEN]);
  expect(notes).toEqual([{ code: 'profile-unread', values: {} }]);
  // 8 MB of zeros, packed
  const bomb = await colorOf(withChunk(png, 'iCCP', iccp(new Uint8Array(8_000_000))));
  expect(bomb.notes).toHaveLength(1);
});

test.each([
  ['scan.tif', 'II*\0\x08\0\0\0\0\0\0\0', /damaged/],
  ['photo.cr2', 'II*\0\x10\0\0\0CR\x02\0', /raw picture.*JPEG/],
  ['layers.psd', '8BPS\0\x01\0\0', /in layers \(PSD\).*PNG/],
  ['logo.eps', '%!PS-Adobe-3.0 EPSF-3.0', /PostScript file \(EPS\).*SVG or PDF/],
])('%s is refused with how to save it instead', async (name, text, says) => {
  const read = await readArt(
    nodePlatform,
    Uint8Array.from(text, (letter) => letter.charCodeAt(0)),
    name,
  );
  expect(read.ok ? '' : problemLine(read.problem)).toMatch(says);
});
