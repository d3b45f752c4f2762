import type { Platform } from '../base/index.ts';
import { findTypeface, type CompiledJob } from '../job/index.ts';
import { FAMILIES, findFace, nearestFace, REGULAR, type Family } from '../type/index.ts';
import { elementKey, type StandIn } from './finding.ts';
import { allWords, type SetElement } from './words-in-piece.ts';

/** Those that go with most others, tried first where none of the same character has the letters. */
const PLAIN: readonly string[] = ['Figtree', 'Fraunces'];

/**
 * For words whose typeface lacks letters of them, the one that ships, has them all and comes nearest: of
 * the same character, and of the same weight and slope. By {@link elementKey}; none where none has them.
 */
export async function findStandIns(
  compiled: CompiledJob,
  { platform }: { readonly platform: Platform },
): Promise<Map<string, StandIn>> {
  const found = new Map<string, StandIn>();
  for (const words of allWords({ compiled })) {
    if (words.set.missing.length === 0) continue;
    const standIn = await standInFor(words, compiled, platform);
    if (standIn) found.set(elementKey(words.piece.piece.id, words.element.id), standIn);
  }
  return found;
}

async function standInFor(
  { element, said }: SetElement,
  { job }: CompiledJob,
  platform: Platform,
): Promise<StandIn | undefined> {
  const face = findFace(element.typeface, Object.values(job.typefaces ?? {}));
  const rank = ({ name, character }: Family): number =>
    character === face?.family.character ? 0 : PLAIN.includes(name) ? 1 : 2;
  for (const family of [...FAMILIES].sort((one, other) => rank(one) - rank(other))) {
    const id = nearestFace(family, face ?? REGULAR);
    const typeface = await findTypeface(platform, id, async () => undefined);
    const glyphs = said.split('\n').flatMap((line) => typeface?.shape(line) ?? []);
    if (glyphs.length && glyphs.every((glyph) => glyph.id !== 0))
      return { id, family: family.name };
  }
  return undefined;
}
