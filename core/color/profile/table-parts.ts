import { readCurve, sign, type ToneCurve } from './curve.ts';

/** What a table is made of: a curve a channel, colours at the nodes of a grid, and what follows these. */
export interface TableParts {
  readonly inputs: number;
  readonly outputs: number;
  readonly isFine: boolean;
  /** Nodes along each channel. */
  readonly grid: number;
  readonly before: readonly Float64Array[];
  readonly colors: Float64Array;
  finish(made: Float64Array): void;
}

const MOST_VALUES = 8_000_000;

/** Reads a tag of a table (ICC.1:2022, 10.10 to 10.13); undefined for other kinds. Throws where it is cut off. */
export function readTableParts(tag: DataView): TableParts | undefined {
  const kind = sign(tag, 0);
  if (kind === 'mft1' || kind === 'mft2') return earlierParts(tag, kind === 'mft2');
  return kind === 'mAB ' || kind === 'mBA ' ? stagedParts(tag, kind) : undefined;
}

/** Whether a table has so many nodes that it is none. */
const isTooLarge = (inputs: number, outputs: number, grid: number): boolean =>
  inputs > 4 || outputs > 4 || grid < 2 || grid ** inputs * outputs > MOST_VALUES;

/** Tables of 8 or 16 bit with a curve of values before and after them. */
function earlierParts(tag: DataView, isFine: boolean): TableParts | undefined {
  const [inputs, outputs, grid] = [tag.getUint8(8), tag.getUint8(9), tag.getUint8(10)];
  const steps = isFine ? tag.getUint16(48) : 256;
  const outSteps = isFine ? tag.getUint16(50) : 256;
  if (isTooLarge(inputs, outputs, grid)) return undefined;
  let at = isFine ? 52 : 48;
  const take = (count: number): Float64Array => {
    const values = samples(tag, at, { count, isFine });
    at += count * (isFine ? 2 : 1);
    return values;
  };
  const before = Array.from({ length: inputs }, () => take(steps));
  const colors = take(grid ** inputs * outputs);
  const after = Array.from({ length: outputs }, () => take(outSteps));
  const finish = (made: Float64Array): void =>
    after.forEach((curve, output) => (made[output] = onCurve(curve, made[output] as number)));
  return { inputs, outputs, grid, isFine, before, colors, finish };
}

const samples = (
  tag: DataView,
  at: number,
  { count, isFine }: { count: number; isFine: boolean },
): Float64Array =>
  Float64Array.from({ length: count }, (_, index) =>
    isFine ? tag.getUint16(at + index * 2) / 65535 : tag.getUint8(at + index) / 255,
  );

/** Values by which a curve is known that may be a formula. */
const CURVE_STEPS = 4096;

/**
 * Tables with curves and a matrix in stages, of profiles of version 4. Those that lead back are read where
 * they have no matrix, which goes before the table in them.
 */
function stagedParts(tag: DataView, kind: 'mAB ' | 'mBA '): TableParts | undefined {
  const [inputs, outputs] = [tag.getUint8(8), tag.getUint8(9)];
  const [b = 0, matrix = 0, m = 0, table = 0, a = 0] = [12, 16, 20, 24, 28].map((at) =>
    tag.getUint32(at),
  );
  const leadsBack = kind === 'mBA ';
  if (table === 0 || a === 0 || (leadsBack && matrix !== 0)) return undefined;
  const grid = tag.getUint8(table);
  const isUneven = Array.from({ length: inputs }, (_, at) => tag.getUint8(table + at)).some(
    (nodes) => nodes !== grid,
  );
  if (isUneven || isTooLarge(inputs, outputs, grid)) return undefined;
  const isFine = tag.getUint8(table + 16) === 2;
  const colors = samples(tag, table + 20, { count: grid ** inputs * outputs, isFine });
  const first = curvesAt(tag, leadsBack ? b : a, inputs);
  const last = curvesAt(tag, leadsBack ? a : b, outputs);
  const middle = matrix === 0 ? undefined : curvesAt(tag, m, outputs);
  if (!first || !last || (matrix !== 0 && (!middle || outputs !== 3))) return undefined;
  const before = first.map((curve) =>
    Float64Array.from({ length: CURVE_STEPS }, (_, at) => curve(at / (CURVE_STEPS - 1))),
  );
  const through = middle && matrixAt(tag, matrix);
  const finish = (made: Float64Array): void => {
    middle?.forEach((curve, output) => (made[output] = curve(made[output] as number)));
    through?.(made);
    last.forEach((curve, output) => (made[output] = curve(made[output] as number)));
  };
  // Of the numbers of these tables white is all ones, whatever their precision.
  return { inputs, outputs, grid, isFine: false, before, colors, finish };
}

/** So many curves, one after the other, each beginning at a whole number of four bytes. */
function curvesAt(tag: DataView, from: number, count: number): ToneCurve[] | undefined {
  const curves: ToneCurve[] = [];
  for (let at = from; curves.length < count;) {
    const read = readCurve(tag, at);
    if (!read) return undefined;
    curves.push(read.curve);
    at += Math.ceil(read.length / 4) * 4;
  }
  return curves;
}

/** Nine factors, row by row, and three numbers that are added. */
function matrixAt(tag: DataView, from: number): (made: Float64Array) => void {
  const values = Array.from({ length: 12 }, (_, at) => tag.getInt32(from + at * 4) / 65536);
  return (made) => {
    const [x = 0, y = 0, z = 0] = made;
    for (let row = 0; row < 3; row++) {
      const [p = 0, q = 0, r = 0] = values.slice(row * 3, row * 3 + 3);
      made[row] = p * x + q * y + r * z + (values[9 + row] ?? 0);
    }
  };
}

/** The value of a curve of values at a place from 0 to 1. */
export function onCurve(curve: Float64Array, value: number): number {
  const last = curve.length - 1;
  const place = value <= 0 ? 0 : value >= 1 ? last : value * last;
  const at = Math.min(last - 1, Math.floor(place));
  const low = curve[at] as number;
  return low + ((curve[at + 1] as number) - low) * (place - at);
}
