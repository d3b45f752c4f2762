import type { Platform } from '../base/index.ts';
import { loadTypeface, type Typeface } from './shaper.ts';
import type { FaceStyle } from './font-metadata.ts';

/** What a family is like, to choose by. */
export const CHARACTERS = [
  'serif',
  'sans',
  'slab',
  'rounded',
  'condensed',
  'script',
  'hand',
  'typewriter',
  'stencil',
  'blackletter',
  'other-scripts',
  'own',
] as const;
export type Character = (typeof CHARACTERS)[number];

/** A family that ships: its cuts by their ids, which are also the names of their files. */
export interface Family {
  readonly name: string;
  readonly character: Character;
  readonly faces: Readonly<Partial<Record<FaceStyle, string>>>;
}

const family = (name: string, character: Character, faces: Family['faces']): Family => ({
  name,
  character,
  faces,
});

/** All families that ship, each under the SIL Open Font License 1.1 but for one (Apache 2.0). */
export const FAMILIES: readonly Family[] = [
  family('Fraunces', 'serif', {
    regular: 'fraunces-regular',
    italic: 'fraunces-italic',
    bold: 'fraunces-semibold',
    'bold-italic': 'fraunces-semibold-italic',
  }),
  family('Playfair Display', 'serif', {
    regular: 'playfair-display-regular',
    italic: 'playfair-display-italic',
    bold: 'playfair-display-bold',
    'bold-italic': 'playfair-display-bold-italic',
  }),
  family('Cinzel', 'serif', { regular: 'cinzel-regular', bold: 'cinzel-bold' }),
  family('Abril Fatface', 'serif', { regular: 'abril-fatface-regular' }),
  family('Figtree', 'sans', {
    regular: 'figtree-regular',
    italic: 'figtree-italic',
    bold: 'figtree-semibold',
    'bold-italic': 'figtree-semibold-italic',
  }),
  family('Josefin Sans', 'sans', {
    regular: 'josefin-sans-regular',
    italic: 'josefin-sans-italic',
    bold: 'josefin-sans-bold',
    'bold-italic': 'josefin-sans-bold-italic',
  }),
  family('Bitter', 'slab', {
    regular: 'bitter-medium',
    italic: 'bitter-medium-italic',
    bold: 'bitter-bold',
  }),
  family('Quicksand', 'rounded', { regular: 'quicksand-medium', bold: 'quicksand-bold' }),
  family('Barlow Condensed', 'condensed', {
    regular: 'barlow-condensed-medium',
    italic: 'barlow-condensed-italic',
    bold: 'barlow-condensed-semibold',
  }),
  family('Pacifico', 'script', { regular: 'pacifico-regular' }),
  family('Great Vibes', 'script', { regular: 'great-vibes-regular' }),
  family('Dancing Script', 'script', {
    regular: 'dancing-script-regular',
    bold: 'dancing-script-bold',
  }),
  family('Sacramento', 'script', { regular: 'sacramento-regular' }),
  family('Amatic SC', 'hand', { regular: 'amatic-sc-regular', bold: 'amatic-sc-bold' }),
  family('Caveat', 'hand', { regular: 'caveat-regular', bold: 'caveat-bold' }),
  family('Courier Prime', 'typewriter', {
    regular: 'courier-prime-regular',
    italic: 'courier-prime-italic',
    bold: 'courier-prime-bold',
  }),
  family('Special Elite', 'typewriter', { regular: 'special-elite-regular' }),
  family('Saira Stencil One', 'stencil', { regular: 'saira-stencil-one-regular' }),
  family('UnifrakturCook', 'blackletter', { regular: 'unifrakturcook-regular' }),
  family('Noto Sans Arabic', 'other-scripts', {
    regular: 'noto-sans-arabic-regular',
    bold: 'noto-sans-arabic-bold',
  }),
  family('Noto Sans Devanagari', 'other-scripts', {
    regular: 'noto-sans-devanagari-regular',
    bold: 'noto-sans-devanagari-bold',
  }),
  family('Noto Sans Thai', 'other-scripts', {
    regular: 'noto-sans-thai-regular',
    bold: 'noto-sans-thai-bold',
  }),
];

const STYLE_WORDS: Readonly<Record<FaceStyle, string>> = {
  regular: '',
  italic: ' Italic',
  bold: ' Bold',
  'bold-italic': ' Bold Italic',
};

/** One cut of a family. */
export interface Face {
  readonly id: string;
  readonly family: Family;
  readonly style: FaceStyle;
  /** Family and cut, for reading. */
  readonly name: string;
}

/** The cuts of families. */
export function facesOf(families: readonly Family[]): Face[] {
  return families.flatMap((one) =>
    (Object.entries(one.faces) as [FaceStyle, string][]).map(([style, id]) => ({
      id,
      family: one,
      style,
      name: `${one.name}${STYLE_WORDS[style]}`,
    })),
  );
}

/** Every cut that ships. */
export const TYPEFACES: readonly Face[] = facesOf(FAMILIES);

/** The cut nearest to a style that a family has: it always has one. */
export function faceOf({ faces }: Family, style: FaceStyle): string {
  const plainer: Readonly<Record<FaceStyle, readonly FaceStyle[]>> = {
    regular: ['regular'],
    italic: ['italic', 'regular'],
    bold: ['bold', 'regular'],
    'bold-italic': ['bold-italic', 'bold', 'italic', 'regular'],
  };
  for (const one of [...plainer[style], ...(Object.keys(faces) as FaceStyle[])]) {
    const id = faces[one];
    if (id !== undefined) return id;
  }
  throw new Error('A family has no face.');
}

/** Loads a typeface that ships; rejects when there is none of that id. */
export async function loadShipped(platform: Platform, id: string): Promise<Typeface> {
  return loadTypeface(id, await platform.asset(`${id}.ttf`));
}
