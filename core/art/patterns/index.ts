import { check } from './kinds/check.ts';
import { chevron } from './kinds/chevron.ts';
import { comb } from './kinds/comb.ts';
import { crosses } from './kinds/crosses.ts';
import { diamonds } from './kinds/diamonds.ts';
import { dots } from './kinds/dots.ts';
import { drops } from './kinds/drops.ts';
import { flowers } from './kinds/flowers.ts';
import { herringbone } from './kinds/herringbone.ts';
import { leaves } from './kinds/leaves.ts';
import { linen } from './kinds/linen.ts';
import { scales } from './kinds/scales.ts';
import { spots } from './kinds/spots.ts';
import { stars } from './kinds/stars.ts';
import { stripes } from './kinds/stripes.ts';
import { terrazzo } from './kinds/terrazzo.ts';
import { waves } from './kinds/waves.ts';
import type { PatternKind } from './pattern.ts';

/** All patterns, from quiet to loud; adding one touches its own file and this list. */
const KINDS = {
  dots,
  linen,
  crosses,
  stripes,
  waves,
  scales,
  comb,
  spots,
  check,
  herringbone,
  chevron,
  diamonds,
  drops,
  leaves,
  flowers,
  stars,
  terrazzo,
} satisfies Record<string, PatternKind>;

export type PatternName = keyof typeof KINDS;

/** The names of all patterns. */
export const PATTERNS = Object.keys(KINDS) as [PatternName, ...PatternName[]];

/** A pattern by its name. */
export const patternOf = (name: PatternName): PatternKind => KINDS[name];

export type { PatternKind, PatternTile } from './pattern.ts';
