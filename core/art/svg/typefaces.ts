import type { ArtNote } from '../notes.ts';
import { KNOWN_FAMILIES, STAND_INS } from './library.ts';

const NAME = String.raw`(?:"[^"<>;]*"|'[^'<>;]*'|&quot;[^&<>;]*&quot;|[\w .-]+)`;
const FAMILIES = new RegExp(
  String.raw`(font-family\s*:\s*|font-family\s*=\s*["'])(${NAME}(?:\s*,\s*${NAME})*)`,
  'g',
);

const GENERIC: Readonly<Record<string, string>> = {
  serif: STAND_INS.serif,
  'sans-serif': STAND_INS.sans,
  monospace: STAND_INS.mono,
  cursive: STAND_INS.cursive,
  fantasy: STAND_INS.fantasy,
};

/** Kinds of letters by words in their names; what says nothing is taken for plain letters. */
const KINDS: readonly (readonly [RegExp, string])[] = [
  [/mono|courier|typewriter|console/i, STAND_INS.mono],
  [/script|hand|brush|cursive|calligra/i, STAND_INS.cursive],
  [/(?<!sans[ -]?)serif|roman|times|antiqua|old ?style|book/i, STAND_INS.serif],
];

/** The text of an SVG in which one that is here stands for each typeface that is not, and which these are. */
export function withTypefaces(text: string): { text: string; notes: ArtNote[] } {
  const notes = new Map<string, ArtNote>();
  const changed = text.replace(FAMILIES, (whole, head: string, list: string) => {
    const names = list.split(',').map((name) => name.replace(/&quot;|["']/g, '').trim());
    const [first = ''] = names;
    if (!first || names.some((name) => KNOWN_FAMILIES.has(name.toLowerCase()))) return whole;
    const generic = names.map((name) => GENERIC[name.toLowerCase()]).find(Boolean);
    const kind = KINDS.find(([words]) => words.test(first))?.[1];
    const instead = generic ?? kind ?? STAND_INS.sans;
    if (!(first.toLowerCase() in GENERIC))
      notes.set(first, { code: 'typeface-instead', values: { name: first, instead } });
    return `${head}${instead}`;
  });
  return { text: changed, notes: [...notes.values()] };
}
