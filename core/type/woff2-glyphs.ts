import { ByteReader, ByteWriter } from './bytes.ts';

// Glyphs as WOFF 2.0 stores them: each kind of number in a stream of its own, so that they pack better.
// Source: W3C WOFF 2.0, 5.1 (glyf), 5.2 (triplets), 5.3 (loca), 5.4 (hmtx).

/** The glyphs of a font, and how far to the left each of them begins. */
export interface RebuiltGlyphs {
  readonly glyf: Uint8Array;
  readonly loca: Uint8Array;
  readonly lefts: readonly number[];
}

interface Streams {
  readonly contours: ByteReader;
  readonly points: ByteReader;
  readonly flags: ByteReader;
  readonly glyphs: ByteReader;
  readonly composites: ByteReader;
  readonly boxes: ByteReader;
  readonly instructions: ByteReader;
}

/** Rebuilds the tables `glyf` and `loca`. Throws when they are damaged. */
export function rebuiltGlyphs(bytes: Uint8Array): RebuiltGlyphs {
  const head = new ByteReader(bytes);
  head.take(2);
  const overlaps = (head.u16() & 1) !== 0;
  const count = head.u16();
  head.take(2);
  const lengths = Array.from({ length: 7 }, () => head.u32());
  const [contours, points, flags, glyphs, composites, boxed, instructions] = lengths.map((length) =>
    head.part(length),
  ) as [ByteReader, ByteReader, ByteReader, ByteReader, ByteReader, ByteReader, ByteReader];
  const hasBox = boxed.take(((count + 31) >> 5) << 2);
  const overlapping = overlaps ? head.take((count + 7) >> 3) : undefined;
  const streams: Streams = {
    ...{ contours, points, flags, glyphs, composites, boxes: boxed, instructions },
  };
  const glyf = new ByteWriter();
  const loca = new ByteWriter();
  const lefts: number[] = [];
  const isSet = (bits: Uint8Array | undefined, glyph: number): boolean =>
    ((bits?.[glyph >> 3] ?? 0) & (128 >> (glyph & 7))) !== 0;
  for (let glyph = 0; glyph < count; glyph++) {
    loca.u32(glyf.length);
    const box = isSet(hasBox, glyph);
    const number = contours.u16();
    if (number === 0) {
      if (box) throw new Error('a box around nothing');
      lefts.push(0);
    } else if (number === 0xffff) {
      if (!box) throw new Error('a composite glyph without its box');
      lefts.push(putComposite(glyf, streams));
    } else
      lefts.push(putSimple(glyf, streams, { number, box, overlaps: isSet(overlapping, glyph) }));
    glyf.pad();
  }
  loca.u32(glyf.length);
  return { glyf: glyf.done(), loca: loca.done(), lefts };
}

const WORDS = 1;
const SCALE = 8;
const MORE = 0x20;
const TWO_SCALES = 0x40;
const MATRIX = 0x80;
const INSTRUCTED = 0x100;

function putComposite(glyf: ByteWriter, streams: Streams): number {
  const { composites, boxes, glyphs, instructions } = streams;
  glyf.u16(0xffff);
  const left = boxes.i16();
  glyf.u16(left);
  glyf.put(boxes.take(6));
  let instructed = false;
  let flags = MORE;
  while (flags & MORE) {
    flags = composites.u16();
    instructed ||= (flags & INSTRUCTED) !== 0;
    const scales = flags & SCALE ? 2 : flags & TWO_SCALES ? 4 : flags & MATRIX ? 8 : 0;
    glyf.u16(flags);
    glyf.put(composites.take(2 + (flags & WORDS ? 4 : 2) + scales));
  }
  if (instructed) {
    const length = read255(glyphs);
    glyf.u16(length);
    glyf.put(instructions.take(length));
  }
  return left;
}

const ON_CURVE = 1;
const SAME_X = 0x10;
const SAME_Y = 0x20;
const OVERLAP = 0x40;

function putSimple(
  glyf: ByteWriter,
  streams: Streams,
  { number, box, overlaps }: { number: number; box: boolean; overlaps: boolean },
): number {
  const ends: number[] = [];
  let count = 0;
  for (let contour = 0; contour < number; contour++) {
    count += read255(streams.points);
    ends.push(count - 1);
  }
  const points = Array.from({ length: count }, () => readStep(streams));
  const length = read255(streams.glyphs);
  glyf.u16(number);
  const bounds = box ? Array.from({ length: 4 }, () => streams.boxes.i16()) : boundsOf(points);
  bounds.forEach((side) => glyf.u16(side));
  ends.forEach((end) => glyf.u16(end));
  glyf.u16(length);
  glyf.put(streams.instructions.take(length));
  for (const [at, { dx, dy, on }] of points.entries())
    glyf.u8(
      (on ? ON_CURVE : 0) |
        (dx === 0 ? SAME_X : 0) |
        (dy === 0 ? SAME_Y : 0) |
        (overlaps && at === 0 ? OVERLAP : 0),
    );
  for (const { dx } of points) if (dx !== 0) glyf.u16(dx);
  for (const { dy } of points) if (dy !== 0) glyf.u16(dy);
  return bounds[0] ?? 0;
}

interface Step {
  readonly dx: number;
  readonly dy: number;
  readonly on: boolean;
}

function boundsOf(points: readonly Step[]): number[] {
  let [x, y] = [0, 0];
  const [xs, ys]: [number[], number[]] = [[], []];
  for (const { dx, dy } of points) {
    xs.push((x += dx));
    ys.push((y += dy));
  }
  const least = (all: number[]): number =>
    all.reduce((one, other) => Math.min(one, other), Infinity);
  const most = (all: number[]): number =>
    all.reduce((one, other) => Math.max(one, other), -Infinity);
  return points.length ? [least(xs), least(ys), most(xs), most(ys)] : [0, 0, 0, 0];
}

const signed = (flag: number, value: number): number => (flag & 1 ? value : -value);

/** The step to the next point: a flag that says how it is stored, and one to four bytes. */
function readStep({ flags, glyphs }: Streams): Step {
  const flag = flags.u8();
  const on = flag < 128;
  const kind = flag & 127;
  const first = glyphs.u8();
  if (kind < 10) return { dx: 0, dy: signed(kind, ((kind & 14) << 7) + first), on };
  if (kind < 20) return { dx: signed(kind, (((kind - 10) & 14) << 7) + first), dy: 0, on };
  if (kind < 84) {
    const base = kind - 20;
    return {
      dx: signed(kind, 1 + (base & 0x30) + (first >> 4)),
      dy: signed(kind >> 1, 1 + ((base & 0x0c) << 2) + (first & 15)),
      on,
    };
  }
  const second = glyphs.u8();
  if (kind < 120) {
    const base = kind - 84;
    return {
      dx: signed(kind, 1 + (Math.floor(base / 12) << 8) + first),
      dy: signed(kind >> 1, 1 + (((base % 12) >> 2) << 8) + second),
      on,
    };
  }
  const third = glyphs.u8();
  if (kind < 124)
    return {
      dx: signed(kind, (first << 4) + (second >> 4)),
      dy: signed(kind >> 1, ((second & 15) << 8) + third),
      on,
    };
  return {
    dx: signed(kind, (first << 8) + second),
    dy: signed(kind >> 1, (third << 8) + glyphs.u8()),
    on,
  };
}

/** A number that is most often below 253, in one to three bytes. */
function read255(from: ByteReader): number {
  const code = from.u8();
  if (code === 253) return from.u16();
  if (code === 254) return from.u8() + 506;
  return code === 255 ? from.u8() + 253 : code;
}

/** Rebuilds the table `hmtx`, from which what the glyphs tell was left out. Throws when it is damaged. */
export function rebuiltMetrics(
  bytes: Uint8Array,
  hhea: Uint8Array,
  lefts: readonly number[],
): Uint8Array {
  const from = new ByteReader(bytes);
  const full = new DataView(hhea.buffer, hhea.byteOffset, hhea.byteLength).getUint16(34);
  const flags = from.u8();
  const advances = Array.from({ length: full }, () => from.u16());
  const bearings = lefts.map((left, glyph) => {
    const isImplied = glyph < full ? flags & 1 : flags & 2;
    return isImplied ? left : from.i16();
  });
  const made = new ByteWriter();
  for (const [glyph, bearing] of bearings.entries()) {
    const advance = advances[glyph];
    if (advance !== undefined) made.u16(advance);
    made.u16(bearing);
  }
  return made.done();
}
