import { err, ok, type Across, type Result } from '../base/index.ts';
import { plainShape, type PlainShape } from '../shape/index.ts';
import { checkSpots, type GridStock } from './stock.ts';

/** What a ruler reads from one direction of a die-cut sheet, mm; what was not read is left out. */
export interface Readings {
  /** The whole sheet. */
  readonly sheet: number;
  readonly count: number;
  /** Of a label. */
  readonly size?: number | undefined;
  /** Between labels, edge to edge. */
  readonly gap?: number | undefined;
  /** From an edge of a label to the same edge of the next. */
  readonly pitch?: number | undefined;
  /** From the sheet's edge to the first label. */
  readonly first?: number | undefined;
  /** From the last label to the sheet's other edge. */
  readonly last?: number | undefined;
}

/** One direction of a sheet, every measure known. */
export interface Direction {
  readonly size: number;
  readonly pitch: number;
  /** Between labels, edge to edge. */
  readonly gap: number;
  readonly first: number;
  readonly last: number;
  /** Whether the labels were put in the middle because no margin was read. */
  readonly centred: boolean;
}

type Known = { -readonly [K in 'size' | 'gap' | 'pitch' | 'first' | 'last']: number | undefined };

/** How far two readings of a ruler may differ and still be the same, mm. */
const READING_TOLERANCE = 0.5;

/** One step of deriving: the first measure that follows from those that are known. */
function derive(known: Known, sheet: number, count: number): boolean {
  const { size, gap, pitch, first, last } = known;
  const between = count - 1;
  if (count > 1) {
    if (pitch === undefined && size !== undefined && gap !== undefined)
      return set(known, 'pitch', size + gap);
    if (gap === undefined && size !== undefined && pitch !== undefined)
      return set(known, 'gap', pitch - size);
    if (size === undefined && gap !== undefined && pitch !== undefined)
      return set(known, 'size', pitch - gap);
    if (size === undefined && gap !== undefined && first !== undefined && last !== undefined)
      return set(known, 'size', (sheet - first - last - between * gap) / count);
    if (pitch === undefined && size !== undefined && first !== undefined && last !== undefined)
      return set(known, 'pitch', (sheet - first - last - size) / between);
  }
  const step = count > 1 ? pitch : 0;
  if (step === undefined) return false;
  const span = between * step;
  if (size === undefined && first !== undefined && last !== undefined)
    return set(known, 'size', sheet - first - last - span);
  if (last === undefined && size !== undefined && first !== undefined)
    return set(known, 'last', sheet - first - span - size);
  if (first === undefined && size !== undefined && last !== undefined)
    return set(known, 'first', sheet - last - span - size);
  return false;
}

function set(known: Known, name: keyof Known, value: number): true {
  known[name] = value;
  return true;
}

/** When nothing more follows: the labels stand in the middle of the sheet. */
function centre(known: Known, sheet: number, count: number): boolean {
  if (known.first !== undefined && known.last === undefined) return set(known, 'last', known.first);
  if (known.last !== undefined && known.first === undefined) return set(known, 'first', known.last);
  const step = count > 1 ? known.pitch : 0;
  if (known.first !== undefined || known.size === undefined || step === undefined) return false;
  return set(known, 'first', (sheet - (count - 1) * step - known.size) / 2);
}

/**
 * Every measure of one direction from any sufficient set of readings. Readings that contradict each
 * other by more than the tolerance are refused, with the two sums that disagree.
 */
export function tryDirection(name: Across, readings: Readings): Result<Direction> {
  const { sheet, count } = readings;
  const known: Known = {
    size: readings.size,
    gap: readings.gap,
    pitch: readings.pitch,
    first: readings.first,
    last: readings.last,
  };
  let centred = false;
  for (let step = 0; step < 8; step++) {
    if (derive(known, sheet, count)) continue;
    if (!centre(known, sheet, count)) break;
    centred = true;
  }
  const { size, first, last } = known;
  const pitch = count > 1 ? known.pitch : (known.pitch ?? size);
  if (size === undefined || first === undefined || last === undefined || pitch === undefined)
    return err('stock/too-few-readings', { across: name, many: count > 1 });
  const contradiction = contradictionOf(name, readings, { size, pitch, first, last });
  if (contradiction) return contradiction;
  const over = -Math.min(first, last);
  if (over > READING_TOLERANCE) return err('stock/impossible', { across: name, over });
  if (size <= 0 || pitch <= 0) return err('stock/impossible', { across: name });
  return ok({
    size,
    pitch,
    gap: pitch - size,
    first: Math.max(0, first),
    last: Math.max(0, last),
    centred,
  });
}

function contradictionOf(
  name: Across,
  { sheet, count, gap }: Readings,
  { size, pitch, first, last }: Omit<Direction, 'centred' | 'gap'>,
): Result<never> | undefined {
  if (count > 1 && gap !== undefined && Math.abs(size + gap - pitch) > READING_TOLERANCE)
    return err('stock/contradiction', { pitch, label: size + gap });
  const sum = first + (count - 1) * pitch + size + last;
  if (Math.abs(sum - sheet) > READING_TOLERANCE)
    return err('stock/contradiction', { sum, across: name, sheet });
  return undefined;
}

/** A die-cut sheet as it was measured in both directions. */
export interface MeasuredTemplate {
  readonly id: string;
  readonly name: string;
  readonly shape: PlainShape['kind'];
  /** Of the corners of four-cornered labels, mm. */
  readonly radius: number;
  /** How far every other row is moved to the right, mm. */
  readonly stagger?: number;
  readonly across: Readings;
  readonly down: Readings;
}

/** The sheet that readings describe, or what is missing or wrong with them. */
export function tryTemplate(measured: MeasuredTemplate): Result<GridStock> {
  const across = tryDirection('width', measured.across);
  if (!across.ok) return across;
  const down = tryDirection('height', measured.down);
  if (!down.ok) return down;
  const [x, y] = [across.value, down.value];
  const stock: GridStock = {
    id: measured.id,
    name: measured.name,
    width: measured.across.sheet,
    height: measured.down.sheet,
    form: 'sheet',
    margins: [5, 5, 5, 5],
    spots: {
      layout: 'grid',
      shape: plainShape(measured.shape, x.size, y.size, measured.radius),
      columns: measured.across.count,
      rows: measured.down.count,
      left: x.first + x.size / 2,
      top: y.first + y.size / 2,
      pitchX: x.pitch,
      pitchY: y.pitch,
      stagger: measured.stagger ?? 0,
    },
  };
  const closes = checkSpots(stock);
  return closes.ok ? ok(stock) : closes;
}
