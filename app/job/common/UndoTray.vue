<script setup lang="ts">
import { mdiHistory, mdiRedo, mdiUndo } from '@mdi/js';
import { ref } from 'vue';
import { texts } from '../../texts/index.ts';
import IconButton from '../../ui/IconButton.vue';
import HistoryPanel from './HistoryPanel.vue';
import { useJobStore } from '../../session/job-store.ts';

/** Undo, redo and the history, in the corner of a desk; each says what it is about. */
const store = useJobStore();
const open = ref(false);
</script>

<template>
  <div class="walk bench-tray">
    <IconButton
      :icon="mdiUndo"
      :name="store.undoLabel ? `${texts.undo} ${store.undoLabel}` : texts.undo"
      :disabled="!store.undoLabel"
      @click="store.undo"
    />
    <IconButton
      :icon="mdiRedo"
      :name="store.redoLabel ? `${texts.redo} ${store.redoLabel}` : texts.redo"
      :disabled="!store.redoLabel"
      @click="store.redo"
    />
    <IconButton
      :icon="mdiHistory"
      :name="texts.history.open"
      :pressed="open"
      @click="open = !open"
    />
  </div>
  <HistoryPanel v-if="open" @close="open = false" />
</template>

<style scoped>
.walk {
  position: absolute;
  top: 30px;
  left: 32px;
  display: flex;
  padding: 5px;
}
</style>
