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
  return { text, from: [...from, typed.length] };
}

function written(character: string, letterCase: LetterCase, inWord: boolean): string {
  if (letterCase === 'upper') return character.toUpperCase();
  if (letterCase === 'lower') return character.toLowerCase();
  if (letterCase === 'title') return inWord ? character.toLowerCase() : character.toUpperCase();
  return character;
}
