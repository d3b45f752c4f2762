import { shallowRef } from 'vue';
import { apply, boxOfRings, invert, type Point } from '../../../core/geometry/index.ts';
import type { CommandCall, ElementChanges } from '../../../core/job/index.ts';
import {
  elementMap,
  elementSize,
  resizedElement,
  seenBox,
  seenBoxOf,
  type PieceElement,
} from '../../../core/piece/index.ts';
import { zoneAt, zoneRoom } from '../../../core/things/index.ts';
import type { BenchControls } from '../../ui/bench-view.ts';
import { useDragStep } from '../common/drag-step.ts';
import { useSettings } from '../../ui/settings-store.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import { turnedByFingers } from './two-fingers.ts';
import { snapMove, snapTargets, type EqualGap, type Guide } from '../align/snap.ts';
import { snapInBend, type BentZone } from '../align/snap-bent.ts';

/** A corner of an element by its signs: (-1, -1) is the top left. */
export interface Corner {
  readonly x: -1 | 1;
  readonly y: -1 | 1;
}

const REACH = 7; // px within which things snap

/** Moving, resizing and turning elements with the pointer. Each gesture is one step of the history. */
export function useElementGestures(desk: DeskState, bench: BenchControls) {
  const guides = shallowRef<readonly Guide[]>([]);
  const gaps = shallowRef<readonly EqualGap[]>([]);
  /** Lines of a bent zone that took hold, as path data. */
  const bends = shallowRef<readonly string[]>([]);
  const settings = useSettings();
  const { active, run } = useDragStep(desk.store, bench, clearGuides);

  function clearGuides(): void {
    guides.value = [];
    gaps.value = [];
    bends.value = [];
  }

  /** The bent zone in which a place lies. */
  function bentZoneAt(at: Point, moving: PieceElement): BentZone | undefined {
    const { piece, zones, edge } = desk;
    const zone = zoneAt(zones.value, at);
    if (!zone?.span || !piece.value || !edge.value) return undefined;
    const others = piece.value.elements.filter(
      (one) => one.id !== moving.id && zoneAt(zones.value, one) === zone,
    );
    const room = zoneRoom(zone, edge.value);
    return { room, edge: edge.value, safe: piece.value.safe, others };
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
    if (event.altKey) return selectBelow(event);
    if (!desk.selected.value.includes(id)) desk.select(id);
    const moving = desk.elements.value.filter(({ locked }) => !locked);
    const { piece, compiled } = desk;
    if (!piece.value || !compiled.value) return;
    const placed = compiled.value.elements;
    const box = seenBoxOf(placed.filter(({ element }) => moving.includes(element)));
    if (!box) return;
    const others = placed.filter(({ element }) => !moving.includes(element)).map(seenBox);
    const zones = desk.zones.value.flatMap(({ rings, span }) =>
      span ? [] : (boxOfRings(rings) ?? []),
    );
    const frame = { ...compiled.value, safe: piece.value.safe, zones };
    const targets = snapTargets(frame, others, settings.grid || undefined, piece.value.guides);
    const from = bench.toMm(event);
    run(event, (at, moved, second) => {
      if (second) {
        clearGuides();
        return changes(turnedByFingers(moving, { from, at }, second), 'turn');
      }
      const free = { dx: at.x - from.x, dy: at.y - from.y };
      const reach = moved.ctrlKey || moved.metaKey ? 0 : REACH / bench.view.value.scale;
      const [only] = moving.length === 1 ? moving : [];
      const to = only && { x: only.x + free.dx, y: only.y + free.dy };
      const bent = only && to && bentZoneAt(to, only);
      clearGuides();
      if (bent) {
        const { changes: bentChanges, lines } = snapInBend(only, to, bent, reach);
        bends.value = lines;
        return changes({ [only.id]: bentChanges }, 'move');
      }
      const snapped = snapMove(box, free, targets, reach);
      guides.value = snapped.guides;
      gaps.value = snapped.gaps;
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

  /** Chooses the next element beneath the pointer, and from the lowest the uppermost again. */
  function selectBelow(event: PointerEvent): void {
    const under = document
      .elementsFromPoint(event.clientX, event.clientY)
      .flatMap((one) => one.closest('[data-element]')?.getAttribute('data-element') ?? []);
    const ids = [...new Set(under)];
    const next = ids[(ids.indexOf(desk.selected.value[0] ?? '') + 1) % ids.length];
    if (next !== undefined) desk.select(next, false, true);
  }

  return { guides, gaps, bends, active, startMove, startResize, startTurn };
}

export type ElementGestures = ReturnType<typeof useElementGestures>;

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
  const anchor = apply(elementMap(element), {
    x: (-corner.x * width) / 2,
    y: (-corner.y * height) / 2,
  });
  const turn = elementMap({ ...element, x: 0, y: 0 });
  const local = apply(invert(turn), { x: at.x - anchor.x, y: at.y - anchor.y });
  const wide = Math.max(1, local.x * corner.x);
  const high = Math.max(1, local.y * corner.y);
  const scale = Math.max(wide / width, high / height);
  const resized = free
    ? resizedElement(element, wide, high)
    : resizedElement(element, width * scale, height * scale);
  const size = elementSize(resized);
  const centre = apply(elementMap({ ...element, ...anchor }), {
    x: (corner.x * size.width) / 2,
    y: (corner.y * size.height) / 2,
  });
  const grownWords =
    element.kind === 'words' && !free ? { size: Math.max(0.5, element.size * scale) } : {};
  return { ...resized, ...grownWords, ...centre };
}
