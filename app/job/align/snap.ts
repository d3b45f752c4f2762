import { boxAbout, type Box } from '../../../core/geometry/index.ts';

/** A line that something has snapped to, in mm of the piece. */
export interface Guide {
  readonly axis: 'x' | 'y';
  readonly at: number;
}

/** A gap that is as wide as another: where it goes from and to, and how far across it is drawn. */
export interface EqualGap {
  readonly axis: 'x' | 'y';
  readonly from: number;
  readonly to: number;
  readonly across: number;
}

/** A move after snapping, the lines that took hold, and the gaps that came out equal. */
export interface Snapped {
  readonly dx: number;
  readonly dy: number;
  readonly guides: readonly Guide[];
  readonly gaps: readonly EqualGap[];
}

/** Where things snap to. */
export interface Targets {
  readonly x: readonly number[];
  readonly y: readonly number[];
  /** What gaps are compared with. */
  readonly boxes?: readonly Box[];
  /** Sides of the squares of a grid about the middle, mm. */
  readonly grid?: number | undefined;
}

/** What there is to snap to: the middle, edge and safe inset of the piece and its zones, guides, and the other elements. */
export function snapTargets(
  piece: { width: number; height: number; safe: number; zones?: readonly Box[] },
  boxes: readonly Box[],
  grid?: number,
  guides: readonly Guide[] = [],
): Targets {
  const along = (axis: Guide['axis']): number[] =>
    guides.flatMap((guide) => (guide.axis === axis ? [guide.at] : []));
  const rooms = [boxAbout({ x: 0, y: 0 }, piece.width, piece.height), ...(piece.zones ?? [])];
  const ofRooms = (from: 'left' | 'top', to: 'right' | 'bottom'): number[] =>
    rooms.flatMap((room) => [
      (room[from] + room[to]) / 2,
      room[from],
      room[to],
      room[from] + piece.safe,
      room[to] - piece.safe,
    ]);
  return {
    boxes,
    grid,
    x: [
      ...ofRooms('left', 'right'),
      ...along('x'),
      ...boxes.flatMap((box) => [box.left, (box.left + box.right) / 2, box.right]),
    ],
    y: [
      ...ofRooms('top', 'bottom'),
      ...along('y'),
      ...boxes.flatMap((box) => [box.top, (box.top + box.bottom) / 2, box.bottom]),
    ],
  };
}

/** One axis of a box, so that both are worked out alike. */
interface Span {
  readonly from: number;
  readonly to: number;
}

const spans = (box: Box, axis: 'x' | 'y'): { along: Span; across: Span } => {
  const x = { from: box.left, to: box.right };
  const y = { from: box.top, to: box.bottom };
  return axis === 'x' ? { along: x, across: y } : { along: y, across: x };
};

/**
 * Snaps a move: for each axis on its own the nearest target within `reach` mm of a side or the middle
 * of the moved box takes hold, or a gap as wide as another, or the grid where it is shown.
 */
export function snapMove(
  box: Box,
  move: { dx: number; dy: number },
  targets: Targets,
  reach: number,
): Snapped {
  const across = snapAxis(box, 'x', { free: move.dx, targets, reach });
  const down = snapAxis(box, 'y', { free: move.dy, targets, reach });
  const [dx, dy] = [across.move, down.move];
  const moved = {
    left: box.left + dx,
    right: box.right + dx,
    top: box.top + dy,
    bottom: box.bottom + dy,
  };
  return {
    dx,
    dy,
    guides: [...across.guides, ...down.guides],
    gaps: (['x', 'y'] as const).flatMap((axis) => equalGaps(moved, axis, targets.boxes ?? [])),
  };
}

function snapAxis(
  box: Box,
  axis: 'x' | 'y',
  { free, targets, reach }: { free: number; targets: Targets; reach: number },
): { move: number; guides: Guide[] } {
  const { from, to } = spans(box, axis).along;
  const lines = [from, (from + to) / 2, to];
  const found = nearest(lines, free, targets[axis], reach);
  if (found) return { move: found.move, guides: [{ axis, at: found.at }] };
  const equal = gapMoves(box, axis, targets.boxes ?? [])
    .filter((move) => Math.abs(move - free) <= reach)
    .sort((one, other) => Math.abs(one - free) - Math.abs(other - free));
  if (equal[0] !== undefined) return { move: equal[0], guides: [] };
  const { grid } = targets;
  if (!grid || reach === 0) return { move: free, guides: [] };
  return { move: Math.round((from + free) / grid) * grid - from, guides: [] };
}

function nearest(
  lines: readonly number[],
  move: number,
  targets: readonly number[],
  reach: number,
): { move: number; at: number } | undefined {
  let best: { move: number; at: number; off: number } | undefined;
  for (const line of lines) {
    for (const at of targets) {
      const off = Math.abs(line + move - at);
      if (off <= reach && off < (best?.off ?? Infinity) - 1e-9) best = { move: at - line, at, off };
    }
  }
  return best;
}

/** The neighbours of a box along an axis: those that stand beside it, in their order. */
function besides(box: Box, axis: 'x' | 'y', boxes: readonly Box[]): Span[] {
  const own = spans(box, axis).across;
  return boxes
    .map((one) => spans(one, axis))
    .filter(({ across }) => across.from < own.to && across.to > own.from)
    .map(({ along }) => along)
    .sort((one, other) => one.from - other.from);
}

/** The moves that make a gap beside a box as wide as another in the row. */
function gapMoves(box: Box, axis: 'x' | 'y', boxes: readonly Box[]): number[] {
  const { from, to } = spans(box, axis).along;
  const row = besides(box, axis, boxes);
  return row.flatMap((one, at) => {
    const next = row[at + 1];
    if (!next || next.from <= one.to) return [];
    const gap = next.from - one.to;
    return [(one.to + next.from) / 2 - (from + to) / 2, next.to + gap - from, one.from - gap - to];
  });
}

const SAME = 0.01; // mm

/** The gaps beside a box that are as wide as another in its row. */
function equalGaps(box: Box, axis: 'x' | 'y', boxes: readonly Box[]): EqualGap[] {
  const { along, across } = spans(box, axis);
  const row = [...besides(box, axis, boxes), along].sort((one, other) => one.from - other.from);
  const gaps = row.flatMap((one, at) => {
    const next = row[at + 1];
    return next && next.from > one.to + SAME
      ? [{ from: one.to, to: next.from, own: one === along || next === along }]
      : [];
  });
  const ours = gaps.filter(({ own }) => own);
  const equal = gaps.filter((gap) =>
    ours.some((one) => one !== gap && Math.abs(one.to - one.from - gap.to + gap.from) < SAME),
  );
  const middle = (across.from + across.to) / 2;
  return equal.map(({ from, to }) => ({ axis, from, to, across: middle }));
}
