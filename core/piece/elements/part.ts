import * as z from 'zod';
import { scaling } from '../../geometry/index.ts';
import { joinedEdges, placeEdge } from '../../shape/index.ts';
import { emptyFrame, placeFields, scaledBox, side, type ElementKind } from './common.ts';

/** Another piece, printed in this one; its edge is cut only where a use of it says so. */
export const partSchema = z.object({
  ...placeFields,
  kind: z.literal('piece'),
  piece: z.string(),
  /** The width it comes out at, mm; the height follows. */
  width: side,
  height: side,
  /** Its edge is kiss-cut: a sticker to be peeled off the piece that it stands in. */
  cut: z.literal('kiss').optional(),
});
export type Part = z.infer<typeof partSchema>;

export const part: ElementKind<Part> = {
  size: ({ width, height }) => ({ width, height }),
  resized: (element, width) => ({
    ...element,
    width,
    height: (element.height * width) / element.width,
  }),
  scaled: scaledBox,
  title: ({ piece }) => ({ code: 'piece', values: { id: piece } }),
  compile(element, context) {
    const { width, height } = element;
    const found = context.part(element.piece);
    if (!found) return emptyFrame(width, height, [{ kind: 'piece', id: element.piece }]);
    const map = scaling(width / found.width);
    return {
      nodes: [{ kind: 'group', transform: map, children: found.nodes }],
      width,
      height,
      needs: found.needs,
      kissCuts: placeEdge(
        element.cut ? joinedEdges([found.rings, found.kissCuts]) : found.kissCuts,
        map,
      ),
    };
  },
};
