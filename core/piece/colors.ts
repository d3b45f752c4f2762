import type { PieceElement } from './elements/index.ts';
import { withFills } from './element-fills.ts';
import { colorsOfFill, recoloredFill } from './fill.ts';
import type { Piece } from './piece.ts';

type Recolor = (color: string) => string;

/** An element with every colour of its own replaced; art keeps its colours. */
export function recoloredElement(element: PieceElement, recolor: Recolor): PieceElement {
  const lined = <L extends { readonly color: string }>(line: L | null): L | null =>
    line && { ...line, color: recolor(line.color) };
  // What the parts of a shape were drawn in before is not seen.
  if (element.kind === 'combined')
    return {
      ...element,
      fill: element.fill && recoloredFill(element.fill, recolor),
      line: lined(element.line),
    };
  const filled = withFills(element, (fill) => recoloredFill(fill, recolor));
  switch (filled.kind) {
    case 'words':
      return {
        ...filled,
        ...(filled.outlines
          ? { outlines: filled.outlines.map((one) => ({ ...one, color: recolor(one.color) })) }
          : {}),
        ...(filled.shadow
          ? { shadow: { ...filled.shadow, color: recolor(filled.shadow.color) } }
          : {}),
      };
    case 'plate':
    case 'line':
      return { ...filled, line: lined(filled.line) };
    case 'ornament':
      return { ...filled, inks: [recolor(filled.inks[0]), recolor(filled.inks[1])] };
    case 'code':
      return {
        ...filled,
        color: recolor(filled.color),
        ground: filled.ground && recolor(filled.ground),
      };
    case 'picture':
    case 'piece':
      return filled;
  }
}

/** A piece with every colour of its ground and elements replaced. */
export function recoloredPiece(piece: Piece, recolor: Recolor): Piece {
  return {
    ...piece,
    ground: piece.ground && recoloredFill(piece.ground, recolor),
    elements: piece.elements.map((element) => recoloredElement(element, recolor)),
  };
}

/** The colours that pieces are drawn in, the most used first; in small letters. */
export function colorsOfPieces(pieces: readonly Pick<Piece, 'ground' | 'elements'>[]): string[] {
  const uses = new Map<string, number>();
  const count = (color: string): string => {
    const key = color.toLowerCase();
    uses.set(key, (uses.get(key) ?? 0) + 1);
    return color;
  };
  for (const { ground, elements } of pieces) {
    if (ground) colorsOfFill(ground).forEach(count);
    for (const element of elements) recoloredElement(element, count);
  }
  return [...uses].sort((one, other) => other[1] - one[1]).map(([color]) => color);
}
