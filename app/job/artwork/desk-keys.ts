import { onBeforeUnmount } from 'vue';
import type { BenchControls } from '../../ui/bench-view.ts';
import { findNudge, isTyping } from '../common/job-keys.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** What keys of the desk do on the bench. */
interface DeskActions {
  type(): void;
  bench(): { bench: BenchControls; lines: { end(): void; giveUp(): void } } | undefined;
}

/** The keys of the Artwork desk. */
export function useDeskKeys(desk: DeskState, actions: DeskActions): void {
  function cycle(back: boolean): void {
    const ids = desk.piece.value?.elements.map(({ id }) => id) ?? [];
    const at = ids.indexOf(desk.selected.value[0] ?? '');
    const next = ids[(at + (back ? -1 : 1) + ids.length) % ids.length];
    if (next) desk.select(next);
  }

  /** Ends what the pointer is doing, and then the choice. */
  function escape(): void {
    if (desk.drawing.value) actions.bench()?.lines.giveUp();
    else if (desk.measuring.value) desk.measuring.value = false;
    else desk.clear();
  }

  const KEYS: Readonly<Record<string, () => void>> = {
    Escape: escape,
    '+': () => actions.bench()?.bench.zoomBy(1.25),
    '=': () => actions.bench()?.bench.zoomBy(1.25),
    '-': () => actions.bench()?.bench.zoomBy(0.8),
    '0': () => actions.bench()?.bench.fit(),
    '[': () => cycle(true),
    ']': () => cycle(false),
  };

  /** What a key does; undefined when it does nothing here. */
  function findAction(event: KeyboardEvent): (() => void) | undefined {
    const chosen = desk.selected.value.length > 0;
    const move = findNudge(event);
    if (move) return chosen ? () => desk.nudge(move) : undefined;
    if (event.ctrlKey || event.metaKey)
      return event.key.toLowerCase() === 'd' && chosen ? desk.duplicate : undefined;
    if (event.key === 'Enter') {
      if (desk.drawing.value) return () => actions.bench()?.lines.end();
      return desk.only.value?.kind === 'words' ? actions.type : undefined;
    }
    if (event.key === 'Delete' || event.key === 'Backspace')
      return chosen ? desk.remove : undefined;
    return KEYS[event.key];
  }

  function hear(event: KeyboardEvent): void {
    if (isTyping(event)) return;
    const action = findAction(event);
    if (!action) return;
    event.preventDefault();
    action();
  }

  addEventListener('keydown', hear);
  onBeforeUnmount(() => removeEventListener('keydown', hear));
}
