<script setup lang="ts">
import { useId } from 'vue';
import { WAYS_SEEN } from '../../../core/color/index.ts';
import PieceThumbnail from '../../session/PieceThumbnail.vue';
import { texts } from '../../texts/index.ts';
import { useSeenAs } from '../../ui/seen-as.ts';
import SeenAsFilter from '../../ui/SeenAsFilter.vue';
import SidePanel from '../../ui/SidePanel.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** The piece in print, in grey and as colour-blind people see it, to choose how the desk shows it. */
defineProps<{ desk: DeskState }>();
defineEmits<{ close: [] }>();
const seen = useSeenAs();
const say = texts.seenAs;
const own = useId();
</script>

<template>
  <SidePanel :title="say.title" @close="$emit('close')">
    <p class="quiet">{{ say.hint }}</p>
    <div v-if="desk.store.committed && desk.committedPiece.value" class="ways" role="radiogroup">
      <button
        v-for="way in ['screen', ...WAYS_SEEN] as const"
        :key="way"
        type="button"
        role="radio"
        :aria-checked="way === seen.way"
        @click="seen.way = way"
      >
        <SeenAsFilter
          v-if="way !== 'screen'"
          :id="own + way"
          :way="way"
          :paper="desk.store.committed.material.color"
        />
        <PieceThumbnail
          :job="desk.store.committed"
          :piece="desk.committedPiece.value.id"
          :style="way === 'screen' ? {} : { filter: `url(#${own}${way})` }"
        />
        <span>{{ say.ways[way] }}</span>
      </button>
    </div>
  </SidePanel>
</template>

<style scoped>
p {
  margin: 0 6px 8px;
}
.ways {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
button {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 6px;
  min-width: 0;
  border: 1.5px solid var(--line);
  border-radius: 12px;
  padding: 10px 6px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 12.5px;
  cursor: pointer;
}
button:hover,
button[aria-checked='true'] {
  border-color: var(--plum);
  background: var(--apricot-soft);
}
button > svg:last-of-type {
  width: 100%;
  height: 96px;
}
</style>
