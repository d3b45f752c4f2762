import type { PieceElement, ShapePart } from './elements/index.ts';
import type { LabelField, LabelSays } from './label-fields.ts';

/** What an element says: its words, the text of a code, the words of its parts. */
export function textsOf(element: PieceElement): readonly string[] {
  switch (element.kind) {
    case 'words':
    case 'code':
      return [element.text];
    case 'combined':
      return element.parts.flatMap(({ element: part }) => textsOf(part));
    default:
      return [];
  }
}

/** An element with what it says as `map` gives it. */
export function withTexts<E extends PieceElement>(element: E, map: (text: string) => string): E;
export function withTexts(element: PieceElement, map: (text: string) => string): PieceElement {
  switch (element.kind) {
    case 'words':
    case 'code':
      return { ...element, text: map(element.text) };
    case 'combined':
      return {
        ...element,
        parts: element.parts.map(({ how, element: part }) => ({
          how,
          element: withTexts<ShapePart>(part, map),
        })),
      };
    default:
      return element;
  }
}

/** What elements say in the fields of their label; the first of several. */
export function fieldsSaid(elements: readonly PieceElement[]): LabelSays {
  const said: Partial<Record<LabelField, string>> = {};
  for (const element of elements)
    if (element.field) said[element.field] ??= textsOf(element)[0] ?? '';
  return said;
}
