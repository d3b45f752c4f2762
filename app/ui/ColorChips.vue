<script setup lang="ts">
import { mdiEyedropper } from '@mdi/js';
import { computed } from 'vue';
import { texts } from '../texts/index.ts';
import IconButton from './IconButton.vue';

/**
 * Colours as round chips, with one for any other colour, a field for its number, and a dropper where
 * the browser has one. `none` offers no colour at all.
 */
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

interface Dropper {
  open(): Promise<{ sRGBHex: string }>;
}
const Droppers = (globalThis as { EyeDropper?: new () => Dropper }).EyeDropper;

async function drop(): Promise<void> {
  if (!Droppers) return;
  // Leaving it with Escape is no failure.
  const picked = await new Droppers().open().catch(() => undefined);
  if (picked) emit('update:modelValue', picked.sRGBHex);
}

function type(event: Event): void {
  const field = event.target as HTMLInputElement;
  const typed = field.value.trim().replace(/^#?/, '#').toLowerCase();
  const long = typed.replace(/^#(.)(.)(.)$/, '#$1$1$2$2$3$3');
  if (/^#[0-9a-f]{6}$/.test(long)) emit('update:modelValue', long);
  field.value = props.modelValue ?? '';
}
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
    <span class="exact">
      <input
        class="well number"
        :value="modelValue ?? ''"
        :aria-label="texts.ui.colorNumber(label)"
        :placeholder="texts.ui.noColor"
        maxlength="7"
        spellcheck="false"
        @change="type"
      />
      <IconButton v-if="Droppers" :icon="mdiEyedropper" :name="texts.ui.pickColor" @click="drop" />
    </span>
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
.exact {
  display: inline-flex;
  align-items: center;
}
.number {
  width: 84px;
  min-height: 26px;
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
