<script setup lang="ts">
import { computed } from 'vue';
import { texts } from '../texts/index.ts';

/** Colours as round chips, with one for any other colour. `none` offers no colour at all. */
const props = defineProps<{
  modelValue: string | null;
  label: string;
  colors: readonly string[];
  none?: string;
}>();
const emit = defineEmits<{ 'update:modelValue': [color: string | null] }>();
const known = computed(() =>
  props.colors.some((color) => color.toLowerCase() === props.modelValue?.toLowerCase()),
);
</script>

<template>
  <div class="chips" role="group" :aria-label="label">
    <button
      v-if="none"
      type="button"
      class="chip none"
      :title="none"
      :aria-label="none"
      :aria-pressed="modelValue === null"
      @click="emit('update:modelValue', null)"
    />
    <button
      v-for="color in colors"
      :key="color"
      type="button"
      class="chip"
      :style="{ background: color }"
      :title="color"
      :aria-label="`${label} ${color}`"
      :aria-pressed="color.toLowerCase() === modelValue?.toLowerCase()"
      @click="emit('update:modelValue', color)"
    />
    <label
      class="chip other"
      :class="{ chosen: modelValue !== null && !known }"
      :style="{ background: known || !modelValue ? undefined : modelValue }"
    >
      <span class="visually-hidden">{{ texts.ui.otherColor(label) }}</span>
      <input
        type="color"
        :value="modelValue ?? '#ffffff'"
        @change="emit('update:modelValue', ($event.target as HTMLInputElement).value)"
      />
    </label>
  </div>
</template>

<style scoped>
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 7px;
  padding: 6px 2px;
}
.chip {
  position: relative;
  width: 26px;
  height: 26px;
  border: 1px solid var(--field-line);
  border-radius: 50%;
  padding: 0;
  cursor: pointer;
}
.chip[aria-pressed='true'],
.chosen {
  outline: 2px solid var(--plum);
  outline-offset: 2px;
}
.none {
  background: linear-gradient(135deg, var(--card) 46%, var(--brick) 46% 54%, var(--card) 54%);
}
.other {
  background: conic-gradient(#b5432a, #f2a65a, #3f7f4f, #2f55a8, #7b3f8c, #b5432a);
}
.other input {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  opacity: 0;
  cursor: pointer;
}
.other:focus-within {
  outline: 2px solid var(--plum);
  outline-offset: 2px;
}
@media (pointer: coarse) {
  .chip {
    width: 36px;
    height: 36px;
  }
}
</style>
