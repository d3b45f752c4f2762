import exifr from 'exifr';
import { isDxf } from './dxf.ts';
import { bad, good, type Result } from '../base/index.ts';
import type { DecodedFormat } from '../raster/index.ts';

/** What the head of a picture file says. */
export interface PixelHeader {
  readonly format: DecodedFormat;
  readonly width: number;
  readonly height: number;
  readonly orientation: number;
  /** Undefined where the file names no resolution. */
  readonly dpi?: number;
}

const BROKEN = 'Save it again from the program it came from, as PNG, JPEG, WebP or SVG.';
const broken = (name: string): Result<never> =>
  bad('art/broken', `“${name}” is damaged or not finished.`, BROKEN, name);

/** Kinds of file that hold no single picture of pixels. */
const OTHERS = ['svg', 'dxf', 'pdf', 'zip'] as const;
type OtherFormat = (typeof OTHERS)[number];

/** Whether a kind of file is a picture of pixels. */
export const isPixels = (
  format: DecodedFormat | OtherFormat | undefined,
): format is DecodedFormat =>
  format !== undefined && !(OTHERS as readonly string[]).includes(format);

/** The kind of picture file by its first bytes, whatever its name says. */
export function sniffFormat(bytes: Uint8Array): DecodedFormat | OtherFormat | undefined {
  const text = String.fromCharCode(...bytes.subarray(0, 12));
  if (text.startsWith('\x89PNG\r\n\x1a\n')) return 'png';
  if (text.startsWith('\xff\xd8\xff')) return 'jpeg';
  if (text.startsWith('RIFF') && text.slice(8) === 'WEBP') return 'webp';
  if (/^GIF8[79]a/.test(text)) return 'gif';
  if (/^ftypavi[fs]/.test(text.slice(4))) return 'avif';
  if (text.startsWith('%PDF-')) return 'pdf';
  if (text.startsWith('PK\x03\x04')) return 'zip';
  const head = new TextDecoder().decode(bytes.subarray(0, 4096));
  if (isDxf(head)) return 'dxf';
  return /^\uFEFF?\s*(<\?xml[^>]*>\s*|<!--[\s\S]*?-->\s*|<!DOCTYPE[^>]*>\s*)*<svg[\s>]/i.test(head)
    ? 'svg'
    : undefined;
}

/** Reads size, resolution and orientation without decoding a pixel. */
export async function parseHeader(
  format: DecodedFormat,
  bytes: Uint8Array,
  name: string,
): Promise<Result<PixelHeader>> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  try {
    if (format === 'png') return good({ format, orientation: 1, ...pngHeader(view) });
    if (format === 'webp') return good({ format, orientation: 1, ...webpHeader(view) });
    if (format === 'gif')
      return good({
        format,
        orientation: 1,
        width: view.getUint16(6, true),
        height: view.getUint16(8, true),
      });
    if (format === 'avif') return good({ format, orientation: 1, ...avifHeader(view) });
    const { inks, ...frame } = jpegHeader(view);
    if (inks === 4)
      return bad(
        'art/cmyk',
        `“${name}” is made for a printing press, in four inks (CMYK).`,
        'Save it as RGB: as PNG, or as JPEG with the profile sRGB.',
        name,
      );
    const turned = await exifr.orientation(bytes).catch(() => undefined);
    return good({ format, orientation: turned ?? 1, ...frame });
  } catch {
    return broken(name);
  }
}

type SizeAndDpi = Pick<PixelHeader, 'width' | 'height' | 'dpi'>;

/** PNG specification, 11.2.2 (IHDR) and 11.3.4.3 (pHYs). */
function pngHeader(view: DataView): SizeAndDpi {
  const size = { width: view.getUint32(16), height: view.getUint32(20) };
  for (let at = 33; at + 12 <= view.byteLength;) {
    const length = view.getUint32(at);
    const type = view.getUint32(at + 4);
    if (type === 0x49444154) break; // IDAT
    if (type === 0x70485973 && view.getUint8(at + 16) === 1) {
      return { ...size, dpi: Math.round(view.getUint32(at + 8) * 0.0254 * 100) / 100 };
    }
    at += 12 + length;
  }
  return size;
}

/** JFIF 1.02, APP0, and the frame header of ITU T.81, B.2.2. */
function jpegHeader(view: DataView): SizeAndDpi & { inks: number } {
  let dpi: number | undefined;
  for (let at = 2; ;) {
    if (view.getUint8(at) !== 0xff) throw new RangeError('no marker');
    const marker = view.getUint8(at + 1);
    const length = view.getUint16(at + 2);
    if (marker === 0xe0 && view.getUint32(at + 4) === 0x4a464946) {
      const unit = view.getUint8(at + 11);
      const density = view.getUint16(at + 12);
      if (unit > 0 && density > 1) dpi = unit === 1 ? density : density * 2.54;
    }
    const frame = marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker);
    if (frame) {
      const inks = view.getUint8(at + 9);
      const size = { width: view.getUint16(at + 7), height: view.getUint16(at + 5), inks };
      return dpi === undefined ? size : { ...size, dpi };
    }
    at += 2 + length;
  }
}

/** WebP container specification: VP8X, VP8L and VP8 headers. */
function webpHeader(view: DataView): SizeAndDpi {
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
function avifHeader(view: DataView): SizeAndDpi {
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

/**
 * A JPEG without its EXIF segment: the orientation is kept apart and applied by us everywhere, and
 * where and when a photograph was taken does not leave with a label.
 */
export function withoutExif(bytes: Uint8Array): Uint8Array {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const kept: Uint8Array[] = [bytes.subarray(0, 2)];
  let at = 2;
  while (at + 4 <= bytes.length && view.getUint8(at) === 0xff && view.getUint8(at + 1) !== 0xda) {
    const end = at + 2 + view.getUint16(at + 2);
    if (view.getUint8(at + 1) !== 0xe1) kept.push(bytes.subarray(at, end));
    at = end;
  }
  kept.push(bytes.subarray(at));
  const made = new Uint8Array(kept.reduce((sum, part) => sum + part.length, 0));
  let to = 0;
  for (const part of kept) {
    made.set(part, to);
    to += part.length;
  }
  return made;
}
