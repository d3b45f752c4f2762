import type { Random } from '../../base/index.ts';
import type { Laid, Level } from './level.ts';
import { overlapOf, type Mask } from './mask.ts';
import { bestNear, bestPlaces, type Found } from './search.ts';

const { min, max, floor, ceil } = Math;

/** How copies are moved apart. */
export interface Separating {
  readonly moves: number;
  /** Cells between places that are looked at. */
  readonly step: number;
  /** Only so far from where a copy lies, in cells; anywhere unless given. */
  readonly near?: number;
  readonly random: Random;
  readonly yieldNow: () => Promise<void>;
}

/** Moves between two breaths: some 20 ms. */
const BREATH = 16;
const TURNS = 2;
const ANY = { x: 0, y: 0 };

/**
 * Moves copies until none lies on another, or the moves are used up. A copy that collides goes where
 * it covers the least, and pairs that stay in each other's way weigh more each time.
 * Source: guided local search (Voudouris & Tsang, 1999) on overlap, as by Egeblad, Nielsen & Odgaard
 * (2007); on a raster, as Oliveira & Ferreira (1993) have it.
 * @param laid is what the level's board shows, unless only near places are looked at; it is changed
 * @returns whether nothing collides any more
 */
export async function separate(level: Level, laid: Laid[], how: Separating): Promise<boolean> {
  const pairs = new Pairs(level, laid);
  let moves = 0;
  while (pairs.any()) {
    for (const at of shuffled(pairs.colliding(), how.random)) {
      if (!pairs.collides(at)) continue;
      if (moves++ >= how.moves) return false;
      if (moves % BREATH === 0) await how.yieldNow();
      const copy = laid[at] as Laid;
      const found =
        how.near === undefined
          ? anywhere(level, { copy, at, pairs }, how)
          : nearby(level, { copy, at, pairs }, { step: how.step, by: how.near });
      if (found) Object.assign(copy, { turn: found.turn, x: found.x, y: found.y });
      if (how.near === undefined) level.lay(copy, 1);
      pairs.measure(at);
    }
    pairs.harden();
  }
  return true;
}

interface Moved {
  readonly copy: Laid;
  readonly at: number;
  readonly pairs: Pairs;
}

/** The best place on the whole sheet, turned as it is or in some other ways; the copy is taken off the board. */
function anywhere(
  level: Level,
  { copy, at, pairs }: Moved,
  { step, random }: Separating,
): Found | undefined {
  const { board } = level;
  level.lay(copy, -1);
  level.keep();
  pairs.weigh(at);
  board.settle();
  const turns = level.turnsOf(copy.kind, { random, most: TURNS, now: copy.turn });
  const most = board.under(level.of(copy).someEnds, copy.x, copy.y, Infinity);
  const [found] = bestPlaces(board, turns, { step, pull: ANY, random, most });
  level.back();
  return found;
}

/** The best place near by, held against the neighbours alone: the board is not needed. */
function nearby(
  level: Level,
  { copy, at, pairs }: Moved,
  { step, by }: { step: number; by: number },
): Found {
  const turned = level.of(copy);
  const neighbours = pairs.within(at, by + step);
  const underAt = (x: number, y: number, enough: number): number => {
    let sum = 0;
    for (const { mask, place, weight } of neighbours) {
      sum += overlapOf(turned.mask, { x, y }, mask, place) * weight;
      if (sum > enough) break;
    }
    return sum;
  };
  const under = level.barred(copy) ? Infinity : underAt(copy.x, copy.y, Infinity);
  return bestNear(underAt, turned, { ...copy, under, pull: 0 }, { step, by });
}

/** Which copies lie on each other, by how much, and how heavy that has become. */
class Pairs {
  private readonly level: Level;
  private readonly laid: readonly Laid[];
  private readonly overlaps = new Map<number, number>();
  private readonly weights = new Map<number, number>();

  constructor(level: Level, laid: readonly Laid[]) {
    this.level = level;
    this.laid = laid;
    for (let at = 0; at < laid.length; at++) this.measure(at);
  }

  private key(one: number, other: number): number {
    return min(one, other) * this.laid.length + max(one, other);
  }

  measure(at: number): void {
    const copy = this.laid[at] as Laid;
    // What is taken never moves: a copy that touches it collides with itself.
    if (this.level.barred(copy)) this.overlaps.set(this.key(at, at), 1);
    else this.overlaps.delete(this.key(at, at));
    for (const [other, one] of this.laid.entries()) {
      if (other === at) continue;
      const sum = this.level.between(copy, one);
      if (sum > 0) this.overlaps.set(this.key(at, other), sum);
      else this.overlaps.delete(this.key(at, other));
    }
  }

  any(): boolean {
    return this.overlaps.size > 0;
  }

  colliding(): number[] {
    const count = this.laid.length;
    const found = new Set<number>();
    for (const key of this.overlaps.keys()) found.add(floor(key / count)).add(key % count);
    return [...found];
  }

  collides(at: number): boolean {
    const count = this.laid.length;
    for (const key of this.overlaps.keys())
      if (floor(key / count) === at || key % count === at) return true;
    return false;
  }

  /** The copies that a copy may meet when it moves so far, with how heavy they are for it. */
  within(at: number, by: number): { mask: Mask; place: Laid; weight: number }[] {
    const { level, laid } = this;
    const copy = laid[at] as Laid;
    const own = level.of(copy).mask;
    return laid.flatMap((place, other) => {
      if (other === at) return [];
      const { mask } = level.of(place);
      const [dx, dy] = [copy.x - place.x, copy.y - place.y];
      const far =
        own.left + dx - by >= mask.right ||
        own.right + dx + by <= mask.left ||
        own.top + dy - by >= mask.bottom ||
        own.bottom + dy + by <= mask.top;
      return far ? [] : [{ mask, place, weight: 1 + (this.weights.get(this.key(at, other)) ?? 0) }];
    });
  }

  /** Makes those heavier on the board that were in a copy's way. */
  weigh(at: number): void {
    for (const [other, copy] of this.laid.entries()) {
      const weight = other === at ? 0 : (this.weights.get(this.key(at, other)) ?? 0);
      if (weight) this.level.lay(copy, weight);
    }
  }

  /** Pairs that still collide weigh more from now on. */
  harden(): void {
    const worst = max(0, ...this.overlaps.values());
    for (const [key, sum] of this.overlaps)
      this.weights.set(key, (this.weights.get(key) ?? 0) + ceil((4 * sum) / worst));
  }
}

function shuffled<T>(list: T[], random: Random): T[] {
  for (let at = list.length - 1; at > 0; at--) {
    const other = floor(random.next() * (at + 1));
    [list[at], list[other]] = [list[other] as T, list[at] as T];
  }
  return list;
}
