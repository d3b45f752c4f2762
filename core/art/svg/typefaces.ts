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

/** A family of typefaces that a workshop has of its own, by one of its files. */
export interface OwnFace {
  readonly id: string;
  readonly family: string;
}

/** The typefaces of a workshop, in which words of drawings that name them are set. */
export interface OwnFaces {
  readonly faces: readonly OwnFace[];
  /** The TrueType or OpenType file of one; undefined where it is gone. */
  bytes(id: string): Promise<Uint8Array | undefined>;
}

/** An own typeface, with its file. */
export interface LoadedFace {
  readonly family: string;
  readonly bytes: Uint8Array;
}

/** The text of an SVG in which one that is here stands for each typeface that is not, and which these are. */
export function withTypefaces(
  text: string,
  own: readonly LoadedFace[],
): { text: string; notes: ArtNote[] } {
  const families = [...KNOWN_FAMILIES, ...own.map(({ family }) => family)];
  const known = new Map(families.map((family) => [family.toLowerCase(), family]));
  const notes = new Map<string, ArtNote>();
  const changed = text.replace(FAMILIES, (whole, head: string, list: string) => {
    const names = list.split(',').map((name) => name.replace(/&quot;|["']/g, '').trim());
    const [first = ''] = names;
    const here = names.map((name) => known.get(name.toLowerCase())).find(Boolean);
    // The library finds a family only as it is spelt in its file.
    if (!first || (here && names.includes(here))) return whole;
    if (here) return `${head}${here}`;
    const generic = names.map((name) => GENERIC[name.toLowerCase()]).find(Boolean);
    const kind = KINDS.find(([words]) => words.test(first))?.[1];
    const instead = generic ?? kind ?? STAND_INS.sans;
    if (!(first.toLowerCase() in GENERIC))
      notes.set(first, { code: 'typeface-instead', values: { name: first, instead } });
    return `${head}${instead}`;
  });
  return { text: changed, notes: [...notes.values()] };
}
