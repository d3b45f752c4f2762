import { isProblem, type Problem } from '../base/index.ts';
import { artSchema, type Art } from '../art/index.ts';
import {
  color,
  coverOf,
  fillSchema,
  textsOf,
  withTexts,
  type Fill,
  type Piece,
  type PieceElement,
} from '../piece/index.ts';
import { textChanges } from '../type/index.ts';
import { insertElements, withOwnPiece } from './insert-elements.ts';
import { withArt, withPiece, type Command, type Of } from './command.ts';
import { notFound, refused } from './command-problems.ts';
import { mapPieces } from './map-pieces.ts';
import type { Job } from './schema.ts';
import { changedElement, type ElementChanges } from './changed-element.ts';
import { recoloredIn } from './variants.ts';

/** A size on which elements were changed: what it has of its own is kept beside its base. */
function overridden(
  piece: Piece,
  variant: NonNullable<Piece['variant']>,
  changes: Readonly<Record<string, ElementChanges>>,
): Piece | Problem {
  const overrides = { ...variant.overrides };
  for (const element of piece.elements) {
    const own = changes[element.id];
    if (!own) continue;
    const made = changedElement(element, own);
    if (isProblem(made)) return made;
    overrides[element.id] = { ...overrides[element.id], ...own };
  }
  return { ...piece, variant: { ...variant, overrides } };
}

/** The changes of what stands in a piece. */
export const ARTWORK_COMMANDS = {
  'add-element': {
    run: (job, { piece, element, art, at }) =>
      added(job, {
        piece,
        elements: [element],
        ...(art ? { art: [art] } : {}),
        ...(at === undefined ? {} : { at }),
      }),
  } satisfies Command<Of & { element: PieceElement; art?: Art; at?: number }>,

  /** Several elements at once, as they are pasted or come with a starting design. */
  'add-elements': {
    run: (job, args) => added(job, args),
  } satisfies Command<Adding & { doing?: string }>,

  /** Other artwork for a piece, all of it: a starting design, or a blank piece. */
  'set-artwork': {
    run: (job, { piece, ground, elements, art = [], design }) => {
      const read = fillSchema.nullable().safeParse(ground);
      if (!read.success) return refused('ground-unfit');
      const made = withOwnPiece(job, piece, ({ startedFrom, ...found }) => {
        void startedFrom;
        const blank = {
          ...found,
          ...(design ? { startedFrom: design } : {}),
          ground,
          elements: [],
        };
        return insertElements(blank, elements, 0);
      });
      return withArt(made, art);
    },
  } satisfies Command<
    Of & {
      ground: Fill | null;
      elements: readonly PieceElement[];
      art?: readonly Art[];
      /** What the design is called. */
      from?: string;
      /** The starting design itself, by its name. */
      design?: string;
    }
  >,

  'change-elements': {
    run: (job, { piece, changes, art }) => {
      const changed = withPiece(job, piece, (found) => {
        let failure: Problem | undefined;
        if (found.variant) return overridden(found, found.variant, changes);
        const elements = found.elements.map((element) => {
          const own = changes[element.id];
          if (!own) return element;
          const made = changedElement(element, own);
          if (isProblem(made)) failure = made;
          return isProblem(made) ? element : made;
        });
        return failure ?? { ...found, elements };
      });
      return withArt(changed, art ? [art] : []);
    },
  } satisfies Command<Of & { changes: Record<string, ElementChanges>; doing?: string; art?: Art }>,

  'delete-elements': {
    run: (job, { piece, elements }) =>
      withOwnPiece(job, piece, (found) => ({
        ...found,
        elements: found.elements.filter(({ id, locked }) => locked || !elements.includes(id)),
      })),
  } satisfies Command<Of & { elements: readonly string[] }>,

  /** The same again, a little further on; copies of a group are a group of their own. */
  'duplicate-elements': {
    run: (job, { piece, elements, dx = 3, dy = 3 }) =>
      withOwnPiece(job, piece, (found) => {
        const copied = found.elements.filter(({ id }) => elements.includes(id));
        const moved = copied.map((one) => ({
          ...one,
          x: one.x + dx,
          y: one.y + dy,
          locked: false,
        }));
        const last = found.elements.findLastIndex(({ id }) => elements.includes(id));
        return copied.length ? insertElements(found, moved, last + 1) : notFound('element');
      }),
  } satisfies Command<Of & { elements: readonly string[]; dx?: number; dy?: number }>,

  /** `to` counts from the bottom, which prints first. */
  'reorder-element': {
    run: (job, { piece, element, to }) =>
      withOwnPiece(job, piece, (found) => {
        const source = found.elements.find(({ id }) => id === element);
        if (!source) return notFound('element');
        const others = found.elements.filter((one) => one !== source);
        const at = Math.max(0, Math.min(others.length, to));
        return found.elements[at] === source
          ? found
          : { ...found, elements: [...others.slice(0, at), source, ...others.slice(at)] };
      }),
  } satisfies Command<Of & { element: string; to: number }>,

  /** A picture as the ground of its piece: in proportion out to the bleed, below everything else. */
  'cover-label': {
    run: (job, { piece, element }) =>
      withOwnPiece(job, piece, (found) => {
        const source = found.elements.find(({ id }) => id === element);
        if (source?.kind !== 'picture') return notFound('element');
        const { frame, view, spread, group, repeat, ...kept } = source;
        void [frame, view, spread, group, repeat]; // what it had of its own as one thing among others
        const cover: PieceElement = { ...kept, ...coverOf(found) };
        return { ...found, elements: [cover, ...found.elements.filter((one) => one !== source)] };
      }),
  } satisfies Command<Of & { element: string }>,

  /** Other colours in the place of some, in a piece or in all; keys in small letters. */
  recolor: {
    run: (job, { piece, colors }) => {
      const wrong = Object.values(colors).find((one) => !color.safeParse(one).success);
      if (wrong !== undefined) return refused('colour-unread', { typed: wrong });
      return {
        ...job,
        pieces: job.pieces.map((one) =>
          recoloredIn(one, colors, (id) => piece === undefined || piece === id),
        ),
      };
    },
  } satisfies Command<{
    piece?: string;
    colors: Readonly<Record<string, string>>;
    doing?: string;
  }>,

  /** Other words wherever some stand, in all pieces. */
  'replace-words': {
    run: (job, { find, by, exactly = false }) => {
      if (find === '') return refused('find-empty');
      const changed = mapPieces(job, (piece) => {
        const elements = piece.elements.map((one): PieceElement => {
          const swapped = (text: string): string => replaced(text, { find, by, exactly });
          if (one.kind === 'code' || textsOf(one).every((text) => swapped(text) === text))
            return one;
          const made = withTexts(one, swapped);
          if (made.kind !== 'words' || one.kind !== 'words') return made;
          return { ...made, ...textChanges(one, made.text) };
        });
        return elements.every((one, at) => one === piece.elements[at])
          ? piece
          : { ...piece, elements };
      });
      return changed === job ? refused('find-nowhere', { find }) : changed;
    },
  } satisfies Command<{ find: string; by: string; exactly?: boolean }>,
};

interface Adding extends Of {
  readonly elements: readonly PieceElement[];
  readonly art?: readonly Art[];
  /** Where in the stack, counted from the bottom; on top unless given. */
  readonly at?: number;
}

/** The job with elements added to a piece, with ids and groups of their own. */
function added(job: Job, { piece, elements, art = [], at }: Adding): Job | Problem {
  if (!art.every((one) => artSchema.safeParse(one).success)) return refused('art-damaged');
  const made = withOwnPiece(job, piece, (found) =>
    found.elements.length + elements.length > MOST_ELEMENTS
      ? refused('too-many-elements', {
          count: found.elements.length + elements.length,
          most: MOST_ELEMENTS,
        })
      : insertElements(found, elements, at ?? found.elements.length),
  );
  return withArt(made, art);
}

const MOST_ELEMENTS = 500;

function replaced(
  text: string,
  { find, by, exactly }: { find: string; by: string; exactly: boolean },
): string {
  if (exactly) return text.replaceAll(find, () => by);
  const plain = find.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  return text.replace(new RegExp(plain, 'giu'), () => by);
}
