import * as z from 'zod';
import {
  flatten,
  mapPath,
  offsetRegion,
  rectanglePath,
  ringsPath,
  scaling,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { less, mm, type ShapeKind } from './kind.ts';

/** A hole with round ends: a circle when both sides are equal. Its middle is about the tag's. */
const holeSchema = z.object({ x: z.number(), y: z.number(), width: mm, height: mm });

/** A four-cornered edge with round or clipped corners, at the top only or all round, and holes. */
export const tagSchema = z.object({
  kind: z.literal('tag'),
  width: mm,
  height: mm,
  corner: z.number().min(0).max(1000),
  corners: z.enum(['round', 'clipped']),
  which: z.enum(['top', 'all']),
  holes: z.array(holeSchema).max(20),
});
export type TagShape = z.infer<typeof tagSchema>;

function outline({ width, height, corner, corners, which }: TagShape): Path {
  const cut = Math.min(corner, width / 2, height / (which === 'all' ? 2 : 1));
  if (cut === 0) return rectanglePath({ x: 0, y: 0 }, width, height);
  if (corners === 'round' && which === 'all')
    return rectanglePath({ x: 0, y: 0 }, width, height, cut);
  const [w, h] = [width / 2, height / 2];
  const low = which === 'all' ? cut : 0;
  const points: Point[] = [
    { x: -w + cut, y: -h },
    { x: w - cut, y: -h },
    { x: w, y: -h + cut },
    { x: w, y: h - low },
    ...(low
      ? [
          { x: w - low, y: h },
          { x: -w + low, y: h },
        ]
      : [{ x: -w, y: h }]),
    { x: -w, y: h - low },
    { x: -w, y: -h + cut },
  ].filter((point, at, all) => {
    const before = all[at - 1];
    return !before || Math.hypot(point.x - before.x, point.y - before.y) > 1e-9;
  });
  if (corners === 'clipped') return ringsPath([points]);
  const pull = cut * 0.44771525;
  return [
    ['M', -w + cut, -h],
    ['L', w - cut, -h],
    ['C', w - pull, -h, w, -h + pull, w, -h + cut],
    ['L', w, h],
    ['L', -w, h],
    ['L', -w, -h + cut],
    ['C', -w, -h + pull, -w + pull, -h, -w + cut, -h],
    ['Z'],
  ];
}

export const tag: ShapeKind<TagShape> = {
  size: ({ width, height }) => ({ width, height }),
  path(shape, by) {
    const around = outline(shape);
    const rim = by === 0 ? around : ringsPath(offsetRegion(flatten(around, 0.002), by, 'mitre'));
    if (rim.length === 0) return [];
    const holes = shape.holes.flatMap(({ x, y, width, height }): Path => {
      const [w, h] = [width - 2 * by, height - 2 * by];
      if (w <= 0 || h <= 0) return [];
      const hole = rectanglePath({ x: -x, y }, w, h, Math.min(w, h) / 2);
      return mapPath(hole, scaling(-1, 1)); // the other way round than the rim
    });
    return [...rim, ...holes];
  },
  inset: (shape, by) => ({
    ...shape,
    width: less(shape.width, 2 * by),
    height: less(shape.height, 2 * by),
    corner: Math.max(0, shape.corner - by * 0.6),
    holes: [],
  }),
  resized(shape, width, height) {
    const scale = Math.min(width / shape.width, height / shape.height);
    return {
      ...shape,
      width,
      height,
      corner: shape.corner * scale,
      holes: shape.holes.map((hole) => ({
        ...hole,
        x: (hole.x * width) / shape.width,
        y: (hole.y * height) / shape.height,
      })),
    };
  },
  measures: [
    {
      key: 'corner',
      counts: false,
      least: 0,
      most: ({ width, height }) => Math.min(width, height) / 2,
      at: ({ width, height, corner }) => ({ x: width / 2 - corner, y: -height / 2 }),
      read: ({ width }, { x }) => width / 2 - x,
    },
  ],
};
