import type { PieceElement } from './elements/index.ts';
import { colorsOfFill, recoloredFill } from './fill.ts';
import type { Piece } from './piece.ts';

type Recolor = (color: string) => string;

/** An element with every colour of its own replaced; art keeps its colours. */
export function recoloredElement(element: PieceElement, recolor: Recolor): PieceElement {
  const lined = <L extends { readonly color: string }>(line: L | null): L | null =>
    line && { ...line, color: recolor(line.color) };
  switch (element.kind) {
    case 'words':
      return {
        ...element,
        color: recoloredFill(element.color, recolor),
        ...(element.outlines
          ? { outlines: element.outlines.map((one) => ({ ...one, color: recolor(one.color) })) }
          : {}),
        ...(element.shadow
          ? { shadow: { ...element.shadow, color: recolor(element.shadow.color) } }
          : {}),
      };
    case 'plate':
      return {
        ...element,
        fill: element.fill && {
          ...element.fill,
          color: recoloredFill(element.fill.color, recolor),
        },
        line: lined(element.line),
      };
    case 'line':
      return {
        ...element,
        fill: element.fill && recoloredFill(element.fill, recolor),
        line: lined(element.line),
      };
    case 'ornament':
      return { ...element, inks: [recolor(element.inks[0]), recolor(element.inks[1])] };
    case 'code':
      return {
        ...element,
        color: recolor(element.color),
        ground: element.ground && recolor(element.ground),
      };
    case 'picture':
    case 'piece':
      return element;
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
