import { computed, reactive } from 'vue';
import type { PlainShape } from '../../../core/shape/index.ts';
import { tryDirection, tryTemplate, type Readings } from '../../../core/stock/index.ts';

/** The readings of one direction while they are typed. */
type TypedReadings = { -readonly [K in keyof Readings]: Readings[K] };

/** A die-cut sheet while it is measured: drawn as it is typed, with what is missing or wrong. */
export function useOwnSheet() {
  const draft = reactive({
    name: '',
    shape: 'rectangle' as PlainShape['kind'],
    radius: 0,
    across: { sheet: 210, count: 3, size: 63.5, pitch: 66 } as TypedReadings,
    down: { sheet: 297, count: 7, size: 38.1, pitch: 38.1 } as TypedReadings,
  });
  const round = computed(() => draft.shape === 'circle');
  /** A round label is measured once: its height is its width. */
  const readings = computed(() => ({
    across: { ...draft.across },
    down: { ...draft.down, ...(round.value ? { size: draft.across.size } : {}) },
  }));
  const made = computed(() =>
    tryTemplate({
      id: 'own-draft',
      name: draft.name.trim() || 'Own sheet',
      shape: draft.shape,
      radius: draft.radius,
      ...readings.value,
    }),
  );
  /** What each direction comes to, as far as its readings say. */
  const derived = computed(() => {
    const across = tryDirection('width', readings.value.across);
    const down = tryDirection('height', readings.value.down);
    return { across: across.ok ? across.value : undefined, down: down.ok ? down.value : undefined };
  });
  return { draft, round, made, derived };
}
