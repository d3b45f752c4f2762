import { shallowRef, type ComputedRef, type Ref } from 'vue';
import { boxAround, type Box } from '../../../core/geometry/index.ts';
import type { Job } from '../../../core/job/index.ts';
import {
  copyAt,
  judgeCopy,
  nearestPlace,
  surroundingsOf,
  type CompiledSheet,
  type PlaceJudged,
  type SheetCopy,
} from '../../../core/sheet/index.ts';
import type { BenchControls } from '../../ui/bench-view.ts';
import { snapMove } from '../align/snap.ts';
import type { useJobStore } from '../../session/job-store.ts';
import { moveCall } from './move-call.ts';

/** Copies under way, how far they were moved, and what that place is like. */
export interface DraggedState extends PlaceJudged {
  readonly copies: readonly SheetCopy[];
  readonly dx: number;
  readonly dy: number;
}

const REACH = 6; // px
const NEAR = 12; // mm within which the distance is told
const SLIDES = 40; // mm that a copy may slide when it is let go where it cannot stay

/**
 * Drags copies over a sheet, all that are selected with the one under the pointer. Only they are drawn
 * anew while they move; the job changes when they are dropped. One that is dropped where it breaks a
 * rule slides to the nearest place where it breaks none; with Alt it stays where it was dropped.
 * Dropped on another sheet of the strip they go to that one.
 */
export function useCopyDrag(of: {
  sheet: Ref<CompiledSheet | undefined>;
  bench: BenchControls;
  current: ComputedRef<number>;
  selected: Ref<readonly string[]>;
  store: ReturnType<typeof useJobStore>;
}) {
  const dragged = shallowRef<DraggedState>();

  /** Selects the copy under the pointer; with Shift beside those that are, or no longer. */
  function choose(name: string, adding: boolean): void {
    const { value: now } = of.selected;
    if (adding)
      of.selected.value = now.includes(name) ? now.filter((one) => one !== name) : [...now, name];
    else if (!now.includes(name)) of.selected.value = [name];
  }

  function start(event: PointerEvent, copy: SheetCopy): void {
    choose(copy.placement.copy, event.shiftKey);
    if (event.button !== 0 || of.store.keepState === 'reading') return;
    event.preventDefault(); // no selecting of text while copies move
    const target = event.currentTarget as Element;
    const from = of.bench.toMm(event);
    const all = of.sheet.value?.copies ?? [];
    const copies = all.filter(({ placement }) => of.selected.value.includes(placement.copy));
    const others = all.filter((other) => !copies.includes(other));
    const box = boxAround(copies.map((one) => one.box)) ?? copy.box;
    const targets = linesOf(others);
    let frame = 0;
    const follow = (moved: PointerEvent): void => {
      const to = of.bench.toMm(moved);
      const free = { dx: to.x - from.x, dy: to.y - from.y };
      if (!dragged.value && Math.hypot(free.dx, free.dy) * of.bench.view.value.scale < 3) return;
      const { dx, dy } = snapMove(box, free, targets, REACH / of.bench.view.value.scale);
      dragged.value = { copies, dx, dy, ...judged(movedBy(copies, dx, dy), others) };
    };
    const move = (moved: Event): void => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(() => follow(moved as PointerEvent));
    };
    const end = (released?: PointerEvent): void => {
      cancelAnimationFrame(frame);
      target.removeEventListener('pointermove', move);
      target.removeEventListener('pointerup', up);
      target.removeEventListener('pointercancel', drop);
      removeEventListener('keydown', escape, true);
      if (released && dragged.value) letGo(dragged.value, others, released);
      else if (released && !released.shiftKey) of.selected.value = [copy.placement.copy];
      dragged.value = undefined;
    };
    const up = (released: Event): void => {
      if (dragged.value) follow(released as PointerEvent);
      end(released as PointerEvent);
    };
    const drop = (): void => end();
    const escape = (key: KeyboardEvent): void => {
      if (key.key === 'Escape') end();
    };
    target.setPointerCapture(event.pointerId);
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', up);
    target.addEventListener('pointercancel', drop);
    addEventListener('keydown', escape, true);
  }

  function letGo(
    { copies, dx, dy, state }: DraggedState,
    others: readonly SheetCopy[],
    { altKey, clientX, clientY }: PointerEvent,
  ): void {
    const onto = document
      .elementFromPoint(clientX, clientY)
      ?.closest('[data-sheet]')
      ?.getAttribute('data-sheet');
    if (onto) return place(copies, Number(onto));
    const moved = movedBy(copies, dx, dy);
    const [only] = moved;
    const { job } = of.store;
    const slides = state !== 'fine' && !altKey && moved.length === 1;
    if (!slides || !only || !job) return place(moved, of.current.value);
    const at = nearestPlace(only, surroundings(job, others), SLIDES);
    place(at ? [copyAt(only, at)] : moved, of.current.value);
  }

  function place(copies: readonly SheetCopy[], sheet: number): void {
    of.store.act(moveCall(copies, sheet));
  }

  const surroundings = (job: Job, others: readonly SheetCopy[]) =>
    surroundingsOf({ ...job, stock: of.sheet.value?.stock ?? job.stock }, others);

  /** What a place is like: as bad as it is for the worst of the copies. */
  function judged(copies: readonly SheetCopy[], others: readonly SheetCopy[]): PlaceJudged {
    const { job } = of.store;
    const around = job && surroundings(job, others);
    const all = around ? copies.map((copy) => judgeCopy(copy, around, NEAR)) : [];
    const states = all.map(({ state }) => state);
    return {
      gap: all.reduce<number | undefined>(
        (least, { gap }) => (gap !== undefined && gap < (least ?? Infinity) ? gap : least),
        undefined,
      ),
      state: states.includes('stop') ? 'stop' : states.includes('look') ? 'look' : 'fine',
    };
  }

  return { dragged, start };
}

const movedBy = (copies: readonly SheetCopy[], dx: number, dy: number): SheetCopy[] =>
  copies.map((copy) => copyAt(copy, { x: copy.placement.x + dx, y: copy.placement.y + dy }));

function linesOf(copies: readonly SheetCopy[]): { x: number[]; y: number[]; boxes: Box[] } {
  const distinct = (values: readonly number[]): number[] => [
    ...new Set(values.map((value) => Math.round(value * 100) / 100)),
  ];
  const boxes = copies.map(({ box }) => box);
  return {
    boxes,
    x: distinct(boxes.flatMap(({ left, right }) => [left, (left + right) / 2, right])),
    y: distinct(boxes.flatMap(({ top, bottom }) => [top, (top + bottom) / 2, bottom])),
  };
}
