import { flatten } from '../../geometry/index.ts';
import type { ElementChanges } from '../../job/index.ts';
import { textsOf, type Words } from '../../piece/index.ts';
import { shapePath } from '../../shape/index.ts';
import { elementKey, type Finding, type FindingKind, type MeasuredContrast } from '../finding.ts';
import { legibilityFixes } from '../legibility-fixes.ts';
import {
  allWords,
  change,
  nearestToEdge,
  on,
  place,
  quoted,
  type SetElement,
} from '../words-in-piece.ts';

const SMALLEST = 6; // pt that prints clearly on a home printer
const SHORTEST = 4; // pt below which no fix goes

const points = (size: number): string => `${(Math.floor(size * 10) / 10).toFixed(1)} pt`;

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
          what: `${quoted(found.said)} is too long for its room at ${points(found.set.size)}${on(found, context)}.`,
          why: 'The letters run out over what stands beside them.',
          ...(shrink
            ? {
                fix: {
                  label: 'Let it shrink',
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
        what: `${quoted(found.said)} prints at ${points(found.set.size)}${on(found, context)}.`,
        why: `Below ${SMALLEST} pt letters fill in on a home printer.`,
        fix: {
          label: `Set to ${SMALLEST} pt`,
          call: change(found, { size: Math.max(SMALLEST, found.element.size), least: SMALLEST }),
        },
      })),
};

export const missingGlyph: FindingKind = {
  code: 'missing-glyph',
  check: (context) =>
    [
      ...allWords(context).map(({ element, set, piece, compiled, said }) => ({
        ...{ element, piece, compiled, said },
        missing: set.missing,
      })),
      ...[...context.compiled.pieces.values()].flatMap((piece) =>
        piece.elements.map(({ element, compiled }) => ({
          ...{ element, piece, compiled },
          missing: compiled.missing ?? [],
          said: textsOf(element).join(' + '),
        })),
      ),
    ]
      .filter(({ missing }) => missing.length > 0)
      .map((found): Finding => ({
        code: 'missing-glyph',
        severity: 'blocker',
        where: place(found),
        what: `The typeface of ${quoted(found.said)} has no ${found.missing.map((text) => `“${text}”`).join(', ')}.`,
        why: 'An empty box would be printed in its place.',
      })),
};

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
          what: `${quoted(found.said)} stands out by ${measured.ratio.toFixed(1)} : 1 from what lies beneath${on(found, context)}; ${measured.wanted} : 1 is needed.`,
          why: 'In poor light or at arm’s length it cannot be read.',
          ...firstWay(found, measured),
        },
      ];
    }),
};

/** The safest way to make words readable. */
function firstWay(found: SetElement, { beneath }: MeasuredContrast): Pick<Finding, 'fix'> {
  const [way] = legibilityFixes(found, beneath);
  return way ? { fix: { label: way.label, call: way.call } } : {};
}

export const wordsNearEdge: FindingKind = {
  code: 'words-near-edge',
  check: (context) =>
    allWords(context).flatMap((found): Finding[] => {
      const { element, piece } = found;
      const rings = flatten(shapePath(piece.piece.edge));
      const near = nearestToEdge(found, element, rings);
      if (near >= piece.piece.safe - 0.05) return [];
      const moved = mended(found, piece.piece.safe - near);
      const mends = moved && nearestToEdge(found, moved, rings) >= piece.piece.safe - 0.05;
      return [
        {
          code: 'words-near-edge',
          severity: near < 0 ? 'blocker' : 'warning',
          where: place(found),
          what:
            near < 0
              ? `${quoted(found.said)} is cut off by the edge${on(found, context)}.`
              : `${quoted(found.said)} stands ${near.toFixed(1)} mm from the edge${on(found, context)}; ${piece.piece.safe} mm is safe.`,
          why: 'A cut that is a little off makes it look lopsided or takes letters with it.',
          ...(mends
            ? { fix: { label: 'Move it inwards', call: change(found, inward(moved)) } }
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
