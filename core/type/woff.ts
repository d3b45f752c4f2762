import { unzlibSync } from 'fflate';
import { ByteReader, ByteWriter } from './bytes.ts';

const MOST = 40 * 1024 * 1024; // bytes that a typeface may unpack to

/** One table of a font, in the order in which it stands in its file. */
interface Table {
  readonly tag: string;
  readonly bytes: Uint8Array;
}

/** The kind of typeface file by its first bytes. */
export function sniffTypeface(
  bytes: Uint8Array,
): 'sfnt' | 'woff' | 'woff2' | 'collection' | undefined {
  const tag = String.fromCharCode(...bytes.subarray(0, 4));
  if (tag === '\0\x01\0\0' || tag === 'OTTO' || tag === 'true') return 'sfnt';
  if (tag === 'wOFF') return 'woff';
  if (tag === 'wOF2') return 'woff2';
  return tag === 'ttcf' ? 'collection' : undefined;
}

/**
 * The TrueType or OpenType file in a typeface file of any kind. Throws when it is damaged.
 * Source: W3C WOFF 1.0 and WOFF 2.0.
 */
export async function unpackTypeface(bytes: Uint8Array): Promise<Uint8Array> {
  switch (sniffTypeface(bytes)) {
    case 'sfnt':
      return bytes;
    case 'woff':
      return unpackWoff(bytes);
    case 'woff2':
      return unpackWoff2(bytes);
    default:
      throw new Error('not a typeface file');
  }
}

function unpackWoff(bytes: Uint8Array): Uint8Array {
  const head = new ByteReader(bytes);
  head.take(4);
  const flavor = head.u32();
  head.take(4);
  const count = head.u16();
  head.take(30);
  let whole = 0;
  const tables = Array.from({ length: count }, (): Table => {
    const tag = head.tag();
    const [offset, packed, length] = [head.u32(), head.u32(), head.u32()];
    head.take(4);
    whole += length;
    if (whole > MOST) throw new Error('unpacks to too much');
    const part = bytes.subarray(offset, offset + packed);
    const table = packed < length ? unzlibSync(part, { out: new Uint8Array(length) }) : part;
    if (table.length !== length) throw new Error('a table is damaged');
    return { tag, bytes: table };
  });
  return fontOf(flavor, tables);
}

/** The decompressor comes when it is needed: it holds its WebAssembly. */
async function unpackWoff2(bytes: Uint8Array): Promise<Uint8Array> {
  const head = new ByteReader(bytes);
  head.take(16);
  if (head.u32() > MOST) throw new Error('unpacks to too much');
  const { default: decompress } = await import('woff2-encoder/decompress');
  const font = await decompress(bytes);
  if (font.length > MOST) throw new Error('unpacks to too much');
  return font;
}

/** A font file of tables. Source: OpenType 1.9, organization of an OpenType font. */
function fontOf(flavor: number, tables: readonly Table[]): Uint8Array {
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

function checkSum(bytes: Uint8Array): number {
  let sum = 0;
  for (let at = 0; at < bytes.length; at++)
    sum = (sum + (bytes[at] ?? 0) * 2 ** (8 * (3 - (at % 4)))) % 2 ** 32;
  return sum;
}
