import { freeId, latestFor, onceFor } from '../base/index.ts';
import {
  fieldsOfRow,
  filledText,
  hasPlaceholders,
  PIECE_NAME_LETTERS,
  textsOf,
  thingOf,
  withTexts,
  type Guest,
  type ListRow,
  type Piece,
} from '../piece/index.ts';
import type { Thing } from '../things/index.ts';
import { backOf, frontsOf } from './backs.ts';
import { asRow } from './copies.ts';
import type { Job } from './schema.ts';

/*
 * Guests: pieces that belong elsewhere and lie on the sheets of a job. Those of another job are
 * snapshots, filled with a row of its list; those of another thing of the same set are made anew
 * whenever the set is looked at.
 */

/** The pieces that are a job's own. */
export const ownPieces = ({ pieces }: Pick<Job, 'pieces'>): readonly Piece[] => ownOf(pieces);

const ownOf = onceFor((pieces: readonly Piece[]): readonly Piece[] =>
  pieces.some(({ guest }) => guest) ? pieces.filter(({ guest }) => !guest) : pieces,
);

/** A piece of another thing of the set as it lies on the sheets of this one; the same value for the same piece. */
export const sharingPiece = latestFor(
  (piece: Piece, ...[measured, thing, name]: [Thing, string, string]): Piece => {
    const idOf = (id: string): string => sharedId(thing, id);
    const { variant, build, ...kept } = piece;
    void build; // the edge is what it gave
    return {
      ...kept,
      id: idOf(piece.id),
      name: name.slice(0, PIECE_NAME_LETTERS),
      elements: piece.elements.map((element) =>
        element.kind === 'piece' ? { ...element, piece: idOf(element.piece) } : element,
      ),
      ...(piece.behind === undefined ? {} : { behind: idOf(piece.behind) }),
      guest: { thing, piece: piece.id, measured: variant?.thing ?? measured },
    };
  },
);

/** How a piece of another thing is called on the sheets that it shares. */
export const sharedId = (thing: string, piece: string): string => `${thing}-${piece}`;

/** A label of another job that is wanted on the sheets of this one. */
export interface GuestPick {
  readonly piece: string;
  /** The row of that job's list that fills it, by its key. */
  readonly row?: string | undefined;
}

/** Which thing of which job a guest is of. */
export type GuestSource = Required<Pick<Guest, 'job' | 'jobName'>> & Pick<Guest, 'thing'>;

/**
 * A piece of another job as it is now, filled and on its own: with its other side and the pieces that
 * stand in it. The first is the piece itself; nothing where that is not there.
 * @param job the thing that it is of, seen alone
 * @param idFor gives the id that one of them gets here
 */
export function snapshot(
  job: Job,
  pick: GuestPick,
  of: GuestSource,
  idFor: (piece: string) => string,
): Piece[] {
  const piece = job.pieces.find(({ id }) => id === pick.piece);
  if (!piece || piece.guest) return [];
  const row = job.list?.rows.find(({ key }) => key === pick.row);
  const all = withParts(job, withBack(job, piece));
  return all.map((one) => snapshotOf(job, one, { row, of, idFor }));
}

/** A piece with its other side. */
function withBack(job: Job, piece: Piece): readonly Piece[] {
  const back = backOf(job, piece.id);
  return back ? [piece, back] : [piece];
}

/** The pieces that stand in a piece, by their ids. */
const partsOf = ({ elements }: Piece): string[] =>
  elements.flatMap((one) => (one.kind === 'piece' ? [one.piece] : []));

/** Pieces with those that stand in them, each once. */
function withParts(job: Job, pieces: readonly Piece[]): readonly Piece[] {
  const ids = new Set(pieces.map(({ id }) => id));
  const parts = new Set(pieces.flatMap(partsOf));
  const more = job.pieces.filter(({ id }) => parts.has(id) && !ids.has(id));
  return more.length ? withParts(job, [...pieces, ...more]) : pieces;
}

function snapshotOf(
  job: Job,
  piece: Piece,
  {
    row,
    of,
    idFor,
  }: { row: ListRow | undefined; of: GuestSource; idFor: (piece: string) => string },
): Piece {
  const { variant, build, startedFrom, guides, behind, ...kept } = asRow(job, piece, row);
  void [variant, build, startedFrom, guides];
  const fields = job.list && row && fieldsOfRow(job.list, row);
  const facts = { today: job.today, number: undefined, ...(fields ? { row: fields } : {}) };
  const said = (text: string): string => (hasPlaceholders(text) ? filledText(text, facts) : text);
  return {
    ...kept,
    id: idFor(piece.id),
    name: guestName(job, piece, row),
    elements: kept.elements.map((element) => {
      const { field, ...plain } = element;
      void field; // what the host says in its fields is not said here
      const filled = textsOf(element).length ? withTexts(plain, said) : plain;
      return filled.kind === 'piece' ? { ...filled, piece: idFor(filled.piece) } : filled;
    }),
    ...(behind === undefined ? {} : { behind: idFor(behind) }),
    guest: {
      ...of,
      piece: piece.id,
      ...(row ? { row: row.key } : {}),
      measured: thingOf(piece, job.thing),
    },
  };
}

/** How a guest is called: like its job where that has one piece, and by what its row says first. */
function guestName(job: Job, piece: Piece, row: ListRow | undefined): string {
  const name =
    frontsOf({ pieces: ownPieces(job) }).length > 1 ? `${job.name}: ${piece.name}` : job.name;
  return asOfRow(name, row).slice(0, PIECE_NAME_LETTERS);
}

/** A name with what a row says first before it. */
export function asOfRow(name: string, row: ListRow | undefined): string {
  const said = row?.fields.find((field) => field.trim() !== '');
  return said === undefined ? name : `${said} · ${name}`;
}

/** Ids for guests that a job gets, each the same for the same piece. */
export function freshGuestIds({ pieces }: Pick<Job, 'pieces'>): (piece: string) => string {
  const used = pieces.map(({ id }) => id);
  const known = new Map<string, string>();
  return (piece) => {
    const id = known.get(piece) ?? freeId('guest', used);
    if (!known.has(piece)) used.push(id);
    known.set(piece, id);
    return id;
  };
}

/** A guest of another job as that has it now, with what goes with it; nothing where it is gone there. */
export function guestNow(host: Job, guest: Piece, source: Job): Piece[] {
  const { job, jobName = '', thing, piece, row } = guest.guest ?? { piece: '' };
  if (job === undefined) return [];
  if (row !== undefined && !source.list?.rows.some(({ key }) => key === row)) return [];
  const known = companions(host, guest);
  const fresh = freshGuestIds(host);
  const idFor = (id: string): string => known.get(id) ?? fresh(id);
  const of = { job, jobName: source.name || jobName, ...(thing === undefined ? {} : { thing }) };
  return snapshot(source, { piece, row }, of, idFor);
}

/** What came with a guest: its other side and what stands in it, by their pieces at home. */
function companions(host: Job, guest: Piece): ReadonlyMap<string, string> {
  const all = withParts(host, withBack(host, guest));
  return new Map(all.map(({ id, guest: from }) => [from?.piece ?? '', id]));
}

/** The guests of a job that are made: other sides and what stands in others come with them. */
export function guestsOf(job: Job): Piece[] {
  const inner = new Set(job.pieces.flatMap((piece) => (piece.guest ? partsOf(piece) : [])));
  return job.pieces.filter(
    ({ id, guest, behind }) => guest && behind === undefined && !inner.has(id),
  );
}
