import { contrastRatio, luminance, rgbOf } from '../../color/index.ts';
import { SMALLEST_MODULE } from '../../code/index.ts';
import { boxesMeet, flatten, isInside, corners } from '../../geometry/index.ts';
import { elementTitle, hasPlaceholders, leadColor, seenBox } from '../../piece/index.ts';
import { copyOf, type Job } from '../../job/index.ts';
import { shapePath } from '../../shape/index.ts';
import { copyParts, type CopyId } from '../../sheet/index.ts';
import { allCodes, codesOf, codeTitle, moduleOf, type PlacedCode } from '../codes-in-piece.ts';
import type { Finding, FindingKind, ProofContext, Where } from '../finding.ts';
import type { CodeProblem, RowLabel } from '../finding-values.ts';
import { rounded, rowLabel, some } from '../row-names.ts';
import { change } from '../words-in-piece.ts';

/** A code as it is on one copy, with how people know that copy; nothing where all copies say the same. */
interface SaidCode extends PlacedCode {
  readonly of?: RowLabel;
}

/** A code with each that is printed of it: one where all copies say the same. */
function saidCodes(found: PlacedCode, { compiled }: ProofContext): SaidCode[] {
  if (!found.piece.numbered || !hasPlaceholders(found.element.text)) return [found];
  const copies = compiled.sheets.flatMap((sheet) => sheet.copies);
  return copies.flatMap(({ piece, placement: { copy } }): SaidCode[] =>
    piece.piece.id === found.piece.piece.id
      ? codesOf(piece)
          .filter(({ element }) => element.id === found.element.id)
          .map((one) => ({ ...one, of: copyLabel(compiled.job, copy) }))
      : [],
  );
}

/** A copy as people know it: by its row, or by its number. */
function copyLabel(job: Job, copy: CopyId): RowLabel {
  const row = copyOf(job, copy)?.row;
  return job.list && row ? rowLabel(job.list, row) : { copy: copyParts(copy).which };
}

const place = ({ piece, element }: PlacedCode, box: Where['box']): Where => ({
  piece: piece.piece.id,
  element: element.id,
  ...(box ? { box } : {}),
});
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
      const rows = wrong.flatMap(({ of }) => of ?? []);
      const unlike = new Map(rows.map((row) => [JSON.stringify(row), row]));
      const { code, values } = first.problem;
      const right = first.said.replace(/[\s-]/g, '').slice(0, -1);
      return [
        {
          code: 'code-unread',
          severity: 'blocker',
          where: place(found, seenBox(found)),
          values: {
            ...some([...unlike.values()]),
            problem: { code, values } as CodeProblem,
          },
          ...(first.problem.code === 'code/check-digit' && rows.length === 0
            ? {
                fix: {
                  code: 'check-digit',
                  values: {},
                  call: change(found, { text: right }),
                },
              }
            : {}),
        },
      ];
    }),
};

/** Codes whose smallest bar is finer than scanners and phones read from a print. */
export const codeTooSmall: FindingKind = {
  code: 'code-too-small',
  check: (context) =>
    allCodes(context).flatMap((found): Finding[] => {
      const modules = saidCodes(found, context).flatMap((one) => moduleOf(one) ?? []);
      const module = modules.reduce((finest, one) => Math.min(finest, one), Infinity);
      const least = SMALLEST_MODULE[found.element.symbology];
      if (module >= least - 0.004) return [];
      const { element } = found;
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
          values: { title: codeTitle(element), module: rounded(module, 2), least },
          fix: {
            code: 'width-of',
            values: { width: Math.round(width) },
            call: change(found, { width, height }, 'enlarge'),
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
      return [
        {
          code: 'code-crowded',
          severity: 'warning',
          where: place(found, box),
          values: {
            title: codeTitle(found.element),
            ...(cut || !over
              ? {}
              : { by: elementTitle(over.element, (id) => context.compiled.job.art[id]) }),
          },
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
      const { element } = found;
      const { ground } = found.piece.piece;
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
          values: { title: codeTitle(element) },
          fix: {
            code: 'black-on-white',
            values: {},
            call: change(found, { color: '#000000', ground: '#ffffff' }),
          },
        },
      ];
    }),
};
