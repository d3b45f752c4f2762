import { computed } from 'vue';
import { edgeCut } from '../../../core/sheet/index.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** The kinds of line that are seen on the bench, in the order in which the legend names them. */
export function useLegend({ committedCompiled, store }: DeskState) {
  return computed(() => {
    const [piece, plan] = [committedCompiled.value, store.committed?.plan];
    const cuts =
      piece && plan
        ? new Set([...(piece.kissCuts.length ? ['kiss' as const] : []), edgeCut(piece, plan)])
        : ['kiss' as const];
    return [...cuts, 'bleed' as const, ...(piece?.creases.length ? (['fold'] as const) : [])];
  });
}
