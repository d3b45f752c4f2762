import { luminance, rgbOf } from '../../../core/color/index.ts';
import { artSize, type Art } from '../../../core/art/index.ts';
import { pieceSize, type Piece, type PieceElement } from '../../../core/piece/index.ts';
import { insetShape } from '../../../core/shape/index.ts';
import { texts } from '../../texts/index.ts';

const place = { id: '', x: 0, y: 0, angle: 0, locked: false };

/** Words that suit a piece: across its middle, or around its rim. */
export function newWords(
  piece: Piece,
  bent: boolean,
  text: string = bent ? texts.artwork.addedAround : texts.artwork.added,
): PieceElement {
  const { width, height } = pieceSize(piece);
  const least = Math.min(width, height);
  const size = Math.max(7, Math.round(least * (bent ? 0.22 : 0.3)));
  const radius = Math.round((least / 2 - piece.safe - size * 0.35) * 10) / 10;
  return {
    ...place,
    kind: 'words',
    text,
    typeface: 'fraunces-semibold',
    size,
    tracking: bent ? 12 : 0,
    leading: 1.2,
    align: 'centre',
    fit: 'shrink',
    least: 6,
    path: bent
      ? { kind: 'circle', radius: Math.max(3, radius), side: 'outside', angle: 0, reach: 180 }
      : { kind: 'straight' },
    color: piece.ground && luminance(rgbOf(piece.ground)) < 0.18 ? '#fffdf9' : '#2a1b2e',
    y: bent ? 0 : Math.round(height * 0.22 * 10) / 10,
    width: Math.round(width * 0.6 * 10) / 10,
    height: Math.round(size * 0.55 * 10) / 10,
  };
}

/** A picture at its own size, or as large as the piece takes. */
export function newPicture(piece: Piece, art: Art): PieceElement {
  const { width, height } = pieceSize(piece);
  const own = artSize(art);
  const scale = Math.min(
    (width * 0.6) / own.width,
    (height * 0.6) / own.height,
    own.width < width * 0.2 ? Infinity : 1,
  );
  return {
    ...place,
    kind: 'picture',
    art: art.id,
    width: own.width * scale,
    height: own.height * scale,
    fit: 'contain',
  };
}

/** A plate to put behind words. */
export function newPlate(piece: Piece): PieceElement {
  const { width, height } = pieceSize(piece);
  const [w, h] = [Math.round(width * 0.6), Math.round(height * 0.22)];
  return {
    ...place,
    kind: 'plate',
    shape: { kind: 'rectangle', width: w, height: h, radius: h / 4 },
    fill: { color: '#fbe3c8', opacity: 1 },
    line: null,
  };
}

/** A line along the inside of the edge, which follows it. */
export function newRing(piece: Piece): PieceElement {
  const inset = piece.safe + 0.5;
  const shape = insetShape(piece.edge, inset);
  return {
    ...place,
    kind: 'plate',
    shape,
    fill: null,
    line: { color: '#44203d', width: 0.5, style: 'solid' },
    rim: { inset },
  };
}
