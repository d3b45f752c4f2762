import type { RgbaImage } from '../../../core/raster/index.ts';

/*
 * Pages of dots as printers take them: PWG Raster (PWG 5102.4), of one bit, grey or sRGB. A file is four
 * letters and then pages, each a header of 1,796 bytes and lines that are packed.
 */

const SYNC = 'RaS2';
const HEADER = 1796;
/** Where numbers stand in a header, in bytes; all have four, the highest first. */
const AT = { width: 372, height: 376, bitsPerColor: 384, bitsPerPixel: 388, space: 400 } as const;
/** What the numbers of a dot mean. */
const SPACE = { black: 3, grey: 18, rgb: 19 } as const;
const MOST_DOTS = 60e6;
const MOST_PAGES = 200;

/** The kinds of dots that are read, as a printer names them. */
export const RASTER_TYPES = ['black_1', 'sgray_8', 'srgb_8'] as const;

/** Whether a file is one of pages of dots. */
export const isRaster = (bytes: Uint8Array): boolean =>
  new TextDecoder('latin1').decode(bytes.subarray(0, 4)) === SYNC;

/** Reads pages of dots one by one; throws where a file is broken or of a kind that is not read. */
export function* rasterPages(bytes: Uint8Array): Generator<RgbaImage> {
  if (!isRaster(bytes)) throw new Error('no raster');
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let at = 4;
  for (let page = 0; at < bytes.length; page++) {
    if (at + HEADER > bytes.length || page >= MOST_PAGES) throw new Error('broken raster');
    const number = (where: number): number => view.getUint32(at + where);
    const [width, height] = [number(AT.width), number(AT.height)];
    const [bits, space] = [number(AT.bitsPerPixel), number(AT.space)];
    const isKnown =
      (bits === 1 && space === SPACE.black) ||
      (bits === 8 && (space === SPACE.grey || space === SPACE.black)) ||
      (bits === 24 && space === SPACE.rgb);
    if (!isKnown || width === 0 || height === 0 || width * height > MOST_DOTS)
      throw new Error('unread raster');
    const line = Math.ceil((width * bits) / 8);
    const read = unpacked(bytes, at + HEADER, { line, height, unit: Math.max(1, bits / 8), space });
    at = read.end;
    yield imageOf(read.dots, { width, height, bits, space });
  }
}

/**
 * Lines as they were packed: how often one comes beside the first time, then runs: of one dot up to 128
 * times, of up to 128 dots that differ, or what is left of the line empty.
 */
function unpacked(
  bytes: Uint8Array,
  from: number,
  {
    line,
    height,
    unit,
    space,
  }: {
    readonly line: number;
    readonly height: number;
    readonly unit: number;
    readonly space: number;
  },
): { dots: Uint8Array; end: number } {
  const empty = space === SPACE.black ? 0 : 255;
  const dots = new Uint8Array(line * height);
  let at = from;
  const next = (): number => {
    const value = bytes[at++];
    if (value === undefined) throw new Error('broken raster');
    return value;
  };
  for (let row = 0; row < height;) {
    const times = next() + 1;
    const start = row * line;
    for (let filled = 0; filled < line;) {
      const run = next();
      if (run === 128) {
        dots.fill(empty, start + filled, start + line);
        filled = line;
        continue;
      }
      const count = (run < 128 ? run + 1 : 257 - run) * unit;
      const taken = run < 128 ? unit : count;
      if (filled + count > line || at + taken > bytes.length) throw new Error('broken raster');
      for (let one = 0; one < count; one++)
        dots[start + filled + one] = bytes[at + (run < 128 ? one % unit : one)] ?? 0;
      at += taken;
      filled += count;
    }
    const last = Math.min(height, row + times);
    for (let copy = row + 1; copy < last; copy++) dots.copyWithin(copy * line, start, start + line);
    row = last;
  }
  return { dots, end: at };
}

function imageOf(
  dots: Uint8Array,
  {
    width,
    height,
    bits,
    space,
  }: {
    readonly width: number;
    readonly height: number;
    readonly bits: number;
    readonly space: number;
  },
): RgbaImage {
  const data = new Uint8ClampedArray(width * height * 4).fill(255);
  const line = Math.ceil((width * bits) / 8);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const to = (y * width + x) * 4;
      if (bits === 24) data.set(dots.subarray(y * line + x * 3, y * line + x * 3 + 3), to);
      else {
        const said =
          bits === 1
            ? ((dots[y * line + (x >> 3)] ?? 0) >> (7 - (x & 7))) & 1
              ? 255
              : 0
            : (dots[y * line + x] ?? 0);
        data.fill(space === SPACE.black ? 255 - said : said, to, to + 3);
      }
    }
  return { width, height, data };
}
