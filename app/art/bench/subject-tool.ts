import { computed, ref, shallowRef } from 'vue';
import {
  MOST_STROKES,
  USUAL_FREEING,
  type Freeing,
  type OfferedHole,
} from '../../../core/subject/index.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import type { ArtEditor } from './art-editor.ts';
import { thinned } from './thinned.ts';

type Place = [number, number];

/** What a frame or line has to span at least to be meant, as a share of the longer side. */
const LEAST = 0.02;

/** Freeing the subject with the pointer: a frame or a rough line first, then strokes. */
export function useSubjectTool(editor: ArtEditor) {
  const messages = useMessages();
  const shape = ref<'frame' | 'line'>('frame');
  const brush = ref<'keep' | 'drop' | 'erase' | 'restore'>('keep');
  /** Radius of the brush, in 700ths of the longer side. */
  const size = ref(4);
  const drawn = shallowRef<Place[]>([]);
  const free = computed(() => editor.pixels.value.free);
  const longer = computed(() => {
    const { width = 1, height = 1 } = editor.preview.value ?? {};
    return Math.max(width, height);
  });
  const radius = computed(() => (size.value * longer.value) / 700);
  const holes = computed(() => (free.value ? (editor.preview.value?.holes ?? []) : []));

  function change(changes: Partial<Freeing>): void {
    if (free.value) editor.change({ free: { ...free.value, ...changes } });
  }

  function press(at: Place): void {
    drawn.value = [at];
  }

  function move(at: Place): void {
    const [first] = drawn.value;
    if (!first) return;
    const isFrame = !free.value && shape.value === 'frame';
    drawn.value = isFrame ? [first, at] : [...drawn.value, at];
  }

  function release(): void {
    const points = thinned(drawn.value);
    drawn.value = [];
    if (points.length === 0) return;
    if (free.value) {
      const [mode, stroke] = [brush.value, { radius: radius.value, points }];
      if (mode === 'erase' || mode === 'restore') editor.addStroke({ mode, ...stroke });
      else if (free.value.strokes.length >= MOST_STROKES)
        messages.say(texts.art.bench.subject.full);
      else
        editor.step({
          free: { ...free.value, strokes: [...free.value.strokes, { mode, ...stroke }] },
        });
    } else if (spanOf(points) > LEAST * longer.value)
      editor.step({ free: { around: points, ...USUAL_FREEING }, clear: null });
  }

  /** Opens a hole that is filled, or fills one that is open. */
  function turnHole({ place, isOpen, left, top, right, bottom }: OfferedHole): void {
    const isIn = ([x, y]: readonly [number, number]): boolean =>
      x >= left && x <= right && y >= top && y <= bottom;
    const others = free.value?.holes.filter((one) => !isIn(one)) ?? [];
    change({ holes: isOpen ? others : [...others, [...place]] });
  }

  /** Begins anew with another frame, or keeps the whole picture. */
  const forget = (): void => editor.step({ free: undefined, strokes: [] });

  return {
    shape,
    brush,
    size,
    drawn,
    free,
    longer,
    radius,
    holes,
    change,
    press,
    move,
    release,
    turnHole,
    forget,
  };
}

/** The shorter side of the box of points. */
function spanOf(points: readonly Place[]): number {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return Math.min(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
}

export type SubjectTool = ReturnType<typeof useSubjectTool>;
