import type { DrawingNode } from '../../drawing/index.ts';
import { mapPath, placed, type Path, type Point } from '../../geometry/index.ts';

/** One tile of a pattern at its usual scale. What reaches over a side goes on in the neighbour. */
export interface PatternTile {
  /** mm */
  readonly width: number;
  readonly height: number;
  readonly nodes: readonly DrawingNode[];
}

/** A seamless pattern of our own, drawn in any colours. */
export interface PatternKind {
  /** How many colours it takes beside its ground. */
  readonly inks: 1 | 2 | 3;
  /** @param inks as many colours as it takes */
  tile(inks: readonly string[]): PatternTile;
}

/** An ink of a pattern; black where a colour is missing. */
export const inkAt = (inks: readonly string[], at: number): string => inks[at] ?? '#000000';

/** A band with square ends that laps a little over its neighbours, so that no seam shows. */
export function band(from: Point, to: Point, width: number): Path {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
  const [nx, ny] = [(-uy * width) / 2, (ux * width) / 2];
  const [a, b] = [
    { x: from.x - ux * LAP, y: from.y - uy * LAP },
    { x: to.x + ux * LAP, y: to.y + uy * LAP },
  ];
  return [
    ['M', a.x + nx, a.y + ny],
    ['L', b.x + nx, b.y + ny],
    ['L', b.x - nx, b.y - ny],
    ['L', a.x - nx, a.y - ny],
    ['Z'],
  ];
}

const LAP = 0.04; // mm

/** A pointed leaf from its foot at (0, 0) upwards, placed and turned. */
export function leaf(at: Point, length: number, width: number, turn: number): Path {
  const half = width / 2;
  return mapPath(
    [
      ['M', 0, 0],
      ['C', -half * 1.3, -length * 0.3, -half * 0.9, -length * 0.75, 0, -length],
      ['C', half * 0.9, -length * 0.75, half * 1.3, -length * 0.3, 0, 0],
      ['Z'],
    ],
    placed(at.x, at.y, turn),
  );
}

export { dot, filled, lined, polygon } from '../inked.ts';
