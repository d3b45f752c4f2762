import { seededRandom, type Random } from '../../base/index.ts';
import type { Point } from '../../geometry/index.ts';
import { FreePlaces } from './free-place.ts';
import { Level, type Laid } from './level.ts';
import { bestPlaces, downhill, onBoard, type Pull, type Within } from './search.ts';
import { separate } from './separate.ts';
import type { Nested, NestPlace, NestWish, SheetSearch, Watch } from './sheet-search.ts';
import { reachOf, type NestRoom } from './turned.ts';

/** About how many cells a sheet has on the fine grid, and how many of those a coarse cell is wide. */
const CELLS = 250_000;
const COARSE = 5;
const FINEST = 0.35; // mm
/** Moves of an attempt on the coarse grid, and on the fine one, where nothing goes farther than so many cells. */
const MOVES = 200;
const FINE_MOVES = 300;
const NEAR = 16;
/** By how much of the sheet an attempt should better it, and how many exchanges are thought of for that. */
const AIM = 0.01;
const THOUGHTS = 12;
/** The share of attempts that only let two copies change places. */
const SWAPS = 0.02;
/**
 * The share of attempts that put in more than is free and move it apart: of a few copies more, since
 * to empty a part of them leaves little to fill anew.
 */
const APART = { least: 0.05, ofOne: 1.5 } as const;
/** Of so many parts the emptiest is renewed, by its reach as a share of the sheet's longer side. */
const LOOKED_AT = 8;
const REACH = { least: 0.15, more: 0.2 } as const;
/** The share of those in which nothing else is moved. */
const LOCAL_REFILLS = 0.96;
/** By how much of the sheet less may be kept for a while, and how far that may go. */
const GRACE = 0.009;
const MOST_DRIFT = 0.02;
/** Free places that are looked for between two breaths: for the first answer, and later. */
const FIRST_PLACINGS = 10;
const PLACINGS = 24;
/**
 * A sheet that is filled better and better: some part of it emptied and filled anew in another order
 * (ruin and recreate: Schrimpf et al., 2000), or more put in than is free and moved apart. Outlines
 * lie on two grids: a coarse one, on which every place of the sheet is looked at, and a fine one, on
 * which an outline owns every cell that it touches, so that what is free of collisions there is so
 * exactly.
 */
export class NestedSheet implements SheetSearch {
  private readonly wishes: readonly NestWish[];
  private readonly coarse: Level;
  private readonly fine: Level;
  private readonly random: Random;
  private readonly roomy: number;
  /** How much larger kinds are taken for, so that they come in another order. */
  private noise: readonly number[] | undefined;
  private placings = 0;
  private readonly free: FreePlaces;
  /** Whether of several free places the closest is taken, as after the first answer. */
  private close = false;
  /** How many more are put in at an attempt. */
  private overfill = 1;
  /** As it lies on the fine grid, free of collisions. */
  private laid: Laid[] = [];
  /** As it lay when it held most. */
  private best: Laid[] = [];

  constructor(wishes: readonly NestWish[], room: NestRoom, seed: number) {
    this.wishes = wishes;
    const { left, top, right, bottom } = room.area;
    this.roomy = (right - left) * (bottom - top);
    const cell = Math.max(FINEST, Math.sqrt(this.roomy / CELLS));
    const reach = reachOf(room.gap);
    this.fine = new Level(wishes, { room, cell, reach, cover: 'touched' });
    this.coarse = new Level(wishes, {
      room,
      cell: cell * COARSE,
      reach,
      cover: 'middle',
    });
    this.random = seededRandom(seed);
    this.free = new FreePlaces({ fine: this.fine, coarse: this.coarse }, this.random);
  }

  /** Begins with copies that lie already; those that do not lie freely on the grid are left out. */
  begin(places: readonly NestPlace[]): void {
    const { fine } = this;
    fine.show(this.laid);
    for (const { kind, angle, x, y } of places) {
      const turn = this.wishes[kind]?.angles.indexOf(angle) ?? -1;
      const turned = turn < 0 ? undefined : fine.find(kind, turn);
      if (!turned || !this.waiting(this.laid).includes(kind)) continue;
      const { cell } = fine.grid;
      const at = {
        x: Math.round((x - turned.origin.x) / cell),
        y: Math.round((y - turned.origin.y) / cell),
      };
      const out = at.x < 0 || at.y < 0 || at.x >= turned.across || at.y >= turned.down;
      if (out || turned.barred?.[at.y * turned.across + at.x]) continue;
      if (fine.board.under(turned.ends, at.x, at.y, 0) > 0) continue;
      const copy: Laid = { kind, turn, ...at };
      this.laid.push(copy);
      fine.lay(copy, 1);
      fine.board.settle();
    }
  }

  answer(): Nested {
    const { cell } = this.fine.grid;
    return {
      places: this.best.map((copy) => {
        const { angle, origin } = this.fine.of(copy);
        return { kind: copy.kind, angle, x: origin.x + copy.x * cell, y: origin.y + copy.y * cell };
      }),
      area: areaOf(this.wishes, this.best),
      worth: worthOf(this.wishes, this.best),
      all: !this.left(),
    };
  }

  /** Whether there is something left to place that has a place at all. */
  left(): boolean {
    return this.waiting(this.best).length > 0;
  }

  /** The kinds of which more is wanted, those that should come first in front. */
  private waiting(laid: readonly Laid[]): number[] {
    const placed = new Array<number>(this.wishes.length).fill(0);
    for (const { kind } of laid) placed[kind] = (placed[kind] as number) + 1;
    const rank = (kind: number): number => {
      const { most, area } = this.wishes[kind] as NestWish;
      return most ? (placed[kind] as number) * area : -1e9 - area * (this.noise?.[kind] ?? 1);
    };
    return this.wishes
      .map((_, kind) => kind)
      .filter(
        (kind) =>
          (placed[kind] as number) < (this.wishes[kind] as NestWish).wanted && this.fine.fits(kind),
      )
      .sort((one, other) => rank(one) - rank(other));
  }

  /** The first answer, told in parts. */
  async first(watch: Watch, report: () => void = () => undefined): Promise<void> {
    const yieldNow = async (): Promise<void> => {
      if (this.bettered()) report();
      await watch.yieldNow();
    };
    await this.fillUp({ ...watch, yieldNow });
    this.bettered();
    this.close = true;
  }

  /** Puts in whatever has a free place, without moving anything. */
  async fillUp({ yieldNow, over }: Watch, pull: Pull = LOW, within?: Within): Promise<void> {
    const { fine, coarse } = this;
    fine.show(this.laid);
    coarse.show(fine.movedTo(coarse, this.laid));
    const full = new Set<number>();
    for (;;) {
      const kind = over() ? undefined : this.waiting(this.laid).find((one) => !full.has(one));
      if (kind === undefined) return;
      if (++this.placings % (this.close ? PLACINGS : FIRST_PLACINGS) === 0) await yieldNow();
      const copy = this.free.find(kind, { pull, within, close: this.close });
      if (!copy) {
        full.add(kind);
        continue;
      }
      this.laid.push(copy);
      fine.lay(copy, 1);
      fine.board.settle();
      for (const one of fine.movedTo(coarse, [copy])) coarse.lay(one, 1);
      coarse.board.settle();
    }
  }

  /** Draws everything to one side, as far as it goes freely. */
  private compact(pull: Pull): void {
    const { fine } = this;
    fine.show(this.laid);
    const along = ({ x, y }: Laid): number => x * pull.x + y * pull.y;
    for (const copy of [...this.laid].sort((one, other) => along(one) - along(other))) {
      fine.lay(copy, -1);
      fine.board.settle();
      const start = { ...copy, under: 0, pull: along(copy) };
      const { x, y } = downhill(onBoard(fine.board, fine.of(copy)), fine.of(copy), start, {
        step: 16,
        pull,
      });
      Object.assign(copy, { x, y });
      fine.lay(copy, 1);
    }
    fine.board.settle();
  }

  /** Tries to place more; what does not come apart is forgotten. Tells whether there is more now. */
  async attempt(watch: Watch): Promise<boolean> {
    const { yieldNow } = watch;
    const { fine, coarse, random } = this;
    const apart = Math.max(APART.least, APART.ofOne / (this.laid.length + 1));
    if (random.next() >= apart) return this.renewed(watch);
    const next = this.changed();
    const { overfill } = this;
    this.overfill = Math.max(1, overfill - 1);
    if (next) {
      coarse.show(next);
      const how = { random, yieldNow };
      if (!(await separate(coarse, next, { ...how, moves: MOVES, step: 4 }))) return false;
      const exact = coarse.movedTo(fine, next);
      const close = { moves: FINE_MOVES, step: 3, near: NEAR };
      if (!(await separate(fine, exact, { ...how, ...close }))) return false;
      this.laid = exact;
      this.overfill = Math.min(4, overfill + 1);
    }
    const [pull = LOW] = pick(PULLS, random);
    this.compact(pull);
    await this.fillUp(watch, pull);
    return this.bettered();
  }

  /** Remembers the best; what has strayed too far from it goes back to it. */
  private bettered(): boolean {
    const area = worthOf(this.wishes, this.laid);
    const most = worthOf(this.wishes, this.best);
    if (area > most + 1e-6) {
      this.best = copied(this.laid);
      return true;
    }
    if (area < most - this.roomy * MOST_DRIFT) this.laid = copied(this.best);
    return false;
  }

  /** Takes out what lies about some place and fills the room anew; what was there comes back if less fits. */
  private async renewed(watch: Watch): Promise<boolean> {
    const { random, fine } = this;
    const kept = this.laid;
    const before = worthOf(this.wishes, kept);
    const share = REACH.least + REACH.more * random.next();
    const reach = share * Math.max(fine.board.cols, fine.board.rows);
    const middle = this.emptiest(reach);
    this.laid = copied(
      kept.filter((copy) => {
        const { x, y } = this.middleOf(copy);
        return Math.hypot(x - middle.x, y - middle.y) > reach;
      }),
    );
    const [pull = LOW] = pick(PULLS, random);
    const localOnly = random.next() < LOCAL_REFILLS;
    if (!localOnly) this.compact(pull);
    this.noise = this.wishes.map(() => 0.4 + random.next());
    // Where nothing else was moved, only the emptied part can take more.
    const [x, y] = [middle.x / COARSE, middle.y / COARSE];
    const within = { x, y, by: (reach * 1.2) / COARSE };
    await this.fillUp(watch, pull, localOnly ? within : undefined);
    this.noise = undefined;
    const area = worthOf(this.wishes, this.laid);
    const grace = this.roomy * GRACE * random.next() ** 2;
    if (area < before - grace - 1e-6) this.laid = kept;
    return this.bettered();
  }

  /** Of some places the one about which the least is covered. */
  private emptiest(reach: number): Point {
    const { random } = this;
    const { cols, rows } = this.fine.board;
    const middles = this.laid.map((copy) => ({
      ...this.middleOf(copy),
      area: this.wishes[copy.kind]?.area ?? 0,
    }));
    let least = { x: 0, y: 0, share: Infinity };
    for (let looks = 0; looks < LOOKED_AT; looks++) {
      const [x, y] = [random.next() * cols, random.next() * rows];
      const wide = Math.min(cols, x + reach) - Math.max(0, x - reach);
      const high = Math.min(rows, y + reach) - Math.max(0, y - reach);
      const covered = middles.reduce(
        (sum, one) =>
          Math.max(Math.abs(one.x - x), Math.abs(one.y - y)) > reach ? sum : sum + one.area,
        0,
      );
      const share = covered / (wide * high);
      if (share < least.share) least = { x, y, share };
    }
    return least;
  }

  /** Where the middle of a copy lies on the fine grid. */
  private middleOf(copy: Laid): Point {
    const { mask } = this.fine.of(copy);
    return {
      x: copy.x + (mask.left + mask.right) / 2,
      y: copy.y + (mask.top + mask.bottom) / 2,
    };
  }

  /** Another set of copies on the coarse grid, with more area but for swaps, some of them on others. */
  private changed(): Laid[] | undefined {
    const { random } = this;
    const now = this.fine.movedTo(this.coarse, this.laid);
    if (random.next() < SWAPS && now.length > 1) return this.swapped(now);
    let best: { next: Laid[]; added: number[]; gain: number } | undefined;
    for (let tries = 0; tries < THOUGHTS; tries++) {
      const found = this.exchanged(now);
      const aim = this.roomy * AIM * this.overfill;
      if (found && (!best || Math.abs(found.gain - aim) < Math.abs(best.gain - aim))) best = found;
    }
    if (!best) return undefined;
    for (const kind of best.added) this.put(best.next, kind);
    return best.next;
  }

  /** Some copies taken out and kinds to put in, for more area. */
  private exchanged(
    now: readonly Laid[],
  ): { next: Laid[]; added: number[]; gain: number } | undefined {
    const { random, wishes } = this;
    const before = worthOf(wishes, now);
    const out = pick(now, random, Math.floor(random.next() * 3));
    const next = copied(now.filter((copy) => !out.includes(copy)));
    const added: number[] = [];
    let area = worthOf(wishes, next);
    while (area <= before + 1e-6 && added.length < 6) {
      const taken = added.map((kind) => ({ kind, turn: 0, x: 0, y: 0 }));
      const waiting = this.waiting([...next, ...taken]);
      const kind = waiting[Math.floor(random.next() * waiting.length)];
      if (kind === undefined) return undefined;
      added.push(kind);
      area += worth(wishes[kind]);
    }
    added.sort((one, other) => (wishes[other] as NestWish).area - (wishes[one] as NestWish).area);
    return area > before + 1e-6 ? { next, added, gain: area - before } : undefined;
  }

  private swapped(next: Laid[]): Laid[] {
    const [one, other] = pick(next, this.random, 2);
    if (one && other && one.kind !== other.kind) {
      for (const copy of [one, other]) next.splice(next.indexOf(copy), 1);
      this.put(next, other.kind);
      this.put(next, one.kind);
    }
    return next;
  }

  /** Lays one more where it covers least. */
  private put(next: Laid[], kind: number): void {
    const { coarse, random } = this;
    coarse.show(next);
    const turns = coarse.turnsOf(kind, { random, most: 6 });
    const [found] = bestPlaces(coarse.board, turns, { step: 3, pull: { x: 0, y: 0 }, random });
    if (found) next.push({ kind, turn: found.turn, x: found.x, y: found.y });
  }
}

const LOW: Pull = { x: 1, y: 1000 };
const PULLS: readonly Pull[] = [
  LOW,
  { x: 1000, y: 1 },
  { x: -1, y: -1000 },
  { x: -1000, y: -1 },
  { x: 1, y: 1 },
];

const worth = (wish: NestWish | undefined): number => wish?.worth ?? wish?.area ?? 0;

const worthOf = (wishes: readonly NestWish[], laid: readonly Laid[]): number =>
  laid.reduce((sum, { kind }) => sum + worth(wishes[kind]), 0);

const areaOf = (wishes: readonly NestWish[], laid: readonly Laid[]): number =>
  laid.reduce((sum, { kind }) => sum + (wishes[kind]?.area ?? 0), 0);

const copied = (laid: readonly Laid[]): Laid[] => laid.map((copy) => ({ ...copy }));

function pick<T>(list: readonly T[], random: Random, count = 1): T[] {
  const rest = [...list];
  const picked: T[] = [];
  while (picked.length < count && rest.length > 0)
    picked.push(...rest.splice(Math.floor(random.next() * rest.length), 1));
  return picked;
}
