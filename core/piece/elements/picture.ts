import * as z from 'zod';
import { artSize, orientationMap, type Art } from '../../art/index.ts';
import type { DrawingNode } from '../../drawing/index.ts';
import { nested, scaling, translation, type Affine } from '../../geometry/index.ts';
import { edgeShapeSchema, resizedShape, shapePath, type EdgeShape } from '../../shape/index.ts';
import {
  emptyFrame,
  placeFields,
  scaledBox,
  side,
  type ElementContext,
  type ElementKind,
} from './common.ts';

/** A picture in a frame. */
export const pictureSchema = z.object({
  ...placeFields,
  kind: z.literal('picture'),
  art: z.string(),
  width: side,
  height: side,
  /** Cover: fills the frame and is clipped by it. Contain: stands whole in it. Free: is stretched to it. */
  fit: z.enum(['cover', 'contain', 'free']),
  /** The shape of the frame, which the picture fills and is clipped by; a rectangle unless given. */
  frame: edgeShapeSchema.optional(),
  /**
   * Which part of the picture a filled frame shows: how far its middle is moved, as shares of the
   * frame's sides, and how much it is enlarged.
   */
  view: z
    .object({
      x: z.number().min(-50).max(50),
      y: z.number().min(-50).max(50),
      zoom: z.number().min(1).max(50),
    })
    .optional(),
  /** Art that lies beneath it and reaches further: the same picture grown for the bleed. */
  spread: z.string().optional(),
});
export type Picture = z.infer<typeof pictureSchema>;

/** How large a picture comes out in its frame, mm, before clipping. */
export function pictureSize(picture: Picture, art: Art): { width: number; height: number } {
  const own = artSize(art);
  if (picture.fit === 'free') return { width: picture.width, height: picture.height };
  const across = picture.width / own.width;
  const down = picture.height / own.height;
  const zoom = picture.view?.zoom ?? 1;
  const scale = picture.fit === 'cover' ? Math.max(across, down) * zoom : Math.min(across, down);
  return { width: own.width * scale, height: own.height * scale };
}

function viewShift({ view, width, height }: Picture): Affine {
  return translation((view?.x ?? 0) * width, (view?.y ?? 0) * height);
}

/** From the mm of a picture's own size, from its top left corner, to its frame about its middle. */
export function pictureMap(picture: Picture, art: Art): Affine {
  const [own, size] = [artSize(art), pictureSize(picture, art)];
  return nested(
    viewShift(picture),
    translation(-size.width / 2, -size.height / 2),
    scaling(size.width / own.width, size.height / own.height),
  );
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
  scaled: scaledBox,
  title: (element, art) => art(element.art)?.name ?? { code: 'missing-picture', values: {} },
  compile(element, context) {
    const art = context.art(element.art);
    const vector = art?.kind === 'vector' ? context.vector(element.art) : undefined;
    if (!art || (art.kind === 'vector' && !vector)) {
      return emptyFrame(element.width, element.height, [{ kind: 'art', id: element.art }]);
    }
    const { width, height } = pictureSize(element, art);
    const own = artSize(art);
    const shift = viewShift(element);
    const node: DrawingNode = vector
      ? { kind: 'group', transform: pictureMap(element, art), children: vector }
      : imageNode(art, width, height, shift);
    const grown = element.spread === undefined ? undefined : context.art(element.spread);
    const below = grown ? findSpread(grown, context) : undefined;
    const both = below ? [below(width / own.width, height / own.height, shift), node] : [node];
    const clip =
      element.fit === 'cover' && !below
        ? shapePath(resizedShape(element.frame ?? RECTANGLE, element.width, element.height))
        : undefined;
    const nodes: DrawingNode[] = clip ? [{ kind: 'group', clip, children: both }] : both;
    return { nodes, width: element.width, height: element.height, needs: [] };
  },
};

const RECTANGLE: EdgeShape = { kind: 'rectangle', width: 1, height: 1, radius: 0 };

function imageNode(art: Art, width: number, height: number, shift: Affine): DrawingNode {
  return {
    kind: 'image',
    art: art.id,
    map: nested(
      shift,
      translation(-width / 2, -height / 2),
      scaling(width, height),
      orientationMap(art.kind === 'pixels' ? art.orientation : 1),
    ),
  };
}

type SpreadNode = (across: number, down: number, shift: Affine) => DrawingNode;

/** Art grown for the bleed, drawn at the scale of the picture over it and about the same middle. */
function findSpread(grown: Art, context: ElementContext): SpreadNode | undefined {
  const { width, height } = artSize(grown);
  if (grown.kind === 'pixels')
    return (across, down, shift) => imageNode(grown, width * across, height * down, shift);
  const children = context.vector(grown.id);
  return children
    ? (across, down, shift) => ({
        kind: 'group',
        transform: nested(shift, scaling(across, down), translation(-width / 2, -height / 2)),
        children,
      })
    : undefined;
}
