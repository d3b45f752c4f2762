import LineBreaker from 'linebreak';
import type { TextRange } from './features.ts';
import type { ShapedGlyph } from './shaper.ts';

/** A paragraph with the places where its lines may end; widths in ems. */
export interface Paragraph {
  readonly start: number;
  readonly words: readonly Breakable[];
}

/** What stands between two places where a line may end; `width` is without the space behind it. */
interface Breakable {
  readonly start: number;
  readonly end: number;
  readonly width: number;
  readonly space: number;
}

const SPACES = /\s+$/u;

/** Shapes a part of a text. */
export type ShapePart = (part: TextRange) => readonly ShapedGlyph[];

/**
 * Measures the paragraphs of a text between the places where lines may end.
 * Source of these: Unicode Standard Annex 14, by `linebreak`.
 * @param tracking added behind each character, ems
 */
export function paragraphsOf(text: string, shape: ShapePart, tracking: number): Paragraph[] {
  let start = 0;
  return text.split('\n').map((line) => {
    const glyphs = shape({ start, end: start + line.length });
    const paragraph = { start, words: breakables(line, start, { glyphs, tracking }) };
    start += line.length + 1;
    return paragraph;
  });
}

function breakables(
  line: string,
  from: number,
  { glyphs, tracking }: { readonly glyphs: readonly ShapedGlyph[]; readonly tracking: number },
): Breakable[] {
  const advances = new Float64Array(line.length);
  for (const { at, advance, text, joined } of glyphs)
    advances[at] = (advances[at] ?? 0) + advance + (text === '' || joined ? 0 : tracking);
  const sum = (start: number, end: number): number => {
    let width = 0;
    for (let at = start; at < end; at++) width += advances[at] ?? 0;
    return width;
  };
  const breaker = new LineBreaker(line);
  const found: Breakable[] = [];
  let start = 0;
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    const whole = line.slice(start, next.position);
    const end = next.position - (SPACES.exec(whole)?.[0].length ?? 0);
    found.push({
      start: from + start,
      end: from + end,
      width: sum(start, end),
      space: sum(end, next.position),
    });
    start = next.position;
  }
  return found;
}

/** Lines as long as the width in ems allows, or evened out over as many lines. */
export function brokenLines(
  paragraphs: readonly Paragraph[],
  width: number,
  balanced: boolean,
): TextRange[] {
  return paragraphs.flatMap((paragraph) => {
    const greedy = filled(paragraph, width);
    if (!balanced || greedy.length < 2) return greedy;
    return filled(paragraph, evenWidth(paragraph, width, greedy.length));
  });
}

/** Each line takes what it can hold; a word wider than the line stands in one of its own. */
function filled({ start, words }: Paragraph, width: number): TextRange[] {
  const lines: TextRange[] = [];
  let line: { start: number; end: number } | undefined;
  let taken = 0;
  for (const word of words) {
    if (line && taken + word.width <= width + 1e-9) line.end = word.end;
    else {
      if (line) lines.push(line);
      line = { start: word.start, end: word.end };
      taken = 0;
    }
    taken += word.width + word.space;
  }
  return [...lines, line ?? { start, end: start }];
}

const HALVINGS = 18;

/** The least width at which a paragraph still takes that many lines: none of them is much shorter. */
function evenWidth(paragraph: Paragraph, width: number, lines: number): number {
  let [low, high] = [0, width];
  for (let round = 0; round < HALVINGS; round++) {
    const middle = (low + high) / 2;
    const made = filled(paragraph, middle);
    const fits = made.length <= lines && widestWord(paragraph) <= middle;
    if (fits) high = middle;
    else low = middle;
  }
  return high;
}

const widestWord = ({ words }: Paragraph): number =>
  words.reduce((most, { width }) => Math.max(most, width), 0);
