import { bad, good, type Platform, type Result } from '../base/index.ts';
import { compose, invert, scaling } from '../geometry/index.ts';
import { decodePixels, warpImage, type RgbaImage } from '../raster/index.ts';
import { parseHeader, sniffFormat } from './header.ts';
import { ART_LIMITS } from './limits.ts';
import { orientationMap } from './orientation.ts';

/** The pixels of a picture file as they are meant to be seen, for looking into them. */
export async function readPixels(
  platform: Platform,
  bytes: Uint8Array,
  name: string,
): Promise<Result<RgbaImage>> {
  const format = sniffFormat(bytes);
  if (format === undefined || format === 'svg')
    return bad(
      'art/unknown-kind',
      `“${name}” is no picture of pixels.`,
      'Choose a PNG, JPEG or WebP picture.',
      name,
    );
  const header = await parseHeader(format, bytes, name);
  if (!header.ok) return header;
  if (header.value.width * header.value.height > ART_LIMITS.pixels)
    return bad('art/too-large', `“${name}” has too many pixels.`, 'Save it smaller.', name);
  let stored: RgbaImage;
  try {
    stored = await decodePixels(platform, format, bytes);
  } catch {
    return bad('art/broken', `“${name}” is damaged or not finished.`, 'Take it again.', name);
  }
  const { orientation } = header.value;
  if (orientation === 1) return good(stored);
  const lying = orientation >= 5;
  const [width, height] = lying ? [stored.height, stored.width] : [stored.width, stored.height];
  const seen = compose(
    compose(scaling(width, height), orientationMap(orientation)),
    scaling(1 / stored.width, 1 / stored.height),
  );
  return good(warpImage(stored, invert(seen), { width, height }));
}
