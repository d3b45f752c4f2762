import { Unzlib } from 'fflate';
import { joinedBytes, onceForEach } from '../base/index.ts';
import {
  P3_PRIMARIES,
  parseIccProfile,
  primariesMatrix,
  SRGB_PRIMARIES,
  srgbCurve,
  type ColorProfile,
  type Primaries,
  type ToneCurve,
} from '../color/index.ts';
import { jpegSegments } from './jpeg-segments.ts';
import { pngChunks } from './png-chunks.ts';
import type { DecodedFormat } from './picture-size.ts';
import { tiffProfile } from './tiff.ts';

/** A profile that comes to more is none that a picture needs. */
const MOST_BYTES = 4 * 1024 * 1024;

/**
 * How the numbers of a picture file become colours: `unread` where it says so in a way that is not
 * known, undefined where it says nothing, and sRGB is meant.
 */
export const findProfile = (
  format: DecodedFormat,
  bytes: Uint8Array,
): ColorProfile | 'unread' | undefined => readProfile(bytes, format);

/** Tables are large: a file is decoded by its profile and judged by it, and read once. */
const readProfile = onceForEach(
  (bytes: Uint8Array, format: DecodedFormat): ColorProfile | 'unread' | undefined => {
    try {
      if (format === 'png') return pngProfile(bytes);
      if (format === 'heic' || format === 'avif') return heifProfile(bytes);
      const icc = ICC_OF[format]?.(bytes);
      return icc && (parseIccProfile(icc) ?? 'unread');
    } catch {
      return 'unread';
    }
  },
);

const viewOf = (bytes: Uint8Array): DataView =>
  new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
const letters = (bytes: Uint8Array, from: number, count: number): string =>
  String.fromCharCode(...bytes.subarray(from, from + count));

const ICC_MARK = 'ICC_PROFILE\0';

const APP2 = 0xe2;

/** The profile in a JPEG's APP2 segments, in their order (ICC.1:2022, B.4). */
function jpegIcc(bytes: Uint8Array): Uint8Array | undefined {
  const view = viewOf(bytes);
  const parts = [...jpegSegments(bytes)]
    .filter(
      ({ marker, start }) =>
        marker === APP2 && letters(bytes, start + 4, ICC_MARK.length) === ICC_MARK,
    )
    .map(({ start, end }) => ({
      order: view.getUint8(start + 16),
      part: bytes.subarray(start + 18, end),
    }))
    .sort((one, other) => one.order - other.order);
  return parts.length ? joinedBytes(parts.map(({ part }) => part)) : undefined;
}

/** WebP container specification: the chunk ICCP. */
function webpIcc(bytes: Uint8Array): Uint8Array | undefined {
  const view = viewOf(bytes);
  for (let at = 12; at + 8 <= bytes.length;) {
    const length = view.getUint32(at + 4, true);
    if (letters(bytes, at, 4) === 'ICCP') return bytes.subarray(at + 8, at + 8 + length);
    at += 8 + length + (length % 2);
  }
  return undefined;
}

/** Where files of each kind hold their profile. */
const ICC_OF: Readonly<Record<string, (bytes: Uint8Array) => Uint8Array | undefined>> = {
  jpeg: jpegIcc,
  webp: webpIcc,
  tiff: tiffProfile,
};

const HEAD = 1 << 16; // bytes in which the boxes before the pixels are looked for

/**
 * What the boxes `colr` of a HEIF or AVIF say (ISO/IEC 14496-12, 12.1.5): a profile goes before numbers
 * of primaries and curve.
 */
function heifProfile(bytes: Uint8Array): ColorProfile | 'unread' | undefined {
  const view = viewOf(bytes);
  let numbers: ColorProfile | 'unread' | undefined;
  for (let at = 4; at < Math.min(HEAD, bytes.length - 12); at++) {
    if (view.getUint32(at) !== 0x636f6c72) continue;
    const [length, kind] = [view.getUint32(at - 4), letters(bytes, at + 4, 4)];
    const body = bytes.subarray(at + 8, at - 4 + length);
    if (kind === 'prof' || kind === 'rICC') return parseIccProfile(body) ?? 'unread';
    // Curves of films differ from those of screens where nobody sees it; what is not named is sRGB.
    if (kind === 'nclx' && body[1] === P3_NUMBER)
      numbers = cicpProfile(Uint8Array.of(P3_NUMBER, SRGB_CURVE));
  }
  return numbers;
}
const P3_NUMBER = 12;
const SRGB_CURVE = 13;

/** What a PNG says of its colours, the best first (PNG specification, third edition, 4.3). */
function pngProfile(bytes: Uint8Array): ColorProfile | 'unread' | undefined {
  const chunks = new Map<string, Uint8Array>();
  for (const { type, content } of pngChunks(bytes)) {
    if (type === 'IDAT') break;
    chunks.set(type, content);
  }
  const [cicp, iccp] = [chunks.get('cICP'), chunks.get('iCCP')];
  if (cicp) return cicpProfile(cicp);
  if (iccp) return parseIccProfile(unpacked(iccp)) ?? 'unread';
  if (chunks.has('sRGB')) return undefined;
  return measuredProfile(chunks.get('cHRM'), chunks.get('gAMA'));
}

/** A name, a method and the packed profile (11.3.2.3); what unpacks to too much is refused. */
function unpacked(chunk: Uint8Array): Uint8Array {
  const parts: Uint8Array[] = [];
  let size = 0;
  const stream = new Unzlib((part) => {
    size += part.length;
    if (size > MOST_BYTES) throw new RangeError('too large');
    parts.push(part);
  });
  const packed = chunk.subarray(chunk.indexOf(0) + 2);
  const STEP = 4096;
  for (let at = 0; at < packed.length; at += STEP)
    stream.push(packed.subarray(at, at + STEP), at + STEP >= packed.length);
  return joinedBytes(parts);
}

/** Numbers of ITU-T H.273: its primaries and curves that pictures use. */
function cicpProfile([primaries, transfer]: Uint8Array): ColorProfile | 'unread' | undefined {
  const known = { 1: SRGB_PRIMARIES, 12: P3_PRIMARIES }[primaries ?? 0];
  const curve = { 8: (value: number) => value, 13: srgbCurve }[transfer ?? 0];
  return known && curve ? profileOf(known, curve) : 'unread';
}

const USUAL_GAMMA = 1 / 2.2;

/** Chromaticities and an exponent, in hundred thousandths (11.3.2.1 and 11.3.2.2). */
function measuredProfile(
  chrm: Uint8Array | undefined,
  gama: Uint8Array | undefined,
): ColorProfile | undefined {
  if (!chrm && !gama) return undefined;
  const part = (chunk: Uint8Array, at: number): number => viewOf(chunk).getUint32(at * 4) / 100_000;
  const point = (chunk: Uint8Array, at: number): readonly [number, number] => [
    part(chunk, at),
    part(chunk, at + 1),
  ];
  const primaries: Primaries = chrm
    ? { white: point(chrm, 0), red: point(chrm, 2), green: point(chrm, 4), blue: point(chrm, 6) }
    : SRGB_PRIMARIES;
  const gamma = gama ? part(gama, 0) : USUAL_GAMMA;
  // What is written for sRGB by those who know no better chunk.
  if (Math.abs(gamma - USUAL_GAMMA) < 0.002) return profileOf(primaries, srgbCurve);
  return gamma > 0 ? profileOf(primaries, (value) => value ** (1 / gamma)) : undefined;
}

function profileOf(primaries: Primaries, curve: ToneCurve): ColorProfile | undefined {
  const matrix = primariesMatrix(primaries);
  return matrix && { curves: [curve, curve, curve], matrix };
}
