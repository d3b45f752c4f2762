import type { Art } from '../../../core/art/index.ts';
import { findArtNamed } from '../../../core/job/index.ts';
import { allArt } from '../../storage/index.ts';

/** The art of the drawer that is meant by the names of files. */
export async function drawerArtNamed(names: readonly string[]): Promise<Art[]> {
  const kept = Object.fromEntries((await allArt()).map(({ art }) => [art.id, art]));
  const ids = new Set(names.flatMap((name) => findArtNamed(kept, name) ?? []));
  return [...ids].flatMap((id) => kept[id] ?? []);
}
