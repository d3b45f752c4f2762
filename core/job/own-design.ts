import {
  adapted,
  textsOf,
  withTexts,
  type LabelField,
  type LabelSays,
  type Piece,
  type PieceElement,
} from '../piece/index.ts';
import { shapeSize } from '../shape/index.ts';
import { withUsedArt } from './art-use.ts';
import type { CommandCall } from './commands.ts';
import { withTypefaces } from './resources.ts';
import type { Job } from './schema.ts';

/** A job that is kept as a starting design. */
export type OwnDesign = Job & { readonly design: NonNullable<Job['design']> };

/** Whether a job is a starting design. */
export const isDesign = (job: Job): job is OwnDesign => job.design !== undefined;

/** Whether a design can leave an element open: it says something, or shows a picture. */
export const canBeOpen = (element: PieceElement): boolean =>
  element.kind === 'picture' || textsOf(element).length > 0;

/**
 * A piece of a job as a starting design: the piece alone, with the art and typefaces that it needs.
 * @param open the elements that may be changed by who starts from it
 */
export function designFrom(
  job: Job,
  piece: Piece,
  { id, name, open }: { id: string; name: string; open: readonly string[] },
): OwnDesign {
  const { variant, ...plain } = piece;
  const { list, ...rest } = job;
  void list;
  const alone: Job = {
    ...rest,
    id,
    name: name.trim().slice(0, 120) || piece.name,
    thing: variant?.thing ?? job.thing,
    pieces: [plain],
    plan: { ...job.plan, wanted: { [piece.id]: 1 }, handPlaces: {}, usedLabels: [] },
  };
  return { ...withTypefaces(withUsedArt(alone), []), design: { open: [...open] } };
}

/** What a label says and shows where its design leaves it open; empty words stay as they are. */
export interface OpenWords {
  readonly says: LabelSays;
  /** The hash of a picture, for the largest that is left open. */
  readonly art?: string | undefined;
}

/**
 * The command that puts a design on a piece: adapted to its edge, with the open fields and picture of
 * its own. Where no element says a field, the largest open words are the name, the next a line about it,
 * then its maker. What is not open is locked.
 */
export function callForDesign(
  design: OwnDesign,
  piece: Piece,
  words: OpenWords,
): Extract<CommandCall, { name: 'set-artwork' }> {
  const [from] = design.pieces;
  if (!from) throw new Error('A job has at least one piece.');
  const open = new Set(design.design.open);
  const filled = filledOpen(from, open, words);
  const [before, after] = [shapeSize(from.edge), shapeSize(piece.edge)];
  return {
    name: 'set-artwork',
    args: {
      piece: piece.id,
      ground: from.ground,
      elements: filled.map((element) => ({
        ...adapted(element, before, after),
        locked: !open.has(element.id),
      })),
      art: Object.values(design.art),
      from: design.name,
    },
  };
}

/** The elements of a design with the words and the picture of a label in those that are open. */
function filledOpen(
  { elements }: Piece,
  open: ReadonlySet<string>,
  words: OpenWords,
): readonly PieceElement[] {
  const free = elements.filter(({ id }) => open.has(id));
  const fieldsById = openFields(free);
  const [shown] = free
    .flatMap((one) => (one.kind === 'picture' ? [one] : []))
    .sort((one, other) => other.width * other.height - one.width * one.height);
  return elements.map((element): PieceElement => {
    const field = fieldsById.get(element.id);
    const text = field && words.says[field];
    if (text) return withTexts(element, () => text);
    if (!words.art || element.kind !== 'picture' || element !== shown) return element;
    const { spread, ...plain } = element;
    void spread; // grown from the other art
    return { ...plain, art: words.art };
  });
}

const BY_SIZE = ['name', 'line', 'maker'] as const;

/** What open elements say: their fields, or by their size where none of them has one. */
function openFields(open: readonly PieceElement[]): ReadonlyMap<string, LabelField> {
  const own = open.flatMap(({ id, field }) => (field ? [[id, field] as const] : []));
  if (own.length > 0) return new Map(own);
  const largest = open
    .flatMap((one) => (one.kind === 'words' ? [one] : []))
    .sort((one, other) => other.size - one.size);
  return new Map(
    BY_SIZE.flatMap((field, at) => (largest[at] ? [[largest[at].id, field] as const] : [])),
  );
}
