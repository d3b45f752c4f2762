import { bad, good, type Result } from '../base/index.ts';
import {
  distanceToRings,
  flatten,
  mapPath,
  simplifiedRing,
  translation,
  type Point,
  type Ring,
} from '../geometry/index.ts';
import type { SeenLabel } from '../register/index.ts';
import {
  MOST_OUTLINE_POINTS,
  resizedShape,
  shapePath,
  shapeSize,
  type EdgeShape,
} from '../shape/index.ts';
import { checkSpots, type GridSpots, type Spots, type Stock } from './stock.ts';

/** How exactly labels were seen, mm: from a picture or from a drawing. */
export type Sharpness = 'picture' | 'drawing';

const TOLERANCE: Readonly<Record<Sharpness, { shape: number; grid: number; step: number }>> = {
  picture: { shape: 0.16, grid: 0.35, step: 0.1 },
  drawing: { shape: 0.04, grid: 0.05, step: 0.001 },
};

const { abs, hypot, max, min, round, sqrt } = Math;

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / max(1, values.length);
const middleOf = ({ box }: SeenLabel): Point => ({
  x: (box.left + box.right) / 2,
  y: (box.top + box.bottom) / 2,
});

/**
 * The die-cut sheet that seen labels make: their shape is the plainest one that keeps to their
 * outlines, or the outline itself; their places are rows and columns, staggered ones too, where these
 * explain all of them, and else each its own.
 */
export function templateFromLabels(
  labels: readonly SeenLabel[],
  sheet: Pick<Stock, 'id' | 'name' | 'width' | 'height'>,
  sharpness: Sharpness,
): Result<Stock & { spots: Spots }> {
  if (labels.length === 0)
    return bad(
      'stock/no-labels',
      'No labels were found on this sheet.',
      'Take the picture again in even light, so that the cut lines show, or type what a ruler reads.',
    );
  const limits = TOLERANCE[sharpness];
  const { shape, lower } = shapeOf(labels, limits);
  const middles = labels.map(middleOf).map(({ x, y }) => ({ x, y: y + lower }));
  const places = readingOrder(middles, shapeSize(shape).height).map(({ x, y }) => ({
    x: stepped(x, limits.step),
    y: stepped(y, limits.step),
    angle: 0,
  }));
  const grid = gridOf(readingOrder(middles, shapeSize(shape).height), shape, limits);
  const stock = {
    ...sheet,
    form: 'sheet' as const,
    margins: [5, 5, 5, 5] as Stock['margins'],
    spots: grid ? within(grid, sheet, limits.grid) : { layout: 'free' as const, shape, places },
  };
  const closes = checkSpots(stock);
  if (closes.ok) return good(stock);
  const free = { ...stock, spots: { layout: 'free' as const, shape, places } };
  const alone = checkSpots(free);
  return alone.ok ? good(free) : alone;
}

const stepped = (value: number, step: number): number =>
  round(round(value / step) * step * 1e6) / 1e6;

/** Row by row, each from left to right. */
function readingOrder(middles: readonly Point[], height: number): Point[] {
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
function gridOf(
  places: readonly Point[],
  shape: EdgeShape,
  { grid: tolerance, step }: { grid: number; step: number },
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
  const pitchX =
    slope(
      places,
      columns,
      (at) => column(at),
      (at) => row(at),
      'x',
    ) ?? width;
  const rowStarts = Array.from({ length: rows }, (_, r) =>
    mean(places.slice(r * columns, (r + 1) * columns).map(({ x }, c) => x - c * pitchX)),
  );
  const left = mean(rowStarts.filter((_, r) => r % 2 === 0));
  const odd = rowStarts.filter((_, r) => r % 2 === 1);
  const stagger = odd.length ? mean(odd) - left : 0;
  const pitchY =
    slope(
      places,
      rows,
      (at) => row(at),
      (at) => column(at),
      'y',
    ) ?? height;
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
function within(
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

/** The step from one column (or row) to the next by least squares within each row (or column). */
// Places, how many steps, and what counts as step and as line: a record would only name them again.
// eslint-disable-next-line max-params
function slope(
  places: readonly Point[],
  count: number,
  stepOf: (at: number) => number,
  lineOf: (at: number) => number,
  axis: 'x' | 'y',
): number | undefined {
  if (count < 2) return undefined;
  const sums = new Map<number, { n: number; sum: number }>();
  places.forEach((place, at) => {
    const line = sums.get(lineOf(at)) ?? { n: 0, sum: 0 };
    sums.set(lineOf(at), { n: line.n + 1, sum: line.sum + place[axis] });
  });
  const middle = (count - 1) / 2;
  let [up, down] = [0, 0];
  places.forEach((place, at) => {
    const line = sums.get(lineOf(at)) ?? { n: 1, sum: 0 };
    const step = stepOf(at) - middle;
    up += step * (place[axis] - line.sum / line.n);
    down += step * step;
  });
  return up / down;
}

/** A shape, and how much lower its middle lies than that of the box that was seen, mm. */
interface FoundShape {
  readonly shape: EdgeShape;
  readonly lower: number;
}

/** The plainest shape that keeps to the labels' outlines. */
function shapeOf(
  labels: readonly SeenLabel[],
  { shape: tolerance, step }: { shape: number; step: number },
): FoundShape {
  const width = stepped(mean(labels.map(({ box }) => box.right - box.left)), step);
  const height = stepped(mean(labels.map(({ box }) => box.bottom - box.top)), step);
  const rings = labels.flatMap(centred);
  const some = rings.filter((_, at) => at % max(1, Math.floor(rings.length / 3)) === 0);
  const [ring = []] = some;
  const round = abs(width - height) < max(0.25, tolerance * 2);
  const diameter = stepped((width + height) / 2, step);
  const holes = labels.flatMap(({ hole }) => (hole ? [hole] : []));
  if (round && holes.length > labels.length / 2) {
    const inner = mean(holes.map((hole) => (hole.right - hole.left + hole.bottom - hole.top) / 2));
    return { shape: { kind: 'ring', outer: diameter, inner: stepped(inner, step) }, lower: 0 };
  }
  const radius = cornerRadius(rings, width, height);
  const plain: EdgeShape[] = [
    ...(round ? [{ kind: 'circle' as const, diameter }] : []),
    ...(round && radius > width * 0.42
      ? []
      : [{ kind: 'rectangle' as const, width, height, radius }]),
    ...(round ? [] : [{ kind: 'ellipse' as const, width, height }]),
    { kind: 'arch', width, height, rise: stepped(min(width / 2, height), step) },
  ];
  const candidates = [
    ...plain.map((shape) => ({ shape, lower: 0 })),
    ...some.flatMap((one) => bentBand(one, width)),
  ];
  const best = candidates
    .map((found) => ({ ...found, off: min(...some.map((one) => offBy(found, one))) }))
    .sort((one, other) => one.off - other.off)[0];
  if (best && best.off < tolerance) return best;
  return {
    shape: {
      kind: 'outline',
      rings: [simplifiedRing(ring, tolerance / 2).slice(0, MOST_OUTLINE_POINTS)],
    },
    lower: 0,
  };
}

const EVERY = 0.5; // mm between points of an outline that is compared

/** The outline of a label about the middle of its box, with points all along its sides. */
function centred(label: SeenLabel): Ring[] {
  const middle = middleOf(label);
  return label.ring
    ? [
        label.ring.flatMap((from, at, ring) => {
          const to = ring[(at + 1) % ring.length] ?? from;
          const parts = Math.ceil(hypot(to.x - from.x, to.y - from.y) / EVERY) || 1;
          return Array.from({ length: parts }, (_, part) => ({
            x: from.x + ((to.x - from.x) * part) / parts - middle.x,
            y: from.y + ((to.y - from.y) * part) / parts - middle.y,
          }));
        }),
      ]
    : [];
}

/** How far an outline leaves that of a shape, in the mean, mm. */
function offBy({ shape, lower }: FoundShape, ring: Ring): number {
  const outline = flatten(mapPath(shapePath(shape), translation(0, lower)), 0.01);
  const some = ring.filter((_, at) => at % max(1, Math.floor(ring.length / 100)) === 0);
  return mean(some.map((point) => distanceToRings(point, outline)));
}

/** The radius of rounded corners, from how far the outlines stay away from the corners of their boxes. */
function cornerRadius(rings: readonly Ring[], width: number, height: number): number {
  const away = rings
    .slice(0, 40)
    .flatMap((ring) =>
      [-1, 1].flatMap((sx) =>
        [-1, 1].map((sy) => distanceToRings({ x: (sx * width) / 2, y: (sy * height) / 2 }, [ring])),
      ),
    );
  const radius = mean(away) / (Math.SQRT2 - 1);
  // A pixel's blur makes every corner look a little round.
  return radius < 0.8 ? 0 : min(round(radius * 10) / 10, width / 2, height / 2);
}

/** A band bent along an arc, from circles through its long edges; none when it is not bent. */
function bentBand(ring: Ring, width: number): FoundShape[] {
  const near = ({ x }: Point): boolean => abs(x) < width * 0.25;
  const [above, below] = edgesOf(ring).map((points) => points.filter(near));
  const found = above && below && circlesThrough(above, below);
  if (!found || abs(found.y) > 20_000) return [];
  const { y: apex, radii } = found;
  const wide = radii[0] > radii[1] ? 'top' : 'bottom';
  const [outer, inner] = [max(...radii), min(...radii)];
  if (outer - inner < 1 || inner < 1) return [];
  // Pointed corners are seen badly: how far the band goes round is read half way between its edges.
  const turns = ring
    .map(({ x, y }) => ({ reach: hypot(x, y - apex), turn: Math.atan2(abs(x), abs(y - apex)) }))
    .filter(({ reach }) => abs(reach - (outer + inner) / 2) < (outer - inner) * 0.3)
    .map(({ turn }) => turn);
  if (turns.length === 0) return [];
  const angle = (2 * mean(turns) * 180) / Math.PI;
  const shape: EdgeShape = {
    kind: 'arc',
    radius: round(outer * 10) / 10,
    slant: round((outer - inner) * 10) / 10,
    angle: round(angle * 10) / 10,
    wide,
  };
  const { height } = shapeSize(shape);
  const lower = wide === 'top' ? apex - outer + height / 2 : apex + outer - height / 2;
  return [{ shape, lower }];
}

/** The upper and the lower points of an outline: those above and below its middle in their place. */
function edgesOf(ring: Ring): [Point[], Point[]] {
  const columns = new Map<number, Point[]>();
  for (const point of ring) {
    const key = round(point.x * 2);
    columns.set(key, [...(columns.get(key) ?? []), point]);
  }
  const upper: Point[] = [];
  const lower: Point[] = [];
  for (const points of columns.values()) {
    const ys = points.map(({ y }) => y);
    const middle = (min(...ys) + max(...ys)) / 2;
    for (const point of points) (point.y < middle ? upper : lower).push(point);
  }
  return [upper, lower];
}

/**
 * Two circles about one middle on the axis x = 0 through two rows of points, by least squares of
 * x² + y² = 2 y₀ y + c, c being each circle's own. Source: Kåsa (1976), for a shared middle.
 */
function circlesThrough(
  one: readonly Point[],
  other: readonly Point[],
): { y: number; radii: readonly [number, number] } | undefined {
  if (one.length < 6 || other.length < 6) return undefined;
  const rows = [one, other].map((points) => ({
    points,
    y: mean(points.map(({ y }) => y)),
    square: mean(points.map(({ x, y }) => x * x + y * y)),
  }));
  let [up, down] = [0, 0];
  for (const row of rows)
    for (const { x, y } of row.points) {
      up += (y - row.y) * (x * x + y * y - row.square);
      down += (y - row.y) ** 2;
    }
  if (down < 1e-6 * (one.length + other.length)) return undefined;
  const y = up / down / 2;
  const [first = 0, second = 0] = rows.map((row) =>
    sqrt(max(0, row.square - 2 * y * row.y + y * y)),
  );
  return { y, radii: [first, second] };
}
