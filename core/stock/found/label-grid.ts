import type { Point } from '../../geometry/index.ts';
import { resizedShape, shapeSize, type EdgeShape } from '../../shape/index.ts';
import type { GridSpots, Stock } from '../stock.ts';
import { mean, stepped, type Sharpness } from './sharpness.ts';

const { abs, max, min, round } = Math;

/** Row by row, each from left to right. */
export function readingOrder(middles: readonly Point[], height: number): Point[] {
  const rows: Point[][] = [];
  for (const at of [...middles].sort((one, other) => one.y - other.y)) {
    const row = rows[rows.length - 1];
    const first = row?.[0];
    if (row && first && at.y - first.y < height * 0.3) row.push(at);
    else rows.push([at]);
  }
  return rows.flatMap((row) => row.sort((one, other) => one.x - other.x));
}

/** Rows and columns that explain all places, by least squares; undefined when none do. */
export function gridOf(
  places: readonly Point[],
  shape: EdgeShape,
  { grid: tolerance, step }: Sharpness,
): GridSpots | undefined {
  const [first] = places;
  if (!first) return undefined;
  const { width, height } = shapeSize(shape);
  const columns = places.filter(({ y }) => abs(y - first.y) < height * 0.3).length;
  const rows = places.length / columns;
  if (!Number.isInteger(rows)) return undefined;
  const column = (at: number): number => at % columns;
  const row = (at: number): number => Math.floor(at / columns);
  // Columns and staggering are told apart row by row, rows by their means.
  const lines = Array.from({ length: rows }, (_, r) =>
    places.slice(r * columns, (r + 1) * columns).map(({ x }) => x),
  );
  const pitchX = slope(lines) ?? width;
  const rowStarts = lines.map((line) => mean(line.map((x, c) => x - c * pitchX)));
  const left = mean(rowStarts.filter((_, r) => r % 2 === 0));
  const odd = rowStarts.filter((_, r) => r % 2 === 1);
  const stagger = odd.length ? mean(odd) - left : 0;
  const upright = Array.from({ length: columns }, (_, c) =>
    places.filter((_, at) => column(at) === c).map(({ y }) => y),
  );
  const pitchY = slope(upright) ?? height;
  const top = mean(places.map(({ y }, at) => y - row(at) * pitchY));
  const staggered = abs(stagger) > tolerance;
  if (stagger < -tolerance) return undefined;
  const off = places.map(({ x, y }, at) =>
    max(
      abs(x - left - column(at) * pitchX - (row(at) % 2) * (staggered ? stagger : 0)),
      abs(y - top - row(at) * pitchY),
    ),
  );
  if (max(...off) > tolerance) return undefined;
  // Where labels as good as touch, the step between them is better known than their sides.
  const close = (side: number, pitch: number, count: number): number =>
    count > 1 && abs(side - pitch) < tolerance ? pitch : side;
  const steps = { x: stepped(pitchX, step / 10), y: stepped(pitchY, step / 10) };
  const wide = close(width, steps.x, columns);
  const high = shape.kind === 'rectangle' && !staggered ? close(height, steps.y, rows) : height;
  return {
    layout: 'grid',
    shape: wide === width && high === height ? shape : resizedShape(shape, wide, high),
    columns,
    rows,
    left: stepped(staggered ? left : mean(rowStarts), step),
    top: stepped(top, step),
    pitchX: steps.x,
    pitchY: steps.y,
    stagger: staggered ? stepped(stagger, step) : 0,
  };
}

/** A grid whose outermost labels reach over the sheet by no more than was seen wrong, moved in. */
export function within(
  grid: GridSpots,
  sheet: Pick<Stock, 'width' | 'height'>,
  tolerance: number,
): GridSpots {
  const { width, height } = shapeSize(grid.shape);
  const fit = (
    first: number,
    span: number,
    side: number,
    room: number,
  ): readonly [number, number] => {
    const over = max(side / 2 - first, first + span + side / 2 - room, 0);
    if (over === 0 || over > tolerance) return [first, side];
    const shrunk = round(min(side, room - span) * 1e6) / 1e6;
    return [min(max(first, shrunk / 2), room - span - shrunk / 2), shrunk];
  };
  const more = grid.rows > 1 ? grid.stagger : 0;
  const [left, wide] = fit(grid.left, (grid.columns - 1) * grid.pitchX + more, width, sheet.width);
  const [top, high] = fit(grid.top, (grid.rows - 1) * grid.pitchY, height, sheet.height);
  const shape =
    wide === width && high === height ? grid.shape : resizedShape(grid.shape, wide, high);
  return { ...grid, left, top, shape };
}

/** The step from each to the next, by least squares over lines of equally many; undefined for single ones. */
function slope(lines: readonly (readonly number[])[]): number | undefined {
  let [up, down] = [0, 0];
  for (const line of lines) {
    const middle = mean(line);
    line.forEach((value, at) => {
      const step = at - (line.length - 1) / 2;
      up += step * (value - middle);
      down += step * step;
    });
  }
  return down === 0 ? undefined : up / down;
}
