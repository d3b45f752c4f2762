import { elementMaps, type PieceElement } from './elements/index.ts';

/** How many pieces one piece may hold with all that these hold, each as often as it stands there. */
export const MOST_HELD = 5000;

/** What may hold pieces: a piece, or what copies of it have of their own. */
interface Holder {
  readonly id: string;
  readonly elements: readonly PieceElement[];
}

/**
 * The elements by which a piece holds itself, or more pieces than can be drawn; none where each holds a
 * bounded number of others.
 * @param holders pieces, and what copies of them have beside, by the pieces' ids
 */
export function findEndless(holders: readonly Holder[]): ReadonlySet<PieceElement> {
  const parts = new Map<string, readonly PieceElement[]>();
  for (const { id, elements } of holders)
    parts.set(id, [...(parts.get(id) ?? []), ...elements.filter(({ kind }) => kind === 'piece')]);
  const endless = new Set<PieceElement>();
  const held = new Map<string, number>();
  const entered = new Set<string>();
  const count = (id: string): number => {
    const known = held.get(id);
    if (known !== undefined) return known;
    entered.add(id);
    let sum = 0;
    for (const element of parts.get(id) ?? []) {
      if (element.kind !== 'piece') continue;
      const inner = entered.has(element.piece)
        ? Infinity
        : (1 + count(element.piece)) * elementMaps(element).length;
      if (sum + inner > MOST_HELD) endless.add(element);
      else sum += inner;
    }
    entered.delete(id);
    held.set(id, sum);
    return sum;
  };
  for (const id of parts.keys()) count(id);
  return endless;
}
