import type { ArtOmission } from './omissions.ts';
import {
  contentHash,
  err,
  ok,
  quickContentHash,
  type Platform,
  type Result,
} from '../base/index.ts';
import { srgbConverter, type ColorProfile } from '../color/index.ts';
import {
  countFrames,
  encodePhoto,
  encodePngImage,
  findProfile,
  inkProfile,
  isInked,
  isOpaque,
  type RgbaImage,
} from '../raster/index.ts';
import type { Art, PixelArt, VectorArt, VectorNodes } from './art.ts';
import { dxfToSvg } from './dxf.ts';
import { findUntaken, sniffFormat, withoutExif } from './header.ts';
import { ART_LIMITS } from './limits.ts';
import { decodeFile, type DecodedFile } from './pixels.ts';
import type { ArtNote } from './notes.ts';
import { parseSvg } from './svg/earlier/reader.ts';
import { readVector, writeVector } from './svg/kept.ts';
import type { SvgPicture } from './svg/picture.ts';
import { takeSvg } from './svg/take.ts';
import type { OwnFaces } from './svg/typefaces.ts';

/** A picture file that was taken in: what is known of it and the bytes to keep. */
export interface ReadArt {
  readonly art: Art;
  readonly bytes: Uint8Array;
  /** What of the file was left out, for a note to the user. */
  readonly leftOut: readonly ArtOmission[];
  /** What of it is drawn by other means than its own. */
  readonly notes?: readonly ArtNote[];
}

const WITHOUT_RESOLUTION = 300;

/**
 * Takes in a picture file. The kind is known by the bytes, not by the name; pictures of pixels are
 * decoded once to be sure that they can be.
 * @param name the file's name, with or without an extension
 * @param own typefaces beside those that ship, for words of a drawing
 */
export async function readArt(
  platform: Platform,
  bytes: Uint8Array,
  name: string,
  own?: OwnFaces,
): Promise<Result<ReadArt>> {
  const read = await readSeen(platform, bytes, { name, own });
  return read.ok ? ok(read.value.read) : read;
}

/** A picture file that was taken in, and its pixels as they are stored where it has some. */
export interface SeenArt {
  readonly read: ReadArt;
  readonly stored?: RgbaImage;
}

/** The same as {@link readArt}, with the pixels, for those who look into them at once. */
export async function readSeen(
  platform: Platform,
  bytes: Uint8Array,
  { name, own }: { name: string; own: OwnFaces | undefined },
): Promise<Result<SeenArt>> {
  if (bytes.length === 0) return err('art/empty', { name }, name);
  if (bytes.length > ART_LIMITS.bytes) {
    return err(
      'art/too-many-bytes',
      { name, megabytes: Math.round(bytes.length / 1048576), most: ART_LIMITS.bytes / 1048576 },
      name,
    );
  }
  const format = sniffFormat(bytes);
  if (format === undefined) {
    const kind = findUntaken(bytes);
    return kind
      ? err('art/other-program', { name, kind }, name)
      : err('art/unknown-kind', { name, wanted: 'any' }, name);
  }
  const title = titleOf(name);
  if (format === 'svg') {
    const drawn = await takeSvg(platform, bytes, name, own);
    return drawn.ok ? ok({ read: keptVector(drawn.value, title) }) : drawn;
  }
  if (format === 'dxf') {
    const read = await readDxf(bytes, name, title);
    return read.ok ? ok({ read: read.value }) : read;
  }
  if (format === 'pdf' || format === 'zip') return err('art/several', { name }, name);
  const read = await decodeFile(platform, { format, bytes, name });
  if (!read.ok) return read;
  const { orientation, dpi } = read.value.header;
  const { width, height } = read.value.stored; // telephones' pictures come turned
  const known = { dpi: dpi ?? WITHOUT_RESOLUTION, dpiKnown: dpi !== undefined };
  const profile = findProfile(format, bytes);
  const inked = isInked(format, bytes);
  const file = { ...read.value, bytes, dpi: known.dpi, inked };
  const kept = await keptPixels(platform, file, profile === 'unread' ? undefined : profile);
  const art: Art = {
    kind: 'pixels',
    id: await quickContentHash(platform, kept.bytes),
    name: title,
    tags: [],
    format: kept.format,
    pixelWidth: width,
    pixelHeight: height,
    orientation,
    ...known,
  };
  const frames = format === 'gif' ? countFrames(bytes) : 1;
  const notes: ArtNote[] = [
    ...colorNotes(profile, inked),
    ...(frames > 1 ? [{ code: 'first-frame', values: { frames } } as const] : []),
  ];
  return ok({
    read: { art, bytes: kept.bytes, leftOut: [], ...(notes.length ? { notes } : {}) },
    stored: read.value.stored,
  });
}

/** What has to be said of the colours of a picture. */
function colorNotes(profile: ColorProfile | 'unread' | undefined, inked: boolean): ArtNote[] {
  if (inked) return inkProfile(profile) ? [] : [{ code: 'inks-by-formula', values: {} }];
  return profile === 'unread' ? [{ code: 'profile-unread', values: {} }] : [];
}

/** Of what is decoded and encoded anew hardly anything is lost. */
const QUALITY = 95;

/** From so many pixels on an opaque picture is kept as a JPEG, since a PNG of it would be vast. */
const LARGE = 8_000_000;

/** The bytes that a picture is kept as: its own where they are sRGB in a kind that a PDF and browsers take. */
async function keptPixels(
  platform: Platform,
  {
    header,
    stored,
    bytes,
    dpi,
    inked,
  }: DecodedFile & { bytes: Uint8Array; dpi: number; inked: boolean },
  profile: ColorProfile | undefined,
): Promise<{ bytes: Uint8Array; format: PixelArt['format'] }> {
  const { format } = header;
  // Inks have become light when they were decoded.
  const convert = !inked && profile ? srgbConverter(profile) : undefined;
  convert?.(stored.data);
  if (!convert && !inked) {
    if (format === 'jpeg') return { bytes: withoutExif(bytes), format };
    if (format === 'png' || format === 'webp') return { bytes, format };
  }
  const isVast = format !== 'png' && stored.width * stored.height > LARGE;
  if (format === 'jpeg' || ((format === 'heic' || isVast) && isOpaque(stored))) {
    const choices = { quality: QUALITY, dpi: Math.round(dpi) };
    return { bytes: await encodePhoto(platform, stored, choices), format: 'jpeg' };
  }
  return { bytes: encodePngImage(stored, convert || header.dpi ? dpi : undefined), format: 'png' };
}

/** How art is called by its file: without folders and ending. */
export function titleOf(path: string): string {
  const name = path.split('/').pop() ?? path;
  return (name.replace(/\.[^.]+$/, '') || name || 'Picture').slice(0, 200);
}

function keptVector({ nodes, leftOut, notes, ...size }: SvgPicture, title: string): ReadArt {
  const bytes = writeVector(nodes, size);
  const art: VectorArt = {
    kind: 'vector',
    id: contentHash(bytes),
    name: title,
    tags: [],
    width: size.width,
    height: size.height,
  };
  return { art, bytes, leftOut, ...(notes?.length ? { notes } : {}) };
}

/** The outlines of a drawing, kept as an SVG. */
async function readDxf(bytes: Uint8Array, name: string, title: string): Promise<Result<ReadArt>> {
  const drawn = await dxfToSvg(new TextDecoder().decode(bytes), name);
  if (!drawn.ok) return drawn;
  const read = parseSvg(drawn.value.svg, name);
  if (!read.ok) return read;
  const leftOut = [...drawn.value.leftOut, ...read.value.leftOut];
  return ok(keptVector({ ...read.value, leftOut, notes: drawn.value.notes }, title));
}

/** The nodes of vector art from its kept bytes, which were read once before; empty if they broke. */
export function vectorNodes(bytes: Uint8Array): VectorNodes {
  return readVector(bytes);
}
