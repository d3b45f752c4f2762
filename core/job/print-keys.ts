import { contentHash, onceFor, sortedKeys } from '../base/index.ts';
import { filledFor, textsOf, type Piece } from '../piece/index.ts';
import { copyIds, type CopyId } from '../sheet/index.ts';
import { backOf, frontsOf } from './backs.ts';
import { asRow, copyOf } from './copies.ts';
import type { Job } from './schema.ts';

/** Enough of a hash to tell the copies of one job apart. */
const DIGITS = 16;
const hashOf = (value: unknown): string =>
  contentHash(new TextEncoder().encode(JSON.stringify(sortedKeys(value)))).slice(0, DIGITS);

/** What a piece looks like, whatever it is called. */
const appearanceHash = onceFor((piece: Piece): string => {
  const { name, guides, safe, ...look } = piece;
  void [name, guides, safe]; // not printed
  return hashOf(look);
});

/**
 * For each copy of a job what tells whether it would be printed other than before: of its piece with its
 * own changes, its other side, and the words that fill both.
 */
export function printKeys(job: Job): Record<string, string> {
  const keys: Record<string, string> = {};
  for (const { id } of frontsOf(job))
    for (const copy of copyIds(job, id)) keys[copy] = keyOf(job, copy);
  return keys;
}

function keyOf(job: Job, copy: CopyId): string {
  const found = copyOf(job, copy);
  if (!found) return '';
  const back = backOf(job, found.piece.id);
  const sides = [found.piece, ...(back ? [asRow(job, back, found.row)] : [])];
  const words = sides.flatMap(({ elements }) =>
    elements.flatMap((element) => {
      const filled = filledFor(element, job, found)?.element;
      return filled ? textsOf(filled) : [];
    }),
  );
  const out = job.oneOffs?.[copy]?.out === true;
  const look = sides.map(appearanceHash).join();
  return words.length || out ? hashOf([look, words, out]) : look;
}

/** The copies of a job that are other than when they were last printed, or were not printed yet. */
export function changedSince(job: Job, printed: Readonly<Record<string, string>>): string[] {
  return Object.entries(printKeys(job)).flatMap(([copy, key]) =>
    printed[copy] === key ? [] : [copy],
  );
}
