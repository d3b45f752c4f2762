/** How letters are written, whatever was typed. */
export const LETTER_CASES = ['typed', 'upper', 'lower', 'title'] as const;
export type LetterCase = (typeof LETTER_CASES)[number];

/** A text in another case, and for each of its characters where it comes from. */
export interface Cased {
  readonly text: string;
  /** Indexes in the text as typed, one for each character and one behind the last. */
  readonly from: readonly number[];
}

const WORD = /[\p{L}\p{M}\p{N}’']/u;

/** Writes a text in a case, character by character, so that each can be found again. */
export function inCase(typed: string, letterCase: LetterCase): Cased {
  const from: number[] = [];
  let text = '';
  let inWord = false;
  let at = 0;
  for (const character of typed) {
    const made = written(character, letterCase, inWord);
    for (let unit = 0; unit < made.length; unit++)
      from.push(at + Math.min(unit, character.length - 1));
    text += made;
    at += character.length;
    inWord = WORD.test(character);
  }
  from.push(typed.length);
  return { text, from };
}

/**
 * Lines run on as a list: empty ones are left out, a mark stands between the others, and a heading on a
 * line of its own comes before them.
 */
export function runOn(
  { text, from }: Cased,
  { heading, between }: { readonly heading: string; readonly between: string },
): Cased {
  const first = heading.trim() === '' ? '' : `${heading.trim()}\n`;
  const made = { text: first, from: Array.from({ length: first.length }, () => 0) };
  const put = (part: string, places: readonly number[]): void => {
    made.text += part;
    made.from.push(...places);
  };
  let start = 0;
  for (const line of text.split('\n')) {
    const item = line.trim();
    const at = start + line.indexOf(item);
    if (item) {
      const place = from[at] ?? 0;
      if (made.text !== first)
        put(
          between,
          Array.from({ length: between.length }, () => place),
        );
      put(item, from.slice(at, at + item.length));
    }
    start += line.length + 1;
  }
  return { text: made.text, from: [...made.from, from[from.length - 1] ?? 0] };
}

function written(character: string, letterCase: LetterCase, inWord: boolean): string {
  if (letterCase === 'upper') return character.toUpperCase();
  if (letterCase === 'lower') return character.toLowerCase();
  if (letterCase === 'title') return inWord ? character.toLowerCase() : character.toUpperCase();
  return character;
}
