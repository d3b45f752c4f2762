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

/** What lines of a list are run on with. */
interface RunOn {
  readonly heading: string;
  readonly between: string;
  readonly runsIn?: boolean | undefined;
}

/** The heading of a list as it is set, with what stands between it and the list. */
export function headingOf({ heading, runsIn }: RunOn): string {
  if (heading.trim() === '') return '';
  return runsIn ? `${heading.trim()}: ` : `${heading.trim()}\n`;
}

/**
 * Lines run on as a list: empty ones are left out, a mark stands between the others, and a heading comes
 * before them, on a line of its own or in theirs.
 */
export function runOn({ text, from }: Cased, list: RunOn): Cased {
  const { between } = list;
  const first = headingOf(list);
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
  const end = from[from.length - 1] ?? 0;
  // A heading in the line of nothing would be left alone.
  if (list.runsIn && made.text === first) return { text: '', from: [end] };
  return { text: made.text, from: [...made.from, end] };
}

function written(character: string, letterCase: LetterCase, inWord: boolean): string {
  if (letterCase === 'upper') return character.toUpperCase();
  if (letterCase === 'lower') return character.toLowerCase();
  if (letterCase === 'title') return inWord ? character.toLowerCase() : character.toUpperCase();
  return character;
}
