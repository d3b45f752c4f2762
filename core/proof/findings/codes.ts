import { contrastRatio, luminance, rgbOf } from '../../color/index.ts';
import { SMALLEST_MODULE } from '../../code/index.ts';
import { boxesMeet, flatten, isInside, corners } from '../../geometry/index.ts';
import {
  elementTitle,
  findCodeLayout,
  hasPlaceholders,
  leadColor,
  seenBox,
  type Code,
  type CompiledPiece,
  type PlacedElement,
} from '../../piece/index.ts';
import { copyOf, type Job } from '../../job/index.ts';
import { shapePath } from '../../shape/index.ts';
import { copyParts, type CopyId } from '../../sheet/index.ts';
import type { Finding, FindingKind, ProofContext, Where } from '../finding.ts';
import { rowName, some } from '../row-names.ts';

interface PlacedCode extends PlacedElement {
  readonly element: Code;
  readonly piece: CompiledPiece;
}

const codesOf = (piece: CompiledPiece): PlacedCode[] =>
  piece.elements.flatMap((placed): PlacedCode[] =>
    placed.element.kind === 'code' ? [{ ...placed, element: placed.element, piece }] : [],
  );

const allCodes = ({ compiled }: ProofContext): PlacedCode[] =>
  [...compiled.pieces.values()].flatMap(codesOf);

/** A code as it is on one copy, with how people know that copy; nothing where all copies say the same. */
interface SaidCode extends PlacedCode {
  readonly of: string;
}

/** A code with each that is printed of it: one where all copies say the same. */
function saidCodes(found: PlacedCode, { compiled }: ProofContext): SaidCode[] {
  if (!found.piece.numbered || !hasPlaceholders(found.element.text)) return [{ ...found, of: '' }];
  const copies = compiled.sheets.flatMap((sheet) => sheet.copies);
  return copies.flatMap(({ piece, placement: { copy } }): SaidCode[] =>
    piece.piece.id === found.piece.piece.id
      ? codesOf(piece)
          .filter(({ element }) => element.id === found.element.id)
          .map((one) => ({ ...one, of: copyName(compiled.job, copy) }))
      : [],
  );
}

/** A copy as people know it: by its row, or by its number. */
function copyName(job: Job, copy: CopyId): string {
  const row = copyOf(job, copy)?.row;
  return job.list && row ? rowName(job.list, row) : `no. ${copyParts(copy).which}`;
}

const place = ({ piece, element }: PlacedCode, box: Where['box']): Where => ({
  piece: piece.piece.id,
  element: element.id,
  ...(box ? { box } : {}),
});
const named = (code: Code): string => elementTitle(code, () => undefined);

/** Codes whose text cannot be written: a wrong check digit is mended, the rest has to be typed. */
export const codeUnread: FindingKind = {
  code: 'code-unread',
  check: (context) =>
    allCodes(context).flatMap((found): Finding[] => {
      const wrong = saidCodes(found, context).flatMap(({ compiled: { code }, of }) =>
        code && !code.made.ok ? [{ of, said: code.said, problem: code.made.problem }] : [],
      );
      const [first] = wrong;
      if (!first) return [];
      const { piece, element } = found;
      const rows = [...new Set(wrong.map(({ of }) => of).filter(Boolean))];
      const who = rows.length === 1 ? `${rows[0]}: ` : `${rows.length} codes, of ${some(rows)}: `;
      const right = first.said.replace(/[\s-]/g, '').slice(0, -1);
      return [
        {
          code: 'code-unread',
          severity: 'blocker',
          where: place(found, seenBox(found)),
          what: (rows.length ? who : '') + first.problem.what,
          why: first.problem.remedy,
          ...(first.problem.code === 'code/check-digit' && rows.length === 0
            ? {
                fix: {
                  label: 'Set the right check digit',
                  call: {
                    name: 'change-elements',
                    args: {
                      piece: piece.piece.id,
                      changes: { [element.id]: { text: right } },
                      doing: 'mend',
                    },
                  },
                },
              }
            : {}),
        },
      ];
    }),
};

/** The width of the smallest bar of a code as it is printed; undefined where it cannot be written. */
const moduleOf = ({ element, compiled: { code } }: PlacedCode): number | undefined =>
  code && findCodeLayout(element, code.made)?.module;

/** Codes whose smallest bar is finer than scanners and phones read from a print. */
export const codeTooSmall: FindingKind = {
  code: 'code-too-small',
  check: (context) =>
    allCodes(context).flatMap((found): Finding[] => {
      const modules = saidCodes(found, context).flatMap((one) => moduleOf(one) ?? []);
      const module = modules.reduce((finest, one) => Math.min(finest, one), Infinity);
      const least = SMALLEST_MODULE[found.element.symbology];
      if (module >= least - 0.004) return [];
      const { piece, element } = found;
      const scale = least / module;
      const [width, height] = [
        element.width * scale,
        element.height * (element.symbology === 'qr' ? scale : 1),
      ];
      return [
        {
          code: 'code-too-small',
          severity: 'warning',
          where: place(found, seenBox(found)),
          what: `The smallest bar of “${named(element)}” is ${module.toFixed(2)} mm; ${least} mm can be read.`,
          why: 'Ink spreads, and finer bars run together.',
          fix: {
            label: `Make it ${width.toFixed(0)} mm wide`,
            call: {
              name: 'change-elements',
              args: {
                piece: piece.piece.id,
                changes: { [element.id]: { width, height } },
                doing: 'enlarge',
              },
            },
          },
        },
      ];
    }),
};

/** Codes with something in their clear zone, or that reach over the edge. */
export const codeCrowded: FindingKind = {
  code: 'code-crowded',
  check: (context) =>
    allCodes(context).flatMap((found): Finding[] => {
      const box = seenBox(found);
      const rings = flatten(shapePath(found.piece.piece.edge));
      const cut = corners(box).some((corner) => !isInside(corner, rings));
      const order = found.piece.piece.elements;
      const over = found.piece.elements.find(
        (one) =>
          order.indexOf(one.element) > order.indexOf(found.element) && boxesMeet(seenBox(one), box),
      );
      if (!cut && !over) return [];
      const by = over ? elementTitle(over.element, (id) => context.compiled.job.art[id]) : '';
      return [
        {
          code: 'code-crowded',
          severity: 'warning',
          where: place(found, box),
          what: cut
            ? `“${named(found.element)}” reaches over the edge with its clear zone.`
            : `“${by}” stands in the clear zone of “${named(found.element)}”.`,
          why: 'A scanner finds a code by the clear zone around it.',
        },
      ];
    }),
};

const WANTED = 3;

/** Codes that are too pale, or lighter than what lies behind them. */
export const codePale: FindingKind = {
  code: 'code-pale',
  check: (context) =>
    allCodes(context).flatMap((found): Finding[] => {
      const { piece, element } = found;
      const { ground } = piece.piece;
      const behind =
        element.ground ?? (ground ? leadColor(ground) : context.compiled.job.material.color);
      const [dark, light] = [element.color, behind].map((one) => luminance(rgbOf(one)));
      if (dark === undefined || light === undefined) return [];
      if (dark < light && contrastRatio(dark, light) >= WANTED) return [];
      return [
        {
          code: 'code-pale',
          severity: 'warning',
          where: place(found, seenBox(found)),
          what: `“${named(element)}” is not dark enough on what lies behind it.`,
          why: 'Scanners look for dark bars on a light ground.',
          fix: {
            label: 'Print it black on white',
            call: {
              name: 'change-elements',
              args: {
                piece: piece.piece.id,
                changes: { [element.id]: { color: '#000000', ground: '#ffffff' } },
                doing: 'mend',
              },
            },
          },
        },
      ];
    }),
};
