import { strToU8, zipSync } from 'fflate';
import { readZip, type ZipBudget } from './index.ts';

const budget = (given: Partial<ZipBudget> = {}): ZipBudget => ({
  entries: 100,
  bytes: 1_000_000,
  ...given,
});
const names = (read: ReturnType<typeof readZip>): readonly string[] | string =>
  'fault' in read ? read.fault : read.entries.map(({ name }) => name);

test('files come out as they went in, packed or not, and are counted', () => {
  const text = strToU8('thistle '.repeat(3000));
  const zip = zipSync({
    'a/plain.txt': [text, { level: 0 }],
    'b.txt': text,
    empty: new Uint8Array(),
  });
  const left = budget();
  const read = readZip(zip, left);
  expect(names(read)).toEqual(['a/plain.txt', 'b.txt', 'empty']);
  if ('entries' in read)
    expect(read.entries.map(({ bytes }) => bytes)).toEqual([text, text, new Uint8Array()]);
  expect(left).toEqual({ entries: 97, bytes: 1_000_000 - 2 * text.length });
  expect(names(readZip(zip, budget(), (name) => name === 'b.txt'))).toEqual(['b.txt']);
});

test('what really comes out counts, over all archives that share a budget', () => {
  const zip = zipSync({ a: new Uint8Array(600_000) });
  const left = budget();
  expect(names(readZip(zip, left))).toEqual(['a']);
  expect(names(readZip(zip, left))).toBe('size');
  expect(names(readZip(zip, budget({ ratio: 300 })))).toBe('size');
  expect(
    names(readZip(zipSync({ a: strToU8('a'), b: strToU8('b') }), budget({ entries: 1 }))),
  ).toBe('entries');
});

/** An archive in which bytes of the directory or of headers are put in the place of others. */
function changed(zip: Uint8Array, change: (view: DataView, directory: number) => void): Uint8Array {
  const copy = zip.slice();
  const view = new DataView(copy.buffer);
  change(view, view.getUint32(copy.length - 6, true));
  return copy;
}

test('a size that is declared smaller than it is, or not at all, is not believed', () => {
  const zip = zipSync({ a: new Uint8Array(5_000_000) });
  const nothing = changed(zip, (view, at) => view.setUint32(at + 24, 0, true));
  expect(names(readZip(nothing, budget()))).toBe('size');
  expect(names(readZip(nothing, budget({ bytes: 10_000_000 })))).toBe('broken');
});

test('entries that share their bytes are refused: a small file would unpack to a large one many times', () => {
  const zip = zipSync({ a: new Uint8Array(500_000), b: strToU8('second') });
  const overlapping = changed(zip, (view, at) => {
    const second = at + 46 + view.getUint16(at + 28, true);
    for (const field of [20, 24, 42])
      view.setUint32(second + field, view.getUint32(at + field, true), true);
    view.setUint16(second + 10, 8, true);
  });
  expect(names(readZip(overlapping, budget({ bytes: 1e8 })))).toBe('broken');
});

test.each([
  '../out',
  'a/../../out',
  '/etc/passwd',
  'C:\\out',
  '..\\out',
  '__proto__',
  'a/__proto__/b',
])('a name like %s is refused', (name) => {
  const zip = zipSync({ [name === '__proto__' ? 'x_proto__' : name]: strToU8('x') });
  const made =
    name === '__proto__' ? Uint8Array.from(zip, (byte) => (byte === 120 ? 95 : byte)) : zip;
  expect(names(readZip(made, budget()))).toBe('name');
});

test('cut off, locked and foreign files are damaged', () => {
  const zip = zipSync({ a: strToU8('thistle') });
  expect(names(readZip(zip.slice(0, -8), budget()))).toBe('broken');
  expect(names(readZip(strToU8('no archive at all'), budget()))).toBe('broken');
  expect(names(readZip(new Uint8Array(), budget()))).toBe('broken');
  expect(
    names(
      readZip(
        changed(zip, (view, at) => view.setUint16(at + 8, 1, true)),
        budget(),
      ),
    ),
  ).toBe('broken');
  expect(
    names(
      readZip(
        changed(zip, (view, at) => view.setUint32(at + 42, 9999, true)),
        budget(),
      ),
    ),
  ).toBe('broken');
});
