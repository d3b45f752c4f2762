import { apply } from '../geometry/index.ts';
import {
  centredParts,
  elementMap,
  isShapePart,
  type Combined,
  type Meeting,
  type PieceElement,
  type ShapePart,
} from '../piece/index.ts';
import { insertElements, withOwnPiece } from './insert-elements.ts';
import type { Command, Of } from './command.ts';
import { notFound, refused } from './command-problems.ts';

/** Shapes put together from shapes and words, and taken apart again. */
export const COMBINE_COMMANDS = {
  /** Several elements as one shape: each meets what lies beneath it. */
  'combine-elements': {
    run: (job, { piece, elements, how }) =>
      withOwnPiece(job, piece, (found) => {
        const chosen = found.elements.filter(({ id }) => elements.includes(id));
        const parts = chosen.filter(isShapePart);
        if (chosen.length < 2) return refused('one-part');
        if (parts.length < chosen.length) return refused('not-combinable');
        const last = found.elements.findLastIndex(({ id }) => elements.includes(id));
        const below = found.elements.slice(0, last + 1).filter((one) => !chosen.includes(one));
        const rest = { ...found, elements: found.elements.filter((one) => !chosen.includes(one)) };
        return insertElements(rest, [combined(parts, how)], below.length);
      }),
  } satisfies Command<Of & { elements: readonly string[]; how: Meeting }>,

  /** The parts of a shape as elements again, where they stand in it. */
  'take-apart': {
    run: (job, { piece, element }) =>
      withOwnPiece(job, piece, (found) => {
        const at = found.elements.findIndex(({ id }) => id === element);
        const whole = found.elements[at];
        if (whole?.kind !== 'combined') return notFound('shape');
        const parts = whole.parts.map(({ element: part }) => takenOut(part, whole));
        return insertElements(
          { ...found, elements: found.elements.filter((one) => one !== whole) },
          parts,
          at,
        );
      }),
  } satisfies Command<Of & { element: string }>,
};

/** One shape from parts where they stand; it is filled like the lowest of them. */
function combined(parts: readonly ShapePart[], how: Meeting): Combined {
  const made = centredParts(
    parts.map((element) => {
      const { group, ...plain } = element;
      void group; // they belong together now
      return { how, element: plain };
    }),
  );
  const [lowest] = parts;
  return {
    kind: 'combined',
    id: 'combined',
    ...made.centre,
    angle: 0,
    locked: false,
    parts: made.parts,
    fill: fillOf(lowest),
    line: null,
  };
}

function fillOf(part: ShapePart | undefined): Combined['fill'] {
  switch (part?.kind) {
    case 'words':
      return part.color;
    case 'plate':
      return part.fill?.color ?? part.line?.color ?? '#2a1b2e';
    case 'line':
      return part.fill ?? part.line?.color ?? '#2a1b2e';
    case undefined:
      return '#2a1b2e';
  }
}

/** A part where it stands in the piece, turned and mirrored as the whole is. */
function takenOut(part: ShapePart, whole: Combined): PieceElement {
  const { x, y } = apply(elementMap(whole), part);
  const mirrored = whole.flip === 'across' || whole.flip === 'down';
  const flip = flips(part.flip, whole.flip);
  const { flip: before, ...plain } = part;
  void before;
  return {
    ...plain,
    x,
    y,
    angle: whole.angle + (mirrored ? -part.angle : part.angle),
    ...(flip ? { flip } : {}),
    ...(whole.repeat && !part.repeat ? { repeat: whole.repeat } : {}),
  };
}

type Flip = PieceElement['flip'];

/** Two mirrorings one after the other. */
function flips(one: Flip, other: Flip): Flip {
  const across = (flip: Flip): boolean => flip === 'across' || flip === 'both';
  const down = (flip: Flip): boolean => flip === 'down' || flip === 'both';
  const [x, y] = [across(one) !== across(other), down(one) !== down(other)];
  return x && y ? 'both' : x ? 'across' : y ? 'down' : undefined;
}
