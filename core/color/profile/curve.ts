/** From the value of a channel to its light, both from 0 to 1. */
export type ToneCurve = (value: number) => number;

/** The four letters at a place. */
export const sign = (view: DataView, at: number): string =>
  String.fromCharCode(...[0, 1, 2, 3].map((step) => view.getUint8(at + step)));

const HEAD = 12;

/** Reads the curve at a place, and how many bytes it has (ICC.1:2022, 10.6 and 10.18). */
export function readCurve(
  view: DataView,
  at: number,
): { readonly curve: ToneCurve; readonly length: number } | undefined {
  const kind = sign(view, at);
  if (kind === 'curv')
    return { curve: tableCurve(view, at), length: HEAD + view.getUint32(at + 8) * 2 };
  const count = kind === 'para' ? PARAMETERS[view.getUint16(at + 8)] : undefined;
  return count === undefined
    ? undefined
    : { curve: formulaCurve(view, at, count), length: HEAD + count * 4 };
}

function tableCurve(view: DataView, from: number): ToneCurve {
  const count = view.getUint32(from + 8);
  if (count === 0) return (value) => value;
  if (count === 1) {
    const gamma = view.getUint16(from + HEAD) / 256;
    return (value) => value ** gamma;
  }
  const last = count - 1;
  const table = Float64Array.from(
    { length: count },
    (_, at) => view.getUint16(from + HEAD + 2 * at) / 65535,
  );
  return (value) => {
    const place = Math.min(1, Math.max(0, value)) * last;
    const at = Math.min(last - 1, Math.floor(place));
    const [low, high] = [table[at] ?? 0, table[at + 1] ?? 0];
    return low + (high - low) * (place - at);
  };
}

/** How many numbers each formula has. */
const PARAMETERS: readonly (number | undefined)[] = [1, 3, 4, 5, 7];

/** Source: ICC.1:2022, table 68. */
function formulaCurve(view: DataView, from: number, count: number): ToneCurve {
  const values = Array.from(
    { length: count },
    (_, at) => view.getInt32(from + HEAD + 4 * at) / 65536,
  );
  const [g = 1, a = 1, b = 0, c = 0, d = 0, e = 0, f = 0] = values;
  const power = (value: number): number => Math.max(0, a * value + b) ** g;
  switch (view.getUint16(from + 8)) {
    case 0:
      return (value) => value ** g;
    case 1:
      return (value) => (value >= -b / a ? power(value) : 0);
    case 2:
      return (value) => (value >= -b / a ? power(value) + c : c);
    default:
      return (value) => (value >= d ? power(value) + e : c * value + f);
  }
}
