import { computed, ref, watch, type Ref } from 'vue';
import { Cancelled } from '../../../core/base/index.ts';
import type { Job } from '../../../core/job/index.ts';
import type { MarkStyle, MarkTrials } from '../../../core/register/index.ts';
import { arrange } from '../../../core/sheet/index.ts';
import { calls } from '../../calls/index.ts';

/** A size of marks, what a sheet would hold with it, and how well it is found. */
export interface MarkGain {
  readonly size: number;
  readonly perSheet: number;
  /** Undefined while it is tried. */
  readonly trials: MarkTrials | undefined;
}

const SIZES: Readonly<Record<MarkStyle, readonly number[]>> = {
  dot: [3, 4, 5, 6, 8],
  ring: [],
  cross: [6, 8, 10, 12],
  corner: [6, 8, 10, 12],
};
const tried = new Map<string, readonly MarkTrials[]>();

/** The sizes that are compared for a style, the one in use among them. */
export function comparedSizes(style: MarkStyle, size: number): number[] {
  return [...new Set([...SIZES[style], size])].sort((one, other) => one - other);
}

/** What marks of other sizes would gain in copies and cost in detection. */
export function useMarkGains(job: Ref<Job | undefined>, problem: (error: unknown) => void) {
  const marks = computed(() => job.value?.plan.marks);
  const key = computed(() => (marks.value?.on ? `${marks.value.style}:${marks.value.size}` : ''));
  const trials = ref<readonly MarkTrials[]>([]);

  watch(
    key,
    async (wanted) => {
      trials.value = tried.get(wanted) ?? [];
      if (!marks.value || wanted === '' || tried.has(wanted)) return;
      const { style, size } = marks.value;
      try {
        const sizes = comparedSizes(style, size);
        const found = await calls.call('tryMarks', { style, sizes }).answer;
        tried.set(wanted, found);
        if (key.value === wanted) trials.value = found;
      } catch (error) {
        if (!(error instanceof Cancelled)) problem(error);
      }
    },
    { immediate: true },
  );

  return computed((): MarkGain[] => {
    const now = job.value;
    if (!now?.plan.marks.on) return [];
    const { style, size } = now.plan.marks;
    return comparedSizes(style, size).map((one, at) => ({
      size: one,
      perSheet: arrange({
        ...now,
        plan: { ...now.plan, marks: { ...now.plan.marks, size: one } },
      }).perSheet,
      trials: trials.value[at],
    }));
  });
}
