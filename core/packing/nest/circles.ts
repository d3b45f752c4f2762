import { seededRandom, type Random } from '../../base/index.ts';
import type { Box, Point } from '../../geometry/index.ts';
import { copiesUpperBound } from '../upper-bound.ts';
import { circleRows } from '../circle-rows.ts';
import { stepAndRepeat, type Room } from '../step-and-repeat.ts';
import type { Nested, NestPlace, NestWish, SheetSearch, Watch } from './sheet-search.ts';

const { cos, hypot, max, min, PI, sin, sqrt } = Math;

/** Steps of one relaxation, and after how many the neighbours are looked for anew. */
const STEPS = 600;
const REFRESH = 12;
/** So much more than asked circles are kept apart, so that what is left of overlaps does no harm, mm. */
const SPARE = 2e-4;
/** Attempts without a better one before it begins from the best sheet again. */
const PATIENCE = 12;
const JITTERS = [0.04, 0.12, 0.3];

/** An overlap by so many mm, and the direction in which the first is pushed; the second is -1 for a wall. */
interface Push {
  readonly one: number;
  readonly other: number;
  readonly by: number;
  readonly dx: number;
  readonly dy: number;
}

/**
 * A sheet of circles of one size: the best of rows first, then one more circle put in and all of them
 * pushed apart. The energy of overlaps is made least with the fast inertial relaxation engine (Bitzek
 * et al., 2006), from places that are shaken between the attempts (basin hopping: Wales & Doye, 1997).
 */
export class CircleSheet implements SheetSearch {
  private readonly wanted: number;
  private readonly bound: number;
  private readonly diameter: number;
  private readonly area: number;
  private readonly worth: number;
  private readonly room: Room;
  private readonly random: Random;
  private best: readonly Point[] = [];
  /** One circle more than the best, as far apart as they have come, and how much they overlap. */
  private trial: { places: Point[]; energy: number } | undefined;
  private failed = 0;

  constructor(wish: NestWish, diameter: number, room: Room, seed: number) {
    this.wanted = wish.wanted;
    this.area = wish.area;
    this.worth = wish.worth ?? wish.area;
    this.diameter = diameter;
    this.room = room;
    this.random = seededRandom(seed);
    const shape = { width: diameter, height: diameter, round: true };
    this.bound = copiesUpperBound(shape, room.area, room.gap, { taken: room.taken });
  }

  begin(places: readonly NestPlace[]): void {
    const kept = places.slice(0, this.wanted).map(({ x, y }) => ({ x, y }));
    if (this.overlaps(kept).worst < 2 * SPARE) this.best = kept;
  }

  first(): Promise<void> {
    const { diameter, room } = this;
    const shape = { width: diameter, height: diameter, round: true };
    const rows = [stepAndRepeat(shape, room, false), circleRows(diameter, room)];
    for (const spots of rows)
      if (spots.length > this.best.length)
        this.best = spots.slice(0, this.wanted).map(({ x, y }) => ({ x, y }));
    return Promise.resolve();
  }

  left(): boolean {
    return this.best.length < min(this.wanted, this.bound);
  }

  async attempt({ yieldNow }: Watch): Promise<boolean> {
    await yieldNow();
    const start = this.shaken();
    const places = this.relaxed(start);
    const { energy, worst } = this.overlaps(places);
    if (worst < SPARE) {
      this.best = places;
      this.trial = undefined;
      return true;
    }
    if (!this.trial || energy < this.trial.energy) {
      this.trial = { places, energy };
      this.failed = 0;
    } else if (++this.failed > PATIENCE) {
      this.trial = undefined;
      this.failed = 0;
    }
    return false;
  }

  answer(): Nested {
    return {
      places: this.best.map(({ x, y }) => ({ kind: 0, x, y, angle: 0 })),
      area: this.best.length * this.area,
      worth: this.best.length * this.worth,
      all: !this.left(),
    };
  }

  private anywhere(): Point {
    const { left, top, right, bottom } = this.centres();
    return {
      x: left + this.random.next() * (right - left),
      y: top + this.random.next() * (bottom - top),
    };
  }

  /** Where the middles of circles may be. */
  private centres(): Box {
    const { area } = this.room;
    const reach = this.diameter / 2;
    return {
      left: area.left + reach,
      top: area.top + reach,
      right: area.right - reach,
      bottom: area.bottom - reach,
    };
  }

  /** Places to begin with: the tightest circle put elsewhere, or all of them shaken. */
  private shaken(): Point[] {
    const { random, trial } = this;
    if (!trial) return [...this.best.map((at) => this.jittered(at, 0.02)), this.anywhere()];
    const places = trial.places.map((at) => ({ ...at }));
    if (random.next() < 0.5) {
      const tight = this.tightest(places);
      places[tight] = this.anywhere();
      return places;
    }
    const by = JITTERS[Math.floor(random.next() * JITTERS.length)] ?? 0.1;
    return places.map((at) => this.jittered(at, by));
  }

  private jittered({ x, y }: Point, by: number): Point {
    const angle = this.random.next() * 2 * PI;
    const far = this.random.next() * by * this.diameter;
    return { x: x + far * cos(angle), y: y + far * sin(angle) };
  }

  private tightest(places: readonly Point[]): number {
    const pressed = places.map(() => 0);
    this.eachOverlap(places, this.neighbours(places), ({ one, other, by }) => {
      pressed[one] = (pressed[one] ?? 0) + by;
      if (other >= 0) pressed[other] = (pressed[other] ?? 0) + by;
    });
    return pressed.indexOf(max(...pressed));
  }

  /** How much circles overlap: the energy of it all, and the worst overlap in mm. */
  private overlaps(places: readonly Point[]): { energy: number; worst: number } {
    let [energy, worst] = [0, 0];
    this.eachOverlap(places, this.neighbours(places), ({ by }) => {
      energy += by * by;
      worst = max(worst, by);
    });
    return { energy, worst };
  }

  /** Pairs that may come to overlap soon. */
  private neighbours(places: readonly Point[]): Int32Array {
    const reach = (this.diameter + this.room.gap) * 1.4;
    const pairs: number[] = [];
    for (let one = 0; one < places.length; one++) {
      const { x, y } = places[one] as Point;
      for (let other = one + 1; other < places.length; other++) {
        const to = places[other] as Point;
        const [dx, dy] = [x - to.x, y - to.y];
        if (dx * dx + dy * dy < reach * reach) pairs.push(one, other);
      }
    }
    return Int32Array.from(pairs);
  }

  /** Tells each overlap. */
  private eachOverlap(
    places: readonly Point[],
    pairs: Int32Array,
    tell: (push: Push) => void,
  ): void {
    const apart = this.diameter + this.room.gap + SPARE;
    for (let at = 0; at < pairs.length; at += 2) {
      const [one, other] = [pairs[at] as number, pairs[at + 1] as number];
      const [from, to] = [places[one] as Point, places[other] as Point];
      const [dx, dy] = [from.x - to.x, from.y - to.y];
      const square = dx * dx + dy * dy;
      if (square >= apart * apart) continue;
      const far = sqrt(square) || 1e-9;
      tell({ one, other, by: apart - far, dx: dx / far, dy: dy / far });
    }
    const { left, top, right, bottom } = this.centres();
    const reach = this.diameter / 2 + SPARE;
    for (let one = 0; one < places.length; one++) {
      const { x, y } = places[one] as Point;
      const wall = (by: number, dx: number, dy: number): void =>
        tell({ one, other: -1, by, dx, dy });
      if (x < left) wall(left - x, 1, 0);
      if (x > right) wall(x - right, -1, 0);
      if (y < top) wall(top - y, 0, 1);
      if (y > bottom) wall(y - bottom, 0, -1);
      for (const box of this.room.taken) {
        const dx = x - min(box.right, max(box.left, x));
        const dy = y - min(box.bottom, max(box.top, y));
        const far = hypot(dx, dy);
        if (far >= reach) continue;
        if (far > 0) wall(reach - far, dx / far, dy / far);
        else wall(reach, ...outOf(box, { x, y }));
      }
    }
  }

  /** Pushes circles apart from where they begin. */
  private relaxed(start: readonly Point[]): Point[] {
    const places = start.map(({ x, y }) => ({ x, y }));
    const count = places.length;
    const [vx, vy] = [new Float64Array(count), new Float64Array(count)];
    const [fx, fy] = [new Float64Array(count), new Float64Array(count)];
    let [step, mixed, downhill] = [0.15, 0.1, 0];
    let pairs = this.neighbours(places);
    for (let turn = 0; turn < STEPS; turn++) {
      if (turn % REFRESH === 0) pairs = this.neighbours(places);
      fx.fill(0);
      fy.fill(0);
      let worst = 0;
      this.eachOverlap(places, pairs, ({ one, other, by, dx, dy }) => {
        worst = max(worst, by);
        fx[one] = (fx[one] as number) + by * dx;
        fy[one] = (fy[one] as number) + by * dy;
        if (other < 0) return;
        fx[other] = (fx[other] as number) - by * dx;
        fy[other] = (fy[other] as number) - by * dy;
      });
      if (worst < SPARE / 2) break;
      let [power, speed, force] = [0, 0, 0];
      for (let at = 0; at < count; at++) {
        const [u, v, f, g] = [vx[at], vy[at], fx[at], fy[at]] as [number, number, number, number];
        power += u * f + v * g;
        speed += u * u + v * v;
        force += f * f + g * g;
      }
      const along = force > 0 ? sqrt(speed / force) : 0;
      if (power > 0) {
        if (++downhill > 5) [step, mixed] = [min(0.9, step * 1.1), mixed * 0.99];
      } else [step, mixed, downhill] = [max(0.05, step * 0.5), 0.1, 0];
      const keeps = power > 0 ? 1 - mixed : 0;
      for (let at = 0; at < count; at++) {
        const place = places[at] as { x: number; y: number };
        const push = power > 0 ? mixed * along : 0;
        vx[at] = (vx[at] as number) * keeps + (fx[at] as number) * (push + step);
        vy[at] = (vy[at] as number) * keeps + (fy[at] as number) * (push + step);
        place.x += (vx[at] as number) * step;
        place.y += (vy[at] as number) * step;
      }
    }
    return places;
  }
}

/** The direction of the shortest way out of a box. */
function outOf(box: Box, { x, y }: Point): [number, number] {
  const ways: [number, number, number][] = [
    [x - box.left, -1, 0],
    [box.right - x, 1, 0],
    [y - box.top, 0, -1],
    [box.bottom - y, 0, 1],
  ];
  const [, dx, dy] = ways.reduce((best, way) => (way[0] < best[0] ? way : best));
  return [dx, dy];
}
