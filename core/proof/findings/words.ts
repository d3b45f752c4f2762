import type { ElementChanges } from '../../job/index.ts';
import { textsOf, type Words } from '../../piece/index.ts';
import {
  elementKey,
  type Finding,
  type FindingKind,
  type Fix,
  type MeasuredContrast,
  type ProofContext,
} from '../finding.ts';
import { legibilityFixes } from '../legibility-fixes.ts';
import {
  allWords,
  change,
  nearestToEdge,
  place,
  quotable,
  wordsOn,
  type SetElement,
} from '../words-in-piece.ts';
import { rounded } from '../row-names.ts';

const SMALLEST = 6; // pt that prints clearly on a home printer
const SHORTEST = 4; // pt below which no fix goes

const points = (size: number): number => Math.floor(size * 10) / 10;

export const wordsDoNotFit: FindingKind = {
  code: 'words-do-not-fit',
  check: (context) =>
    allWords(context)
      .filter(({ set }) => set.overflows)
      .map((found): Finding => {
        const { element } = found;
        const shrink = element.fit === 'fixed' || element.least > SHORTEST;
        return {
          code: 'words-do-not-fit',
          severity: 'warning',
          where: place(found),
          values: { ...wordsOn(found, context), size: points(found.set.size) },
          ...(shrink
            ? {
                fix: {
                  code: 'shrink-words',
                  values: {},
                  call: change(found, {
                    fit: element.fit.startsWith('wrap') ? 'wrap-shrink' : 'shrink',
                    least: SHORTEST,
                  }),
                },
              }
            : {}),
        };
      }),
};

export const wordsTooSmall: FindingKind = {
  code: 'words-too-small',
  check: (context) =>
    allWords(context)
      .filter(({ set, element }) => set.size < SMALLEST - 0.05 && element.text.trim() !== '')
      .map((found): Finding => ({
        code: 'words-too-small',
        severity: 'warning',
        where: place(found),
        values: {
          ...wordsOn(found, context),
          size: points(found.set.size),
          least: SMALLEST,
        },
        fix: {
          code: 'set-size',
          values: { size: SMALLEST },
          call: change(found, { size: Math.max(SMALLEST, found.element.size), least: SMALLEST }),
        },
      })),
};

export const missingGlyph: FindingKind = {
  code: 'missing-glyph',
  check: (context) =>
    [
      ...allWords(context).map((found) => ({
        ...found,
        missing: found.set.missing,
        fix: inAnotherFace(found, context),
      })),
      ...[...context.compiled.pieces.values()].flatMap((piece) =>
        piece.elements.map(({ element, compiled }) => ({
          ...{ element, piece, compiled },
          missing: compiled.missing ?? [],
          said: textsOf(element).join(' + '),
          fix: undefined,
        })),
      ),
    ]
      .filter(({ missing }) => missing.length > 0)
      .map(({ fix, ...found }): Finding => ({
        code: 'missing-glyph',
        severity: 'blocker',
        where: place(found),
        values: { words: quotable(found.said), letters: found.missing },
        ...(fix ? { fix } : {}),
      })),
};

/** Words set in a typeface that has their letters, where one is known. */
function inAnotherFace(found: SetElement, { standIns }: ProofContext): Fix | undefined {
  const standIn = standIns?.get(elementKey(found.piece.piece.id, found.element.id));
  return (
    standIn && {
      code: 'set-typeface',
      values: { family: standIn.family },
      call: change(found, { typeface: standIn.id }),
    }
  );
}

export const lowContrast: FindingKind = {
  code: 'low-contrast',
  check: (context) =>
    allWords(context).flatMap((found): Finding[] => {
      const measured = context.contrasts.get(elementKey(found.piece.piece.id, found.element.id));
      if (!measured || measured.ratio >= measured.wanted - 0.05) return [];
      return [
        {
          code: 'low-contrast',
          severity: 'warning',
          where: place(found),
          values: {
            ...wordsOn(found, context),
            ratio: rounded(measured.ratio, 1),
            wanted: measured.wanted,
          },
          ...firstWay(found, measured),
        },
      ];
    }),
};

/** The safest way to make words readable. */
function firstWay(found: SetElement, { beneath }: MeasuredContrast): Pick<Finding, 'fix'> {
  const [way] = legibilityFixes(found, beneath);
  return way ? { fix: way } : {};
}

export const wordsNearEdge: FindingKind = {
  code: 'words-near-edge',
  check: (context) =>
    allWords(context).flatMap((found): Finding[] => {
      const { element, piece } = found;
      const near = nearestToEdge(found, element);
      if (near >= piece.piece.safe - 0.05) return [];
      const moved = mended(found, piece.piece.safe - near);
      const mends = moved && nearestToEdge(found, moved) >= piece.piece.safe - 0.05;
      return [
        {
          code: 'words-near-edge',
          severity: near < 0 ? 'blocker' : 'warning',
          where: place(found),
          values: {
            ...wordsOn(found, context),
            // How far it is cut off says nothing.
            distance: near < 0 ? -1 : rounded(near, 1),
            safe: piece.piece.safe,
          },
          ...(mends
            ? { fix: { code: 'move-inwards', values: {}, call: change(found, inward(moved)) } }
            : {}),
        },
      ];
    }),
};

const inward = (moved: Words): ElementChanges =>
  moved.path.kind === 'circle' ? { path: moved.path } : { x: moved.x, y: moved.y };

/** The element moved towards the middle, or on a smaller circle. */
function mended({ element }: SetElement, by: number): Words | undefined {
  if (element.path.kind === 'circle') {
    return { ...element, path: { ...element.path, radius: element.path.radius - by - 0.1 } };
  }
  const away = Math.hypot(element.x, element.y);
  if (away < 0.5) return undefined;
  const share = Math.max(0, (away - by * 1.5 - 0.2) / away);
  return { ...element, x: element.x * share, y: element.y * share };
}
