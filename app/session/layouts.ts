import { computed } from 'vue';
import type { Job } from '../../core/job/index.ts';
import { arrange, copiesKey, type Layout } from '../../core/sheet/index.ts';

/** How the copies of a job lie on its sheets: laid out anew only when something that it depends on is another. */
export function useLayouts(job: () => Job | undefined, inGesture: () => boolean) {
  let arranged: { uses: readonly unknown[]; layout: Layout } | undefined;
  /** Not made anew for each step of a drag. */
  const layout = computed(() => {
    const value = job();
    if (!value) return undefined;
    const { pieces, plan, stock, material, list } = value;
    const uses = [
      plan,
      stock,
      material,
      copiesKey(list),
      ...pieces.flatMap(({ id, edge, bleed }) => [id, edge, bleed]),
    ];
    const same =
      arranged?.uses.length === uses.length && uses.every((one, at) => one === arranged?.uses[at]);
    if (!arranged || !same) arranged = { uses, layout: arrange(value) };
    return arranged.layout;
  });
  let stood: Layout | undefined;
  /** The layout without what a gesture is just doing: cards beside the sheet keep still while it is shown. */
  const committedLayout = computed(() => {
    if (!inGesture()) stood = layout.value;
    return stood;
  });
  return { layout, committedLayout };
}
