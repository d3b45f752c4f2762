import type { Platform } from '../base/index.ts';
import { loadTypeface, type Typeface } from './shaper.ts';

/** A typeface that ships, as it is offered to choose from. */
export interface ShippedTypeface {
  readonly id: string;
  /** The family and the weight, for reading. */
  readonly name: string;
  readonly character: 'serif' | 'sans' | 'slab' | 'condensed' | 'typewriter' | 'rounded' | 'script';
}

/** All typefaces that ship, each under the SIL Open Font License 1.1. */
export const TYPEFACES: readonly ShippedTypeface[] = [
  { id: 'fraunces-semibold', name: 'Fraunces Semibold', character: 'serif' },
  { id: 'fraunces-italic', name: 'Fraunces Italic', character: 'serif' },
  { id: 'figtree-regular', name: 'Figtree', character: 'sans' },
  { id: 'figtree-semibold', name: 'Figtree Semibold', character: 'sans' },
  { id: 'bitter-medium', name: 'Bitter Medium', character: 'slab' },
  { id: 'barlow-condensed-semibold', name: 'Barlow Condensed Semibold', character: 'condensed' },
  { id: 'courier-prime-regular', name: 'Courier Prime', character: 'typewriter' },
  { id: 'quicksand-bold', name: 'Quicksand Bold', character: 'rounded' },
  { id: 'pacifico-regular', name: 'Pacifico', character: 'script' },
];

/** Loads a typeface that ships; rejects when there is none of that id. */
export async function loadShipped(platform: Platform, id: string): Promise<Typeface> {
  return loadTypeface(id, await platform.asset(`${id}.ttf`));
}
