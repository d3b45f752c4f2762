import { onceFor } from '../base/index.ts';
import { findNamedColor } from '../color/index.ts';
import {
  fieldOf,
  recoloredPiece,
  type CopyInList,
  type List,
  type ListRow,
  type Piece,
} from '../piece/index.ts';
import { copyParts, findCopy, type CopyId } from '../sheet/index.ts';
import { hasOwnArtwork, withOneOff } from './one-offs.ts';
import type { Job } from './schema.ts';
import { swapOf } from './variants.ts';

/** A copy with the piece as it is on it. */
export interface CopyOfJob extends CopyInList {
  /** The piece in the colours and with the pictures of its row, and with what the copy has of its own. */
  readonly piece: Piece;
  /** The piece as its row has it, without what this copy alone has. */
  readonly base: Piece;
  /** What tells it from other copies that say the same; nothing where nothing does. */
  readonly look: string;
}

/** A copy of a job by its name, or undefined when the job makes none of that name. */
export function copyOf(job: Job, name: string): CopyOfJob | undefined {
  const copy = name as CopyId;
  const found = findCopy(job, copy);
  const piece = found && job.pieces.find(({ id }) => id === copyParts(copy).piece);
  if (!found || !piece) return undefined;
  const base = asRow(job, piece, found.row);
  const own = job.oneOffs?.[copy];
  const alone = own !== undefined && hasOwnArtwork(own);
  return {
    number: found.number,
    row: found.row,
    base,
    piece: own ? withOneOff(base, own) : base,
    look: alone ? `own-${copyParts(copy).which}` : base === piece ? '' : (found.row?.key ?? ''),
  };
}

/** What a list has its rows change of a piece beside its words. */
interface AsRow {
  readonly list: Pick<List, 'colors' | 'pictures' | 'columns'>;
  readonly art: Job['art'];
  /** By what a row says, so that rows that say the same have the same piece. */
  readonly made: Map<string, Piece>;
}

const asRows = new WeakMap<Piece, AsRow>();

/** A piece in the colours and with the pictures that a row says; the piece itself where it says none. */
export function asRow({ list, art }: Job, piece: Piece, row: ListRow | undefined): Piece {
  // A guest of another job is filled with a row of that job's list.
  if (!list || !row || piece.guest?.job !== undefined) return piece;
  const colors = list.colors ?? [];
  const pictures = list.pictures?.filter((one) => one.piece === piece.id) ?? [];
  if (colors.length + pictures.length === 0) return piece;
  const known = asRows.get(piece);
  const isSame =
    known?.art === art &&
    known.list.colors === list.colors &&
    known.list.pictures === list.pictures &&
    known.list.columns === list.columns;
  const all: AsRow = isSame ? known : { list, art, made: new Map() };
  asRows.set(piece, all);
  const swaps = colors.flatMap(({ column, color }) => {
    const said = findNamedColor(fieldOf(list, row, column));
    return said ? [[color.toLowerCase(), said] as const] : [];
  });
  const named = pictures.flatMap(({ column, element }) => {
    const id = findArtNamed(art, fieldOf(list, row, column));
    return id === undefined ? [] : [[element, id] as const];
  });
  const key = JSON.stringify([swaps, named]);
  const found = all.made.get(key);
  if (found) return found;
  const colored = swaps.length ? recoloredPiece(piece, swapOf(Object.fromEntries(swaps))) : piece;
  const shown = new Map(named);
  const result = shown.size
    ? {
        ...colored,
        elements: colored.elements.map((element) => {
          const id = shown.get(element.id);
          if (element.kind !== 'picture' || id === undefined || element.art === id) return element;
          const { spread, ...rest } = element;
          void spread; // grown from the other picture
          return { ...rest, art: id };
        }),
      }
    : colored;
  if (all.made.size >= MOST_LOOKS) all.made.clear();
  all.made.set(key, result);
  return result;
}

const MOST_LOOKS = 5000;

const plainName = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/\.[a-z0-9]{2,4}$/, '');

const artNames = onceFor(
  (art: Job['art']): ReadonlyMap<string, string> =>
    new Map(Object.values(art).map((one) => [plainName(one.name), one.id])),
);

/** The art of a job by the name of its file, with or without its ending. */
export function findArtNamed(art: Job['art'], name: string): string | undefined {
  return name.trim() === '' ? undefined : artNames(art).get(plainName(name));
}

/** All pieces as copies may have them: those of the job’s things, and those that single copies have of their own. */
export const piecesAndOneOffs = (job: Pick<Job, 'pieces' | 'oneOffs' | 'set'>): readonly Piece[] =>
  job.set ? [job, ...job.set.others].flatMap((one) => piecesOfThing(one)) : piecesOfThing(job);

function piecesOfThing(job: Pick<Job, 'pieces' | 'oneOffs'>): readonly Piece[] {
  const own = Object.entries(job.oneOffs ?? {}).flatMap(([copy, oneOff]) => {
    const piece = job.pieces.find(({ id }) => id === copyParts(copy).piece);
    return piece && hasOwnArtwork(oneOff) ? [withOneOff(piece, oneOff)] : [];
  });
  return own.length ? [...job.pieces, ...own] : job.pieces;
}

/** The art that rows of the list show. */
export function artOfRows({ list, art }: Pick<Job, 'list' | 'art'>): string[] {
  const columns = [...new Set(list?.pictures?.map(({ column }) => column))];
  if (!list || columns.length === 0) return [];
  return [
    ...new Set(
      list.rows.flatMap((row) =>
        columns.flatMap((column) => findArtNamed(art, fieldOf(list, row, column)) ?? []),
      ),
    ),
  ];
}
