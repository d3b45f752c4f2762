import { shortened } from '../base/index.ts';
import {
  apply,
  boxAbout,
  convexHull,
  distanceToRings,
  flatten,
  isInside,
  unionOf,
  type Ring,
} from '../geometry/index.ts';
import type { CommandCall, ElementChanges } from '../job/index.ts';
import { isConvex, shapePath } from '../shape/index.ts';
import { elementMap, type CompiledPiece, type PlacedElement, type Words } from '../piece/index.ts';
import type { ProofContext, Where } from './finding.ts';

/** A words element with its letters set, in its piece. */
export interface SetElement extends PlacedElement {
  readonly element: Words;
  readonly piece: CompiledPiece;
  /** What they say: on copies that differ, on this one. */
  readonly said: string;
  readonly set: NonNullable<PlacedElement['compiled']['words']>;
}

/** All words of a job; where each copy says something else, the ones that are worst off. */
export function allWords({ compiled }: Pick<ProofContext, 'compiled'>): SetElement[] {
  const copies = new Set(
    compiled.sheets.flatMap((sheet) => sheet.copies.map(({ piece }) => piece)),
  );
  return [...compiled.pieces.values()].flatMap((piece) => {
    const found = wordsOf(piece);
    if (!piece.numbered) return found;
    const others = [...copies].filter((one) => one.piece.id === piece.piece.id).flatMap(wordsOf);
    return found.map((words) =>
      others
        .filter(({ element }) => element.id === words.element.id)
        .reduce((worst, one) => (trouble(one) > trouble(worst) ? one : worst), words),
    );
  });
}

const wordsOf = (piece: CompiledPiece): SetElement[] =>
  piece.elements.flatMap((placedElement): SetElement[] => {
    const { element, compiled: drawn } = placedElement;
    if (element.kind !== 'words' || !drawn.words) return [];
    const said = piece.numbered
      ? drawn.words.glyphs.map(({ text }) => text).join('')
      : element.text;
    return [{ ...placedElement, element, piece, set: drawn.words, said }];
  });

/** How badly off words are: letters that are missing, no room, and the smaller the worse. */
const trouble = ({ set }: SetElement): number =>
  (set.missing.length ? 2e6 : 0) + (set.overflows ? 1e6 : 0) - set.size;

/** What words say, in a line, shortened. */
export const quotable = (text: string): string => shortened(text.replace(/\s+/g, ' ').trim(), 30);
/** What words say, and on which piece, where there are several. */
export const wordsOn = (
  { piece, said }: SetElement,
  { compiled }: ProofContext,
): { words: string; piece?: string } => ({
  words: quotable(said),
  ...(compiled.pieces.size > 1 ? { piece: piece.piece.name } : {}),
});
/** Where words are, for showing them. */
export const place = ({
  piece,
  element,
  compiled,
}: Pick<PlacedElement, 'element' | 'compiled'> & { readonly piece: CompiledPiece }): Where => ({
  piece: piece.piece.id,
  element: element.id,
  box: boxAbout(element, compiled.width, compiled.height),
});
/** A change of one element alone. */
export const change = (
  { piece, element }: Pick<PlacedElement, 'element'> & { readonly piece: CompiledPiece },
  changes: ElementChanges,
  doing = 'mend',
): CommandCall => ({
  name: 'change-elements',
  args: { piece: piece.piece.id, changes: { [element.id]: changes }, doing },
});
/** What the boxes of the letters cover on the piece, mm. */
export const letterBoxes = (found: SetElement): Ring[] =>
  unionOf(...letterQuads(found).map((quad) => [quad]));

/** The box of each letter on the piece, mm; they may lie over each other. */
export function letterQuads({ element, set }: SetElement): Ring[] {
  const map = elementMap(element);
  const quads: Ring[] = [];
  for (let at = 0; at + 3 < set.outline.length; at += 4)
    quads.push(set.outline.slice(at, at + 4).map((corner) => apply(map, corner)));
  return quads;
}

/** The distance of the outermost ink from the edge, mm, with the words as others; negative beyond it. */
export function nearestToEdge({ set, element, piece }: SetElement, as: Words): number {
  const { edge } = piece.piece;
  const rings = flatten(shapePath(edge));
  const shrunk =
    as.path.kind === 'circle' && element.path.kind === 'circle'
      ? as.path.radius / element.path.radius
      : 1;
  const map = elementMap(as);
  // In what bulges everywhere nothing is nearer to the edge than a corner of what is around it.
  const corners = isConvex(edge) ? convexHull(set.outline) : set.outline;
  return Math.min(
    ...corners.map((point) => {
      const at = apply(map, { x: point.x * shrunk, y: point.y * shrunk });
      const distance = distanceToRings(at, rings);
      return isInside(at, rings) ? distance : -distance;
    }),
    Infinity,
  );
}
