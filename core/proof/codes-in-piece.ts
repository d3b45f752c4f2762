import {
  elementTitle,
  findCodeLayout,
  type Code,
  type CompiledPiece,
  type ElementTitle,
  type PlacedElement,
} from '../piece/index.ts';
import type { ProofContext } from './finding.ts';

/** A code in its piece. */
export interface PlacedCode extends PlacedElement {
  readonly element: Code;
  readonly piece: CompiledPiece;
}

/** The codes of a piece. */
export const codesOf = (piece: CompiledPiece): PlacedCode[] =>
  piece.elements.flatMap((placed): PlacedCode[] =>
    placed.element.kind === 'code' ? [{ ...placed, element: placed.element, piece }] : [],
  );

/** All codes of a job. */
export const allCodes = ({ compiled }: Pick<ProofContext, 'compiled'>): PlacedCode[] =>
  [...compiled.pieces.values()].flatMap(codesOf);

/** How a code is called. */
export const codeTitle = (code: Code): ElementTitle => elementTitle(code, () => undefined);

/** The width of the smallest bar of a code as it is printed; undefined where it cannot be written. */
export const moduleOf = ({ element, compiled: { code } }: PlacedCode): number | undefined =>
  code && findCodeLayout(element, code.made)?.module;
