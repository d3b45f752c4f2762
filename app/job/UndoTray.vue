<script setup lang="ts">
import { mdiRedo, mdiUndo } from '@mdi/js';
import { texts } from '../texts/index.ts';
import IconButton from '../ui/IconButton.vue';
import { useJobStore } from './store/job-store.ts';

/** Undo and redo, in the corner of a desk; each says what it is about. */
const store = useJobStore();
</script>

<template>
  <div class="walk">
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
  </div>
</template>

<style scoped>
.walk {
  position: absolute;
  top: 30px;
  left: 32px;
  display: flex;
  border-radius: var(--r-tray);
  padding: 5px;
  background: var(--card);
  box-shadow: var(--shadow);
}
</style>
