import type { Point } from './affine.ts';
import type { Path, PathStep, Ring } from './path.ts';

const { acos, atan, hypot, max, min, PI, tan } = Math;

/**
 * A circle's arc from one point to another as cubics of at most a quarter turn; it stands `rise` mm
 * over the straight line between them, to the left of the way (outwards of a ring that runs
 * clockwise as seen), or to the right when negative.
 */
export function bow(from: Point, to: Point, rise: number): PathStep[] {
  const chord = hypot(to.x - from.x, to.y - from.y);
  if (chord < 1e-9 || Math.abs(rise) < 1e-9) return [['L', to.x, to.y]];
  const turn = 4 * atan((2 * rise) / chord);
  const parts = Math.ceil(Math.abs(turn) / (PI / 2) - 1e-9);
  // The centre lies on the bisector; `up` points to the side of the rise.
  const along = { x: (to.x - from.x) / chord, y: (to.y - from.y) / chord };
  const up = { x: along.y, y: -along.x };
  const down = rise / 2 - (chord * chord) / (8 * rise);
  const centre = {
    x: (from.x + to.x) / 2 + up.x * down,
    y: (from.y + to.y) / 2 + up.y * down,
  };
  const step = turn / parts;
  const pull = (4 / 3) * tan(step / 4);
  const arm = (part: number): Point => {
    const [c, s] = [Math.cos(step * part), Math.sin(step * part)];
    const dx = from.x - centre.x;
    const dy = from.y - centre.y;
    return { x: c * dx - s * dy, y: s * dx + c * dy };
  };
  return Array.from({ length: parts }, (_, part): PathStep => {
    const [start, end] = [arm(part), arm(part + 1)];
    const last = part + 1 === parts ? to : { x: centre.x + end.x, y: centre.y + end.y };
    return [
      'C',
      centre.x + start.x - pull * start.y,
      centre.y + start.y + pull * start.x,
      centre.x + end.x + pull * end.y,
      centre.y + end.y - pull * end.x,
      last.x,
      last.y,
    ];
  });
}

/** A ring of straight sides whose corners are rounded by `radius` mm, as far as the sides allow. */
export function roundedRing(ring: Ring, radius: number): Path {
  const count = ring.length;
  const steps: PathStep[] = [];
  for (let at = 0; at < count; at++) {
    const here = ring[at] as Point;
    const before = ring[(at + count - 1) % count] as Point;
    const after = ring[(at + 1) % count] as Point;
    const [one, other] = [
      hypot(before.x - here.x, before.y - here.y),
      hypot(after.x - here.x, after.y - here.y),
    ];
    const into = { x: (before.x - here.x) / one, y: (before.y - here.y) / one };
    const out = { x: (after.x - here.x) / other, y: (after.y - here.y) / other };
    const inner = acos(max(-1, min(1, into.x * out.x + into.y * out.y)));
    const cut = min(radius / tan(inner / 2), one / 2, other / 2);
    const start: Point = { x: here.x + into.x * cut, y: here.y + into.y * cut };
    steps.push([at === 0 ? 'M' : 'L', start.x, start.y]);
    if (cut < 1e-9) continue;
    const own = cut * tan(inner / 2);
    const pull = (4 / 3) * tan((PI - inner) / 4) * own;
    steps.push([
      'C',
      start.x - into.x * pull,
      start.y - into.y * pull,
      here.x + out.x * (cut - pull),
      here.y + out.y * (cut - pull),
      here.x + out.x * cut,
      here.y + out.y * cut,
    ]);
  }
  return [...steps, ['Z']];
}
