import * as z from 'zod';
import { KAPPA, type Path } from '../../geometry/index.ts';
import { boxedKind, less, mm, type ShapeKind } from './kind.ts';

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
  ...boxedKind<ArchShape>(exact, [
    {
      key: 'rise',
      counts: false,
      least: 0.5,
      most: ({ height }) => height,
      at: ({ width, height, rise }) => ({ x: width / 2, y: -height / 2 + rise }),
      read: ({ height }, { y }) => y + height / 2,
    },
  ]),
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
