import { onceFor } from '../base/index.ts';
import type { RgbaImage } from './image.ts';
import { loadUtif, type Directory } from './utif.ts';

/** What a TIFF says of its first picture, by the numbers of its tags. Source: TIFF 6.0. */
export type TiffTags = ReadonlyMap<number, readonly number[]>;

const TAG = {
  width: 256,
  height: 257,
  bits: 258,
  compression: 259,
  photometric: 262,
  orientation: 274,
  samples: 277,
  xResolution: 282,
  planar: 284,
  resolutionUnit: 296,
  profile: 34675,
} as const;

/** Bytes of a value by its type; what is not named is skipped. */
const SIZES: Readonly<Record<number, number>> = { 1: 1, 3: 2, 4: 4, 5: 8, 7: 1 };
const MOST_ENTRIES = 1000;

/** Reads the tags of the first picture. Throws where they are damaged. */
export const tiffTags = onceFor((bytes: Uint8Array): TiffTags => {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const little = view.getUint16(0) === 0x4949;
  const directory = view.getUint32(4, little);
  const count = view.getUint16(directory, little);
  if (count > MOST_ENTRIES) throw new RangeError('too many tags');
  const tags = new Map<number, readonly number[]>();
  for (let entry = directory + 2; entry < directory + 2 + count * 12; entry += 12) {
    const [tag, type] = [view.getUint16(entry, little), view.getUint16(entry + 2, little)];
    const length = view.getUint32(entry + 4, little);
    const size = SIZES[type];
    if (size === undefined) continue;
    const at = length * size <= 4 ? entry + 8 : view.getUint32(entry + 8, little);
    if (at + length * size > bytes.length) throw new RangeError('a tag is cut off');
    const read = (index: number): number => {
      const place = at + index * size;
      if (size === 1) return view.getUint8(place);
      if (size === 2) return view.getUint16(place, little);
      const whole = view.getUint32(place, little);
      return size === 4 ? whole : whole / view.getUint32(place + 4, little);
    };
    tags.set(
      tag,
      Array.from({ length }, (_, index) => read(index)),
    );
  }
  return tags;
});

const CENTIMETRE = 3;

/** The size, resolution and orientation of the first picture. */
export function tiffSize(bytes: Uint8Array): {
  width: number;
  height: number;
  orientation: number;
  dpi?: number;
} {
  const tags = tiffTags(bytes);
  const first = (tag: number): number | undefined => tags.get(tag)?.[0];
  const [width, height] = [first(TAG.width), first(TAG.height)];
  if (!width || !height) throw new RangeError('no size');
  const density = first(TAG.xResolution);
  const unit = first(TAG.resolutionUnit) ?? 2;
  const known = density !== undefined && density > 1 && Number.isFinite(density) && unit > 1;
  const turned = first(TAG.orientation) ?? 1;
  return {
    ...{ width, height, orientation: turned >= 1 && turned <= 8 ? turned : 1 },
    ...(known ? { dpi: unit === CENTIMETRE ? density * 2.54 : density } : {}),
  };
}

/** The colour profile in a TIFF, where it has one. */
export const tiffProfile = (bytes: Uint8Array): Uint8Array | undefined => {
  const found = tiffTags(bytes).get(TAG.profile);
  return found && Uint8Array.from(found);
};

/** Not packed, fax, LZW, JPEG, deflate and runs. */
const COMPRESSIONS: readonly number[] = [1, 2, 3, 4, 5, 7, 8, 32946, 32773];
const INKS = 5;

/** Whether a TIFF is of a kind that can be decoded: colours beside each other, in a known packing. */
export function isKnownTiff(bytes: Uint8Array): boolean {
  const tags = tiffTags(bytes);
  const first = (tag: number): number => tags.get(tag)?.[0] ?? 1;
  return (
    COMPRESSIONS.includes(first(TAG.compression)) &&
    (first(TAG.planar) === 1 || first(TAG.samples) === 1) &&
    [1, 2, 4, 8, 16].includes(first(TAG.bits)) &&
    [0, 1, 2, 3, INKS].includes(first(TAG.photometric))
  );
}

/** Whether the samples of a TIFF are inks: cyan, magenta, yellow and black. */
export const hasInks = (bytes: Uint8Array): boolean =>
  tiffTags(bytes).get(TAG.photometric)?.[0] === INKS;

/** Decodes the first picture of a TIFF. Rejects where it is damaged or of another kind. */
export async function decodeTiff(bytes: Uint8Array): Promise<RgbaImage> {
  const directory = await decoded(bytes);
  const { width, height } = directory;
  const { toRGBA8 } = await loadUtif();
  return { width, height, data: new Uint8ClampedArray(toRGBA8(directory).buffer) };
}

async function decoded(bytes: Uint8Array): Promise<Directory> {
  if (!isKnownTiff(bytes)) throw new Error('a TIFF of another kind');
  const { decodeImage } = await loadUtif();
  // The directory is read by us: its own reader believes whatever lengths it finds.
  const directory = Object.fromEntries(
    [...tiffTags(bytes)].map(([tag, values]) => [`t${tag}`, values]),
  ) as Directory;
  decodeImage(bytes.slice().buffer, directory);
  if (!directory.data?.length) throw new Error('no picture');
  return directory;
}

/** Decodes the inks of the first picture of a TIFF; what more it holds a pixel is left out. */
export async function decodeTiffInks(
  bytes: Uint8Array,
): Promise<{ width: number; height: number; inks: Uint8Array }> {
  const { width, height, data } = await decoded(bytes);
  const tags = tiffTags(bytes);
  const samples = tags.get(TAG.samples)?.[0] ?? 4;
  const bits = tags.get(TAG.bits)?.[0] ?? 8;
  if (samples < 4 || bits < 8) throw new Error('a TIFF of another kind');
  const step = bits / 8;
  const inks = new Uint8Array(width * height * 4);
  // Samples of two bytes have their higher one last.
  for (let pixel = 0; pixel < width * height; pixel++)
    for (let ink = 0; ink < 4; ink++)
      inks[pixel * 4 + ink] = data[(pixel * samples + ink) * step + step - 1] ?? 0;
  return { width, height, inks };
}
