import type { Art } from '../art/index.ts';
import {
  artOfElement,
  artOfFill,
  isPlain,
  withFills,
  type Fill,
  type Piece,
  type PieceElement,
} from '../piece/index.ts';
import { artOfRows, piecesAndOneOffs } from './copies.ts';
import type { Job } from './schema.ts';

/** The art that pieces name, by its hash, in the order in which it is met. */
export function artNamedBy(pieces: readonly Piece[]): string[] {
  return [
    ...new Set(
      pieces.flatMap(({ elements, ground }) => [
        ...artOfFill(ground),
        ...elements.flatMap(artOfElement),
      ]),
    ),
  ];
}

/** The art that a job prints: that of its pieces, of single copies, and what rows of its list show. */
export const artOfJob = (
  job: Pick<Job, 'pieces' | 'oneOffs' | 'list' | 'art' | 'set'>,
): string[] => [...new Set([...artNamedBy(piecesAndOneOffs(job)), ...artOfRows(job)])];

/** Some of the art of a job, with what that was made from. */
export function artWithOrigins(all: Job['art'], ids: readonly string[]): Job['art'] {
  const kept: Record<string, Art> = {};
  const keep = (id: string): void => {
    const art = all[id];
    if (!art || kept[id]) return;
    kept[id] = art;
    if (art.made) keep(art.made.from);
  };
  ids.forEach(keep);
  return kept;
}

/** The job's art without what nothing uses: originals of what is used stay. */
export function withUsedArt(job: Job): Job {
  const kept = artWithOrigins(job.art, artOfJob(job));
  return Object.keys(kept).length === Object.keys(job.art).length ? job : { ...job, art: kept };
}

/** A hash stands in plain values for its art alone. */
const renamedArt = <T>(value: T, from: string, to: string): T =>
  JSON.parse(JSON.stringify(value).replaceAll(from, to)) as T;

/** The job with one art in the place of another wherever its pieces name it. */
export function withArtReplaced(job: Job, from: string, to: Art, also: readonly Art[] = []): Job {
  const filled = (fill: Fill): Fill =>
    !isPlain(fill) && fill.kind === 'picture' && fill.art === from ? { ...fill, art: to.id } : fill;
  const swap = (element: PieceElement): PieceElement => {
    if (!artOfElement(element).includes(from)) return element;
    if (element.kind !== 'picture') return withFills(element, filled);
    if (element.art !== from) return element;
    const { spread, ...rest } = element;
    void spread; // grown from the other art: it is made anew
    return { ...rest, art: to.id };
  };
  const added = Object.fromEntries([to, ...also].map((art) => [art.id, art]));
  return withUsedArt({
    ...job,
    ...(job.oneOffs ? { oneOffs: renamedArt(job.oneOffs, from, to.id) } : {}),
    // Guests show what they show where they belong.
    pieces: job.pieces.map((piece) =>
      piece.guest
        ? piece
        : {
            ...piece,
            ground: piece.ground && filled(piece.ground),
            elements: piece.elements.map(swap),
          },
    ),
    art: { ...job.art, ...added },
  });
}
