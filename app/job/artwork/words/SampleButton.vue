<script setup lang="ts">
import type { Form } from '../../../../core/type/index.ts';
import FaceSample from './FaceSample.vue';

/** A choice by its look: words in a typeface or a form of its letters, over what that is called. */
defineProps<{
  face: string;
  text: string;
  form?: Form;
  name: string;
  /** What is written beneath, where it is more than the name. */
  label?: string;
  pressed: boolean;
}>();
</script>

<template>
  <button type="button" :aria-pressed="pressed" :aria-label="name">
    <FaceSample v-slot="{ missing }" :face="face" :text="text" v-bind="form ? { form } : {}">
      <slot :missing="missing" />
    </FaceSample>
    <small>{{ label ?? name }}</small>
  </button>
</template>

<style scoped>
button {
  flex: 1;
  min-width: 0;
  display: block;
  box-sizing: border-box;
  width: 100%;
  border: 1.5px solid transparent;
  border-radius: 12px;
  padding: 5px 8px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
button:hover {
  background: var(--apricot-soft);
}
button[aria-pressed='true'] {
  border-color: var(--plum);
  background: var(--apricot-soft);
}
small {
  color: var(--ink-2);
  font-size: 12px;
}
</style>
