import { onceFor } from '../base/index.ts';

/** What a TIFF says of its first picture, by the numbers of its tags. Source: TIFF 6.0. */
export type TiffTags = ReadonlyMap<number, readonly number[]>;

export const TIFF_TAG = {
  width: 256,
  height: 257,
  bits: 258,
  compression: 259,
  photometric: 262,
  orientation: 274,
  stripPlaces: 273,
  samples: 277,
  stripLengths: 279,
  xResolution: 282,
  planar: 284,
  resolutionUnit: 296,
  tilePlaces: 324,
  tileLengths: 325,
  extraSamples: 338,
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
  const [width, height] = [first(TIFF_TAG.width), first(TIFF_TAG.height)];
  if (!width || !height) throw new RangeError('no size');
  const density = first(TIFF_TAG.xResolution);
  const unit = first(TIFF_TAG.resolutionUnit) ?? 2;
  const known = density !== undefined && density > 1 && Number.isFinite(density) && unit > 1;
  const turned = first(TIFF_TAG.orientation) ?? 1;
  return {
    ...{ width, height, orientation: turned >= 1 && turned <= 8 ? turned : 1 },
    ...(known ? { dpi: unit === CENTIMETRE ? density * 2.54 : density } : {}),
  };
}

/** The colour profile in a TIFF, where it has one. */
export const tiffProfile = (bytes: Uint8Array): Uint8Array | undefined => {
  const found = tiffTags(bytes).get(TIFF_TAG.profile);
  return found && Uint8Array.from(found);
};

/** Not packed, fax, LZW, JPEG, deflate and runs. */
const COMPRESSIONS: readonly number[] = [1, 2, 3, 4, 5, 7, 8, 32946, 32773];
const INKS = 5;

/** Whether a TIFF is of a kind that can be decoded. */
export function isKnownTiff(bytes: Uint8Array): boolean {
  const tags = tiffTags(bytes);
  const first = (tag: number): number => tags.get(tag)?.[0] ?? 1;
  return (
    COMPRESSIONS.includes(first(TIFF_TAG.compression)) &&
    (first(TIFF_TAG.planar) === 1 || [8, 16].includes(first(TIFF_TAG.bits))) &&
    [1, 2, 4, 8, 16].includes(first(TIFF_TAG.bits)) &&
    [0, 1, 2, 3, INKS].includes(first(TIFF_TAG.photometric))
  );
}

/** Whether the samples of a TIFF are inks: cyan, magenta, yellow and black. */
export const hasInks = (bytes: Uint8Array): boolean =>
  tiffTags(bytes).get(TIFF_TAG.photometric)?.[0] === INKS;
