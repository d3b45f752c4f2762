import { artSize, type Art } from '../art/index.ts';
import type { Piece } from './piece.ts';

/** What a piece has beside its edge and elements. */
export type PieceLook = Pick<Piece, 'bleed' | 'safe' | 'ground'>;

/** A piece that is one picture: its edge is the picture's box until it is traced. */
export function picturePiece(
  art: Art,
  { id, look, scale = 1 }: { id: string; look: PieceLook; scale?: number },
): Piece {
  const own = artSize(art);
  const [width, height] = [own.width * scale, own.height * scale];
  return {
    id,
    name: art.name.slice(0, 120),
    edge: { kind: 'rectangle', width, height, radius: 0 },
    ...look,
    elements: [
      {
        id: 'picture-1',
        kind: 'picture',
        art: art.id,
        x: 0,
        y: 0,
        angle: 0,
        locked: false,
        width,
        height,
        fit: 'contain',
      },
    ],
  };
}
