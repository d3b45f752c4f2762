<script setup lang="ts">
import { mdiEyeOffOutline } from '@mdi/js';
import { computed, ref, watch } from 'vue';
import { elementTitle, type PieceElement } from '../../../core/piece/index.ts';
import { titleText } from '../../../messages/index.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import ElementPicture from './ElementPicture.vue';
import { texts } from '../../texts/index.ts';

/** The elements as small pictures, printed from left to right. Dragging one puts it elsewhere. */
const props = defineProps<{ desk: DeskState }>();
/**
 * All elements, also those that are hidden, which nothing is drawn of. They stand still during a
 * gesture: where an element is does not show in its small picture.
 */
const items = computed(() => {
  const drawn = props.desk.committedCompiled.value?.elements ?? [];
  return (props.desk.committedPiece.value?.elements ?? []).map((element) => {
    const compiled = drawn.find((one) => one.element.id === element.id)?.compiled;
    return { element, compiled, title: titleOf(element) };
  });
});

function titleOf(element: PieceElement): string {
  const title = titleText(elementTitle(element, (id) => props.desk.store.committed?.art[id]));
  return element.hidden ? texts.exact.hidden(title) : title;
}

function drop(event: DragEvent, to: number): void {
  const element = event.dataTransfer?.getData('application/x-peel-element');
  if (element && props.desk.piece.value)
    props.desk.store.act({
      name: 'reorder-element',
      args: { piece: props.desk.piece.value.id, element, to },
    });
}

/** What is chosen is in sight, also where there are more elements than room. */
const row = ref<HTMLElement | null>(null);
watch(
  () => [row.value, ...props.desk.selected.value],
  () =>
    row.value
      ?.querySelector('[aria-pressed="true"]')
      ?.scrollIntoView({ block: 'nearest', inline: 'nearest' }),
  { flush: 'post' },
);
</script>

<template>
  <div v-if="items.length" class="stack grows" role="group" :aria-label="texts.artwork.stack">
    <span class="quiet">{{ texts.artwork.below }}</span>
    <div ref="row" class="items">
      <button
        v-for="({ element, compiled, title }, index) in items"
        :key="element.id"
        type="button"
        :title="title"
        :aria-label="title"
        :aria-pressed="desk.selected.value.includes(element.id)"
        draggable="true"
        @click="desk.select(element.id, $event.shiftKey)"
        @dragstart="$event.dataTransfer?.setData('application/x-peel-element', element.id)"
        @dragover.prevent
        @drop.stop.prevent="drop($event, index)"
      >
        <svg v-if="!compiled" class="hidden" viewBox="0 0 24 24" aria-hidden="true">
          <path :d="mdiEyeOffOutline" />
        </svg>
        <ElementPicture v-else :compiled="compiled" />
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
  scroll-padding: 6px;
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
.hidden {
  width: 100%;
  height: 100%;
  padding: 8px;
  box-sizing: border-box;
  fill: #8a7a8f;
}
</style>
