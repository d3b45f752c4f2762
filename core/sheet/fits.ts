import { printable, type Stock } from '../stock/index.ts';
import { trySize, type MeasuredThing } from '../things/index.ts';

/** A size in mm. */
interface Size {
  readonly width: number;
  readonly height: number;
}

/** Whether a label fits on a sheet, upright or lying, in what its printer reaches. */
export function fitsOn(stock: Stock, { width, height }: Size): boolean {
  const room = printable(stock);
  const [wide, high] = [room.right - room.left + 1e-6, room.bottom - room.top + 1e-6];
  return (width <= wide && height <= high) || (height <= wide && width <= high);
}

/**
 * Into how many equal parts the way around a thing has to be divided for one of them to fit on one of
 * the sheets; undefined when it is in one part, cannot be divided, or no number up to 8 helps.
 */
export function partsThatFit(thing: MeasuredThing, stocks: readonly Stock[]): number | undefined {
  if (thing.kind !== 'wrap' && thing.kind !== 'taper' && thing.kind !== 'band') return undefined;
  for (let parts = 2; parts <= (thing.kind === 'band' ? 2 : 8); parts++) {
    const size = trySize({ ...thing, parts, overlap: thing.overlap || 10 } as MeasuredThing);
    if (size.ok && stocks.some((stock) => fitsOn(stock, size.value))) return parts;
  }
  return undefined;
}
