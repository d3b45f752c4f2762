import { unzlibSync } from 'fflate';
import { ByteReader } from './bytes.ts';
import { fontOf, type Table } from './sfnt.ts';
import { rebuiltGlyphs, rebuiltMetrics } from './woff2-glyphs.ts';

const MOST = 40 * 1024 * 1024; // bytes that a typeface may unpack to

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
 * The TrueType or OpenType file in a typeface file of any kind. Rejects when it is damaged.
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

// prettier-ignore
const KNOWN = [
  'cmap', 'head', 'hhea', 'hmtx', 'maxp', 'name', 'OS/2', 'post', 'cvt ', 'fpgm', 'glyf', 'loca', 'prep',
  'CFF ', 'VORG', 'EBDT', 'EBLC', 'gasp', 'hdmx', 'kern', 'LTSH', 'PCLT', 'VDMX', 'vhea', 'vmtx', 'BASE',
  'GDEF', 'GPOS', 'GSUB', 'EBSC', 'JSTF', 'MATH', 'CBDT', 'CBLC', 'COLR', 'CPAL', 'SVG ', 'sbix', 'acnt',
  'avar', 'bdat', 'bloc', 'bsln', 'cvar', 'fdsc', 'feat', 'fmtx', 'fvar', 'gvar', 'hsty', 'just', 'lcar',
  'mort', 'morx', 'opbd', 'prop', 'trak', 'Zapf', 'Silf', 'Glat', 'Gloc', 'Feat', 'Sill',
];

/** A table as the file has it: some are stored in a form that packs better. */
interface Stored {
  readonly tag: string;
  readonly length: number;
  readonly transformed: boolean;
}

async function unpackWoff2(bytes: Uint8Array): Promise<Uint8Array> {
  const head = new ByteReader(bytes);
  head.take(4);
  const flavor = head.u32();
  head.take(4);
  const count = head.u16();
  head.take(2);
  if (head.u32() > MOST) throw new Error('unpacks to too much');
  const packed = head.u32();
  head.take(24);
  const stored = Array.from({ length: count }, () => readEntry(head));
  const whole = stored.reduce((sum, { length }) => sum + length, 0);
  if (whole > MOST) throw new Error('unpacks to too much');
  // As it is loaded it unpacks a dictionary: nobody waits for that who has no such file.
  const { decompress } = await import('brotli/decompress');
  const unpacked = decompress(head.take(packed), whole);
  if (unpacked.length !== whole) throw new Error('its tables are damaged');
  const body = new ByteReader(unpacked);
  const tables = new Map(stored.map((one) => [one.tag, { ...one, bytes: body.take(one.length) }]));
  const found = (tag: string): Uint8Array => {
    const table = tables.get(tag);
    if (!table) throw new Error(`no ${tag}`);
    return table.bytes;
  };
  const made = new Map([...tables].map(([tag, one]) => [tag, one.bytes]));
  if (tables.get('glyf')?.transformed) {
    const { glyf, loca, lefts } = rebuiltGlyphs(found('glyf'));
    const first = found('head').slice();
    new DataView(first.buffer).setInt16(50, 1); // places of glyphs in four bytes
    made.set('glyf', glyf).set('loca', loca).set('head', first);
    if (tables.get('hmtx')?.transformed)
      made.set('hmtx', rebuiltMetrics(found('hmtx'), found('hhea'), lefts));
  } else if (tables.get('hmtx')?.transformed) throw new Error('metrics without glyphs');
  return fontOf(
    flavor,
    [...made].map(([tag, table]) => ({ tag, bytes: table })),
  );
}

function readEntry(head: ByteReader): Stored {
  const flags = head.u8();
  const tag = (flags & 63) === 63 ? head.tag() : (KNOWN[flags & 63] ?? '');
  const version = flags >> 6;
  const transformed = tag === 'glyf' || tag === 'loca' ? version !== 3 : version !== 0;
  const length = readBase128(head);
  return { tag, transformed, length: transformed ? readBase128(head) : length };
}

/** A number in up to five bytes of seven bits. */
function readBase128(head: ByteReader): number {
  let value = 0;
  for (let count = 0; count < 5; count++) {
    const byte = head.u8();
    value = value * 128 + (byte & 127);
    if (!(byte & 128)) return value;
  }
  throw new Error('a length is damaged');
}
