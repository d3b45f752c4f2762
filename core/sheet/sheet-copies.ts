import {
  boxesMeet,
  boxOfRings,
  distanceBetween,
  grown,
  placed,
  type Affine,
  type Box,
} from '../geometry/index.ts';
import type { CompiledPiece } from '../piece/index.ts';
import { placeEdge, type EdgeRings } from '../shape/index.ts';
import type { Placement, SheetLayout } from './arrange.ts';
import type { CopyId } from './plan.ts';

/** A copy with its lines on the sheet. */
export interface SheetCopy {
  readonly placement: Placement;
  readonly piece: CompiledPiece;
  /** The name of its drawing: that of its piece, or one of its own where copies are numbered. */
  readonly symbol: string;
  /** From mm about the middle of its piece to mm on the sheet. */
  readonly map: Affine;
  /** The finished outline on the sheet. */
  readonly trim: EdgeRings;
  /** The edges of the stickers in it, on the sheet. */
  readonly kissCuts: EdgeRings;
  /** Its folds on the sheet. */
  readonly creases: EdgeRings;
  readonly box: Box;
  /** How far its bleed reaches, mm: half way to its nearest neighbour at most. */
  readonly bleed: number;
  /** Its place stays empty: it is neither printed nor cut. */
  readonly out?: boolean;
}

/** A copy as it is compiled, and what tells its drawing from those of others of its piece. */
export interface CopyVariant {
  readonly compiled: CompiledPiece;
  readonly look: string;
  /** Its place stays empty. */
  readonly out?: boolean;
}

/** Where copies are found as they are compiled. */
export interface CopySource {
  find(copy: CopyId): CopyVariant | undefined;
}

/** The name of a piece's symbol in the drawing of a sheet. */
export function pieceSymbol(piece: string): string {
  return `piece-${piece}`;
}

/** Where each copy lies and how far its bleed may reach, without drawing anything. */
export function sheetCopies(
  { placements }: Pick<SheetLayout, 'placements'>,
  pieces: CopySource,
): SheetCopy[] {
  const bare = placements.flatMap((placement): SheetCopy[] => {
    const found = pieces.find(placement.copy);
    if (!found) return [];
    const { compiled: piece, look, out } = found;
    const map = placed(placement.x, placement.y, placement.angle);
    const trim = placeEdge(piece.rings, map);
    const kissCuts = placeEdge(piece.kissCuts, map);
    const creases = placeEdge(piece.creases, map);
    const box = boxOfRings(trim) ?? { left: 0, top: 0, right: 0, bottom: 0 };
    const symbol = pieceSymbol(placement.piece) + (look && `-${look}`);
    return [
      {
        placement,
        piece,
        symbol,
        map,
        trim,
        kissCuts,
        creases,
        box,
        bleed: piece.piece.bleed,
        ...(out ? { out } : {}),
      },
    ];
  });
  const bleeds = bare.map(({ bleed }) => bleed);
  // An empty place takes nothing from the bleed of its neighbours.
  for (const [at, copy] of bare.entries())
    for (const [to, other] of bare.entries()) {
      if (to <= at || copy.out || other.out) continue;
      const gap = gapBetween(copy, other);
      if (gap === undefined) continue;
      const half = Math.max(0, Math.floor(gap / 2 / BLEED_STEP + 1e-6) * BLEED_STEP);
      bleeds[at] = Math.min(bleeds[at] ?? half, half);
      bleeds[to] = Math.min(bleeds[to] ?? half, half);
    }
  return bare.map((copy, at) => ({ ...copy, bleed: bleeds[at] ?? copy.bleed }));
}

const gaps = new WeakMap<EdgeRings, Map<string, { with: EdgeRings; gap: number | undefined }>>();

/** The gap within which bleeds would meet; worked out once for copies that lie to each other in one way. */
function gapBetween(copy: SheetCopy, other: SheetCopy): number | undefined {
  const within = copy.bleed + other.bleed;
  if (!boxesMeet(grown(copy.box, within), other.box, 0)) return undefined;
  const known =
    gaps.get(copy.piece.rings) ?? new Map<string, { with: EdgeRings; gap: number | undefined }>();
  gaps.set(copy.piece.rings, known);
  const [a, b] = [copy.placement, other.placement];
  const key = [b.x - a.x, b.y - a.y, a.angle, b.angle, within]
    .map((value) => value.toFixed(5))
    .join();
  const found = known.get(key);
  if (found?.with === other.piece.rings) return found.gap;
  const gap = findGap(copy, other, within);
  if (known.size >= MOST_GAPS) known.clear();
  known.set(key, { with: other.piece.rings, gap });
  return gap;
}

const MOST_GAPS = 5000;

/**
 * A bleed that is cut short ends at steps, mm: copies that lie in all kinds of ways share few outlines,
 * and few drawings.
 */
const BLEED_STEP = 0.1;

/** The distance from a copy's edge to that of another, or undefined when it is more than `within`. */
export function findGap(one: SheetCopy, other: SheetCopy, within: number): number | undefined {
  if (!boxesMeet(grown(one.box, within), other.box, 0)) return undefined;
  const [a, b] = [one.piece.piece.edge, other.piece.piece.edge];
  const gap =
    a.kind === 'circle' && b.kind === 'circle'
      ? Math.hypot(one.placement.x - other.placement.x, one.placement.y - other.placement.y) -
        (a.diameter + b.diameter) / 2
      : distanceBetween(one.trim, other.trim, within);
  return gap < within ? gap : undefined;
}
