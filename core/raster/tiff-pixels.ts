import { dithered } from './dither.ts';
import type { RgbaImage } from './image.ts';
import { hasInks, isKnownTiff, TIFF_TAG, tiffTags, type TiffTags } from './tiff.ts';
import { loadUtif, type Directory } from './utif.ts';

/** The samples of a picture, those of each pixel beside each other. */
interface Samples {
  readonly width: number;
  readonly height: number;
  /** How many of them a pixel has. */
  readonly count: number;
  /** Of 8 or 16. */
  readonly bits: number;
  at(index: number): number;
}

/** Decodes the first picture of a TIFF. Rejects where it is damaged or of another kind. */
export async function decodeTiff(bytes: Uint8Array): Promise<RgbaImage> {
  const tags = knownTags(bytes);
  const bits = tags.get(TIFF_TAG.bits)?.[0] ?? 1;
  const light = tags.get(TIFF_TAG.photometric)?.[0] ?? 1;
  if (bits >= 8 && light <= RGB) return colored(await readSamples(bytes), tags);
  const directory = await decoded(bytes, tags);
  const { width, height } = directory;
  const { toRGBA8 } = await loadUtif();
  return { width, height, data: new Uint8ClampedArray(toRGBA8(directory).buffer) };
}

/** Decodes the inks of the first picture of a TIFF; what more it holds a pixel is left out. */
export async function decodeTiffInks(
  bytes: Uint8Array,
): Promise<{ width: number; height: number; inks: Uint8Array }> {
  const { width, height, count, bits, at } = await readSamples(bytes);
  if (count < 4 || !hasInks(bytes)) throw new Error('a TIFF of another kind');
  const inks = new Uint8Array(width * height * 4);
  for (let pixel = 0; pixel < width * height; pixel++)
    for (let ink = 0; ink < 4; ink++) {
      const sample = at(pixel * count + ink);
      inks[pixel * 4 + ink] =
        bits === 8 ? sample : dithered(sample, pixel % width, Math.floor(pixel / width));
    }
  return { width, height, inks };
}

function knownTags(bytes: Uint8Array): TiffTags {
  if (!isKnownTiff(bytes)) throw new Error('a TIFF of another kind');
  return tiffTags(bytes);
}

async function decoded(bytes: Uint8Array, tags: TiffTags): Promise<Directory> {
  const { decodeImage } = await loadUtif();
  // The directory is read by us: its own reader believes whatever lengths it finds.
  const directory = Object.fromEntries(
    [...tags].map(([tag, values]) => [`t${tag}`, values]),
  ) as Directory;
  decodeImage(bytes.slice().buffer, directory);
  if (!directory.data?.length) throw new Error('no picture');
  return directory;
}

async function readSamples(bytes: Uint8Array): Promise<Samples> {
  const tags = knownTags(bytes);
  const bits = tags.get(TIFF_TAG.bits)?.[0] ?? 1;
  if (bits < 8) throw new Error('a TIFF of another kind');
  const count = tags.get(TIFF_TAG.samples)?.[0] ?? 1;
  const isApart = tags.get(TIFF_TAG.planar)?.[0] === 2 && count > 1;
  const planes = isApart ? planesOf(tags, count) : [tags];
  const data: Directory[] = [];
  for (const plane of planes) data.push(await decoded(bytes, plane));
  const [{ width, height }] = data as [Directory];
  const step = isApart ? 1 : count;
  const value = (plane: Uint8Array, index: number): number =>
    // The library gives samples of two bytes with their higher one last.
    bits === 8 ? (plane[index] ?? 0) : (plane[index * 2] ?? 0) | ((plane[index * 2 + 1] ?? 0) << 8);
  const [first] = data as [Directory];
  if (first.data.length < (width * height * step * bits) / 8) throw new Error('a picture cut off');
  const at = isApart
    ? (index: number): number =>
        value((data[index % count] as Directory).data, Math.floor(index / count))
    : (index: number): number => value(first.data, index);
  return { width, height, count, bits, at };
}

/** Each plane of a picture whose samples lie apart, as a picture of one sample. */
function planesOf(tags: TiffTags, count: number): TiffTags[] {
  const parts = ['stripPlaces', 'stripLengths', 'tilePlaces', 'tileLengths'] as const;
  const bits = tags.get(TIFF_TAG.bits)?.[0] ?? 8;
  return Array.from({ length: count }, (_, plane) => {
    const own = new Map<number, readonly number[]>(tags);
    own.set(TIFF_TAG.samples, [1]);
    own.set(TIFF_TAG.bits, [bits]);
    own.set(TIFF_TAG.planar, [1]);
    own.set(TIFF_TAG.photometric, [1]);
    for (const part of parts) {
      const all = tags.get(TIFF_TAG[part]);
      if (!all) continue;
      const each = all.length / count;
      own.set(TIFF_TAG[part], all.slice(plane * each, (plane + 1) * each));
    }
    return own;
  });
}

const WHITE_IS_ZERO = 0;
const RGB = 2;
/** Colours were multiplied by this alpha. */
const ASSOCIATED = 1;
/** Colours stand beside this alpha as they are. */
const UNASSOCIATED = 2;

/** Grey or coloured light, with its alpha where it says that it has one. */
function colored({ width, height, count, bits, at }: Samples, tags: TiffTags): RgbaImage {
  const light = tags.get(TIFF_TAG.photometric)?.[0] ?? 1;
  const colors = light === RGB && count >= 3 ? 3 : 1;
  const extra = tags.get(TIFF_TAG.extraSamples)?.[0];
  const hasAlpha = count > colors && (extra === ASSOCIATED || extra === UNASSOCIATED);
  const full = bits === 8 ? 255 : 65535;
  const data = new Uint8ClampedArray(width * height * 4);
  for (let pixel = 0; pixel < width * height; pixel++) {
    const [x, y] = [pixel % width, Math.floor(pixel / width)];
    const alpha = hasAlpha ? at(pixel * count + colors) : full;
    for (let c = 0; c < 3; c++) {
      let sample = at(pixel * count + (colors === 3 ? c : 0));
      if (extra === ASSOCIATED && hasAlpha)
        sample = alpha ? Math.min(full, (sample * full) / alpha) : 0;
      if (light === WHITE_IS_ZERO) sample = full - sample;
      data[pixel * 4 + c] = bits === 8 ? sample : dithered(sample, x, y);
    }
    data[pixel * 4 + 3] = bits === 8 ? alpha : alpha / 257;
  }
  return { width, height, data };
}
