import { Font, Glyph, Path } from 'opentype.js';

/** An OpenType font with PostScript outlines: an A that is a square of half an em. */
export function squareFont(): Uint8Array {
  const square = new Path();
  square.moveTo(100, 0);
  [
    [100, 500],
    [600, 500],
    [600, 0],
  ].forEach(([x = 0, y = 0]) => square.lineTo(x, y));
  square.close();
  const glyphs = [
    new Glyph({ name: '.notdef', advanceWidth: 700, path: new Path() }),
    new Glyph({ name: 'A', unicode: 65, advanceWidth: 700, path: square }),
  ];
  const font = new Font({
    ...{ familyName: 'Square Fen', styleName: 'Regular', unitsPerEm: 1000 },
    ...{ ascender: 800, descender: -200, glyphs },
  });
  return new Uint8Array(font.toArrayBuffer());
}

const SQUARE_CFF2 = [
  ...[2, 0, 5, 0, 13], // version, size of this, size of the top DICT
  ...[29, 0, 0, 0, 22, 17], // CharStrings are at 22
  ...[29, 0, 0, 0, 46, 12, 36], // the FDArray is at 46
  ...[0, 0, 0, 0], // no subroutines
  ...[0, 0, 0, 2, 1, 1, 1, 17], // two glyphs: an empty one, and one of 16 bytes
  ...[239, 139, 21, 28, 1, 244, 7, 28, 1, 244, 6, 28, 254, 12, 7, 0], // 100 0 rmoveto, 500 each side
  ...[0, 0, 0, 1, 1, 1, 4, 139, 139, 18], // one font DICT, of no private DICT
];

/** The same letter in the outlines of variable OpenType fonts. Source: OpenType 1.9, `CFF2`. */
export function squareCff2(): Uint8Array {
  const font = squareFont();
  const view = new DataView(font.buffer);
  for (let at = 12; at < 12 + 16 * view.getUint16(4); at += 16) {
    if (view.getUint32(at) !== 0x43464620) continue;
    view.setUint32(at, 0x43464632);
    view.setUint32(at + 12, SQUARE_CFF2.length);
    font.set(SQUARE_CFF2, view.getUint32(at + 8));
    return font;
  }
  throw new Error('no CFF');
}
