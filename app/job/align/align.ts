import { boxAround, type Box } from '../../../core/geometry/index.ts';

/** A box that is moved, by the name of what stands in it; those of a group are moved as one. */
export interface Movable {
  readonly ids: readonly string[];
  readonly box: Box;
}

/** How far each element moves, mm. */
export type Moves = Readonly<Record<string, { readonly dx: number; readonly dy: number }>>;

/** What several elements can be brought to, named by how they stand then. */
export const OUTCOMES = [
  'lefts',
  'middles-across',
  'rights',
  'tops',
  'middles-down',
  'bottoms',
  'gaps-across',
  'gaps-down',
] as const;
export type Outcome = (typeof OUTCOMES)[number];

/**
 * The moves that bring elements into line, or to equal gaps.
 * @param frame what one alone is aligned to: the piece
 */
export function movesTo(outcome: Outcome, movables: readonly Movable[], frame: Box): Moves {
  if (outcome === 'gaps-across') return evenGaps(movables, 'x');
  if (outcome === 'gaps-down') return evenGaps(movables, 'y');
  const all = movables.length > 1 ? boxAround(movables.map(({ box }) => box)) : frame;
  if (!all) return {};
  return movedBy(movables, ({ box }) => {
    switch (outcome) {
      case 'lefts':
        return { dx: all.left - box.left, dy: 0 };
      case 'rights':
        return { dx: all.right - box.right, dy: 0 };
      case 'middles-across':
        return { dx: (all.left + all.right - box.left - box.right) / 2, dy: 0 };
      case 'tops':
        return { dx: 0, dy: all.top - box.top };
      case 'bottoms':
        return { dx: 0, dy: all.bottom - box.bottom };
      case 'middles-down':
        return { dx: 0, dy: (all.top + all.bottom - box.top - box.bottom) / 2 };
    }
  });
}

function movedBy(
  movables: readonly Movable[],
  move: (one: Movable) => { dx: number; dy: number },
): Moves {
  return Object.fromEntries(
    movables.flatMap((one) => {
      const by = move(one);
      return one.ids.map((id) => [id, by]);
    }),
  );
}

/** The first and the last stay; the others share the room between them with equal gaps. */
function evenGaps(movables: readonly Movable[], axis: 'x' | 'y'): Moves {
  const [from, to] = axis === 'x' ? (['left', 'right'] as const) : (['top', 'bottom'] as const);
  const row = [...movables].sort(
    (one, other) => one.box[from] + one.box[to] - other.box[from] - other.box[to],
  );
  const [first, last] = [row[0], row[row.length - 1]];
  if (!first || !last || row.length < 3) return {};
  const taken = row.reduce((sum, { box }) => sum + box[to] - box[from], 0);
  const gap = (last.box[to] - first.box[from] - taken) / (row.length - 1);
  const moves: Record<string, { dx: number; dy: number }> = {};
  let at = first.box[from];
  for (const { ids, box } of row) {
    const by = at - box[from];
    for (const id of ids) moves[id] = axis === 'x' ? { dx: by, dy: 0 } : { dx: 0, dy: by };
    at += box[to] - box[from] + gap;
  }
  return moves;
}
