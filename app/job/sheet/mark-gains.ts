import { computed, shallowReactive, watch, type Ref } from 'vue';
import { Cancelled } from '../../../core/base/index.ts';
import type { Job } from '../../../core/job/index.ts';
import type { MarkTrials } from '../../../core/register/index.ts';
import { copiesPerSheet } from '../../../core/sheet/index.ts';
import type { Marks } from '../../../core/stock/index.ts';
import { calls } from '../../calls/index.ts';
import { searchesFirst } from './nesting.ts';

/** A size of marks, what a sheet would hold with it, and how well it is found. */
export interface MarkGain {
  readonly size: number;
  readonly perSheet: number;
  /** Undefined while it is tried. */
  readonly trials: MarkTrials | undefined;
}

type Style = Marks['style'];

const SIZES: Readonly<Record<Style, readonly number[]>> = {
  dot: [3, 4, 5, 6, 8],
  cross: [6, 8, 10, 12],
  corner: [6, 8, 10, 12],
};

/** What was tried on this page: the same tries come out the same. */
const tried = shallowReactive(new Map<string, MarkTrials>());
const keyOf = (style: Style, size: number): string => `${style}:${size}`;

/** The sizes that are compared for a style, the one in use among them. */
function comparedSizes({ style, size }: Marks): number[] {
  return [...new Set([...SIZES[style], size])].sort((one, other) => one - other);
}

/** What marks of other sizes would gain in copies and cost in detection. */
export function useMarkGains(job: Ref<Job | undefined>, problem: (error: unknown) => void) {
  const marks = computed(() => job.value?.plan.marks);
  const untried = computed(() => {
    const now = marks.value;
    return now?.on ? comparedSizes(now).filter((size) => !tried.has(keyOf(now.style, size))) : [];
  });

  watch(
    [
      () => marks.value && `${marks.value.on}:${keyOf(marks.value.style, marks.value.size)}`,
      searchesFirst,
    ],
    async () => {
      const [style, sizes] = [marks.value?.style, untried.value];
      if (!style || sizes.length === 0 || searchesFirst.value) return;
      try {
        const found = await calls.call('tryMarks', { style, sizes }).answer;
        found.forEach((trials, at) => tried.set(keyOf(style, sizes[at] ?? 0), trials));
      } catch (error) {
        if (!(error instanceof Cancelled)) problem(error);
      }
    },
    { immediate: true },
  );

  return computed((): MarkGain[] => {
    const now = job.value;
    if (!now?.plan.marks.on) return [];
    const { marks: used } = now.plan;
    return comparedSizes(used).map((size) => ({
      size,
      perSheet: copiesPerSheet({ ...now, plan: { ...now.plan, marks: { ...used, size } } }),
      trials: tried.get(keyOf(used.style, size)),
    }));
  });
}
