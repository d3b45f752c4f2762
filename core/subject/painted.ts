import type { SubjectStroke } from './freeing.ts';

const { ceil, floor, max, min } = Math;

/** Calls for each pixel that a stroke covers, at so many pixels of the picture for each. */
export function eachPainted(
  { radius, points }: SubjectStroke,
  { width, height, scale }: { width: number; height: number; scale: number },
  visit: (pixel: number) => void,
): void {
  const reach = max(0.5, radius / scale);
  points.forEach(([x, y], at) => {
    const [fromX, fromY] = points[at - 1] ?? [x, y];
    const [ax, ay, bx, by] = [fromX / scale, fromY / scale, x / scale, y / scale];
    const [dx, dy] = [bx - ax, by - ay];
    const long = dx * dx + dy * dy;
    const [left, right] = [
      max(0, floor(min(ax, bx) - reach)),
      min(width - 1, ceil(max(ax, bx) + reach)),
    ];
    const [top, bottom] = [
      max(0, floor(min(ay, by) - reach)),
      min(height - 1, ceil(max(ay, by) + reach)),
    ];
    for (let row = top; row <= bottom; row++)
      for (let column = left; column <= right; column++) {
        const [px, py] = [column + 0.5 - ax, row + 0.5 - ay];
        const along = long === 0 ? 0 : max(0, min(1, (px * dx + py * dy) / long));
        const [ox, oy] = [px - along * dx, py - along * dy];
        if (ox * ox + oy * oy <= reach * reach) visit(row * width + column);
      }
  });
}

/** 1 for each pixel inside a frame of two corners, or inside a line that is closed. */
export function insideOf(
  around: readonly (readonly [number, number])[],
  { width, height, scale }: { width: number; height: number; scale: number },
): Uint8Array {
  const inside = new Uint8Array(width * height);
  const [first = [0, 0], last = [0, 0]] = around;
  const line = around.length > 2 ? around : [first, [last[0], first[1]], last, [first[0], last[1]]];
  for (let row = 0; row < height; row++) {
    const y = (row + 0.5) * scale;
    const crossings: number[] = [];
    line.forEach(([x, from], at) => {
      const [nextX = 0, to = 0] = line[(at + 1) % line.length] ?? [];
      if (from <= y !== to <= y) crossings.push(x + ((y - from) / (to - from)) * (nextX - x));
    });
    crossings.sort((one, other) => one - other);
    for (let at = 0; at + 1 < crossings.length; at += 2) {
      const left = max(0, ceil((crossings[at] as number) / scale - 0.5));
      const right = min(width, ceil((crossings[at + 1] as number) / scale - 0.5));
      if (right > left) inside.fill(1, row * width + left, row * width + right);
    }
  }
  return inside;
}
