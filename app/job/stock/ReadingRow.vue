<script setup lang="ts">
import { ref, watch } from 'vue';
import { formatLength, parseLength } from '../../../core/units/index.ts';
import FactRow from '../../ui/FactRow.vue';
import { useSettings } from '../../ui/settings-store.ts';

/** A reading that may be left out: an empty field is derived from the others. */
const props = defineProps<{
  label: string;
  modelValue: number | undefined;
  derived?: number | undefined;
}>();
const emit = defineEmits<{ 'update:modelValue': [mm: number | undefined] }>();
const settings = useSettings();
const write = (): string =>
  props.modelValue === undefined ? '' : formatLength(props.modelValue, settings.unit);
const text = ref(write());
const problem = ref('');
watch([() => props.modelValue, () => settings.unit], () => {
  text.value = write();
  problem.value = '';
});

function take(): void {
  problem.value = '';
  if (text.value === write()) return;
  if (text.value.trim() === '') return emit('update:modelValue', undefined);
  const read = parseLength(text.value, settings.unit);
  if (!read.ok) problem.value = `${read.problem.what} ${read.problem.remedy}`;
  else emit('update:modelValue', read.value);
}
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
