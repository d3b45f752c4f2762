import { shallowRef, type Ref } from 'vue';
import { boxesMeet, boxWithin, placed, type Box } from '../../../core/geometry/index.ts';
import { placeEdge } from '../../../core/shape/index.ts';
import { printable } from '../../../core/stock/index.ts';
import { findGap, type CompiledSheet, type SheetCopy } from '../../../core/sheet/index.ts';
import type { BenchControls } from '../../ui/bench-view.ts';
import { snapMove } from '../artwork/snap.ts';
import type { useJobStore } from '../store/job-store.ts';

/** A copy under way, where it is and what that place is like. */
export interface DraggedState {
  readonly copy: SheetCopy;
  readonly x: number;
  readonly y: number;
  /** The distance to the nearest other copy when it is near, mm. */
  readonly gap: number | undefined;
  readonly state: 'fine' | 'look' | 'stop';
}

const REACH = 6; // px
const NEAR = 12; // mm within which the distance is told

/**
 * Drags one copy over a sheet. Only the copy itself is drawn anew while it moves; the job changes
 * when it is dropped.
 */
export function useCopyDrag(of: {
  sheet: Ref<CompiledSheet | undefined>;
  bench: BenchControls;
  index: Ref<number>;
  selected: Ref<string | undefined>;
  store: ReturnType<typeof useJobStore>;
}) {
  const dragged = shallowRef<DraggedState>();

  function start(event: PointerEvent, copy: SheetCopy): void {
    of.selected.value = copy.placement.copy;
    if (event.button !== 0 || of.store.keepState === 'reading') return;
    event.preventDefault(); // no selecting of text while the copy moves
    const target = event.currentTarget as Element;
    const from = of.bench.toMm(event);
    const others = of.sheet.value?.copies.filter((other) => other !== copy) ?? [];
    const targets = linesOf(others);
    let frame = 0;
    const follow = (moved: PointerEvent): void => {
      const at = of.bench.toMm(moved);
      const free = { dx: at.x - from.x, dy: at.y - from.y };
      if (!dragged.value && Math.hypot(free.dx, free.dy) * of.bench.view.value.scale < 3) return;
      const { dx, dy } = snapMove(copy.box, free, targets, REACH / of.bench.view.value.scale);
      dragged.value = judged(copy, copy.placement.x + dx, copy.placement.y + dy, others);
    };
    const move = (moved: Event): void => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(() => follow(moved as PointerEvent));
    };
    const end = (keep: boolean): void => {
      cancelAnimationFrame(frame);
      target.removeEventListener('pointermove', move);
      target.removeEventListener('pointerup', up);
      target.removeEventListener('pointercancel', drop);
      removeEventListener('keydown', escape, true);
      const last = dragged.value;
      if (keep && last) {
        const place = { sheet: of.index.value, x: last.x, y: last.y, angle: copy.placement.angle };
        of.store.act({ name: 'move-copy', args: { copy: copy.placement.copy, place } });
      }
      dragged.value = undefined;
    };
    const up = (released: Event): void => {
      if (dragged.value) follow(released as PointerEvent);
      end(true);
    };
    const drop = (): void => end(false);
    const escape = (key: KeyboardEvent): void => {
      if (key.key === 'Escape') end(false);
    };
    target.setPointerCapture(event.pointerId);
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', up);
    target.addEventListener('pointercancel', drop);
    addEventListener('keydown', escape, true);
  }

  function judged(
    copy: SheetCopy,
    x: number,
    y: number,
    others: readonly SheetCopy[],
  ): DraggedState {
    const { placement, box } = copy;
    const [dx, dy] = [x - placement.x, y - placement.y];
    const there: SheetCopy = {
      ...copy,
      placement: { ...placement, x, y },
      box: {
        left: box.left + dx,
        right: box.right + dx,
        top: box.top + dy,
        bottom: box.bottom + dy,
      },
      trim: placeEdge(copy.piece.rings, placed(x, y, placement.angle)),
    };
    let gap: number | undefined;
    for (const other of others) {
      const found = findGap(there, other, NEAR);
      if (found !== undefined && found < (gap ?? Infinity)) gap = found;
    }
    const job = of.store.job;
    const inZone = of.sheet.value?.zones.some((zone) => boxesMeet(there.box, zone)) ?? false;
    const off = job ? !boxWithin(there.box, printable(job.stock)) : false;
    const state =
      (gap ?? 1) < -0.01 || inZone
        ? 'stop'
        : off || (gap ?? 99) < (job?.plan.gap ?? 0) - 0.05
          ? 'look'
          : 'fine';
    return { copy, x, y, gap, state };
  }

  return { dragged, start };
}

function linesOf(copies: readonly SheetCopy[]): { x: number[]; y: number[] } {
  const distinct = (values: readonly number[]): number[] => [
    ...new Set(values.map((value) => Math.round(value * 100) / 100)),
  ];
  const boxes: readonly Box[] = copies.map(({ box }) => box);
  return {
    x: distinct(boxes.flatMap(({ left, right }) => [left, (left + right) / 2, right])),
    y: distinct(boxes.flatMap(({ top, bottom }) => [top, (top + bottom) / 2, bottom])),
  };
}
