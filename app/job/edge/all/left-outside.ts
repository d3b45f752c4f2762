import { shallowRef, watch, type Ref } from 'vue';
import type { Piece } from '../../../../core/piece/index.ts';
import { leftOutside } from '../../../../core/shape/index.ts';
import { nextTurn } from '../../../ui/next-turn.ts';

/** Below that nobody sees what is left outside of an edge, mm. */
const UNSEEN = 0.05;

/** How far art lies outside of its edge at most, of the piece where that is farthest; found piece by piece. */
export function useLeftOutside(pieces: Ref<readonly Piece[]>) {
  const outside = shallowRef<{ name: string; mm: number }>();
  let looking = 0;
  watch(
    pieces,
    async (now) => {
      const own = ++looking;
      let most: { name: string; mm: number } | undefined;
      for (const { build, edge, name } of now) {
        // What a rim rounds by less than its width it does not cut into.
        if (!build || build.smooth <= build.offset) continue;
        await nextTurn();
        if (own !== looking) return;
        const mm = leftOutside(build, edge);
        if (mm > UNSEEN && mm > (most?.mm ?? 0)) most = { name, mm };
      }
      outside.value = most;
    },
    { immediate: true },
  );
  return outside;
}
