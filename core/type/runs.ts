import createBidi from 'bidi-js';

/** A stretch of a line that is shaped as one: of one direction and one script. */
export interface Run {
  readonly start: number;
  /** Behind its last character. */
  readonly end: number;
  /** Whether it is read from right to left. */
  readonly leftward: boolean;
  /** Whether its letters are joined, so that nothing may be put between them. */
  readonly joined: boolean;
}

const bidi = createBidi();
/** Anything that is neither Latin nor a mark that all scripts share. */
const FOREIGN = /[\u0300-\u1fff\u2070-\u209f\u20c0-\uffff]/;
const NEUTRAL = /[\p{Script=Common}\p{Script=Inherited}]/u;
const SCRIPTS = [
  'Latin',
  'Arabic',
  'Devanagari',
  'Thai',
  'Cyrillic',
  'Greek',
  'Hebrew',
  'Bengali',
  'Tamil',
  'Han',
].map((name) => ({ name, has: new RegExp(`\\p{Script=${name}}`, 'u') }));
const JOINED: readonly (string | undefined)[] = ['Arabic', 'Devanagari', 'Bengali'];

const scriptOf = (character: string): string =>
  SCRIPTS.find(({ has }) => has.test(character))?.name ?? 'other';

/**
 * The runs of a line in the order in which they stand from left to right.
 * Source: Unicode Standard Annex 9 (bidirectional algorithm), by `bidi-js`; a script goes on over
 * characters that belong to all (UAX 24).
 */
export function runsOf(line: string): Run[] {
  if (!FOREIGN.test(line)) return [{ start: 0, end: line.length, leftward: false, joined: false }];
  const { levels } = bidi.getEmbeddingLevels(line);
  const runs: (Run & { level: number })[] = [];
  let start = 0;
  let script: string | undefined;
  for (let at = 0; at < line.length;) {
    const character = String.fromCodePoint(line.codePointAt(at) ?? 32);
    const own = NEUTRAL.test(character) ? undefined : scriptOf(character);
    const ends = levels[at] !== levels[start] || (own && script && own !== script);
    if (ends && at > start) {
      runs.push(runFrom(start, at, levels[start] ?? 0, script));
      start = at;
      script = undefined;
    }
    script ??= own;
    at += character.length;
  }
  if (line.length > start) runs.push(runFrom(start, line.length, levels[start] ?? 0, script));
  return inSight(runs);
}

const runFrom = (start: number, end: number, level: number, script: string | undefined) => ({
  start,
  end,
  level,
  leftward: level % 2 === 1,
  joined: JOINED.includes(script),
});

/** Runs from left to right: rule L2 of UAX 9, applied to whole runs. */
function inSight<R extends { level: number }>(runs: readonly R[]): R[] {
  const ordered = [...runs];
  const highest = Math.max(0, ...runs.map(({ level }) => level));
  for (let level = highest; level > 0; level--) {
    for (let at = 0; at < ordered.length; at++) {
      let end = at;
      while (end < ordered.length && (ordered[end]?.level ?? 0) >= level) end++;
      if (end > at + 1) ordered.splice(at, end - at, ...ordered.slice(at, end).reverse());
      at = Math.max(at, end - 1);
    }
  }
  return ordered;
}
