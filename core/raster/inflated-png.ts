import { joinedBytes, type Platform } from '../base/index.ts';
import { AROUND_CHUNK, pngChunks } from './png-chunks.ts';

/** What a block that is not compressed takes at most, bytes (RFC 1951, 3.2.4). */
const BLOCK = 65_535;
const SAMPLES: Readonly<Record<number, number>> = { 0: 1, 2: 3, 3: 1, 4: 2, 6: 4 };
const [IDAT, IEND] = [0x49444154, 0x49454e44];

/**
 * The same PNG with its pixels inflated by the platform, which takes a quarter of the decoder's own time.
 * Undefined where the platform cannot, where the file moves, and where it is not quite as it should be: the
 * decoder says what is wrong.
 */
export async function inflatedPng(
  platform: Platform,
  bytes: Uint8Array,
): Promise<Uint8Array | undefined> {
  const found = platform.inflate && findPixels(bytes);
  if (!found || !platform.inflate) return undefined;
  const { before, packed } = found;
  try {
    const raw = await platform.inflate(packed, mostRaw(bytes));
    return joined(bytes.subarray(0, before), raw);
  } catch {
    return undefined;
  }
}

const viewOf = ({ buffer, byteOffset, byteLength }: Uint8Array): DataView =>
  new DataView(buffer, byteOffset, byteLength);

/** What stands before the pixels, and the pixels as they are packed. */
function findPixels(bytes: Uint8Array): { before: number; packed: Uint8Array } | undefined {
  const parts: Uint8Array[] = [];
  let before = 0;
  for (const { type, at, end, content } of pngChunks(bytes)) {
    if (type === 'IEND') break;
    if (type === 'acTL' || end > bytes.length) return undefined;
    if (type !== 'IDAT') continue;
    if (parts.length === 0) before = at;
    parts.push(content);
  }
  return parts.length ? { before, packed: joinedBytes(parts) } : undefined;
}

/** More bytes than that are no pixels of such a picture, interlaced or not. */
function mostRaw(bytes: Uint8Array): number {
  const view = viewOf(bytes);
  const [width, height] = [view.getUint32(16), view.getUint32(20)];
  const bits = width * (SAMPLES[view.getUint8(25)] ?? 4) * view.getUint8(24);
  return 2 * height * (Math.ceil(bits / 8) + 1) + 64;
}

/** A PNG of what stands before the pixels and of pixels that are not packed. */
function joined(before: Uint8Array, raw: Uint8Array): Uint8Array {
  const blocks = Math.max(1, Math.ceil(raw.length / BLOCK));
  const length = 2 + raw.length + 5 * blocks + 4;
  const made = new Uint8Array(before.length + length + 2 * AROUND_CHUNK);
  const view = viewOf(made);
  made.set(before);
  let at = before.length;
  view.setUint32(at, length);
  view.setUint32(at + 4, IDAT);
  view.setUint16(at + 8, 0x7801); // the head of a zlib stream (RFC 1950, 2.2)
  at += 10;
  for (let block = 0; block < blocks; block++) {
    const part = raw.subarray(block * BLOCK, (block + 1) * BLOCK);
    view.setUint8(at, block === blocks - 1 ? 1 : 0);
    view.setUint16(at + 1, part.length, true);
    view.setUint16(at + 3, ~part.length & 0xffff, true);
    made.set(part, at + 5);
    at += 5 + part.length;
  }
  at += 8; // checksums, at which the decoder does not look
  view.setUint32(at + 4, IEND);
  return made;
}
