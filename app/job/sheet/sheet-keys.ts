import { onBeforeUnmount, type ComputedRef, type Ref } from 'vue';
import type { SheetCopy } from '../../../core/sheet/index.ts';
import type { BenchControls } from '../../ui/bench-view.ts';
import { findNudge, isTyping } from '../common/job-keys.ts';
import type { useJobStore } from '../../session/job-store.ts';
import { moveCall } from './move-call.ts';

/** Keys of the Sheet desk: copies are nudged, all of them selected or none, and the sheet is zoomed. */
export function useSheetKeys(of: {
  store: ReturnType<typeof useJobStore>;
  bench: BenchControls;
  current: ComputedRef<number>;
  selected: Ref<readonly string[]>;
  copies: ComputedRef<readonly SheetCopy[]>;
  all: () => readonly string[];
}): void {
  function nudge(dx: number, dy: number): void {
    const key = `nudge:${of.selected.value.join()}`;
    const call = moveCall(of.copies.value, of.current.value, ({ x, y }) => ({
      x: x + dx,
      y: y + dy,
    }));
    of.store.act(call, key);
  }

  function removeCopies(): void {
    const copies = of.copies.value.map(({ placement }) => placement.copy);
    of.selected.value = [];
    of.store.act({ name: 'remove-copies', args: { copies } });
  }

  function hear(event: KeyboardEvent): void {
    if (isTyping(event)) return;
    const move = findNudge(event);
    const held = event.ctrlKey || event.metaKey;
    if (move && of.copies.value.length) nudge(move.x, move.y);
    else if (held && event.key.toLowerCase() === 'a') of.selected.value = of.all();
    else if ((event.key === 'Delete' || event.key === 'Backspace') && of.copies.value.length)
      removeCopies();
    else if (event.key === 'Escape') of.selected.value = [];
    else if (event.key === '+' || event.key === '=') of.bench.zoomBy(1.25);
    else if (event.key === '-') of.bench.zoomBy(0.8);
    else if (event.key === '0') of.bench.fit();
    else return;
    event.preventDefault();
  }
  addEventListener('keydown', hear);
  onBeforeUnmount(() => removeEventListener('keydown', hear));
}
