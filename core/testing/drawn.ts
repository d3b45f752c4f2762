import { flatten, type Path, type Point } from '../geometry/index.ts';
import type { RgbaImage } from '../raster/index.ts';

const { abs, cos, max, min, PI, sin, sqrt } = Math;
const hypot = (x: number, y: number): number => sqrt(x * x + y * y);

/** A region of known geometry: how far a place lies outside of it, negative inside; in pixels. */
export type Region = (x: number, y: number) => number;

export const disc =
  (cx: number, cy: number, radius: number): Region =>
  (x, y) =>
    hypot(x - cx, y - cy) - radius;

/** A rectangle about a middle, turned clockwise by degrees, its corners rounded. */
export function block(
  cx: number,
  cy: number,
  {
    width,
    height,
    angle = 0,
    radius = 0,
  }: { width: number; height: number; angle?: number; radius?: number },
): Region {
  const [c, s] = [cos((angle * PI) / 180), sin((angle * PI) / 180)];
  return (x, y) => {
    const [dx, dy] = [x - cx, y - cy];
    const qx = abs(c * dx + s * dy) - width / 2 + radius;
    const qy = abs(c * dy - s * dx) - height / 2 + radius;
    return hypot(max(qx, 0), max(qy, 0)) + min(max(qx, qy), 0) - radius;
  };
}

/** The region inside corners, for its distance from the sides. */
export function cornered(points: readonly Point[]): Region {
  return (x, y) => {
    let inside = false;
    let least = Infinity;
    points.forEach((to, index) => {
      const from = points[(index + points.length - 1) % points.length] as Point;
      const [ex, ey] = [to.x - from.x, to.y - from.y];
      const along = ((x - from.x) * ex + (y - from.y) * ey) / (ex * ex + ey * ey);
      const t = min(1, max(0, along));
      least = min(least, hypot(x - from.x - t * ex, y - from.y - t * ey));
      if (to.y > y !== from.y > y && x < ((from.x - to.x) * (y - to.y)) / (from.y - to.y) + to.x)
        inside = !inside;
    });
    return inside ? -least : least;
  };
}

const FINE = 6;

/** How much of a pixel a region covers, from 0 to 1: counted in 36 places. */
export function cover(region: Region, x: number, y: number): number {
  const middle = region(x + 0.5, y + 0.5);
  if (middle > 1) return 0;
  if (middle < -1) return 1;
  let inside = 0;
  for (let j = 0; j < FINE; j++)
    for (let i = 0; i < FINE; i++)
      if (region(x + (i + 0.5) / FINE, y + (j + 0.5) / FINE) < 0) inside++;
  return inside / (FINE * FINE);
}

type Color = readonly [number, number, number];

/** Regions in colours, later ones over earlier ones, on nothing or on a ground. */
export function drawn(
  width: number,
  height: number,
  shapes: readonly { readonly region: Region; readonly color: Color }[],
  ground?: (x: number, y: number) => Color,
): RgbaImage {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      let [r, g, b] = ground ? ground(x, y) : [0, 0, 0];
      let alpha = ground ? 1 : 0;
      for (const { region, color } of shapes) {
        const share = cover(region, x, y);
        if (share === 0) continue;
        const whole = share + alpha * (1 - share);
        const mix = (own: number, other: number): number =>
          (other * share + own * alpha * (1 - share)) / whole;
        [r, g, b] = [mix(r, color[0]), mix(g, color[1]), mix(b, color[2])];
        alpha = whole;
      }
      data.set([r, g, b, alpha * 255], (y * width + x) * 4);
    }
  }
  return { width, height, data };
}

/** How far places along a path, 0.05 mm apart, are from where a region's distance is `at` mm; sorted. */
export function pathErrors(path: Path, region: Region, perMm: number, at = 0): number[] {
  const found: number[] = [];
  for (const ring of flatten(path, 0.001)) {
    ring.forEach((to, index) => {
      const from = ring[(index + ring.length - 1) % ring.length] ?? to;
      const parts = max(1, Math.ceil(hypot(to.x - from.x, to.y - from.y) / 0.05));
      for (let part = 0; part < parts; part++) {
        const x = from.x + ((to.x - from.x) * part) / parts;
        const y = from.y + ((to.y - from.y) * part) / parts;
        found.push(abs(region(x * perMm, y * perMm) / perMm - at));
      }
    });
  }
  return found.sort((one, other) => one - other);
}

/** A star of five points about (200, 200), as corners in pixels. */
export const STAR: readonly Point[] = Array.from({ length: 10 }, (_, at) => {
  const [reach, turn] = [at % 2 ? 70 : 150, (at * PI) / 5 + 0.2];
  return { x: 200 + reach * cos(turn), y: 200 + reach * sin(turn) };
});
