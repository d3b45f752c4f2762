import { ByteReader, ByteWriter } from './bytes.ts';

/** One table of a font, in the order in which it stands in its file. */
export interface Table {
  readonly tag: string;
  readonly bytes: Uint8Array;
}

/**
 * One font of a collection, by its number from 0, as a file of its own. Throws when it is damaged or has
 * no such font. Source: OpenType 1.9, TTC header.
 */
export function fontIn(collection: Uint8Array, number: number): Uint8Array {
  const place = new ByteReader(collection);
  place.take(12 + 4 * number);
  const directory = new ByteReader(collection);
  directory.take(place.u32());
  const flavor = directory.u32();
  const count = directory.u16();
  directory.take(6);
  const tables = Array.from({ length: count }, (): Table => {
    const tag = directory.tag();
    directory.take(4);
    const [start, length] = [directory.u32(), directory.u32()];
    if (start + length > collection.length) throw new Error('a table is missing');
    return { tag, bytes: collection.subarray(start, start + length) };
  });
  return fontOf(flavor, tables);
}

/** A font file of tables. Source: OpenType 1.9, organization of an OpenType font. */
export function fontOf(flavor: number, tables: readonly Table[]): Uint8Array {
  const sorted = [...tables].sort((one, other) => (one.tag < other.tag ? -1 : 1));
  const made = new ByteWriter();
  const power = Math.floor(Math.log2(Math.max(1, sorted.length)));
  made.u32(flavor);
  [sorted.length, 16 * 2 ** power, power, 16 * (sorted.length - 2 ** power)].forEach((value) =>
    made.u16(value),
  );
  let end = 12 + 16 * sorted.length;
  for (const { tag, bytes } of sorted) {
    made.put(Uint8Array.from(tag, (letter) => letter.charCodeAt(0)));
    [checkSum(bytes), end, bytes.length].forEach((value) => made.u32(value));
    end += (bytes.length + 3) & ~3;
  }
  for (const { bytes } of sorted) {
    made.put(bytes);
    made.pad();
  }
  return made.done();
}

/** The sum of a table's words of four bytes, the last filled up with zeros. */
function checkSum(bytes: Uint8Array): number {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const whole = bytes.length & ~3;
  let sum = 0;
  for (let at = 0; at < whole; at += 4) sum = (sum + view.getUint32(at)) >>> 0;
  for (let at = whole; at < bytes.length; at++)
    sum = (sum + (bytes[at] ?? 0) * 2 ** (8 * (3 - (at % 4)))) % 2 ** 32;
  return sum;
}
