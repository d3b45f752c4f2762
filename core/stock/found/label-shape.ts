import {
  distanceToRings,
  flatten,
  mapPath,
  simplifiedRing,
  translation,
  type Point,
  type Ring,
} from '../../geometry/index.ts';
import type { SeenLabel } from '../../register/index.ts';
import { MOST_OUTLINE_POINTS, shapePath, shapeSize, type EdgeShape } from '../../shape/index.ts';
import { mean, stepped, type Sharpness } from './sharpness.ts';

const { abs, hypot, max, min, round, sqrt } = Math;

/** A shape, and how much lower its middle lies than that of the box that was seen, mm. */
export interface FoundShape {
  readonly shape: EdgeShape;
  readonly lower: number;
}

/** The plainest shape that keeps to the labels' outlines. */
export function shapeOf(
  labels: readonly SeenLabel[],
  { shape: tolerance, step }: Sharpness,
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
  const radius = cornerRadius(rings, { width, height }, step);
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
    ...some.flatMap((one) => bentBand(one, width, step)),
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
  const { box } = label;
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
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
function cornerRadius(
  rings: readonly Ring[],
  { width, height }: { width: number; height: number },
  step: number,
): number {
  const away = rings
    .slice(0, 40)
    .flatMap((ring) =>
      [-1, 1].flatMap((sx) =>
        [-1, 1].map((sy) => distanceToRings({ x: (sx * width) / 2, y: (sy * height) / 2 }, [ring])),
      ),
    );
  const radius = mean(away) / (Math.SQRT2 - 1);
  // The blur of pixels makes every corner look a little round.
  return radius < 8 * step ? 0 : min(stepped(radius, step), width / 2, height / 2);
}

/** A band bent along an arc, from circles through its long edges; none when it is not bent. */
function bentBand(ring: Ring, width: number, step: number): FoundShape[] {
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
    radius: stepped(outer, step),
    slant: stepped(outer - inner, step),
    angle: stepped(angle, step),
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
