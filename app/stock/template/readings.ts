import { computed, reactive } from 'vue';
import { shapeSize, type PlainShape } from '../../../core/shape/index.ts';
import { tryDirection, tryTemplate, type Readings, type Stock } from '../../../core/stock/index.ts';

/** The readings of one direction while they are typed. */
type TypedReadings = { -readonly [K in keyof Readings]: Readings[K] };

const PLAIN: readonly string[] = ['circle', 'ellipse', 'rectangle'] satisfies PlainShape['kind'][];

/** A die-cut sheet while it is measured: drawn as it is typed, with what is missing or wrong. */
export function useReadings() {
  const draft = reactive({
    name: '',
    shape: 'rectangle' as PlainShape['kind'],
    radius: 0,
    stagger: 0,
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
      stagger: draft.stagger,
      ...readings.value,
    }),
  );
  /** What each direction comes to, as far as its readings say. */
  const derived = computed(() => {
    const across = tryDirection('width', readings.value.across);
    const down = tryDirection('height', readings.value.down);
    return { across: across.ok ? across.value : undefined, down: down.ok ? down.value : undefined };
  });

  /** The readings that a sheet in rows and columns would give. */
  function takeFrom({ name, width, height, spots }: Stock): void {
    draft.name = name;
    if (spots?.layout !== 'grid') return;
    const size = shapeSize(spots.shape);
    if (PLAIN.includes(spots.shape.kind)) draft.shape = spots.shape.kind as PlainShape['kind'];
    draft.radius = spots.shape.kind === 'rectangle' ? spots.shape.radius : 0;
    draft.stagger = spots.stagger;
    draft.across = {
      sheet: width,
      count: spots.columns,
      size: size.width,
      pitch: spots.pitchX,
      first: spots.left - size.width / 2,
    };
    draft.down = {
      sheet: height,
      count: spots.rows,
      size: size.height,
      pitch: spots.pitchY,
      first: spots.top - size.height / 2,
    };
  }

  return { draft, round, made, derived, takeFrom };
}
