<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { nextTick, onBeforeUnmount, onMounted, ref } from 'vue';
import { texts } from '../texts/index.ts';
import IconButton from './IconButton.vue';

/** A panel over everything else: Escape and a click beside it close it, and the keyboard stays inside. */
defineProps<{ title: string; wide?: boolean; away?: boolean }>();
const emit = defineEmits<{ close: []; dragend: [] }>();
const panel = ref<HTMLElement | null>(null);

/** Escape closes it too where what had the focus is gone, as a button that was disabled. */
function outside(event: KeyboardEvent): void {
  if (event.key === 'Escape' && document.activeElement === document.body) emit('close');
}
addEventListener('keydown', outside);
onBeforeUnmount(() => removeEventListener('keydown', outside));

onMounted(async () => {
  await nextTick();
  panel.value?.focus();
});

function key(event: KeyboardEvent): void {
  // What is pressed in here is not for the desk beneath.
  event.stopPropagation();
  if (event.key === 'Escape') emit('close');
  if (event.key !== 'Tab' || !panel.value) return;
  const stops = [
    ...panel.value.querySelectorAll<HTMLElement>('button, input, select, [tabindex="0"], a[href]'),
  ].filter((one) => !(one as HTMLButtonElement).disabled && one.offsetParent !== null);
  const [first, last] = [stops[0], stops[stops.length - 1]];
  const leaving = event.shiftKey
    ? document.activeElement === first
    : document.activeElement === last;
  if (!leaving) return;
  event.preventDefault();
  (event.shiftKey ? last : first)?.focus();
}
</script>

<template>
  <Teleport to="body">
    <div
      class="shade"
      :class="{ away }"
      @pointerdown.self="emit('close')"
      @dragend="emit('dragend')"
    >
      <section
        ref="panel"
        class="panel"
        :class="{ wide }"
        role="dialog"
        aria-modal="true"
        :aria-label="title"
        tabindex="-1"
        @keydown="key"
      >
        <header>
          <h2 class="display">{{ title }}</h2>
          <slot name="head" />
          <IconButton :icon="mdiClose" :name="texts.close" @click="emit('close')" />
        </header>
        <div class="body"><slot /></div>
        <footer v-if="$slots.foot"><slot name="foot" /></footer>
      </section>
    </div>
  </Teleport>
</template>

<style scoped>
.shade {
  position: fixed;
  inset: 0;
  z-index: 1200;
  display: grid;
  place-items: center;
  background: #2a1b2e80;
}
.away {
  opacity: 0;
  pointer-events: none;
}
.panel {
  display: flex;
  flex-direction: column;
  box-sizing: border-box;
  width: min(780px, calc(100vw - 48px));
  max-height: calc(100dvh - 64px);
  border-radius: var(--r-job);
  background: var(--paper);
  color: var(--ink);
  box-shadow: var(--shadow);
  outline: none;
}
.wide {
  width: min(1180px, calc(100vw - 32px));
  height: calc(100dvh - 48px);
}
header {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 12px 14px 8px 22px;
}
h2 {
  flex: 1;
  color: var(--plum);
  font-size: 20px;
}
.body {
  flex: 1;
  min-height: 0;
  padding: 4px 22px 16px;
  overflow: auto;
}
.wide .body {
  padding: 0;
  overflow: hidden;
}
footer {
  display: flex;
  justify-content: flex-end;
  gap: 10px;
  border-top: 1px solid var(--line);
  padding: 10px 22px;
}
</style>
