<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { nextTick, onMounted, ref } from 'vue';
import { texts } from '../texts/index.ts';
import IconButton from './IconButton.vue';

/** A panel that lies on the bench beside the paper, so that what is chosen is seen at once. */
const props = defineProps<{ title: string; wide?: boolean; takesFiles?: boolean }>();
const emit = defineEmits<{ close: []; files: [files: File[]] }>();
const over = ref(false);
const panel = ref<HTMLElement | null>(null);

onMounted(async () => {
  await nextTick();
  panel.value?.focus();
});

function dragOver(event: DragEvent): void {
  if (!props.takesFiles) return;
  event.preventDefault();
  event.stopPropagation();
  over.value = true;
}

function drop(event: DragEvent): void {
  if (!props.takesFiles) return;
  event.preventDefault();
  event.stopPropagation();
  over.value = false;
  emit('files', [...(event.dataTransfer?.files ?? [])]);
}

function key(event: KeyboardEvent): void {
  event.stopPropagation();
  if (event.key === 'Escape') emit('close');
}
</script>

<template>
  <section
    ref="panel"
    class="panel"
    :class="{ wide, over }"
    role="dialog"
    :aria-label="title"
    tabindex="-1"
    @keydown="key"
    @pointerdown.stop
    @wheel.stop
    @dragover="dragOver"
    @dragleave.self="over = false"
    @drop="drop"
  >
    <header>
      <h2 class="display">{{ title }}</h2>
      <IconButton :icon="mdiClose" :name="texts.close" @click="emit('close')" />
    </header>
    <div v-if="$slots.head" class="head"><slot name="head" /></div>
    <div class="body"><slot /></div>
    <div v-if="$slots.foot" class="foot"><slot name="foot" /></div>
  </section>
</template>

<style scoped>
.panel {
  position: absolute;
  top: 30px;
  right: 14px;
  bottom: 84px;
  z-index: 5;
  display: flex;
  flex-direction: column;
  box-sizing: border-box;
  width: 296px;
  border-radius: var(--r-job);
  background: var(--card);
  box-shadow: var(--shadow);
  outline: none;
}
.wide {
  width: min(560px, calc(100% - 60px));
}
header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 8px 8px 2px 18px;
}
h2 {
  color: var(--plum);
  font-size: 17px;
}
.head {
  padding: 2px 16px 8px;
}
.foot {
  padding: 8px 14px 12px;
}
.body {
  flex: 1;
  min-height: 0;
  padding: 2px 14px 14px;
  overflow: auto;
}
</style>
