<script setup lang="ts">
import { formatLength } from '../../../core/units/index.ts';
import FactRow from '../../ui/FactRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { useTypedLength } from '../../ui/typed-length.ts';

/** A reading that may be left out: an empty field is derived from the others. */
const props = defineProps<{
  label: string;
  modelValue: number | undefined;
  derived?: number | undefined;
}>();
const emit = defineEmits<{ 'update:modelValue': [mm: number | undefined] }>();
const settings = useSettings();
const { text, problem, take, giveUp } = useTypedLength({
  value: () => props.modelValue,
  unit: () => settings.unit,
  accept(mm) {
    emit('update:modelValue', mm);
    return mm;
  },
  clear: () => emit('update:modelValue', undefined),
});
</script>

<template>
  <FactRow as="label" :label="label">
    <input
      v-model="text"
      class="well reading"
      size="8"
      :aria-label="label"
      :aria-invalid="problem !== ''"
      :placeholder="derived === undefined ? '' : formatLength(derived, settings.unit)"
      inputmode="decimal"
      @blur="take"
      @keydown.enter="take"
      @keydown.esc="giveUp"
    />
  </FactRow>
  <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
</template>

<style scoped>
.reading {
  text-align: right;
}
.reading::placeholder {
  color: var(--ink-2);
  font-style: italic;
}
.problem {
  margin: 2px 0 6px;
  color: var(--brick-text);
  font-size: 12.5px;
}
</style>
