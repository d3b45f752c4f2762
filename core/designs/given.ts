import type { Fill, LabelSays, NamedField, PieceElement } from '../piece/index.ts';
import type { Room } from './room.ts';

/** Colours that go together in print. */
export interface DesignColors {
  readonly name: string;
  readonly ground: string;
  readonly ink: string;
  readonly accent: string;
  /** Close to the ground, for patterns and plates. */
  readonly soft: string;
}

/** Typefaces that go together. */
export interface DesignFaces {
  readonly name: string;
  readonly display: string;
  readonly text: string;
}

/** All that a design is made from. */
export interface DesignGiven {
  readonly room: Room;
  readonly says: LabelSays;
  /** What is printed before the fields that have a name. */
  readonly names: Readonly<Record<NamedField, string>>;
  /** Words among the ingredients that are set stronger. */
  readonly emphasis?: readonly string[] | undefined;
  readonly colors: DesignColors;
  readonly faces: DesignFaces;
  /** A picture and its width by its height. */
  readonly picture?: { readonly art: string; readonly ratio: number } | undefined;
}

/** A designed label, ready to be put on a piece. */
export interface Designed {
  readonly ground: Fill | null;
  readonly elements: readonly PieceElement[];
}

/** Palettes to shuffle through: quiet ones first. */
export const DESIGN_COLORS: readonly DesignColors[] = [
  { name: 'Plum', ground: '#f4ead6', ink: '#44203d', accent: '#b5603a', soft: '#e6d3bd' },
  { name: 'Fern', ground: '#eef1e2', ink: '#24402b', accent: '#a8772f', soft: '#d3dfc2' },
  { name: 'Dusk', ground: '#e3e8f4', ink: '#24356f', accent: '#a4513f', soft: '#c9d3ea' },
  { name: 'Chalk', ground: '#2b2a33', ink: '#f7f0e2', accent: '#e8b468', soft: '#3f3d4a' },
  { name: 'Blush', ground: '#f8e6e0', ink: '#6b2438', accent: '#2f6b5c', soft: '#efcdc4' },
  { name: 'Ochre', ground: '#f3dca6', ink: '#4a2a12', accent: '#8a3a2a', soft: '#e8c87e' },
  { name: 'Kraft', ground: '#d9bd97', ink: '#2f2016', accent: '#7a2430', soft: '#c9a97d' },
  { name: 'Snow', ground: '#ffffff', ink: '#1f2a30', accent: '#3f7f4f', soft: '#edf1ee' },
  { name: 'Forest', ground: '#22392c', ink: '#f4ead6', accent: '#d9a054', soft: '#314d3d' },
  { name: 'Sea', ground: '#dcecec', ink: '#0f4a52', accent: '#c0603a', soft: '#bddcdc' },
];

/** Pairs of typefaces to shuffle through. */
export const DESIGN_FACES: readonly DesignFaces[] = [
  { name: 'Classic', display: 'fraunces-semibold', text: 'figtree-semibold' },
  { name: 'Script', display: 'dancing-script-bold', text: 'josefin-sans-regular' },
  { name: 'Elegant', display: 'playfair-display-bold', text: 'josefin-sans-bold' },
  { name: 'Bold', display: 'abril-fatface-regular', text: 'barlow-condensed-semibold' },
  { name: 'Market', display: 'pacifico-regular', text: 'quicksand-bold' },
  { name: 'Apothecary', display: 'cinzel-bold', text: 'special-elite-regular' },
  { name: 'Kitchen', display: 'amatic-sc-bold', text: 'courier-prime-bold' },
  { name: 'Garden', display: 'caveat-bold', text: 'bitter-bold' },
  { name: 'Yard', display: 'saira-stencil-one-regular', text: 'barlow-condensed-semibold' },
];
