import { srgbOfInks } from '../color/index.ts';
import { findProfile } from './embedded-profile.ts';
import type { RgbaImage } from './image.ts';
import { pictureSize, type DecodedFormat } from './picture-size.ts';
import { decodeTiffInks, hasInks } from './tiff.ts';

/** Amounts of cyan, magenta, yellow and black, 255 for all of one. */
export interface InkedImage {
  readonly width: number;
  readonly height: number;
  readonly inks: Uint8Array;
}

/** Whether a picture file holds inks rather than light. */
export const isInked = (format: DecodedFormat, bytes: Uint8Array): boolean =>
  format === 'jpeg' ? pictureSize(format, bytes).inks === 4 : format === 'tiff' && hasInks(bytes);

/** Decodes a picture of inks to sRGB, by its profile or a formula. Rejects where it is damaged. */
export async function decodeInked(format: 'jpeg' | 'tiff', bytes: Uint8Array): Promise<RgbaImage> {
  const { width, height, inks } =
    format === 'tiff' ? await decodeTiffInks(bytes) : await decodeJpegInks(bytes);
  const profile = findProfile(format, bytes);
  const table = profile && profile !== 'unread' && 'table' in profile ? profile : undefined;
  return { width, height, data: srgbOfInks(inks, table) };
}

interface JpegDecoder {
  width: number;
  height: number;
  parse(bytes: Uint8Array): void;
  getData(choices: {
    width: number;
    height: number;
    forceRGB: boolean;
    isSourcePDF: boolean;
  }): Uint8Array;
}

async function decodeJpegInks(bytes: Uint8Array): Promise<InkedImage> {
  const { default: utif } = (await import('utif2')) as unknown as {
    default: { JpegDecoder: new () => JpegDecoder };
  };
  const decoder = new utif.JpegDecoder();
  decoder.parse(bytes);
  const { width, height } = decoder;
  // Programs that write their mark store what is left of the light, all others amounts of ink.
  const isAmount = !hasAdobeMark(bytes);
  const inks = decoder.getData({ width, height, forceRGB: false, isSourcePDF: isAmount });
  return { width, height, inks };
}

/** Source: ITU T.872, 6.5.3: the segment APP14 with its name. */
function hasAdobeMark(bytes: Uint8Array): boolean {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  for (let at = 2; at + 9 < bytes.length && view.getUint8(at) === 0xff;) {
    const marker = view.getUint8(at + 1);
    if (marker === 0xda) return false;
    if (marker === 0xee && view.getUint32(at + 4) === 0x41646f62) return true;
    at += 2 + view.getUint16(at + 2);
  }
  return false;
}
