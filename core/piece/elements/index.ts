import type { ElementTitle } from './title.ts';
import * as z from 'zod';
import type { Art } from '../../art/index.ts';
import { withinLimits } from '../../base/index.ts';
import type { CompiledElement, ElementContext, ElementKind } from './common.ts';
import { CAPTION_TYPEFACE, code, codeSchema } from './code.ts';
import { combined, combinedSchema } from './combined.ts';
import { line, lineSchema } from './line.ts';
import { ornament, ornamentSchema } from './ornament.ts';
import { part, partSchema } from './part.ts';
import { picture, pictureSchema } from './picture.ts';
import { alongRim, plate, plateSchema } from './plate.ts';
import type { EdgeShape } from '../../shape/index.ts';
import { alongBend, words, wordsSchema } from './words.ts';

/** Whatever stands in a piece. */
export const elementSchema = z.discriminatedUnion('kind', [
  pictureSchema,
  wordsSchema,
  plateSchema,
  ornamentSchema,
  lineSchema,
  codeSchema,
  combinedSchema,
  partSchema,
]);
export type PieceElement = z.infer<typeof elementSchema>;

/** All kinds of element; adding one touches its own file and this line. */
const KINDS = { picture, words, plate, ornament, line, code, combined, piece: part };

/** The kinds there are. */
export const ELEMENT_KINDS = Object.keys(KINDS) as readonly PieceElement['kind'][];

const kindOf = (element: PieceElement): ElementKind<PieceElement> =>
  KINDS[element.kind] as unknown as ElementKind<PieceElement>;

/** The size of an element in mm, before turning. */
export function elementSize(element: PieceElement): { width: number; height: number } {
  return kindOf(element).size(element);
}

/** The element at another size in mm; kinds that keep their proportions follow the width. */
export function resizedElement(element: PieceElement, width: number, height: number): PieceElement {
  return kindOf(element).resized(element, width, height);
}

/** The element so many times as large and as far from the middle of its piece, as far as its limits go. */
export function scaledElement(element: PieceElement, factor: number): PieceElement {
  const made = kindOf(element).scaled(element, factor);
  return withinLimits(elementSchema, { ...made, x: element.x * factor, y: element.y * factor });
}

/** The element as a drawing about its own centre. */
export function compileElement(element: PieceElement, context: ElementContext): CompiledElement {
  return kindOf(element).compile(element, context);
}

/** How an element is called in lists and behind “Undo”. */
export function elementTitle(
  element: PieceElement,
  art: (id: string) => Art | undefined,
): ElementTitle {
  return element.name || kindOf(element).title(element, art);
}

/** The typefaces that an element is set in. */
export function typefacesOfElement(element: PieceElement): string[] {
  if (element.kind === 'words') return [element.typeface];
  if (element.kind === 'combined')
    return element.parts.flatMap(({ element: part }) => typefacesOfElement(part));
  return element.kind === 'code' && element.caption ? [CAPTION_TYPEFACE] : [];
}

/** An element as the edge of its piece wants it: what keeps to the rim or follows the bend. */
export function alongEdge(element: PieceElement, edge: EdgeShape): PieceElement {
  const made = followed(element, edge);
  return made === element ? element : withinLimits(elementSchema, made);
}

function followed(element: PieceElement, edge: EdgeShape): PieceElement {
  if (element.kind === 'plate') return alongRim(element, edge);
  return element.kind === 'words' ? alongBend(element, edge) : element;
}

export {
  centredParts,
  isShapePart,
  MEETINGS,
  type Combined,
  type Meeting,
  type ShapePart,
} from './combined.ts';
export { findCodeLayout, type Code, type CodeLayout } from './code.ts';
export { centredLine, type Line } from './line.ts';
export { elementMap, elementMaps } from './maps.ts';
export type { Ornament } from './ornament.ts';
export { strokeSchema, type StrokeStyle } from './stroke.ts';
export { repeatSchema } from './common.ts';
export type {
  CompiledElement,
  CompiledPart,
  ElementContext,
  Need,
  Repeat,
  Resources,
} from './common.ts';
export { findPictureDpi, pictureMap, pictureSize, type Picture } from './picture.ts';
export type { Part } from './part.ts';
export type { Plate } from './plate.ts';
export { outlinesOfWords, type Words } from './words.ts';
