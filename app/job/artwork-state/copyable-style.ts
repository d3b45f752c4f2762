import type { ElementChanges } from '../../../core/job/index.ts';
import { colorsOfPieces, leadColor, type PieceElement } from '../../../core/piece/index.ts';

/** What of each kind of element is its look, and can be given to another of its kind. */
const COPYABLE: Readonly<Record<PieceElement['kind'], readonly string[]>> = {
  words: [
    'typeface',
    'size',
    'tracking',
    'leading',
    'case',
    'color',
    'thicken',
    'outlines',
    'shadow',
  ],
  plate: ['fill', 'line'],
  ornament: ['inks', 'weight'],
  line: ['line', 'fill'],
  combined: ['fill', 'line'],
  code: ['color', 'ground'],
  picture: ['fit'],
  piece: [],
};

/** The changes that give an element the look of another; of another kind it takes the colour. */
export function copyableStyle(source: PieceElement, element: PieceElement): ElementChanges {
  const given = source as unknown as Record<string, unknown>;
  const shared = { opacity: source.opacity };
  if (source.kind === element.kind)
    return {
      ...shared,
      ...Object.fromEntries(COPYABLE[source.kind].map((key) => [key, given[key]])),
    };
  const color =
    source.kind === 'words'
      ? leadColor(source.color)
      : colorsOfPieces([{ ground: null, elements: [source] }])[0];
  if (!color) return shared;
  switch (element.kind) {
    case 'words':
    case 'code':
      return { ...shared, color };
    case 'plate':
      return { ...shared, ...(element.fill ? { fill: { ...element.fill, color } } : {}) };
    case 'line':
      return { ...shared, ...(element.line ? { line: { ...element.line, color } } : {}) };
    case 'combined':
      return { ...shared, fill: color };
    case 'ornament':
      return { ...shared, inks: [color, element.inks[1]] };
    case 'picture':
    case 'piece':
      return shared;
  }
}
