import { expectOk, isProblem } from '../../core/base/index.ts';
import { artSize, traceVector, vectorNodes, type Art } from '../../core/art/index.ts';
import { mapPath } from '../../core/geometry/index.ts';
import { withBuild } from '../../core/job/index.ts';
import { pictureMap, picturePiece, type Piece } from '../../core/piece/index.ts';
import { pathPart, plainBuild } from '../../core/shape/index.ts';

/** Stickers in the outline of what they show, each of a height and with a rim around it, mm. */
export function pictureStickers(
  made: ReadonlyMap<string, { art: Art; bytes: Uint8Array }>,
  heights: Readonly<Record<string, number>>,
  { rim, bleed }: { rim: number; bleed: number },
): Piece[] {
  return [...made].map(([name, { art: own, bytes }], at): Piece => {
    const size = artSize(own);
    const height = heights[name] ?? 40;
    const piece = picturePiece(own, {
      id: `sticker-${at + 1}`,
      look: { bleed, safe: 1, ground: '#fffdf6' },
      scale: height / size.height,
    });
    const [picture] = piece.elements;
    if (picture?.kind !== 'picture') throw new Error('no picture');
    const { path } = expectOk(traceVector(vectorNodes(bytes)));
    const placed = mapPath(path, pictureMap(picture, own));
    const built = withBuild(piece, {
      ...plainBuild(piece.edge, name),
      parts: [pathPart(placed, name)],
      offset: rim,
      holes: 'fill',
      innerRadius: 1,
      join: 'offset',
    });
    if (isProblem(built)) throw new Error(built.code);
    return built;
  });
}
