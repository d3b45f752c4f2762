<script setup lang="ts">
import { computed } from 'vue';
import { boxAbout, grown } from '../../../core/geometry/index.ts';
import { elementTitle, type CompiledElement } from '../../../core/piece/index.ts';
import DrawnNodes from '../../ui/DrawnNodes.vue';
import { pageSources, resourceVersion } from '../store/page-resources.ts';
import type { DeskState } from './desk-state.ts';
import { texts } from '../../texts/index.ts';

/** The elements as small pictures, printed from left to right. Dragging one puts it elsewhere. */
const props = defineProps<{ desk: DeskState }>();
const items = computed(() => props.desk.compiled.value?.elements ?? []);

/** What is to be seen of an element: of words only the letters, as their circle may be large. */
function viewOf({ words, width, height }: CompiledElement): string {
  const box = words?.ink ?? boxAbout({ x: 0, y: 0 }, width, height);
  const { left, top, right, bottom } = grown(box, 0.5);
  return `${left} ${top} ${right - left} ${bottom - top}`;
}

function drop(event: DragEvent, to: number): void {
  const element = event.dataTransfer?.getData('application/x-peel-element');
  if (element && props.desk.piece.value)
    props.desk.store.act({
      name: 'reorder-element',
      args: { piece: props.desk.piece.value.id, element, to },
    });
}
</script>

<template>
  <div v-if="items.length" class="stack grows" role="group" :aria-label="texts.artwork.stack">
    <span class="quiet">{{ texts.artwork.below }}</span>
    <div class="items">
      <button
        v-for="({ element, compiled }, index) in items"
        :key="element.id"
        type="button"
        :title="elementTitle(element, (id) => desk.store.job?.art[id])"
        :aria-label="elementTitle(element, (id) => desk.store.job?.art[id])"
        :aria-pressed="desk.selected.value.includes(element.id)"
        draggable="true"
        @click="desk.select(element.id, $event.shiftKey)"
        @dragstart="$event.dataTransfer?.setData('application/x-peel-element', element.id)"
        @dragover.prevent
        @drop.stop.prevent="drop($event, index)"
      >
        <svg :viewBox="viewOf(compiled)" aria-hidden="true">
          <DrawnNodes :nodes="compiled.nodes" :sources="pageSources" :version="resourceVersion" />
        </svg>
      </button>
    </div>
    <span class="quiet">{{ texts.artwork.above }}</span>
  </div>
</template>

<style scoped>
.stack {
  display: flex;
  align-items: center;
  gap: 7px;
  box-sizing: border-box;
  border-radius: var(--r-tray);
  padding: 5px 12px;
  background: var(--card);
  box-shadow: var(--shadow);
}
.items {
  display: flex;
  flex: 1 1 auto;
  gap: 5px;
  align-items: center;
  min-width: 0;
  padding: 3px;
  overflow-x: auto;
}
button {
  flex: 0 1 42px;
  aspect-ratio: 1;
  min-width: 30px;
  border: 1px solid var(--line);
  border-radius: 11px;
  padding: 3px;
  background: #f1e9de;
  cursor: pointer;
}
button[aria-pressed='true'] {
  outline: 2.5px solid var(--apricot);
}
svg {
  width: 100%;
  height: 100%;
}
</style>
