import type { Random } from '../../base/index.ts';
import { Board } from './board.ts';
import { overlapOf } from './mask.ts';
import {
  gridSize,
  isInRoom,
  turnedOutline,
  type Grid,
  type NestKind,
  type Turned,
} from './turned.ts';

const { min, max, floor, round } = Math;

/** Kinds are turned in fewer ways, and boards are far narrower. */
const MOST_TURNS = 1024;
const MOST_CELLS = 8192;

/** A copy on a board: which kind, turned how, at which cell. */
export interface Laid {
  kind: number;
  turn: number;
  x: number;
  y: number;
}

/** A sheet on a grid of one fineness, with the outlines as they are on it. */
export class Level {
  readonly grid: Grid;
  readonly board: Board;
  private readonly kinds: readonly NestKind[];
  private readonly small: readonly boolean[];
  private readonly made = new Map<number, Turned | undefined>();
  /** What lies on the board, and how many times; and what lay there when it was kept. */
  private lies = new Map<number, { readonly copy: Laid; readonly times: number }>();
  private kept = this.lies;

  constructor(kinds: readonly NestKind[], grid: Grid) {
    this.kinds = kinds;
    this.grid = grid;
    this.small = kinds.map(({ ring, angles }) => angles.some((one) => isInRoom(ring, one, grid)));
    const { cols, rows } = gridSize(grid);
    this.board = new Board(cols, rows);
  }

  /** A kind turned one of its ways; undefined when it has no place so. */
  find(kind: number, turn: number): Turned | undefined {
    const key = kind * MOST_TURNS + turn;
    const known = this.made.get(key);
    if (known || this.made.has(key)) return known;
    const { ring, angles } = this.kinds[kind] as NestKind;
    const made = turnedOutline(ring, angles[turn] ?? 0, this);
    this.made.set(key, made);
    return made;
  }

  /** Whether a kind is small enough for the room in any of its ways. */
  fits(kind: number): boolean {
    return this.small[kind] === true;
  }

  /** A copy's outline as it lies. */
  of({ kind, turn }: Laid): Turned {
    const found = this.find(kind, turn);
    if (!found) throw new Error('A copy was laid in a way in which it has no place.');
    return found;
  }

  /** Whether a copy touches what is taken. */
  barred(copy: Laid): boolean {
    const { barred, across } = this.of(copy);
    return barred?.[copy.y * across + copy.x] === 1;
  }

  /** Lays a copy down so many times; negative takes it away. */
  lay(copy: Laid, times: number): void {
    const { kind, turn, x, y } = copy;
    const { mask } = this.of(copy);
    this.board.lay(mask, x, y, times);
    const key = keyOf(copy);
    const there = this.lies.get(key);
    const now = (there?.times ?? 0) + times;
    if (now === 0) this.lies.delete(key);
    else this.lies.set(key, { copy: { kind, turn, x, y }, times: now });
  }

  /** Remembers how it lies, for `back`. */
  keep(): void {
    this.board.keep();
    this.kept = new Map(this.lies);
  }

  /** As it lay when it was kept. */
  back(): void {
    this.board.back();
    this.lies = this.kept;
  }

  /** Shows these copies and nothing else; those that lie there already stay. */
  show(laid: readonly Laid[]): void {
    const wanted = new Map<number, number>();
    for (const copy of laid) {
      const key = keyOf(copy);
      wanted.set(key, (wanted.get(key) ?? 0) + 1);
    }
    for (const [key, { copy, times }] of [...this.lies]) {
      const surplus = times - (wanted.get(key) ?? 0);
      if (surplus) this.lay(copy, -surplus);
      wanted.delete(key);
    }
    for (const copy of laid) if (wanted.has(keyOf(copy))) this.lay(copy, 1);
    this.board.settle();
  }

  /** How much of two copies lies on each other. */
  between(one: Laid, other: Laid): number {
    return overlapOf(this.of(one).mask, one, this.of(other).mask, other);
  }

  /** All ways to turn a kind in which it has a place, or some of them with the present one. */
  turnsOf(kind: number, some?: { random: Random; most: number; now?: number }): [number, Turned][] {
    const { angles } = this.kinds[kind] as NestKind;
    const order = angles.map((_, turn) => turn);
    if (some && order.length > some.most) {
      for (let at = 0; at < some.most; at++) {
        const other = at + floor(some.random.next() * (order.length - at));
        [order[at], order[other]] = [order[other] as number, order[at] as number];
      }
      order.length = some.most;
      if (some.now !== undefined && !order.includes(some.now)) order[0] = some.now;
    }
    return order.flatMap((turn): [number, Turned][] => {
      const turned = this.find(kind, turn);
      return turned ? [[turn, turned]] : [];
    });
  }

  /** A few ways to turn a kind in which it has a place, upright and across first; always the same ones. */
  firstTurns(kind: number, most: number): [number, Turned][] {
    const { angles } = this.kinds[kind] as NestKind;
    const quarter = max(1, angles.length >> 2);
    const found: [number, Turned][] = [];
    for (let off = 0; off < quarter; off++)
      for (let turn = off; turn < angles.length && found.length < most; turn += quarter) {
        const turned = this.find(kind, turn);
        if (turned) found.push([turn, turned]);
      }
    return found;
  }

  /** The same copies on another level. */
  movedTo(other: Level, laid: readonly Laid[]): Laid[] {
    const by = this.grid.cell / other.grid.cell;
    return laid.map((copy) => {
      const { across, down } = other.of(copy);
      return {
        ...copy,
        x: min(across - 1, round(copy.x * by)),
        y: min(down - 1, round(copy.y * by)),
      };
    });
  }
}

/** One number for a copy as it lies. */
const keyOf = ({ kind, turn, x, y }: Laid): number =>
  ((kind * MOST_TURNS + turn) * MOST_CELLS + y) * MOST_CELLS + x;
