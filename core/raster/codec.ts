import { decode as decodePng, encode as encodePng } from 'fast-png';
import { GifReader } from 'omggif';
import type { Platform } from '../base/index.ts';
import { decodeBmp } from './bmp.ts';
import { decodeHeic } from './heic.ts';
import { inflatedPng } from './inflated-png.ts';
import { dithered } from './dither.ts';
import { decodeTiff } from './tiff-pixels.ts';
import type { RgbaImage } from './image.ts';
import { decodeInked, isInked } from './inks.ts';
import { checkPixels, type DecodedFormat } from './picture-size.ts';

class PlainImage {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
  constructor(data: Uint8ClampedArray, width: number, height: number) {
    this.data = data;
    this.width = width;
    this.height = height;
  }
}

// The WebAssembly decoders make an ImageData, which Node does not have.
const shared = globalThis as unknown as { ImageData?: unknown };
shared.ImageData ??= PlainImage;

type Start = (module: WebAssembly.Module) => Promise<void>;
const started = new Map<string, Promise<void>>();

async function start(platform: Platform, name: string, init: unknown): Promise<void> {
  const running =
    started.get(name) ??
    platform
      .asset(name)
      .then((bytes) => WebAssembly.compile(bytes))
      .then((module) => (init as Start)(module));
  started.set(name, running);
  await running;
}

/** Each is loaded when the first such picture comes. */
const DECODERS = {
  jpeg: { wasm: 'jpeg-decoder.wasm', load: () => import('@jsquash/jpeg/decode.js') },
  webp: { wasm: 'webp-decoder.wasm', load: () => import('@jsquash/webp/decode.js') },
  avif: { wasm: 'avif-decoder.wasm', load: () => import('@jsquash/avif/decode.js') },
};

/**
 * Decodes a picture file, the first frame of one that moves, the same to the last bit on every platform.
 * Rejects with a problem where it has too many pixels, and with a plain Error when the bytes are broken.
 * The EXIF orientation is not applied; inks become light by their profile or a formula.
 */
export async function decodePixels(
  platform: Platform,
  format: DecodedFormat,
  bytes: Uint8Array,
): Promise<RgbaImage> {
  checkPixels(format, bytes);
  if (format === 'png') return toRgba(decodePng((await inflatedPng(platform, bytes)) ?? bytes));
  if ((format === 'jpeg' || format === 'tiff') && isInked(format, bytes))
    return decodeInked(format, bytes);
  if (format === 'gif') return firstFrame(bytes);
  if (format === 'bmp') return decodeBmp(bytes);
  if (format === 'tiff') return decodeTiff(bytes);
  if (format === 'heic') return decodeHeic(platform, bytes);
  const { wasm, load } = DECODERS[format];
  const { init, default: decode } = await load();
  await start(platform, wasm, init);
  const own = bytes.slice().buffer;
  const { width, height, data } = (await decode(own)) as unknown as RgbaImage;
  return { width, height, data };
}

/** How many pictures a GIF shows one after the other. */
export const countFrames = (bytes: Uint8Array): number => new GifReader(bytes).numFrames();

function firstFrame(bytes: Uint8Array): RgbaImage {
  const gif = new GifReader(bytes);
  const data = new Uint8ClampedArray(gif.width * gif.height * 4);
  gif.decodeAndBlitFrameRGBA(0, data);
  return { width: gif.width, height: gif.height, data };
}

/** Encodes a photograph to keep it, as JPEG with its resolution, as fast as the platform can. */
export async function encodePhoto(
  platform: Platform,
  image: RgbaImage,
  choices: { quality: number; dpi: number },
): Promise<Uint8Array> {
  if (!platform.encodePhoto) return encodeJpegImage(platform, image, choices);
  const bytes = await platform.encodePhoto(image, choices.quality);
  return withDensity(bytes, choices.dpi);
}

/** Encodes an image as JPEG of a quality from 1 to 100, with its resolution; what is clear is white. */
export async function encodeJpegImage(
  platform: Platform,
  { width, height, data }: RgbaImage,
  { quality, dpi }: { quality: number; dpi: number },
): Promise<Uint8Array> {
  const { init, default: encode } = await import('@jsquash/jpeg/encode.js');
  await start(platform, 'jpeg-encoder.wasm', init);
  const image = { width, height, data } as unknown as Parameters<typeof encode>[0];
  return withDensity(new Uint8Array(await encode(image, { quality })), dpi);
}

function withDensity(bytes: Uint8Array, dpi: number): Uint8Array {
  // The JFIF header begins after the two markers; its density is in dots per inch (JFIF 1.02).
  const view = new DataView(bytes.buffer, bytes.byteOffset);
  if (view.getUint16(2) === 0xffe0) {
    view.setUint8(13, 1);
    view.setUint16(14, dpi);
    view.setUint16(16, dpi);
  }
  return bytes;
}

/** Encodes an image as PNG, with its resolution when `dpi` is given. Same pixels, same bytes. */
export function encodePngImage({ width, height, data }: RgbaImage, dpi?: number): Uint8Array {
  const png = encodePng({
    width,
    height,
    data: new Uint8Array(data.buffer, data.byteOffset, data.length),
    channels: 4,
    depth: 8,
  });
  return dpi === undefined ? png : withResolution(png, dpi);
}

function toRgba(png: ReturnType<typeof decodePng>): RgbaImage {
  const { width, height, channels, depth, palette, transparency } = png;
  if (channels === 4 && depth === 8) {
    const { buffer, byteOffset, byteLength } = png.data;
    return {
      width,
      height,
      data: new Uint8ClampedArray(buffer as ArrayBuffer, byteOffset, byteLength),
    };
  }
  const data = new Uint8ClampedArray(width * height * 4);
  const read = sampleReader(png);
  for (let pixel = 0; pixel < width * height; pixel++) {
    const to = pixel * 4;
    if (palette) {
      const [r, g, b, a] = palette[read(pixel)] ?? [0, 0, 0, 255];
      data.set([r ?? 0, g ?? 0, b ?? 0, a ?? 255], to);
      continue;
    }
    const at = pixel * channels;
    const grey = channels < 3;
    for (let c = 0; c < 3; c++) {
      const sample = read(grey ? at : at + c);
      data[to + c] =
        depth === 16
          ? dithered(sample, pixel % width, Math.floor(pixel / width))
          : to8(sample, depth);
    }
    const clear = transparency && isKey(read, at, grey ? 1 : 3, transparency);
    data[to + 3] = channels % 2 === 0 ? to8(read(at + channels - 1), depth) : clear ? 0 : 255;
  }
  return { width, height, data };
}

function sampleReader({ data, depth, width, channels }: ReturnType<typeof decodePng>) {
  if (depth >= 8) return (index: number): number => data[index] ?? 0;
  const rowBytes = Math.ceil((width * channels * depth) / 8);
  return (index: number): number => {
    const row = Math.floor(index / (width * channels));
    const bit = (index % (width * channels)) * depth;
    const byte = data[row * rowBytes + (bit >> 3)] ?? 0;
    return (byte >> (8 - depth - (bit & 7))) & ((1 << depth) - 1);
  };
}

const to8 = (value: number, depth: number): number =>
  depth === 16 ? value / 257 : depth === 8 ? value : (value * 255) / ((1 << depth) - 1);

function isKey(
  read: (index: number) => number,
  at: number,
  samples: number,
  key: Uint16Array,
): boolean {
  for (let c = 0; c < samples; c++) if (read(at + c) !== key[c]) return false;
  return true;
}

/** Puts a pHYs chunk (PNG specification, 11.3.4.3) behind the header. */
function withResolution(png: Uint8Array, dpi: number): Uint8Array {
  const perMetre = Math.round(dpi / 0.0254);
  const chunk = new Uint8Array(21);
  const view = new DataView(chunk.buffer);
  view.setUint32(0, 9);
  chunk.set([0x70, 0x48, 0x59, 0x73], 4);
  view.setUint32(8, perMetre);
  view.setUint32(12, perMetre);
  chunk[16] = 1;
  view.setUint32(17, crc32(chunk.subarray(4, 17)));
  const made = new Uint8Array(png.length + 21);
  made.set(png.subarray(0, 33));
  made.set(chunk, 33);
  made.set(png.subarray(33), 54);
  return made;
}

function crc32(bytes: Uint8Array): number {
  let crc = 0xffffffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
  }
  return ~crc >>> 0;
}
