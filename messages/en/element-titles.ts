import type { ElementTitle, UntitledElements } from '../../core/piece/index.ts';
import { wordsFor, type Words } from '../words.ts';

const SHAPES: Readonly<Record<string, string>> = {
  circle: 'round',
  ellipse: 'oval',
  rectangle: 'square',
};
const UNTITLED: Words<UntitledElements> = {
  'bar-code': ({ text }) => `Bar code ${text}`.trim(),
  combined: ({ parts }) => parts.map(titleText).join(' + '),
  'drawn-line': () => 'Drawn line',
  'drawn-shape': () => 'Drawn shape',
  'empty-words': () => 'Empty words',
  'missing-picture': () => 'Missing picture',
  ornament: ({ name }) => `${name[0]?.toUpperCase()}${name.slice(1)}`,
  piece: ({ id }) => `Piece ${id}`,
  plate: ({ shape }) => `Plate, ${SHAPES[shape] ?? shape}`,
  'qr-code': ({ text }) => `QR code ${text}`.trim(),
  ring: ({ shape }) => `Ring, ${SHAPES[shape] ?? shape}`,
};

/** What an element is called. */
export function titleText(title: ElementTitle): string {
  return typeof title === 'string' ? title : wordsFor(UNTITLED, title);
}
