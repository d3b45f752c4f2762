import { joinedBytes, type Platform } from '../../base/index.ts';
import type { PixelArt } from '../../art/index.ts';
import { rgbOf } from '../../color/index.ts';
import {
  checkPixels,
  decodePixels,
  pngChunks,
  type GreyImage,
  type RgbaImage,
} from '../../raster/index.ts';
import type { PdfObjects, PdfRef, PdfValue } from './objects.ts';

/**
 * Embeds a picture of pixels once: JPEG and plain PNG as they are, others decoded and packed. Rejects
 * where it is damaged or too large.
 */
export async function embedPicture(
  objects: PdfObjects,
  platform: Platform,
  art: Pick<PixelArt, 'format' | 'pixelWidth' | 'pixelHeight'>,
  bytes: Uint8Array,
): Promise<PdfRef> {
  checkPixels(art.format, bytes);
  const size = { Width: art.pixelWidth, Height: art.pixelHeight };
  if (art.format === 'jpeg') {
    const grey = jpegChannels(bytes) === 1;
    return objects.stream(
      imageDict({
        ...size,
        ColorSpace: grey ? '/DeviceGray' : '/DeviceRGB',
        BitsPerComponent: 8,
        Filter: '/DCTDecode',
      }),
      bytes,
      true,
    );
  }
  const plain = art.format === 'png' ? findPlainPng(objects, bytes, size) : undefined;
  if (plain) return objects.stream(imageDict(plain.dict), plain.packed, true);
  return embedPixels(objects, await decodePixels(platform, art.format, bytes), true);
}

const imageDict = (entries: {
  readonly [key: string]: PdfValue;
}): { readonly [key: string]: PdfValue } => ({
  Type: '/XObject',
  Subtype: '/Image',
  ...entries,
});

/** Embeds pixels; unpacked for files that are only rendered and thrown away. */
export function embedPixels(
  objects: PdfObjects,
  { width, height, data }: RgbaImage,
  pack: boolean,
): PdfRef {
  const count = width * height;
  const colors = new Uint8Array(count * 3);
  const alpha = new Uint8Array(count);
  let clear = false;
  for (let at = 0; at < count; at++) {
    colors[at * 3] = data[at * 4] ?? 0;
    colors[at * 3 + 1] = data[at * 4 + 1] ?? 0;
    colors[at * 3 + 2] = data[at * 4 + 2] ?? 0;
    const a = data[at * 4 + 3] ?? 255;
    alpha[at] = a;
    if (a !== 255) clear = true;
  }
  const size = { Width: width, Height: height, BitsPerComponent: 8 };
  const mask =
    clear && objects.stream(imageDict({ ...size, ColorSpace: '/DeviceGray' }), alpha, !pack);
  const entries = { ...size, ColorSpace: '/DeviceRGB' };
  return objects.stream(imageDict(mask ? { ...entries, SMask: mask } : entries), colors, !pack);
}

/** Embeds one colour as a picture that is as opaque as a shade says, 0 to 255. */
export function embedShade(objects: PdfObjects, shade: GreyImage, color: string): PdfRef {
  const size = { Width: shade.width, Height: shade.height, BitsPerComponent: 8 };
  const alpha = Uint8Array.from(shade.data, (value) => Math.round(value));
  const mask = objects.stream(imageDict({ ...size, ColorSpace: '/DeviceGray' }), alpha);
  // One pixel of the colour is stretched over the whole; only the mask is fine.
  const pixel = Uint8Array.from(Object.values(rgbOf(color)), (value) => Math.round(value * 255));
  return objects.stream(
    imageDict({ Width: 1, Height: 1, BitsPerComponent: 8, ColorSpace: '/DeviceRGB', SMask: mask }),
    pixel,
  );
}

/** The number of colour channels in a JPEG's frame header (ITU T.81, B.2.2). */
function jpegChannels(bytes: Uint8Array): number {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  for (let at = 2; at + 10 < bytes.length; at += 2 + view.getUint16(at + 2)) {
    const marker = view.getUint8(at + 1);
    if (marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker))
      return view.getUint8(at + 9);
  }
  return 3;
}

/**
 * A PNG whose packed rows PDF can take as they are: not interlaced, without transparency.
 * Source: ISO 32000-1, 7.4.4.4: predictor 15 is PNG's own row filters.
 */
function findPlainPng(
  objects: PdfObjects,
  bytes: Uint8Array,
  size: { Width: number; Height: number },
): { dict: { readonly [key: string]: PdfValue }; packed: Uint8Array } | undefined {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const [depth, type, interlaced] = [view.getUint8(24), view.getUint8(25), view.getUint8(28)];
  const channels = { 0: 1, 2: 3, 3: 1 }[type];
  if (!channels || interlaced !== 0) return undefined;
  const parts: Uint8Array[] = [];
  let palette: Uint8Array | undefined;
  for (const { type: name, content } of pngChunks(bytes)) {
    if (name === 'tRNS') return undefined;
    if (name === 'PLTE') palette = content;
    if (name === 'IDAT') parts.push(content);
  }
  const space: PdfValue =
    palette && type === 3
      ? ['/Indexed', '/DeviceRGB', palette.length / 3 - 1, objects.hex(palette)]
      : channels === 3
        ? '/DeviceRGB'
        : '/DeviceGray';
  const packed = joinedBytes(parts);
  const parms = { Predictor: 15, Colors: channels, BitsPerComponent: depth, Columns: size.Width };
  return {
    packed,
    dict: {
      ...size,
      ColorSpace: space,
      BitsPerComponent: depth,
      Filter: '/FlateDecode',
      DecodeParms: parms,
    },
  };
}
