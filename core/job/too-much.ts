import { findTooMuch, type PieceElement } from '../piece/index.ts';
import { copyParts } from '../sheet/index.ts';
import type { Job } from './schema.ts';

type Holders = Pick<Job, 'pieces' | 'oneOffs'>;

/** The elements of a job by which a piece holds itself, or more than can be drawn. */
export function tooMuchIn({ pieces, oneOffs = {} }: Holders): ReadonlySet<PieceElement> {
  const own = Object.entries(oneOffs).flatMap(([copy, { added }]) =>
    added ? [{ id: copyParts(copy).piece, elements: added }] : [],
  );
  return findTooMuch([...pieces, ...own]);
}

/** A job without such elements; the same job where there are none. */
export function withoutTooMuch(job: Job, tooMuch = tooMuchIn(job)): Job {
  if (tooMuch.size === 0) return job;
  const kept = <E extends PieceElement>(elements: readonly E[]): E[] =>
    elements.filter((one) => !tooMuch.has(one));
  const oneOffs = Object.entries(job.oneOffs ?? {}).map(([copy, own]) => [
    copy,
    own.added ? { ...own, added: kept(own.added) } : own,
  ]);
  return {
    ...job,
    pieces: job.pieces.map((piece) => ({ ...piece, elements: kept(piece.elements) })),
    ...(job.oneOffs ? { oneOffs: Object.fromEntries(oneOffs) } : {}),
  };
}
