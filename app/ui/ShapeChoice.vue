<script setup lang="ts">
import type { BoxedKind } from '../../core/shape/index.ts';
import { texts } from '../texts/index.ts';
import ShapePicture from './ShapePicture.vue';

/** All kinds of shape as pictures to choose from. */
defineProps<{ modelValue: string | undefined; label: string }>();
defineEmits<{ 'update:modelValue': [kind: BoxedKind] }>();
const kinds = Object.keys(texts.edge.shapes) as BoxedKind[];
</script>

<template>
  <div class="kinds" role="radiogroup" :aria-label="label">
    <button
      v-for="kind in kinds"
      :key="kind"
      type="button"
      role="radio"
      :aria-checked="kind === modelValue"
      :aria-label="texts.edge.shapes[kind]"
      :title="texts.edge.shapes[kind]"
      @click="$emit('update:modelValue', kind)"
    >
      <ShapePicture :kind="kind" />
    </button>
  </div>
</template>

<style scoped>
.kinds {
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  gap: 2px;
}
button {
  display: grid;
  place-items: center;
  border: 1px solid transparent;
  border-radius: var(--r-field);
  padding: 4px 0;
  background: none;
  cursor: pointer;
}
button:hover {
  background: var(--apricot-soft);
}
button[aria-checked='true'] {
  border-color: var(--plum);
  background: var(--apricot-soft);
}
</style>
