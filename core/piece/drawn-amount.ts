import { textsOf } from './element-texts.ts';
import { elementMaps, type PieceElement } from './elements/index.ts';

/** Letters and shapes that one piece may hold, with all that pieces in it hold, each as often as it is drawn. */
export const MOST_DRAWN = 400_000;

/** What may hold elements: a piece, or what copies of it have of their own. */
interface Holder {
  readonly id: string;
  readonly elements: readonly PieceElement[];
}

/**
 * The elements by which a piece holds itself, or more than can be drawn; none where all of it is bounded.
 * @param holders pieces, and what copies of them have beside, by the pieces' ids
 */
export function findTooMuch(holders: readonly Holder[]): ReadonlySet<PieceElement> {
  const held = new Map<string, readonly PieceElement[]>();
  for (const { id, elements } of holders) held.set(id, [...(held.get(id) ?? []), ...elements]);
  const tooMuch = new Set<PieceElement>();
  const sums = new Map<string, number>();
  const entered = new Set<string>();
  const amountOf = (element: PieceElement): number => {
    const own =
      element.kind !== 'piece'
        ? lettersOf(element)
        : entered.has(element.piece)
          ? Infinity
          : 1 + sumOf(element.piece);
    return own * elementMaps(element).length;
  };
  const sumOf = (id: string): number => {
    const known = sums.get(id);
    if (known !== undefined) return known;
    entered.add(id);
    let sum = 0;
    for (const element of held.get(id) ?? []) {
      const amount = amountOf(element);
      if (sum + amount > MOST_DRAWN) tooMuch.add(element);
      else sum += amount;
    }
    entered.delete(id);
    sums.set(id, sum);
    return sum;
  };
  for (const id of held.keys()) sumOf(id);
  return tooMuch;
}

const lettersOf = (element: PieceElement): number =>
  Math.max(
    1,
    textsOf(element).reduce((sum, text) => sum + text.length, 0),
  );
