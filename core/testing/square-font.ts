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
