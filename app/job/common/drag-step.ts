import { ref } from 'vue';
import type { Point } from '../../../core/geometry/index.ts';
import type { CommandCall } from '../../../core/job/index.ts';
import type { BenchControls } from '../../ui/bench-view.ts';
import type { useJobStore } from '../../session/job-store.ts';

/**
 * A second finger beside the one that drags: where it would have been when the drag began, and where it
 * is; mm.
 */
export interface SecondFinger {
  readonly from: Point;
  readonly at: Point;
}

const STILL = 3; // px that a pointer may tremble before it is a drag

type Store = Pick<ReturnType<typeof useJobStore>, 'preview' | 'act' | 'cancel'>;

/**
 * Drags with the pointer: what the change gives is shown while it lasts and is one step of the
 * history when it is let go. Escape ends it without a step.
 * @param ended hears that a drag is over, however it ended
 */
export function useDragStep(
  store: Store,
  bench: BenchControls,
  ended: () => void = () => undefined,
) {
  const active = ref(false);

  function run(
    event: PointerEvent,
    change: (at: Point, event: PointerEvent, second?: SecondFinger) => CommandCall | undefined,
  ): void {
    const target = event.currentTarget as Element;
    const start = { x: event.clientX, y: event.clientY };
    let last: CommandCall | undefined;
    let frame = 0;
    let latest = event;
    const fingers = secondFinger(event, bench, {
      latest: () => latest,
      moved: () => show(latest),
    });
    const move = (moved: PointerEvent): void => {
      if (moved.pointerId !== event.pointerId) return;
      latest = moved;
      if (!active.value && Math.hypot(moved.clientX - start.x, moved.clientY - start.y) < STILL)
        return;
      show(moved);
    };
    const show = (moved: PointerEvent): void => {
      active.value = true;
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(() => {
        last = change(bench.toMm(moved), moved, fingers.second());
        if (last) store.preview(last);
      });
    };
    const end = (keep: boolean): void => {
      cancelAnimationFrame(frame);
      target.removeEventListener('pointermove', move as EventListener);
      target.removeEventListener('pointerup', up);
      target.removeEventListener('pointercancel', drop);
      removeEventListener('keydown', escape, true);
      fingers.end();
      ended();
      active.value = false;
      if (keep && last) store.act(last);
      else store.cancel();
    };
    const up = (event_: Event): void => {
      if (active.value) {
        cancelAnimationFrame(frame);
        last =
          change(bench.toMm(event_ as PointerEvent), event_ as PointerEvent, fingers.second()) ??
          last;
      }
      end(active.value);
    };
    const drop = (): void => end(false);
    const escape = (key: KeyboardEvent): void => {
      if (key.key !== 'Escape') return;
      key.stopPropagation();
      end(false);
    };
    target.setPointerCapture(event.pointerId);
    target.addEventListener('pointermove', move as EventListener);
    target.addEventListener('pointerup', up);
    target.addEventListener('pointercancel', drop);
    addEventListener('keydown', escape, true);
  }

  return { active, run };
}

/** Follows another finger that comes down while one drags, and keeps it from the bench. */
function secondFinger(
  first: PointerEvent,
  bench: BenchControls,
  { latest, moved }: { latest: () => PointerEvent; moved: () => void },
): { second(): SecondFinger | undefined; end(): void } {
  let id: number | undefined;
  let found: SecondFinger | undefined;
  if (first.pointerType !== 'touch') return { second: () => undefined, end: () => undefined };
  const down = (event: PointerEvent): void => {
    if (event.pointerId === first.pointerId || event.pointerType !== 'touch') return;
    event.stopPropagation();
    if (id !== undefined) return;
    id = event.pointerId;
    const [start, now, at] = [first, latest(), event].map(bench.toMm) as [Point, Point, Point];
    found = { from: { x: at.x - now.x + start.x, y: at.y - now.y + start.y }, at };
  };
  const move = (event: PointerEvent): void => {
    if (event.pointerId !== id || !found) return;
    found = { ...found, at: bench.toMm(event) };
    moved();
  };
  const touch = (event: Event): void => event.stopPropagation(); // the bench would pan
  const listen = (how: 'addEventListener' | 'removeEventListener'): void => {
    window[how]('pointerdown', down as EventListener, true);
    window[how]('pointermove', move as EventListener, true);
    window[how]('touchstart', touch, true);
  };
  listen('addEventListener');
  return { second: () => found, end: () => listen('removeEventListener') };
}
