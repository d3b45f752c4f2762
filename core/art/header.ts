import { isDxf } from './dxf.ts';
import { err, joinedBytes, ok, type Result } from '../base/index.ts';
import { isKnownTiff, jpegSegments, pictureSize, type DecodedFormat } from '../raster/index.ts';

/** What the head of a picture file says. */
export interface PixelHeader {
  readonly format: DecodedFormat;
  readonly width: number;
  readonly height: number;
  readonly orientation: number;
  /** Undefined where the file names no resolution. */
  readonly dpi?: number;
}

const broken = (name: string): Result<never> => err('art/broken', { name, kind: 'picture' }, name);

/** Kinds of file that hold no single picture of pixels. */
const OTHERS = ['svg', 'dxf', 'pdf', 'zip'] as const;
type OtherFormat = (typeof OTHERS)[number];

/** Whether a kind of file is a picture of pixels. */
export const isPixels = (
  format: DecodedFormat | OtherFormat | undefined,
): format is DecodedFormat =>
  format !== undefined && !(OTHERS as readonly string[]).includes(format);

/** Kinds of picture file that are known and not taken in. */
type UntakenKind = 'tiff' | 'layered' | 'postscript' | 'raw';

const UNTAKEN: readonly (readonly [RegExp, UntakenKind])[] = [
  // Cameras write their sensors' data into the same frame as scanners do.
  [/^(II\*\0[^]{4}CR|IIRO|IIU\0|FUJIFILM|[^]{4}ftypcrx)/, 'raw'],
  [/^8BPS/, 'layered'],
  [/^(%!PS|\xc5\xd0\xd3\xc6)/, 'postscript'],
];

/** What a picture file is that cannot be taken in, by its first bytes; undefined for what is not known. */
export function findUntaken(bytes: Uint8Array): UntakenKind | undefined {
  const text = String.fromCharCode(...bytes.subarray(0, 24));
  return UNTAKEN.find(([begins]) => begins.test(text))?.[1];
}

/** How much of a text is looked at, bytes. */
const HEAD = 65_536;

/** The kind of picture file by its first bytes, whatever its name says. */
export function sniffFormat(bytes: Uint8Array): DecodedFormat | OtherFormat | undefined {
  const text = String.fromCharCode(...bytes.subarray(0, 12));
  if (text.startsWith('\x89PNG\r\n\x1a\n')) return 'png';
  if (text.startsWith('\xff\xd8\xff')) return 'jpeg';
  if (text.startsWith('RIFF') && text.slice(8) === 'WEBP') return 'webp';
  if (/^GIF8[79]a/.test(text)) return 'gif';
  if (/^ftypavi[fs]/.test(text.slice(4))) return 'avif';
  if (/^ftyp(hei|hev|mif1|msf1)/.test(text.slice(4))) return 'heic';
  if (/^(II\*\0|MM\0\*)/.test(text) && findUntaken(bytes) !== 'raw') return 'tiff';
  if (/^BM[^]{4}\0\0\0\0/.test(text)) return 'bmp';
  if (text.startsWith('%PDF-')) return 'pdf';
  if (text.startsWith('PK\x03\x04')) return 'zip';
  const head = new TextDecoder().decode(bytes.subarray(0, HEAD));
  if (isDxf(head)) return 'dxf';
  return isSvg(head) ? 'svg' : undefined;
}

/** Whether a text begins with an SVG element, behind declarations and comments. */
function isSvg(head: string): boolean {
  const text = head.replace(/^\uFEFF/, '');
  for (let at = 0; ;) {
    while (/\s/.test(text[at] ?? '')) at++;
    const [opens, closes] = ASIDES.find(([begins]) => text.startsWith(begins, at)) ?? [];
    if (!opens || !closes) return /^<(svg:)?svg[\s>]/i.test(text.slice(at, at + 12));
    // The inner part of a document type holds marks of its own.
    const inner = opens === '<!' ? text.slice(at).search(/[[>]/) : -1;
    const end =
      inner >= 0 && text[at + inner] === '['
        ? text.indexOf('>', text.indexOf(']', at) + 1)
        : text.indexOf(closes, at);
    if (end < 0) return false;
    at = end + closes.length;
  }
}

/** What may stand before the first element, by how it begins and ends. */
const ASIDES = [
  ['<!--', '-->'],
  ['<?', '?>'],
  ['<!', '>'],
] as const;

/** Reads size, resolution and orientation without decoding a pixel. */
export async function parseHeader(
  format: DecodedFormat,
  bytes: Uint8Array,
  name: string,
): Promise<Result<PixelHeader>> {
  try {
    const { width, height, dpi, orientation = 1 } = pictureSize(format, bytes);
    if (format === 'tiff' && !isKnownTiff(bytes))
      return err('art/other-program', { name, kind: 'tiff' }, name);
    const turned = format === 'jpeg' ? await findOrientation(bytes) : undefined;
    return ok({
      ...{ format, width, height, orientation: turned ?? orientation },
      ...(dpi === undefined ? {} : { dpi }),
    });
  } catch {
    return broken(name);
  }
}

/** How a photograph was held, by its EXIF; undefined where it says nothing of it. */
async function findOrientation(bytes: Uint8Array): Promise<number | undefined> {
  const { default: exifr } = await import('exifr');
  return exifr.orientation(bytes).catch(() => undefined);
}

const EXIF = 0xe1;

/**
 * A JPEG without its EXIF segment: the orientation is kept apart and applied by us everywhere, and
 * where and when a photograph was taken does not leave with a label.
 */
export function withoutExif(bytes: Uint8Array): Uint8Array {
  const segments = [...jpegSegments(bytes)];
  const kept = segments
    .filter(({ marker }) => marker !== EXIF)
    .map(({ start, end }) => bytes.subarray(start, end));
  const rest = bytes.subarray(segments[segments.length - 1]?.end ?? 2);
  return joinedBytes([bytes.subarray(0, 2), ...kept, rest]);
}
