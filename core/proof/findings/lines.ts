import { onceFor } from '../../base/index.ts';
import { rounded } from '../row-names.ts';
import type { DrawingNode } from '../../drawing/index.ts';
import { boxAbout, IDENTITY, scaleOf } from '../../geometry/index.ts';
import { elementTitle, type PieceElement, type PlacedElement } from '../../piece/index.ts';
import { MM_PER_PT } from '../../units/index.ts';
import type { Finding, FindingKind } from '../finding.ts';

/** The thinnest line that printers hold, mm. */
const HAIRLINE = 0.25 * MM_PER_PT;
/** What a line that is too thin is made, mm. */
const THIN = 0.1;

export const hairline: FindingKind = {
  code: 'hairline',
  check: ({ compiled }) =>
    [...compiled.pieces.values()].flatMap(({ piece, elements }) =>
      elements.flatMap((placed): Finding[] => {
        const width = thinnest(placed);
        if (width >= HAIRLINE - 1e-6) return [];
        const { element } = placed;
        const thicker = thickened(element);
        return [
          {
            code: 'hairline',
            severity: 'warning',
            where: {
              piece: piece.id,
              element: element.id,
              box: boxAbout(element, placed.compiled.width, placed.compiled.height),
            },
            values: {
              title: elementTitle(element, (id) => compiled.job.art[id]),
              width: rounded(width, 3),
            },
            ...(thicker
              ? {
                  fix: {
                    code: 'line-width',
                    values: { width: THIN },
                    call: {
                      name: 'change-elements',
                      args: { piece: piece.id, changes: { [element.id]: thicker }, doing: 'mend' },
                    },
                  },
                }
              : {}),
          },
        ];
      }),
    ),
};

/** The width of the thinnest line that is drawn, mm; dots and dashes are shapes as wide as their line. */
function thinnest({ element, node }: PlacedElement): number {
  const rims = element.kind === 'words' ? (element.outlines ?? []) : [];
  return Math.min(
    lineOf(element)?.width ?? Infinity,
    ...rims.map(({ width }) => width),
    thinnestStroke(node),
  );
}

/** The thinnest line of a drawing; what is drawn around letters only makes them thicker. */
const thinnestStroke = onceFor((node: DrawingNode): number => {
  switch (node.kind) {
    case 'path':
      return node.stroke?.width ?? Infinity;
    case 'group':
      return scaleOf(node.transform ?? IDENTITY) * Math.min(...node.children.map(thinnestStroke));
    default:
      return Infinity;
  }
});

const lineOf = (element: PieceElement) =>
  element.kind === 'line' || element.kind === 'plate' ? element.line : undefined;

function thickened(element: PieceElement): object | undefined {
  const line = lineOf(element);
  return line && line.width < THIN ? { line: { ...line, width: THIN } } : undefined;
}
