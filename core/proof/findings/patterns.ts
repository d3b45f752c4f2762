import {
  drawnScale,
  elementSize,
  elementTitle,
  isPlain,
  pieceSize,
  withFills,
  type Fill,
  type Piece,
} from '../../piece/index.ts';
import type { Finding, FindingKind } from '../finding.ts';

interface Filled {
  /** Undefined for the ground. */
  readonly element?: string;
  readonly called: string;
  readonly fill: Fill;
  readonly box: { readonly width: number; readonly height: number };
}

/** All fills of a piece with the boxes that they fill, mm. */
function fillsOf(piece: Piece): Filled[] {
  const { width, height } = pieceSize(piece);
  const found: Filled[] = [];
  if (piece.ground !== null)
    found.push({
      called: `The ground of “${piece.name}”`,
      fill: piece.ground,
      box: { width: width + 2 * piece.bleed, height: height + 2 * piece.bleed },
    });
  for (const element of piece.elements)
    withFills(element, (fill) => {
      const called = `“${elementTitle(element, () => undefined)}” on “${piece.name}”`;
      found.push({ element: element.id, called, fill, box: elementSize(element) });
      return fill;
    });
  return found;
}

export const patternTooFine: FindingKind = {
  code: 'pattern-too-fine',
  check: ({ compiled }) =>
    compiled.job.pieces.flatMap((piece) =>
      fillsOf(piece).flatMap(({ element, called, fill, box }): Finding[] => {
        if (isPlain(fill) || fill.kind !== 'pattern') return [];
        const drawn = drawnScale(fill, box);
        if (drawn <= fill.scale) return [];
        const [asked, made] = [fill.scale, drawn].map((scale) => `${Math.round(scale * 100)} %`);
        return [
          {
            code: 'pattern-too-fine',
            severity: 'warning',
            where: { piece: piece.id, ...(element === undefined ? {} : { element }) },
            what: `${called} has its pattern at ${asked}; it is drawn at ${made}, the finest that so large a room can have.`,
            why: 'Finer ones melt into one colour and would take minutes to draw.',
          },
        ];
      }),
    ),
};
