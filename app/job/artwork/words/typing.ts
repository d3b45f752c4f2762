import { computed, nextTick, ref, watch } from 'vue';
import { apply, invert, placed, type Point } from '../../../../core/geometry/index.ts';
import { elementMap, hasPlaceholders } from '../../../../core/piece/index.ts';
import { textChanges, withNudge, type Caret } from '../../../../core/type/index.ts';
import { MM_PER_PT } from '../../../../core/units/index.ts';
import { findArrow } from '../../../ui/arrow-keys.ts';
import type { BenchControls } from '../../../ui/bench-view.ts';
import { onceAFrame } from '../../../ui/once-a-frame.ts';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import { boundsOf, lineEnd, nearestCaret, nextLine } from './carets.ts';

/**
 * Typing words where they stand. A field that is not seen takes keys, the clipboard and the input
 * method; the caret and what is marked are drawn on the words.
 */
export function useTyping(desk: DeskState, bench: BenchControls) {
  const field = ref<HTMLTextAreaElement | null>(null);

  const placedWords = computed(() =>
    desk.compiled.value?.elements.find(({ element }) => element.id === desk.typing.value),
  );
  const words = computed(() => {
    const element = placedWords.value?.element;
    return element?.kind === 'words' ? element : undefined;
  });
  const set = computed(() => placedWords.value?.compiled.words);
  const carets = computed<readonly Caret[]>(() => set.value?.carets() ?? []);
  const em = computed(() => (set.value?.size ?? 0) * MM_PER_PT);
  const map = computed(() => words.value && elementMap(words.value));
  const caret = computed(() => {
    const { start, end } = desk.marked.value;
    return start === end ? boundsOf(carets.value, start) : undefined;
  });
  /** The parts of lines that are marked, as corners about the words' middle. */
  const marks = computed(() => {
    const { start, end } = desk.marked.value;
    if (start === end) return [];
    return carets.value.flatMap((from, at) => {
      const to = carets.value[at + 1];
      if (!to || to.line !== from.line || from.at < start || to.at > end) return [];
      return [[...standing(from), ...standing(to).reverse()]];
    });
  });

  /** The foot and the head of a caret. */
  function standing({ x, y, angle }: Caret): Point[] {
    const upright = placed(x, y, angle);
    return [
      apply(upright, { x: 0, y: em.value * 0.24 }),
      apply(upright, { x: 0, y: -em.value * 0.86 }),
    ];
  }

  function mark(start: number, end: number, backward = false): void {
    field.value?.setSelectionRange(
      Math.min(start, end),
      Math.max(start, end),
      backward ? 'backward' : 'forward',
    );
    desk.marked.value = { start: Math.min(start, end), end: Math.max(start, end) };
  }

  function read(): void {
    const { value } = field;
    if (!value || document.activeElement !== value) return;
    desk.marked.value = { start: value.selectionStart, end: value.selectionEnd };
  }

  /**
   * Begins to type; with everything marked, or with the caret where it was pressed. Words with
   * placeholders and lists are typed in their card: what stands on the piece is not what was typed.
   */
  async function begin(id: string, event?: PointerEvent | MouseEvent): Promise<void> {
    desk.select(id, false, true);
    const { value: only } = desk.only;
    if (only?.kind === 'words' && (only.list || hasPlaceholders(only.text)))
      return desk.typeInCard();
    desk.typing.value = id;
    await nextTick();
    field.value?.focus({ preventScroll: true });
    const at = event && placeOf(event);
    if (at === undefined) mark(0, words.value?.text.length ?? 0);
    else mark(at, at);
  }

  function placeOf(event: PointerEvent | MouseEvent): number | undefined {
    if (!map.value) return undefined;
    return nearestCaret(carets.value, apply(invert(map.value), bench.toMm(event)), em.value);
  }

  /** Presses on words that are typed put the caret there; a drag marks. */
  function press(event: PointerEvent): void {
    const from = placeOf(event);
    if (from === undefined || event.button !== 0) return;
    event.preventDefault();
    field.value?.focus({ preventScroll: true });
    const anchor = event.shiftKey ? desk.marked.value.start : from;
    mark(anchor, from, from < anchor);
    const target = event.currentTarget as Element;
    target.setPointerCapture(event.pointerId);
    const move = (moved: Event): void => {
      const to = placeOf(moved as PointerEvent);
      if (to !== undefined) mark(anchor, to, to < anchor);
    };
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', () => target.removeEventListener('pointermove', move), {
      once: true,
    });
  }

  const typed = onceAFrame(() => {
    const { value } = words;
    const text = field.value?.value;
    if (!value || text === undefined || text === value.text) return;
    desk.stage(textChanges(value, text), 'type');
    read();
  });

  function stop(): void {
    typed.now();
    desk.store.commit();
    desk.typing.value = undefined;
  }

  function key(event: KeyboardEvent): void {
    // The desk beneath hears nothing of what is typed.
    event.stopPropagation();
    typed.now();
    const control = event.ctrlKey || event.metaKey;
    if (event.key === 'Escape' || (event.key === 'Enter' && control)) {
      event.preventDefault();
      return stop();
    }
    if (control && event.key.toLowerCase() === 'z') {
      event.preventDefault();
      return event.shiftKey ? desk.store.redo() : desk.store.undo();
    }
    if (event.altKey && event.key.startsWith('Arrow')) return nudge(event);
    const { value } = field;
    if (!value) return;
    const focus =
      value.selectionDirection === 'backward' ? value.selectionStart : value.selectionEnd;
    const to =
      event.key === 'ArrowUp' || event.key === 'ArrowDown'
        ? nextLine(carets.value, focus, event.key === 'ArrowUp' ? -1 : 1)
        : event.key === 'Home' || event.key === 'End'
          ? lineEnd(carets.value, focus, event.key === 'End')
          : undefined;
    if (to === undefined || control) return;
    event.preventDefault();
    const anchor = focus === value.selectionStart ? value.selectionEnd : value.selectionStart;
    if (event.shiftKey) mark(anchor, to, to < anchor);
    else mark(to, to);
  }

  /** Moves the marked letters by a hundredth of an em, with Shift by ten. */
  function nudge(event: KeyboardEvent): void {
    const by = findArrow(event.key, event.shiftKey ? 10 : 1);
    const { value } = words;
    if (!by || !value) return;
    event.preventDefault();
    const letters = lettersOf(desk, value.text);
    let nudges = value.nudges ?? [];
    for (const at of letters) {
      const now = nudges.find((one) => one.at === at);
      nudges = withNudge(nudges, [at], { x: (now?.x ?? 0) + by.x, y: (now?.y ?? 0) + by.y });
    }
    desk.change({ nudges: nudges.length ? nudges : undefined }, 'letters');
  }

  // The field is ahead of the words for up to a frame, so it is told only of what came from elsewhere.
  watch(
    [field, () => words.value?.text],
    ([there, text]) => {
      if (there && text !== undefined && there.value !== text) there.value = text;
      read();
    },
    { flush: 'post' },
  );

  return { field, words, map, caret, marks, standing, begin, press, typed, key, read };
}

/** The letters that are marked, or the one before the caret. */
export function lettersOf({ marked }: Pick<DeskState, 'marked'>, text: string): number[] {
  const { start, end } = marked.value;
  const from = start === end ? Math.max(0, start - 1) : start;
  return Array.from(
    { length: Math.max(0, Math.max(end, from + 1) - from) },
    (_, at) => from + at,
  ).filter((at) => at < text.length && text[at] !== '\n');
}

export type Typing = ReturnType<typeof useTyping>;
