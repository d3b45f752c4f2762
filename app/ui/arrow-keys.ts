import type { Point } from '../../core/geometry/index.ts';

const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** Which way an arrow key points, by `step`; undefined for other keys. */
export function findArrow(key: string, step: number): Point | undefined {
  const way = ARROWS[key];
  return way && { x: way.x * step, y: way.y * step };
}
