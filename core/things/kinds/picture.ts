import * as z from 'zod';
import { flat, mm, rectangleOf, type ThingKind } from './kind.ts';

/** As large as a picture at an exact width or height; `ratio` is its width over its height. */
export const pictureSchema = z.object({
  kind: z.literal('picture'),
  measured: z.enum(['width', 'height']),
  size: mm,
  ratio: z.number().min(0.01).max(100),
});
export type PictureThing = z.infer<typeof pictureSchema>;

/** The box of the picture; the other side follows. */
export const picture: ThingKind<PictureThing> = {
  usual: { kind: 'picture', measured: 'width', size: 60, ratio: 1 },
  size({ measured, size, ratio }) {
    const [width, height] = measured === 'width' ? [size, size / ratio] : [size * ratio, size];
    return flat(rectangleOf(width, height));
  },
};
