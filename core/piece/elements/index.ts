import { z } from 'zod';
import type { Art } from '../../art/index.ts';
import type { CompiledElement, ElementContext, ElementKind } from './common.ts';
import { part, partSchema } from './part.ts';
import { picture, pictureSchema } from './picture.ts';
import { alongRim, plate, plateSchema } from './plate.ts';
import { words, wordsSchema } from './words.ts';

/** Whatever stands in a piece. */
export const elementSchema = z.discriminatedUnion('kind', [
  pictureSchema,
  wordsSchema,
  plateSchema,
  partSchema,
]);
export type PieceElement = z.infer<typeof elementSchema>;

/** All kinds of element; adding one touches its own file and this line. */
const KINDS = { picture, words, plate, piece: part };

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

/** The element as a drawing about its own centre. */
export function compileElement(element: PieceElement, context: ElementContext): CompiledElement {
  return kindOf(element).compile(element, context);
}

/** How an element is called in lists and behind “Undo”. */
export function elementTitle(element: PieceElement, art: (id: string) => Art | undefined): string {
  return kindOf(element).title(element, art);
}

export { alongRim };
export type { CompiledElement, CompiledPart, ElementContext, Need, Resources } from './common.ts';
export { findPictureDpi, pictureMap, pictureSize, type Picture } from './picture.ts';
export type { Part } from './part.ts';
export type { Plate } from './plate.ts';
export type { Words } from './words.ts';
