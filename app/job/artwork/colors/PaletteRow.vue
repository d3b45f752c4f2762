<script setup lang="ts">
import { texts } from '../../../texts/index.ts';

/** A palette as a row of colours; pointing at it shows it, a click uses it. */
defineProps<{ name: string; colors: readonly string[] }>();
defineEmits<{ show: []; hide: []; use: [] }>();
</script>

<template>
  <button
    type="button"
    class="palette"
    :aria-label="texts.start.use(name)"
    @pointerenter="$emit('show')"
    @pointerleave="$emit('hide')"
    @focus="$emit('show')"
    @blur="$emit('hide')"
    @click="$emit('use')"
  >
    <span class="colors"
      ><span v-for="color in colors" :key="color" :style="{ background: color }"
    /></span>
    <small>{{ name }}</small>
  </button>
</template>

<style scoped>
.palette {
  display: flex;
  align-items: center;
  gap: 10px;
  width: 100%;
  min-height: 32px;
  border: 0;
  border-radius: 9px;
  padding: 3px 6px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.palette:hover {
  background: var(--apricot-soft);
}
.colors {
  display: flex;
  flex: none;
  width: 112px;
  height: 22px;
  border: 1px solid var(--field-line);
  border-radius: 7px;
  overflow: hidden;
}
.colors span {
  flex: 1;
}
small {
  font-size: 12.5px;
}
</style>
