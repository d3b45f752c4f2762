import { artSize, type Art, type Traced } from '../art/index.ts';
import { isProblem } from '../base/index.ts';
import { mapPath, nested, scaling, translation } from '../geometry/index.ts';
import { withBuild } from '../job/index.ts';
import { picturePiece, pieceSize, type Piece, type PieceLook } from '../piece/index.ts';
import { pathPart, plainBuild, plainShape, STICKER_EDGE } from '../shape/index.ts';

/** The shape of a sticker whose picture has no outline of its own. */
export type BoxShape = 'rectangle' | 'rounded' | 'circle';

/** What a sheet takes, mm. */
const MOST_SIDE = 180;
/** Of the shorter side: the corners of a rounded sticker. */
const ROUNDED = 0.12;
const LOOK: PieceLook = { bleed: 2, safe: 1, ground: null };

/** A picture as a sticker, at its own size where a sheet takes it; its id is to be given. */
export function stickerPiece(
  art: Art,
  traced: Pick<Traced, 'path'> | undefined,
  shape: BoxShape = 'rectangle',
): Piece {
  const { width, height } = artSize(art);
  const scale = Math.min(1, MOST_SIDE / width, MOST_SIDE / height);
  return cutPiece(art, traced, { id: 'piece', look: LOOK, scale, shape });
}

interface Made {
  readonly id: string;
  readonly look: PieceLook;
  readonly scale?: number;
  readonly shape?: BoxShape;
}

/** A picture as a piece, cut around an outline with the usual rim; by a plain shape where there is none. */
export function cutPiece(
  art: Art,
  traced: Pick<Traced, 'path'> | undefined,
  { id, look, scale = 1, shape = 'rectangle' }: Made,
): Piece {
  const bare = picturePiece(art, { id, look, scale });
  if (!traced) return shaped(bare, shape);
  const { width, height } = artSize(art);
  const about = nested(scaling(scale), translation(-width / 2, -height / 2));
  const built = withBuild(bare, {
    ...plainBuild(bare.edge, art.name),
    ...STICKER_EDGE,
    parts: [pathPart(mapPath(traced.path, about), art.name)],
  });
  return isProblem(built) ? bare : built;
}

/** A picture in a plain shape that it fills. */
function shaped(piece: Piece, shape: BoxShape): Piece {
  if (shape === 'rectangle') return piece;
  const { width, height } = pieceSize(piece);
  const side = Math.min(width, height);
  if (shape === 'circle') return { ...piece, edge: plainShape('circle', side, side) };
  return { ...piece, edge: plainShape('rectangle', width, height, side * ROUNDED) };
}
