import type { DrawingNode } from '../../drawing/index.ts';
import { mapPath, placed, type Path, type Point } from '../../geometry/index.ts';
import { dot } from '../inked.ts';

/** What an ornament is drawn from; lengths in mm, about the middle of its box. */
export interface OrnamentSketch {
  readonly width: number;
  readonly height: number;
  /** How many leaves, points, flags or beads. */
  readonly count: number;
  /** Thickness of its lines. */
  readonly weight: number;
  /** Its colour, and a second one that some use. */
  readonly inks: readonly [string, string];
}

/** An ornament of our own, drawn in any size. */
export interface OrnamentKind {
  /** Width by height as it is first drawn. */
  readonly ratio: number;
  /** Always as wide as it is high. */
  readonly round?: boolean;
  /** How many parts it has, when that can be chosen. */
  readonly count?: { readonly usual: number; readonly least: number; readonly most: number };
  /** Whether it uses the second colour. */
  readonly twoInks?: boolean;
  draw(sketch: OrnamentSketch): DrawingNode[];
}

/** A dot about a point. */
export const bead = ({ x, y }: Point, radius: number): Path => dot(x, y, radius);

/** A leaf with a slight bend, its foot at a point, pointing where `turn` says: 0 is up. */
export function leafAt(foot: Point, length: number, turn: number, width = length * 0.36): Path {
  const half = width / 2;
  return mapPath(
    [
      ['M', 0, 0],
      ['C', -half * 1.5, -length * 0.22, -half * 1.15, -length * 0.72, length * 0.04, -length],
      ['C', half * 1.25, -length * 0.68, half * 1.05, -length * 0.2, 0, 0],
      ['Z'],
    ],
    placed(foot.x, foot.y, turn),
  );
}

/** A place on a stem and where the stem goes there: degrees, 0 is up. */
export interface StemPoint extends Point {
  readonly turn: number;
}

/** A part of a circle, from one angle to another: degrees clockwise from the top. */
export function arcStem(radius: number, from: number, to: number): (share: number) => StemPoint {
  return (share) => {
    const angle = from + (to - from) * share;
    const rad = (angle * Math.PI) / 180;
    return {
      x: radius * Math.sin(rad),
      y: -radius * Math.cos(rad),
      turn: angle + (to > from ? 90 : -90),
    };
  };
}

/** The line along a stem. */
export function stemPath(stem: (share: number) => StemPoint, steps = 32): Path {
  return Array.from({ length: steps + 1 }, (_, at) => {
    const { x, y } = stem(at / steps);
    return [at === 0 ? 'M' : 'L', x, y] as const;
  });
}

/** Pairs of leaves along a stem, getting smaller towards its tip, and one at the tip. */
export function leafy(
  stem: (share: number) => StemPoint,
  { pairs, length, lean = 42 }: { pairs: number; length: number; lean?: number },
): { left: Path; right: Path; tip: Path } {
  const left: Path[number][] = [];
  const right: Path[number][] = [];
  for (let pair = 0; pair < pairs; pair++) {
    const share = (pair + 0.6) / (pairs + 0.4);
    const at = stem(share);
    const size = length * (1 - 0.35 * share);
    left.push(...leafAt(at, size, at.turn - lean));
    right.push(...leafAt(at, size, at.turn + lean));
  }
  const end = stem(1);
  return { left, right, tip: leafAt(end, length * 0.7, end.turn) };
}

/** `count` things at equal angles around the middle, the first at the top. */
export function around<T>(count: number, make: (turn: number, at: number) => T): T[] {
  return Array.from({ length: count }, (_, at) => make((at * 360) / count, at));
}

/** The place on a circle about the middle. */
export function onCircle(radius: number, turn: number): Point {
  const rad = (turn * Math.PI) / 180;
  return { x: radius * Math.sin(rad), y: -radius * Math.cos(rad) };
}

export { filled, lined, polygon } from '../inked.ts';
