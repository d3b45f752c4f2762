import { bmpSize } from './bmp.ts';
import { jpegSegments } from './jpeg-segments.ts';
import { pngChunks } from './png-chunks.ts';
import { tiffSize } from './tiff.ts';
import { problem, ProblemError } from '../base/index.ts';

/** The kinds of picture file that are kept as they are. */
export type PixelFormat = 'png' | 'jpeg' | 'webp';
/** The kinds of picture file that can be decoded. */
export type DecodedFormat = PixelFormat | 'gif' | 'avif' | 'heic' | 'tiff' | 'bmp';

/** Pixels of one picture at most, width times height. */
export const MOST_PIXELS = 60_000_000;

/** What the head of a picture file says of its size. */
export interface PictureSize {
  readonly width: number;
  readonly height: number;
  /** Undefined where the file names no resolution. */
  readonly dpi?: number;
  /** How many channels a JPEG has. */
  readonly inks?: number;
  /** How a TIFF is turned, 1 to 8. */
  readonly orientation?: number;
}

/** Reads size and resolution without decoding a pixel. Throws where the head is damaged. */
export function pictureSize(format: DecodedFormat, bytes: Uint8Array): PictureSize {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  switch (format) {
    case 'png':
      return pngHeader(bytes);
    case 'webp':
      return webpHeader(view);
    case 'gif':
      return { width: view.getUint16(6, true), height: view.getUint16(8, true) };
    case 'avif':
    case 'heic':
      return heifHeader(view);
    case 'tiff':
      return tiffSize(bytes);
    case 'bmp':
      return bmpSize(view);
    case 'jpeg':
      return jpegHeader(bytes);
  }
}

/** Throws a problem for a picture that has more pixels than can be decoded. */
export function checkPixels(format: DecodedFormat, bytes: Uint8Array): void {
  const { width, height } = pictureSize(format, bytes);
  if (width * height > MOST_PIXELS)
    throw new ProblemError(problem('art/too-large', { width, height, most: MOST_PIXELS }));
}

/** PNG specification, 11.2.2 (IHDR) and 11.3.4.3 (pHYs). */
function pngHeader(bytes: Uint8Array): PictureSize {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const size = { width: view.getUint32(16), height: view.getUint32(20) };
  for (const { type, at } of pngChunks(bytes)) {
    if (type === 'IDAT') break;
    if (type === 'pHYs' && view.getUint8(at + 16) === 1)
      return { ...size, dpi: Math.round(view.getUint32(at + 8) * 0.0254 * 100) / 100 };
  }
  return size;
}

/** JFIF 1.02, APP0, and the frame header of ITU T.81, B.2.2. */
function jpegHeader(bytes: Uint8Array): PictureSize {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let dpi: number | undefined;
  for (const { marker, start } of jpegSegments(bytes)) {
    if (marker === 0xe0 && view.getUint32(start + 4) === 0x4a464946) {
      const unit = view.getUint8(start + 11);
      const density = view.getUint16(start + 12);
      if (unit > 0 && density > 1) dpi = unit === 1 ? density : density * 2.54;
    }
    const frame = marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker);
    if (frame) {
      const inks = view.getUint8(start + 9);
      const size = { width: view.getUint16(start + 7), height: view.getUint16(start + 5), inks };
      return dpi === undefined ? size : { ...size, dpi };
    }
  }
  throw new RangeError('no frame');
}

/** WebP container specification: VP8X, VP8L and VP8 headers. */
function webpHeader(view: DataView): PictureSize {
  const chunk = view.getUint32(12);
  const low24 = (at: number): number => view.getUint16(at, true) + view.getUint8(at + 2) * 65536;
  if (chunk === 0x56503858) return { width: low24(24) + 1, height: low24(27) + 1 };
  if (chunk === 0x5650384c) {
    const bits = view.getUint32(21, true);
    return { width: (bits & 0x3fff) + 1, height: ((bits >>> 14) & 0x3fff) + 1 };
  }
  return { width: view.getUint16(26, true) & 0x3fff, height: view.getUint16(28, true) & 0x3fff };
}

/** HEIF (ISO/IEC 23008-12), the box `ispe`: the largest of a file is that of its picture. */
function heifHeader(view: DataView): PictureSize {
  let found = { width: 0, height: 0 };
  const end = Math.min(view.byteLength - 20, 1 << 16);
  for (let at = 0; at < end; at++) {
    if (view.getUint32(at) !== 0x69737065) continue; // ispe
    const [width, height] = [view.getUint32(at + 8), view.getUint32(at + 12)];
    if (width * height > found.width * found.height) found = { width, height };
  }
  if (found.width === 0) throw new RangeError('no size');
  return found;
}
