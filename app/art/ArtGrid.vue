<script setup lang="ts">
import type { UsedArt } from '../storage/index.ts';
import ArtPicture from './ArtPicture.vue';

/** Pictures to choose from; each can be dragged to where it is wanted. */
defineProps<{ found: readonly UsedArt[]; chosen?: string | undefined; label: string }>();
const emit = defineEmits<{ choose: [entry: UsedArt]; open: [entry: UsedArt]; drag: [] }>();

function drag(event: DragEvent, entry: UsedArt): void {
  event.dataTransfer?.setData('application/x-little-peel-art', entry.art.id);
  if (event.dataTransfer) event.dataTransfer.effectAllowed = 'copy';
  // A browser gives up a drag whose source vanishes while it begins.
  setTimeout(() => emit('drag'), 0);
}
</script>

<template>
  <ul class="grid" :aria-label="label">
    <li v-for="entry in found" :key="entry.art.id">
      <button
        type="button"
        class="one"
        :class="{ chosen: entry.art.id === chosen }"
        :aria-pressed="entry.art.id === chosen"
        draggable="true"
        @dragstart="drag($event, entry)"
        @click="emit('choose', entry)"
        @dblclick="emit('open', entry)"
      >
        <span class="ground"><ArtPicture :art="entry.art" /></span>
        <span class="name">{{ entry.art.name }}</span>
      </button>
    </li>
  </ul>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
  gap: 12px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.one {
  display: block;
  width: 100%;
  border: 1px solid var(--line);
  border-radius: var(--r-card);
  padding: 8px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.one:hover,
.chosen {
  border-color: var(--plum);
  background: var(--apricot-soft);
}
.ground {
  display: block;
  box-sizing: border-box;
  height: 104px;
  border-radius: var(--r-field);
  padding: 8px;
  background: var(--release);
}
.name {
  display: block;
  margin-top: 6px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
