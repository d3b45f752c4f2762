import { z } from 'zod';
import { artSize, orientationMap, type Art } from '../../art/index.ts';
import type { DrawingNode } from '../../drawing/index.ts';
import { compose, nested, rectanglePath, scaling, translation } from '../../geometry/index.ts';
import { emptyFrame, placeFields, side, type ElementKind } from './common.ts';

/** A picture in a frame. */
export const pictureSchema = z.object({
  ...placeFields,
  kind: z.literal('picture'),
  art: z.string(),
  width: side,
  height: side,
  /** Cover: fills the frame and is clipped by it. Contain: stands whole in it. Free: is stretched to it. */
  fit: z.enum(['cover', 'contain', 'free']),
});
export type Picture = z.infer<typeof pictureSchema>;

/** How large a picture comes out in its frame, mm, before clipping. */
export function pictureSize(picture: Picture, art: Art): { width: number; height: number } {
  const own = artSize(art);
  if (picture.fit === 'free') return { width: picture.width, height: picture.height };
  const across = picture.width / own.width;
  const down = picture.height / own.height;
  const scale = picture.fit === 'cover' ? Math.max(across, down) : Math.min(across, down);
  return { width: own.width * scale, height: own.height * scale };
}

/** The printed resolution of a picture of pixels, by its worse direction; undefined for vectors. */
export function findPictureDpi(picture: Picture, art: Art): number | undefined {
  if (art.kind === 'vector') return undefined;
  const { width, height } = pictureSize(picture, art);
  const turned = art.orientation > 4;
  const [across, down] = turned
    ? [art.pixelHeight, art.pixelWidth]
    : [art.pixelWidth, art.pixelHeight];
  return Math.min(across / width, down / height) * 25.4;
}

export const picture: ElementKind<Picture> = {
  size: ({ width, height }) => ({ width, height }),
  resized: (element, width, height) => ({ ...element, width, height }),
  title: (element, art) => art(element.art)?.name ?? 'Missing picture',
  compile(element, context) {
    const art = context.art(element.art);
    const vector = art?.kind === 'vector' ? context.vector(element.art) : undefined;
    if (!art || (art.kind === 'vector' && !vector)) {
      return emptyFrame(element.width, element.height, [{ kind: 'art', id: element.art }]);
    }
    const { width, height } = pictureSize(element, art);
    const own = artSize(art);
    const node: DrawingNode = vector
      ? {
          kind: 'group',
          transform: compose(
            translation(-width / 2, -height / 2),
            scaling(width / own.width, height / own.height),
          ),
          children: vector,
        }
      : {
          kind: 'image',
          art: art.id,
          map: nested(
            translation(-width / 2, -height / 2),
            scaling(width, height),
            orientationMap(art.kind === 'pixels' ? art.orientation : 1),
          ),
        };
    const frame = rectanglePath({ x: 0, y: 0 }, element.width, element.height);
    const nodes: DrawingNode[] =
      element.fit === 'cover' ? [{ kind: 'group', clip: frame, children: [node] }] : [node];
    return { nodes, width: element.width, height: element.height, needs: [] };
  },
};
