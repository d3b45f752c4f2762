import { z } from 'zod';
import { flatten, KAPPA, offsetRegion, ringsPath, type Path } from '../../geometry/index.ts';
import { less, mm, type ShapeKind } from './kind.ts';

/** Straight sides under a bow: `rise` is the height of the bow, mm; half the width makes it round. */
export const archSchema = z.object({
  kind: z.literal('arch'),
  width: mm,
  height: mm,
  rise: mm,
});
export type ArchShape = z.infer<typeof archSchema>;

function exact({ width, height, rise }: ArchShape): Path {
  const [w, h] = [width / 2, height / 2];
  const bow = Math.min(rise, height);
  const foot = -h + bow;
  return [
    ['M', -w, foot],
    ['C', -w, foot - bow * KAPPA, -w * KAPPA, -h, 0, -h],
    ['C', w * KAPPA, -h, w, foot - bow * KAPPA, w, foot],
    ['L', w, h],
    ['L', -w, h],
    ['Z'],
  ];
}

export const arch: ShapeKind<ArchShape> = {
  size: ({ width, height }) => ({ width, height }),
  path: (shape, by) =>
    by === 0 ? exact(shape) : ringsPath(offsetRegion(flatten(exact(shape), 0.002), by, 'mitre')),
  inset: (shape, by) => ({
    ...shape,
    width: less(shape.width, 2 * by),
    height: less(shape.height, 2 * by),
    rise: less(shape.rise, by),
  }),
  resized: (shape, width, height) => ({
    ...shape,
    width,
    height,
    rise: (shape.rise * height) / shape.height,
  }),
};
