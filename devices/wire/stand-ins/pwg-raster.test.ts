import { formatOf } from './print-formats.ts';
import { isRaster, rasterPages } from './pwg-raster.ts';

/** One page as PWG 5102.4 has it, of lines that are packed already. */
function page(
  fields: { width: number; height: number; bits: number; space: number },
  packed: readonly number[],
): Uint8Array {
  const bytes = new Uint8Array(1796 + packed.length);
  const view = new DataView(bytes.buffer);
  view.setUint32(372, fields.width);
  view.setUint32(376, fields.height);
  view.setUint32(384, fields.bits === 24 ? 8 : fields.bits);
  view.setUint32(388, fields.bits);
  view.setUint32(392, Math.ceil((fields.width * fields.bits) / 8));
  view.setUint32(400, fields.space);
  bytes.set(packed, 1796);
  return bytes;
}
const file = (...pages: readonly Uint8Array[]): Uint8Array =>
  Uint8Array.from([...new TextEncoder().encode('RaS2'), ...pages.flatMap((one) => [...one])]);
const dots = (bytes: Uint8Array): number[][] =>
  [...rasterPages(bytes)].map(({ data }) => [...data].filter((_, at) => at % 4 !== 3));

test('lines of colour are read: runs of one dot, dots that differ, and lines that come again', () => {
  const rgb = page({ width: 3, height: 2, bits: 24, space: 19 }, [
    ...[1], // the line comes once more
    ...[1, 255, 0, 0], // two dots of red
    ...[0, 0, 0, 255], // one of blue
  ]);
  expect(dots(file(rgb))).toEqual([
    [255, 0, 0, 255, 0, 0, 0, 0, 255, 255, 0, 0, 255, 0, 0, 0, 0, 255],
  ]);
  const differing = page({ width: 2, height: 1, bits: 24, space: 19 }, [0, 255, 1, 2, 3, 4, 5, 6]);
  expect(dots(file(differing))).toEqual([[1, 2, 3, 4, 5, 6]]);
});

test('grey and black are read, page after page; what is left of a line is paper', () => {
  const grey = page({ width: 4, height: 1, bits: 8, space: 18 }, [0, 1, 40, 128]);
  const black = page({ width: 10, height: 1, bits: 1, space: 3 }, [0, 0, 0b10100000, 128]);
  const [one, two] = dots(file(grey, black));
  expect(one?.filter((_, at) => at % 3 === 0)).toEqual([40, 40, 255, 255]);
  expect(two?.filter((_, at) => at % 3 === 0)).toEqual([0, 255, 0, ...Array<number>(7).fill(255)]);
});

test.each([
  ['another kind of dots', page({ width: 1, height: 1, bits: 32, space: 6 }, [0, 0, 1, 2, 3, 4])],
  ['no size', page({ width: 0, height: 1, bits: 8, space: 18 }, [])],
  ['more dots than paper has', page({ width: 4e9, height: 4e9, bits: 8, space: 18 }, [])],
  ['a line that is too long', page({ width: 2, height: 1, bits: 8, space: 18 }, [0, 9, 7])],
  ['an end too soon', page({ width: 2, height: 2, bits: 8, space: 18 }, [0, 1, 7])],
  ['half a header', new Uint8Array(50)],
])('%s is refused', (_, broken) => {
  expect(() => dots(file(broken))).toThrow('raster');
});

test('a document is known by how it begins', () => {
  expect(isRaster(file())).toBe(true);
  expect(formatOf(file())).toBe('image/pwg-raster');
  expect(formatOf(Uint8Array.of(0xff, 0xd8, 0xff))).toBe('image/jpeg');
  expect(formatOf(new TextEncoder().encode('%PDF-1.7'))).toBe('application/pdf');
  expect(formatOf(new TextEncoder().encode('hello'))).toBeUndefined();
});
