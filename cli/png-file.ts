import { promisify } from 'node:util';
import { crc32, deflate } from 'node:zlib';
import type { RgbaImage } from '../core/raster/index.ts';

// Source: Portable Network Graphics, third edition, sections 5 and 11.2.

const packed = promisify(deflate);
const SIGNATURE = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];
const RGB_AND_ALPHA = 6;
/** Fast: reports are looked at and thrown away. */
const LEVEL = 1;

/**
 * A picture of a run as a PNG. Its rows are packed by Node, beside everything else: the
 * core packs without it, and takes several times as long.
 */
export async function runPicture({ width, height, data }: RgbaImage): Promise<Uint8Array> {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([8, RGB_AND_ALPHA, 0, 0, 0], 8);
  const rows = await packed(plainRows({ width, height, data }), { level: LEVEL });
  return Buffer.concat([
    Buffer.from(SIGNATURE),
    chunk('IHDR', head),
    chunk('IDAT', rows),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

/** The rows as they are, each behind the byte that says so. */
function plainRows({ width, height, data }: RgbaImage): Uint8Array {
  const row = width * 4;
  const rows = new Uint8Array((row + 1) * height);
  for (let y = 0; y < height; y++)
    rows.set(data.subarray(y * row, (y + 1) * row), y * (row + 1) + 1);
  return rows;
}

function chunk(name: string, content: Uint8Array): Buffer {
  const named = Buffer.concat([Buffer.from(name, 'latin1'), content]);
  const whole = Buffer.alloc(named.length + 8);
  whole.writeUInt32BE(content.length, 0);
  whole.set(named, 4);
  whole.writeUInt32BE(crc32(named), named.length + 4);
  return whole;
}
