<script setup lang="ts">
import { ref } from 'vue';
import { texts } from '../../texts/index.ts';
import OverlayPanel from '../../ui/OverlayPanel.vue';
import { USUAL_PX_PER_MM, useSettings } from '../../ui/settings-store.ts';
import LinkButton from '../../ui/LinkButton.vue';

/** Measures the screen with a bank card, which is the same all over the world (ISO/IEC 7810, ID-1). */
const emit = defineEmits<{ close: [] }>();
const settings = useSettings();
const words = texts.exact;
const CARD = { width: 85.6, height: 53.98, corner: 3.18 }; // mm
const tried = ref(settings.pxPerMm);

function accept(): void {
  settings.pxPerMm = tried.value;
  emit('close');
}
</script>

<template>
  <OverlayPanel :title="words.calibrateTitle" @close="emit('close')">
    <p>{{ words.calibrateHint }}</p>
    <input
      v-model.number="tried"
      type="range"
      min="2"
      max="8"
      step="0.005"
      :aria-label="words.calibrateWide"
    />
    <div
      class="bank-card"
      :style="{
        width: `${CARD.width * tried}px`,
        height: `${CARD.height * tried}px`,
        borderRadius: `${CARD.corner * tried}px`,
      }"
    />
    <template #foot>
      <LinkButton @click="tried = USUAL_PX_PER_MM">
        {{ words.calibrateReset }}
      </LinkButton>
      <LinkButton @click="accept">{{ words.calibrateDone }}</LinkButton>
    </template>
  </OverlayPanel>
</template>

<style scoped>
p {
  margin: 0 0 10px;
}
input {
  width: 100%;
  accent-color: var(--plum);
}
.bank-card {
  box-sizing: border-box;
  max-width: none;
  margin: 14px 0 6px;
  border: 2px solid var(--plum);
  background: linear-gradient(140deg, var(--apricot-soft), var(--card));
}
</style>
