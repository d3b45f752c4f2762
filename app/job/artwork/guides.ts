import { shallowRef } from 'vue';
import type { CommandCall } from '../../../core/job/index.ts';
import { type BenchControls, RULER } from '../../ui/bench-view.ts';
import { findNudge } from '../common/job-keys.ts';
import { useDragStep } from '../common/drag-step.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import type { Guide } from '../align/snap.ts';

/** Lines pulled out of the rulers to place things by: moved with the pointer or keys, pushed back to go. */
export function useGuides(desk: DeskState, bench: BenchControls) {
  /** The guide that is being moved. */
  const moving = shallowRef<Guide>();
  const { run } = useDragStep(desk.store, bench, () => (moving.value = undefined));
  const all = (): readonly Guide[] => desk.committedPiece.value?.guides ?? [];

  function call(guides: readonly Guide[]): CommandCall | undefined {
    const piece = desk.committedPiece.value?.id;
    const changes = { guides: guides.length ? [...guides] : undefined };
    return piece === undefined ? undefined : { name: 'change-piece', args: { piece, changes } };
  }

  function give(guides: readonly Guide[], key?: string): void {
    const made = call(guides);
    if (made) desk.store.act(made, key);
  }

  /** Moves a guide, or a new one out of the ruler; let go over the rulers it is none. */
  function start(event: PointerEvent, axis: Guide['axis'], index: number = all().length): void {
    if (event.button !== 0) return;
    const others = all().filter((_, at) => at !== index);
    run(event, (at) => {
      const { scale, x, y } = bench.view.value;
      const place = Math.round(at[axis] * 10) / 10;
      const onScreen = at[axis] * scale + (axis === 'x' ? x : y);
      if (onScreen < RULER) {
        moving.value = undefined;
        return call(others);
      }
      moving.value = { axis, at: place };
      return call([...others, moving.value]);
    });
  }

  /** A guide by its keys: moved by 0.1, 1 or 10 mm, or taken away. */
  function key(event: KeyboardEvent, index: number): void {
    const guide = all()[index];
    if (!guide) return;
    const by = findNudge(event)?.[guide.axis];
    const remove = event.key === 'Delete' || event.key === 'Backspace';
    if (!by && !remove) return;
    event.preventDefault();
    event.stopPropagation();
    if (remove) return give(all().filter((_, at) => at !== index));
    const moved = { ...guide, at: Math.round((guide.at + (by ?? 0)) * 10) / 10 };
    give(
      all().map((one, at) => (at === index ? moved : one)),
      `guide-${index}`,
    );
  }

  return { moving, start, key };
}

export type Guides = ReturnType<typeof useGuides>;
