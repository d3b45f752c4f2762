import type { Random } from '../../base/index.ts';
import type { Laid, Level } from './level.ts';
import { grownRuns } from './mask.ts';
import { bestPlaces, type Pull, type Within } from './search.ts';
import type { Turned } from './turned.ts';

/** Fine cells between places that are looked at where a coarse one is made exact. */
const CLOSER = 4;
/** How far about an outline what lies beside it is looked at, in cells. */
const BESIDE = 8;
/** What a cell beyond the sheet counts there: as the deepest, for a straight side leaves nothing between. */
const BEYOND = BESIDE + 1;
/** Of the width and height of an outline: what it may cover, in coarse cells. */
const TOUCHED = 0.35;
/** Ways to turn a copy that are tried: for the first free place, and for the closest. */
const FIRST_TURNS = 2;
const FEW_TURNS = 12;

/** Finds free places as two boards lie: looked for on the coarse one, made exact on the fine one. */
export class FreePlaces {
  private readonly fine: Level;
  private readonly coarse: Level;
  private readonly random: Random;
  private readonly rims = new Map<Turned, Int32Array>();

  constructor({ fine, coarse }: { fine: Level; coarse: Level }, random: Random) {
    this.fine = fine;
    this.coarse = coarse;
    this.random = random;
  }

  /**
   * A free place of a kind on the fine board.
   * @param close of several, in many ways to turn, the one where it touches most, as what is left then
   * is in one piece; otherwise the first
   */
  find(
    kind: number,
    { pull, within, close }: { pull: Pull; within?: Within | undefined; close: boolean },
  ): Laid | undefined {
    const { fine, coarse, random } = this;
    const turns = close
      ? coarse.turnsOf(kind, { random, most: FEW_TURNS })
      : coarse.firstTurns(kind, FIRST_TURNS);
    const mask = turns[0]?.[1].mask;
    const most = mask ? TOUCHED * (mask.right - mask.left + mask.bottom - mask.top) : 0;
    const look = { step: 2, pull, random, most, clear: true, ...(within ? { within } : {}) };
    let best: { copy: Laid; beside: number } | undefined;
    for (const { turn, x, y } of bestPlaces(coarse.board, turns, look)) {
      const turned = fine.find(kind, turn);
      const [start] = coarse.movedTo(fine, [{ kind, turn, x, y }]);
      if (!turned || !start) continue;
      const near = { x: start.x, y: start.y, by: 2 * CLOSER };
      const exact = { step: CLOSER, pull, random, near };
      const [found] = bestPlaces(fine.board, [[turn, turned]], exact);
      if (found?.under !== 0) continue;
      const copy = { kind, turn, x: found.x, y: found.y };
      if (!close) return copy;
      const beside = fine.board.within(this.rimOf(turned), copy, BEYOND);
      if (!best || beside > best.beside) best = { copy, beside };
    }
    return best?.copy;
  }

  private rimOf(turned: Turned): Int32Array {
    const known = this.rims.get(turned) ?? grownRuns(turned.mask, BESIDE);
    this.rims.set(turned, known);
    return known;
  }
}
