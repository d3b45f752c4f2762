import { err, ok, type Platform, type Result } from '../base/index.ts';
import { compose, invert, scaling } from '../geometry/index.ts';
import { decodePixels, warpImage, type DecodedFormat, type RgbaImage } from '../raster/index.ts';
import { isPixels, parseHeader, sniffFormat, type PixelHeader } from './header.ts';
import { ART_LIMITS } from './limits.ts';
import { orientationMap } from './orientation.ts';

/** A file of pixels, decoded once it is known not to be too large. */
export interface DecodedFile {
  readonly header: PixelHeader;
  /** As they are stored; the orientation of the header is not applied. */
  readonly stored: RgbaImage;
}

/** Decodes a picture file of a known kind, within the limits. */
export async function decodeFile(
  platform: Platform,
  { format, bytes, name }: { format: DecodedFormat; bytes: Uint8Array; name: string },
): Promise<Result<DecodedFile>> {
  const header = await parseHeader(format, bytes, name);
  if (!header.ok) return header;
  const { width, height } = header.value;
  if (width * height > ART_LIMITS.pixels) {
    return err('art/too-large', { name, width, height, most: ART_LIMITS.pixels }, name);
  }
  try {
    return ok({ header: header.value, stored: await decodePixels(platform, format, bytes) });
  } catch {
    return err('art/broken', { name, kind: 'pixels' }, name);
  }
}

/** The pixels of a picture file as they are meant to be seen, for looking into them. */
export async function readPixels(
  platform: Platform,
  bytes: Uint8Array,
  name: string,
): Promise<Result<RgbaImage>> {
  const format = sniffFormat(bytes);
  if (!isPixels(format)) return err('art/unknown-kind', { name, wanted: 'pixels' }, name);
  const read = await decodeFile(platform, { format, bytes, name });
  if (!read.ok) return read;
  return ok(upright(read.value.stored, read.value.header.orientation));
}

/** Pixels as they are meant to be seen. */
export function upright(stored: RgbaImage, orientation: number): RgbaImage {
  if (orientation === 1) return stored;
  const lying = orientation >= 5;
  const [width, height] = lying ? [stored.height, stored.width] : [stored.width, stored.height];
  const seen = compose(
    compose(scaling(width, height), orientationMap(orientation)),
    scaling(1 / stored.width, 1 / stored.height),
  );
  return warpImage(stored, invert(seen), { width, height });
}
