import { artSize, type Art } from '../../core/art/index.ts';
import { isProblem, type Platform } from '../../core/base/index.ts';
import { mapPath } from '../../core/geometry/index.ts';
import { withBuild } from '../../core/job/index.ts';
import { pictureMap, picturePiece, type Piece, type PieceLook } from '../../core/piece/index.ts';
import { cutSticker } from '../../core/prepare/index.ts';
import { pathPart, plainBuild, type EdgeBuild } from '../../core/shape/index.ts';

interface Stickers {
  readonly look: PieceLook;
  readonly edge: Partial<EdgeBuild>;
  /** Heights of the pictures by their names, mm; their own unless they are given. */
  readonly heights?: Readonly<Record<string, number>>;
}

/** Stickers in the outline of what they show. */
export async function pictureStickers(
  platform: Platform,
  made: ReadonlyMap<string, { art: Art; bytes: Uint8Array }>,
  { look, edge, heights = {} }: Stickers,
): Promise<Piece[]> {
  const pieces: Piece[] = [];
  for (const [name, { art: own, bytes }] of made) {
    const { height } = artSize(own);
    const piece = picturePiece(own, {
      id: `sticker-${pieces.length + 1}`,
      look,
      scale: (heights[name] ?? height) / height,
    });
    const [picture] = piece.elements;
    const { traced } = await cutSticker(platform, { art: own, bytes, leftOut: [] });
    if (picture?.kind !== 'picture' || !traced) throw new Error(`${name} has no outline.`);
    const placed = mapPath(traced.path, pictureMap(picture, own));
    const built = withBuild(piece, {
      ...plainBuild(piece.edge, name),
      ...edge,
      parts: [pathPart(placed, name)],
    });
    if (isProblem(built)) throw new Error(built.code);
    pieces.push(built);
  }
  return pieces;
}

/** The edge of a drawn sticker: a rim, in one part that a knife can follow. */
export const drawnEdge = (rim: number): Partial<EdgeBuild> => ({
  ...{ offset: rim, holes: 'fill', innerRadius: 1, join: 'offset' },
});
