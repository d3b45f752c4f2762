import { ellipsePath, type Path, type PathStep } from './path.ts';
import type { Point } from './affine.ts';

/** A line whose length is known at each of its points, so that places on it are found by distance. */
class Measured {
  readonly length: number;
  private readonly points: readonly Point[];
  private readonly at: Float64Array;

  constructor(points: readonly Point[], closed: boolean) {
    const [first] = points;
    this.points = closed && first ? [...points, first] : points;
    this.at = new Float64Array(this.points.length);
    for (let index = 1; index < this.points.length; index++) {
      const [from, to] = [this.points[index - 1], this.points[index]];
      const step = from && to ? Math.hypot(to.x - from.x, to.y - from.y) : 0;
      this.at[index] = (this.at[index - 1] ?? 0) + step;
    }
    this.length = this.at[this.at.length - 1] ?? 0;
  }

  /** The index of the last point at or before a distance. */
  private before(distance: number): number {
    let [low, high] = [0, this.points.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if ((this.at[middle] ?? 0) <= distance) low = middle;
      else high = middle - 1;
    }
    return low;
  }

  place(distance: number): Point {
    const index = this.before(distance);
    const from = this.points[index] ?? { x: 0, y: 0 };
    const to = this.points[index + 1] ?? from;
    const step = (this.at[index + 1] ?? 0) - (this.at[index] ?? 0);
    const share = step > 0 ? (distance - (this.at[index] ?? 0)) / step : 0;
    return { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share };
  }

  /** The part of the line between two distances. */
  part(from: number, to: number): Point[] {
    const inner = this.points.slice(this.before(from) + 1, this.before(to) + 1);
    return [this.place(from), ...inner, this.place(to)];
  }
}

/**
 * Dots along lines at equal distances near `step` mm that come out even: around a closed line without
 * a short one, along an open one with a dot at both ends.
 */
export function dotsAlong(
  lines: readonly (readonly Point[])[],
  { step, radius, closed }: { step: number; radius: number; closed: boolean },
): Path {
  return lines.flatMap((points) => {
    const line = new Measured(points, closed);
    const gaps = Math.max(1, Math.round(line.length / step));
    return Array.from({ length: closed ? gaps : gaps + 1 }, (_, at) =>
      ellipsePath(line.place((line.length * at) / gaps), radius, radius, 4),
    ).flat();
  });
}

/**
 * Dashes along lines that come out even: `dash` and `gap` mm are made a little longer or shorter. An
 * open line begins and ends with a dash.
 */
export function dashesAlong(
  lines: readonly (readonly Point[])[],
  { dash, gap, closed }: { dash: number; gap: number; closed: boolean },
): Path {
  return lines.flatMap((points) => {
    const line = new Measured(points, closed);
    const spare = closed ? 0 : dash;
    const count = Math.max(1, Math.round((line.length - spare) / (dash + gap)));
    const scale = line.length / (count * (dash + gap) + spare);
    const period = (dash + gap) * scale;
    return Array.from({ length: closed ? count : count + 1 }, (_, at): PathStep[] => {
      const from = at * period;
      const to = Math.min(line.length, from + dash * scale);
      return line.part(from, to).map(({ x, y }, index) => [index === 0 ? 'M' : 'L', x, y]);
    }).flat();
  });
}
