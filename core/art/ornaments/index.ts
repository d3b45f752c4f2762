import { beads } from './kinds/beads.ts';
import { branch } from './kinds/branch.ts';
import { bunting } from './kinds/bunting.ts';
import { burst } from './kinds/burst.ts';
import { corner } from './kinds/corner.ts';
import { dashes } from './kinds/dashes.ts';
import { divider } from './kinds/divider.ts';
import { hearts } from './kinds/hearts.ts';
import { laurel } from './kinds/laurel.ts';
import { rays } from './kinds/rays.ts';
import { rope } from './kinds/rope.ts';
import { scroll } from './kinds/scroll.ts';
import { sprig } from './kinds/sprig.ts';
import { wreath } from './kinds/wreath.ts';
import type { OrnamentKind } from './ornament.ts';

/** All ornaments; adding one touches its own file and this list. */
const KINDS = {
  sprig,
  branch,
  laurel,
  wreath,
  beads,
  dashes,
  rope,
  burst,
  rays,
  corner,
  divider,
  scroll,
  bunting,
  hearts,
} satisfies Record<string, OrnamentKind>;

export type OrnamentName = keyof typeof KINDS;

/** The names of all ornaments. */
export const ORNAMENTS = Object.keys(KINDS) as [OrnamentName, ...OrnamentName[]];

/** An ornament by its name. */
export const ornamentOf = (name: OrnamentName): OrnamentKind => KINDS[name];

export type { OrnamentKind, OrnamentSketch } from './ornament.ts';
