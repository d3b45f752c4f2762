import { seededRandom } from '../base/index.ts';

/** A line to be visited: where it is entered and left. The same place twice for a ring. */
export interface Visit {
  readonly ax: number;
  readonly ay: number;
  readonly bx: number;
  readonly by: number;
}

/** The order of visits, and which of them are gone along backwards. */
export interface Tour {
  readonly order: readonly number[];
  readonly flipped: readonly boolean[];
}

const NEAR = 7; // neighbours that a visit may be joined to
const LONGEST = 3; // visits that are moved together
const KICKS = 70; // how often a settled tour is disturbed
const REACH = 50; // visits that a kick may reach over
const EPSILON = 1e-9;

const { sqrt, min, max, floor } = Math;

/** Several times as fast as Math.hypot. */
const hypot = (x: number, y: number): number => sqrt(x * x + y * y);

/**
 * A short way through all visits from a place, that ends wherever it likes: nearest neighbour, then
 * 2-opt and Or-opt over neighbour lists (Croes 1958; Or 1976), then double bridges that are kept where
 * they help (iterated local search; Martin, Otto, Felten 1991). Same visits, same tour.
 * @param kicks how often the tour is disturbed; each costs about as much whatever its length
 */
export function shortTour(
  visits: readonly Visit[],
  from: { x: number; y: number },
  kicks = KICKS,
): Tour {
  const search = new Search(visits, from);
  search.nearestFirst();
  search.settle(visits.map((_, at) => at));
  search.kick(kicks);
  return search.tour();
}

/** How far the knife goes without cutting. */
export function tourLength(
  visits: readonly Visit[],
  { order, flipped }: Tour,
  from: { x: number; y: number },
): number {
  let { x, y } = from;
  let length = 0;
  for (const at of order) {
    const { ax, ay, bx, by } = visits[at] as Visit;
    const back = flipped[at];
    length += back ? hypot(bx - x, by - y) : hypot(ax - x, ay - y);
    [x, y] = back ? [ax, ay] : [bx, by];
  }
  return length;
}

/** A change of a tour: what it gained, which is below 0, and the places around which more may be gained. */
interface Change {
  readonly gain: number;
  readonly touched: readonly number[];
}

class Search {
  private readonly count: number;
  /** Both ends of each visit: x and y of the first, then of the other. */
  private readonly ends: Float64Array;
  private readonly near: Int32Array;
  private order: Int32Array;
  private flip: Uint8Array;
  private at: Int32Array;
  /** Whether all visits end where they begin. */
  private readonly arePoints: boolean;
  private readonly fromX: number;
  private readonly fromY: number;

  constructor(visits: readonly Visit[], from: { x: number; y: number }) {
    this.count = visits.length;
    this.ends = Float64Array.from(visits.flatMap(({ ax, ay, bx, by }) => [ax, ay, bx, by]));
    this.arePoints = visits.every(({ ax, ay, bx, by }) => ax === bx && ay === by);
    this.order = new Int32Array(this.count);
    this.flip = new Uint8Array(this.count);
    this.at = new Int32Array(this.count);
    [this.fromX, this.fromY] = [from.x, from.y];
    this.near = this.neighbours();
  }

  tour(): Tour {
    return { order: [...this.order], flipped: [...this.flip].map((one) => one === 1) };
  }

  /** The least distance between any ends of two visits. */
  private apart(one: number, other: number): number {
    const { ends } = this;
    if (this.arePoints)
      return hypot(
        (ends[one * 4] as number) - (ends[other * 4] as number),
        (ends[one * 4 + 1] as number) - (ends[other * 4 + 1] as number),
      );
    let least = Infinity;
    for (let i = one * 4; i < one * 4 + 4; i += 2)
      for (let j = other * 4; j < other * 4 + 4; j += 2)
        least = min(
          least,
          hypot(
            (ends[i] as number) - (ends[j] as number),
            (ends[i + 1] as number) - (ends[j + 1] as number),
          ),
        );
    return least;
  }

  private neighbours(): Int32Array {
    const found = new Int32Array(this.count * NEAR).fill(-1);
    const best = new Float64Array(NEAR);
    for (let one = 0; one < this.count; one++) {
      best.fill(Infinity);
      const base = one * NEAR;
      for (let other = 0; other < this.count; other++) {
        if (other === one) continue;
        const apart = this.apart(one, other);
        if (apart >= (best[NEAR - 1] as number)) continue;
        let slot = NEAR - 1;
        for (; slot > 0 && (best[slot - 1] as number) > apart; slot--) {
          best[slot] = best[slot - 1] as number;
          found[base + slot] = found[base + slot - 1] as number;
        }
        best[slot] = apart;
        found[base + slot] = other;
      }
    }
    return found;
  }

  nearestFirst(): void {
    const left = Array.from({ length: this.count }, (_, at) => at);
    let [x, y] = [this.fromX, this.fromY];
    for (let place = 0; place < this.count; place++) {
      let [slot, back, least] = [0, 0, Infinity];
      for (let at = 0; at < left.length; at++) {
        const base = (left[at] as number) * 4;
        for (let end = 0; end < (this.arePoints ? 1 : 3); end += 2) {
          const away = hypot(
            (this.ends[base + end] as number) - x,
            (this.ends[base + end + 1] as number) - y,
          );
          if (away < least - EPSILON) {
            slot = at;
            back = end === 2 ? 1 : 0;
            least = away;
          }
        }
      }
      const best = left[slot] as number;
      left[slot] = left[left.length - 1] as number;
      left.pop();
      this.order[place] = best;
      this.at[best] = place;
      this.flip[best] = back;
      const leave = best * 4 + (back ? 0 : 2);
      [x, y] = [this.ends[leave] as number, this.ends[leave + 1] as number];
    }
  }

  /** From where the visit at a place is left (the start for −1) to where another is entered. */
  private link(place: number, next: number, turnFirst: boolean, turnNext: boolean): number {
    if (next >= this.count) return 0;
    const to = this.order[next] as number;
    const enter = to * 4 + ((this.flip[to] === 1) !== turnNext ? 2 : 0);
    if (place < 0)
      return hypot(
        (this.ends[enter] as number) - this.fromX,
        (this.ends[enter + 1] as number) - this.fromY,
      );
    const from = this.order[place] as number;
    const leave = from * 4 + ((this.flip[from] === 1) !== turnFirst ? 0 : 2);
    return hypot(
      (this.ends[enter] as number) - (this.ends[leave] as number),
      (this.ends[enter + 1] as number) - (this.ends[leave + 1] as number),
    );
  }

  /** What turning the visits of places i to j round changes of the length. */
  private gainOfTurn(i: number, j: number): number {
    return (
      this.link(i - 1, j, false, true) +
      this.link(i, j + 1, true, false) -
      this.link(i - 1, i, false, false) -
      this.link(j, j + 1, false, false)
    );
  }

  private turn(i: number, j: number): void {
    for (let [low, high] = [i, j]; low <= high; low++, high--) {
      const [first, last] = [this.order[low] as number, this.order[high] as number];
      [this.order[low], this.order[high]] = [last, first];
      this.at[last] = low;
      this.at[first] = high;
      this.flip[first] = 1 - (this.flip[first] as number);
      if (low !== high) this.flip[last] = 1 - (this.flip[last] as number);
    }
  }

  /** Moves the visits of places i to j between p and p + 1, turned round or not: three turns in place. */
  private move(i: number, j: number, p: number, turned: boolean): void {
    if (p > j) {
      if (!turned) this.turn(i, j);
      this.turn(i, p);
      this.turn(i, i + p - j - 1);
    } else {
      if (!turned) this.turn(i, j);
      this.turn(p + 1, j);
      this.turn(p + 1 + j - i + 1, j);
    }
  }

  private gainOfMove(i: number, j: number, p: number, turned: boolean): number {
    const closed = j + 1 < this.count ? this.link(i - 1, j + 1, false, false) : 0;
    const [first, last] = turned ? [j, i] : [i, j];
    return (
      closed +
      this.link(p, first, false, turned) +
      (p + 1 < this.count ? this.link(last, p + 1, turned, false) : 0) -
      this.link(i - 1, i, false, false) -
      this.link(j, j + 1, false, false) -
      this.link(p, p + 1, false, false)
    );
  }

  /** Betters the tour around the visits given until nothing near them helps; gives what it gained. */
  settle(around: readonly number[]): number {
    const waiting = [...around];
    const isWaiting = new Uint8Array(this.count);
    for (const one of waiting) isWaiting[one] = 1;
    let gained = 0;
    while (waiting.length > 0) {
      const one = waiting.pop() as number;
      isWaiting[one] = 0;
      const found = this.better(one);
      if (!found) continue;
      gained += found.gain;
      for (const place of found.touched) {
        const visit = this.order[max(0, min(this.count - 1, place))] as number;
        if (isWaiting[visit]) continue;
        isWaiting[visit] = 1;
        waiting.push(visit);
      }
    }
    return gained;
  }

  /** Does the first change found that brings a visit nearer to one of its neighbours. */
  private better(one: number): Change | undefined {
    for (let slot = 0; slot < NEAR; slot++) {
      const other = this.near[one * NEAR + slot] as number;
      if (other < 0) break;
      const found = this.turnTowards(one, other) ?? this.moveTowards(one, other);
      if (found) return found;
    }
    // The last visit is free: whatever stands at the end may be turned for nothing.
    const gain = this.gainOfTurn(this.at[one] as number, this.count - 1);
    if (gain > -EPSILON) return undefined;
    const from = this.at[one] as number;
    this.turn(from, this.count - 1);
    return { gain, touched: [from - 1, from, this.count - 1] };
  }

  private turnTowards(one: number, other: number): Change | undefined {
    const [p, q] = [this.at[one] as number, this.at[other] as number];
    const low = min(p, q);
    const high = max(p, q);
    for (let side = 0; side < 2; side++) {
      const i = side ? low : low + 1;
      const j = side ? high - 1 : high;
      if (i > j) continue;
      const gain = this.gainOfTurn(i, j);
      if (gain > -EPSILON) continue;
      this.turn(i, j);
      return { gain, touched: [i - 1, i, j, j + 1] };
    }
    return undefined;
  }

  private moveTowards(one: number, other: number): Change | undefined {
    const p = this.at[one] as number;
    const q = this.at[other] as number;
    for (let length = 1; length <= LONGEST; length++)
      for (let side = 0; side < (length > 1 ? 2 : 1); side++) {
        const i = side ? p - length + 1 : p;
        const j = i + length - 1;
        if (i < 0 || j >= this.count || (q >= i && q <= j)) continue;
        for (let place = q - 1; place <= q; place++) {
          if (place >= i - 1 && place <= j) continue;
          for (let way = 0; way < 2; way++) {
            const gain = this.gainOfMove(i, j, place, way === 1);
            if (gain > -EPSILON) continue;
            this.move(i, j, place, way === 1);
            return { gain, touched: [i - 1, i, j, j + 1, place, place + 1, place + length] };
          }
        }
      }
    return undefined;
  }

  /** Disturbs the tour by double bridges and keeps what is shorter once it has settled. */
  kick(times: number): void {
    if (this.count < 8) return;
    const random = seededRandom(this.count);
    for (let time = 0; time < times; time++) {
      const [order, flip, at] = [this.order.slice(), this.flip.slice(), this.at.slice()];
      const span = min(REACH, this.count - 1);
      const start = floor(random.next() * (this.count - span));
      const cuts = [0, 0, 0].map(() => start + floor(random.next() * span)).sort((a, b) => a - b);
      const [a = 0, b = 0, c = 0] = cuts;
      if (a === b || b === c) continue;
      const before =
        this.link(a, a + 1, false, false) +
        this.link(b, b + 1, false, false) +
        this.link(c, c + 1, false, false);
      this.move(a + 1, b, c, false);
      const middle = a + c - b;
      const after =
        this.link(a, a + 1, false, false) +
        this.link(middle, middle + 1, false, false) +
        this.link(c, c + 1, false, false);
      const near = [a, a + 1, middle, middle + 1, c, min(this.count - 1, c + 1)];
      const gained = this.settle(near.map((place) => this.order[place] as number));
      if (after - before + gained > -EPSILON) {
        [this.order, this.flip, this.at] = [order, flip, at];
      }
    }
  }
}
