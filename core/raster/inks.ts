import { srgbOfInks, type TableProfile } from '../color/index.ts';
import { findProfile } from './embedded-profile.ts';
import type { RgbaImage } from './image.ts';
import { jpegSegments } from './jpeg-segments.ts';
import { pictureSize, type DecodedFormat } from './picture-size.ts';
import { hasInks } from './tiff.ts';
import { decodeTiffInks } from './tiff-pixels.ts';
import { loadUtif } from './utif.ts';

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
  return { width, height, data: srgbOfInks(inks, inkProfile(findProfile(format, bytes))) };
}

/** A profile if it is one of four inks: some files of inks bring one of light. */
export const inkProfile = (profile: ReturnType<typeof findProfile>): TableProfile | undefined =>
  profile && profile !== 'unread' && 'table' in profile && profile.table.inputs === 4
    ? profile
    : undefined;

async function decodeJpegInks(bytes: Uint8Array): Promise<InkedImage> {
  const { JpegDecoder } = await loadUtif();
  const decoder = new JpegDecoder();
  decoder.parse(bytes);
  const { width, height } = decoder;
  // Programs that write their mark store what is left of the light, all others amounts of ink.
  const isAmount = !hasAdobeMark(bytes);
  const inks = decoder.getData({ width, height, forceRGB: false, isSourcePDF: isAmount });
  return { width, height, inks };
}

const APP14 = 0xee;
const ADOBE = 0x41646f62;

/** Source: ITU T.872, 6.5.3: the segment APP14 with its name. */
function hasAdobeMark(bytes: Uint8Array): boolean {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  return [...jpegSegments(bytes)].some(
    ({ marker, start }) =>
      marker === APP14 && start + 8 <= bytes.length && view.getUint32(start + 4) === ADOBE,
  );
}
