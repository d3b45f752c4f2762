import { luminance, oklabDistance, oklabOfHex, rgbOf } from '../../../core/color/index.ts';
import { artSize, ornamentOf, type Art, type OrnamentName } from '../../../core/art/index.ts';
import {
  isNamed,
  leadColor,
  pieceSize,
  type Code,
  type LabelField,
  type NamedField,
  type Piece,
  type PieceElement,
  type Words,
} from '../../../core/piece/index.ts';
import { insetShape, plainShape, type BoxedKind } from '../../../core/shape/index.ts';
import { texts } from '../../texts/index.ts';

const place = { id: '', x: 0, y: 0, angle: 0, locked: false };

/** An ink that can be read on the ground of a piece. */
const readable = ({ ground }: Piece): string =>
  ground && luminance(rgbOf(leadColor(ground))) < 0.18 ? '#fffdf9' : '#2a1b2e';

/** Words that suit a piece: across its middle, or around its rim. */
export function newWords(
  piece: Piece,
  bent: boolean,
  text: string = bent ? texts.artwork.addedAround : texts.artwork.added,
): Words {
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
    color: readable(piece),
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

/** A plate to put behind words, in a shape. */
export function newPlate(piece: Piece, kind: BoxedKind = 'rectangle'): PieceElement {
  const { width, height } = pieceSize(piece);
  const lies = kind === 'rectangle' || kind === 'banner' || kind === 'ticket';
  const [w, h] = lies
    ? [Math.round(width * 0.6), Math.round(height * 0.22)]
    : [Math.round(Math.min(width, height) * 0.4), Math.round(Math.min(width, height) * 0.4)];
  return {
    ...place,
    kind: 'plate',
    shape: plainShape(kind, w, h, h / 4),
    fill: { color: '#fbe3c8', opacity: 1 },
    line: null,
  };
}

/** The colours that an ornament is first drawn in on a piece. */
export const ornamentInks = (piece: Piece, colors: readonly string[]): [string, string] => {
  const first = readable(piece);
  const ground = piece.ground ? leadColor(piece.ground) : '#ffffff';
  const differs = (color: string, from: string): boolean =>
    oklabDistance(oklabOfHex(color), oklabOfHex(from)) > 0.25;
  return [
    first,
    colors.find((color) => differs(color, first) && differs(color, ground)) ?? '#c77f3a',
  ];
};

/** An ornament as large as suits a piece: rings along its rim, others in its middle. */
export function newOrnament(
  piece: Piece,
  name: OrnamentName,
  inks: [string, string],
): PieceElement {
  const { width, height } = pieceSize(piece);
  const { ratio, round, count } = ornamentOf(name);
  const room = round
    ? Math.min(width, height) - 2 * piece.safe
    : Math.min(width * 0.6, height * 0.3 * ratio);
  const wide = Math.max(4, Math.round(room * 10) / 10);
  return {
    ...place,
    kind: 'ornament',
    ornament: name,
    width: wide,
    height: Math.round((wide / ratio) * 100) / 100,
    count: count?.usual ?? 1,
    weight: Math.max(0.15, Math.round(Math.min(width, height) * 0.7) / 100),
    inks,
  };
}

/** Words or a code that say a field of the label, with its printed name where it has one. */
export function newField(
  piece: Piece,
  field: LabelField,
  {
    text,
    names,
    emphasis,
  }: {
    text: string;
    names: Readonly<Record<NamedField, string>>;
    emphasis: readonly string[];
  },
): PieceElement {
  if (field === 'code') return { ...newCode(piece), text, field };
  if (field === 'name' || field === 'line' || field === 'maker')
    return { ...newWords(piece, false, text), field };
  return {
    ...newSmallPrint(piece, text),
    ...(isNamed(field) ? { list: { heading: names[field], between: ' ', runsIn: true } } : {}),
    ...(field === 'ingredients' && emphasis.length ? { emphasis: [...emphasis] } : {}),
    field,
  };
}

/** A code that is as small as can be read, on white. */
export function newCode(piece: Piece): Code {
  const { width, height } = pieceSize(piece);
  const side = Math.max(14, Math.min(20, Math.round(Math.min(width, height) * 0.4)));
  return {
    ...place,
    kind: 'code',
    symbology: 'qr',
    text: texts.ornaments.exampleAddress,
    width: side,
    height: side,
    color: '#000000',
    ground: '#ffffff',
    caption: false,
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

/** A block of small print along the foot of a piece, set as large as its room takes. */
export function newSmallPrint(piece: Piece, text: string, typeface = 'figtree-regular'): Words {
  const { width, height } = pieceSize(piece);
  const high = Math.round(height * 2) / 10;
  return {
    ...newWords(piece, false, text),
    typeface,
    size: 7,
    fit: 'wrap-shrink',
    balanced: true,
    least: 5,
    width: Math.round(width * 7) / 10,
    height: high,
    y: Math.round((height / 2 - piece.safe - high / 2) * 10) / 10,
  };
}
