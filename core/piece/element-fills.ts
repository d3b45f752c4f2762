import type { PieceElement, ShapePart } from './elements/index.ts';
import { artOfFill, type Fill } from './fill.ts';

/** An element with each of its fills, those of its parts too, as `map` gives them. */
export function withFills<E extends PieceElement>(element: E, map: (fill: Fill) => Fill): E;
export function withFills(element: PieceElement, map: (fill: Fill) => Fill): PieceElement {
  switch (element.kind) {
    case 'words':
      return { ...element, color: map(element.color) };
    case 'plate':
      return {
        ...element,
        fill: element.fill && { ...element.fill, color: map(element.fill.color) },
      };
    case 'line':
      return { ...element, fill: element.fill && map(element.fill) };
    case 'combined':
      return {
        ...element,
        fill: element.fill && map(element.fill),
        parts: element.parts.map(({ how, element: part }) => ({
          how,
          element: withFills<ShapePart>(part, map),
        })),
      };
    case 'ornament':
    case 'code':
    case 'picture':
    case 'piece':
      return element;
  }
}

/** The art that an element names: pictures, and what fills it. */
export function artOfElement(element: PieceElement): string[] {
  if (element.kind === 'picture')
    return [element.art, ...(element.spread === undefined ? [] : [element.spread])];
  const found: string[] = [];
  withFills(element, (fill) => {
    found.push(...artOfFill(fill));
    return fill;
  });
  return found;
}
