import { ref, shallowRef } from 'vue';
import { apply, invert, placed, rotation, type Point } from '../../../core/geometry/index.ts';
import type { CommandCall, ElementChanges } from '../../../core/job/index.ts';
import { elementSize, resizedElement, type PieceElement } from '../../../core/piece/index.ts';
import type { BenchControls } from '../../ui/bench-view.ts';
import type { DeskState } from './desk-state.ts';
import { boxOfElements, snapMove, snapTargets, type Guide } from './snap.ts';

/** A corner of an element by its signs: (-1, -1) is the top left. */
export interface Corner {
  readonly x: -1 | 1;
  readonly y: -1 | 1;
}

const REACH = 7; // px within which things snap
const STILL = 3; // px that a pointer may tremble before it is a drag

/** Moving, resizing and turning elements with the pointer. Each gesture is one step of the history. */
export function useElementGestures(desk: DeskState, bench: BenchControls) {
  const guides = shallowRef<readonly Guide[]>([]);
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
        if (last) desk.store.preview(last);
      });
    };
    const end = (keep: boolean): void => {
      cancelAnimationFrame(frame);
      target.removeEventListener('pointermove', move as EventListener);
      target.removeEventListener('pointerup', up);
      target.removeEventListener('pointercancel', drop);
      removeEventListener('keydown', escape, true);
      guides.value = [];
      active.value = false;
      if (keep && last) desk.store.act(last);
      else desk.store.drop();
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

  function changes(all: Record<string, ElementChanges>, doing: string): CommandCall | undefined {
    return (
      desk.piece.value && {
        name: 'change-elements',
        args: { piece: desk.piece.value.id, changes: all, doing },
      }
    );
  }

  function startMove(event: PointerEvent, id: string): void {
    if (event.button !== 0) return;
    if (event.shiftKey) return desk.select(id, true);
    if (!desk.selected.value.includes(id)) desk.select(id);
    const moving = desk.elements.value.filter(({ locked }) => !locked);
    const box = boxOfElements(moving);
    const { piece, compiled } = desk;
    if (!box || !piece.value || !compiled.value) return;
    const others = piece.value.elements.filter((one) => !moving.includes(one));
    const targets = snapTargets({ ...compiled.value, safe: piece.value.safe }, others);
    const from = bench.toMm(event);
    run(event, (at, moved) => {
      const free = { dx: at.x - from.x, dy: at.y - from.y };
      const reach = moved.ctrlKey || moved.metaKey ? 0 : REACH / bench.view.value.scale;
      const snapped = snapMove(box, free, targets, reach);
      guides.value = snapped.guides;
      const { dx, dy } = snapped;
      return changes(
        Object.fromEntries(moving.map(({ id: one, x, y }) => [one, { x: x + dx, y: y + dy }])),
        'move',
      );
    });
  }

  function startResize(event: PointerEvent, element: PieceElement, corner: Corner): void {
    if (event.button !== 0 || element.locked) return;
    run(event, (at, { shiftKey }) =>
      changes({ [element.id]: resizedTo(element, corner, at, shiftKey) }, 'resize'),
    );
  }

  function startTurn(event: PointerEvent, element: PieceElement): void {
    if (event.button !== 0 || element.locked) return;
    run(event, (at, { shiftKey }) => {
      const free = (Math.atan2(at.x - element.x, element.y - at.y) * 180) / Math.PI;
      const step = Math.round(free / 15) * 15;
      const angle = !shiftKey && Math.abs(free - step) < 4 ? step : Math.round(free * 10) / 10;
      return changes({ [element.id]: { angle } }, 'turn');
    });
  }

  return { guides, active, startMove, startResize, startTurn };
}

/**
 * The changes that bring a corner of an element to a place while the opposite corner stays.
 * Proportions are kept, and words grow with their box, unless `free`.
 */
export function resizedTo(
  element: PieceElement,
  corner: Corner,
  at: Point,
  free: boolean,
): ElementChanges {
  const { width, height } = elementSize(element);
  const anchor = apply(placed(element.x, element.y, element.angle), {
    x: (-corner.x * width) / 2,
    y: (-corner.y * height) / 2,
  });
  const local = apply(invert(rotation(element.angle)), { x: at.x - anchor.x, y: at.y - anchor.y });
  const wide = Math.max(1, local.x * corner.x);
  const high = Math.max(1, local.y * corner.y);
  const scale = Math.max(wide / width, high / height);
  const resized = free
    ? resizedElement(element, wide, high)
    : resizedElement(element, width * scale, height * scale);
  const size = elementSize(resized);
  const centre = apply(placed(anchor.x, anchor.y, element.angle), {
    x: (corner.x * size.width) / 2,
    y: (corner.y * size.height) / 2,
  });
  const grownWords =
    element.kind === 'words' && !free ? { size: Math.max(0.5, element.size * scale) } : {};
  return { ...resized, ...grownWords, ...centre };
}
