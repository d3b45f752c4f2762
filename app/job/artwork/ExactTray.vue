<script setup lang="ts">
import { mdiCreditCardOutline, mdiEyeOutline, mdiGrid, mdiRuler } from '@mdi/js';
import { ref } from 'vue';
import { texts } from '../../texts/index.ts';
import IconButton from '../../ui/IconButton.vue';
import { useSeenAs } from '../../ui/seen-as.ts';
import { useSettings } from '../../ui/settings-store.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import TrueSizePanel from './TrueSizePanel.vue';

/** The grid, measuring, the true size of this screen, and other ways of seeing. */
const props = defineProps<{ desk: DeskState; seeing: boolean }>();
defineEmits<{ see: [] }>();
const seen = useSeenAs();
const settings = useSettings();
const words = texts.exact;
const calibrating = ref(false);
const { measuring } = props.desk;
const STEPS = [0, 1, 2.5, 5, 10] as const; // mm

/** The next wider grid, and after the widest none. */
function turnGrid(): void {
  const at = STEPS.findIndex((step) => step === settings.grid);
  settings.grid = STEPS[(at + 1) % STEPS.length] ?? 0;
}
</script>

<template>
  <div class="exact bench-tray" role="toolbar" :aria-label="words.measure">
    <IconButton
      :icon="mdiGrid"
      :name="settings.grid ? `${words.grid}: ${words.gridStep} ${settings.grid} mm` : words.grid"
      :pressed="settings.grid > 0"
      @click="turnGrid"
    />
    <IconButton
      :icon="mdiRuler"
      :name="words.measure"
      :pressed="measuring"
      @click="measuring = !measuring"
    />
    <IconButton :icon="mdiCreditCardOutline" :name="words.calibrate" @click="calibrating = true" />
    <IconButton
      :icon="mdiEyeOutline"
      :name="texts.seenAs.title"
      :pressed="seeing || seen.way !== 'screen'"
      @click="$emit('see')"
    />
  </div>
  <TrueSizePanel v-if="calibrating" @close="calibrating = false" />
</template>

<style scoped>
.exact {
  position: absolute;
  top: 84px;
  left: 32px;
  display: flex;
  flex-direction: column;
  padding: 5px;
}
</style>
