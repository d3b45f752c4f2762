import { onceFor, type Platform } from '../base/index.ts';
import type { RgbaImage } from './image.ts';

/** What of the decoder of telephones' pictures is used; it stays a file of its own, run as it is. */
interface Decoder {
  HeifDecoder: new () => { decode(bytes: Uint8Array): HeifImage[] };
}
interface HeifImage {
  get_width(): number;
  get_height(): number;
  is_primary(): boolean;
  display(target: RgbaImage, done: (drawn: RgbaImage | null) => void): void;
  free(): void;
}

const library = onceFor(async (platform: Platform): Promise<Decoder> => {
  const { default: start } = (await platform.module('libheif.mjs')) as {
    default(): Decoder | Promise<Decoder>;
  };
  return start();
});

/** Decodes a HEIC picture, turned as it is seen. Rejects where it is damaged. */
export async function decodeHeic(platform: Platform, bytes: Uint8Array): Promise<RgbaImage> {
  const { HeifDecoder } = await library(platform);
  const images = new HeifDecoder().decode(bytes);
  const image = images.find((one) => one.is_primary()) ?? images[0];
  if (!image) throw new Error('no picture');
  try {
    const [width, height] = [image.get_width(), image.get_height()];
    const target = { width, height, data: new Uint8ClampedArray(width * height * 4) };
    const drawn = await new Promise<RgbaImage | null>((done) => image.display(target, done));
    if (!drawn) throw new Error('the picture is damaged');
    return { width, height, data: drawn.data };
  } finally {
    for (const one of images) one.free();
  }
}
