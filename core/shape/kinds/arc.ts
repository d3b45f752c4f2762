import type { ValueRule } from '../../base/index.ts';
import * as z from 'zod';
import {
  boxOf,
  flatten,
  offsetRegion,
  ringsPath,
  type Path,
  type PathStep,
  type Point,
} from '../../geometry/index.ts';
import { less, mm, type ShapeKind } from './kind.ts';

/**
 * A band bent along an arc: the flat label of a tapered wall. `radius` is that of the long edge and
 * `slant` the width of the band, in mm; `angle` is in degrees. The long edge is at the top or bottom.
 */
export const arcSchema = z
  .object({
    kind: z.literal('arc'),
    radius: z.number().positive().max(1_000_000),
    slant: mm,
    angle: z.number().positive().max(359),
    wide: z.enum(['top', 'bottom']),
  })
  .refine(({ radius, slant }) => slant < radius, 'band-in-radius' satisfies ValueRule);
export type ArcShape = z.infer<typeof arcSchema>;

/** A place on the band: `along` in degrees from its middle, `across` in mm from its long edge. */
export function arcPoint(arc: ArcShape, along: number, across: number): Point {
  const { x, y } = fromApex(arc, along, across);
  const middle = middleOf(arc);
  return { x: x - middle.x, y: y - middle.y };
}

/** As seen from the apex of the cone, y down. */
function fromApex({ radius, wide }: ArcShape, along: number, across: number): Point {
  const turn = (along * Math.PI) / 180;
  const reach = radius - across;
  return { x: reach * Math.sin(turn), y: (wide === 'top' ? -1 : 1) * reach * Math.cos(turn) };
}

/** The box of the band, from its corners and where its long edge faces left, right and up. */
function boxFromApex(arc: ArcShape) {
  const half = arc.angle / 2;
  const turns = [-half, half, 0, ...[-90, 90].filter((turn) => Math.abs(turn) <= half)];
  const points = turns.flatMap((turn) => [fromApex(arc, turn, 0), fromApex(arc, turn, arc.slant)]);
  return boxOf(points) ?? { left: 0, top: 0, right: 0, bottom: 0 };
}

function middleOf(arc: ArcShape): Point {
  const { left, top, right, bottom } = boxFromApex(arc);
  return { x: (left + right) / 2, y: (top + bottom) / 2 };
}

/** One edge of the band as cubics of at most 30°, which leave the circle by less than 1e-6 of it. */
function edge(arc: ArcShape, across: number, from: number, to: number): PathStep[] {
  const parts = Math.ceil(Math.abs(to - from) / 30);
  const step = (to - from) / parts;
  const pull = (2 / 3) * Math.tan((step * Math.PI) / 720); // of the chord through the apex
  const place = (turn: number, sideways: number): Point => {
    const at = arcPoint(arc, turn, across);
    const ahead = arcPoint(arc, turn + 90, across);
    const back = arcPoint(arc, turn - 90, across);
    return { x: at.x + (ahead.x - back.x) * sideways, y: at.y + (ahead.y - back.y) * sideways };
  };
  return Array.from({ length: parts }, (_, index): PathStep => {
    const [start, end] = [from + index * step, from + (index + 1) * step];
    const [one, two, last] = [place(start, pull), place(end, -pull), arcPoint(arc, end, across)];
    return ['C', one.x, one.y, two.x, two.y, last.x, last.y];
  });
}

function exact(arc: ArcShape): Path {
  const half = arc.angle / 2;
  const start = arcPoint(arc, -half, 0);
  const turn = arcPoint(arc, half, arc.slant);
  return [
    ['M', start.x, start.y],
    ...edge(arc, 0, -half, half),
    ['L', turn.x, turn.y],
    ...edge(arc, arc.slant, half, -half),
    ['Z'],
  ];
}

export const arc: ShapeKind<ArcShape> = {
  size(shape) {
    const { left, top, right, bottom } = boxFromApex(shape);
    return { width: right - left, height: bottom - top };
  },
  path: (shape, by) =>
    by === 0 ? exact(shape) : ringsPath(offsetRegion(flatten(exact(shape), 0.002), by)),
  inset(shape, by) {
    const sides = (by / (shape.radius - shape.slant / 2)) * (360 / Math.PI);
    return {
      ...shape,
      radius: shape.radius - by,
      slant: less(shape.slant, 2 * by),
      angle: Math.max(1, shape.angle - sides),
    };
  },
  resized(shape, width, height) {
    const now = arc.size(shape);
    const scale = Math.min(width / now.width, height / now.height);
    return { ...shape, radius: shape.radius * scale, slant: shape.slant * scale };
  },
  measures: [
    { key: 'angle', counts: true, least: 5, most: () => 350 },
    {
      key: 'slant',
      counts: false,
      least: 2,
      most: ({ radius }) => radius * 0.95,
      at: (shape) => arcPoint(shape, 0, shape.slant),
      read: (shape, { y }) => {
        const top = arcPoint(shape, 0, 0).y;
        return shape.wide === 'top' ? y - top : top - y;
      },
    },
  ],
};
