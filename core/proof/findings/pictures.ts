import { boxAbout } from '../../geometry/index.ts';
import {
  artOfElement,
  artOfFill,
  elementSize,
  elementTitle,
  findPictureDpi,
  type Picture,
  type PieceElement,
} from '../../piece/index.ts';
import type { Finding, FindingKind, ProofContext } from '../finding.ts';
import { rounded } from '../row-names.ts';

const LEAST = 200; // dpi

export const lowResolution: FindingKind = {
  code: 'low-resolution',
  check: ({ compiled }) =>
    compiled.job.pieces.flatMap((piece) =>
      piece.elements.flatMap((element): Finding[] => {
        const art = element.kind === 'picture' ? compiled.job.art[element.art] : undefined;
        const dpi = element.kind === 'picture' && art ? findPictureDpi(element, art) : undefined;
        if (dpi === undefined || dpi >= LEAST - 0.5) return [];
        const name = elementTitle(element, (id) => compiled.job.art[id]);
        return [
          {
            code: 'low-resolution',
            severity: 'warning',
            where: {
              piece: piece.id,
              element: element.id,
              box: boxAbout(element, elementSize(element).width, elementSize(element).height),
            },
            values: { title: name, dpi: Math.round(dpi), least: LEAST },
            fix: smaller(piece.id, element as Picture, dpi / LEAST),
          },
        ];
      }),
    ),
};

function smaller(piece: string, element: Picture, scale: number): NonNullable<Finding['fix']> {
  const width = element.width * scale;
  const height = element.height * scale;
  return {
    code: 'width-of',
    values: { width: rounded(width, 1) },
    call: {
      name: 'change-elements',
      args: { piece, changes: { [element.id]: { width, height } }, doing: 'mend' },
    },
  };
}

/** Pictures of pieces whose files are damaged: nothing of them is drawn. */
function damagedIn({ compiled: { job }, damaged }: ProofContext): Finding[] {
  if (!damaged?.size) return [];
  return job.pieces.flatMap((piece) => {
    const places: [PieceElement | undefined, readonly string[]][] = [
      [undefined, artOfFill(piece.ground)],
      ...piece.elements.map((one): [PieceElement, readonly string[]] => [one, artOfElement(one)]),
    ];
    return places.flatMap(([element, ids]) =>
      ids
        .filter((id) => damaged.has(id))
        .map((id): Finding => ({
          code: 'art-missing',
          severity: 'blocker',
          where: { piece: piece.id, ...(element ? { element: element.id } : {}) },
          values: { piece: piece.name, damaged: job.art[id]?.name ?? '' },
        })),
    );
  });
}

export const artMissing: FindingKind = {
  code: 'art-missing',
  check: (context) => [...damagedIn(context), ...missingIn(context)],
};

const missingIn = ({ compiled }: ProofContext): Finding[] =>
  [...compiled.pieces.values()].flatMap((piece) =>
    piece.elements.flatMap(({ element, compiled: drawn }): Finding[] =>
      drawn.needs.map(({ kind }) => ({
        code: 'art-missing',
        severity: 'blocker',
        where: {
          piece: piece.piece.id,
          element: element.id,
          box: boxAbout(element, drawn.width, drawn.height),
        },
        values: { piece: piece.piece.name, missing: kind },
      })),
    ),
  );
