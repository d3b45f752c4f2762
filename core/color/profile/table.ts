import { onCurve, readTableParts, type TableParts } from './table-parts.ts';

/**
 * A table of colours: from the channels of a device to the space in which profiles are connected, or back.
 * All values are from 0 to 1.
 */
export interface ColorTable {
  readonly inputs: number;
  readonly outputs: number;
  /** Whether its numbers have the precision of 16 bits. */
  readonly isFine: boolean;
  /** Puts what comes out into `made`. */
  read(values: ArrayLike<number>, made: Float64Array): void;
  /** Makes what turns bytes into three numbers, by what each node of the table comes to. */
  baked(make: (made: Float64Array) => readonly [number, number, number]): BytesReader;
}

/** Puts the three numbers that the bytes from a place on come to into `made`. */
export type BytesReader = (
  bytes: Uint8Array | Uint8ClampedArray,
  at: number,
  made: Float64Array,
) => void;

/** Reads a tag of a table; undefined for kinds that are not known. Throws where it is cut off. */
export function parseTable(tag: DataView | undefined): ColorTable | undefined {
  const parts = tag && readTableParts(tag);
  return parts && tableOf(parts);
}

function tableOf({
  inputs,
  outputs,
  isFine,
  grid,
  before,
  colors,
  finish,
}: TableParts): ColorTable {
  const nodes = grid ** inputs;
  const strides = Array.from(
    { length: inputs },
    (_, input) => grid ** (inputs - 1 - input) * outputs,
  );
  const read = interpolated(colors, { grid, outputs, strides });
  const places = new Float64Array(inputs);
  return {
    ...{ inputs, outputs, isFine },
    read(values, made) {
      for (let input = 0; input < inputs; input++)
        places[input] = onCurve(before[input] as Float64Array, values[input] ?? 0);
      read(places, made);
      finish(made);
    },
    baked(make) {
      const curves = before.map((curve) =>
        Float64Array.from({ length: 256 }, (_, byte) => onCurve(curve, byte / 255) * (grid - 1)),
      );
      const made = new Float64Array(4);
      const finished = new Float64Array(nodes * 3);
      for (let node = 0; node < nodes; node++) {
        for (let output = 0; output < outputs; output++)
          made[output] = colors[node * outputs + output] as number;
        finish(made);
        finished.set(make(made), node * 3);
      }
      const steps = strides.map((stride) => (stride / outputs) * 3);
      return bytesReader(finished, { curves, steps, grid });
    },
  };
}

/**
 * Between the corners of a cell of up to four channels, one channel after the other. What is missing of
 * four has no extent.
 */
function bytesReader(
  nodes: Float64Array,
  {
    curves,
    steps,
    grid,
  }: { curves: readonly Float64Array[]; steps: readonly number[]; grid: number },
): BytesReader {
  const [s0 = 0, s1 = 0, s2 = 0, s3 = 0] = steps;
  const [one, two, three] = curves as [Float64Array, Float64Array, Float64Array];
  const four = curves[3];
  const last = grid - 2;
  const node = (at: number): number => nodes[at] as number;
  return (bytes, at, made) => {
    const [p0, p1, p2] = [
      one[bytes[at] as number] as number,
      two[bytes[at + 1] as number] as number,
      three[bytes[at + 2] as number] as number,
    ];
    const p3 = four ? (four[bytes[at + 3] as number] as number) : 0;
    const c0 = p0 >= last ? last : p0 | 0;
    const c1 = p1 >= last ? last : p1 | 0;
    const c2 = p2 >= last ? last : p2 | 0;
    const c3 = four ? (p3 >= last ? last : p3 | 0) : 0;
    const [f0, f1, f2, f3] = [p0 - c0, p1 - c1, p2 - c2, p3 - c3];
    const origin = c0 * s0 + c1 * s1 + c2 * s2 + c3 * s3;
    const along = (from: number): number => {
      const low = node(from);
      return low + (node(from + s3) - low) * f3;
    };
    const square = (from: number): number => {
      const low = along(from);
      return low + (along(from + s2) - low) * f2;
    };
    const cube = (from: number): number => {
      const low = square(from);
      return low + (square(from + s1) - low) * f1;
    };
    for (let c = 0; c < 3; c++) {
      const low = cube(origin + c);
      made[c] = low + (cube(origin + s0 + c) - low) * f0;
    }
  };
}

/** Between the nodes around a place: the weighted mean of all corners of its cell. */
function interpolated(
  colors: Float64Array,
  { grid, outputs, strides }: { grid: number; outputs: number; strides: readonly number[] },
): (places: Float64Array, made: Float64Array) => void {
  const inputs = strides.length;
  const shares = new Float64Array(inputs);
  return (places, made) => {
    let origin = 0;
    for (let input = 0; input < inputs; input++) {
      const place = (places[input] as number) * (grid - 1);
      const cell = Math.min(grid - 2, Math.floor(place));
      shares[input] = place - cell;
      origin += cell * (strides[input] as number);
    }
    made.fill(0);
    for (let corner = 0; corner < 1 << inputs; corner++) {
      let [weight, node] = [1, origin];
      for (let input = 0; input < inputs; input++) {
        const share = shares[input] as number;
        if (corner & (1 << input)) {
          weight *= share;
          node += strides[input] as number;
        } else weight *= 1 - share;
      }
      if (weight === 0) continue;
      for (let output = 0; output < outputs; output++)
        made[output] = (made[output] as number) + weight * (colors[node + output] as number);
    }
  };
}
