<script setup lang="ts">
import { computed, ref } from 'vue';
import ColorChips from '../../../ui/ColorChips.vue';

/** Several colours of one thing: the chosen one is set by the chips below. */
const props = defineProps<{
  slots: readonly { key: string; label: string; color: string | null; none?: string }[];
  label: string;
  colors: readonly string[];
}>();
const emit = defineEmits<{ change: [key: string, color: string | null] }>();
const chosen = ref(props.slots[0]?.key ?? '');
const slot = computed(() => props.slots.find(({ key }) => key === chosen.value) ?? props.slots[0]);
</script>

<template>
  <div class="slots" role="radiogroup" :aria-label="label">
    <button
      v-for="one in slots"
      :key="one.key"
      type="button"
      role="radio"
      :aria-checked="one.key === slot?.key"
      @click="chosen = one.key"
    >
      <span
        class="dot"
        :class="{ none: !one.color }"
        :style="one.color ? { background: one.color } : {}"
      />{{ one.label }}
    </button>
  </div>
  <ColorChips
    v-if="slot"
    :label="slot.label"
    :model-value="slot.color"
    :colors="colors"
    v-bind="slot.none ? { none: slot.none } : {}"
    @update:model-value="emit('change', slot.key, $event)"
  />
</template>

<style scoped>
.slots {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
button {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 28px;
  border: 1px solid var(--line);
  border-radius: 999px;
  padding: 1px 10px 1px 3px;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
button[aria-checked='true'] {
  border-color: var(--plum);
  background: var(--apricot-soft);
}
.dot {
  width: 20px;
  height: 20px;
  border: 1px solid var(--field-line);
  border-radius: 50%;
}
.none {
  background: linear-gradient(135deg, var(--card) 46%, var(--brick) 46% 54%, var(--card) 54%);
}
</style>
