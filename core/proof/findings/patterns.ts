import {
  drawnScale,
  elementSize,
  elementTitle,
  isPlain,
  pieceSize,
  withFills,
  type ElementTitle,
  type Fill,
  type Piece,
} from '../../piece/index.ts';
import type { Finding, FindingKind } from '../finding.ts';
import { rounded } from '../row-names.ts';

interface Filled {
  /** Undefined for the ground. */
  readonly element?: string;
  /** Undefined for the ground. */
  readonly title?: ElementTitle;
  readonly fill: Fill;
  readonly box: { readonly width: number; readonly height: number };
}

/** All fills of a piece with the boxes that they fill, mm. */
function fillsOf(piece: Piece): Filled[] {
  const { width, height } = pieceSize(piece);
  const found: Filled[] = [];
  if (piece.ground !== null)
    found.push({
      fill: piece.ground,
      box: { width: width + 2 * piece.bleed, height: height + 2 * piece.bleed },
    });
  for (const element of piece.elements)
    withFills(element, (fill) => {
      const title = elementTitle(element, () => undefined);
      found.push({ element: element.id, title, fill, box: elementSize(element) });
      return fill;
    });
  return found;
}

export const patternTooFine: FindingKind = {
  code: 'pattern-too-fine',
  check: ({ compiled }) =>
    compiled.job.pieces.flatMap((piece) =>
      fillsOf(piece).flatMap(({ element, title, fill, box }): Finding[] => {
        if (isPlain(fill) || fill.kind !== 'pattern') return [];
        const drawn = drawnScale(fill, box);
        if (drawn <= fill.scale) return [];
        return [
          {
            code: 'pattern-too-fine',
            severity: 'warning',
            where: { piece: piece.id, ...(element === undefined ? {} : { element }) },
            values: {
              piece: piece.name,
              ...(title === undefined ? {} : { title }),
              asked: rounded(fill.scale, 2),
              drawn: rounded(drawn, 2),
            },
          },
        ];
      }),
    ),
};
