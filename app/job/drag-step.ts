import { ref } from 'vue';
import type { Point } from '../../core/geometry/index.ts';
import type { CommandCall } from '../../core/job/index.ts';
import type { BenchControls } from '../ui/bench-view.ts';
import type { useJobStore } from './store/job-store.ts';

const STILL = 3; // px that a pointer may tremble before it is a drag

type Store = Pick<ReturnType<typeof useJobStore>, 'preview' | 'act' | 'drop'>;

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
    change: (at: Point, event: PointerEvent) => CommandCall | undefined,
  ): void {
    const target = event.currentTarget as Element;
    const start = { x: event.clientX, y: event.clientY };
    let last: CommandCall | undefined;
    let frame = 0;
    const move = (moved: PointerEvent): void => {
      if (moved.pointerId !== event.pointerId) return;
      if (!active.value && Math.hypot(moved.clientX - start.x, moved.clientY - start.y) < STILL)
        return;
      active.value = true;
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(() => {
        last = change(bench.toMm(moved), moved);
        if (last) store.preview(last);
      });
    };
    const end = (keep: boolean): void => {
      cancelAnimationFrame(frame);
      target.removeEventListener('pointermove', move as EventListener);
      target.removeEventListener('pointerup', up);
      target.removeEventListener('pointercancel', drop);
      removeEventListener('keydown', escape, true);
      ended();
      active.value = false;
      if (keep && last) store.act(last);
      else store.drop();
    };
    const up = (event_: Event): void => {
      if (active.value) {
        cancelAnimationFrame(frame);
        last = change(bench.toMm(event_ as PointerEvent), event_ as PointerEvent) ?? last;
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
