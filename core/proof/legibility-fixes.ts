import { luminance, mixed, rgbOf } from '../color/index.ts';
import { boxesMeet, fitCurves, offsetRegion, ringsPath } from '../geometry/index.ts';
import type { CommandCall } from '../job/index.ts';
import {
  isPlain,
  leadColor,
  recoloredFill,
  seenBox,
  type Fill,
  type PieceElement,
} from '../piece/index.ts';
import { centredOutline, pathNodes } from '../shape/index.ts';
import type { Fix } from './finding.ts';
import { change, letterBoxes, type SetElement } from './words-in-piece.ts';

const LIGHT = '#fffdf9';
const DARK = '#2a1b2e';
const AROUND = 1.1; // mm of a ribbon around the letters
const CLOSED = 2.2; // mm: gaps between letters that a ribbon closes

/** A way to make words stand out from what lies beneath them. */
export type LegibilityFix = Extract<
  Fix,
  { code: 'put-plate-behind' | 'outline-letters' | 'calm-ground' | 'print-light' | 'print-dark' }
>;

/**
 * The ways that suit words, the safest first: a plate in their outline, an outline of the letters, a
 * calmer ground, and for plain words on a plain ground another ink.
 * @param beneath the luminance of most of what lies beneath, 0 to 1
 */
export function legibilityFixes(found: SetElement, beneath: number): LegibilityFix[] {
  const { element, piece } = found;
  if (!found.set.ink) return [];
  const isDark = luminance(rgbOf(leadColor(element.color))) < 0.18;
  const against = isDark ? LIGHT : DARK;
  const size = found.set.size;
  const rim = Math.max(0.25, Math.round(size * 0.35) / 10);
  const plate = findPlate(found, against);
  const at = piece.piece.elements.indexOf(element);
  const calm = findCalm(found, isDark);
  return [
    ...(plate
      ? [
          {
            code: 'put-plate-behind' as const,
            values: {},
            call: {
              name: 'add-element' as const,
              args: { piece: piece.piece.id, element: plate, at },
            },
          },
        ]
      : []),
    {
      code: 'outline-letters',
      values: {},
      call: change(found, { outlines: [{ color: against, width: rim }] }),
    },
    ...(calm ? [{ code: 'calm-ground' as const, values: {}, call: calm }] : []),
    ...(isDark === beneath < 0.18
      ? [
          {
            code: isDark ? ('print-light' as const) : ('print-dark' as const),
            values: {},
            call: change(found, { color: against }),
          },
        ]
      : []),
  ];
}

/** A ribbon in the outline of the words, wherever they run: their letters grown until they meet. */
function findPlate(found: SetElement, color: string): PieceElement | undefined {
  const letters = letterBoxes(found);
  if (letters.length === 0) return undefined;
  const joined = offsetRegion(letters, CLOSED, 'round');
  const ribbon = offsetRegion(joined, AROUND - CLOSED, 'round');
  const { path } = fitCurves(ribbon.length ? ribbon : joined, { tolerance: 0.06, blur: 0 });
  const rings = pathNodes(path.length ? path : ringsPath(ribbon));
  if (rings.length === 0) return undefined;
  const { shape, centre } = centredOutline(rings);
  return {
    id: '',
    kind: 'plate',
    ...centre,
    angle: 0,
    locked: false,
    shape,
    fill: { color, opacity: 0.92 },
    line: null,
  };
}

const FAR = 0.72; // how far a calmed colour goes to the ground

/** A pattern in colours nearer to its ground, or the pictures beneath made pale. */
function findCalm(found: SetElement, isDark: boolean): CommandCall | undefined {
  const { element, piece } = found;
  const { ground, elements, id } = piece.piece;
  const box = seenBox(found);
  const beneath = elements.slice(0, elements.indexOf(element));
  const busy = piece.elements.filter(
    (one) =>
      beneath.includes(one.element) &&
      (one.element.kind === 'picture' || one.element.kind === 'ornament') &&
      boxesMeet(seenBox(one), box),
  );
  if (busy.length) {
    const changes = Object.fromEntries(busy.map((one) => [one.element.id, { opacity: 0.25 }]));
    return { name: 'change-elements', args: { piece: id, changes, doing: 'calm' } };
  }
  if (!ground || isPlain(ground)) return undefined;
  const towards = isDark ? '#ffffff' : '#15101a';
  return {
    name: 'change-piece',
    args: { piece: id, changes: { ground: calmed(ground, towards) } },
  };
}

function calmed(fill: Fill, towards: string): Fill {
  if (isPlain(fill) || fill.kind === 'picture') return mixed(leadColor(fill), towards, 0.8);
  if (fill.kind === 'pattern') {
    const base = fill.ground ?? towards;
    return { ...fill, inks: fill.inks.map((ink) => mixed(ink, base, FAR)) };
  }
  return recoloredFill(fill, (color) => mixed(color, towards, 0.6));
}
