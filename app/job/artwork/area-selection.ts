import { shallowRef } from 'vue';
import { boxesMeet, boxOf, type Box } from '../../../core/geometry/index.ts';
import { seenBox } from '../../../core/piece/index.ts';
import type { BenchControls } from '../../ui/bench-view.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** Chooses what stands in an area that is drawn over the bench with Shift held. */
export function useAreaSelection(desk: DeskState, bench: BenchControls) {
  const box = shallowRef<Box>();

  function start(event: PointerEvent): void {
    const target = event.currentTarget as Element;
    const from = bench.toMm(event);
    const before = desk.selected.value;
    target.setPointerCapture(event.pointerId);
    const move = (moved: Event): void => {
      const area = boxOf([from, bench.toMm(moved as PointerEvent)]);
      box.value = area;
      if (!area) return;
      const met = (desk.compiled.value?.elements ?? [])
        .filter((one) => !one.element.locked && boxesMeet(seenBox(one), area))
        .map(({ element }) => element.id);
      desk.selected.value = [...new Set([...before, ...met])];
    };
    const end = (): void => {
      box.value = undefined;
      target.removeEventListener('pointermove', move);
      target.removeEventListener('pointerup', end);
      target.removeEventListener('pointercancel', end);
    };
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', end);
    target.addEventListener('pointercancel', end);
  }

  return { box, start };
}
