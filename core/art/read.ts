import type { ArtOmission } from './omissions.ts';
import { err, contentHash, ok, type Platform, type Result } from '../base/index.ts';
import { encodePngImage } from '../raster/index.ts';
import type { Art, VectorArt, VectorNodes } from './art.ts';
import { dxfToSvg } from './dxf.ts';
import { sniffFormat, withoutExif } from './header.ts';
import { ART_LIMITS } from './limits.ts';
import { decodeFile } from './pixels.ts';
import type { ArtNote } from './notes.ts';
import { parseSvg } from './svg/earlier/reader.ts';
import { readVector, writeVector } from './svg/kept.ts';
import type { SvgPicture } from './svg/picture.ts';
import { takeSvg } from './svg/take.ts';

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
 */
export async function readArt(
  platform: Platform,
  bytes: Uint8Array,
  name: string,
): Promise<Result<ReadArt>> {
  if (bytes.length === 0) return err('art/empty', { name }, name);
  if (bytes.length > ART_LIMITS.bytes) {
    return err(
      'art/too-many-bytes',
      { name, megabytes: Math.round(bytes.length / 1048576), most: ART_LIMITS.bytes / 1048576 },
      name,
    );
  }
  const format = sniffFormat(bytes);
  if (format === undefined) return err('art/unknown-kind', { name, wanted: 'any' }, name);
  const title = titleOf(name);
  if (format === 'svg') {
    const drawn = await takeSvg(platform, bytes, name);
    return drawn.ok ? ok(keptVector(drawn.value, title)) : drawn;
  }
  if (format === 'dxf') return readDxf(bytes, name, title);
  if (format === 'pdf' || format === 'zip') return err('art/several', { name }, name);
  const read = await decodeFile(platform, { format, bytes, name });
  if (!read.ok) return read;
  const { width, height, orientation, dpi } = read.value.header;
  const known = { dpi: dpi ?? WITHOUT_RESOLUTION, dpiKnown: dpi !== undefined };
  // Kinds that neither a PDF nor every browser takes are kept as PNG.
  const foreign = format === 'gif' || format === 'avif';
  const kept = foreign
    ? encodePngImage(read.value.stored)
    : format === 'jpeg'
      ? withoutExif(bytes)
      : bytes;
  const art: Art = {
    kind: 'pixels',
    id: contentHash(kept),
    name: title,
    tags: [],
    format: foreign ? 'png' : format,
    pixelWidth: width,
    pixelHeight: height,
    orientation,
    ...known,
  };
  return ok({ art, bytes: kept, leftOut: [] });
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
  return ok(keptVector({ ...read.value, leftOut }, title));
}

/** The nodes of vector art from its kept bytes, which were read once before; empty if they broke. */
export function vectorNodes(bytes: Uint8Array): VectorNodes {
  return readVector(bytes);
}
