import type { RgbaImage } from './image.ts';

const CORE_HEAD = 12; // bytes of the oldest kind of head
const [PLAIN, RUNS_OF_8, RUNS_OF_4, MASKS, MASKS_WITH_ALPHA] = [0, 1, 2, 3, 6];

/** The head of a bitmap. Source: BITMAPFILEHEADER, BITMAPINFOHEADER and those that followed it. */
interface Head {
  readonly width: number;
  readonly height: number;
  /** Whether its rows begin at the top. */
  readonly isDownward: boolean;
  readonly bits: number;
  readonly packing: number;
  /** Where the pixels, and where the colours of a palette begin. */
  readonly pixels: number;
  readonly palette: number;
  /** Bytes of a colour in the palette. */
  readonly entry: number;
  readonly colors: number;
  readonly dpi?: number;
}

function readHead(view: DataView): Head {
  const size = view.getUint32(14, true);
  const pixels = view.getUint32(10, true);
  if (size === CORE_HEAD)
    return {
      ...{ width: view.getUint16(18, true), height: view.getUint16(20, true) },
      ...{ isDownward: false, bits: view.getUint16(24, true), packing: PLAIN, pixels },
      ...{ palette: 14 + size, entry: 3, colors: 1 << Math.min(8, view.getUint16(24, true)) },
    };
  const [height, packing] = [view.getInt32(22, true), view.getUint32(30, true)];
  const bits = view.getUint16(28, true);
  const dpi = Math.round(view.getInt32(38, true) * 0.0254);
  return {
    ...{ width: view.getInt32(18, true), height: Math.abs(height), isDownward: height < 0 },
    ...{ bits, packing, pixels, entry: 4 },
    // Behind the oldest of these heads the masks stand where the palette would.
    palette: 14 + size + (size === 40 && packing === MASKS ? 12 : 0),
    colors: view.getUint32(46, true) || 1 << Math.min(8, bits),
    ...(dpi > 1 ? { dpi } : {}),
  };
}

/** The size and resolution of a bitmap. Throws where its head is damaged. */
export function bmpSize(view: DataView): { width: number; height: number; dpi?: number } {
  const { width, height, dpi } = readHead(view);
  if (width <= 0 || height <= 0) throw new RangeError('no size');
  return { width, height, ...(dpi === undefined ? {} : { dpi }) };
}

/** Decodes a bitmap of 1 to 32 bits a pixel. Throws where it is damaged. */
export function decodeBmp(bytes: Uint8Array): RgbaImage {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const head = readHead(view);
  const { width, height, isDownward } = head;
  const data = new Uint8ClampedArray(width * height * 4);
  const rows = rowsOf(head, view);
  for (let y = 0; y < height; y++) {
    const row = rows(y);
    const to = (isDownward ? y : height - 1 - y) * width;
    for (let x = 0; x < width; x++) {
      const [r, g, b, a] = row(x);
      data.set([r, g, b, a], (to + x) * 4);
    }
  }
  // Four bytes a pixel of which the last is always empty have no alpha.
  if (data.every((value, at) => at % 4 !== 3 || value === 0))
    for (let at = 3; at < data.length; at += 4) data[at] = 255;
  return { width, height, data };
}

type Rgba = readonly [number, number, number, number];

/** Reads the pixels of each row as it stands in the file. */
function rowsOf(head: Head, view: DataView): (y: number) => (x: number) => Rgba {
  const { width, bits, packing, pixels } = head;
  const stride = (((width * bits + 31) >> 5) << 2) >>> 0;
  if (packing === RUNS_OF_8 || packing === RUNS_OF_4) {
    const indexes = unpackedRuns(head, view);
    const color = paletteOf(head, view);
    return (y) => (x) => color(indexes[y * width + x] ?? 0);
  }
  if (packing !== PLAIN && packing !== MASKS && packing !== MASKS_WITH_ALPHA)
    throw new Error('another packing');
  if (pixels + stride * head.height > view.byteLength) throw new RangeError('cut off');
  if (bits <= 8) {
    const color = paletteOf(head, view);
    const perByte = 8 / bits;
    return (y) => (x) => {
      const byte = view.getUint8(pixels + y * stride + Math.floor(x / perByte));
      return color((byte >> (8 - bits * ((x % perByte) + 1))) & ((1 << bits) - 1));
    };
  }
  if (bits === 24)
    return (y) => (x) => {
      const at = pixels + y * stride + x * 3;
      return [view.getUint8(at + 2), view.getUint8(at + 1), view.getUint8(at), 255];
    };
  const masks = masksOf(head, view);
  return (y) => (x) => {
    const at = pixels + y * stride + x * (bits >> 3);
    const value = bits === 16 ? view.getUint16(at, true) : view.getUint32(at, true);
    const [r, g, b, a] = masks.map((mask) => partOf(value, mask)) as [
      number,
      number,
      number,
      number,
    ];
    return [r, g, b, masks[3] ? a : 255];
  };
}

function paletteOf({ palette, entry, colors }: Head, view: DataView): (index: number) => Rgba {
  const known = Array.from({ length: Math.min(256, colors) }, (_, index): Rgba => {
    const at = palette + index * entry;
    return [view.getUint8(at + 2), view.getUint8(at + 1), view.getUint8(at), 255];
  });
  return (index) => known[index] ?? [0, 0, 0, 255];
}

/** Which bits of a pixel are red, green, blue and alpha. */
function masksOf({ bits, packing, palette }: Head, view: DataView): readonly number[] {
  const size = view.getUint32(14, true);
  if (packing === PLAIN)
    return bits === 16
      ? [0x7c00, 0x03e0, 0x001f, 0]
      : [0xff0000, 0xff00, 0xff, size > 52 ? 0xff000000 : 0];
  const at = size === 40 ? palette - 12 : 54;
  const alpha = size > 52 ? view.getUint32(66, true) : 0;
  return [0, 4, 8].map((step) => view.getUint32(at + step, true)).concat(alpha);
}

/** The bits of a mask as a byte. */
function partOf(value: number, mask: number): number {
  if (mask === 0) return 0;
  const shift = 31 - Math.clz32(mask & -mask);
  const most = mask >>> shift;
  return Math.round((((value & mask) >>> shift) * 255) / most);
}

/** Runs of indexes of a palette, rows from the bottom, as they would be unpacked. */
function unpackedRuns({ width, height, packing, pixels }: Head, view: DataView): Uint8Array {
  const made = new Uint8Array(width * height);
  const isHalf = packing === RUNS_OF_4;
  let [x, y, at] = [0, 0, pixels];
  const put = (index: number): void => {
    if (x < width && y < height) made[y * width + x] = index;
    x++;
  };
  while (y < height && at + 1 < view.byteLength) {
    const [count, value] = [view.getUint8(at), view.getUint8(at + 1)];
    at += 2;
    if (count > 0) {
      for (let step = 0; step < count; step++)
        put(isHalf ? (step % 2 ? value & 15 : value >> 4) : value);
    } else if (value === 0) [x, y] = [0, y + 1];
    else if (value === 1) break;
    else if (value === 2) {
      x += view.getUint8(at);
      y += view.getUint8(at + 1);
      at += 2;
    } else {
      for (let step = 0; step < value; step++) {
        const byte = view.getUint8(at + (isHalf ? step >> 1 : step));
        put(isHalf ? (step % 2 ? byte & 15 : byte >> 4) : byte);
      }
      const bytes = isHalf ? (value + 1) >> 1 : value;
      at += bytes + (bytes % 2);
    }
  }
  return made;
}
