import { z } from 'zod';
import { solid } from '../../drawing/index.ts';
import { setWords, wordsStyleSchema } from '../../type/index.ts';
import { MM_PER_PT } from '../../units/index.ts';
import { color, emptyFrame, placeFields, side, type ElementKind } from './common.ts';

/** Text in a typeface, in a box or on a circle about the element's centre. */
export const wordsSchema = z.object({
  ...placeFields,
  kind: z.literal('words'),
  ...wordsStyleSchema.shape,
  color,
  /** The room of straight words, mm; words on a circle have their circle. */
  width: side,
  height: side,
});
export type Words = z.infer<typeof wordsSchema>;

export const words: ElementKind<Words> = {
  size: ({ path, width, height }) =>
    path.kind === 'circle'
      ? { width: 2 * path.radius, height: 2 * path.radius }
      : { width, height },
  resized: (element, width, height) =>
    element.path.kind === 'circle'
      ? { ...element, path: { ...element.path, radius: Math.max(width, height) / 2 } }
      : { ...element, width, height },
  title: ({ text }) => text.replace(/\s+/g, ' ').trim() || 'Empty words',
  compile(element, context) {
    const typeface = context.typeface(element.typeface);
    const { width, height } = words.size(element);
    if (!typeface) return emptyFrame(width, height, [{ kind: 'typeface', id: element.typeface }]);
    const set = setWords(element, { width, height }, typeface);
    return {
      nodes: [
        {
          kind: 'glyphs',
          typeface: element.typeface,
          size: set.size * MM_PER_PT,
          glyphs: set.glyphs,
          fill: solid(element.color),
          text: element.text,
        },
      ],
      width,
      height,
      needs: [],
      words: set,
    };
  },
};
