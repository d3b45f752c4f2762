import type { Platform } from '../base/index.ts';
import { nearestCut, type Cut } from './cuts.ts';
import { loadTypeface, type Typeface } from './shaper.ts';

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

/** A cut of a family and the id of its typeface. */
export interface FamilyCut extends Cut {
  readonly id: string;
}

/** A family with its cuts; there is always one. */
export interface Family {
  readonly name: string;
  readonly character: Character;
  readonly cuts: readonly FamilyCut[];
}

/** A family that ships: the ids of its cuts, which are also the names of their files, with their weights. */
const shipped = (
  name: string,
  character: Character,
  weights: Readonly<Record<string, number>>,
): Family => ({
  name,
  character,
  cuts: Object.entries(weights).map(([id, weight]) => ({
    ...{ id, weight, width: 100 },
    italic: id.endsWith('italic'),
  })),
});

/** All families that ship, each under the SIL Open Font License 1.1 but for one (Apache 2.0). */
export const FAMILIES: readonly Family[] = [
  shipped('Fraunces', 'serif', {
    'fraunces-regular': 400,
    'fraunces-italic': 400,
    'fraunces-semibold': 600,
    'fraunces-semibold-italic': 600,
  }),
  shipped('Playfair Display', 'serif', {
    'playfair-display-regular': 500,
    'playfair-display-italic': 500,
    'playfair-display-bold': 700,
    'playfair-display-bold-italic': 700,
  }),
  shipped('Cinzel', 'serif', { 'cinzel-regular': 500, 'cinzel-bold': 700 }),
  shipped('Abril Fatface', 'serif', { 'abril-fatface-regular': 400 }),
  shipped('Figtree', 'sans', {
    'figtree-regular': 400,
    'figtree-italic': 400,
    'figtree-semibold': 600,
    'figtree-semibold-italic': 600,
  }),
  shipped('Josefin Sans', 'sans', {
    'josefin-sans-regular': 400,
    'josefin-sans-italic': 400,
    'josefin-sans-bold': 700,
    'josefin-sans-bold-italic': 700,
  }),
  shipped('Bitter', 'slab', {
    'bitter-medium': 500,
    'bitter-medium-italic': 500,
    'bitter-bold': 700,
  }),
  shipped('Quicksand', 'rounded', { 'quicksand-medium': 500, 'quicksand-bold': 700 }),
  shipped('Barlow Condensed', 'condensed', {
    'barlow-condensed-medium': 500,
    'barlow-condensed-italic': 500,
    'barlow-condensed-semibold': 600,
  }),
  shipped('Pacifico', 'script', { 'pacifico-regular': 400 }),
  shipped('Great Vibes', 'script', { 'great-vibes-regular': 400 }),
  shipped('Dancing Script', 'script', {
    'dancing-script-regular': 500,
    'dancing-script-bold': 700,
  }),
  shipped('Sacramento', 'script', { 'sacramento-regular': 400 }),
  shipped('Amatic SC', 'hand', { 'amatic-sc-regular': 400, 'amatic-sc-bold': 700 }),
  shipped('Caveat', 'hand', { 'caveat-regular': 500, 'caveat-bold': 700 }),
  shipped('Courier Prime', 'typewriter', {
    'courier-prime-regular': 400,
    'courier-prime-italic': 400,
    'courier-prime-bold': 700,
  }),
  shipped('Special Elite', 'typewriter', { 'special-elite-regular': 400 }),
  shipped('Saira Stencil One', 'stencil', { 'saira-stencil-one-regular': 400 }),
  shipped('UnifrakturCook', 'blackletter', { 'unifrakturcook-regular': 700 }),
  shipped('Noto Sans Arabic', 'other-scripts', {
    'noto-sans-arabic-regular': 400,
    'noto-sans-arabic-bold': 700,
  }),
  shipped('Noto Sans Devanagari', 'other-scripts', {
    'noto-sans-devanagari-regular': 400,
    'noto-sans-devanagari-bold': 700,
  }),
  shipped('Noto Sans Thai', 'other-scripts', {
    'noto-sans-thai-regular': 400,
    'noto-sans-thai-bold': 700,
  }),
];

/** One cut of a family. */
export interface Face extends FamilyCut {
  readonly family: Family;
}

/** Every cut that ships. */
export const TYPEFACES: readonly Face[] = FAMILIES.flatMap((family) =>
  family.cuts.map((cut) => ({ ...cut, family })),
);

const OFTEN = 4; // cuts that bold and italic tell apart

/** Whether a family has more cuts than bold and italic tell apart. */
export const hasManyCuts = ({ cuts }: Family): boolean => cuts.length > OFTEN;

/** The id of the cut of a family that is nearest to one that is wanted. */
export function nearestFace({ cuts }: Family, wanted: Cut): string {
  const nearest = nearestCut(cuts, wanted);
  if (!nearest) throw new Error('A family has no cut.');
  return nearest.id;
}

/** Loads a typeface that ships; rejects when there is none of that id. */
export async function loadShipped(platform: Platform, id: string): Promise<Typeface> {
  return loadTypeface(id, await platform.asset(`${id}.ttf`));
}

/** Scripts that the faces for Latin letters lack, and the family that ships for each. */
const OF_SCRIPT = [
  { has: /\p{Script=Arabic}/u, family: 'noto-sans-arabic' },
  { has: /\p{Script=Devanagari}/u, family: 'noto-sans-devanagari' },
  { has: /\p{Script=Thai}/u, family: 'noto-sans-thai' },
];

/** The face that ships for a text in place of one for Latin letters; an own one is taken to have what it needs. */
export function faceForScript(text: string, face: string, isBold: boolean): string {
  const shippedFace = TYPEFACES.find(({ id }) => id === face);
  if (!shippedFace || shippedFace.family.character === 'other-scripts') return face;
  const found = OF_SCRIPT.find(({ has }) => has.test(text));
  return found ? `${found.family}-${isBold ? 'bold' : 'regular'}` : face;
}
